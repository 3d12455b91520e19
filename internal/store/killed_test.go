package store

import (
	"context"
	"fmt"
	"math/rand/v2"
	"os"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// memory is a directory that no disk is waited for, where there is one.
func memory(t *testing.T) string {
	t.Helper()
	dir, err := os.MkdirTemp("/dev/shm", "fribbet-")
	if err != nil {
		return t.TempDir()
	}
	t.Cleanup(func() { _ = os.RemoveAll(dir) })
	return dir
}

// killed is a book's files as a kill leaves them: what the system has of them, nothing closed.
func killed(t *testing.T, path string) string {
	t.Helper()
	at := filepath.Join(memory(t), "book.db")
	for _, beside := range []string{"", "-wal", "-shm"} {
		if data, err := os.ReadFile(path + beside); err == nil {
			require.NoError(t, os.WriteFile(at+beside, data, 0o600))
		}
	}
	return at
}

func filesOf(t *testing.T, path string) map[string][]byte {
	t.Helper()
	all := map[string][]byte{}
	for _, beside := range []string{"", "-wal"} {
		if data, err := os.ReadFile(path + beside); err == nil {
			all[beside] = data
		}
	}
	return all
}

func tell(t *testing.T, s *Store) uuid.UUID {
	t.Helper()
	d := aDog()
	d.ID = uuid.New()
	require.NoError(t, s.AddDog(ctx, d))
	return d.ID
}

// Whatever way of opening, copying, breaking off, killing and ending follows on another: the book opens, and has
// everything that it took.
func TestNoOpeningThatFribbetCausedIsRefused(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	made, _ := bookAt(t)
	ready := filesOf(t, made)[""]
	for seed := range 300 {
		r := rand.New(rand.NewPCG(25, uint64(seed)))
		path := filepath.Join(memory(t), "book.db")
		if seed%5 > 0 { // the others begin with none
			require.NoError(t, os.WriteFile(path, ready, 0o600))
		}
		var has []uuid.UUID
		did := ""
		for range 3 + r.IntN(4) {
			what := []string{"stop", "kill", "kill at once", "broken off", "copy", "back up", "restore"}[r.IntN(7)]
			did += ", " + what
			opened := func() *Store {
				s, err := Open(ctx, path, ThrowAway)
				require.NoError(t, err, "%d%s", seed, did)
				for _, id := range has {
					_, err := s.Dog(ctx, id)
					require.NoError(t, err, "%d%s", seed, did)
				}
				return s
			}
			switch what {
			case "stop":
				s := opened()
				has = append(has, tell(t, s))
				require.NoError(t, s.Close(), "%d%s", seed, did)
				assert.NoFileExists(t, path+"-wal")
			case "kill", "kill at once":
				s := opened()
				if what == "kill" {
					has = append(has, tell(t, s))
				}
				left := killed(t, path)
				require.NoError(t, s.Close())
				path = left
			case "broken off": // told to stop while it opens
				soon, cancel := context.WithTimeout(ctx, time.Duration(r.IntN(9000))*time.Microsecond)
				if s, err := Open(soon, path, ThrowAway); err == nil {
					left := killed(t, path)
					require.NoError(t, s.Close())
					path = left
				}
				cancel()
			case "copy", "restore", "back up":
				if _, err := os.Stat(path); err != nil || notBegun(path) {
					continue
				}
				before := filesOf(t, path)
				out := filepath.Join(memory(t), "out.db")
				if err := BackupFile(ctx, path, out); err != nil {
					require.Empty(t, has, "%d%s: %v", seed, did, err)
					continue
				}
				require.Equal(t, before, filesOf(t, path), "%d%s: a copy changes nothing", seed, did)
				if what == "restore" {
					require.NoError(
						t,
						Restore(ctx, path, out, ReplacedAt(path, time.Now().Add(time.Duration(r.IntN(1e9))))),
						"%d%s",
						seed,
						did,
					)
				}
			}
		}
	}
}

// A later version's book that was not closed is refused and stays as it is, log and all.
func TestALookChangesNothing(t *testing.T) {
	path, _ := bookAt(t)
	s := opened(t, path)
	_, err := s.db.ExecContext(ctx, `INSERT INTO goose_db_version (version_id, is_applied) VALUES (9999, 1)`)
	require.NoError(t, err)
	left := killed(t, path)
	before := filesOf(t, left)
	require.NotEmpty(t, before["-wal"])
	_, err = Open(ctx, left)
	require.ErrorContains(t, err, "was written by a later version")
	require.ErrorContains(t, BackupFile(ctx, left, left+".copy"), "later version")
	assert.Equal(t, before, filesOf(t, left))
}

// An older copy that is written over the book takes nothing more, is not mixed with what was told since, and opens.
func TestABookThatIsWrittenOverTakesNothing(t *testing.T) {
	for name, older := range map[string]func(path string) []byte{
		"a closed copy":  func(path string) []byte { return filesOf(t, path)[""] },
		"cut to nothing": func(string) []byte { return nil },
	} {
		t.Run(name, func(t *testing.T) {
			path, d := bookAt(t)
			copied := older(path)
			s, err := Open(ctx, path)
			require.NoError(t, err)
			tell(t, s)
			inPlace, err := os.OpenFile(path, os.O_WRONLY|os.O_TRUNC, 0)
			require.NoError(t, err)
			_, err = inPlace.Write(copied)
			require.NoError(t, err)
			require.NoError(t, inPlace.Close())
			other := aDog()
			other.ID = uuid.New()
			require.ErrorIs(t, s.AddDog(ctx, other), ErrGone)
			require.ErrorContains(t, s.There(), "written over")
			left := killed(t, path)
			require.ErrorIs(t, s.Close(), ErrGone)
			for _, at := range []string{left, path} {
				again, err := Open(ctx, at)
				require.NoError(t, err)
				if copied != nil {
					_, err = again.Dog(ctx, d.ID)
					assert.NoError(t, err)
				}
				require.NoError(t, again.Close())
			}
		})
	}
}

// The log beside the book is taken away under it: what it held is saved at the next request, and a kill after that
// loses nothing. A log of another is never read into a book that was closed.
func TestALogThatIsRemovedLosesNothing(t *testing.T) {
	path, _ := bookAt(t)
	s, err := Open(ctx, path)
	require.NoError(t, err)
	id := tell(t, s)
	log := filesOf(t, path)["-wal"]
	require.NoError(t, os.Remove(path+"-wal"))
	require.ErrorIs(t, s.There(), ErrGone)
	require.ErrorContains(t, s.There(), "-wal")
	left := killed(t, path)
	require.ErrorIs(t, s.Close(), ErrGone)
	for _, at := range []string{left, path} {
		assert.True(t, has(t, at, id))
	}
	require.NoError(t, os.WriteFile(path+"-wal", log, 0o600))
	assert.True(t, has(t, path, id))
	assert.FileExists(t, path+"-wal"+anothers)
}

// Beside backups no new book is begun without a word.
func TestAMissingBookWithBackupsIsNotBegunAnew(t *testing.T) {
	for name, spoil := range map[string]func(path string) error{
		"missing": os.Remove, "empty": func(path string) error { return os.Truncate(path, 0) },
	} {
		t.Run(name, func(t *testing.T) {
			path, d := bookAt(t)
			s := opened(t, path)
			_, err := s.MakeBackup(ctx, time.Now())
			require.NoError(t, err)
			require.NoError(t, s.Close())
			require.NoError(t, spoil(path))
			_, err = Open(ctx, path)
			require.ErrorContains(t, err, "fribbet restore")
			newest := newestBackup(path)
			require.ErrorContains(t, err, fmt.Sprintf("%q", newest), "the very backup is named")
			require.NoError(t, Restore(ctx, path, newest, ReplacedAt(path, time.Now())))
			assert.True(t, has(t, path, d.ID))
		})
	}
}

// By whatever name: a link to a book is that book.
func TestALinkIsNoSecondBook(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	path, _ := bookAt(t)
	link, second := filepath.Join(t.TempDir(), "link.db"), filepath.Join(filepath.Dir(path), "second.db")
	require.NoError(t, os.Symlink(path, link))
	require.NoError(t, os.Link(path, second))
	s := opened(t, link)
	for _, name := range []string{path, link, second} {
		_, err := Open(ctx, name)
		require.ErrorContains(t, err, "is open in another Fribbet", name)
	}
	assert.Equal(t, path+".backups", s.BackupPlace())
}

func TestABackupIsNotPutInPlaceOfAnotherProgramsFile(t *testing.T) {
	path, _ := bookAt(t)
	foreign := filepath.Join(t.TempDir(), "recipes.db")
	altered(t, foreign, `CREATE TABLE recipes (name TEXT)`)
	require.ErrorContains(t, Restore(ctx, foreign, path, foreign+".kept"), "belongs to another program")
	require.ErrorContains(t, Restore(ctx, path, foreign, path+".kept"), "is no book of Fribbet")
	assert.NoFileExists(t, foreign+".kept")
}

// A copy made by the program that has the book leaves the locks alone that SQLite has on it: closing any file that is
// the book would end them (POSIX, fcntl: "all locks … are removed when any file descriptor for that file is closed").
func TestACopyLeavesTheBooksLocks(t *testing.T) {
	path, _ := bookAt(t)
	s := opened(t, path)
	info, err := os.Stat(path)
	require.NoError(t, err)
	locks := func() (n int) {
		all, err := os.ReadFile("/proc/locks")
		if err != nil {
			t.Skip("this system does not tell its locks")
		}
		for line := range strings.Lines(string(all)) {
			if strings.Contains(line, "POSIX") &&
				strings.Contains(line, fmt.Sprintf(":%d ", info.Sys().(*syscall.Stat_t).Ino)) {
				n++
			}
		}
		return n
	}
	before := locks()
	require.Positive(t, before)
	require.NoError(t, s.Backup(ctx, path+".copy"))
	require.NoError(t, s.There())
	assert.Equal(t, before, locks())
}
