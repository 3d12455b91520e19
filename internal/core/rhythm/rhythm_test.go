package rhythm

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/words/wordstest"
)

var monday = date.MustParse("2026-11-23")

// toes are usual nails of a dog of 20 kg that just touch, with so much spare and such a rate.
func toes(spare, rate float64) []Start {
	var nails []Start
	for _, c := range nail.All() {
		if c.Standard() {
			form := claw.Assumed(c, nail.Usual, 20)
			nails = append(
				nails,
				Start{
					c,
					form,
					form,
					form.AtGap(0).CoatHeight(),
					quick.Drift{Rate: rate, RateSD: 0.1, Follow: quick.UsualFollow(1)},
					spare,
				},
			)
		}
	}
	return nails
}

// Weekly or more often draws the quick back, two weeks a little, four about hold or let it grow a
// little, six let it grow out (common practice, no source).
func TestRhythmsSideBySide(t *testing.T) {
	moves := map[Rhythm]float64{}
	for _, r := range Compared() {
		o := Ahead(toes(1.5, 1), r, Work{PerNail: 0.5, Ground: true, Lasts: 60})
		moves[r] = o.QuickMove
		assert.Len(t, o.Quick, o.Weeks+1)
		assert.InDelta(t, math.Ceil(182/r.Days()), o.Sittings, 1, r)
		assert.Equal(t, float64(o.Nails)*0.5, o.Minutes)
	}
	assert.Less(t, moves[Weekly], -1.0)
	assert.Less(t, moves[Fortnightly], -0.5)
	assert.InDelta(t, 0.6, moves[FourWeeks], 0.8)
	assert.Greater(t, moves[SixWeeks], 0.3)
	for i, r := range Compared()[1:] {
		assert.GreaterOrEqual(
			t,
			moves[r]+1e-9,
			moves[Compared()[i]],
			"%s draws back no more than what is more often",
			r,
		)
	}
}

func TestFloorDaysAreThoseWithANailOnIt(t *testing.T) {
	// 2 mm off lift the nail; it is down again within five weeks at 0.5 mm a week, not within two.
	often, seldom := Ahead(toes(3.5, 0.5), Fortnightly, Work{}), Ahead(toes(3.5, 0.5), SixWeeks, Work{})
	assert.Zero(t, often.FloorDays)
	assert.Greater(t, seldom.FloorDays, 0)
	long := Ahead(toes(0.8, 1), FourWeeks, Work{})
	assert.Greater(t, long.FloorDays, 100, "with nothing to take it stays on the floor")
	dew := toes(2, 1)[4:5]
	require.True(t, dew[0].Code.Dewclaw())
	assert.Zero(t, Ahead(dew, SixWeeks, Work{}).FloorDays, "a dewclaw never meets it")
}

func TestGrindingWearsTheBandByTheMinute(t *testing.T) {
	o := Ahead(toes(2, 1), Weekly, Work{PerNail: 0.4, Ground: true, Lasts: 60})
	assert.Equal(t, o.Minutes, o.Ground)
	assert.InDelta(t, o.Ground/60, o.WornOut, 1e-9)
}

func TestBreakEvenIsTheMostDemandingNails(t *testing.T) {
	nails := toes(1, 1)
	nails[3].Drift.Rate = 1.5
	even, code, leaves := BreakEven(nails, Work{Margin: 2}, estimate.Learnt)
	assert.Equal(t, nails[3].Code, code)
	assert.InDelta(t, nails[3].Drift.BreakEven(leaves), even.Value, 1e-9)
	assert.Less(t, even.Low, even.Value)
	assert.Greater(t, even.High, even.Value)
	assert.InDelta(t, 0, nails[3].Drift.Move(leaves, even.Value), 1e-6)
}

// An overgrown nail is brought back over weeks, never in one go; weekly or more often drives a
// long quick back, six weeks never does (common practice, no source).
func TestBringingBack(t *testing.T) {
	weekly := BringBack(toes(1.5, 1), Weekly, monday, claw.CardGap, Work{})
	require.False(t, weekly.Never)
	assert.Greater(t, len(weekly.Steps), 2)
	assert.Equal(t, monday.AddDays(7*(len(weekly.Steps)-1)), weekly.Done())
	assert.Positive(t, weekly.Back())
	assert.GreaterOrEqual(t, weekly.Steps[len(weekly.Steps)-1].Gap, claw.CardGap)
	assert.Less(t, weekly.Steps[len(weekly.Steps)-2].Gap, claw.CardGap, "and not a sitting earlier")

	often := BringBack(toes(1.5, 1), TwiceAWeek, monday, claw.CardGap, Work{})
	assert.False(t, often.Done().After(weekly.Done()))

	never := BringBack(toes(1.5, 1), SixWeeks, monday, claw.CardGap, Work{})
	assert.True(t, never.Never)
	assert.True(t, never.Done().IsZero())
	assert.Len(t, never.Holding, 16, "every toe")

	there := BringBack(toes(5, 1), Weekly, monday, claw.CardGap, Work{})
	assert.Equal(t, monday, there.Done(), "a long nail with a short quick needs one trim")
}

func TestAPlanIsFollowedUp(t *testing.T) {
	p := BringBack(toes(0.9, 1), Weekly, monday, claw.CardGap, Work{})
	require.Greater(t, len(p.Steps), 6)
	half := p.Steps[len(p.Steps)/2]
	as := func(q float64) []Start {
		nails := toes(1, 1)
		for i := range nails {
			nails[i].Spare = nails[i].Claw.Length - q
		}
		return nails
	}
	due := len(p.Steps)/2 + 1
	for _, c := range []struct {
		quick, gap float64
		held       int
		want       Track
	}{
		{half.Quick, half.Gap, due, OnTrack},
		{p.Steps[0].Quick, 0, due, Behind},
		{half.Quick, half.Gap, due - 3, Behind},
		{half.Quick, claw.CardGap, due, Reached},
	} {
		g := p.On(half.On, as(c.quick), c.gap, c.held)
		assert.Equal(t, c.want, g.Track, g.Words)
		assert.Equal(t, due, g.Due)
	}
	assert.Equal(t, Early, p.On(monday, as(p.Steps[0].Quick), 0, 1).Track)
}

func TestLookingAheadChangesNothingAndNeverCutsTheQuick(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		nails := toes(rapid.Float64Range(0, 6).Draw(t, "spare"), rapid.Float64Range(0.1, 2).Draw(t, "rate"))
		before := nails[0]
		r := rapid.SampledFrom(Compared()).Draw(t, "rhythm")
		o := Ahead(nails, r, Work{})
		if nails[0] != before {
			t.Fatal("looking ahead cut the nail")
		}
		if o.FloorDays < 0 || o.FloorDays > 7*o.Weeks {
			t.Fatalf("%d days on the floor of %d weeks", o.FloorDays, o.Weeks)
		}
		n := nails[0]
		n.trim(Work{Margin: 1})
		if n.Spare < math.Min(1, before.Spare) {
			t.Fatalf("trimmed to %v from the quick", n.Spare)
		}
		// Going oftener never leaves a longer quick, and the plan to bring it back is the table's own.
		var seldomer Outlook
		for i, one := range slices.Backward(Compared()) {
			o := Ahead(nails, one, Work{Margin: 1})
			if i < len(Compared())-1 && o.Quick[halfYear] > seldomer.Quick[halfYear]+1e-9 {
				t.Fatalf("%s leaves %v, %s %v", one, o.Quick[halfYear], seldomer.Rhythm, seldomer.Quick[halfYear])
			}
			seldomer = o
			for _, s := range BringBack(nails, one, monday, claw.CardGap, Work{Margin: 1}).Steps {
				if day := s.On.Sub(monday); day%7 == 0 && day <= 7*halfYear && math.Abs(s.Quick-o.Quick[day/7]) > 1e-9 {
					t.Fatalf("%s: on day %d the plan says %v, the table %v", one, day, s.Quick, o.Quick[day/7])
				}
			}
		}
	})
}

// One nail at one interval, by the closed form of section E worked by hand: rest 3 mm, pull 0.1 a week.
func TestOneNailAtOneInterval(t *testing.T) {
	got, err := Asked{Rate: 0.8, Spare: 1.5, Weight: 20, Weeks: 4}.Moves()
	require.NoError(t, err)
	steady := 3 + 0.8/0.1
	spare := steady + (1.5-steady)*math.Exp(-0.4)
	assert.InDelta(t, spare, got.Spare, 1e-9)
	assert.InDelta(t, 1.5+4*0.8-spare, got.Quick, 1e-9)
	assert.InDelta(t, got.Quick/4, got.Week, 1e-12)
	_, err = Asked{Rate: 0, Spare: -1, Weight: 0, Weeks: 0}.Moves()
	for _, field := range []string{"net_mm_week", "spare_after_trim_mm", "weight_kg", "interval_weeks"} {
		assert.Contains(t, wordstest.Err(err), field)
	}
}

// Twice a week is two weekdays: over a year as often as that, whatever day it began (common practice, no source).
func TestTwiceAWeekKeepsTwoWeekdays(t *testing.T) {
	for begins := range 7 {
		first := date.New(2026, 1, 5+begins)
		on, sat := first, 0
		for ; on.Before(first.AddDays(364)); sat++ {
			on = on.AddDays(int(TwiceAWeek.After(on)))
		}
		assert.InDelta(t, 104, sat, 1, "from %s", first.Weekday())
	}
	assert.Equal(t, 28.0, FourWeeks.After(date.New(2026, 1, 5)))
}
