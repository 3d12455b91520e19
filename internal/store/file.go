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
	"path/filepath"
	"syscall"
	"time"

	"github.com/gofrs/flock"
	"github.com/pressly/goose/v3"
	"modernc.org/sqlite"
	sqlitelib "modernc.org/sqlite/lib"
)

var (
	// ErrGone says that the book's file is no longer what was opened.
	ErrGone = errors.New("the book’s file is no longer what Fribbet opened")
	// ErrCannotWrite says that the file cannot be written to: the disk is full, or it is read-only.
	ErrCannotWrite = errors.New("the book cannot be written to")
	// ErrDamaged says that the file is not what SQLite wrote into it.
	ErrDamaged = errors.New("the book’s file is damaged")
)

// Gone is what became of an open book's file. It is ErrGone.
type Gone struct {
	Path, How string
	Backup    string // the newest, to be put back; empty where there is none
}

func (g Gone) Error() string {
	return fmt.Sprintf("%s %s while Fribbet was running. %s", g.Path, g.How, g.Cure())
}
func (g Gone) Is(target error) bool { return target == ErrGone }

// Cure is what is to be done then, in a sentence or two.
func (g Gone) Cure() string {
	put := "Stop Fribbet, put the file back, start it again"
	switch g.How {
	case wasOverwritten:
		put = "Stop Fribbet, and start it again to go on with what is there now"
	case lostItsLog:
		put = "What was told is in the one file all the same: stop Fribbet and start it again"
	}
	if g.Backup == "" {
		return put + "."
	}
	return fmt.Sprintf("%s; or put the newest backup in its place: fribbet restore %q --data %q", put, g.Backup, g.Path)
}

// What becomes of a file under an open book.
const (
	wasRemoved     = "was removed"
	wasReplaced    = "was replaced by another file"
	wasOverwritten = "was written over"
	lostItsLog     = "lost the file beside it, -wal, in which the newest is kept,"
)

// Refused is a file that is not opened, and why; nothing of it was changed.
type Refused struct{ Path, Why string }

func (r Refused) Error() string { return r.Path + ": " + r.Why }

const (
	applicationID = 0x46726962 // "Frib": that the file is a book
	// the user version of a book that was closed as it should be; while it is open, another each time
	closed = 0

	// checked is how large a book may be that is checked whole at every opening, bytes; a larger one is
	// checked where it was not closed as it should be.
	checked = 64 << 20

	// turn is how long an opening waits for a program that has the book for a moment: one that copies it, or is
	// just ending.
	turn = 2 * time.Second
)

// file is the book's file as it was opened: held by a lock, and looked at before anything is read or written.
type file struct {
	path string // of the file itself, not of a link to it
	lock *flock.Flock
	self *os.File // closed after SQLite's own: closing one earlier would end the locks that SQLite has on the file
	mark uint32   // its user version, as long as this program has it
	was  os.FileInfo
	log  os.FileInfo // of the file -wal beside it, which stays as long as the book is open
}

// itself is the file that a path leads to, through links; the path where nothing is there yet.
func itself(path string) string {
	if real, err := filepath.EvalSymlinks(path); err == nil {
		return real
	}
	return path
}

// hold locks a book against other programs of its kind. The lock is on the file itself, by whatever name it was opened.
func hold(ctx context.Context, path string) (*flock.Flock, error) {
	ctx, cancel := context.WithTimeout(ctx, turn)
	defer cancel()
	for {
		before, err := os.Stat(path)
		if err != nil {
			return nil, err
		}
		lock := flock.New(path, flock.SetFlag(os.O_RDONLY))
		held, err := lock.TryLockContext(ctx, turn/40)
		switch {
		case errors.Is(err, context.DeadlineExceeded):
			return nil, Refused{path, "is open in another Fribbet. Stop that one first; one book has one server"}
		case err != nil:
			return nil, Refused{path, "cannot be locked: " + err.Error()}
		}
		if now, err := os.Stat(path); held && err == nil && os.SameFile(before, now) {
			return lock, nil
		}
		_ = lock.Unlock() // it was replaced while we waited
	}
}

// opened begins to watch a file that was marked as open.
func (f *file) opened() (err error) {
	if f.self, err = os.Open(f.path); err != nil {
		return err
	}
	if f.was, err = f.self.Stat(); err != nil {
		return err
	}
	if f.log, err = os.Stat(f.path + "-wal"); err != nil {
		return err
	}
	head, err := readHeader(f.self)
	if err == nil && head.state != f.mark {
		err = errRead
	}
	return err
}

// shut ends the watching.
func (f *file) shut() error {
	if f.self == nil {
		return nil
	}
	return f.self.Close()
}

// logGone removes the log that this program kept beside a file that is another now: it would be read into that. It is
// emptied first, so that SQLite has nothing to write there when it closes.
func (f *file) logGone() error {
	now, err := os.Stat(f.path + "-wal")
	if err != nil || !os.SameFile(now, f.log) {
		return nil //nolint:nilerr // a log that is gone is what was wanted
	}
	return errors.Join(os.Truncate(f.path+"-wal", 0), removed(f.path, "-wal", "-shm"))
}

// there tells whether the file is still the one that was opened, and nobody else wrote into it.
func (f *file) there() error {
	gone := func(how string) error { return Gone{f.path, how, newestBackup(f.path)} }
	now, err := os.Stat(f.path)
	switch {
	case errors.Is(err, fs.ErrNotExist):
		return gone(wasRemoved)
	case err != nil || !os.SameFile(now, f.was):
		return gone(wasReplaced)
	}
	if head, err := readHeader(f.self); err != nil || head.state != f.mark {
		return gone(wasOverwritten)
	}
	if log, err := os.Stat(f.path + "-wal"); err != nil || !os.SameFile(log, f.log) {
		return gone(lostItsLog)
	}
	return nil
}

// header is what the first hundred bytes of a database say, read without opening it (SQLite, Database
// File Format, 1.3).
type header struct {
	state, id uint32
	logged    bool // what is told goes into a file beside it first
}

var errNoDatabase = errors.New("no database")

func readHeader(from io.ReaderAt) (header, error) {
	first := make([]byte, 100)
	if _, err := from.ReadAt(first, 0); err != nil || string(first[:16]) != "SQLite format 3\x00" {
		return header{}, errNoDatabase
	}
	return header{binary.BigEndian.Uint32(first[60:]), binary.BigEndian.Uint32(first[68:]), first[18] == 2}, nil
}

func headerOf(path string) (header, error) {
	opened, err := os.Open(path)
	if err != nil {
		return header{}, err
	}
	defer opened.Close() //nolint:errcheck // it was only read
	return readHeader(opened)
}

// notBegun tells whether a file has nothing in it yet.
func notBegun(path string) bool {
	info, err := os.Stat(path)
	return err == nil && info.Size() == 0
}

// look refuses a file that is none of ours, cut, damaged, of a later version or half a copy. It only reads:
// nothing of the file, nor of what stands beside it, is changed.
func look(ctx context.Context, path string) error {
	refuse := func(why string, args ...any) error { return Refused{path, fmt.Sprintf(why, args...)} }
	info, err := os.Stat(path)
	switch {
	case err != nil:
		return err
	case info.IsDir():
		return refuse("is a directory; name a file")
	case info.Size() == 0:
		return nil // a new one
	}
	head, err := headerOf(path)
	_, log := os.Stat(path + "-wal")
	switch {
	case errors.Is(err, errNoDatabase):
		return refuse("is no book of Fribbet. It was not changed")
	case err != nil:
		return err
	case head.id != 0 && head.id != applicationID:
		return refuse("belongs to another program. It was not changed")
	case head.state != closed && head.logged && errors.Is(log, fs.ErrNotExist):
		return refuse(
			"was copied while Fribbet was running, or lost the file %s-wal that belongs to it: "+
				"what was told last is not in it. Put both there%s",
			path,
			offer(path),
		)
	}
	db, err := looked(path)
	if err != nil {
		return err
	}
	defer db.Close() //nolint:errcheck // it was only read
	id := 0
	tables, ours, err := tablesOf(ctx, db)
	if err == nil {
		err = db.QueryRowContext(ctx, `PRAGMA application_id`).Scan(&id)
	}
	switch {
	case err != nil && ctx.Err() != nil:
		return ctx.Err()
	case err != nil:
		return refuse("is damaged: %v. It was not changed%s", err, offer(path))
	case ours < 2 && (tables == 0 || id == applicationID && head.state != closed):
		return nil // a new one that was broken off before its tables were there
	case ours < 2:
		return refuse(
			"is no book of Fribbet, or a copy that was made without the file %s-wal. It was not changed",
			path,
		)
	}
	if err := known(ctx, db, refuse); err != nil {
		return err
	}
	if head.state != closed || info.Size() < checked {
		return whole(ctx, db, path, refuse)
	}
	return nil
}

// known refuses a book that a later version of the program wrote.
func known(ctx context.Context, db *sql.DB, refuse func(string, ...any) error) error {
	var version, newest int64
	if err := db.QueryRowContext(ctx, `SELECT COALESCE(MAX(version_id), 0) FROM goose_db_version WHERE is_applied`).
		Scan(&version); err != nil {
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
		return refuse(
			"was written by a later version of Fribbet (%d, this one knows %d). Use that one. It was not changed",
			version,
			newest,
		)
	}
	return nil
}

// whole refuses a book that is cut or damaged.
func whole(ctx context.Context, db *sql.DB, path string, refuse func(string, ...any) error) error {
	var says string
	if err := db.QueryRowContext(ctx, `PRAGMA quick_check(1)`).Scan(&says); err != nil {
		if ctx.Err() != nil {
			return ctx.Err()
		}
		says = err.Error()
	}
	if says != "ok" {
		return refuse("is damaged: %s. It was not changed%s", says, offer(path))
	}
	return nil
}

// strayLog puts aside a log that belongs to another file: of a book that was closed there is none with anything in it.
// SQLite would read it into the book.
func strayLog(path string) error {
	head, err := headerOf(path)
	if err != nil || head.state != closed || head.logged {
		return nil //nolint:nilerr // what cannot be read is refused where it is opened
	}
	if info, err := os.Stat(path + "-wal"); err != nil || info.Size() == 0 {
		return nil //nolint:nilerr // no log, no stray one
	}
	return os.Rename(path+"-wal", path+"-wal"+anothers)
}

// anothers is the ending of what belonged to another file of the same name.
const anothers = ".of-another"

// marked says in the file itself that it is a book, and in whose hands.
func (s *Store) marked(ctx context.Context, state uint32) error {
	return marked(ctx, s.db.DB, state)
}

func marked(ctx context.Context, db *sql.DB, state uint32) error {
	if _, err := db.ExecContext(
		ctx,
		fmt.Sprintf(`PRAGMA application_id = %d; PRAGMA user_version = %d`, applicationID, state),
	); err != nil {
		return err
	}
	var busy, frames, moved int
	err := db.QueryRowContext(ctx, `PRAGMA wal_checkpoint(TRUNCATE)`).Scan(&busy, &frames, &moved)
	if err == nil && busy != 0 {
		err = errRead
	}
	return err
}

// errRead says that somebody reads the book just now, so that its log cannot be ended.
var errRead = errors.New("the book is being read by another program; try again when that is done")

// ofTheDisk is what the system says of a place that cannot be written to.
var ofTheDisk = map[syscall.Errno]string{
	syscall.ENOSPC: "the disk is full", syscall.EDQUOT: "the disk is full", syscall.EROFS: "the disk is read-only",
	syscall.EACCES: "the place may not be written to", syscall.EPERM: "the place may not be written to",
}

// InOwnWords turns what SQLite and the disk say of the file into the store's words.
func InOwnWords(err error) error {
	for says, words := range ofTheDisk {
		if errors.Is(err, says) {
			return fmt.Errorf("%w: %s (%w)", ErrCannotWrite, words, err)
		}
	}
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
	case sqlitelib.SQLITE_CORRUPT, sqlitelib.SQLITE_NOTADB:
		return fmt.Errorf("%w (%w)", ErrDamaged, err)
	default:
		return err
	}
}
