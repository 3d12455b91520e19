package dog

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
)

var today = date.MustParse("2026-11-24")

// usually is a keeper's terms: careful, to the first sign.
var usually = Terms{Margin: 1, Hand: verdict.Terms{Stop: quick.AtFirstSign, Limit: verdict.Careful, Hand: kit.NewHand}}

// plain is a dog of four years and 22 kg that nobody has looked at yet.
func plain() Dog {
	return Dog{
		Name: "Moss", Birth: Birth{Date: today.AddYears(-4)}, Weights: []Weight{{today.AddDays(-100), 22}},
		FootCoat: ShortCoat, Pavement: 8, Rhythm: rhythm.FourWeeks, Workdays: date.EveryDay, Nails: StandardNails(),
		Entered: today,
	}
}

// asPlanned is a sitting in which every nail was done as planned.
func asPlanned(f Feet, day date.Date) Sitting {
	s := Sitting{On: day}
	for _, p := range f.Plan(day, usually) {
		s.Records = append(s.Records, Record{Code: p.Code, Cuts: p.Cuts(), Tool: kit.LargePlier, Reaction: temper.Calm, EndFace: quick.DarkCentre})
	}
	return s
}

func rateOn(d Dog, code nail.Code, day date.Date) growth.Rate {
	return growth.Assumed().Group(code.Group(), d.Where(day))
}

func read(what measure.What, mm float64) *measure.Number {
	n := what.Told(mm, "", 0)
	return &n
}

func length(mm float64) *measure.Number { return read(measure.Length, mm) }
func gap(mm float64) *measure.Number    { return read(measure.Gap, mm) }
func spare(mm float64) *measure.Number  { return read(measure.Quick, mm) }

func reading(t *testing.T, f Feet, code string, day date.Date) Reading {
	t.Helper()
	for _, r := range f.On(day) {
		if r.Code.String() == code {
			return r
		}
	}
	t.Fatalf("no nail %s", code)
	return Reading{}
}

func TestADogNobodyHasLookedAtIsAssumed(t *testing.T) {
	f := FeetAfter(plain(), nil)
	_, has, err := f.Next(usually)
	require.NoError(t, err)
	assert.False(t, has, "no sitting, no date")
	for _, r := range f.On(today) {
		assert.Equal(t, estimate.Assumed, r.Length.Source)
		assert.False(t, r.Looked)
		assert.Less(t, r.Spare.Low, r.Spare.Value)
	}
}

// Nobody starts a dark nail by knowing where the quick is: the very tip comes off, then the face
// speaks (common practice, no source).
func TestTheFirstTrimBeginsWithTheTip(t *testing.T) {
	for _, p := range FeetAfter(plain(), nil).Plan(today, usually) {
		assert.Equal(t, verdict.Trim, p.Kind, p.Code)
		assert.LessOrEqual(t, p.MM, 0.3, p.Code)
		assert.Contains(t, p.Why, "first time here")
	}
}

func TestAMeasuredNailReplacesTheAssumption(t *testing.T) {
	day := today.AddDays(-7)
	f := FeetAfter(plain(), []Sitting{{On: day, Records: []Record{{
		Code: nail.MustParse("LF3"), LengthAfter: length(12), GapAfter: gap(1.2), SpareLeft: spare(1.5), Cuts: []float64{1},
	}}}})
	then := reading(t, f, "LF3", day)
	assert.InDelta(t, 12, then.Length.Value, 0.2)
	assert.InDelta(t, 1.2, then.Gap.Value, 0.1)
	assert.InDelta(t, 1.6, then.Spare.Value, 0.1)
	assert.Equal(t, []estimate.Source{estimate.Measured, estimate.Measured, estimate.Measured}, []estimate.Source{then.Length.Source, then.Gap.Source, then.Spare.Source})

	now := reading(t, f, "LF3", today)
	assert.InDelta(t, then.Length.Value+now.Rate.Mean, now.Length.Value, 1e-9, "a week of growth")
	assert.Less(t, now.Gap.Value, then.Gap.Value)
	assert.Greater(t, now.Length.High-now.Length.Low, then.Length.High-then.Length.Low, "less sure a week on")
	assert.Equal(t, estimate.Assumed, reading(t, f, "LF4", today).Length.Source, "its neighbour was not measured")
}

func TestTwoMeasuredLengthsOverruleThePlannedCuts(t *testing.T) {
	r := Record{LengthBefore: length(15), LengthAfter: length(12.5), Cuts: []float64{1}}
	assert.Equal(t, 2.5, r.Removed())
}

func TestATrimLiftsTheNailByTheToesOwnHeight(t *testing.T) {
	code := nail.MustParse("RF4")
	f := FeetAfter(plain(), []Sitting{{On: today, Records: []Record{
		{Code: code, LengthBefore: length(14), GapBefore: gap(0), Cuts: []float64{1, 1}}}}})
	assert.Greater(t, reading(t, f, "RF4", today).Gap.Value, 0.4)
}

func TestBloodFixesTheQuickAndLowersThePlan(t *testing.T) {
	day := today.AddDays(-14)
	bled := []Sitting{{On: day, Records: []Record{{Code: nail.MustParse("LF3"), Cuts: []float64{1}, Blood: true}}}}
	dry := []Sitting{{On: day, Records: []Record{{Code: nail.MustParse("LF3"), Cuts: []float64{1}}}}}
	f, g := FeetAfter(plain(), bled), FeetAfter(plain(), dry)
	assert.Less(t, reading(t, f, "LF3", day).Spare.Value, 0.3)
	assert.Less(t, reading(t, f, "LF3", today).Spare.Value, reading(t, g, "LF3", today).Spare.Value)
	words := f.Cautions(f.On(today), true)
	require.Len(t, words, 1)
	assert.Contains(t, words[0].Words, "LF3: bled last time")
}

func TestATornNailIsLeftToAVeterinarian(t *testing.T) {
	d := plain()
	d.Nails[0].State = nail.Torn
	f := FeetAfter(d, []Sitting{asPlanned(FeetAfter(d, nil), today.AddDays(-7))})
	assert.Equal(t, verdict.Veterinarian, f.Plan(today, usually)[0].Kind)
	assert.Equal(t, Veterinarian, f.Cautions(f.On(today), true)[0].Kind)
	next, has, err := f.Next(usually)
	require.NoError(t, err)
	assert.True(t, has)
	for _, n := range next.PerNail {
		assert.NotEqual(t, d.Nails[0].Code, n.Code)
	}
}

func TestACurledDewclawIsAVeterinariansMatter(t *testing.T) {
	at := func(long float64) []Caution {
		f := FeetAfter(plain(), []Sitting{{On: today, Records: []Record{{Code: nail.MustParse("LF1"), LengthAfter: length(long)}}}})
		return f.Cautions(f.On(today), true)
	}
	assert.Empty(t, at(11))
	assert.Contains(t, at(18)[0].Words, "close to curling")
	assert.Contains(t, at(21)[0].Words, "dewclaw curling")
	assert.Equal(t, Veterinarian, at(30)[0].Kind)
}

// Routine work settles between one and four weeks on a dog of usual growth (common practice, no source).
func TestRoutineTrimsSettle(t *testing.T) {
	d, day := plain(), today
	var sittings []Sitting
	var gaps []int
	for range 14 {
		sittings = append(sittings, asPlanned(FeetAfter(d, sittings), day))
		next, _, err := FeetAfter(d, sittings).Next(usually)
		require.NoError(t, err)
		gaps = append(gaps, next.Due.Sub(day))
		day = next.Due
	}
	for _, g := range gaps[6:] {
		assert.GreaterOrEqual(t, g, 7)
		assert.LessOrEqual(t, g, 28)
	}
	assert.Less(t, gaps[0], gaps[13], "an overgrown nail is brought back over weeks")
}

func TestFoldingHoldsForAnyHistory(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := plain()
		d.Weights[0].Kg = rapid.Float64Range(2, 80).Draw(t, "kg")
		d.Pavement = rapid.Float64Range(0, 60).Draw(t, "km")
		var sittings []Sitting
		day := today.AddDays(-300)
		for range rapid.IntRange(1, 6).Draw(t, "sittings") {
			s := Sitting{On: day}
			for _, n := range d.Nails {
				if rapid.Bool().Draw(t, "done") {
					r := Record{Code: n.Code, Cuts: slices.Repeat([]float64{0.5}, rapid.IntRange(0, 8).Draw(t, "cuts"))}
					r.Blood = len(r.Cuts) > 0 && rapid.IntRange(0, 9).Draw(t, "blood") == 0
					s.Records = append(s.Records, r)
				}
			}
			sittings = append(sittings, s)
			day = day.AddDays(rapid.IntRange(1, 50).Draw(t, "days"))
		}
		f := FeetAfter(d, sittings)
		now := f.at(day)
		for i, r := range f.On(day) {
			later := f.On(day.AddDays(1))[i]
			if now.Rate(i, d.Where(day)).Mean < 0 {
				continue // a hard walker's hind nails wear off faster than they grow
			}
			if tenth := 0.1; later.Length.Value < r.Length.Value-tenth || later.ToFloor > r.ToFloor+tenth {
				t.Fatalf("%s a day later is shorter or higher", r.Code)
			}
		}
		for _, p := range f.Plan(day, usually) {
			if p.Kind == verdict.Trim && p.Action == verdict.Sliver && p.MM > 0.5 {
				t.Fatalf("%s: a first sliver of %v mm", p.Code, p.MM)
			}
		}
		slices.Reverse(sittings)
		if !slices.EqualFunc(f.On(day), FeetAfter(d, sittings).On(day), func(a, b Reading) bool { return a.Length == b.Length && a.Spare == b.Spare }) {
			t.Fatal("the order in which sittings are told changed the feet")
		}
		if _, _, err := f.Next(usually); err != nil {
			t.Fatal(err)
		}
	})
}

func TestADogNotSeenForYearsStillHasADate(t *testing.T) {
	d := plain()
	sittings := []Sitting{asPlanned(FeetAfter(d, nil), today.AddYears(-3)),
		{On: today, Records: []Record{{Code: nail.MustParse("RH5")}}}}
	next, has, err := FeetAfter(d, sittings).Next(usually)
	require.NoError(t, err)
	assert.True(t, has)
	assert.Equal(t, 14, next.Due.Sub(today), "half its rhythm after a sitting at the earliest")
}

func TestTheRankHangsEveryNailAboveOneFloor(t *testing.T) {
	d := plain()
	f := FeetAfter(d, []Sitting{asPlanned(FeetAfter(d, nil), today)})
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

func TestCheckNamesWhatCannotBe(t *testing.T) {
	d := plain()
	d.Name, d.Birth.Date, d.Weights[0].Kg, d.Pavement, d.WishedGap = "  ", today.AddDays(1), 0, 900, -1
	d.Nails = append(d.Nails, d.Nails[0])
	assert.Equal(t, []string{"name", "birth_date", "weights[0].kg", "weights[0].on", "pavement_km_week", "wished_gap_mm", "nails[18].code"}, names(d.Check(today)))
	assert.Empty(t, plain().Check(today))
	heavy := plain()
	heavy.Weights[0].Kg = 500
	assert.Equal(t, "must be from 0.1 to 160 kg", heavy.Check(today)[0].Want)
}

func TestCheckOfASittingNamesWhatCannotBe(t *testing.T) {
	lf3 := nail.MustParse("LF3")
	for field, s := range map[string]Sitting{
		"on":                          {On: today.AddDays(1), Records: []Record{{Code: lf3}}},
		"records":                     {On: today},
		"records[0].code":             {On: today, Records: []Record{{Code: nail.MustParse("LH1")}}},
		"records[1].code":             {On: today, Records: []Record{{Code: lf3}, {Code: lf3}}},
		"records[0].length_after_mm":  {On: today, Records: []Record{{Code: lf3, LengthBefore: length(12), LengthAfter: length(13)}}},
		"records[0].gap_after_mm":     {On: today, Records: []Record{{Code: lf3, GapAfter: gap(-1)}}},
		"records[0].cuts_mm":          {On: today, Records: []Record{{Code: lf3, Blood: true}}},
		"records[0].cuts_mm[1]":       {On: today, Records: []Record{{Code: lf3, Cuts: []float64{1, math.NaN()}}}},
		"records[0].length_before_mm": {On: today, Records: []Record{{Code: lf3, LengthBefore: length(0)}}},
	} {
		assert.Equal(t, []string{field}, names(s.Check(plain(), today)), field)
	}
	early := Sitting{On: today.AddYears(-5), Records: []Record{{Code: lf3}}}
	assert.Contains(t, early.Check(plain(), today)[0].Want, "birth")
}

func names(faults []fault.Field) []string {
	var all []string
	for _, f := range faults {
		all = append(all, f.Name)
	}
	return all
}

// threeYears is a sitting every fortnight.
func threeYears(d Dog) []Sitting {
	var sittings []Sitting
	for i := range 78 {
		sittings = append(sittings, asPlanned(FeetAfter(d, nil), today.AddDays(14*i-1092)))
	}
	return sittings
}

func BenchmarkFoldAndLearn(b *testing.B) {
	d := plain()
	for sittings := threeYears(d); b.Loop(); {
		FeetAfter(d, sittings)
	}
}

func BenchmarkNextDate(b *testing.B) {
	d := plain()
	for f := FeetAfter(d, threeYears(d)); b.Loop(); {
		if _, _, err := f.Next(usually); err != nil {
			b.Fatal(err)
		}
	}
}

func TestNameAgeAndWeightMakeADog(t *testing.T) {
	name, years := " Moss ", 4.5
	d, faults := Usual(rhythm.Fortnightly, date.EveryDay).With(Changes{Name: &name, AgeYears: &years, Weights: []Weight{{Kg: 22}}}, today)
	require.Empty(t, faults)
	assert.Equal(t, "Moss", d.Name)
	assert.Equal(t, Birth{today.AddDays(-1644), true}, d.Birth)
	assert.Equal(t, []Weight{{today, 22}}, d.Weights)
	assert.Len(t, d.Nails, 18)

	gap := 0.76
	changed, faults := d.With(Changes{WishedGap: &gap, Weights: []Weight{{today, 23}, {today.AddDays(-30), 22}}}, today)
	require.Empty(t, faults)
	assert.Equal(t, 22.0, changed.Weights[0].Kg, "oldest first")
	assert.Equal(t, "Moss", changed.Name, "what is not told stays")
}

func TestADogNeedsAnAge(t *testing.T) {
	name := "Moss"
	_, faults := Usual(rhythm.Fortnightly, date.EveryDay).With(Changes{Name: &name, Weights: []Weight{{Kg: 22}}}, today)
	assert.Equal(t, []string{"birth_date"}, names(faults))
	years := -1.0
	_, faults = plain().With(Changes{AgeYears: &years}, today)
	assert.Equal(t, []string{"age_years"}, names(faults))
	_, faults = plain().With(Changes{AgeYears: &years, BirthDate: &today}, today)
	assert.Equal(t, []string{"age_years"}, names(faults))
}
