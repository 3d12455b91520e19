package round

import (
	"cmp"
	"fribbet/internal/core/date"
	"fribbet/internal/core/say"
)

// Window are the days on which a visit serves a dog, from the dates of its outlook; a zero one is not known.
type Window struct {
	Worth   date.Date `json:",omitzero"` // the first day on which there is something to take
	Due     date.Date `json:",omitzero"`
	Touches date.Date `json:",omitzero"` // the first day on which a nail stands on the floor
	Curls   date.Date `json:",omitzero"` // the first day on which a dewclaw curls

	NotBefore date.Date `json:",omitzero"` // nothing is trimmed before: the dog said no
	No        say.Line  `json:",omitzero"`
}

// Refuses says what the dog said no with, where that keeps a visit off a day; empty where it does not.
func (w Window) Refuses(day date.Date) say.Line {
	if day.Before(w.NotBefore) {
		return w.No
	}
	return say.Line{}
}

// Serves tells whether there is something to take on a day, and the dog lets one.
func (w Window) Serves(day date.Date) bool { return !day.Before(w.Worth) && w.Refuses(day).Nothing() }

// Harm is what coming on a day and not before does to the dog, in days of being merely late: what it has waited
// till then, or what coming early costs.
func (w Window) Harm(day date.Date) float64 {
	early := 0.0
	if !w.Due.IsZero() {
		early = earlyDay * float64(max(0, w.Due.Sub(day)))
	}
	return early + w.Waits(day)
}

// Waits is what not coming before a day does to the dog; nothing as long as it is not due.
func (w Window) Waits(day date.Date) float64 {
	late, touches, curls := since(w.Due, day), since(w.Touches, day), since(w.Curls, day)
	return lateDay*late + (touchingDay-lateDay)*touches + (curlingDay-lateDay)*curls
}

// Compare orders by what waiting until a day would do, the most harmed first, then by date.
func (w Window) Compare(o Window, until date.Date) int {
	return cmp.Or(cmp.Compare(o.Waits(until), w.Waits(until)), w.Due.Sub(o.Due))
}

// since is the days from one on; 0 where it has not come or is not known.
func since(from, day date.Date) float64 {
	if from.IsZero() {
		return 0
	}
	return float64(max(0, day.Sub(from)))
}
