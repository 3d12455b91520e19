package feet

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/dogtest"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/temper"
)

var (
	today  = dogtest.Today
	plain  = dogtest.Plain
	length = dogtest.Length
	gap    = dogtest.Gap
	spare  = dogtest.Quick
)

func rateOn(d dog.Dog, code nail.Code, day date.Date) growth.Rate {
	return growth.Assumed().Group(code.Group(), d.Where(day))
}

func reading(t *testing.T, f Feet, code string, day date.Date) Reading {
	t.Helper()
	return f.On(day)[f.Index(nail.MustParse(code))]
}

func TestAMeasuredNailReplacesTheAssumption(t *testing.T) {
	day := today.AddDays(-7)
	f := FeetAfter(plain(), []record.Sitting{{On: day, Records: []record.NailRecord{
		{
			Code:        nail.MustParse("LF3"),
			LengthAfter: length(12),
			GapAfter:    gap(1.2),
			SpareLeft:   spare(1.5),
			Cuts:        []float64{1},
		},
	}}})
	then := reading(t, f, "LF3", day)
	assert.InDelta(t, 12, then.Length.Value, 0.2)
	assert.InDelta(t, 1.2, then.Gap.Value, 0.1)
	assert.InDelta(t, 1.5, then.Spare.Value, 0.1)
	assert.Equal(
		t,
		[]estimate.Source{estimate.Measured, estimate.Measured, estimate.Measured},
		[]estimate.Source{then.Length.Source, then.Gap.Source, then.Spare.Source},
	)

	now := reading(t, f, "LF3", today)
	assert.InDelta(t, then.Length.Value+now.Rate.Mean, now.Length.Value, 1e-9, "a week of growth")
	assert.Less(t, now.Gap.Value, then.Gap.Value)
	assert.Greater(t, now.Length.High-now.Length.Low, then.Length.High-then.Length.Low, "less sure a week on")
	assert.Equal(t, estimate.Assumed, reading(t, f, "LF4", today).Length.Source, "its neighbour was not measured")
}

func TestATrimLiftsTheNailByTheToesOwnHeight(t *testing.T) {
	code := nail.MustParse("RF4")
	f := FeetAfter(plain(), []record.Sitting{{On: today, Records: []record.NailRecord{
		{Code: code, LengthBefore: length(14), GapBefore: gap(0), Cuts: []float64{1, 1}}}}})
	assert.Greater(t, reading(t, f, "RF4", today).Gap.Value, 0.4)
}

func looked(l record.Look) Reading {
	l.Code = nail.MustParse("LF3")
	for _, r := range FeetAfter(plain(), nil, record.WalkRound{On: today, Looks: []record.Look{l}}).On(today) {
		if r.Code == l.Code {
			return r
		}
	}
	panic("no LF3")
}

// A caliper is believed more than the eye, and what somebody says of their own reading most of all.
func TestANumberCountsAsMuchAsWhatItWasReadWith(t *testing.T) {
	before := looked(record.Look{}).Length
	read := func(by measure.Means, sd float64) Reading {
		n := measure.Length.Told(20, by, sd)
		return looked(record.Look{Length: &n})
	}
	eye, caliper, exact := read(
		measure.Eye,
		0,
	).Length, read(
		measure.Caliper,
		0,
	).Length, read(
		measure.Caliper,
		0.1,
	).Length
	assert.Less(t, before.Value, eye.Value)
	assert.Less(t, eye.Value, caliper.Value)
	assert.Less(t, caliper.Value, exact.Value)
	assert.Greater(t, eye.High-eye.Low, 2*(caliper.High-caliper.Low))
	assert.Greater(t, caliper.High-caliper.Low, 2*(exact.High-exact.Low))
}

// A coin that passes says that the nail stands at least so high. It used to be taken for a gap of
// exactly the coin.
func TestACoinThatPassesSaysAtLeast(t *testing.T) {
	coin, gauge := measure.Gap.Told(1.5, measure.Feeler, 0), measure.Gap.Told(1.5, measure.Caliper, 0)
	felt, measured := looked(record.Look{Gap: &coin}), looked(record.Look{Gap: &gauge})
	assert.Greater(t, felt.Floor.Mean, measured.Floor.Mean)
	assert.Greater(t, felt.Floor.SD, 2*measured.Floor.SD)
}

// The last reading is told of a nail, less what came off after it, with what it was read with.
func TestTheLastReadingKeepsItsMeans(t *testing.T) {
	n := measure.Length.Told(15, measure.Eye, 0)
	f := FeetAfter(
		plain(),
		[]record.Sitting{
			{
				On:      today,
				Records: []record.NailRecord{{Code: nail.MustParse("LF3"), LengthBefore: &n, Cuts: []float64{1, 1}}},
			},
		},
	)
	s, has := f.Section(nail.MustParse("LF3"), today, 1, 0.5)
	require.True(t, has)
	assert.Equal(t, Measured{today, measure.Number{MM: 13, By: measure.Eye, SD: 1.5}}, s.Measured)
	s, _ = f.Section(nail.MustParse("RF3"), today, 1, 0.5)
	assert.True(t, s.Measured.On.IsZero(), "nobody read this one")
	text, err := f.Keep()
	require.NoError(t, err)
	kept, err := Kept(plain(), text)
	require.NoError(t, err)
	s, _ = kept.Section(nail.MustParse("LF3"), today, 1, 0.5)
	assert.Equal(t, measure.Eye, s.Measured.By, "and keeps it")
}

// One dog's way of showing faces is no new evidence every time: fifteen trims to the sign do not make
// a nail surer than one does.
func TestFacesDoNotMakeANailSurerAndSurer(t *testing.T) {
	d := plain()
	var trims []record.Sitting
	for week := 30; week > 0; week -= 2 {
		trims = append(trims, record.Sitting{On: today.AddDays(-7 * week), Records: []record.NailRecord{{
			Code: nail.MustParse("LF3"), Cuts: []float64{1, 1}, EndFace: quick.DarkCentre}}})
	}
	for n := range trims {
		f := FeetAfter(d, trims[:n+1])
		assert.GreaterOrEqual(t, f.state.Spare(f.Index(nail.MustParse("LF3"))).SD, 0.5-1e-9)
	}
}

// A dewclaw that was measured keeps its length but for what comes off, wherever its trims ended before.
func TestACurlingDewclawIsNotCuredByOneMillimetre(t *testing.T) {
	d := plain()
	lf1 := nail.MustParse("LF1")
	cut := func(day date.Date) record.Sitting {
		return record.Sitting{On: day, Records: []record.NailRecord{{Code: lf1, Cuts: []float64{1}}}}
	}
	look := record.WalkRound{On: today.AddDays(-1), Looks: []record.Look{{Code: lf1, Length: length(19.4)}}}
	f := FeetAfter(d, []record.Sitting{cut(today.AddDays(-60)), cut(today)}, look)
	got := reading(t, f, "LF1", today)
	assert.InDelta(t, 18.2, got.Length.Value, 0.8)
	assert.Greater(t, got.Turn, claw.CurlTurn-claw.Radians(25), "and is warned of as before")
}

// One that touches, or reaches past its pad, is too long (common practice, no source).
func TestWhatIsSeenReplacesTheAssumption(t *testing.T) {
	f := FeetAfter(
		plain(),
		nil,
		record.WalkRound{
			On:    today,
			Looks: []record.Look{seenIn("LF3", gap(claw.CardGap)), {Code: nail.MustParse("LF4"), Length: length(12.5)}},
		},
	)
	lf3, lf4, lf2 := reading(t, f, "LF3", today), reading(t, f, "LF4", today), reading(t, f, "LF2", today)
	assert.Greater(t, lf3.Gap.Value, claw.CardGap, "a card passes: it stands at least so high")
	assert.Equal(t, estimate.Measured, lf3.Gap.Source)
	assert.False(t, lf3.OnFloor)
	assert.InDelta(t, 12.5, lf4.Length.Value, 0.2)
	assert.Equal(t, estimate.Measured, lf4.Length.Source)
	assert.Equal(t, estimate.Assumed, lf2.Gap.Source, "nobody looked at it")
	assert.True(t, lf2.Trimmed.IsZero())
}

// Measured at every sitting, the reckoning is the measurement, whatever the rate.
func TestACaliperOverrulesTheRate(t *testing.T) {
	d := plain()
	var sittings []record.Sitting
	for i := range 10 {
		sittings = append(sittings, record.Sitting{On: today.AddDays(14 * (i - 10)), Records: []record.NailRecord{
			{Code: nail.MustParse("LF3"), Cuts: []float64{1, 1}, LengthAfter: length(11), GapAfter: gap(1.5)}}})
	}
	r := reading(t, FeetAfter(d, sittings), "LF3", sittings[9].On)
	assert.InDelta(t, 11.0, r.Length.Value, 0.2)
	assert.InDelta(t, 1.5, r.Gap.Value, 0.2)
	assert.Less(t, r.Length.High-r.Length.Low, 2.0)
}

// A puppy's nails are reckoned by its size and age of the day, not of today.
func TestAGrowingPuppy(t *testing.T) {
	d := plain()
	d.Birth = dog.Birth{Date: today.AddDays(-7 * 60)}
	d.Weights = []dog.Weight{{On: today.AddDays(-300), Kg: 5}, {On: today, Kg: 22}}
	assert.Equal(t, 5.0, d.WeightOn(today.AddDays(-200)))
	assert.Equal(t, 5.0, d.WeightOn(today.AddDays(-400)), "before the first weighing, the first")
	assert.Equal(t, 22.0, d.WeightOn(today))
	code := nail.MustParse("LF1")
	assert.Greater(
		t,
		rateOn(d, code, today.AddDays(-100)).Mean,
		rateOn(d, code, today).Mean,
		"under one year they grow faster",
	)
}

func TestDoubleHindDewclawsAreNailsOfTheirOwn(t *testing.T) {
	d := plain()
	for _, c := range []string{"LH1", "LH1b", "RH1", "RH1b"} {
		d.Nails = append(
			d.Nails,
			dog.Nail{Code: nail.MustParse(c), State: nail.Sound, Colour: nail.Dark, Shape: nail.Usual},
		)
	}
	d, faults := d.With(dog.Changes{}, today)
	require.Empty(t, faults)
	require.Len(t, d.Nails, 22)
	rank := RankOf(FeetAfter(d, nil).On(today))
	assert.Equal(t, "LF5", rank.Bars[0].Code.String())
	assert.Equal(t, []string{"LH1b", "LH1", "RH1", "RH1b"}, []string{
		rank.Bars[14].Code.String(),
		rank.Bars[15].Code.String(),
		rank.Bars[16].Code.String(),
		rank.Bars[17].Code.String(),
	},
		"inner toes towards the middle")
	s := record.Sitting{On: today, Records: []record.NailRecord{{Code: nail.MustParse("LH1b"), Cuts: []float64{1}}}}
	assert.Empty(t, s.Check(d, today))
	assert.NotEmpty(t, s.Check(plain(), today))
}

// trimmed is a sitting that took a millimetre off every nail, to the first sign.
func trimmed(day date.Date) record.Sitting {
	s := record.Sitting{On: day}
	for _, n := range plain().Nails {
		s.Records = append(
			s.Records,
			record.NailRecord{
				Code:     n.Code,
				Cuts:     []float64{0.5, 0.5},
				Tool:     kit.LargePlier,
				Reaction: temper.Calm,
				EndFace:  quick.DarkCentre,
			},
		)
	}
	return s
}

func TestTheRankHangsEveryNailAboveOneFloor(t *testing.T) {
	d := plain()
	f := FeetAfter(d, []record.Sitting{trimmed(today)})
	rank := RankOf(f.On(today))
	touching := false
	for _, b := range rank.Bars {
		if b.Code.Dewclaw() {
			assert.Zero(t, b.Top)
			continue
		}
		assert.InDelta(t, rank.Floor, b.Top+b.Length.Value+b.ToFloor, 1e-9)
		assert.GreaterOrEqual(t, b.Top, 0.0)
		assert.LessOrEqual(t, b.QuickShort, b.Quick)
		assert.LessOrEqual(t, b.Quick, b.QuickLong)
		touching = touching || b.Top < 1e-9
	}
	assert.True(t, touching, "the deepest nail sets the floor")
}

func TestASectionAgreesWithTheReading(t *testing.T) {
	f := FeetAfter(plain(), []record.Sitting{trimmed(today.AddDays(-8))})
	for _, r := range f.On(today) {
		s, has := f.Section(r.Code, today, 1, record.Sliver)
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
	fresh, has := FeetAfter(plain(), nil).Section(nail.MustParse("LF3"), today, 1, record.Sliver)
	require.True(t, has)
	assert.Equal(t, estimate.Assumed, fresh.RateFrom)
	known, has := FeetAfter(plain(), threeYears()).Section(nail.MustParse("LF3"), today, 1, record.Sliver)
	require.True(t, has)
	assert.Equal(t, estimate.Learnt, known.RateFrom, "learnt growth is not told as assumed")
	_, has = f.Section(nail.MustParse("LH1"), today, 1, record.Sliver)
	assert.False(t, has)
}

func TestTheForecastIsTheReadingsOfThoseDays(t *testing.T) {
	f := FeetAfter(plain(), []record.Sitting{trimmed(today.AddDays(-2))})
	c := f.Forecast(today)
	assert.Equal(t, 60, c.Days[len(c.Days)-1])
	for i, day := range c.Days {
		assert.Equal(t, f.On(today.AddDays(day)), c.Readings[i])
	}
	require.NotEmpty(t, c.Touching)
	first, day := c.Touching[0].String(), today.AddDays(int(c.Touch))
	before, after := reading(t, f, first, day), reading(t, f, first, day.AddDays(1))
	assert.False(t, before.OnFloor && c.Touch > 0)
	assert.True(t, after.OnFloor)
}

// To a step of the grid: of one sitting's nails the later know a little of the earlier.
func TestMirrorPawsAgree(t *testing.T) {
	f := FeetAfter(plain(), []record.Sitting{trimmed(today.AddDays(-9))})
	for _, pair := range [][2]string{{"LF1", "RF1"}, {"LF3", "RF3"}, {"LH2", "RH2"}, {"LH4", "RH4"}} {
		left, right := reading(t, f, pair[0], today), reading(t, f, pair[1], today)
		assert.InDelta(t, right.Length.Value, left.Length.Value, 0.05)
		assert.InDelta(t, right.Spare.Value, left.Spare.Value, 0.05)
		assert.InDelta(t, right.Floor.Mean, left.Floor.Mean, 0.05)
	}
}

// threeYears is a sitting every fortnight.
func threeYears() []record.Sitting {
	var sittings []record.Sitting
	for i := range 78 {
		sittings = append(sittings, trimmed(today.AddDays(14*i-1092)))
	}
	return sittings
}

func BenchmarkFoldAndLearn(b *testing.B) {
	d := plain()
	for sittings := threeYears(); b.Loop(); {
		FeetAfter(d, sittings)
	}
}

func seenIn(code string, gap *measure.Number) record.Look {
	return record.Look{Code: nail.MustParse(code), Gap: gap}
}

func TestADewclawSeenCurledIsCurling(t *testing.T) {
	curled := nail.Curled
	d := record.WalkRound{Looks: []record.Look{{Code: nail.MustParse("LF1"), Shape: &curled}}}.Seen(plain())
	assert.True(t, reading(t, FeetAfter(d, nil), "LF1", today).Curling())
}
