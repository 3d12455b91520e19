package dog

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/state"
)

// event is a walk-round or a sitting.
type event struct {
	on      date.Date
	check   *Check
	sitting *Sitting
}

// eventsOf puts walk-rounds and sittings in their order. On one day the walk-round comes first:
// one looks before one cuts.
func eventsOf(sittings []Sitting, checks []Check) []event {
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

// Event is a record as the state takes it: the bench tells it tap by tap, the tally at once.
func (r Record) Event(on date.Date) state.Event {
	e := state.Event{On: on, Nail: r.Code, Trim: true, Length: r.LengthBefore, After: r.LengthAfter, Gap: r.GapAfter, Left: r.SpareLeft}
	e.Landmarks, e.Blood, e.EndFace = r.Landmarks, r.Blood, r.EndFace
	for i, mm := range r.Cuts {
		c := state.Slice{MM: mm, Touch: r.Tool.Work() == kit.Grinding}
		if i < len(r.Faces) {
			c.Face = r.Faces[i]
		}
		e.Cuts = append(e.Cuts, c)
	}
	return e
}

// event is a look as the state takes it.
func (l Look) event(on date.Date) state.Event {
	return state.Event{On: on, Nail: l.Code, Length: l.Length, Gap: l.Gap}
}

// colourSeen is a nail's colour as what was told of it shows it.
func colourSeen(told nail.Colour, e state.Event) nail.Colour {
	for _, c := range e.Cuts {
		told = quick.SeenColour(told, c.Face)
	}
	return quick.SeenColour(told, e.EndFace)
}
