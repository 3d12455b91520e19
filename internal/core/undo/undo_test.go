package undo_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/undo"
)

// The press is shown for a minute, and one made in time may take a quarter of one to come.
func TestWhatWasTakenAwayAMinuteAgoComesBack(t *testing.T) {
	now := time.Date(2026, 11, 30, 10, 0, 0, 0, time.UTC)
	assert.Equal(t, time.Minute, undo.For)
	assert.Equal(t, now.Add(-75*time.Second), undo.Since(now))
}
