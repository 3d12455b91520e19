package main

import (
	"bytes"
	"fribbet/internal/store"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestRebuildSaysWhatItDid(t *testing.T) {
	cmd := rebuildCommand()
	var out bytes.Buffer
	cmd.SetOut(&out)
	path := filepath.Join(t.TempDir(), "book.db")
	cmd.SetArgs([]string{"--data", path})
	err := cmd.ExecuteContext(t.Context())
	require.ErrorContains(t, err, "is not there")
	assert.NoFileExists(t, path, "a name typed wrong makes no book")
	made, err := store.Open(t.Context(), path)
	require.NoError(t, err)
	require.NoError(t, made.Close())
	out.Reset()
	require.NoError(t, cmd.ExecuteContext(t.Context()))
	assert.Equal(t, "Worked out 0 sittings from their logs.\n", out.String())
}
