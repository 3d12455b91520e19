// Package dogtest has the plain dog that the core's tests begin with.
package dogtest

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/rhythm"
)

// Today is the day of the tests.
var Today = date.MustParse("2026-11-24")

// Plain is a dog of four years and 22 kg that nobody has looked at yet.
func Plain() dog.Dog {
	return dog.Dog{
		Name:     "Moss",
		Birth:    dog.Birth{Date: Today.AddYears(-4)},
		Weights:  []dog.Weight{{On: Today.AddDays(-100), Kg: 22}},
		FootCoat: dog.ShortCoat,
		Pavement: 8,
		Rhythm:   rhythm.FourWeeks,
		Workdays: date.EveryDay,
		Nails:    dog.StandardNails(),
		Entered:  Today,
	}
}

func read(what measure.What, mm float64) *measure.Number {
	n := what.Told(mm, "", 0)
	return &n
}

// Length, Gap and Quick are numbers read as is usual, mm.
func Length(mm float64) *measure.Number { return read(measure.Length, mm) }
func Gap(mm float64) *measure.Number    { return read(measure.Gap, mm) }
func Quick(mm float64) *measure.Number  { return read(measure.Quick, mm) }

// Names are those of the fields that were refused.
func Names(faults []fault.Field) []string {
	var all []string
	for _, f := range faults {
		all = append(all, f.Name)
	}
	return all
}
