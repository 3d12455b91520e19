package store

import (
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"io/fs"
	"os"
	"slices"
	"sync"
)

// keyFile is beside a book: the keys of addresses that were given away and taken back, and the calendar's as it was
// renewed last. It is no part of the book, so that no restore revives what was withdrawn.
func keyFile(path string) string { return path + ".keys" }

type keys struct {
	sync.Mutex
	Calendar  string   `json:"calendar"`  // as it was renewed last; empty: it never was
	Withdrawn []string `json:"withdrawn"` // SHA-256 of keys that open nothing any more
}

func hashOf(key string) string {
	sum := sha256.Sum256([]byte(key))
	return hex.EncodeToString(sum[:])
}

// read reads what is kept beside a book.
func (k *keys) read(path string) error {
	text, err := os.ReadFile(keyFile(path))
	if errors.Is(err, fs.ErrNotExist) {
		return nil
	}
	if err != nil {
		return err
	}
	return json.Unmarshal(text, k)
}

// withdrawn tells whether a key opens nothing any more.
func (k *keys) withdrawn(key string) bool {
	k.Lock()
	defer k.Unlock()
	return slices.Contains(k.Withdrawn, hashOf(key))
}

func (k *keys) calendar() string {
	k.Lock()
	defer k.Unlock()
	return k.Calendar
}

// withdraw takes keys back; calendar is its new one, empty where it stays.
func (k *keys) withdraw(path, calendar string, old ...string) error {
	k.Lock()
	defer k.Unlock()
	for _, key := range old {
		if hash := hashOf(key); key != "" && !slices.Contains(k.Withdrawn, hash) {
			k.Withdrawn = append(k.Withdrawn, hash)
		}
	}
	if calendar != "" {
		k.Calendar = calendar
	}
	text, err := json.MarshalIndent(k, "", " ")
	if err != nil {
		return err
	}
	part := keyFile(path) + partly
	if err := os.WriteFile(part, text, 0o600); err != nil {
		return err
	}
	if err := synced(part); err != nil {
		return err
	}
	return os.Rename(part, keyFile(path))
}
