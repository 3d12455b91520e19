// Package storetest is for tests alone: empty books, laid out once and copied, since to lay one out takes longer than
// most of what a test does with it.
package storetest

import (
	"context"
	"os"
	"path/filepath"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"fribbet/internal/store"
)

var empty = sync.OnceValues(func() ([]byte, error) {
	dir, err := os.MkdirTemp("", "fribbet-empty-")
	if err != nil {
		return nil, err
	}
	defer os.RemoveAll(dir) //nolint:errcheck // a place of its own in the system's throw-away one
	path := filepath.Join(dir, "book.db")
	kept, err := store.Open(context.Background(), path)
	if err != nil {
		return nil, err
	}
	if err := kept.Close(); err != nil {
		return nil, err
	}
	return os.ReadFile(path)
})

// Empty is the file of an empty book, in a place that goes with the test.
func Empty(t testing.TB) (path string) {
	t.Helper()
	book, err := empty()
	require.NoError(t, err)
	path = filepath.Join(t.TempDir(), "a book.db")
	require.NoError(t, os.WriteFile(path, book, 0o600))
	return path
}
