package dog

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
)

// planOf is the plan of one nail of a dog after its sittings.
func planOf(t *testing.T, d Dog, code string, sittings ...Sitting) Planned {
	t.Helper()
	for _, p := range FeetAfter(d, sittings).Plan(today, usually) {
		if p.Code.String() == code {
			return p
		}
	}
	t.Fatalf("no nail %s", code)
	return Planned{}
}

// done is a sitting some days ago in which one nail was recorded.
func done(daysAgo int, r Record) Sitting {
	return Sitting{On: today.AddDays(-daysAgo), Records: []Record{r}}
}

func TestASeenQuickDecidesHowMuchIsPlanned(t *testing.T) {
	lf3 := nail.MustParse("LF3")
	near := planOf(t, plain(), "LF3", done(14, Record{Code: lf3, Cuts: []float64{1}, SpareLeft: spare(0.3)}))
	far := planOf(t, plain(), "LF3", done(14, Record{Code: lf3, Cuts: []float64{1}, SpareLeft: spare(3)}))
	assert.Less(t, Record{Cuts: near.Cuts()}.Removed(), Record{Cuts: far.Cuts()}.Removed())
	assert.LessOrEqual(t, far.Risk, float64(verdict.Careful))
}

// Hind outer nails of an active dog often need nothing (common practice, no source).
func TestANailThatStaysClearIsLeft(t *testing.T) {
	d := plain()
	d.Pavement, d.Rhythm = 25, rhythm.Fortnightly
	p := planOf(t, d, "RH5", done(7, Record{Code: nail.MustParse("RH5"), Cuts: []float64{1}, GapAfter: gap(3), SpareLeft: spare(3)}))
	assert.Equal(t, verdict.Leave, p.Kind)
	assert.Contains(t, p.Why, "can wait")
	d.WishedGap = 2.9
	assert.NotEmpty(t, planOf(t, d, "RH5", done(7, Record{Code: nail.MustParse("RH5"), Cuts: []float64{1}, GapAfter: gap(3), SpareLeft: spare(3)})).Cuts(),
		"its keeper wants it higher than that")
}

func TestMeasuringIsNotTrimming(t *testing.T) {
	p := planOf(t, plain(), "LF3", done(7, Record{Code: nail.MustParse("LF3"), LengthBefore: length(15)}))
	assert.Equal(t, estimate.Measured, p.Length.Source)
	assert.True(t, p.Trimmed.IsZero())
	assert.Contains(t, p.Why, "first time here")
}

func TestANailLeftAloneIsAsItWas(t *testing.T) {
	r := Record{Code: nail.MustParse("LF3"), Cuts: []float64{1}, LengthAfter: length(13)}
	before := planOf(t, plain(), "LF3", done(20, r))
	after := planOf(t, plain(), "LF3", done(20, r), done(3, Record{Code: r.Code, Reaction: temper.Fighting}))
	assert.InDelta(t, before.Length.Value, after.Length.Value, 1e-9)
	assert.InDelta(t, before.Spare.Value, after.Spare.Value, 1e-9)
	assert.Equal(t, before.Kind, after.Kind)
}

// A toy dog's nail is not left for ever because a millimetre of margin is all that it has.
func TestAToyDogHasSomethingToTake(t *testing.T) {
	d := plain()
	for _, kg := range []float64{1.5, 3, 6, 12} {
		d.Weights[0].Kg = kg
		terms := usually
		terms.Margin = 2
		for _, p := range FeetAfter(d, nil, Check{On: today, Looks: []Look{seen("LF3", gap(0))}}).Plan(today, terms) {
			if p.Code.String() == "LF3" {
				assert.Contains(t, []verdict.Kind{verdict.Trim, verdict.AskFirst}, p.Kind, "%g kg: %s", kg, p.Why)
				assert.Less(t, p.MM, 0.3)
			}
		}
	}
}

func TestWhatASittingSaysOfItself(t *testing.T) {
	s := Sitting{Records: []Record{
		{Code: nail.MustParse("LF3"), Cuts: []float64{1, 0.5}, Reaction: temper.Uneasy},
		{Code: nail.MustParse("RF3"), Cuts: []float64{1}, Reaction: temper.Pulling, Blood: true},
		{Code: nail.MustParse("LH3"), Reaction: temper.Calm},
	}}
	nails, most := s.Cut()
	assert.Equal(t, 2, nails)
	assert.Equal(t, 1.5, most)
	assert.Equal(t, []nail.Code{nail.MustParse("RF3")}, s.Bled())
	assert.Equal(t, temper.Pulling, s.Worst())
}

func TestLongHairIsClearedBeforeAnythingSpins(t *testing.T) {
	d := plain()
	d.FootCoat = LongCoat
	f := FeetAfter(d, nil)
	words := f.Cautions(f.On(today), true)
	require.Len(t, words, 1)
	assert.Equal(t, Prepare, words[0].Kind)
}
