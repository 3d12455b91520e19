package outlook

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/dogtest"
	"fribbet/internal/core/due"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words/wordstest"
)

var (
	today  = dogtest.Today
	plain  = dogtest.Plain
	length = dogtest.Length
	gap    = dogtest.Gap
	spare  = dogtest.Quick
)

// usually is a keeper's terms: careful, to the first sign.
var usually = Terms{Margin: 1, Hand: verdict.Terms{Stop: quick.AtFirstSign, Limit: verdict.Careful, Most: 1}}

// asPlanned is a sitting in which every nail was done as planned.
func asPlanned(f feet.Feet, day date.Date) record.Sitting {
	s := record.Sitting{On: day}
	for _, p := range Plan(f, day, usually) {
		s.Records = append(
			s.Records,
			record.NailRecord{
				Code:     p.Code,
				Cuts:     p.Cuts(),
				Tool:     kit.LargePlier,
				Reaction: temper.Calm,
				EndFace:  quick.DarkCentre,
			},
		)
	}
	return s
}

func TestADogNobodyHasLookedAtIsAssumed(t *testing.T) {
	f := feet.FeetAfter(plain(), nil)
	_, has, err := NextOf(f, usually)
	require.NoError(t, err)
	assert.False(t, has, "no sitting, no date")
	for _, r := range f.On(today) {
		assert.Equal(t, estimate.Assumed, r.Length.Source)
		assert.False(t, r.Looked)
		assert.Less(t, r.Spare.Low, r.Spare.Value)
	}
}

func TestBloodFixesTheQuickAndLowersThePlan(t *testing.T) {
	day := today.AddDays(-14)
	bled := []record.Sitting{
		{On: day, Records: []record.NailRecord{{Code: nail.MustParse("LF3"), Cuts: []float64{1}, Blood: true}}},
	}
	dry := []record.Sitting{{On: day, Records: []record.NailRecord{{Code: nail.MustParse("LF3"), Cuts: []float64{1}}}}}
	f, g := feet.FeetAfter(plain(), bled), feet.FeetAfter(plain(), dry)
	assert.Less(t, readingOf(t, f, "LF3", day).Spare.Value, 0.3)
	assert.Less(t, readingOf(t, f, "LF3", today).Spare.Value, readingOf(t, g, "LF3", today).Spare.Value)
	words := Cautions(f, f.On(today), true)
	require.Len(t, words, 1)
	assert.Contains(t, wordstest.Of(words[0].Words), "LF3: bled last time")
}

// Routine work settles between one and four weeks on a dog of usual growth (common practice, no source).
func TestRoutineTrimsSettle(t *testing.T) {
	d, day := plain(), today
	var sittings []record.Sitting
	var gaps []int
	for range 14 {
		sittings = append(sittings, asPlanned(feet.FeetAfter(d, sittings), day))
		next, _, err := NextOf(feet.FeetAfter(d, sittings), usually)
		require.NoError(t, err)
		gaps = append(gaps, next.Due.Sub(day))
		day = next.Due
	}
	for _, g := range gaps[6:] {
		assert.GreaterOrEqual(t, g, 7)
		assert.LessOrEqual(t, g, 28)
	}
	assert.Less(t, gaps[0], slices.Max(gaps[6:]), "an overgrown nail is brought back over weeks")
}

func TestFoldingHoldsForAnyHistory(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	rapid.Check(t, func(t *rapid.T) {
		d := plain()
		d.Weights[0].Kg = rapid.Float64Range(2, 80).Draw(t, "kg")
		d.Pavement = rapid.Float64Range(0, 60).Draw(t, "km")
		var sittings []record.Sitting
		day := today.AddDays(-300)
		for range rapid.IntRange(1, 6).Draw(t, "sittings") {
			s := record.Sitting{On: day}
			for _, n := range d.Nails {
				if rapid.Bool().Draw(t, "done") {
					r := record.NailRecord{
						Code: n.Code,
						Cuts: slices.Repeat([]float64{0.5}, rapid.IntRange(0, 8).Draw(t, "cuts")),
					}
					r.Blood = len(r.Cuts) > 0 && rapid.IntRange(0, 9).Draw(t, "blood") == 0
					s.Records = append(s.Records, r)
				}
			}
			sittings = append(sittings, s)
			day = day.AddDays(rapid.IntRange(1, 50).Draw(t, "days"))
		}
		f := feet.FeetAfter(d, sittings)
		now := f.At(day)
		for i, r := range f.On(day) {
			later := f.On(day.AddDays(1))[i]
			if now.Rate(i, d.Where(day)).Mean < 0 {
				continue // a hard walker's hind nails wear off faster than they grow
			}
			if r.OnFloor || r.Floor.SD > 1 {
				continue // on the floor, or perhaps far past it, horn wears and breaks
			}
			if tenth := 0.1; later.Length.Value < r.Length.Value-tenth || later.ToFloor > r.ToFloor+tenth {
				t.Fatalf("%s a day later is shorter or higher", r.Code)
			}
		}
		for _, p := range Plan(f, day, usually) {
			if p.Kind == verdict.Trim && p.Action == verdict.Sliver && p.MM > 1 {
				t.Fatalf("%s: a first cut of %v mm", p.Code, p.MM)
			}
		}
		slices.Reverse(sittings)
		if !slices.EqualFunc(
			f.On(day),
			feet.FeetAfter(d, sittings).On(day),
			func(a, b feet.Reading) bool { return a.Length == b.Length && a.Spare == b.Spare },
		) {
			t.Fatal("the order in which sittings are told changed the feet")
		}
		next, has, err := NextOf(f, usually)
		if err != nil {
			t.Fatal(err)
		}
		if !has {
			return
		}
		then := Plan(f, next.Due, usually)
		for _, one := range next.PerNail {
			at := slices.IndexFunc(then, func(p Planned) bool { return p.Code == one.Code })
			if one.CanWait && (then[at].Kind == verdict.Trim || then[at].Kind == verdict.AskFirst) {
				t.Fatalf("%s can wait, and is planned that day", one.Code)
			}
		}
	})
}

func TestADogNotSeenForYearsStillHasADate(t *testing.T) {
	d := plain()
	sittings := []record.Sitting{asPlanned(feet.FeetAfter(d, nil), today.AddYears(-3)),
		{On: today, Records: []record.NailRecord{{Code: nail.MustParse("RH5")}}}}
	next, has, err := NextOf(feet.FeetAfter(d, sittings), usually)
	require.NoError(t, err)
	assert.True(t, has)
	assert.Equal(t, 9, next.Due.Sub(today), "a third of its rhythm after a sitting at the earliest")
}

func BenchmarkNextDate(b *testing.B) {
	d := plain()
	for f := feet.FeetAfter(d, manyTrims(d)); b.Loop(); {
		if _, _, err := NextOf(f, usually); err != nil {
			b.Fatal(err)
		}
	}
}

// A dog that nobody looks at has a look of its own before its date; one look settles it.
func TestALookIsWantedWhereTheDecidingNailIsBadlyKnown(t *testing.T) {
	d := plain()
	d.Entered = today.AddDays(-200)
	lf3 := nail.MustParse("LF3")
	paper := measure.Paper.Number()
	tally := record.Sitting{
		On: today,
		Records: []record.NailRecord{
			{Code: lf3, Cuts: []float64{1, 1, 1, 1}, Tool: kit.LargePlier, Reaction: temper.Calm},
		},
	}
	f := feet.FeetAfter(d, []record.Sitting{tally})
	next := due.Next{Rule: due.Floor, Nails: []nail.Code{lf3}, Due: today.AddDays(14), Earliest: today.AddDays(14)}
	look, is := wanted(f, next)
	require.True(t, is)
	assert.Equal(t, today.AddDays(7), look.On)
	assert.Contains(t, wordstest.Of(look.Words), "LF3")
	assert.Greater(t, look.Off, 2.0)

	looked := feet.FeetAfter(
		d,
		[]record.Sitting{tally},
		record.WalkRound{On: today.AddDays(1), Looks: []record.Look{{Code: lf3, Gap: &paper}}},
	)
	settled, is := wanted(looked, next)
	assert.Less(t, settled.Off, look.Off)
	assert.False(t, is)
	next.Rule = due.Ceiling
	_, is = wanted(f, next)
	assert.False(t, is, "the rhythm decides, whatever the floor")
}

// What is reckoned, however far it runs, is no reason to refuse a date.
func TestWhatIsReckonedNeverBreaksTheDate(t *testing.T) {
	d := plain()
	d.Weights[0].Kg = 95
	lf1 := nail.MustParse("LF1")
	d.Nails[slices.IndexFunc(d.Nails, func(n dog.Nail) bool { return n.Code == lf1 })].Shape = nail.Curled
	curled := record.Sitting{On: today.AddDays(-740), Records: []record.NailRecord{{Code: lf1, Cuts: []float64{0.5}}}}
	high := record.Sitting{
		On:      today.AddDays(-740),
		Records: []record.NailRecord{{Code: nail.MustParse("LF3"), GapBefore: gap(claw.MostGap), Cuts: []float64{8}}},
	}
	for _, s := range []record.Sitting{curled, high} {
		_, has, err := NextOf(feet.FeetAfter(d, []record.Sitting{s}, record.WalkRound{On: today}), usually)
		require.NoError(t, err)
		assert.True(t, has)
	}
}

func TestALookAloneSetsADate(t *testing.T) {
	var looks []record.Look
	for _, n := range plain().Nails {
		looks = append(looks, seen(n.Code.String(), gap(2)))
	}
	next, has, err := NextOf(feet.FeetAfter(plain(), nil, record.WalkRound{On: today, Looks: looks}), usually)
	require.NoError(t, err)
	require.True(t, has)
	assert.Greater(t, next.Due.Sub(today), 7, "every nail stands 2 mm clear")

	looks[2] = seen(looks[2].Code.String(), gap(0))
	next, _, err = NextOf(feet.FeetAfter(plain(), nil, record.WalkRound{On: today, Looks: looks}), usually)
	require.NoError(t, err)
	assert.Equal(t, today, next.Due, "one touches: it is due Today")
	assert.Equal(t, "LF3 reaches the floor", wordstest.Of(next.Reason))
}

// Looking does not put the rhythm off: it counts from the last sitting.
func TestTheRhythmCountsFromTheSittingNotFromTheLook(t *testing.T) {
	d := plain()
	d.Rhythm = rhythm.Fortnightly
	var clear []record.Look
	for _, n := range d.Nails {
		clear = append(clear, seen(n.Code.String(), gap(2.5)))
	}
	trim := asPlanned(feet.FeetAfter(d, nil), today.AddDays(-10))
	next, _, err := NextOf(
		feet.FeetAfter(d, []record.Sitting{trim}, record.WalkRound{On: today, Looks: clear}),
		usually,
	)
	require.NoError(t, err)
	assert.Equal(t, due.Ceiling, next.Rule)
	assert.Equal(t, today.AddDays(4), next.Due)
}

// Clicking on a hard floor is the ear's version of the test (common practice, no source): some
// nail touches, one of those that nobody looked at.
func TestADogThatClicksHasANailOnTheFloor(t *testing.T) {
	var clear []record.Look
	for _, n := range plain().Nails[1:] {
		clear = append(clear, seen(n.Code.String(), gap(3)))
	}
	next, _, err := NextOf(
		feet.FeetAfter(plain(), nil, record.WalkRound{On: today, Clicks: true, Looks: clear}),
		usually,
	)
	require.NoError(t, err)
	assert.Equal(t, []nail.Code{plain().Nails[0].Code}, next.Nails, "the one that was not looked at")
	assert.Equal(t, today, next.Due)
	clear = append(clear, seen(plain().Nails[0].Code.String(), gap(3)))
	clear[0].Gap = gap(0)
	next, _, err = NextOf(
		feet.FeetAfter(plain(), nil, record.WalkRound{On: today, Clicks: true, Looks: clear}),
		usually,
	)
	require.NoError(t, err)
	assert.Equal(t, []nail.Code{clear[0].Code}, next.Nails, "the one that was seen to touch is what clicks")
}

func TestADogWithoutADateSaysWhy(t *testing.T) {
	assert.Equal(t, "no trim yet: look at the feet", wordstest.Of(WhyNone(feet.FeetAfter(plain(), nil))))
	d := plain()
	for i := range d.Nails {
		d.Nails[i].State = nail.Ingrown
	}
	f := feet.FeetAfter(d, nil, record.WalkRound{On: today})
	_, has, err := NextOf(f, usually)
	require.NoError(t, err)
	assert.False(t, has)
	assert.Equal(t, "no nail that may be trimmed", wordstest.Of(WhyNone(f)))
	assert.Len(t, Cautions(f, f.On(today), true)[0].Nails, 18)
}

func manyTrims(d dog.Dog) []record.Sitting {
	var sittings []record.Sitting
	for i := range 78 {
		sittings = append(sittings, asPlanned(feet.FeetAfter(d, nil), today.AddDays(14*i-1092)))
	}
	return sittings
}

func readingOf(t *testing.T, f feet.Feet, code string, day date.Date) feet.Reading {
	t.Helper()
	return f.On(day)[f.Index(nail.MustParse(code))]
}

func seen(code string, gap *measure.Number) record.Look {
	return record.Look{Code: nail.MustParse(code), Gap: gap}
}
