package main

import (
	"bytes"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
)

func TestOnlyThisMachinesOwnAddressesAreTaken(t *testing.T) {
	for _, good := range []string{"127.0.0.1:8642", "localhost:0", "[::1]:80", "127.9.9.9:1"} {
		assert.NoError(t, loopback(good), good)
	}
	for _, bad := range []string{"0.0.0.0:8642", ":8642", "192.168.1.4:8642", "[::]:80", "dogs.example:80", "8642"} {
		err := loopback(bad)
		require.Error(t, err, bad)
		assert.Contains(t, err.Error(), "--listen "+bad)
	}
}

func TestAPretendedDayKeepsTheTimeOfDay(t *testing.T) {
	now, err := clock("2027-03-28") // the day on which summer time begins in much of Europe
	require.NoError(t, err)
	assert.Equal(t, date.MustParse("2027-03-28"), date.Of(now()))
	_, err = clock("28 March")
	require.Error(t, err)
	assert.Contains(t, err.Error(), "28 March")
	real, err := clock("")
	require.NoError(t, err)
	assert.WithinDuration(t, time.Now(), real(), time.Minute)
}

func TestTheBookIsKeptUnderTheDataDirectory(t *testing.T) {
	home := t.TempDir()
	t.Setenv("XDG_DATA_HOME", "")
	t.Setenv("HOME", home)
	file, err := dataFile()
	require.NoError(t, err)
	assert.Equal(t, filepath.Join(home, ".local", "share", "fribbet", "fribbet.db"), file)
	assert.DirExists(t, filepath.Dir(file))
	other := t.TempDir()
	t.Setenv("XDG_DATA_HOME", other)
	file, err = dataFile()
	require.NoError(t, err)
	assert.Equal(t, filepath.Join(other, "fribbet", "fribbet.db"), file)
}

func TestTheDemoNeverWritesIntoABook(t *testing.T) {
	book := filepath.Join(t.TempDir(), "mine.db")
	require.NoError(t, os.WriteFile(book, []byte("dogs"), 0o600))
	cmd := demoCommand()
	cmd.SetArgs([]string{"--data", book})
	cmd.SetOut(&bytes.Buffer{})
	cmd.SetErr(&bytes.Buffer{})
	err := cmd.Execute()
	require.Error(t, err)
	assert.Contains(t, err.Error(), "mine.db is there already")
	kept, err := os.ReadFile(book)
	require.NoError(t, err)
	assert.Equal(t, "dogs", string(kept))
}
