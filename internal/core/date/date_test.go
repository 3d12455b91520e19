package date

import (
	"fribbet/internal/words/wordstest"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestParseRefusesWhatTheCalendarDoesNotHave(t *testing.T) {
	for _, bad := range []string{"2025-02-29", "2025-13-01", "1 May 2025", "2025-5-1", ""} {
		_, err := Parse(bad)
		require.Error(t, err, bad)
		assert.Contains(t, wordstest.Err(err), bad)
	}
}

// Gregorian leap years: ISO 8601 (published).
func TestLeapDays(t *testing.T) {
	assert.Equal(t, "2024-02-29", MustParse("2024-02-28").AddDays(1).String())
	assert.Equal(t, "2100-03-01", MustParse("2100-02-28").AddDays(1).String())
	assert.Equal(t, "2025-03-01", MustParse("2024-02-29").AddYears(1).String())
}

func TestDaysAreCalendarDaysThroughTheYear(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := New(2020, time.January, rapid.IntRange(1, 4000).Draw(t, "day"))
		n := rapid.IntRange(-2000, 2000).Draw(t, "n")
		if got := d.AddDays(n).Sub(d); got != n {
			t.Fatalf("%v and %d days are %d apart", d, n, got)
		}
	})
}

func TestLatestWorkingDay(t *testing.T) {
	monday := MustParse("2026-11-23")
	weekend := Workdays{Weekdays: WeekdaysOf(time.Saturday, time.Sunday)}
	got, ok := weekend.LatestIn(monday, monday.AddDays(8))
	assert.True(t, ok)
	assert.Equal(t, "2026-11-29", got.String())
	_, ok = weekend.LatestIn(monday, monday.AddDays(3))
	assert.False(t, ok, "no weekend day from Tuesday to Thursday")
	assert.Equal(t, "2026-11-28", weekend.FirstAfter(monday).String())
	assert.Equal(t, []string{"sat", "sun"}, weekend.Names())
}

func TestHolidaysAreNotWorked(t *testing.T) {
	monday := MustParse("2026-11-23")
	away := Workdays{EveryDay, []Span{{monday.AddDays(2), monday.AddDays(4)}}}
	got, ok := away.LatestIn(monday, monday.AddDays(3))
	assert.True(t, ok)
	assert.Equal(t, monday.AddDays(1), got, "moved before the holiday")
	_, ok = away.LatestIn(monday.AddDays(1), monday.AddDays(4))
	assert.False(t, ok)
	assert.Equal(t, monday.AddDays(5), away.FirstAfter(monday.AddDays(1)), "or after it")
}

func TestSpansThatCannotBe(t *testing.T) {
	monday := MustParse("2026-11-23")
	assert.Empty(t, Span{monday, monday}.Check(), "a single day off")
	assert.Equal(t, "to", Span{monday, monday.AddDays(-1)}.Check()[0].Name)
	assert.Equal(t, "to", Span{monday, monday.AddDays(MostSpan)}.Check()[0].Name)
	assert.Equal(t, "from", Span{To: monday}.Check()[0].Name)
}

func TestWeekdaysAsAList(t *testing.T) {
	var set Weekdays
	require.NoError(t, set.UnmarshalJSON([]byte(`["mon","sat"]`)))
	assert.Equal(t, []string{"mon", "sat"}, set.Names())
	for _, bad := range []string{`5`, `["someday"]`} {
		require.Error(t, set.UnmarshalJSON([]byte(bad)), bad)
	}
}
