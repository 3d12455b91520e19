package round

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/estimate"
	"fribbet/internal/words/wordstest"
)

func aLateDay(t *testing.T) (Week, []Visit) {
	t.Helper()
	w := weekdays(Hours{Stretch: Stretch{At(9, 0), At(15, 0)}})
	takes := func(id string, middle float64, minutes, nails, canWait int) Dog {
		return Dog{ID: id, Name: id, Minutes: minutes, Nails: nails, CanWait: canWait, Takes: estimate.Exactly(middle)}
	}
	return w, []Visit{
		{ID: "1", Dog: takes("Bramble", 40, 45, 18, 18), On: monday, Start: At(9, 0), State: Here, Begun: At(9, 40)},
		{ID: "2", Dog: takes("Oslo", 50, 55, 18, 12), On: monday, Start: At(9, 50), State: Agreed},
		{ID: "3", Dog: takes("Fig", 10, 15, 8, 0), On: monday, Start: At(10, 30), State: Agreed},
		{ID: "4", Dog: takes("Sloe", 40, 45, 18, 18), On: monday, Start: At(11, 20), State: Agreed},
	}
}

// A day forty minutes late: what would ease it is said, and how much it would.
func TestWaysToEaseADayThatRunsLate(t *testing.T) {
	w, day := aLateDay(t)
	now := At(10, 20)
	// Bramble is through at 10:25, Oslo waits 35 minutes, Fig 50, Sloe 15 more than nothing: 100 in all.
	require.InDelta(t, 100, waits(w.Running(day, now)), 5)
	ways := w.Ways(day, now)
	require.Len(t, ways, 3)
	by := map[string]Way{}
	for i, way := range ways {
		by[way.Dog.Name] = way
		assert.True(t, i == 0 || ways[i-1].Saves >= way.Saves, "what saves the most first")
	}
	assert.Contains(
		t,
		wordstest.Of(by["Oslo"].Words),
		"Leave 12 of Oslo's 18 nails for another day: they touch nothing.",
	)
	assert.Contains(t, wordstest.Of(by["Fig"].Words), "Take Fig before Oslo: it takes 10 minutes.")
	assert.Contains(t, wordstest.Of(by["Sloe"].Words), "Ask whether Sloe may come at")
	assert.Greater(t, by["Sloe"].To, At(11, 20))
	assert.Zero(t, by["Fig"].To)
}

// A dog that is here and waits may leave some for another day; it is not asked to come at another time.
func TestADogThatIsHereMayLeaveSome(t *testing.T) {
	w, day := aLateDay(t)
	day[1].State = Here
	for _, way := range w.Ways(day, At(10, 20)) {
		if way.Dog.Name == "Oslo" {
			assert.Contains(t, wordstest.Of(way.Words), "Leave 12 of Oslo's")
			assert.Zero(t, way.To)
			return
		}
	}
	assert.Fail(t, "nothing is said of Oslo")
}

func TestMinutesAroundADogAreBounded(t *testing.T) {
	for around, refused := range map[int]bool{-1: true, 0: false, mostAround: false, mostAround + 1: true} {
		assert.Equal(t, refused, len(Week{Around: around}.Check()) > 0, around)
	}
}

func TestADayOnTimeNeedsNoWays(t *testing.T) {
	w, day := aLateDay(t)
	assert.Empty(t, w.Ways(day[3:], At(9, 45)))
}

// Whatever the day: each way saves what it says, moves into nobody, inside the hours, and no dog is named twice.
func TestWaysHold(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		w := drawWeek(t)
		var day []Visit
		for i := range rapid.IntRange(1, 6).Draw(t, "dogs") {
			d := drawDog(t, i)
			d.Window, d.Takes = Window{}, estimate.Exactly(
				float64(d.Minutes)*rapid.Float64Range(0.5, 1.5).Draw(t, "takes"),
			)
			d.Nails, d.CanWait = 18, rapid.IntRange(0, 18).Draw(t, "wait")
			if offers := w.Offers(d, day, monday, monday, 1); len(offers) > 0 {
				v := offers[0].Visit
				v.ID, v.State = d.ID, rapid.SampledFrom([]VisitState{Agreed, Agreed, Here, Done}).Draw(t, "state")
				day = append(day, v)
			}
		}
		day = w.day(day, monday)
		now := At(rapid.IntRange(8, 16).Draw(t, "hour"), 0)
		named := map[string]bool{}
		for _, way := range w.Ways(day, now) {
			assert.GreaterOrEqual(t, way.Saves, float64(leastWay))
			assert.False(t, named[way.ID], "of a dog the best")
			named[way.ID] = true
			if way.To == 0 {
				continue
			}
			moved := way.Visit
			moved.Start = way.To
			assert.Empty(t, wordstest.Of(w.Breaks(moved)))
			assert.Empty(t, wordstest.Of(w.Clash(moved, day)))
			assert.GreaterOrEqual(t, way.Start, now+onTheWay)
		}
	})
}

// A light dog taken first leaves the one in front of it to come; two gone by, and it is asked after.
func TestWhoIsPassedIsStillToCome(t *testing.T) {
	day := []Visit{{State: Agreed}, {State: Here}, {State: Agreed}}
	assert.Equal(t, []Timing{ToCome, Next, ToCome}, Standings(day, false))
	day[1].State = Done
	assert.Equal(t, []Timing{Next, Over, ToCome}, Standings(day, false))
	day[2].State = Here
	assert.Equal(t, []Timing{Waits, Over, Next}, Standings(day, false))
	assert.Equal(t, []Timing{Waits, Over, Over}, Standings(day, true))
}
