package store

import (
	"context"
	"database/sql"
	"errors"
	"net/url"
	"os"

	"github.com/jmoiron/sqlx"
	"modernc.org/sqlite"
)

// keeping is SQLite with one thing more: the log beside a file stays there when a connection closes, so that a book
// that says it is open always has one. Only a book that was closed as it should be has none (closedWell).
const keeping = "fribbet"

func init() {
	driver := &sqlite.Driver{}
	driver.RegisterConnectionHook(func(c sqlite.ExecQuerierContext, _ string) error { return keepLog(c, 1) })
	sql.Register(keeping, driver)
	sqlx.BindDriver(keeping, sqlx.QUESTION)
}

func keepLog(connection any, keep int) error {
	_, err := connection.(sqlite.FileControl).FileControlPersistWAL("main", keep)
	return err
}

func dsn(path string, pragmas []string) string {
	return uri(path, url.Values{"_txlock": {"immediate"}, "_pragma": pragmas})
}

func uri(path string, with url.Values) string {
	return "file:" + (&url.URL{Path: path}).EscapedPath() + "?" + with.Encode()
}

// readOnly is a file that is looked at and not changed, nor what stands beside it: by itself, or with its log. It does
// not open the file but through SQLite, since closing it again would end the locks of who has it open in this program.
func readOnly(path string, byItself bool) (*sql.DB, error) {
	with := url.Values{"mode": {"ro"}, "_pragma": {"busy_timeout(5000)"}}
	if byItself {
		with.Set("immutable", "1")
	}
	return sql.Open(keeping, uri(path, with))
}

// looked is readOnly of a file that nobody has open in this program.
func looked(path string) (*sql.DB, error) {
	alone, err := byItself(path)
	if err != nil {
		return nil, err
	}
	return readOnly(path, alone)
}

// byItself tells whether a file that nobody has open in this program has no log, or one that is another's.
func byItself(path string) (bool, error) {
	head, err := headerOf(path)
	if err != nil {
		return false, err
	}
	_, log := os.Stat(path + "-wal")
	return log != nil || !head.logged && head.state == closed, nil //nolint:nilerr // no log is no error
}

// tablesOf is how many tables a file has, and how many of them tell a book.
func tablesOf(ctx context.Context, db *sql.DB) (all, ours int, err error) {
	err = db.QueryRowContext(ctx, `SELECT COUNT(*), COALESCE(SUM(name IN ('dogs', 'goose_db_version')), 0)
		FROM sqlite_schema`).
		Scan(&all, &ours)
	return all, ours, err
}

// closedWell closes a book’s file as it should be: one file, in which everything is. Broken off at any moment, it is
// a book that was not closed, with its log.
func closedWell(ctx context.Context, path string) error {
	db, err := sql.Open(keeping, dsn(path, []string{"busy_timeout(5000)"}))
	if err != nil {
		return err
	}
	db.SetMaxOpenConns(1)
	err = marked(ctx, db, closed)
	if err == nil {
		err = inOneFile(ctx, db)
	}
	return errors.Join(err, db.Close())
}

// inOneFile ends the log of a book that says already that it is closed.
func inOneFile(ctx context.Context, db *sql.DB) error {
	c, err := db.Conn(ctx)
	if err != nil {
		return err
	}
	defer c.Close() //nolint:errcheck // it goes back to its pool
	if err := c.Raw(func(driver any) error { return keepLog(driver, 0) }); err != nil {
		return err
	}
	_, err = c.ExecContext(ctx, `PRAGMA journal_mode = DELETE`)
	return err
}
