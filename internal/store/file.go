package store

import (
	"context"
	"database/sql"
	"encoding/binary"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"os"

	"github.com/gofrs/flock"
	"github.com/pressly/goose/v3"
	"modernc.org/sqlite"
	sqlitelib "modernc.org/sqlite/lib"
)

var (
	// ErrGone says that the book's file was removed or replaced while it was open.
	ErrGone = errors.New("the book’s file was removed or replaced under Fribbet")
	// ErrCannotWrite says that the file cannot be written to: the disk is full, or it is read-only.
	ErrCannotWrite = errors.New("the book cannot be written to")
)

// Refused is a file that is not opened, and why; nothing of it was changed.
type Refused struct{ Path, Why string }

func (r Refused) Error() string { return r.Path + ": " + r.Why }

const (
	applicationID = 0x46726962 // "Frib": that the file is a book
	inUse         = 1          // the user version while a book is open
	closed        = 0          // and once it was closed as it should be

	// checked is how large a book may be that is checked whole at every opening, bytes; a larger one is
	// checked where it was not closed as it should be.
	checked = 64 << 20
)

// file is the book's file as it was opened: held by a lock, and looked at before anything is read or written.
type file struct {
	path string
	lock *flock.Flock
	was  os.FileInfo // nil while it is being opened
}

// hold locks a book against other programs of its kind. The lock is a file beside it.
func hold(path string) (*flock.Flock, error) {
	lock := flock.New(path+".lock", flock.SetPermissions(0o600))
	held, err := lock.TryLock()
	if err != nil {
		return nil, Refused{path, "cannot be locked: " + err.Error()}
	}
	if !held {
		return nil, Refused{path, "is open in another Fribbet. Stop that one first; one book has one server"}
	}
	return lock, nil
}

// there tells whether the file is still the one that was opened.
func (f file) there() error {
	now, err := os.Stat(f.path)
	if err != nil || !os.SameFile(now, f.was) {
		return ErrGone
	}
	return nil
}

// header is what the first hundred bytes of a database say, read without opening it (SQLite, Database
// File Format, 1.3).
type header struct {
	state, id uint32
}

func headerOf(path string) (header, error) {
	opened, err := os.Open(path)
	if err != nil {
		return header{}, err
	}
	defer opened.Close() //nolint:errcheck // it was only read
	first := make([]byte, 100)
	if _, err := io.ReadFull(opened, first); err != nil || string(first[:16]) != "SQLite format 3\x00" {
		return header{}, Refused{path, "is no book of Fribbet. It was not changed"}
	}
	return header{binary.BigEndian.Uint32(first[60:]), binary.BigEndian.Uint32(first[68:])}, nil
}

// look refuses a file that is none of ours, cut, damaged, of a later version or half a copy, before anything
// is written to it.
func look(ctx context.Context, path string) error {
	refuse := func(why string, args ...any) error { return Refused{path, fmt.Sprintf(why, args...)} }
	info, err := os.Stat(path)
	if err != nil {
		return err
	}
	if info.IsDir() {
		return refuse("is a directory; name a file")
	}
	if info.Size() == 0 {
		return nil // a new one
	}
	head, err := headerOf(path)
	switch _, beside := os.Stat(path + "-wal"); {
	case err != nil:
		return err
	case head.id != 0 && head.id != applicationID:
		return refuse("belongs to another program. It was not changed")
	case head.state == inUse && errors.Is(beside, fs.ErrNotExist):
		return refuse("was copied while Fribbet was running, without the file %s-wal that belongs to it: what was told last is not in it. Copy both, or stop Fribbet first", path)
	}
	db, err := raw(path)
	if err != nil {
		return err
	}
	defer db.Close() //nolint:errcheck // it was only read
	var tables int
	if err := db.QueryRowContext(ctx, `SELECT COUNT(*) FROM sqlite_schema WHERE name IN ('dogs', 'goose_db_version')`).Scan(&tables); err != nil {
		return refuse("is damaged: %v. It was not changed; put a backup in its place", err)
	}
	if tables < 2 {
		return refuse("is no book of Fribbet, or a copy that was made without the file %s-wal. It was not changed", path)
	}
	if err := known(ctx, db, refuse); err != nil {
		return err
	}
	if head.state == inUse || info.Size() < checked {
		return whole(ctx, db, refuse)
	}
	return nil
}

// known refuses a book that a later version of the program wrote.
func known(ctx context.Context, db *sql.DB, refuse func(string, ...any) error) error {
	var version, newest int64
	if err := db.QueryRowContext(ctx, `SELECT COALESCE(MAX(version_id), 0) FROM goose_db_version WHERE is_applied`).Scan(&version); err != nil {
		return refuse("is damaged: %v. It was not changed", err)
	}
	files, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return err
	}
	names, err := fs.Glob(files, "*.sql")
	if err != nil {
		return err
	}
	for _, name := range names {
		if v, err := goose.NumericComponent(name); err == nil {
			newest = max(newest, v)
		}
	}
	if version > newest {
		return refuse("was written by a later version of Fribbet (%d, this one knows %d). Use that one. It was not changed", version, newest)
	}
	return nil
}

// whole refuses a book that is cut or damaged.
func whole(ctx context.Context, db *sql.DB, refuse func(string, ...any) error) error {
	var says string
	if err := db.QueryRowContext(ctx, `PRAGMA quick_check(1)`).Scan(&says); err != nil {
		says = err.Error()
	}
	if says != "ok" {
		return refuse("is damaged: %s. It was not changed; put a backup in its place", says)
	}
	return nil
}

// marked says in the file itself that it is a book, and whether it is open.
func (s *Store) marked(ctx context.Context, state int) error {
	_, err := s.db.ExecContext(ctx, fmt.Sprintf(`PRAGMA application_id = %d; PRAGMA user_version = %d; PRAGMA wal_checkpoint(TRUNCATE)`, applicationID, state))
	return err
}

// InOwnWords turns what SQLite says of the file into the store's words.
func InOwnWords(err error) error {
	var said *sqlite.Error
	if !errors.As(err, &said) {
		return err
	}
	switch said.Code() & 0xff { // the low byte is what kind of error it is
	case sqlitelib.SQLITE_FULL:
		return fmt.Errorf("%w: the disk is full (%w)", ErrCannotWrite, err)
	case sqlitelib.SQLITE_READONLY:
		return fmt.Errorf("%w: the file is read-only (%w)", ErrCannotWrite, err)
	case sqlitelib.SQLITE_IOERR, sqlitelib.SQLITE_CANTOPEN:
		return fmt.Errorf("%w: the disk does not answer (%w)", ErrCannotWrite, err)
	default:
		return err
	}
}
