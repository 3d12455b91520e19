package dog

import (
	"slices"
	"strings"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
)

// Usual is a dog of which nothing is known yet but how it is going to be worked with.
func Usual(rhythm rhythm.Rhythm, workdays date.Weekdays) Dog {
	return Dog{
		FootCoat: ShortCoat, Pavement: usualPavement, Rhythm: rhythm, Workdays: workdays, School: claw.Square,
		Handling: UsualHandling(), Nails: StandardNails(),
	}
}

// Changes is what is told anew of a dog; what is nil stays as it was.
type Changes struct {
	Name      *string
	BirthDate *date.Date
	Estimated *bool
	AgeYears  *float64 // about how old it is today; instead of BirthDate
	Weights   []Weight // all of them; one without a date was weighed today
	FootCoat  *Coat
	Pavement  *float64
	Since     *date.Date // from when the pavement holds; today when not told
	Rhythm    *rhythm.Rhythm
	Dates     *rhythm.Dates
	Once      *string // the day, as 2026-11-30; empty takes it back
	Workdays  *date.Weekdays
	WishedGap *float64
	Short     *bool
	School    *claw.School
	Handling  *Handling
	Nails     []Nail       // all that are there
	Colour    *nail.Colour // of all of them at once, as far as nobody told each
	Takes     *TakesIt     // how it takes it, told once of a new dog
	LastDone  **float64    // weeks before it was entered that somebody trimmed it; a nil inside is that nobody knows
}

// With returns the dog with the changes, in order and checked; and the fields that cannot be.
func (d Dog) With(c Changes, today date.Date) (Dog, fault.Fields) {
	var f fault.Fields
	latest := d.Latest(today)
	set(&d.FootCoat, c.FootCoat)
	set(&d.Rhythm, c.Rhythm)
	set(&d.Workdays, c.Workdays)
	set(&d.Dates, c.Dates)
	if c.Once != nil {
		d.Once = date.Date{}
		if *c.Once != "" {
			on, err := date.Parse(*c.Once)
			if err != nil || !on.After(today) || on.After(today.AddYears(1)) {
				f.Add("come_once", fault.Short(*c.Once), say.Of(mustBeADayAfter))
				return d, f
			}
			d.Once = on
		}
	}
	set(&d.WishedGap, c.WishedGap)
	set(&d.Short, c.Short)
	set(&d.School, c.School)
	set(&d.LastDone, c.LastDone)
	if c.Handling != nil {
		d.Handling = *c.Handling
		d.Handling.SoreTold = true
	}
	set(&d.Birth.Date, c.BirthDate)
	set(&d.Birth.Estimated, c.Estimated)
	if c.Name != nil {
		d.Name = strings.TrimSpace(*c.Name)
	}
	switch {
	case c.AgeYears != nil && c.BirthDate != nil:
		f.Add("age_years", *c.AgeYears, say.Of(giveTheBirthDateOr))
	case c.AgeYears != nil:
		f.Range("age_years", *c.AgeYears, 0, oldestYears, fault.Years)
		d.Birth = BornAbout(*c.AgeYears, today)
	case d.Birth.Date.IsZero():
		f.Add("birth_date", "nothing", say.Of(giveTheBirthDateOrAbout))
	}
	if len(f) > 0 { // every other check wants a birth date
		return d, f
	}
	if c.Since != nil && c.Since.After(today) {
		f.Add("pavement_since", *c.Since, fault.NotAhead())
		return d, f
	}
	if c.Pavement != nil {
		since := today
		if set(&since, c.Since); len(d.Weights) == 0 { // a new dog: nothing was told before
			since = d.Birth.Date
		}
		d = d.walking(*c.Pavement, since)
	}
	if c.Weights != nil {
		d.Weights = slices.Clone(c.Weights)
		for i := range d.Weights {
			if d.Weights[i].On.IsZero() {
				d.Weights[i].On = today
			}
		}
	}
	if c.Nails != nil {
		d.Nails = slices.Clone(c.Nails)
	}
	if c.Colour != nil {
		d.Nails = slices.Clone(d.Nails)
		for i := range d.Nails {
			if d.Nails[i].Colour == nail.Unknown {
				d.Nails[i].Colour = *c.Colour
			}
		}
	}
	if c.Takes != nil {
		d.Takes, d.Handling = *c.Takes, d.Handling.taking(*c.Takes)
	}
	if f = d.Check(latest); len(f) > 0 {
		return d, f
	}
	slices.SortFunc(d.Weights, func(a, b Weight) int { return a.On.Sub(b.On) })
	slices.SortFunc(d.Nails, func(a, b Nail) int { return a.Code.Compare(b.Code) })
	return d, nil
}

// Latest is today, or the latest day that the profile tells of already: a clock that was put back
// makes nothing of what is kept a thing of the future.
func (d Dog) Latest(today date.Date) date.Date {
	days := []date.Date{today, d.Birth.Date}
	for _, w := range d.Weights {
		days = append(days, w.On)
	}
	return slices.MaxFunc(days, func(a, b date.Date) int { return a.Sub(b) })
}

// walking is the dog with another distance on pavement since a day; what it walked before stays.
func (d Dog) walking(km float64, since date.Date) Dog {
	last := since.AddDays(-1)
	was := d.PavementOn(last)
	d.Pavement = km
	d.Walked = slices.DeleteFunc(slices.Clone(d.Walked), func(w Walked) bool { return !w.Until.Before(last) })
	if was != km && last.After(d.Birth.Date) {
		d.Walked = append(d.Walked, Walked{last, was})
	}
	return d
}

func set[T any](field *T, value *T) {
	if value != nil {
		*field = *value
	}
}
