package hindsight

import (
	"math/rand/v2"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/dogtest"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/state"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
	"fribbet/internal/words/wordstest"
	"fribbet/internal/worked"
)

const twoYears = 104 // weeks

var monday = date.MustParse("2023-01-02")

// lived is a dog of a world, and what somebody told of it over so many weeks: every length before the trim by a
// caliper, each cut with its end, and whether nails touched when it came.
func lived(r *rand.Rand, w virtual.World, long, weeks int) (dog.Dog, []record.Sitting) {
	d := dogtest.Plain()
	d.Weights = []dog.Weight{{On: monday, Kg: 8 + 25*r.Float64()}}
	d.Entered = monday
	nails := make([]state.Traits, len(d.Nails))
	for i, n := range d.Nails {
		nails[i] = state.Traits{Code: n.Code, Colour: n.Colour, Shape: n.Shape}
	}
	ago := float64(weeks)
	d.LastDone = &ago
	where := d.Where(monday)
	v := virtual.Draw(r, w, growth.Where{Age: where.Age, Weight: where.Weight, Pavement: where.Pavement}, nails, &ago)
	var told []record.Sitting
	for week := 0; week < long; week += weeks {
		if week > 0 {
			v.Grow(float64(weeks))
		}
		s := record.Sitting{On: monday.AddDays(7 * week), Arrival: &record.Arrival{Touching: record.None}}
		for i, n := range d.Nails {
			if !n.Code.Dewclaw() && v.Feel(i) == measure.Touches {
				s.Arrival.Touching = record.Some
			}
		}
		for i, n := range d.Nails {
			before := v.Measured(i)
			one := record.NailRecord{Code: n.Code, LengthBefore: &before}
			for range 16 {
				face := v.Cut(i, 0.5)
				one.Cuts = append(one.Cuts, 0.5)
				if face == quick.Blood {
					one.Blood, face = true, ""
				}
				one.Faces = append(one.Faces, face)
				if one.Blood || face.FirstSign() || face.Ends() {
					break
				}
			}
			s.Records = append(s.Records, one)
		}
		told = append(told, s)
	}
	return d, told
}

// after is a plain date: so many weeks after each trim.
func after(weeks int) Rules {
	return Rules{
		Due:   func(f feet.Feet) (date.Date, bool) { return f.Sat().AddDays(7 * weeks), true },
		Terms: func(feet.Feet) verdict.Terms { return verdict.For(quick.AtFirstSign, kit.SomeHand, true, false) },
		Pace:  func([]record.Sitting, kit.Work) temper.Pace { return temper.LearnPace(kit.SomeHand, kit.Clipping, nil) },
	}
}

// report is what was said of a dog of these records.
func report(d dog.Dog, told []record.Sitting, checks []record.WalkRound, rules Rules) Report {
	r, _ := Of(d, told, checks, rules, nil)
	return r
}

// Of dogs drawn from the model what was said holds: nine lengths in ten, and as many cuts bleed as were to; it is
// better than the plain rule. Of dogs that show their quick late more bleed than were to, and it says so.
func TestAWorldWhoseTruthIsKnown(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	over := func(w virtual.World) (all Report, bled int, low, high float64) {
		r := rand.New(rand.NewPCG(34, 1))
		var chances sum
		for range 12 {
			d, told := lived(r, w, twoYears, 3)
			one := report(d, told, nil, after(3))
			all.Lengths.Seen, all.Lengths.In90 = all.Lengths.Seen+one.Lengths.Seen, all.Lengths.In90+one.Lengths.In90
			all.Lengths.CRPS, all.Lengths.Plain = all.Lengths.CRPS+one.Lengths.CRPS, all.Lengths.Plain+one.Lengths.Plain
			for _, b := range one.Cuts.Bins {
				bled += b.Bled
				chances.add(b.Sum)
			}
			all.Cuts.Brier, all.Cuts.Plain = all.Cuts.Brier+one.Cuts.Brier, all.Cuts.Plain+one.Cuts.Plain
			all.Dates.About += one.Dates.About
			all.Dates.NotYet += one.Dates.NotYet
			all.Dates.Later += one.Dates.Later
			all.LeftOut.Unlooked += one.LeftOut.Unlooked
		}
		e := chances.expected()
		return all, bled, e.Low, e.High
	}
	r, bled, low, high := over(virtual.World{})
	share := 100 * float64(r.Lengths.In90) / float64(r.Lengths.Seen)
	assert.True(t, share > 86 && share < 96, "%.1f", share)
	assert.Less(t, r.Lengths.CRPS, 0.5*r.Lengths.Plain, "better than the usual length")
	assert.GreaterOrEqual(t, float64(bled), 0.6*low)
	assert.LessOrEqual(t, float64(bled), 1.4*high)
	assert.Less(t, r.Cuts.Brier, r.Cuts.Plain)
	assert.Positive(t, r.Dates.About+r.Dates.Later)
	assert.Zero(t, r.LeftOut.Unlooked)

	_, bled, _, high = over(virtual.World{Later: 0.6})
	assert.Greater(t, float64(bled), high, "whose faces show late bleed more than was said")
}

// A tally tells no ends: its hand went on since it saw no sign, and its cuts are called so: no more than twice as many
// were to bleed as did.
func TestATallysCutsAreCalledAsItsHandKnewThem(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	r := rand.New(rand.NewPCG(35, 1))
	var all []Report
	for range 12 {
		d, told := lived(r, virtual.World{}, twoYears, 3)
		for i := range told {
			for k := range told[i].Records {
				told[i].Records[k].Faces = nil
			}
		}
		all = append(all, report(d, told, nil, after(3)))
	}
	bled, said := 0, 0.0
	for _, b := range Together(all).Cuts.Bins {
		bled, said = bled+b.Bled, said+b.Expected.Value
	}
	assert.Less(t, said, 2*float64(bled))
	assert.Less(t, float64(bled), 2*said)
}

// What nobody told marks nothing, and is counted as left out.
func TestNothingMarksItself(t *testing.T) {
	d, told := lived(rand.New(rand.NewPCG(1, 1)), virtual.World{}, twoYears, 4)
	for i := range told {
		told[i].Arrival = nil
		for k := range told[i].Records {
			told[i].Records[k].Assumed, told[i].Records[k].LengthBefore = true, nil
		}
	}
	r := report(d, told, nil, after(4))
	assert.Equal(t, len(told), r.LeftOut.Unlooked)
	assert.Equal(t, len(told)*len(d.Nails), r.LeftOut.Assumed)
	assert.Zero(t, r.Dates)
	assert.Zero(t, r.Lengths.Seen)
	for _, b := range r.Cuts.Bins {
		assert.Zero(t, b.Cuts)
	}
}

// A felt nail is held against how likely it was to touch; two years of a dog take under a second of the processor.
func TestFeltNailsAndSpeed(t *testing.T) {
	d, told := lived(rand.New(rand.NewPCG(2, 1)), virtual.World{}, twoYears, 3)
	touches := measure.Touches.Number()
	look := record.WalkRound{On: told[3].On.AddDays(10), Looks: []record.Look{{Code: d.Nails[2].Code, Gap: &touches}}}
	var r Report
	took := worked.Time(t, func() { r = report(d, told, []record.WalkRound{look}, after(3)) })
	assert.Less(t, took, time.Second)
	assert.Equal(t, 1, r.Floors.Seen)
	assert.Equal(t, 1, r.Floors.Was)
	assert.Equal(t, 0.25, r.Floors.Plain)
}

// Three years of a trim every four weeks: asked are 100 ms.
func BenchmarkThreeYears(b *testing.B) {
	d, told := lived(rand.New(rand.NewPCG(2, 1)), virtual.World{}, 156, 4)
	for b.Loop() {
		report(d, told, nil, after(4))
	}
}

// A quarter counts its trims, nails, blood, looks, dates that were kept, and how far quicks drew back since the first.
func TestQuartersOfADog(t *testing.T) {
	calm := 6.0
	d := dogtest.Plain()
	d.Entered = date.MustParse("2026-01-01")
	cut := record.NailRecord{Code: d.Nails[0].Code, Cuts: []float64{1}}
	bled := record.NailRecord{Code: d.Nails[1].Code, Cuts: []float64{1}, Blood: true}
	_, got := Of(d, []record.Sitting{
		{On: date.MustParse("2026-04-01"), Records: []record.NailRecord{cut, bled}},
		{
			On:      date.MustParse("2026-01-15"),
			Records: []record.NailRecord{cut},
			Calm:    &calm,
			Arrival: &record.Arrival{Touching: record.Most},
		},
		{
			On:      date.MustParse("2026-03-31"),
			Records: []record.NailRecord{cut},
			Arrival: &record.Arrival{Touching: record.None},
		},
	}, nil, after(4), nil)
	require.Len(t, got, 2)
	assert.NotNil(t, got[0].Drawn)
	assert.NotNil(t, got[1].Drawn)
	got[0].Drawn, got[1].Drawn = nil, nil
	assert.Equal(t, []Quarter{
		{
			From:    date.MustParse("2026-01-01"),
			Trims:   2,
			Nails:   2,
			Looked:  2,
			Touched: 1,
			Calm:    &calm,
			Noted:   1,
			Dated:   1,
			Dogs:    1,
		},
		{From: date.MustParse("2026-04-01"), Trims: 1, Nails: 2, Bled: 1, Dated: 1, Kept: 1, Dogs: 1},
	}, got)
	assert.Empty(t, Trends(got), "of few cases there is no trend")
	many := []Quarter{
		{From: got[0].From, Nails: 60, Bled: 3},
		{From: got[1].From, Nails: 50, Bled: 1, Dated: 12, Kept: 6},
	}
	assert.Equal(
		t,
		[]Trend{{BledOf100, []Point{{got[0].From, 5}, {got[1].From, 2}}}},
		Trends(many),
		"nor of one quarter alone",
	)
	longer, back := 12.0, 0.6
	both := QuartersTogether(
		[][]Quarter{got, {{From: got[0].From, Trims: 1, Calm: &longer, Noted: 2, Drawn: &back, Dogs: 1}}},
	)
	assert.Len(t, both, 2)
	assert.Equal(t, 3, both[0].Trims)
	assert.InDelta(t, 10, *both[0].Calm, 1e-9, "each note counts once")
	assert.InDelta(t, 0.6, *both[0].Drawn, 1e-9)
}

// A dog whose dewclaws grow by half as fast again is found out, and only in what is wrong; trims that take longer too.
func TestWhereItIsWrongItSaysSo(t *testing.T) {
	r := rand.New(rand.NewPCG(4, 1))
	var right, wrong []Report
	for range 6 {
		d, told := lived(r, virtual.World{}, twoYears, 4)
		for i := range told {
			minutes := 12 + 2*r.NormFloat64()
			told[i].Minutes = &minutes
		}
		right = append(right, report(d, told, nil, after(4)))
		for i := range told {
			minutes := 4 * *told[i].Minutes
			told[i].Minutes = &minutes
			for k := range told[i].Records {
				if one := &told[i].Records[k]; one.Code.Dewclaw() {
					longer := *one.LengthBefore
					longer.MM += 1.2 * float64(i%2+1)
					one.LengthBefore = &longer
				}
			}
		}
		wrong = append(wrong, report(d, told, nil, after(4)))
	}
	said := func(all []Report) string {
		out := ""
		for _, w := range Together(all).Wrongs() {
			out += wordstest.Of(w.Says) + " " + wordstest.Of(w.Teach) + "\n"
		}
		return out
	}
	assert.NotContains(t, said(right), "grow about")
	assert.Contains(t, said(wrong), "Dewclaws grow about")
	assert.NotContains(t, said(wrong), "Front nails grow")
	assert.Contains(t, said(wrong), "Trims take about")
	assert.Contains(t, said(wrong), "note the minutes")
	assert.Empty(t, Together(nil).Wrongs(), "of nothing nothing is wrong")
	assert.NotEmpty(t, Together(nil).Teaches())
}

// A quick that was seen, a gap that was measured and a nail told in one press stand beside what was said of them.
func TestAPressASpareAndAGapAreHeldAgainstWhatWasSaid(t *testing.T) {
	d, told := lived(rand.New(rand.NewPCG(5, 1)), virtual.World{}, twoYears, 3)
	gap := measure.Number{MM: 1.4, By: measure.Caliper, SD: 0.2}
	one := &told[5].Records[2]
	one.Faces, one.EndFace, one.Blood, one.Cuts = nil, quick.White, false, one.Cuts[:1]
	told[6].Records[3].Landmarks = []quick.Seen{{Mark: quick.SeenThrough, Spare: 3, SD: 0.4}}
	kinds := map[What]int{}
	r, _ := Of(
		d,
		told,
		[]record.WalkRound{{On: told[7].On.AddDays(5), Looks: []record.Look{{Code: d.Nails[2].Code, Gap: &gap}}}},
		after(3),
		func(f Foretold) {
			kinds[f.What]++
			if f.What != Due {
				assert.LessOrEqual(t, f.Low(), f.Said)
				assert.GreaterOrEqual(t, f.High(), f.Said)
			}
		},
	)
	assert.Equal(t, 1, kinds[Gap])
	assert.Equal(t, 1, kinds[Spare])
	assert.Equal(t, 1, r.Gaps.Seen)
	assert.Equal(t, 1, r.Spares.Seen)
	assert.Positive(t, r.Presses.Seen)
	assert.Equal(t, kinds[Press], r.Presses.Seen)
	assert.Equal(t, kinds[Cut], r.Cuts.All())
	assert.Equal(t, len(told)-1, kinds[Due], "the first had no date")
}

// Dogs together are the sum of each: of one alone it is that one.
func TestDogsTogether(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 1))
	var all []Report
	for range 3 {
		d, told := lived(r, virtual.World{}, twoYears, 4)
		all = append(all, report(d, told, nil, after(4)))
	}
	one, sum := Together(all[:1]), Together(all)
	for i, b := range one.Cuts.Bins {
		assert.InDelta(t, all[0].Cuts.Bins[i].Expected.Value, b.Expected.Value, 1e-9)
		assert.Equal(t, all[0].Cuts.Bins[i].Cuts, b.Cuts)
		assert.InDelta(t, all[0].Cuts.Bins[i].Said, b.Said, 1e-12)
		assert.InDelta(
			t,
			all[0].Cuts.Bins[i].Expected.Value+all[1].Cuts.Bins[i].Expected.Value+all[2].Cuts.Bins[i].Expected.Value,
			sum.Cuts.Bins[i].Expected.Value,
			1e-9,
		)
	}
	assert.InDelta(t, all[0].Lengths.CRPS, one.Lengths.CRPS, 1e-9)
	assert.Equal(t, all[0].Dates, one.Dates)
	assert.Equal(t, all[0].LeftOut.Sittings+all[1].LeftOut.Sittings+all[2].LeftOut.Sittings, sum.LeftOut.Sittings)
	assert.Equal(t, all[0].Lengths.Seen+all[1].Lengths.Seen+all[2].Lengths.Seen, sum.Lengths.Seen)
}
