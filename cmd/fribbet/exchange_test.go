package main

import (
	"bytes"
	"context"
	"encoding/json"
	"path/filepath"
	"testing"
	"time"

	"github.com/spf13/cobra"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/book"
	"fribbet/internal/core/dog"
	"fribbet/internal/store"
)

// said runs a command as the terminal would, and returns what it said.
func said(t *testing.T, cmd *cobra.Command, args ...string) (string, error) {
	t.Helper()
	var out bytes.Buffer
	cmd.Flags().Bool("json", false, "")
	cmd.SetArgs(args)
	cmd.SetOut(&out)
	cmd.SetErr(&bytes.Buffer{})
	cmd.SilenceUsage, cmd.SilenceErrors = true, true
	err := cmd.ExecuteContext(t.Context())
	return out.String(), err
}

// A book goes out and comes into another by commands alone; the list for scripts says the same of both.
func TestABookGoesOutAndInByCommands(t *testing.T) {
	place := t.TempDir()
	from, to, out := filepath.Join(place, "from.db"), filepath.Join(place, "to.db"), filepath.Join(place, "out.zip")
	kept, err := store.Open(t.Context(), from)
	require.NoError(t, err)
	name, age := "Moss", 4.0
	_, err = book.New(kept, time.Now, book.Options{}).
		AddDog(t.Context(), dog.Changes{Name: &name, AgeYears: &age, Weights: []dog.Weight{{Kg: 22}}})
	require.NoError(t, err)
	require.NoError(t, kept.Close())

	_, err = said(t, exportCommand(), out, "--data", from)
	require.NoError(t, err)
	_, err = said(t, exportCommand(), out, "--data", from)
	require.ErrorContains(t, err, "is there already")
	_, err = said(t, importCommand(), out, "--data", to)
	require.ErrorContains(t, err, "is not there", "a slip in the name makes no second book")
	assert.NoFileExists(t, to)
	tried, err := said(t, importCommand(), out, "--data", to, "--new", "--try")
	require.NoError(t, err)
	assert.Contains(t, tried, "dogs                 1 new")
	text, err := said(t, importCommand(), out, "--data", to, "--json")
	require.NoError(t, err)
	var took book.ImportResult
	require.NoError(t, json.Unmarshal([]byte(text), &took))
	assert.NotEmpty(t, took.Backup)
	again, err := said(t, importCommand(), out, "--data", to)
	require.NoError(t, err)
	assert.Contains(t, again, "Nothing in it is new.")

	first, err := said(t, dueCommand(), "--data", from, "--json")
	require.NoError(t, err, "nobody is due")
	second, err := said(t, dueCommand(), "--data", to, "--json")
	require.NoError(t, err)
	assert.Equal(t, first, second)
	assert.Contains(t, first, `"name":"Moss"`)
	var lines []dueLine
	require.NoError(t, json.Unmarshal([]byte(first), &lines))
	_, err = said(t, exportCommand(), filepath.Join(place, "moss.zip"), "--data", to, "--dog", lines[0].ID)
	require.NoError(t, err)
	_, err = said(t, exportCommand(), filepath.Join(place, "x.zip"), "--data", to, "--dog", "Moss")
	require.ErrorContains(t, err, "must be a dog's id")
	open, err := store.Open(t.Context(), from)
	require.NoError(t, err)
	beside, err := said(t, dueCommand(), "--data", from, "--json")
	require.NoError(t, err, "while a program has the book open")
	assert.Equal(t, first, beside)
	require.NoError(t, open.Close())
	_, err = said(t, dueCommand(), "--data", filepath.Join(place, "nothing.db"))
	require.ErrorContains(t, err, "is not there")
}

// A command that is told to stop leaves no part of a file, and does not say that the book is damaged.
func TestACommandThatIsToldToStopLeavesNothing(t *testing.T) {
	place := t.TempDir()
	data := filepath.Join(place, "book.db")
	kept, err := store.Open(t.Context(), data)
	require.NoError(t, err)
	require.NoError(t, kept.Close())
	stopped, stop := context.WithCancel(t.Context())
	stop()
	for name, command := range map[string]*cobra.Command{"backup": backupCommand(), "export": exportCommand(), "rebuild": rebuildCommand()} {
		args := []string{"--data", data}
		if name != "rebuild" {
			args = append(args, filepath.Join(place, "out"))
		}
		command.Flags().Bool("json", false, "")
		command.SetArgs(args)
		command.SetOut(&bytes.Buffer{})
		command.SetErr(&bytes.Buffer{})
		command.SilenceUsage, command.SilenceErrors = true, true
		err := command.ExecuteContext(stopped)
		require.Error(t, err, name)
		assert.NotContains(t, err.Error(), "damaged", name)
	}
	left, err := filepath.Glob(filepath.Join(place, "out*"))
	require.NoError(t, err)
	assert.Empty(t, left)
	kept, err = store.Open(t.Context(), data)
	require.NoError(t, err, "and the book opens")
	require.NoError(t, kept.Close())
}
