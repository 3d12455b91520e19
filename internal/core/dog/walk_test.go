package dog

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/due"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
)

func seen(code string, gap *measure.Number) Look { return Look{Code: nail.MustParse(code), Gap: gap} }

// One that touches, or reaches past its pad, is too long (common practice, no source).
func TestWhatIsSeenReplacesTheAssumption(t *testing.T) {
	f := FeetAfter(plain(), nil, Check{On: today, Looks: []Look{seen("LF3", gap(claw.CardGap)), {Code: nail.MustParse("LF4"), Length: length(12.5)}}})
	lf3, lf4, lf2 := reading(t, f, "LF3", today), reading(t, f, "LF4", today), reading(t, f, "LF2", today)
	assert.Greater(t, lf3.Gap.Value, claw.CardGap, "a card passes: it stands at least so high")
	assert.Equal(t, estimate.Measured, lf3.Gap.Source)
	assert.False(t, lf3.OnFloor)
	assert.InDelta(t, 12.5, lf4.Length.Value, 0.2)
	assert.Equal(t, estimate.Measured, lf4.Length.Source)
	assert.Equal(t, estimate.Assumed, lf2.Gap.Source, "nobody looked at it")
	assert.True(t, lf2.Trimmed.IsZero())
}

func TestALookAloneSetsADate(t *testing.T) {
	var looks []Look
	for _, n := range plain().Nails {
		looks = append(looks, seen(n.Code.String(), gap(2)))
	}
	next, has, err := FeetAfter(plain(), nil, Check{On: today, Looks: looks}).Next(usually)
	require.NoError(t, err)
	require.True(t, has)
	assert.Greater(t, next.Due.Sub(today), 7, "every nail stands 2 mm clear")

	looks[2] = seen(looks[2].Code.String(), gap(0))
	next, _, err = FeetAfter(plain(), nil, Check{On: today, Looks: looks}).Next(usually)
	require.NoError(t, err)
	assert.Equal(t, today, next.Due, "one touches: it is due today")
	assert.Equal(t, "LF3 reaches the floor", next.Reason)
}

func TestPastItsPadIsDueNowUntilItIsTrimmed(t *testing.T) {
	d := plain()
	trims := []Sitting{asPlanned(FeetAfter(d, nil), today.AddDays(-10))}
	check := Check{On: today, Looks: []Look{{Code: nail.MustParse("RF3"), PastPad: true, Gap: gap(1)}}}
	next, _, err := FeetAfter(d, trims, check).Next(usually)
	require.NoError(t, err)
	assert.Equal(t, due.Pad, next.Rule)
	assert.Equal(t, "RF3 reaches past its pad", next.Reason)
	assert.Equal(t, today, next.Due)

	done := Sitting{On: today, Records: []Record{{Code: nail.MustParse("RF3"), Cuts: []float64{1}}}}
	next, _, err = FeetAfter(d, append(trims, done), check).Next(usually)
	require.NoError(t, err)
	assert.NotEqual(t, due.Pad, next.Rule, "one looks before one cuts on the same day")
}

// Looking does not put the rhythm off: it counts from the last sitting.
func TestTheRhythmCountsFromTheSittingNotFromTheLook(t *testing.T) {
	d := plain()
	d.Rhythm = rhythm.Fortnightly
	var clear []Look
	for _, n := range d.Nails {
		clear = append(clear, seen(n.Code.String(), gap(2.5)))
	}
	trim := asPlanned(FeetAfter(d, nil), today.AddDays(-10))
	next, _, err := FeetAfter(d, []Sitting{trim}, Check{On: today, Looks: clear}).Next(usually)
	require.NoError(t, err)
	assert.Equal(t, due.Ceiling, next.Rule)
	assert.Equal(t, today.AddDays(4), next.Due)
}

// Swelling, limping, several nails breaking: a veterinarian (common practice, no source).
func TestRedFlagsAreAVeterinarians(t *testing.T) {
	f := FeetAfter(plain(), nil, Check{On: today, Swelling: true, Limping: true, Breaking: true, Hair: true})
	words := f.Cautions(f.On(today), true)
	require.Len(t, words, 4)
	for _, w := range words[:3] {
		assert.Equal(t, Veterinarian, w.Kind)
		assert.Contains(t, w.Words, "veterinarian")
	}
	assert.Equal(t, Prepare, words[3].Kind, "hair between the pads is cleared first")
	later := FeetAfter(plain(), nil, Check{On: today.AddDays(-9), Limping: true}, Check{On: today})
	assert.Empty(t, later.Cautions(later.On(today), true), "the last look counts")
}

func TestSeenNailsBecomeTheDogs(t *testing.T) {
	dark, curled, torn := nail.Dark, nail.Curled, nail.Torn
	d := plain().Seen(Check{Looks: []Look{{Code: nail.MustParse("LF1"), Shape: &curled}, {Code: nail.MustParse("LF3"), Colour: &dark, State: &torn}}})
	lf1, _ := d.Nail(nail.MustParse("LF1"))
	lf3, _ := d.Nail(nail.MustParse("LF3"))
	assert.Equal(t, nail.Curled, lf1.Shape)
	assert.Equal(t, Nail{lf3.Code, nail.Torn, nail.Dark, nail.Usual}, lf3)
	assert.Equal(t, nail.Usual, plain().Nails[0].Shape, "the dog itself is not changed under our hands")
	f := FeetAfter(d, nil)
	assert.True(t, reading(t, f, "LF1", today).Curling(), "a dewclaw seen curled is curling")
}

func TestCheckOfAWalkNamesWhatCannotBe(t *testing.T) {
	bad := Check{On: today.AddDays(1), Looks: []Look{seen("LH1", nil), seen("LF3", gap(-1)), {Code: nail.MustParse("LF3"), Length: length(0)}}}
	assert.Equal(t, []string{"on", "looks[0].code", "looks[1].gap_mm", "looks[2].code", "looks[2].length_mm"}, names(bad.Check(plain(), today)))
}

func TestASectionAgreesWithTheReading(t *testing.T) {
	f := FeetAfter(plain(), []Sitting{asPlanned(FeetAfter(plain(), nil), today.AddDays(-8))})
	for _, r := range f.On(today) {
		s, has := f.Section(r.Code, today, 1, Sliver)
		require.True(t, has)
		assert.InDelta(t, r.Length.Value, s.Stance.Length, 1e-9)
		assert.InDelta(t, r.Length.Value-r.Spare.Value, s.Quick, 1e-9)
		if r.Code.Dewclaw() {
			assert.True(t, math.IsInf(s.Days, 1), "no floor under it")
			continue
		}
		assert.InDelta(t, r.Gap.Value, s.Stance.Gap(), 1e-6)
		for _, c := range s.Cuts {
			assert.GreaterOrEqual(t, c.Days, s.Days-1.5, "%s %s: a cut never brings the floor nearer", r.Code, c.School)
		}
	}
	fresh, has := FeetAfter(plain(), nil).Section(nail.MustParse("LF3"), today, 1, Sliver)
	require.True(t, has)
	assert.Equal(t, estimate.Assumed, fresh.RateFrom)
	known, has := FeetAfter(plain(), threeYears(plain())).Section(nail.MustParse("LF3"), today, 1, Sliver)
	require.True(t, has)
	assert.Equal(t, estimate.Learnt, known.RateFrom, "learnt growth is not told as assumed")
	_, has = f.Section(nail.MustParse("LH1"), today, 1, Sliver)
	assert.False(t, has)
}

func TestTheForecastIsTheReadingsOfThoseDays(t *testing.T) {
	f := FeetAfter(plain(), []Sitting{asPlanned(FeetAfter(plain(), nil), today.AddDays(-2))})
	c := f.Forecast(today)
	assert.Equal(t, 60, c.Days[len(c.Days)-1])
	for i, day := range c.Days {
		assert.Equal(t, f.On(today.AddDays(day)), c.Readings[i])
	}
	require.NotEmpty(t, c.Touching)
	before, after := reading(t, f, c.Touching[0].String(), today.AddDays(int(c.Touch))), reading(t, f, c.Touching[0].String(), today.AddDays(int(c.Touch)+1))
	assert.False(t, before.OnFloor && c.Touch > 0)
	assert.True(t, after.OnFloor)
}

// Clicking on a hard floor is the ear's version of the test (common practice, no source): some
// nail touches, one of those that nobody looked at.
func TestADogThatClicksHasANailOnTheFloor(t *testing.T) {
	var clear []Look
	for _, n := range plain().Nails[1:] {
		clear = append(clear, seen(n.Code.String(), gap(3)))
	}
	next, _, err := FeetAfter(plain(), nil, Check{On: today, Clicks: true, Looks: clear}).Next(usually)
	require.NoError(t, err)
	assert.Equal(t, []nail.Code{plain().Nails[0].Code}, next.Nails, "the one that was not looked at")
	assert.Equal(t, today, next.Due)
	clear = append(clear, seen(plain().Nails[0].Code.String(), gap(3)))
	clear[0].Gap = gap(0)
	next, _, err = FeetAfter(plain(), nil, Check{On: today, Clicks: true, Looks: clear}).Next(usually)
	require.NoError(t, err)
	assert.Equal(t, []nail.Code{clear[0].Code}, next.Nails, "the one that was seen to touch is what clicks")
}

// To a step of the grid: of one sitting's nails the later know a little of the earlier.
func TestMirrorPawsAgree(t *testing.T) {
	f := FeetAfter(plain(), []Sitting{asPlanned(FeetAfter(plain(), nil), today.AddDays(-9))})
	for _, pair := range [][2]string{{"LF1", "RF1"}, {"LF3", "RF3"}, {"LH2", "RH2"}, {"LH4", "RH4"}} {
		left, right := reading(t, f, pair[0], today), reading(t, f, pair[1], today)
		assert.InDelta(t, right.Length.Value, left.Length.Value, 0.05)
		assert.InDelta(t, right.Spare.Value, left.Spare.Value, 0.05)
		assert.InDelta(t, right.Floor.Mean, left.Floor.Mean, 0.05)
	}
}

// Dewclaws may be there or not, none, one or two on a hind paw (common practice, no source).
func TestDewclawsAreSeenToBeThereOrNot(t *testing.T) {
	yes, no := true, false
	c := Check{On: today, Looks: []Look{
		{Code: nail.MustParse("LF1"), Present: &no}, {Code: nail.MustParse("LH1b"), Present: &yes}, {Code: nail.MustParse("LH1"), Present: &yes},
	}}
	require.Empty(t, c.Check(plain(), today))
	d := plain().Seen(c)
	assert.Len(t, d.Nails, 19)
	_, has := d.Nail(nail.MustParse("LF1"))
	assert.False(t, has)
	assert.Equal(t, "LH1b", d.Nails[13].Code.String(), "in their place as the dog stands")
	twice := Check{On: today, Looks: []Look{{Code: nail.MustParse("LH1"), Present: &yes}, {Code: nail.MustParse("LH1"), Present: &yes}}}
	assert.NotEmpty(t, twice.Check(plain(), today))
}

func TestADogWithoutADateSaysWhy(t *testing.T) {
	assert.Equal(t, "no sitting yet: look at the feet", FeetAfter(plain(), nil).WhyNone())
	d := plain()
	for i := range d.Nails {
		d.Nails[i].State = nail.Ingrown
	}
	f := FeetAfter(d, nil, Check{On: today})
	_, has, err := f.Next(usually)
	require.NoError(t, err)
	assert.False(t, has)
	assert.Equal(t, "no nail that may be trimmed", f.WhyNone())
	assert.Len(t, f.Cautions(f.On(today), true)[0].Nails, 18)
}
