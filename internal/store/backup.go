package store

import (
	"context"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"

	"modernc.org/sqlite"
)

const (
	partly    = ".part"      // of a backup that is being made
	restoring = ".restoring" // beside a book that is being replaced
)

// Backup copies the open book into a new file, while others may write: the book as it was at one moment.
// The copy is checked whole before it gets its name; whatever happens before leaves no file of that name.
func (s *Store) Backup(ctx context.Context, out string) error {
	if err := s.file.there(); err != nil {
		return err
	}
	return copied(ctx, s.file.path, out, false)
}

// BackupFile copies the book in a file, whether a program has it open or not. Nothing of the file is changed.
func BackupFile(ctx context.Context, path, out string) error {
	return asItStands(ctx, path, func(path string, alone bool) error { return copied(ctx, path, out, alone) })
}

// OpenCopy opens a copy of the book in a file, without its pictures, whether a program has it open or not: to read it.
// Whatever is written goes into the copy, which is removed by done. Nothing of the file is changed.
func OpenCopy(ctx context.Context, path string) (s *Store, done func() error, err error) {
	place, err := os.MkdirTemp("", "fribbet-")
	if err != nil {
		return nil, nil, err
	}
	to := filepath.Join(place, "copy.db")
	err = asItStands(
		ctx,
		path,
		func(path string, alone bool) error { return InOwnWords(copyInto(ctx, path, to, alone)) },
	)
	if err == nil {
		s, err = Open(ctx, to, Existing, ThrowAway)
	}
	if err != nil {
		return nil, nil, errors.Join(err, os.RemoveAll(place))
	}
	return s, func() error { return errors.Join(s.Close(), os.RemoveAll(place)) }, nil
}

// asItStands does something with a book that was looked at, whether a program has it open or not.
func asItStands(ctx context.Context, path string, do func(path string, alone bool) error) error {
	path = itself(path)
	if _, err := os.Stat(path); err != nil || notBegun(path) {
		return Refused{path, "is not there or empty: name the file of a book" + offer(path)}
	}
	if held, err := hold(ctx, path); err == nil { // nobody has it: nobody begins meanwhile
		defer held.Unlock() //nolint:errcheck // it ends with the program at the latest
	}
	if err := look(ctx, path); err != nil {
		return err
	}
	alone, err := byItself(path)
	if err != nil {
		return err
	}
	return do(path, alone)
}

// copied makes a checked copy of a book that was looked at.
func copied(ctx context.Context, from, out string, alone bool) error {
	if _, err := os.Stat(out); err == nil {
		return Refused{out, "is there already: name a new file"}
	}
	part := out + partly
	err := copyInto(ctx, from, part, alone)
	if err == nil { // after the book: whatever it names was there before
		err = linkPictures(picturesOf(from), picturesBeside(out))
	}
	if err != nil {
		return errors.Join(InOwnWords(err), removed(part, besides...))
	}
	if err := os.Rename(part, out); err != nil {
		return errors.Join(err, removed(part, besides...))
	}
	return synced(filepath.Dir(out))
}

// copyInto copies a book through SQLite’s online backup, closes the copy as it should be, and checks it whole.
func copyInto(ctx context.Context, from, to string, alone bool) error {
	if err := removed(to, besides...); err != nil {
		return err
	}
	made, err := os.OpenFile(to, os.O_WRONLY|os.O_CREATE|os.O_EXCL, 0o600)
	if err != nil {
		return Refused{to, "cannot be made: " + err.Error()}
	}
	if err := made.Close(); err != nil {
		return err
	}
	if err := online(ctx, from, to, alone); err != nil {
		return fmt.Errorf("copy %s: %w", from, err)
	}
	if err := closedWell(ctx, to); err != nil {
		return fmt.Errorf("close the copy of %s: %w", from, err)
	}
	if err := checkedWhole(ctx, to); err != nil {
		return err
	}
	return synced(to)
}

func online(ctx context.Context, from, to string, alone bool) (err error) {
	db, err := readOnly(from, alone)
	if err != nil {
		return err
	}
	defer db.Close() //nolint:errcheck // it was only read
	source, err := db.Conn(ctx)
	if err != nil {
		return err
	}
	defer source.Close() //nolint:errcheck // it was only read
	return source.Raw(func(driver any) error {
		backing, err := driver.(interface {
			NewBackup(to string) (*sqlite.Backup, error)
		}).NewBackup(dsn(to, nil))
		if err != nil {
			return err
		}
		for more := true; more && err == nil; { // all of it in one step: a later one would begin anew after each write
			more, err = backing.Step(-1)
		}
		return errors.Join(err, backing.Finish())
	})
}

// checkedWhole reads a closed book whole, and returns Refused when anything of it is damaged.
func checkedWhole(ctx context.Context, path string) error {
	if err := look(ctx, path); err != nil {
		return err
	}
	db, err := looked(path)
	if err != nil {
		return err
	}
	defer db.Close() //nolint:errcheck // it was only read
	var says string
	if err := db.QueryRowContext(ctx, `PRAGMA integrity_check(1)`).Scan(&says); ctx.Err() != nil {
		return ctx.Err()
	} else if err != nil || says != "ok" {
		return Refused{path, fmt.Sprintf("is damaged: %s %v", says, err)}
	}
	rows, err := db.QueryContext(ctx, `PRAGMA foreign_key_check`)
	if err != nil {
		return err
	}
	defer rows.Close() //nolint:errcheck // it was only read
	if rows.Next() {
		return Refused{path, "is damaged: something in it belongs to what is not there"}
	}
	return rows.Err()
}

// Restore puts a backup in the place of a book that no program has open, and keeps what was there under
// another name. The backup is copied and checked first; the swap is one step, so that whenever it is broken
// off there is the old book or the new one.
func Restore(ctx context.Context, path, backup, keep string) error {
	path = itself(path)
	if _, err := os.Stat(backup); err != nil || notBegun(backup) {
		return Refused{backup, "is not there or empty: name the file of a backup"}
	}
	if _, err := os.Stat(path); err == nil {
		held, err := hold(ctx, path)
		if err != nil {
			return err
		}
		defer held.Unlock() //nolint:errcheck // it ends with the program at the latest
		if err := anotherPrograms(ctx, path); err != nil {
			return err
		}
	}
	if err := look(ctx, backup); err != nil {
		return err
	}
	fresh := path + restoring
	alone, err := byItself(backup)
	if err == nil {
		err = copyInto(ctx, backup, fresh, alone)
	}
	if err == nil {
		err = linkPictures(picturesBeside(backup), picturesOf(path))
	}
	if err != nil {
		return errors.Join(InOwnWords(err), removed(fresh, besides...))
	}
	if err := aside(ctx, path, keep); err != nil {
		return errors.Join(err, removed(fresh, besides...))
	}
	if err := os.Rename(fresh, path); err != nil {
		return err
	}
	return synced(filepath.Dir(path))
}

// anotherPrograms refuses to put a book in the place of what is a sound database, and no book.
func anotherPrograms(ctx context.Context, path string) error {
	head, err := headerOf(path)
	if err != nil {
		return nil // damaged: that is when a backup is wanted
	}
	refused := Refused{path, "belongs to another program: name the file of a book. It was not changed"}
	if head.id != 0 && head.id != applicationID {
		return refused
	}
	db, err := looked(path)
	if err != nil {
		return err
	}
	defer db.Close() //nolint:errcheck // it was only read
	if tables, ours, err := tablesOf(ctx, db); err == nil && tables > 0 && ours < 2 && head.id == 0 {
		return refused
	}
	return nil
}

// aside keeps a book, whole or damaged, under another name too; what is not there needs none.
func aside(ctx context.Context, path, keep string) error {
	if info, err := os.Stat(path); errors.Is(err, fs.ErrNotExist) || err == nil && info.Size() == 0 {
		return nil
	}
	if look(ctx, path) == nil {
		if err := closedWell(ctx, path); err != nil {
			return err
		}
	}
	if err := os.MkdirAll(filepath.Dir(keep), 0o700); err != nil {
		return err
	}
	if _, err := os.Stat(keep); err == nil {
		return Refused{keep, "is there already: name a new file for what is replaced"}
	}
	if err := linkPictures(
		picturesOf(path),
		picturesBeside(keep),
	); err != nil { // what it names; the book that comes may not
		return err
	}
	if err := os.Link(path, keep); err != nil { // a disk without second names: then there is no book for a moment
		if err := os.Rename(path, keep); err != nil {
			return err
		}
	}
	for _, beside := range []string{"-wal", "-journal"} { // of a damaged one: they belong to it, not to what comes
		if err := os.Rename(path+beside, keep+beside); err != nil && !errors.Is(err, fs.ErrNotExist) {
			return err
		}
	}
	return removed(path, "-shm")
}

// brokenOff tells whether a restore was broken off at the moment at which there was no book.
func brokenOff(path string) bool {
	_, there := os.Stat(path)
	_, fresh := os.Stat(path + restoring)
	return errors.Is(there, fs.ErrNotExist) && fresh == nil
}

// besides are the endings of a file and what SQLite keeps beside it.
var besides = []string{"", "-wal", "-shm", "-journal"}

// removed is that files of these endings are not there.
func removed(path string, endings ...string) error {
	for _, beside := range endings {
		if err := os.Remove(path + beside); err != nil && !errors.Is(err, fs.ErrNotExist) {
			return err
		}
	}
	return nil
}

// synced is that the disk has a file, or a directory’s names.
func synced(path string) error {
	opened, err := os.Open(path)
	if err != nil {
		return err
	}
	return errors.Join(opened.Sync(), opened.Close())
}
