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

func TestNobodyElseIsAnsweredWithoutAPassphrase(t *testing.T) {
	for _, own := range []string{"127.0.0.1:8642", "localhost:0", "[::1]:80", "127.9.9.9:1"} {
		gate, house, err := new(network).gate(t.Context(), own, filepath.Join(t.TempDir(), "book.db"))
		require.NoError(t, err, own)
		assert.Nil(t, gate.Access)
		assert.Nil(t, house)
	}
	for listen, d := range map[string]*network{
		"8642": {}, "dogs.example:80": {}, "0.0.0.0:1": {}, "[::]:80": {}, "192.168.1.4:8642": {},
		"0.0.0.0:2": {proxy: true, names: []string{"dogs.example"}}, "127.0.0.1:2": {proxy: true}, "0.0.0.0:3": {cert: "x.pem"},
	} {
		_, _, err := d.gate(t.Context(), listen, filepath.Join(t.TempDir(), "book.db"))
		require.Error(t, err, listen)
	}
	t.Setenv("FRIBBET_PASSPHRASE", "too short")
	_, _, err := new(network).gate(t.Context(), "0.0.0.0:1", filepath.Join(t.TempDir(), "book.db"))
	require.ErrorContains(t, err, "at least 12 letters")
	t.Setenv("FRIBBET_PASSPHRASE", "four plain words here")
	gate, house, err := new(network).gate(t.Context(), "0.0.0.0:1", filepath.Join(t.TempDir(), "book.db"))
	require.NoError(t, err)
	assert.NotNil(t, gate.Certificate)
	assert.Len(t, house.Fingerprint(), 95)
	require.NoError(t, gate.Access.Close())
}

func TestAPretendedDayKeepsTheTimeOfDay(t *testing.T) {
	now, err := clock("2027-03-28") // the day on which summer time begins in much of Europe
	require.NoError(t, err)
	assert.Equal(t, date.MustParse("2027-03-28"), date.Of(now()))
	ten, err := clock("2027-03-28T10:00")
	require.NoError(t, err)
	assert.Equal(t, "2027-03-28 10:00", ten().Format("2006-01-02 15:04"))
	_, err = clock("2027-03-28T25:00")
	require.ErrorContains(t, err, "the hour must be")
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
