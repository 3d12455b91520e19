package caliper

import (
	"fribbet/internal/words/wordstest"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func TestALineIsAReadingHoweverItArrives(t *testing.T) {
	var r Reader
	assert.Empty(t, r.Feed([]byte("+01")))
	assert.Empty(t, r.Feed([]byte("2.5")))
	assert.Equal(t, []Reading{{MM: 12.53}, {MM: 7}}, r.Feed([]byte("3 mm\r\n7\n")))
	_, half := r.Silent()
	assert.False(t, half)
}

func TestNonsenseIsToldAndChangesNothing(t *testing.T) {
	var r Reader
	for _, line := range []string{"#?4.!7", "NaN", "Inf", "-3.1", "0", "151", "1e400", "12.5 in", "mm"} {
		got := r.Feed([]byte(line + "\r\n"))
		if assert.Len(t, got, 1, line) {
			assert.NotEmpty(t, wordstest.Of(got[0].Trouble), line)
			assert.Zero(t, got[0].MM, line)
		}
	}
	assert.Equal(t, []Reading{{MM: 9.9}}, r.Feed([]byte("9.9\n")), "and the next good one counts")
}

func TestHalfAReadingIsNotTaken(t *testing.T) {
	var r Reader
	assert.Empty(t, r.Feed([]byte("12.")))
	got, half := r.Silent()
	assert.True(t, half)
	assert.Contains(t, wordstest.Of(got.Trouble), "12.")
	assert.Equal(t, []Reading{{MM: 5}}, r.Feed([]byte("5\n")), "the half is not put before the next")
}

func TestAnyBytesGiveOnlySensibleLengths(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var r Reader
		for range rapid.IntRange(1, 8).Draw(t, "pieces") {
			for _, got := range r.Feed(rapid.SliceOfN(rapid.Byte(), 0, 60).Draw(t, "piece")) {
				if got.Trouble.Nothing() && !(got.MM > 0 && got.MM <= Most) || math.IsNaN(got.MM) {
					t.Fatalf("took %v", got.MM)
				}
			}
			if len(r.pending) > mostLine {
				t.Fatal("a line without end is kept for ever")
			}
		}
	})
}
