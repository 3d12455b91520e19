package dog_test

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/dogtest"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/words/wordstest"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var (
	today = dogtest.Today
	plain = dogtest.Plain
	names = dogtest.Names
)

func TestCheckNamesWhatCannotBe(t *testing.T) {
	d := plain()
	d.Name, d.Birth.Date, d.Weights[0].Kg, d.Pavement, d.WishedGap = "  ", today.AddDays(1), 0, 900, -1
	d.Nails = append(d.Nails, d.Nails[0])
	assert.Equal(
		t,
		[]string{
			"name",
			"birth_date",
			"weights[0].kg",
			"weights[0].on",
			"pavement_km_week",
			"wished_gap_mm",
			"nails[18].code",
		},
		names(d.Check(today)),
	)
	assert.Empty(t, plain().Check(today))
	heavy := plain()
	heavy.Weights[0].Kg = 500
	assert.Equal(t, "must be from 0.1 to 160 kg", wordstest.Of(heavy.Check(today)[0].Want))
}

func TestNameAgeAndWeightMakeADog(t *testing.T) {
	name, years := " Moss ", 4.5
	d, faults := dog.Usual(rhythm.Fortnightly, date.EveryDay).
		With(dog.Changes{Name: &name, AgeYears: &years, Weights: []dog.Weight{{Kg: 22}}}, today)
	require.Empty(t, faults)
	assert.Equal(t, "Moss", d.Name)
	assert.Equal(t, dog.Birth{Date: today.AddDays(-1644), Estimated: true}, d.Birth)
	assert.Equal(t, []dog.Weight{{On: today, Kg: 22}}, d.Weights)
	assert.Len(t, d.Nails, 18)

	gap := 0.76
	changed, faults := d.With(
		dog.Changes{WishedGap: &gap, Weights: []dog.Weight{{On: today, Kg: 23}, {On: today.AddDays(-30), Kg: 22}}},
		today,
	)
	require.Empty(t, faults)
	assert.Equal(t, 22.0, changed.Weights[0].Kg, "oldest first")
	assert.Equal(t, "Moss", changed.Name, "what is not told stays")
}

func TestADogNeedsAnAge(t *testing.T) {
	name := "Moss"
	_, faults := dog.Usual(rhythm.Fortnightly, date.EveryDay).
		With(dog.Changes{Name: &name, Weights: []dog.Weight{{Kg: 22}}}, today)
	assert.Equal(t, []string{"birth_date"}, names(faults))
	years := -1.0
	_, faults = plain().With(dog.Changes{AgeYears: &years}, today)
	assert.Equal(t, []string{"age_years"}, names(faults))
	_, faults = plain().With(dog.Changes{AgeYears: &years, BirthDate: &today}, today)
	assert.Equal(t, []string{"age_years"}, names(faults))
}

func TestAClockPutBackForbidsNothingThatIsKept(t *testing.T) {
	name, yesterday := "Moss", today.AddDays(-1)
	d := plain()
	d.Weights = append(d.Weights, dog.Weight{On: today, Kg: 21})
	renamed, faults := d.With(dog.Changes{Name: &name}, yesterday)
	require.Empty(t, faults)
	assert.Equal(t, name, renamed.Name)

	_, faults = d.With(dog.Changes{Weights: []dog.Weight{{On: today.AddDays(1), Kg: 21}}}, yesterday)
	assert.Equal(t, []string{"weights[0].on"}, names(faults), "what is told anew still cannot be later than that")
}

// What a dog walks between two days is the mean of those days, the last of them among them and the first not: what it
// walked on the day that it was last done was before that.
func TestPavementOverSomeDaysIsTheirMean(t *testing.T) {
	d := plain()
	d.Pavement = 10
	d.Walked = []dog.Walked{{Until: today.AddDays(6), Km: 3}}
	assert.InDelta(t, 3, d.WhereFrom(today, today.AddDays(6)).Pavement, 1e-9)
	assert.InDelta(t, (6*3+10)/7.0, d.WhereFrom(today, today.AddDays(7)).Pavement, 1e-9, "the last day counts")
	assert.InDelta(t, (3+10)/2.0, d.WhereFrom(today.AddDays(5), today.AddDays(7)).Pavement, 1e-9, "the first does not")
	assert.InDelta(t, 10, d.WhereFrom(today.AddDays(6), today.AddDays(9)).Pavement, 1e-9)
}

// A dog that is to come once on a day comes on a day of the next year, or it is told no day.
func TestADayOnWhichItComesOnce(t *testing.T) {
	told := func(on string) (dog.Dog, []string) {
		d, faults := plain().With(dog.Changes{Once: &on}, today)
		return d, names(faults)
	}
	for _, bad := range []string{"soon", today.String(), today.AddYears(1).AddDays(1).String()} {
		_, faults := told(bad)
		assert.Equal(t, []string{"come_once"}, faults, bad)
	}
	for _, good := range []date.Date{today.AddDays(1), today.AddYears(1)} {
		d, faults := told(good.String())
		assert.Empty(t, faults)
		assert.Equal(t, good, d.Once)
	}
	d, faults := told("")
	assert.Empty(t, faults)
	assert.Zero(t, d.Once)
}

func TestAHelperWhoIsThereIsNotAskedFor(t *testing.T) {
	d := plain()
	d.Handling.Helper = dog.Needed
	assert.Len(t, d.HandlingCautions(today, false), len(d.HandlingCautions(today, true))+1)
	d.Handling.Helper = dog.Alone
	assert.Equal(t, d.HandlingCautions(today, true), d.HandlingCautions(today, false))
}

// Whoever holds the dog is told what holding it asks, each where it is so and nowhere else.
func TestEachCautionOfHandlingIsToldWhereItIsSo(t *testing.T) {
	said := func(change func(*dog.Dog)) []string {
		d := plain()
		change(&d)
		var all []string
		for _, c := range d.HandlingCautions(today, false) {
			all = append(all, wordstest.Of(c.Words))
		}
		return all
	}
	assert.Empty(t, said(func(*dog.Dog) {}), "a dog in its prime")
	for want, change := range map[string]func(*dog.Dog){
		"Muzzle":      func(d *dog.Dog) { d.Handling.Muzzle = true },
		"helper":      func(d *dog.Dog) { d.Handling.Helper = dog.Needed },
		"Sore joints": func(d *dog.Dog) { d.Handling.Sore = true },
		"Not young":   func(d *dog.Dog) { d.Birth.Date = today.AddYears(-14) },
		"no spinning": func(d *dog.Dog) { d.Handling.Noise = kit.NoiseAfraid },
	} {
		all := said(change)
		assert.Len(t, all, 1, want)
		assert.Contains(t, all[0], want)
	}
	assert.Empty(t, said(func(d *dog.Dog) { d.Handling.Noise = kit.NoiseFine }))
	assert.Empty(
		t,
		said(func(d *dog.Dog) { d.Birth.Date, d.Handling.SoreTold = today.AddYears(-14), true }),
		"it was looked at",
	)
}
