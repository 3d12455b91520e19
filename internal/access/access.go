// Package access decides who may come in: this machine's own browser, or a device that was paired by a code
// or the passphrase. What it keeps is no part of the book: a backup carries no secret, and a restore lets no
// device in again that was withdrawn.
package access

import (
	"context"
	"crypto/sha256"
	"database/sql"
	"errors"
	"fmt"
	"log/slog"
	"net/http"
	"net/url"
	"os"
	"sync"
	"time"

	"github.com/alexedwards/scs/v2"
	"github.com/jmoiron/sqlx"
	_ "modernc.org/sqlite" // the database driver
)

// cookieDays is how long a device that does not come stays known.
const cookieDays = 90

// Access is the passphrase, the devices and their sessions, beside a book.
type Access struct {
	db       *sqlx.DB
	sessions *scs.SessionManager
	now      func() time.Time
	throttle *throttle
	hashing  sync.Mutex // a passphrase costs 64 MiB to look at: one at a time

	codes struct {
		sync.Mutex
		until map[[sha256.Size]byte]time.Time
	}
	seen struct {
		sync.Mutex
		at map[string]time.Time
	}
	guests struct { // requests under way, by device
		sync.Mutex
		of map[string]map[*context.CancelFunc]bool
	}
}

// inside is a request of a device that ends when the device is withdrawn.
func (a *Access) inside(ctx context.Context, device string) (context.Context, func()) {
	ctx, cancel := context.WithCancel(ctx)
	a.guests.Lock()
	defer a.guests.Unlock()
	if a.guests.of[device] == nil {
		a.guests.of[device] = map[*context.CancelFunc]bool{}
	}
	a.guests.of[device][&cancel] = true
	return ctx, func() {
		cancel()
		a.guests.Lock()
		defer a.guests.Unlock()
		if delete(a.guests.of[device], &cancel); len(a.guests.of[device]) == 0 {
			delete(a.guests.of, device)
		}
	}
}

// rememberTries reads the tries of before, and sees to it that later ones are written down.
func (a *Access) rememberTries() error {
	var rows []struct {
		Address string `db:"address"`
		Wrong   int    `db:"wrong"`
		Last    string `db:"last"`
		Until   string `db:"until"`
	}
	if err := a.db.Select(&rows, `SELECT * FROM tries`); err != nil {
		return err
	}
	for _, r := range rows {
		last, _ := time.Parse(time.RFC3339, r.Last) // what cannot be read is long ago
		until, _ := time.Parse(time.RFC3339, r.Until)
		a.throttle.tries[r.Address] = &tries{r.Wrong, last, until}
	}
	a.throttle.keep = func(address string, t *tries) {
		var err error
		if t == nil {
			_, err = a.db.Exec( //nolint:noctx // whoever asked may be gone
				`DELETE FROM tries WHERE address = ?`,
				address,
			)
		} else {
			//nolint:noctx // whoever asked may be gone
			_, err = a.db.Exec(`INSERT INTO tries (address, wrong, last, until) VALUES (?, ?, ?, ?)
				ON CONFLICT (address) DO UPDATE SET wrong = excluded.wrong, last = excluded.last,
					until = excluded.until`, address, t.wrong, instant(t.last), instant(t.until))
		}
		if err != nil {
			slog.Error("keeping tries", "err", err)
		}
	}
	return nil
}

const schema = `
CREATE TABLE IF NOT EXISTS passphrase (one INTEGER PRIMARY KEY CHECK (one = 1), hash TEXT NOT NULL) STRICT;
CREATE TABLE IF NOT EXISTS devices (
    id        TEXT PRIMARY KEY,
    name      TEXT NOT NULL,
    who       TEXT NOT NULL, -- a first name or sign; empty where nobody said
    paired_at TEXT NOT NULL,
    seen_at   TEXT NOT NULL
) STRICT;
CREATE TABLE IF NOT EXISTS tries (address TEXT PRIMARY KEY, wrong INTEGER NOT NULL, last TEXT NOT NULL,
	until TEXT NOT NULL) STRICT;
CREATE TABLE IF NOT EXISTS sessions (token TEXT PRIMARY KEY, body BLOB NOT NULL, until TEXT NOT NULL) STRICT;
`

// Open opens what is kept beside the book at path, making it as needed.
func Open(path string, now func() time.Time) (*Access, error) {
	file := path + ".access"
	made, err := os.OpenFile(file, os.O_RDONLY|os.O_CREATE, 0o600)
	if err != nil {
		return nil, err
	}
	if err := made.Close(); err != nil {
		return nil, err
	}
	db, err := sqlx.Open(
		"sqlite",
		"file:"+(&url.URL{Path: file}).EscapedPath()+"?_txlock=immediate&_pragma=busy_timeout(5000)",
	)
	if err != nil {
		return nil, err
	}
	if _, err := db.Exec(schema); err != nil { //nolint:noctx // before anybody asks
		return nil, errors.Join(fmt.Errorf("prepare %s: %w", file, err), db.Close())
	}
	a := &Access{db: db, now: now, sessions: scs.New(), throttle: newThrottle(now)}
	a.codes.until = map[[sha256.Size]byte]time.Time{}
	a.seen.at = map[string]time.Time{}
	a.guests.of = map[string]map[*context.CancelFunc]bool{}
	if err := a.rememberTries(); err != nil {
		return nil, errors.Join(fmt.Errorf("read %s: %w", file, err), db.Close())
	}
	a.sessions.Store = sessionTable{db, now}
	a.sessions.HashTokenInStore = true
	a.sessions.Lifetime = cookieDays * 24 * time.Hour
	a.sessions.Cookie = scs.SessionCookie{
		Name:     "__Host-fribbet",
		Path:     "/",
		HttpOnly: true,
		Secure:   true,
		SameSite: http.SameSiteStrictMode,
		Persist:  true,
	}
	return a, nil
}

// Close closes it.
func (a *Access) Close() error { return a.db.Close() }

// sessionTable keeps sessions, by the hash of their tokens.
type sessionTable struct {
	db  *sqlx.DB
	now func() time.Time
}

var _ scs.Store = sessionTable{}

func (t sessionTable) Delete(token string) error {
	_, err := t.db.Exec(`DELETE FROM sessions WHERE token = ?`, token) //nolint:noctx // the session package gives none
	return err
}

func (t sessionTable) Find(token string) (body []byte, found bool, err error) {
	err = t.db.Get(&body, `SELECT body FROM sessions WHERE token = ? AND until > ?`, token, instant(t.now()))
	if errors.Is(err, sql.ErrNoRows) {
		return nil, false, nil
	}
	return body, err == nil, err
}

func (t sessionTable) Commit(token string, body []byte, until time.Time) error {
	if _, err := t.db.Exec( //nolint:noctx // the session package gives none
		`DELETE FROM sessions WHERE until <= ?`,
		instant(t.now()),
	); err != nil { // those that ended
		return err
	}
	//nolint:noctx // the session package gives none
	_, err := t.db.Exec(`
		INSERT INTO sessions (token, body, until) VALUES (?, ?, ?)
		ON CONFLICT (token) DO UPDATE SET body = excluded.body, until = excluded.until`, token, body, instant(until))
	return err
}

func instant(t time.Time) string { return t.UTC().Format("2006-01-02T15:04:05.000Z") }
