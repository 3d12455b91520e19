package state

import (
	"fmt"
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
)

// Question is all that is known of a dog's nails, told at once: what the open calculator is asked.
type Question struct {
	Where    growth.Where // the dog on the first day; its weight and its walks stay
	First    date.Date
	LastDone *float64 // weeks before the first day that somebody trimmed it; nil when nobody knows
	Nails    []Traits
	Events   []Event // of one day, in their order
	At       date.Date
}

// Event is a look at one nail, or its trim.
type Event struct {
	On     date.Date
	Nail   nail.Code
	Trim   bool
	Length *measure.Number // of a look, or before the trim
	After  *measure.Number // after it
	Gap    *measure.Number // to the floor, at the end
	Left   *measure.Number // spare seen at the trim's end
	Colour nail.Colour     // as it was told that day; empty when it was not
	Work
}

// Check returns the fields that cannot be, under the contract's names; nil when it is sound.
func (t Question) Check() fault.Fields {
	f := t.Where.Check()
	if t.LastDone != nil {
		f.Range("last_done_weeks", *t.LastDone, 0, mostWeeks, fault.Weeks)
	}
	has := map[nail.Code]bool{}
	for i, n := range t.Nails {
		if has[n.Code] {
			f.Add(fmt.Sprintf("nails[%d].code", i), n.Code, fault.Once())
		}
		has[n.Code] = true
	}
	if len(t.Nails) == 0 {
		f.Add("nails", "none", fault.SomeNail())
	}
	if len(t.Events) > mostEvents {
		f.Add("events", say.Of(events2, say.Args{"events": say.Count(len(t.Events))}), fault.AtMost(mostEvents))
	}
	if t.At.Before(t.First) || t.At.Sub(t.First) > 7*mostWeeks {
		f.Add("at", t.At, say.Of(mustBeTheFirstDay, say.Args{"first": t.First.Say()}))
	}
	for i, e := range t.Events {
		one := e.check()
		if !has[e.Nail] {
			one.Add("nail", e.Nail, say.Of(mustBeOneOfThe))
		}
		if e.On.Before(t.First) || e.On.After(t.At) {
			one.Add("on", e.On, say.Of(mustBeFromTo, say.Args{"first": t.First.Say(), "at": t.At.Say()}))
		}
		f.Under(fmt.Sprintf("events[%d]", i), one)
	}
	return f
}

func (e Event) check() fault.Fields {
	var f fault.Fields
	within := func(name string, n *measure.Number, least, most float64) {
		if n != nil {
			f.Range(name, n.MM, least, most, fault.MM)
		}
	}
	if e.Trim {
		within("length_before_mm", e.Length, 1, claw.MostLength)
	} else {
		within("length_mm", e.Length, 1, claw.MostLength)
	}
	within("length_after_mm", e.After, 1, claw.MostLength)
	within("gap_mm", e.Gap, 0, claw.MostGap)
	within("spare_left_mm", e.Left, 0, claw.MostLength)
	for i, l := range e.Landmarks {
		f.Range(fmt.Sprintf("landmarks[%d].spare_mm", i), l.Spare, 0, claw.MostLength, fault.MM)
	}
	for i, c := range e.Cuts {
		f.Range(fmt.Sprintf("cuts[%d].mm", i), c.MM, 0.01, claw.MostLength, fault.MM)
	}
	if off := e.Removed(); off > claw.MostLength {
		f.Add("cuts", fault.Together(off), say.Of(mustBeAtMostMm, say.Args{"most": say.Length(claw.MostLength)}))
	}
	if e.Blood && len(e.Cuts) == 0 {
		f.Add("cuts", "none", fault.TheCutThatBled())
	}
	return f
}

// State works the whole through, and returns with it where the dog is on the last day. It returns
// fault.Fields when it cannot be.
func (t Question) State() (State, growth.Where, error) {
	if err := t.Check().Err(); err != nil {
		return State{}, growth.Where{}, err
	}
	s, where, day := Prior(t.Where, t.Nails, t.LastDone), t.Where, t.First
	until := func(on date.Date) {
		weeks := float64(on.Sub(day)) / 7
		s.Grow(where, weeks)
		where.Age += weeks
		day = on
	}
	events := slices.Clone(t.Events)
	slices.SortStableFunc(events, func(a, b Event) int { return a.On.Sub(b.On) })
	for _, e := range events {
		until(e.On)
		i := slices.IndexFunc(t.Nails, func(n Traits) bool { return n.Code == e.Nail })
		s.Take(i, claw.Assumed(e.Nail, t.Nails[i].Shape, where.Weight), e)
	}
	until(t.At)
	return s, where, nil
}

// Take takes what was told of one nail on one day, in the order of the work: the length before, the
// quick and what came off, the spare seen, the length after, the floor. It tells false when a
// length was left out that is none of this nail, and returns the grid that the nail was worked on.
func (s *State) Take(i int, form claw.Claw, e Event) (b *quick.Belief, sound bool) {
	sound = true
	if e.Length != nil {
		sound = s.SeeLength(i, *e.Length)
	}
	b = s.Work(i, form, e.Work)
	if e.Left != nil {
		s.SeeSpare(i, *e.Left)
	}
	if e.After != nil {
		sound = s.SeeLength(i, *e.After) && sound
	}
	if e.Gap != nil && !e.Nail.Dewclaw() {
		s.SeeGap(i, form, *e.Gap)
	}
	return b, sound
}

// Sound tells whether every number of the state is one: what it was told cannot have broken it.
func (s *State) Sound() bool {
	for i := range s.Nails {
		for _, n := range []Normal{s.Length(i), s.Spare(i), s.ToFloor(i)} {
			if math.IsNaN(n.Mean) || math.IsNaN(n.SD) || math.IsInf(n.Mean, 0) {
				return false
			}
		}
	}
	return true
}
