package store

import (
	"database/sql"
	"os"
	"path/filepath"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// bookAt makes a book with a dog in it and closes it.
func bookAt(t *testing.T) (string, Dog) {
	t.Helper()
	path := filepath.Join(t.TempDir(), "book.db")
	s, err := Open(ctx, path)
	require.NoError(t, err)
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	require.NoError(t, s.Close())
	return path, d
}

func refusedWith(t *testing.T, path, words string) {
	t.Helper()
	before, err := os.ReadFile(path)
	require.NoError(t, err)
	s, err := Open(ctx, path)
	if err == nil {
		_ = s.Close()
	}
	require.ErrorContains(t, err, words)
	after, err := os.ReadFile(path)
	require.NoError(t, err)
	assert.Equal(t, before, after, "and is not changed")
}

func altered(t *testing.T, path, statement string) {
	t.Helper()
	db, err := sql.Open("sqlite", path)
	require.NoError(t, err)
	_, err = db.Exec(statement)
	require.NoError(t, err)
	require.NoError(t, db.Close())
}

func TestABookIsClosedWholeAndItsOwnersAlone(t *testing.T) {
	path, d := bookAt(t)
	info, err := os.Stat(path)
	require.NoError(t, err)
	assert.Equal(t, os.FileMode(0o600), info.Mode().Perm())
	assert.NoFileExists(t, path+"-wal", "one file, to be copied as it is")
	copied := filepath.Join(t.TempDir(), "copy.db")
	whole, err := os.ReadFile(path)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(copied, whole, 0o600))
	s := opened(t, copied)
	_, err = s.Dog(ctx, d.ID)
	assert.NoError(t, err)
}

// A second program on one book is refused by name; once the first is gone it may.
func TestOneBookHasOneServer(t *testing.T) {
	path, _ := bookAt(t)
	first, err := Open(ctx, path)
	require.NoError(t, err)
	_, err = Open(ctx, path)
	require.ErrorContains(t, err, "is open in another Fribbet")
	require.NoError(t, first.Close())
	opened(t, path)
}

func TestWhatIsNoBookIsNotOpened(t *testing.T) {
	text := filepath.Join(t.TempDir(), "notes.txt")
	require.NoError(
		t,
		os.WriteFile(
			text,
			[]byte(
				"sharpen the small plier, and buy treats for the black one before Friday; styptic is nearly empty, and so on",
			),
			0o600,
		),
	)
	refusedWith(t, text, "is no book of Fribbet")

	foreign := filepath.Join(t.TempDir(), "other.db")
	altered(t, foreign, `CREATE TABLE recipes (name TEXT)`)
	refusedWith(t, foreign, "is no book of Fribbet")
	altered(t, foreign, `PRAGMA application_id = 7`)
	refusedWith(t, foreign, "belongs to another program")

	_, err := Open(ctx, filepath.Join(t.TempDir(), "typo.db"), Existing)
	require.ErrorContains(t, err, "is not there")
	_, err = Open(ctx, t.TempDir())
	require.ErrorContains(t, err, "directory")
}

func TestALaterVersionsBookIsNotTouched(t *testing.T) {
	path, _ := bookAt(t)
	altered(t, path, `INSERT INTO goose_db_version (version_id, is_applied) VALUES (9999, 1)`)
	refusedWith(t, path, "was written by a later version")
}

// Cut short, or with a page of rubbish in the middle.
func TestADamagedBookIsNotWrittenTo(t *testing.T) {
	path, _ := bookAt(t)
	whole, err := os.ReadFile(path)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(path, whole[:len(whole)/2], 0o600))
	refusedWith(t, path, "is damaged")
	for i := 8192; i < 3*8192; i++ {
		whole[i] = 0xA5
	}
	require.NoError(t, os.WriteFile(path, whole, 0o600))
	refusedWith(t, path, "is damaged")
}

// A copy of the file alone, made while the program runs, lacks what was told last.
func TestAHalfCopyIsNotOpened(t *testing.T) {
	path, _ := bookAt(t)
	s, err := Open(ctx, path)
	require.NoError(t, err)
	d := aDog()
	d.ID = uuid.New()
	require.NoError(t, s.AddDog(ctx, d))
	half, err := os.ReadFile(path)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	copied := filepath.Join(t.TempDir(), "copy.db")
	require.NoError(t, os.WriteFile(copied, half, 0o600))
	refusedWith(t, copied, "was copied while Fribbet was running")
}

// Removed or replaced under the program: nothing more is said to be kept.
func TestABookThatIsGoneTakesNothing(t *testing.T) {
	path, d := bookAt(t)
	s := opened(t, path)
	require.NoError(t, s.There())
	require.NoError(t, os.Rename(path, path+".moved"))
	assert.ErrorIs(t, s.There(), ErrGone)
	other := aDog()
	other.ID = uuid.New()
	assert.ErrorIs(t, s.AddDog(ctx, other), ErrGone)
	require.NoError(t, os.WriteFile(path, []byte("an older backup"), 0o600))
	assert.ErrorIs(t, s.There(), ErrGone)
	require.NoError(t, os.Remove(path))
	require.NoError(t, os.Rename(path+".moved", path))
	require.NoError(t, s.There())
	_, err := s.Dog(ctx, d.ID)
	assert.NoError(t, err, "put back, it goes on")
}

// What the disk says has words of its own.
func TestAReadOnlyBookSaysSo(t *testing.T) {
	path, _ := bookAt(t)
	s := opened(t, path)
	_, err := s.db.ExecContext(ctx, `PRAGMA query_only = 1`)
	require.NoError(t, err)
	s.db.SetMaxOpenConns(1)
	other := aDog()
	other.ID = uuid.New()
	err = InOwnWords(s.AddDog(ctx, other))
	assert.ErrorIs(t, err, ErrCannotWrite)
	_, _ = s.db.ExecContext(ctx, `PRAGMA query_only = 0`)
}
