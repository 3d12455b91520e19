// Package dog is a dog's profile: what its keeper tells about it, how it is held, and what of that cannot be.
package dog

import (
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/rhythm"
)

// Birth is when a dog was born, or about when.
type Birth struct {
	Date      date.Date
	Estimated bool // reckoned from an age that somebody guessed
}

// Weight is one weighing.
type Weight struct {
	On date.Date
	Kg float64
}

// Walked is what a dog walked on pavement until a day, that day included.
type Walked struct {
	Until date.Date
	Km    float64 // a week
}

// Coat is the hair on the feet: it decides what must be cleared away before a tool spins.
type Coat string

const (
	ShortCoat Coat = "short"
	LongCoat  Coat = "long"
)

// Nail is one nail that the dog has.
type Nail struct {
	Code   nail.Code
	State  nail.Condition
	Colour nail.Colour
	Shape  nail.Shape
}

// Dog is what its keeper tells about it.
type Dog struct {
	Name      string
	Birth     Birth
	Weights   []Weight // oldest first, at least one
	FootCoat  Coat
	Pavement  float64  // km walked on pavement a week
	Walked    []Walked // what it was before, oldest first
	Rhythm    rhythm.Rhythm
	Dates     rhythm.Dates  // what sets its dates; empty is as is usual of its keeper
	Once      date.Date     // that it was agreed to come once; zero when it was not
	Workdays  date.Weekdays // the days on which its keeper trims
	WishedGap float64       // floor gap at which it is due, mm
	Short     bool          // its keeper wants short quicks: the break-even rhythm counts
	School    claw.School   // where its nails are cut
	Handling  Handling
	Nails     []Nail    // in the order of nail.All; a nail that is not there is not listed
	Entered   date.Date // when it came into the book: its nails are followed from then on; zero is its first weighing
	Takes     TakesIt   // how it takes it, as its keeper said on the first day; empty when nobody did
	Own       Own       // what is usual by the book's own record; no property of the dog
	LastDone  *float64  // weeks before that that somebody trimmed it; nil when nobody knows
}

// Own is what a book lets its own record say is usual of dogs of this one's size.
type Own struct {
	Growth float64       // times the growth of most dogs; 0: as most
	Faces  *quick.Scales // how ends show; nil: as of most
}

// StandardNails is what most dogs have, nothing yet known of colour.
func StandardNails() []Nail {
	var nails []Nail
	for _, c := range nail.All() {
		if c.Standard() {
			nails = append(nails, Nail{c, nail.Sound, nail.Unknown, nail.Usual})
		}
	}
	return nails
}

// BornAbout is the birth of a dog that somebody takes for so many years old on a day.
func BornAbout(years float64, on date.Date) Birth {
	return Birth{Date: on.AddDays(-int(math.Ceil(years * date.DaysPerYear))), Estimated: true}
}

// Nail returns the dog's nail of that code, and whether it has it.
func (d Dog) Nail(code nail.Code) (Nail, bool) {
	i := slices.IndexFunc(d.Nails, func(n Nail) bool { return n.Code == code })
	if i < 0 {
		return Nail{}, false
	}
	return d.Nails[i], true
}

// WeightOn is the last weighing on or before the day, kg; before the first one, the first.
func (d Dog) WeightOn(day date.Date) float64 {
	kg := d.Weights[0].Kg
	for _, w := range d.Weights {
		if !w.On.After(day) {
			kg = w.Kg
		}
	}
	return kg
}

// AgeWeeks is the dog's age on the day.
func (d Dog) AgeWeeks(day date.Date) float64 { return float64(day.Sub(d.Birth.Date)) / 7 }

// AgeYears is the dog's age on the day.
func (d Dog) AgeYears(day date.Date) float64 {
	return float64(day.Sub(d.Birth.Date)) / date.DaysPerYear
}

// PavementOn is what the dog walked on pavement about the day, km a week.
func (d Dog) PavementOn(day date.Date) float64 {
	for _, w := range d.Walked {
		if !day.After(w.Until) {
			return w.Km
		}
	}
	return d.Pavement
}

// pavementOver is the mean of it over the days after from until to.
func (d Dog) pavementOver(from, to date.Date) float64 {
	sum := 0.0
	for day := from.AddDays(1); !day.After(to); day = day.AddDays(1) {
		sum += d.PavementOn(day)
	}
	return sum / float64(to.Sub(from))
}

// Where is the dog on a day: its age, its weight and what it walks.
func (d Dog) Where(day date.Date) growth.Where {
	return growth.Where{Age: d.AgeWeeks(day), Weight: d.WeightOn(day), Pavement: d.PavementOn(day), Times: d.Own.Growth}
}

// WhereFrom is the dog on a day, with what it walks on the mean until another.
func (d Dog) WhereFrom(from, to date.Date) growth.Where {
	where := d.Where(from)
	if len(d.Walked) > 0 && to.After(from) {
		where.Pavement = d.pavementOver(from, to)
	}
	return where
}

// Form is the usual form of one of its nails on a day.
func (d Dog) Form(code nail.Code, day date.Date) claw.Claw {
	n, _ := d.Nail(code)
	return claw.Assumed(n.Code, n.Shape, d.WeightOn(day))
}
