package feet

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/record"
	"fribbet/internal/core/state"
)

// event is a walk-round or a sitting.
type event struct {
	on      date.Date
	check   *record.WalkRound
	sitting *record.Sitting
}

// eventsOf puts walk-rounds and sittings in their order. On one day the walk-round comes first:
// one looks before one cuts.
func eventsOf(sittings []record.Sitting, checks []record.WalkRound) []event {
	events := make([]event, 0, len(sittings)+len(checks))
	for i := range checks {
		events = append(events, event{checks[i].On, &checks[i], nil})
	}
	for i := range sittings {
		events = append(events, event{sittings[i].On, nil, &sittings[i]})
	}
	slices.SortStableFunc(events, func(a, b event) int { return a.on.Sub(b.on) })
	return events
}

// FeetAfter folds a dog's sittings and walk-rounds, in any order, into its feet.
func FeetAfter(d dog.Dog, sittings []record.Sitting, checks ...record.WalkRound) Feet {
	return fold(d, eventsOf(sittings, checks), watch{})
}

// watch is who is shown the feet while they are folded; what is nil is not shown. What is shown may be read during the
// call alone: the next record moves it on.
type watch struct {
	before func(f Feet, e event)                    // an event, on its day
	nail   func(f Feet, i int, r record.NailRecord) // what was told of a nail of a sitting
	after  func(on date.Date, f Feet)               // an event
}

// fold runs through a dog's events.
func fold(d dog.Dog, events []event, w watch) Feet {
	f := feetOf(d, events)
	for _, e := range events {
		f.until(e.on)
		if w.before != nil {
			w.before(f, e)
		}
		f.known = e.on
		if e.sitting != nil {
			f.trim(*e.sitting, w.nail)
		} else {
			f.look(*e.check)
		}
		if w.after != nil {
			w.after(e.on, f)
		}
	}
	return f
}

// Replay runs through a dog's sittings and walk-rounds, in any order, and shows the feet on the day of each: before it,
// before what was told of each nail of a sitting (its place among the dog's is i), and after it. What is shown may be
// read during the call alone: the next record moves it on.
func Replay(
	d dog.Dog,
	sittings []record.Sitting,
	checks []record.WalkRound,
	before func(f Feet, s *record.Sitting, c *record.WalkRound),
	nail func(f Feet, i int, r record.NailRecord),
	after func(Feet),
) {
	fold(d, eventsOf(sittings, checks), watch{
		before: func(f Feet, e event) { before(f, e.sitting, e.check) },
		nail:   nail,
		after:  func(_ date.Date, f Feet) { after(f) },
	})
}

// feetOf is what is believed before anything was told: from the day the dog was entered, or from
// the first thing told of an earlier one, of which nobody knows when it was last done.
func feetOf(d dog.Dog, events []event) Feet {
	start, done := d.Entered, d.LastDone
	switch {
	case len(events) > 0 && (start.IsZero() || events[0].on.Before(start)):
		start, done = events[0].on, nil
	case start.IsZero():
		start = d.Weights[len(d.Weights)-1].On
	}
	nails := make([]state.Traits, len(d.Nails))
	for i, n := range d.Nails {
		nails[i] = state.Traits{Code: n.Code, Colour: n.Colour, Shape: n.Shape}
	}
	prior := state.Prior(d.Where(start), nails, done)
	if d.Own.Faces != nil {
		prior.Faces = *d.Own.Faces
	}
	return Feet{Dog: d, state: prior, day: start, toes: make([]toe, len(d.Nails))}
}

// until lets the nails grow until a day.
func (f *Feet) until(on date.Date) {
	weeks := float64(on.Sub(f.day)) / 7
	if weeks <= 0 {
		return
	}
	f.state.Live(f.WhereFrom(f.day, on), weeks)
	f.day = on
}
