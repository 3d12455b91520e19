package due

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/words/wordstest"
)

var monday = date.MustParse("2026-11-23")

func on(code string, gap, rate, spare float64) TrimmedNail {
	c := nail.MustParse(code)
	return TrimmedNail{
		Code:  c,
		Claw:  claw.Assumed(c, nail.Usual, 20),
		Gap:   gap,
		Rate:  growth.Rate{Mean: rate, SD: 0.2},
		Spare: spare,
	}
}

func trim(nails ...TrimmedNail) Trim {
	return Trim{
		On:       monday,
		Sat:      monday,
		Nails:    nails,
		Rhythm:   rhythm.FourWeeks,
		Workdays: date.Workdays{Weekdays: date.EveryDay},
		Weight:   20,
		Margin:   1,
	}
}

// The worked example of docs/due-example.md, by hand: a square cut of the usual nail leaves 1.57 mm of
// growth to the floor (docs/model.md, section B), which at 0.8 mm a week is 1.96 weeks: 13 days.
func TestFloorDecides(t *testing.T) {
	cut := on("LF3", 1.06, 0.8, 1.5)
	cut.Claw = cut.Claw.WithLength(14 - 2.39)
	left := cut.Claw.AtGap(1.06).GrowthToGap(0)
	assert.InDelta(t, 1.57, left, 0.02)
	slow := on("RH2", 1.5, 0.3, 1.5)
	tr := trim(cut, slow)
	next, err := After(tr)
	require.NoError(t, err)
	assert.Equal(t, Floor, next.Rule)
	assert.Equal(t, monday.AddDays(13), next.Due)
	assert.Equal(t, "LF3 reaches the floor", wordstest.Of(tr.Reason(next)))
	assert.True(t, next.Cautious.Before(next.Due))
	assert.Equal(t, int(math.Floor(7*left/(0.8+1.2816*0.2))), next.Cautious.Sub(monday))
	assert.True(t, next.PerNail[1].CanWait, "a slow hind outer nail is left out")
	assert.False(t, next.PerNail[0].CanWait)
}

func TestDewclawCurls(t *testing.T) {
	next, err := After(trim(on("LF1", 0, 2.2, 2)))
	require.NoError(t, err)
	assert.Equal(t, Curl, next.Rule)
	// turned 30° + 11/9 rad = 100.03°; 49.97° of a 9 mm arc is 7.85 mm: 3.57 weeks at 2.2 mm, 24 days
	assert.Equal(t, monday.AddDays(24), next.Due)
}

// Four weeks at most is the general ceiling, two the usual home advice (common practice, no source).
func TestRhythmIsTheCeiling(t *testing.T) {
	for every, days := range map[rhythm.Rhythm]int{
		rhythm.EveryOtherDay: 2, rhythm.TwiceAWeek: 3, rhythm.Weekly: 7, rhythm.Fortnightly: 14, rhythm.FourWeeks: 28,
	} {
		tr := trim(on("LF3", 9, 0.2, 3))
		tr.Rhythm = every
		next, err := After(tr)
		require.NoError(t, err)
		assert.Equal(t, days, next.Due.Sub(monday), every)
		assert.Equal(t, Ceiling, next.Rule)
	}
}

func TestALongQuickWaitsUntilThereIsSomethingToTake(t *testing.T) {
	tr := trim(on("LF3", 0.1, 0.8, 0.2))
	next, err := After(tr)
	require.NoError(t, err)
	assert.Equal(t, Worth, next.Rule)
	assert.True(t, next.PerNail[0].LongQuick)
	assert.Equal(t, "LF3 has enough safe to trim for a small cut", wordstest.Of(tr.Reason(next)))
	assert.Less(t, next.PerNail[0].Weeks[Floor], next.PerNail[0].Weeks[Worth])
}

func TestAWishedGapIsReachedBeforeTheFloor(t *testing.T) {
	low, high := on("LF3", 1.5, 0.8, 2), on("LF3", 1.5, 0.8, 2)
	high.WishedGap = 0.76
	a, err := After(trim(low))
	require.NoError(t, err)
	b, err := After(trim(high))
	require.NoError(t, err)
	assert.True(t, b.Due.Before(a.Due))
	assert.Equal(t, "LF3 comes down to the wished gap", wordstest.Of(trim(high).Reason(b)))
}

func TestMovedToAWorkingDay(t *testing.T) {
	tr := trim(on("LF3", 9, 0.2, 3))
	tr.Rhythm = rhythm.Weekly // due on Monday the 30th
	for day, want := range map[time.Weekday]string{time.Saturday: "2026-11-28", time.Monday: "2026-11-30", time.Tuesday: "2026-11-24"} {
		tr.Workdays.Weekdays = date.WeekdaysOf(day)
		next, err := After(tr)
		require.NoError(t, err)
		assert.Equal(t, want, next.Due.String())
		assert.False(t, next.Late)
		assert.Equal(t, "2026-11-30", next.Earliest.String())
	}
	tr.Rhythm, tr.Workdays.Weekdays = rhythm.EveryOtherDay, date.WeekdaysOf(time.Saturday)
	next, err := After(tr)
	require.NoError(t, err)
	assert.True(t, next.Late, "no Saturday by Wednesday")
	assert.Equal(t, "2026-11-28", next.Due.String())
}

func TestStandingCountsFromTheDay(t *testing.T) {
	n := Next{Due: monday}
	for days, want := range map[int]Standing{1: Late, 0: Today, -1: ThisWeek, -7: ThisWeek, -8: Later} {
		assert.Equal(t, want, n.StandingOn(monday.AddDays(days)), "%d days after", days)
	}
}

func TestAfterHoldsForAnyTrim(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var nails []TrimmedNail
		for _, c := range nail.All() {
			if rapid.Bool().Draw(t, "has "+c.String()) {
				nails = append(nails, on(
					c.String(),
					rapid.Float64Range(0, 4).
						Draw(t, "gap"),
					rapid.Float64Range(0.1, 2).Draw(t, "rate"),
					rapid.Float64Range(0, 4).Draw(t, "spare"),
				))
			}
		}
		if len(nails) == 0 {
			t.Skip("no nails")
		}
		tr := trim(nails...)
		tr.Rhythm = rapid.SampledFrom(rhythm.Rhythms()).Draw(t, "rhythm")
		tr.Workdays.Weekdays = date.Weekdays(rapid.IntRange(1, 127).Draw(t, "workdays"))
		next, err := After(tr)
		if err != nil {
			t.Fatal(err)
		}
		switch {
		case !next.Due.After(tr.On):
			t.Fatal("due on or before the sitting itself")
		case !tr.Workdays.Has(next.Due.Weekday()):
			t.Fatal("due on a day off")
		case next.Late != next.Due.After(next.Earliest):
			t.Fatal("late is not what it says")
		case next.Cautious.After(next.Due):
			t.Fatal("the cautious date is the later one")
		case len(next.Nails) == 0 || tr.Reason(next).Nothing():
			t.Fatal("no reason")
		}
		for _, d := range next.PerNail {
			if d.Due.Before(next.Earliest) {
				t.Fatalf("%v is due before the dog is", d.Code)
			}
		}
	})
}

// Keep short quicks: the break-even rhythm decides where it is asked for, and is told where not.
func TestTheBreakEvenRhythmDecidesWhenShortQuicksAreWanted(t *testing.T) {
	tr := trim(on("LF3", 9, 1, 1)) // 3.76 weeks, docs/model.md, section E
	next, err := After(tr)
	require.NoError(t, err)
	assert.Equal(t, Ceiling, next.Rule)
	assert.InDelta(t, 3.76, next.PerNail[0].Weeks[Drift], 0.01)
	tr.Short = true
	next, err = After(tr)
	require.NoError(t, err)
	assert.Equal(t, Drift, next.Rule)
	assert.Equal(t, monday.AddDays(26), next.Due)
	assert.Equal(t, "from then on the quick of LF3 would grow", wordstest.Of(tr.Reason(next)))
	tr.Follow = quick.Follow{Pull: 0.2, Rest: 4}
	other, err := After(tr)
	require.NoError(t, err)
	assert.NotEqual(t, next.Due, other.Due, "this dog's own quick follows otherwise")
}

func TestHolidaysMoveTheDate(t *testing.T) {
	tr := trim(on("LF3", 9, 0.2, 3))
	tr.Rhythm = rhythm.Weekly // due on the 30th
	tr.Workdays.Closed = []date.Span{{From: monday.AddDays(6), To: monday.AddDays(20)}}
	next, err := After(tr)
	require.NoError(t, err)
	assert.Equal(t, monday.AddDays(5), next.Due)
	assert.False(t, next.Late)
	tr.Workdays.Closed[0].From = monday
	next, err = After(tr)
	require.NoError(t, err)
	assert.Equal(t, monday.AddDays(21), next.Due)
	assert.True(t, next.Late)
	assert.Contains(t, wordstest.Of(tr.Explain(next).Sentence), "14 days late, since no working day comes before")
}

// A nail seen past its pad and a dewclaw that curls are done now, even where there is little to take.
func TestPadAndCurlWaitForNothing(t *testing.T) {
	past := on("RF3", 1, 1, 0.2)
	past.PastPad = true
	curled := on("LF1", 0, 1, 0.2)
	curled.Claw = curled.Claw.WithLength(20)
	for rule, n := range map[Rule]TrimmedNail{Pad: past, Curl: curled} {
		tr := trim(n)
		tr.Sat = date.Date{}
		next, err := After(tr)
		require.NoError(t, err)
		assert.Equal(t, rule, next.Rule)
		assert.Equal(t, monday, next.Due)
	}
}

// A date stands though a nail meets the floor before it: that is said, with the longest rhythm that
// would keep it clear. Half the rhythm is the least wait, but for what curls or is past its pad.
func TestADateStandsThoughANailTouchesBefore(t *testing.T) {
	tr := trim(on("LF3", 0.8, 1, 3)) // about nine days of growth to the floor
	tr.Soonest = 14
	next, err := After(tr)
	require.NoError(t, err)
	assert.Equal(t, monday.AddDays(14), next.Due)
	assert.Equal(t, monday.AddDays(int(7*tr.Nails[0].left())), next.Touches)
	assert.Equal(t, rhythm.Weekly, next.Clear)
	assert.Contains(
		t,
		wordstest.Of(tr.Explain(next).Sentence),
		"14 days after the last trim, the least wait as often as agreed",
	)
	tr.Soonest = 0
	next, err = After(tr)
	require.NoError(t, err)
	assert.NotContains(t, wordstest.Of(tr.Explain(next).Sentence), "least wait")

	for left, want := range map[float64]int{-0.5: 2, 1: 14} { // curls already; only will, in a week
		one := on("LF1", 0, 1, 3)
		one.Claw = one.Claw.WithLength(one.Claw.Length + one.Claw.GrowthToTurn(claw.CurlTurn) - left)
		tr := trim(one)
		tr.Soonest = 14
		next, err := After(tr)
		require.NoError(t, err)
		assert.Equal(t, Curl, next.Rule)
		assert.Equal(t, want, next.Due.Sub(monday))
		assert.True(t, next.Touches.IsZero())
	}
}

func TestADateGoneByIsShownToday(t *testing.T) {
	day, late := ShownOn(monday.AddDays(-3), monday)
	assert.Equal(t, monday, day)
	assert.Equal(t, 3, late)
	day, late = ShownOn(monday.AddDays(2), monday)
	assert.Equal(t, monday.AddDays(2), day)
	assert.Zero(t, late)
}

// Of two nails that are due at once, what was seen speaks before what was reckoned, whichever stands
// first in the list.
func TestWhatWasSeenSpeaksFirst(t *testing.T) {
	past := on("RF3", 0, 1, 3)
	past.PastPad = true
	floor := on("LF3", 0, 1, 3)
	for _, nails := range [][]TrimmedNail{{floor, past}, {past, floor}} {
		next, err := After(trim(nails...))
		require.NoError(t, err)
		assert.Equal(t, Pad, next.Rule)
		assert.Equal(t, []nail.Code{past.Code}, next.Nails)
	}
}

// A dog that was only looked at is due when its nail touches, counted from the look; one that touches
// already, at once.
func TestADogOnlyLookedAtIsDueWhenItTouches(t *testing.T) {
	for gap, want := range map[float64]bool{0: true, 1.5: false} {
		tr := trim(on("LF3", gap, 1, 3))
		tr.Sat, tr.Soonest = date.Date{}, 14
		next, err := After(tr)
		require.NoError(t, err)
		assert.Equal(t, want, next.Due == monday, "%g mm: %s", gap, next.Due)
		assert.Equal(t, int(7*tr.Nails[0].left()), next.Due.Sub(monday))
		assert.Contains(t, wordstest.Of(tr.Explain(next).Sentence), "after the last look")
	}
}

// By the calendar a date is on the rhythm, as it was agreed, whatever touches before: that is told.
func TestByTheCalendarTheRhythmDecides(t *testing.T) {
	tr := trim(
		on("LF3", 0.8, 1, 3),
		on("LF2", 3, 0.4, 0.1),
	) // the first touches in nine days, of the other there is nothing to take
	tr.Dates, tr.Soonest = rhythm.ByCalendar, 14
	next, err := After(tr)
	require.NoError(t, err)
	assert.Equal(t, Ceiling, next.Rule)
	assert.Equal(t, monday.AddDays(28), next.Due)
	touches := monday.AddDays(int(7 * tr.Nails[0].left()))
	assert.Equal(t, touches, next.Touches)
	assert.Equal(t, []nail.Code{nail.MustParse("LF3")}, next.First)
	assert.Contains(
		t,
		wordstest.Of(tr.Explain(next).Sentence),
		"LF3 touches the floor from "+touches.At(12, 0, time.UTC).Format("Mon 2 Jan"),
	)
	for _, row := range tr.Explain(next).Rows {
		assert.Equal(t, row.Rule != Drift && row.Rule != Floor && row.Rule != Worth, row.Followed, row.Rule)
	}
	past := on("RF3", 1, 1, 3)
	past.PastPad = true
	tr.Nails = append(tr.Nails, past)
	next, err = After(tr)
	require.NoError(t, err)
	assert.Equal(t, Pad, next.Rule, "what was seen past its pad comes sooner")
	tr.Dates = "moon"
	_, err = After(tr)
	require.Contains(t, wordstest.Err(err), "dates")
}

// A nail that stands on the floor again within the least wait pulls no date forward: it is named.
func TestANailThatIsSoonDownAgainPullsNoDate(t *testing.T) {
	soon, later := on("LF3", 0.4, 1, 3), on("RH3", 1.6, 0.8, 3)
	soon.Done, later.Done = true, true
	tr := trim(soon, later)
	tr.Soonest = 14
	require.Less(t, soon.left(), 2.0)
	next, err := After(tr)
	require.NoError(t, err)
	assert.Equal(t, []nail.Code{soon.Code}, next.Again)
	assert.Equal(t, monday.AddDays(int(7*later.left()/0.8)), next.Due)
	assert.Equal(t, []nail.Code{later.Code}, next.Nails)
	assert.Equal(t, monday.AddDays(int(7*soon.left())), next.Touches)
}

// A dog may be agreed to come sooner, once: after that it is over.
func TestSoonerOnce(t *testing.T) {
	tr := trim(on("LF3", 9, 0.2, 3))
	tr.Soonest, tr.Once = 14, monday.AddDays(9)
	next, err := After(tr)
	require.NoError(t, err)
	assert.Equal(t, Agreed, next.Rule)
	assert.Equal(t, monday.AddDays(9), next.Due)
	tr.On, tr.Sat = monday.AddDays(9), monday.AddDays(9)
	next, err = After(tr)
	require.NoError(t, err)
	assert.Equal(t, Ceiling, next.Rule)
}

// A dewclaw that curls though it was just done is looked at in half the rhythm, not two days later.
func TestADewclawThatWasDoneAndCurlsIsLookedAt(t *testing.T) {
	one := on("LF1", 0, 1, 3)
	one.Claw, one.Done = one.Claw.WithLength(20), true
	tr := trim(one)
	tr.Soonest = 14
	next, err := After(tr)
	require.NoError(t, err)
	assert.Equal(t, Curl, next.Rule)
	assert.Equal(t, monday.AddDays(14), next.Due)
	assert.Equal(
		t,
		"dewclaw LF1 is to be looked at: turned far already when last trimmed",
		wordstest.Of(tr.Reason(next)),
	)
}
