package store

import (
	"os"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
)

// pictured is a book with one dog and a picture of it.
func pictured(t *testing.T, path string) (*Store, Picture) {
	t.Helper()
	s, err := Open(t.Context(), path)
	require.NoError(t, err)
	d := aDog()
	require.NoError(t, s.AddDog(t.Context(), d))
	p, err := s.AddPicture(
		t.Context(),
		Picture{ID: uuid.New(), DogID: d.ID, Paw: nail.RH, On: date.MustParse("2026-11-20")},
		[]byte("whole"),
		[]byte("small"),
		time.Now(),
	)
	require.NoError(t, err)
	return s, p
}

func files(t *testing.T, place string) int {
	t.Helper()
	all, err := filepath.Glob(filepath.Join(place, "*"))
	require.NoError(t, err)
	return len(all)
}

// A backup written anywhere has its pictures beside it, and brings them back.
func TestPicturesGoAlongWithABackup(t *testing.T) {
	place := t.TempDir()
	path, out := filepath.Join(place, "book.db"), filepath.Join(place, "usb", "copy.db")
	other := filepath.Join(place, "other.db")
	s, p := pictured(t, path)
	require.NoError(t, os.Mkdir(filepath.Dir(out), 0o700))
	require.NoError(t, s.Backup(t.Context(), out))
	assert.Equal(t, 2, files(t, out+".pictures"))
	require.NoError(t, s.Close())
	require.NoError(t, os.RemoveAll(path+".pictures"))

	require.NoError(t, Restore(t.Context(), other, out, filepath.Join(place, "kept.db")))
	back, err := Open(t.Context(), other)
	require.NoError(t, err)
	defer back.Close()
	data, err := back.PictureFile(t.Context(), p.Hash, false)
	require.NoError(t, err)
	assert.Equal(t, "whole", string(data))
	all, err := back.Pictures(t.Context(), p.DogID)
	require.NoError(t, err)
	assert.Equal(t, []string{p.Hash}, []string{all[0].Hash})
	assert.Equal(t, nail.RH, all[0].Paw)
}

// A deletion, and a picture that was being written, when the power went: the next opening finishes the one and clears
// the other away.
func TestBrokenOffPicturesAreTidied(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	s, p := pictured(t, path)
	_, err := s.MakeBackup(t.Context(), time.Now())
	require.NoError(t, err)
	_, err = s.exec(t.Context(), `INSERT INTO pictures_gone (hash) VALUES (?)`, p.Hash)
	require.NoError(t, err)
	_, err = s.exec(t.Context(), `DELETE FROM pictures`)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(filepath.Join(s.PicturePlace(), "123.part"), []byte("half"), 0o600))
	require.NoError(t, s.Close())
	assert.Equal(t, 3, files(t, path+".pictures"))

	s, err = Open(t.Context(), path)
	require.NoError(t, err)
	defer s.Close()
	assert.Zero(t, files(t, path+".pictures"))
	assert.Zero(t, files(t, picturesIn(s.BackupPlace())))
	_, err = s.PictureFile(t.Context(), p.Hash, false)
	assert.ErrorIs(t, err, ErrNotFound)
}

// Files that came before a row that never came (a killed upload or import) go at the next opening; what else lies there
// stays.
func TestPicturesThatNoRowNamesAreSwept(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	s, p := pictured(t, path)
	orphan := PictureName(strings.Repeat("ab", 32), false)
	require.NoError(t, os.WriteFile(filepath.Join(s.PicturePlace(), orphan), []byte("of nobody"), 0o600))
	require.NoError(t, os.WriteFile(filepath.Join(s.PicturePlace(), "holiday.jpg"), []byte("not ours"), 0o600))
	require.NoError(t, s.Close())
	s, err := Open(t.Context(), path)
	require.NoError(t, err)
	defer s.Close()
	assert.NoFileExists(t, filepath.Join(s.PicturePlace(), orphan))
	assert.FileExists(t, filepath.Join(s.PicturePlace(), "holiday.jpg"))
	_, err = s.PictureFile(t.Context(), p.Hash, false)
	assert.NoError(t, err)
}

// One picture is put for one dog while the same is deleted from another: of sixty, none is lost.
func TestAPictureOfTwoIsNotLostWhileOneIsDeleted(t *testing.T) {
	s, p := pictured(t, filepath.Join(t.TempDir(), "book.db"))
	defer s.Close()
	other := aDog()
	other.ID = uuid.New()
	require.NoError(t, s.AddDog(t.Context(), other))
	for n := range 60 {
		mine := Picture{ID: uuid.New(), DogID: other.ID, Paw: nail.RH, On: date.MustParse("2026-11-20")}
		var both sync.WaitGroup
		both.Go(func() { assert.NoError(t, s.RemovePicture(t.Context(), p.DogID, p.ID)) })
		both.Go(func() {
			_, err := s.AddPicture(t.Context(), mine, []byte("whole"), []byte("small"), time.Now())
			assert.NoError(t, err)
		})
		both.Wait()
		_, err := s.PictureFile(t.Context(), p.Hash, false)
		require.NoError(t, err, "%d", n)
		other.ID, p.DogID, p.ID = p.DogID, mine.DogID, mine.ID
	}
}

// What a restore replaced has its pictures still: it can be put back.
func TestWhatARestoreReplacedKeepsItsPictures(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	s, p := pictured(t, path)
	before, err := s.MakeBackup(t.Context(), time.Now())
	require.NoError(t, err)
	later, err := s.AddPicture(
		t.Context(),
		Picture{ID: uuid.New(), DogID: p.DogID, Paw: nail.LH, On: p.On},
		[]byte("later"),
		[]byte("l"),
		time.Now(),
	)
	require.NoError(t, err)
	backup := filepath.Join(s.BackupPlace(), before.Name)
	require.NoError(t, s.Close())
	keep := ReplacedAt(path, time.Now())
	require.NoError(t, Restore(t.Context(), path, backup, keep))
	s, err = Open(t.Context(), path)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	require.NoError(t, Restore(t.Context(), path, keep, ReplacedAt(path, time.Now().Add(time.Second))))
	s, err = Open(t.Context(), path)
	require.NoError(t, err)
	defer s.Close()
	_, err = s.PictureFile(t.Context(), later.Hash, false)
	assert.NoError(t, err)
}

// Under a picture's id another picture is told, not kept and not thrown away.
func TestAnotherPictureUnderAnIDIsTold(t *testing.T) {
	s, p := pictured(t, filepath.Join(t.TempDir(), "book.db"))
	defer s.Close()
	same, err := s.AddPicture(
		t.Context(),
		Picture{ID: p.ID, DogID: p.DogID, Paw: nail.RH, On: p.On},
		[]byte("whole"),
		[]byte("small"),
		time.Now(),
	)
	require.NoError(t, err)
	assert.Equal(t, p.Hash, same.Hash)
	_, err = s.AddPicture(
		t.Context(),
		Picture{ID: p.ID, DogID: p.DogID, Paw: nail.RH, On: p.On},
		[]byte("another"),
		[]byte("small"),
		time.Now(),
	)
	assert.ErrorAs(t, err, new(AlreadyTold))
	_, err = s.AddPicture(
		t.Context(),
		Picture{ID: p.ID, DogID: p.DogID, Paw: nail.LF, On: p.On},
		[]byte("whole"),
		[]byte("small"),
		time.Now(),
	)
	assert.ErrorAs(t, err, new(AlreadyTold))
}
