package access

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"strings"
	"unicode/utf8"

	"github.com/alexedwards/argon2id"
	"golang.org/x/text/unicode/norm"
)

// A passphrase is long rather than odd (NIST SP 800-63B: length counts; OWASP ASVS 5.0, 6.2).
const (
	leastLetters = 12
	mostLetters  = 128
)

// cost is above OWASP's least for Argon2id (Password Storage Cheat Sheet: 19 MiB, two passes).
var cost = &argon2id.Params{Memory: 64 * 1024, Iterations: 3, Parallelism: 2, SaltLength: 16, KeyLength: 32}

// HasPassphrase tells whether one was set.
func (a *Access) HasPassphrase(ctx context.Context) (bool, error) {
	var n int
	err := a.db.GetContext(ctx, &n, `SELECT COUNT(*) FROM passphrase`)
	return n > 0, err
}

// SetPassphrase sets another one. Devices that are paired stay so.
func (a *Access) SetPassphrase(ctx context.Context, words string) error {
	words = norm.NFC.String(words)
	if err := weak(words); err != nil {
		return err
	}
	hash, err := argon2id.CreateHash(words, cost)
	if err != nil {
		return err
	}
	_, err = a.db.ExecContext(
		ctx,
		`INSERT INTO passphrase (one, hash) VALUES (1, ?) ON CONFLICT (one) DO UPDATE SET hash = excluded.hash`,
		hash,
	)
	return err
}

// weak says why a passphrase is not taken.
func weak(words string) error {
	switch n := utf8.RuneCountInString(words); {
	case n < leastLetters:
		return fmt.Errorf("a passphrase has at least %d letters: four or five plain words are good", leastLetters)
	case n > mostLetters:
		return fmt.Errorf("a passphrase has at most %d letters", mostLetters)
	}
	different := map[rune]bool{}
	for _, r := range strings.ToLower(words) {
		different[r] = true
	}
	if len(different) < 5 {
		return errors.New("that is too easy to guess: use four or five plain words")
	}
	return nil
}

// right tells whether these are the words, in the same time whichever letter is wrong.
func (a *Access) right(ctx context.Context, words string) (bool, error) {
	var hash string
	err := a.db.GetContext(ctx, &hash, `SELECT hash FROM passphrase`)
	if errors.Is(err, sql.ErrNoRows) {
		return false, nil
	}
	if err != nil || utf8.RuneCountInString(words) > mostLetters {
		return false, err
	}
	a.hashing.Lock()
	defer a.hashing.Unlock()
	return argon2id.ComparePasswordAndHash(norm.NFC.String(words), hash)
}
