package feet

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
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

// colourSeen is a nail's colour as what was told of it shows it.
func colourSeen(told nail.Colour, e state.Event) nail.Colour {
	if e.Colour != "" {
		told = e.Colour
	}
	for _, c := range e.Cuts {
		told = quick.SeenColour(told, c.Face)
	}
	return quick.SeenColour(told, e.EndFace)
}
