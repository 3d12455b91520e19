package dog

import (
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

// Learnt is what a dog's own records say of how its nails grow and its quicks follow.
type Learnt struct {
	Rates    growth.Rates
	Habit    quick.Habit
	Grown    []Grown `json:"-"` // what was observed, each nail's in order
	Outliers []Grown // of these, what did not fit and was left out
}

// learn joins what is usual with what a dog's events show.
func learn(d Dog, events []event) Learnt {
	grown, seen, sightings := observe(d, events)
	observations := make([]growth.Observation, len(grown))
	for i, g := range grown {
		observations[i] = g.Observation
	}
	rates, out := growth.LearnSound(observations)
	l := Learnt{Rates: rates, Grown: grown}
	for _, i := range out {
		l.Outliers = append(l.Outliers, grown[i])
	}
	slices.SortStableFunc(l.Outliers, func(a, b Grown) int { return a.To.Sub(b.To) })
	last := d.Weights[len(d.Weights)-1].On
	var swings []quick.Swing
	if measured, _ := rates.Learnt(); measured > 0 { // a rate from slivers hangs on the very habit that is asked for
		for _, s := range seen {
			s.Rate = rates.Nail(s.code, d.where(s.on)).Mean
			swings = append(swings, s.Swing)
		}
	}
	l.Habit = quick.LearnHabit(claw.SizeFactor(d.WeightOn(last)), rates.Gross(d.where(last)).SD, swings, sightings)
	return l
}

// body is a dog with what its records taught of it.
type body struct {
	Dog
	Learnt
}

// rateOn is how fast a nail grows on the day.
func (b body) rateOn(code nail.Code, day date.Date) growth.Rate {
	return b.Rates.Nail(code, b.where(day))
}

// drift is what the quick of a nail that grows so fast does between sittings.
func (b body) drift(rate growth.Rate) quick.Drift {
	return quick.Drift{Rate: rate.Mean, RateSD: rate.SD, Follow: b.Habit.Follow()}
}

// rateFrom is how fast it grows between two days.
func (b body) rateFrom(code nail.Code, from, to date.Date) growth.Rate {
	where := b.where(from)
	if to.After(from) && len(b.Walked) > 0 {
		where.Pavement = b.pavementOver(from, to)
	}
	return b.Rates.Nail(code, where)
}
