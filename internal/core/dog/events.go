package dog

import (
	"slices"

	"fribbet/internal/core/date"
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
