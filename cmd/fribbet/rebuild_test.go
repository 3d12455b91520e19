package main

import (
	"bytes"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestRebuildSaysWhatItDid(t *testing.T) {
	cmd := rebuildCommand()
	var out bytes.Buffer
	cmd.SetOut(&out)
	cmd.SetArgs([]string{"--data", filepath.Join(t.TempDir(), "book.db")})
	require.NoError(t, cmd.ExecuteContext(t.Context()))
	assert.Equal(t, "Worked out 0 sittings from their logs.\n", out.String())
}
