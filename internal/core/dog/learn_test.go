package dog

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

// year is a year of sittings on nails that really grow so fast, every so many days, each trimmed
// to about a millimetre in front of a quick that follows as usual. (Invented truth.)
func year(d Dog, every int, rate func(nail.Code, date.Date) float64, how func(i int, r *Record, length, spare float64)) []Sitting {
	noise := rand.New(rand.NewPCG(6, 1))
	length, spare := map[nail.Code]float64{}, map[nail.Code]float64{}
	var sittings []Sitting
	for i := range 365 / every {
		s := Sitting{On: today.AddDays(every*(i+1) - 370)}
		weeks := float64(every) / 7
		for _, n := range d.Nails {
			if i == 0 {
				length[n.Code], spare[n.Code] = 13, 3
			}
			drift := quick.Drift{Rate: rate(n.Code, s.On), Follow: d.followUsual(today)}
			grown := drift.After(quick.Spare{Mean: spare[n.Code]}, weeks).Mean
			length[n.Code], spare[n.Code] = length[n.Code]+drift.Rate*weeks, grown
			r := Record{Code: n.Code, Cuts: slivers(grown - 1 + 0.2*noise.NormFloat64())}
			length[n.Code] -= r.Removed()
			spare[n.Code] -= r.Removed()
			how(i, &r, length[n.Code], spare[n.Code])
			s.Records = append(s.Records, r)
		}
		sittings = append(sittings, s)
	}
	return sittings
}

func nobodyMeasures(int, *Record, float64, float64) {}

// With no caliper ever used the rate is learnt, far beyond what was assumed, and it says from what.
func TestRatesAreLearntFromSliversAlone(t *testing.T) {
	for _, faster := range []float64{-0.3, 0, 0.4} {
		d := plain()
		truth := func(code nail.Code, day date.Date) float64 { return rateOn(d, code, day).Mean + faster }
		f := FeetAfter(d, year(d, 14, truth, nobodyMeasures))
		g := f.Growth(today)
		assert.InDelta(t, g.Usual.Mean+faster, g.Gross.Mean, 0.2)
		assert.InDelta(t, g.Usual.Mean+faster, g.Gross.Mean, 2*g.Gross.SD)
		assert.Equal(t, estimate.Learnt, g.Source)
		assert.Zero(t, g.Measured)
		assert.Contains(t, g.Words, "what came off alone")
		assert.Less(t, g.Gross.SD, g.Usual.SD/2)
	}
}

// Lengths tell it better, each nail for itself.
func TestLengthsTellEachNailsOwnRate(t *testing.T) {
	d := plain()
	fast := nail.MustParse("LF3")
	truth := func(code nail.Code, day date.Date) float64 {
		if code == fast {
			return 1.1
		}
		return rateOn(d, code, day).Mean
	}
	f := FeetAfter(d, year(d, 14, truth, func(_ int, r *Record, length, _ float64) { r.LengthAfter = &length }))
	assert.InDelta(t, 1.1, reading(t, f, "LF3", today).Rate.Mean, 0.08)
	assert.InDelta(t, rateOn(d, nail.MustParse("RF3"), today).Mean, reading(t, f, "RF3", today).Rate.Mean, 0.08)
	assert.Equal(t, "learnt from 450 lengths", f.Growth(today).Words)
	assert.NotEmpty(t, f.Growth(today).Groups[0].Seen)
}

func TestATornOrBrokenNailTeachesNothing(t *testing.T) {
	d := plain()
	usual := func(code nail.Code, day date.Date) float64 { return rateOn(d, code, day).Mean }
	sittings := year(d, 14, usual, nobodyMeasures)
	whole := len(FeetAfter(d, sittings).Grown)
	torn := d
	torn.Nails = append([]Nail{}, d.Nails...)
	torn.Nails[0].State = nail.Torn
	assert.Less(t, len(FeetAfter(torn, sittings).Grown), whole)

	state := nail.Broken
	broke := Check{On: sittings[10].On.AddDays(3), Looks: []Look{{Code: d.Nails[0].Code, State: &state}}}
	for _, g := range FeetAfter(d, sittings, broke).Grown {
		spans := g.Nail == d.Nails[0].Code && g.From.Before(broke.On) && g.To.After(broke.On)
		assert.False(t, spans, "nothing is learnt across the break")
	}
}

// A caliper read at the wrong mark is named, and the rates stay what they were.
func TestASlipOfTheCaliperIsNamed(t *testing.T) {
	d := plain()
	usual := func(code nail.Code, day date.Date) float64 { return rateOn(d, code, day).Mean }
	measure := func(_ int, r *Record, length, _ float64) { r.LengthAfter = &length }
	clean := FeetAfter(d, year(d, 14, usual, measure))
	f := FeetAfter(d, year(d, 14, usual, func(i int, r *Record, length, spare float64) {
		if measure(i, r, length, spare); i == 12 && r.Code.String() == "LF3" {
			wrong := length + 9
			r.LengthAfter = &wrong
		}
	}))
	assert.Empty(t, clean.Outliers)
	require.Len(t, f.Outliers, 2, "it is wrong from both sides")
	for _, o := range f.Outliers {
		assert.Equal(t, "LF3", o.Nail.String())
	}
	assert.InDelta(t, clean.Growth(today).Gross.Mean, f.Growth(today).Gross.Mean, 0.01)
}

// The ground's share is told from the growth by a change of walking.
func TestPavementCountsByTheDaysItWasWalked(t *testing.T) {
	d := plain()
	d.Pavement, d.Walked = 30, []Walked{{today.AddDays(-180), 5}}
	assert.Equal(t, 5.0, d.PavementOn(today.AddDays(-180)))
	assert.Equal(t, 30.0, d.PavementOn(today.AddDays(-179)))
	assert.InDelta(t, 17.5, d.pavementOver(today.AddDays(-182), today.AddDays(-178)), 1e-9)
	truth := func(code nail.Code, day date.Date) float64 {
		if code.Dewclaw() {
			return 1.1
		}
		return 1.1 - 0.03*d.PavementOn(day)
	}
	f := FeetAfter(d, year(d, 14, truth, func(_ int, r *Record, length, _ float64) { r.LengthAfter = &length }))
	where := d.where(today)
	assert.InDelta(t, 0.2, f.Rates.Group(nail.Fore, where).Mean, 0.1)
	where.Pavement = 5
	assert.InDelta(t, 0.95, f.Rates.Group(nail.Fore, where).Mean, 0.1)
}

func TestChangedWalkingKeepsWhatWasWalked(t *testing.T) {
	d := plain()
	km, since := 20.0, today.AddDays(-30)
	changed, faults := d.With(Changes{Pavement: &km, Since: &since}, today)
	require.Empty(t, faults)
	assert.Equal(t, []Walked{{since.AddDays(-1), 8}}, changed.Walked)
	back := 8.0
	again, faults := changed.With(Changes{Pavement: &back, Since: &d.Birth.Date}, today)
	require.Empty(t, faults)
	assert.Empty(t, again.Walked, "always so: nothing is left of the other")
	later := today.AddDays(3)
	_, faults = d.With(Changes{Pavement: &km, Since: &later}, today)
	require.Len(t, faults, 1)
	assert.Equal(t, "pavement_since", faults[0].Name)
}

// A dog whose quick follows in its own way, seen at every sitting through light horn.
func TestTheQuicksOwnHabitIsLearnt(t *testing.T) {
	d := plain()
	usual := func(code nail.Code, day date.Date) float64 { return rateOn(d, code, day).Mean }
	seen := func(_ int, r *Record, length, spare float64) { r.LengthAfter, r.SpareLeft = &length, &spare }
	f := FeetAfter(d, year(d, 14, usual, seen))
	assert.Equal(t, estimate.Learnt, f.Habit.Pull.Source)
	follow := d.followUsual(today) // the truth of year()
	assert.True(t, f.Habit.Pull.Low < follow.Pull && follow.Pull < f.Habit.Pull.High, "%v", f.Habit.Pull)
	assert.True(t, f.Habit.Rest.Low < follow.Rest && follow.Rest < f.Habit.Rest.High, "%v", f.Habit.Rest)
	few := FeetAfter(d, year(d, 60, usual, seen))
	assert.Equal(t, estimate.Assumed, few.Habit.Pull.Source, "six sittings are too few")
	slivers := FeetAfter(d, year(d, 14, usual, func(_ int, r *Record, _, spare float64) { r.SpareLeft = &spare }))
	assert.Equal(t, estimate.Assumed, slivers.Habit.Pull.Source, "a rate from slivers hangs on the habit itself")
}

func TestKeptFeetAreTheSameFeet(t *testing.T) {
	d := plain()
	usual := func(code nail.Code, day date.Date) float64 { return rateOn(d, code, day).Mean }
	f := FeetAfter(d, year(d, 14, usual, nobodyMeasures), Check{On: today, Hair: true})
	text, err := f.Keep()
	require.NoError(t, err)
	again, err := Kept(d, text)
	require.NoError(t, err)
	assert.Equal(t, f.On(today.AddDays(9)), again.On(today.AddDays(9)))
	assert.Equal(t, f.Cautions(f.On(today)), again.Cautions(again.On(today)))
	a, _, _ := f.Next(Terms{Margin: 1})
	b, _, _ := again.Next(Terms{Margin: 1})
	assert.Equal(t, a, b)
	_, err = Kept(d, []byte(`{"Learnt":{"Rates":{"Mean":[1]}}}`))
	assert.Error(t, err)
}

func TestHistoryDropsAtEverySittingAndGoesOn(t *testing.T) {
	d := plain()
	usual := func(code nail.Code, day date.Date) float64 { return rateOn(d, code, day).Mean }
	sittings := year(d, 28, usual, func(i int, r *Record, length, _ float64) {
		if i == 3 {
			r.LengthAfter, r.Blood = &length, r.Code.String() == "LF3"
		}
	})
	h := HistoryOf(d, []nail.Code{nail.MustParse("LF3")}, today, sittings, Check{On: today.AddDays(-2)})
	require.Len(t, h.Past, 2*len(sittings)+1, "before and after each but the first, and the walk-round's two")
	for i := 1; i < len(h.Past); i += 2 {
		before, after := h.Past[i], h.Past[i+1]
		assert.Equal(t, before.On, after.On)
		if after.Removed > 0 {
			assert.Greater(t, before.Length.Value, after.Length.Value, "a drop")
		}
	}
	assert.True(t, h.Past[6].Blood && h.Past[6].Measured)
	assert.False(t, h.Past[len(h.Past)-1].Sitting, "the walk-round")
	assert.Equal(t, today, h.Forecast[0].On)
	last := h.Forecast[len(h.Forecast)-1]
	assert.Greater(t, last.Length.High-last.Length.Low, h.Forecast[0].Length.High-h.Forecast[0].Length.Low, "the band widens")
	assert.Greater(t, last.Floor, last.Quick.Value)

	group := HistoryOf(d, []nail.Code{nail.MustParse("LF1"), nail.MustParse("RF1")}, today, sittings)
	assert.True(t, math.IsInf(group.Forecast[0].Floor, 1), "a dewclaw has no floor")
}

func TestGrowthOfADogNobodyTrimmedIsAssumed(t *testing.T) {
	g := FeetAfter(plain(), nil).Growth(today)
	assert.Equal(t, estimate.Assumed, g.Source)
	assert.Contains(t, g.Words, "assumed")
	assert.Equal(t, g.Usual, g.Gross)
	assert.Equal(t, growth.Assumed().Gross(growth.Where{Age: 208, Weight: 22}), g.Gross)
}
