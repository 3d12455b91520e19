package due

import (
	"errors"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/words/wordstest"
)

func TestEveryRhythmHasWords(t *testing.T) {
	for _, r := range rhythm.Rhythms() {
		assert.NotEmpty(t, wordstest.Of(r.IsUp()))
		assert.Positive(t, r.Days())
	}
}

func TestReasonsReadLikeWords(t *testing.T) {
	for n, want := range map[int]string{
		1: "LF5 reaches the floor", 2: "LF5 and LF4 reach the floor",
		3: "LF5, LF4 and LF3 reach the floor", 8: "LF5, LF4 and 6 more reach the floor",
	} {
		var nails []TrimmedNail
		for _, c := range nail.All() {
			if c.Group() == nail.Fore && len(nails) < n {
				nails = append(nails, on(c.String(), 0.3, 1, 3))
			}
		}
		next, err := After(trim(nails...))
		require.NoError(t, err)
		assert.Equal(t, want, wordstest.Of(trim(nails...).Reason(next)))
	}
}

func TestCheckNamesEveryWrongField(t *testing.T) {
	bad := on("LF3", -1, 0.8, 99)
	tr := trim(on("LF2", 1, 1, 1), bad, on("LF2", 1, 1, 1))
	tr.Weight, tr.Rhythm, tr.Workdays.Weekdays = 500, "yearly", 0
	_, err := After(tr)
	var faults fault.Fields
	require.True(t, errors.As(err, &faults))
	var names []string
	for _, f := range faults {
		names = append(names, f.Name)
	}
	assert.Equal(
		t,
		[]string{"rhythm", "working_weekdays", "weight_kg", "nails[1].gap_mm", "nails[1].spare_mm", "nails[2].code"},
		names,
	)
	assert.Contains(t, wordstest.Err(err), "500")
}

// Hind outer nails of an active dog often need nothing (common practice, no source).
func TestWhatCanWaitIsToldByGroup(t *testing.T) {
	next := Next{}
	for _, c := range nail.All() {
		if c.Standard() {
			next.PerNail = append(next.PerNail, NailDate{Code: c, CanWait: c.Group() == nail.HindOuter || c.Dewclaw()})
		}
	}
	assert.Equal(t, "hind outer nails can wait", wordstest.Of(next.Waits()))
	next.PerNail[0].CanWait = true
	assert.Equal(t, "LF5, hind outer nails can wait", wordstest.Of(next.Waits()))
	for i := range next.PerNail {
		next.PerNail[i].CanWait = i > 0
	}
	assert.Empty(t, wordstest.Of(next.Waits()), "when nearly all wait, it says nothing")
}

func TestExplanationTellsEveryRule(t *testing.T) {
	tr := trim(on("LF3", 1.06, 0.8, 1.5), on("LF1", 0, 1.1, 1.5))
	tr.Workdays.Weekdays = date.WeekdaysOf(time.Monday, time.Friday)
	next, err := After(tr)
	require.NoError(t, err)
	e := tr.Explain(next)
	assert.Regexp(
		t,
		`^LF3 reaches the floor: \d+ days after the last trim, done (a day|\d+ days) sooner, on the last working day before`,
		wordstest.Of(e.Sentence),
	)
	rules := slices.DeleteFunc(
		Rules(),
		func(r Rule) bool { return r == Rest || r == Agreed || r == Refused },
	) // nothing was left over or agreed
	require.Len(t, e.Rows, len(rules))
	decides := 0
	for i, row := range e.Rows {
		assert.Equal(t, rules[i], row.Rule)
		assert.NotEmpty(t, wordstest.Of(row.Words))
		assert.Equal(t, row.Rule != Drift, row.Followed, "the break-even rhythm is told, not followed")
		if row.Decides {
			decides++
			assert.Equal(t, Floor, row.Rule)
			assert.Equal(t, next.Earliest, row.Due)
			assert.Equal(t, row.Due.Sub(monday), row.Days)
		}
	}
	assert.Equal(t, 1, decides)
}
