package outlook

import (
	"math"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words/wordstest"
)

// Nobody starts a dark nail by knowing where the quick is: the very tip comes off, then the face
// speaks (common practice, no source).
func TestTheFirstTrimBeginsWithTheTip(t *testing.T) {
	for _, p := range Plan(feet.FeetAfter(plain(), nil), today, usually) {
		assert.Equal(t, verdict.Trim, p.Kind, p.Code)
		assert.LessOrEqual(t, p.MM, 0.3, p.Code)
		assert.Contains(t, wordstest.Of(p.Why), "first time here")
	}
}

// planOf is the plan of one nail of a dog after its sittings.
func planOf(t *testing.T, d dog.Dog, code string, sittings ...record.Sitting) Planned {
	t.Helper()
	for _, p := range Plan(feet.FeetAfter(d, sittings), today, usually) {
		if p.Code.String() == code {
			return p
		}
	}
	t.Fatalf("no nail %s", code)
	return Planned{}
}

// done is a sitting some days ago in which one nail was recorded.
func done(daysAgo int, r record.NailRecord) record.Sitting {
	return record.Sitting{On: today.AddDays(-daysAgo), Records: []record.NailRecord{r}}
}

func TestASeenQuickDecidesHowMuchIsPlanned(t *testing.T) {
	lf3 := nail.MustParse("LF3")
	near := planOf(t, plain(), "LF3", done(14, record.NailRecord{Code: lf3, Cuts: []float64{1}, SpareLeft: spare(0.3)}))
	far := planOf(t, plain(), "LF3", done(14, record.NailRecord{Code: lf3, Cuts: []float64{1}, SpareLeft: spare(3)}))
	assert.Less(t, record.NailRecord{Cuts: near.Cuts()}.Removed(), record.NailRecord{Cuts: far.Cuts()}.Removed())
	assert.LessOrEqual(t, far.Risk, float64(verdict.Careful))
}

// Hind outer nails of an active dog often need nothing (common practice, no source).
func TestANailThatStaysClearIsLeft(t *testing.T) {
	d := plain()
	d.Pavement, d.Rhythm = 25, rhythm.Fortnightly
	p := planOf(
		t,
		d,
		"RH5",
		done(
			7,
			record.NailRecord{Code: nail.MustParse("RH5"), Cuts: []float64{1}, GapAfter: gap(3), SpareLeft: spare(3)},
		),
	)
	assert.Equal(t, verdict.Leave, p.Kind)
	assert.Contains(t, wordstest.Of(p.Why), "can wait")
	d.WishedGap = 2.9
	assert.NotEmpty(
		t,
		planOf(
			t,
			d,
			"RH5",
			done(
				7,
				record.NailRecord{
					Code:      nail.MustParse("RH5"),
					Cuts:      []float64{1},
					GapAfter:  gap(3),
					SpareLeft: spare(3),
				},
			),
		).Cuts(),
		"its keeper wants it higher than that",
	)
}

func TestMeasuringIsNotTrimming(t *testing.T) {
	p := planOf(t, plain(), "LF3", done(7, record.NailRecord{Code: nail.MustParse("LF3"), LengthBefore: length(15)}))
	assert.Equal(t, estimate.Measured, p.Length.Source)
	assert.True(t, p.Trimmed.IsZero())
	assert.Contains(t, wordstest.Of(p.Why), "first time here")
}

func TestANailLeftAloneIsAsItWas(t *testing.T) {
	r := record.NailRecord{Code: nail.MustParse("LF3"), Cuts: []float64{1}, LengthAfter: length(13)}
	before := planOf(t, plain(), "LF3", done(20, r))
	after := planOf(t, plain(), "LF3", done(20, r), done(3, record.NailRecord{Code: r.Code, Reaction: temper.Pulling}))
	assert.InDelta(
		t,
		before.Length.Value,
		after.Length.Value,
		0.05,
		"but for what weeks in other steps make of the floor",
	)
	assert.InDelta(
		t,
		before.Spare.Value,
		after.Spare.Value,
		0.05,
		"but for what weeks in other steps make of the floor",
	)
	assert.Equal(t, before.Kind, after.Kind)
}

// A toy dog's nail is not left for ever because a millimetre of margin is all that it has.
func TestAToyDogHasSomethingToTake(t *testing.T) {
	d := plain()
	for _, kg := range []float64{1.5, 3, 6, 12} {
		d.Weights[0].Kg = kg
		terms := usually
		terms.Margin = 2
		for _, p := range Plan(feet.FeetAfter(d, nil, record.WalkRound{On: today, Looks: []record.Look{seen("LF3", gap(0))}}), today, terms) {
			if p.Code.String() == "LF3" {
				assert.Contains(t, []verdict.Kind{verdict.Trim, verdict.AskFirst}, p.Kind, "%g kg: %s", kg, p.Why)
				assert.Less(t, p.MM, 0.3)
			}
		}
	}
}

func TestLongHairIsClearedBeforeAnythingSpins(t *testing.T) {
	d := plain()
	d.FootCoat = dog.LongCoat
	f := feet.FeetAfter(d, nil)
	words := Cautions(f, f.On(today), true)
	require.Len(t, words, 1)
	assert.Equal(t, dog.Prepare, words[0].Kind)
}

// What a day's few nails leave over is for the next working day, at home; at a groomer's for the next visit.
func TestTheRestOfASpreadPlanComesTheNextDay(t *testing.T) {
	d := plain()
	d.Workdays = date.WeekdaysOf(time.Monday, time.Tuesday, time.Thursday)
	s := record.Sitting{On: today}
	for _, n := range d.Nails[:4] {
		s.Records = append(
			s.Records,
			record.NailRecord{Code: n.Code, Cuts: []float64{0.5, 0.5}, EndFace: quick.DarkCentre, Tool: kit.LargePlier},
		)
	}
	touch := record.WalkRound{On: today.AddDays(-1)}
	for _, n := range d.Nails {
		if !n.Code.Dewclaw() {
			touch.Looks = append(touch.Looks, seen(n.Code.String(), gap(0)))
		}
	}
	f := feet.FeetAfter(d, []record.Sitting{s}, touch)
	home := usually
	home.Keeper = true
	next, _, err := NextOf(f, home)
	require.NoError(t, err)
	assert.Equal(t, due.Rest, next.Rule)
	assert.Equal(t, today.AddDays(2), next.Due, "a Thursday")
	assert.Len(t, next.Nails, 12)
	assert.Contains(t, wordstest.Of(next.Reason), "left from last time")
	for _, n := range next.Nails {
		assert.NotEqual(t, d.Nails[0].Code, n, "what was done is not left")
	}
	next, _, err = NextOf(f, usually)
	require.NoError(t, err)
	assert.NotEqual(t, due.Rest, next.Rule, "a groomer's rest goes to the next visit")
	all := s
	for _, n := range d.Nails[4:] {
		all.Records = append(
			all.Records,
			record.NailRecord{Code: n.Code, Cuts: []float64{0.5, 0.5}, EndFace: quick.DarkCentre, Tool: kit.LargePlier},
		)
	}
	next, _, err = NextOf(feet.FeetAfter(d, []record.Sitting{all}, touch), home)
	require.NoError(t, err)
	assert.NotEqual(t, due.Rest, next.Rule)
}

func TestNothingIsToldOfANailThatIsNotThere(t *testing.T) {
	f := feet.FeetAfter(plain(), nil).Work(today)
	_, is := Told(&f, record.NailRecord{Code: nail.MustParse("LH1")}, usually)
	assert.False(t, is)
	_, is = Told(&f, record.NailRecord{Code: nail.MustParse("LF3"), Cuts: []float64{0.5}}, usually)
	assert.True(t, is)
}

// A dog whose nails are all a veterinarian's, or dewclaws, needs no trim that a sitting could give; and the lowest
// toe is one that was trimmed.
func TestWhatIsAVeterinariansNeedsNoTrim(t *testing.T) {
	d := plain()
	f := feet.FeetAfter(d, nil, record.WalkRound{On: today})
	assert.True(t, math.IsInf(LowestTrimmed(f), 1), "none was trimmed")
	s := asPlanned(f, today)
	after := feet.FeetAfter(d, []record.Sitting{s})
	assert.Less(t, LowestTrimmed(after), 10.0)
	one := s
	one.Records = slices.Clone(s.Records)[:1]
	only := feet.FeetAfter(d, []record.Sitting{one})
	i := only.Index(one.Records[0].Code)
	assert.InDelta(t, only.On(today)[i].Gap.Value, LowestTrimmed(only), 1e-9, "the only one that was")
	_, is := Needs(after, today, usually)
	assert.True(t, is)
	for i := range d.Nails {
		if !d.Nails[i].Code.Dewclaw() {
			d.Nails[i].State = nail.Torn
		}
	}
	_, is = Needs(feet.FeetAfter(d, []record.Sitting{{On: today}}), today, usually)
	assert.False(t, is)
	assert.True(t, math.IsInf(LowestTrimmed(feet.FeetAfter(d, []record.Sitting{{On: today}})), 1))
}
