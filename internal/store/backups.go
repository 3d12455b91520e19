package store

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"time"
)

// KeptBackup is a backup beside a book.
type KeptBackup struct {
	Name     string    // of its file
	At       time.Time // when it was made, by the book's clock
	Bytes    int64
	Replaced bool // it is what a restore replaced
}

const (
	madeForm = "2006-01-02T15-04-05.000" // a file's name has no colons everywhere
	replaced = "-replaced"
	ending   = ".db"
)

// backupsOf is the directory of a book's backups.
func backupsOf(path string) string { return path + ".backups" }

// newestBackup is the path of the backup that was made last, by the disk's clock; empty where there is none.
func newestBackup(path string) string {
	all, err := filepath.Glob(filepath.Join(backupsOf(path), "*"+ending))
	if err != nil {
		return ""
	}
	newest, made := "", time.Time{}
	for _, one := range all {
		if info, err := os.Stat(one); err == nil && info.ModTime().After(made) {
			newest, made = one, info.ModTime()
		}
	}
	return newest
}

// offer is how the newest backup is put in a book's place.
func offer(path string) string {
	if newest := newestBackup(path); newest != "" {
		return fmt.Sprintf(". The newest backup is put in its place by: fribbet restore %q --data %q", newest, path)
	}
	return "; put a backup in its place"
}

// ReplacedAt is where a restore keeps the book that it replaces.
func ReplacedAt(path string, at time.Time) string {
	return filepath.Join(backupsOf(path), at.Format(madeForm)+replaced+ending)
}

// BackupPlace is the directory in which the book's backups are kept.
func (s *Store) BackupPlace() string { return backupsOf(s.file.path) }

// Backups lists the book's backups, newest first; other files in their directory are nobody's.
func (s *Store) Backups(in *time.Location) ([]KeptBackup, error) {
	entries, err := os.ReadDir(s.BackupPlace())
	if errors.Is(err, fs.ErrNotExist) {
		return nil, nil
	}
	if err != nil {
		return nil, err
	}
	var all []KeptBackup
	for _, e := range entries {
		name, is := strings.CutSuffix(e.Name(), ending)
		name, was := strings.CutSuffix(name, replaced)
		at, err := time.ParseInLocation(madeForm, name, in)
		if !is || err != nil {
			continue
		}
		info, err := e.Info()
		if err != nil || info.IsDir() {
			continue // it was removed meanwhile, or is no file
		}
		all = append(all, KeptBackup{e.Name(), at, info.Size(), was})
	}
	slices.SortFunc(all, func(a, b KeptBackup) int { return cmp.Or(b.At.Compare(a.At), cmp.Compare(a.Name, b.Name)) })
	return all, nil
}

// MakeBackup makes a checked backup beside the book, and returns the very one.
func (s *Store) MakeBackup(ctx context.Context, at time.Time) (KeptBackup, error) {
	if err := os.MkdirAll(s.BackupPlace(), 0o700); err != nil {
		return KeptBackup{}, err
	}
	made := KeptBackup{Name: at.Format(madeForm) + ending, At: at}
	path := filepath.Join(s.BackupPlace(), made.Name)
	if err := s.Backup(ctx, path); err != nil {
		return KeptBackup{}, err
	}
	info, err := os.Stat(path)
	if err == nil {
		made.Bytes = info.Size()
	}
	return made, err
}

// DropBackup removes a backup, and what a broken-off one left.
func (s *Store) DropBackup(k KeptBackup) error {
	return removed(filepath.Join(s.BackupPlace(), k.Name), besides...)
}

// DropUnfinished removes what backups that were broken off left.
func (s *Store) DropUnfinished() error {
	parts, err := filepath.Glob(filepath.Join(s.BackupPlace(), "*"+ending+partly))
	if err != nil {
		return err
	}
	for _, part := range parts {
		err = errors.Join(err, removed(part, besides...))
	}
	return err
}

// SoundBackup is the path of a backup that was read whole and found sound; ErrNotFound when there is none of
// that name.
func (s *Store) SoundBackup(ctx context.Context, k KeptBackup) (string, error) {
	path := filepath.Join(s.BackupPlace(), k.Name)
	return path, checkedWhole(ctx, path)
}
