package store

import (
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// has tells whether a book that was closed opens and knows a dog.
func has(t *testing.T, path string, id uuid.UUID) bool {
	t.Helper()
	s, err := Open(ctx, path)
	require.NoError(t, err)
	_, unknown := s.Dog(ctx, id)
	require.NoError(t, s.Close())
	return unknown == nil
}

// A backup is made while the book is open and written to, by the program that has it and by another; it is a
// book like any other, closed, its owner's alone.
func TestABackupOfAnOpenBookIsABook(t *testing.T) {
	dir := t.TempDir()
	path := filepath.Join(dir, "book.db")
	s := opened(t, path)
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	inside, beside := filepath.Join(dir, "inside.db"), filepath.Join(dir, "beside.db")
	require.NoError(t, s.Backup(ctx, inside))
	require.NoError(t, BackupFile(ctx, path, beside))
	require.ErrorAs(t, s.Backup(ctx, inside), new(Refused), "no backup is written over")
	for _, made := range []string{inside, beside} {
		info, err := os.Stat(made)
		require.NoError(t, err)
		assert.Equal(t, os.FileMode(0o600), info.Mode().Perm())
		assert.NoFileExists(t, made+partly)
		assert.NoFileExists(t, made+"-wal")
		assert.True(t, has(t, made, d.ID))
	}
	require.ErrorContains(t, BackupFile(ctx, filepath.Join(dir, "typo.db"), filepath.Join(dir, "x.db")), "is not there")
	require.NoError(t, os.Remove(path))
	require.ErrorIs(t, s.Backup(ctx, filepath.Join(dir, "y.db")), ErrGone)
}

// Restoring brings the backup's dogs back and keeps the book that it replaced; a damaged one too, since that
// is when a backup is wanted.
func TestARestoreKeepsWhatItReplaced(t *testing.T) {
	for name, spoil := range map[string]func(path string) error{
		"whole":       func(string) error { return nil },
		"damaged":     func(path string) error { return os.Truncate(path, 9000) },
		"not there":   os.Remove,
		"half copied": func(path string) error { return os.WriteFile(path+"-wal", []byte("of another"), 0o600) },
	} {
		t.Run(name, func(t *testing.T) {
			path, old := bookAt(t)
			backup := filepath.Join(t.TempDir(), "backup.db")
			require.NoError(t, BackupFile(ctx, path, backup))
			s := opened(t, path)
			later := aDog()
			require.NoError(t, s.AddDog(ctx, later))
			require.NoError(t, s.Close())
			require.NoError(t, spoil(path))
			keep := ReplacedAt(path, time.Now())
			require.NoError(t, Restore(ctx, path, backup, keep))
			assert.True(t, has(t, path, old.ID))
			assert.False(t, has(t, path, later.ID))
			assert.NoFileExists(t, path+restoring)
			switch name {
			case "whole":
				assert.True(t, has(t, keep, later.ID))
			case "not there":
				assert.NoFileExists(t, keep)
			default:
				assert.FileExists(t, keep)
			}
			assert.True(t, has(t, backup, old.ID), "the backup stays")
		})
	}
}

func TestWhatCannotBeRestoredChangesNothing(t *testing.T) {
	path, old := bookAt(t)
	dir := t.TempDir()
	backup := filepath.Join(dir, "backup.db")
	require.NoError(t, BackupFile(ctx, path, backup))
	spoilt := filepath.Join(dir, "spoilt.db")
	whole, err := os.ReadFile(backup)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(spoilt, whole[:len(whole)/2], 0o600))
	before, err := os.ReadFile(path)
	require.NoError(t, err)
	keep := ReplacedAt(path, time.Now())
	require.ErrorAs(t, Restore(ctx, path, spoilt, keep), new(Refused))
	require.ErrorContains(t, Restore(ctx, path, filepath.Join(dir, "typo.db"), keep), "is not there")
	after, err := os.ReadFile(path)
	require.NoError(t, err)
	assert.Equal(t, before, after)
	assert.NoFileExists(t, keep)

	s := opened(t, path)
	require.ErrorContains(t, Restore(ctx, path, backup, keep), "is open in another Fribbet")
	_, err = s.Dog(ctx, old.ID)
	require.NoError(t, err)
}

// On a disk without second names there is no book for a moment. Broken off then, no empty one is made.
func TestARestoreThatWasBrokenOffMakesNoEmptyBook(t *testing.T) {
	path, old := bookAt(t)
	require.NoError(t, os.Rename(path, path+restoring))
	_, err := Open(ctx, path)
	require.ErrorContains(t, err, "Restore the backup once more")
	assert.NoFileExists(t, path)
	backup := filepath.Join(t.TempDir(), "backup.db")
	require.NoError(t, os.Rename(path+restoring, backup))
	require.NoError(t, os.WriteFile(path+restoring, []byte("half"), 0o600))
	require.NoError(t, Restore(ctx, path, backup, ReplacedAt(path, time.Now())))
	require.NoError(t, os.WriteFile(path+restoring, []byte("half"), 0o600)) // broken off before it changed anything
	assert.True(t, has(t, path, old.ID))
	assert.NoFileExists(t, path+restoring)
}
