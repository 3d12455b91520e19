// Package store keeps the book in one SQLite file. It knows the job's words, not its rules.
//
// In its words:
//
//   - log: a sitting's events; what all else of it is worked out from
//   - projection: a table that is worked out from the logs: sittings, records, cuts, readings, landmarks
//   - standing: see package book
//   - owed: what is to be worked out anew since an upgrade
//   - withdrawn, removed, ended: taken back by the user: kept, and counts no more
package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"io/fs"
	"log/slog"
	"math"
	"math/rand/v2"
	"os"
	"slices"
	"strings"
	"sync"
	"sync/atomic"
	"time"

	"github.com/jmoiron/sqlx"
)

var (
	// ErrNotFound says that there is no such dog or sitting.
	ErrNotFound = errors.New("not found")
	// ErrConflict says that the dog was changed since it was read.
	ErrConflict = errors.New("changed elsewhere")
	// ErrGrown says that somebody else's events came into a log since it was read.
	ErrGrown = errors.New("told of meanwhile")
	// ErrOtherDogs says that a sitting's id is that of another dog's.
	ErrOtherDogs error = notHere("a trim of another dog")
	// ErrTakenBack says that a sitting was taken back: it is told no more.
	ErrTakenBack error = notHere("a trim that was deleted")
)

// notHere is why something is not found where it was looked for.
type notHere string

func (n notHere) Error() string { return string(n) }

// Is tells that it is not found, too.
func (n notHere) Is(err error) bool { return err == ErrNotFound }

// ErrElsewhere says that events of these ids are in another sitting's log.
type ErrElsewhere struct{ IDs []string }

func (e ErrElsewhere) Error() string {
	return "events of another trim: " + strings.Join(e.IDs, ", ")
}

// Store is an open book.
type Store struct {
	db   *sqlx.DB
	file file

	lost       atomic.Pointer[Gone] // what became of the file, where it cannot be put back
	statements sync.Map             // *sqlx.Stmt by their text: what every tap asks is worked out once
	keys       keys
	picturing  sync.Mutex    // holds files of pictures and the rows that name them together
	writing    chan struct{} // holds the one who writes
	writes     atomic.Uint64
}

// idleConnections are kept open for the next request: a new one reads the whole schema first.
const idleConnections = 8

// Option is how a book is opened.
type Option func(*opening)

type opening struct {
	existing    bool
	synchronous string
	progress    func(done, all int)
}

var (
	// Existing opens a file that is there already; it makes none.
	Existing Option = func(o *opening) { o.existing = true }
	// ThrowAway opens a file that nobody will miss: it is not held until the disk has it.
	ThrowAway Option = func(o *opening) { o.synchronous = "OFF" }
)

// Telling is told how far the work is that an older book needs: sittings worked out again, of all.
func Telling(progress func(done, all int)) Option { return func(o *opening) { o.progress = progress } }

// Open opens the file, making it and bringing its tables up to date as needed. It returns Refused for one
// that is no book, is damaged, of a later version, half a copy, or open elsewhere.
func Open(ctx context.Context, path string, options ...Option) (*Store, error) {
	how := opening{synchronous: "FULL", progress: func(int, int) {}}
	for _, set := range options {
		set(&how)
	}
	path = itself(path)
	_, err := os.Stat(path)
	switch missing := errors.Is(err, fs.ErrNotExist); {
	case brokenOff(path):
		return nil, Refused{
			path,
			"is not there: a restore was broken off just before it was done. Restore the backup once more",
		}
	case (missing || notBegun(path)) && newestBackup(path) != "":
		return nil, Refused{
			path,
			fmt.Sprintf(
				"is not there or empty, and its backups are%s. To begin a new book, move %s away first",
				offer(path),
				backupsOf(path),
			),
		}
	case err != nil && (how.existing || !missing):
		return nil, Refused{path, "is not there: name the file of a book"}
	}
	made, err := os.OpenFile(path, os.O_RDONLY|os.O_CREATE, 0o600) // nobody else's to read
	if err != nil {
		return nil, Refused{path, "cannot be made: " + err.Error()}
	}
	_ = made.Close() // it was only made
	held, err := hold(ctx, path)
	if err != nil {
		return nil, err
	}
	err = removed(path+restoring, besides...) // of a restore that was broken off before it changed anything
	if err == nil {
		err = look(ctx, path)
	}
	if err == nil {
		err = strayLog(path)
	}
	var s *Store
	if err == nil {
		s, err = how.prepared(ctx, path)
	}
	if err != nil {
		return nil, errors.Join(err, held.Unlock())
	}
	s.file.lock = held
	return s, nil
}

// prepared is a book that this program holds.
func (how opening) prepared(ctx context.Context, path string) (*Store, error) {
	db, err := sqlx.Open(
		keeping,
		dsn(
			path,
			[]string{
				"busy_timeout(5000)",
				"journal_mode(WAL)",
				"foreign_keys(1)",
				"synchronous(" + how.synchronous + ")",
			},
		),
	)
	if err != nil {
		return nil, fmt.Errorf("open %s: %w", path, err)
	}
	db.SetMaxIdleConns(idleConnections)
	mark := 1 + rand.Uint32N(math.MaxInt32-1) //nolint:gosec // tells files apart, and guards nothing
	s := &Store{db: db, file: file{path: path, mark: mark}, writing: make(chan struct{}, 1)}
	err = s.keys.read(path)
	if err == nil {
		err = s.marked(ctx, s.file.mark)
	}
	if err == nil {
		err = migrate(ctx, db.DB)
	}
	if err == nil {
		err = s.finishUpgrade(ctx, how.progress)
	}
	if err == nil {
		err = s.file.opened()
	}
	if err == nil {
		err = s.tidyPictures(ctx)
	}
	if err != nil {
		return nil, errors.Join(fmt.Errorf("prepare %s: %w", path, InOwnWords(err)), db.Close(), s.file.shut())
	}
	return s, nil
}

// There tells whether the book's file is still the one that was opened: ErrGone when it is not. Where its log was
// taken away, what that held is put into the one file at once, as long as this program has it; where the file was
// written over, the log goes, since it would be read into what is there now.
func (s *Store) There() error {
	if lost := s.lost.Load(); lost != nil {
		return *lost
	}
	err := s.file.there()
	var gone Gone
	if !errors.As(err, &gone) || gone.How == wasRemoved || gone.How == wasReplaced { // it may be put back
		return err
	}
	if s.lost.CompareAndSwap(nil, &gone) {
		switch gone.How {
		case lostItsLog:
			err = s.marked(context.Background(), closed)
		default:
			err = s.file.logGone()
		}
		if err != nil {
			slog.Error("the book is gone", "how", gone.How, "err", err)
		}
	}
	return *s.lost.Load()
}

// Close closes the file, and says in it that it was closed as it should be. One that is no longer what was opened is
// left as it is.
func (s *Store) Close() error {
	err := s.There()
	var gone Gone
	switch errors.As(err, &gone); gone.How {
	case "":
		if err = s.db.Close(); err == nil {
			err = closedWell(context.Background(), s.file.path)
		}
		if errors.Is(err, errRead) {
			err = nil // it stays with its log, as after a kill
		}
	case wasOverwritten, lostItsLog:
		_ = s.db.Close() // it has nothing more to write
	default:
		_ = s.marked(context.Background(), closed) // it may stand elsewhere, and is whole there
		err = errors.Join(err, s.db.Close(), s.file.logGone())
	}
	return errors.Join(err, s.file.shut(), s.file.lock.Unlock())
}

// write runs do in one transaction: all of it is kept, or nothing. A file that is gone takes nothing. One
// writes at a time: who waits is woken when its turn comes, where SQLite would let it sleep and try again.
func (s *Store) write(ctx context.Context, do func(*sqlx.Tx) error) error {
	select {
	case s.writing <- struct{}{}:
		defer func() { <-s.writing }()
	case <-ctx.Done():
		return ctx.Err()
	}
	if s.file.log != nil { // while it is opened it is not looked at yet
		if err := s.There(); err != nil {
			return err
		}
	}
	defer s.writes.Add(1) // also of one that failed: that it kept nothing is not worth knowing
	return s.transaction(ctx, nil, do)
}

// Writes is how often something was written since the book was opened: as long as it stays, nothing has changed.
func (s *Store) Writes() uint64 { return s.writes.Load() }

// read runs do on the book as it stands at one moment, while others may write.
func (s *Store) read(ctx context.Context, do func(*sqlx.Tx) error) error {
	return s.transaction(ctx, &sql.TxOptions{ReadOnly: true}, do)
}

func (s *Store) transaction(ctx context.Context, options *sql.TxOptions, do func(*sqlx.Tx) error) error {
	tx, err := s.db.BeginTxx(ctx, options)
	if err != nil {
		return err
	}
	if err := do(tx); err != nil {
		return errors.Join(err, tx.Rollback())
	}
	return tx.Commit()
}

// exec writes with one statement.
func (s *Store) exec(ctx context.Context, text string, args ...any) (done sql.Result, err error) {
	err = s.write(ctx, func(tx *sqlx.Tx) error {
		done, err = tx.ExecContext(ctx, text, args...)
		return err
	})
	return done, err
}

// mustTouch turns a change that met no row into ErrNotFound.
func mustTouch(done sql.Result, err error) error {
	if err != nil {
		return err
	}
	if n, err := done.RowsAffected(); err != nil || n > 0 {
		return err
	}
	return ErrNotFound
}

// instantForm is fixed in width, so that instants sort as text.
const instantForm = "2006-01-02T15:04:05.000Z"

func instant(t time.Time) string { return t.UTC().Format(instantForm) }

// Instant is a moment as the book writes it.
func Instant(t time.Time) string { return instant(t) }

// orNotFound turns the driver's word for no row into the store's.
func orNotFound(err error) error {
	if errors.Is(err, sql.ErrNoRows) {
		return ErrNotFound
	}
	return err
}

// insertAll runs one INSERT … VALUES (…) over many rows, some hundred in one statement.
func insertAll[T any](ctx context.Context, tx *sqlx.Tx, text string, rows []T) error {
	const atOnce = 500 // well below the variables that SQLite takes
	for some := range slices.Chunk(rows, atOnce) {
		if _, err := tx.NamedExecContext(ctx, text, some); err != nil {
			return err
		}
	}
	return nil
}

// query is a question and the slice of rows that takes its answer.
type query struct {
	into any
	text string
}

// selectAll asks every query with the same arguments.
func (s *Store) selectAll(ctx context.Context, tx *sqlx.Tx, args []any, queries ...query) error {
	for _, q := range queries {
		statement, err := s.statement(q.text)
		if err != nil {
			return err
		}
		if err := tx.StmtxContext(ctx, statement).SelectContext(ctx, q.into, args...); err != nil {
			return err
		}
	}
	return nil
}

// rows asks for all rows, and row for the one.
func (s *Store) rows(ctx context.Context, into any, text string, args ...any) error {
	statement, err := s.statement(text)
	if err != nil {
		return err
	}
	return statement.SelectContext(ctx, into, args...)
}

func (s *Store) row(ctx context.Context, into any, text string, args ...any) error {
	statement, err := s.statement(text)
	if err != nil {
		return err
	}
	return statement.GetContext(ctx, into, args...)
}

// statement is a question as SQLite has worked it out, kept for the next time.
func (s *Store) statement(text string) (*sqlx.Stmt, error) {
	if kept, is := s.statements.Load(text); is {
		return kept.(*sqlx.Stmt), nil
	}
	made, err := s.db.Preparex(text)
	if err != nil {
		return nil, err
	}
	if kept, is := s.statements.LoadOrStore(text, made); is { // another was first
		return kept.(*sqlx.Stmt), made.Close()
	}
	return made, nil
}
