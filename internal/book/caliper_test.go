package book

import (
	"context"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/caliper"
	"fribbet/internal/standin"
	"fribbet/internal/words/wordstest"
)

func receive(t *testing.T, readings <-chan caliper.Reading) (caliper.Reading, bool) {
	t.Helper()
	select {
	case r, open := <-readings:
		return r, open
	case <-time.After(5 * time.Second):
		require.Fail(t, "nothing came")
		return caliper.Reading{}, false
	}
}

// The stand-in with a good link, garbage, half a reading, silence, and no link any more.
func TestOnlyWholeReadingsOfTheCaliperCount(t *testing.T) {
	device := &standin.Caliper{}
	linked, stop := context.WithCancel(ctx)
	defer stop()
	readings := readings(linked, device)
	device.Send(12.53)
	got, _ := receive(t, readings)
	assert.Equal(t, caliper.Reading{MM: 12.53}, got)
	device.Garble()
	got, _ = receive(t, readings)
	assert.NotEmpty(t, wordstest.Of(got.Trouble))
	device.Half(12.53)
	got, _ = receive(t, readings) // after a silence
	assert.Contains(t, wordstest.Of(got.Trouble), "Half a reading")
	device.Send(9)
	got, _ = receive(t, readings)
	assert.Equal(t, caliper.Reading{MM: 9}, got, "the half is not put before it")
	device.Unplug()
	got, _ = receive(t, readings)
	assert.Contains(t, wordstest.Of(got.Trouble), "broken")
	_, open := receive(t, readings)
	assert.False(t, open)
}

func TestAReaderThatGoesAwayLeavesTheCaliperFree(t *testing.T) {
	device := &standin.Caliper{}
	linked, stop := context.WithCancel(ctx)
	readings := readings(linked, device)
	stop()
	_, open := receive(t, readings)
	assert.False(t, open)
	for range 100 {
		device.Send(1) // nobody listens: it must not wait for anyone
	}
	device.Unplug()
}
