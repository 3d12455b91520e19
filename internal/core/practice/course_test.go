package practice

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/date"
)

var monday = date.MustParse("2026-11-23")

// The published formula of SM-2: what each quality does to an easiness of 2.5, and intervals of 1, 6 and then 2.5 and
// 2.6 times as long (Wozniak 1990, worked by hand).
func TestRepetitionsAreAsPublished(t *testing.T) {
	for quality, easiness := range []float64{1.7, 1.96, 2.18, 2.36, 2.5, 2.6} {
		r := repetition{easiness: 2.5}
		r.repeat(quality)
		assert.InDelta(t, easiness, r.easiness, 1e-9, "quality %d", quality)
		assert.Equal(t, 1, r.interval)
	}
	r := repetition{easiness: 2.5}
	var intervals []int
	for _, quality := range []int{4, 4, 4, 5, 2, 4} {
		r.repeat(quality)
		intervals = append(intervals, r.interval)
	}
	assert.Equal(t, []int{1, 6, 15, 39, 1, 1}, intervals)
	for range 20 {
		r.repeat(0)
	}
	assert.InDelta(t, 1.3, r.easiness, 1e-9, "never below")
}

func days(n int, on date.Date, well bool) (all []Done) {
	for range n {
		all = append(all, Done{On: on, Well: well})
	}
	return all
}

func TestAStepIsPassedAndGoesBack(t *testing.T) {
	done := days(19, monday, true)
	s := Stands(Dark, done)
	assert.False(t, s.Passed, "twenty count")
	assert.Zero(t, s.Again)
	done = append(done, Done{On: monday, Well: true})
	s = Stands(Dark, done)
	assert.True(t, s.Passed)
	assert.Equal(t, monday.AddDays(1), s.Again)
	s = Stands(Dark, append(done, days(5, monday.AddDays(1), true)...))
	assert.Equal(t, monday.AddDays(7), s.Again)
	s = Stands(Dark, append(done, days(5, monday.AddDays(1), false)...))
	assert.False(t, s.Passed, "five of twenty went wrong")
	assert.Equal(t, 15, s.Well)
	s = Stands(Dark, append(done, Done{On: monday, Bled: true}, Done{On: monday, Bled: true}))
	assert.False(t, s.Passed, "two bled")
}

func TestWhatToPractiseNext(t *testing.T) {
	passed := Progress{Kind: Light, Passed: true, Again: monday}
	open := Progress{Kind: Dark}
	kind, is := Next([]Progress{passed, open}, monday.AddDays(-1))
	assert.True(t, is)
	assert.Equal(t, Dark, kind)
	kind, _ = Next([]Progress{passed, open}, monday)
	assert.Equal(t, Light, kind, "before it is forgotten")
	sooner := Progress{Kind: Toy, Passed: true, Again: monday.AddDays(-3)}
	kind, _ = Next([]Progress{passed, open, sooner}, monday)
	assert.Equal(t, Toy, kind)
	_, is = Next([]Progress{passed}, monday.AddDays(-1))
	assert.False(t, is)
}
