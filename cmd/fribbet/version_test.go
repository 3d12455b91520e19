package main

import (
	"bytes"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestVersionSaysItsRevision(t *testing.T) {
	was := revision
	t.Cleanup(func() { revision = was })
	revision = "v0.1.0-3-gabc"
	for flag, want := range map[string]string{"": "fribbet v0.1.0-3-gabc, go1.", "--json": `"revision":"v0.1.0-3-gabc"`} {
		var out bytes.Buffer
		cmd := versionCommand()
		cmd.Flags().Bool("json", flag != "", "")
		cmd.SetOut(&out)
		cmd.SetArgs([]string{})
		require.NoError(t, cmd.Execute())
		assert.Contains(t, out.String(), want)
	}
}
