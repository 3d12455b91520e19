package dog

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
)

// Limping, swelling, several nails breaking: nothing is planned or dated until a later look says it is over.
func TestAFlagClosesTrimmingUntilALaterLook(t *testing.T) {
	d := plain()
	trims := []Sitting{asPlanned(FeetAfter(d, nil), today.AddDays(-28))}
	for _, flagged := range []Check{{Limping: true}, {Swelling: true}, {Breaking: true}} {
		flagged.On = today.AddDays(-2)
		f := FeetAfter(d, trims, flagged)
		for _, p := range f.Plan(today, usually) {
			assert.Equal(t, verdict.Veterinarian, p.Kind)
			assert.Empty(t, p.Cuts())
			assert.Contains(t, p.Why, "a veterinarian looks first")
		}
		_, has, err := f.Next(usually)
		require.NoError(t, err)
		assert.False(t, has)
		assert.Contains(t, f.WhyNone(), "a veterinarian first")
		assert.Equal(t, Veterinarian, f.Cautions(f.On(today), true)[0].Kind)

		over := FeetAfter(d, trims, flagged, Check{On: today})
		assert.NotEqual(t, verdict.Veterinarian, over.Plan(today, usually)[4].Kind)
	}
}

// One dog's way of showing faces is no new evidence every time: fifteen trims to the sign do not make
// a nail surer than one does.
func TestFacesDoNotMakeANailSurerAndSurer(t *testing.T) {
	d := plain()
	var trims []Sitting
	for week := 30; week > 0; week -= 2 {
		trims = append(trims, Sitting{On: today.AddDays(-7 * week), Records: []Record{{
			Code: nail.MustParse("LF3"), Cuts: []float64{1, 1}, EndFace: quick.DarkCentre}}})
	}
	for n := range trims {
		f := FeetAfter(d, trims[:n+1])
		assert.GreaterOrEqual(t, f.state.Spare(f.index(nail.MustParse("LF3"))).SD, 0.5-1e-9)
	}
}

// A dewclaw that was measured keeps its length but for what comes off, wherever its trims ended before.
func TestACurlingDewclawIsNotCuredByOneMillimetre(t *testing.T) {
	d := plain()
	lf1 := nail.MustParse("LF1")
	cut := func(day date.Date) Sitting {
		return Sitting{On: day, Records: []Record{{Code: lf1, Cuts: []float64{1}}}}
	}
	look := Check{On: today.AddDays(-1), Looks: []Look{{Code: lf1, Length: length(19.4)}}}
	f := FeetAfter(d, []Sitting{cut(today.AddDays(-60)), cut(today)}, look)
	got := reading(t, f, "LF1", today)
	assert.InDelta(t, 18.2, got.Length.Value, 0.8)
	assert.Greater(t, got.Turn, claw.CurlTurn-warnTurn, "and is warned of as before")
}

// What is reckoned, however far it runs, is no reason to refuse a date.
func TestWhatIsReckonedNeverBreaksTheDate(t *testing.T) {
	d := plain()
	d.Weights[0].Kg = 95
	lf1 := nail.MustParse("LF1")
	d.Nails[slices.IndexFunc(d.Nails, func(n Nail) bool { return n.Code == lf1 })].Shape = nail.Curled
	curled := Sitting{On: today.AddDays(-740), Records: []Record{{Code: lf1, Cuts: []float64{0.5}}}}
	high := Sitting{On: today.AddDays(-740), Records: []Record{{Code: nail.MustParse("LF3"), GapBefore: gap(claw.MostGap), Cuts: []float64{8}}}}
	for _, s := range []Sitting{curled, high} {
		_, has, err := FeetAfter(d, []Sitting{s}, Check{On: today}).Next(usually)
		require.NoError(t, err)
		assert.True(t, has)
	}
}

// Three times the usual length, and a gap as wide as the nail is long, are asked for again, and
// stand when they are told as sure.
func TestANumberThatCannotWellBeIsAskedForAgain(t *testing.T) {
	d := plain()
	sitting := func(r Record) error {
		r.Code, r.Cuts = nail.MustParse("LF3"), []float64{1}
		return Sitting{On: today, Records: []Record{r}}.Check(d, today).Err()
	}
	assert.NoError(t, sitting(Record{LengthBefore: length(30)}))
	assert.ErrorContains(t, sitting(Record{LengthBefore: length(75)}), "records[0].length_before_mm: 75 mm is longer than this nail can well be, usually about 14 mm: 7.5?")
	assert.NoError(t, sitting(Record{LengthBefore: length(75), Sure: true}))
	assert.ErrorContains(t, sitting(Record{GapAfter: gap(38)}), "records[0].gap_after_mm: 38 mm is more than")

	walk := Check{On: today, Looks: []Look{{Code: nail.MustParse("LF3"), Length: length(75), Gap: gap(38)}}}
	err := walk.Check(d, today).Err()
	assert.ErrorContains(t, err, "looks[0].length_mm")
	assert.ErrorContains(t, err, "looks[0].gap_mm")
	walk.Looks[0].Sure = true
	assert.NoError(t, walk.Check(d, today).Err())
}

// A walk-round that is told late does not overrule what a later one saw, nail by nail and word by word.
func TestALateWalkRoundOverrulesNothingNewer(t *testing.T) {
	d := plain()
	torn, sound, dark, light := nail.Torn, nail.Sound, nail.Dark, nail.Light
	lf3 := nail.MustParse("LF3")
	newer := Check{On: today, Looks: []Look{{Code: lf3, State: &torn}}}
	d = d.Seen(newer)
	late := d.Seen(Check{On: today.AddDays(-3), Looks: []Look{{Code: lf3, State: &sound, Colour: &dark}}}, newer)
	got, _ := late.Nail(lf3)
	assert.Equal(t, torn, got.State)
	assert.Equal(t, dark, got.Colour, "of which nobody told later")
	again := late.Seen(Check{On: today.AddDays(1), Looks: []Look{{Code: lf3, State: &sound, Colour: &light}}}, newer)
	got, _ = again.Nail(lf3)
	assert.Equal(t, sound, got.State)
	assert.Equal(t, light, got.Colour)
}
