package round

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// CheckWait names why a dog with these visits cannot wait for a place on a day.
func CheckWait(on, today date.Date, its []Visit) fault.Fields {
	var f fault.Fields
	if on.Before(today) {
		f.Add("on", on.String(), say.Of(mustNotHaveGoneBy))
	}
	for _, v := range its {
		if v.On == on && v.State.Takes() {
			f.Add(
				"on",
				on.String(),
				say.Of(mustBeADayWithout, say.Args{"name": say.Name(v.Dog.Name), "start": v.Start.Say()}),
			)
		}
	}
	return f
}

// Fallen are the places that have fallen free for those who wait for a day, first come first: to each the best that
// nobody before it was named, nil where there is none. there are the visits of that day.
func (w Week) Fallen(waiting []Dog, there []Visit, day date.Date) []*Offer {
	places := make([]*Offer, len(waiting))
	for i, d := range waiting {
		best := w.bestOn(d, there, day)
		if places[i] = best; best != nil {
			there = append(there[:len(there):len(there)], best.Visit)
		}
	}
	return places
}

// bestOn is the best free place for a dog on a day, whether its date is near or not: it was asked for. nil: none, or
// the dog is not to come then.
func (w Week) bestOn(d Dog, there []Visit, day date.Date) *Offer {
	var best *Offer
	for _, o := range w.offersOn(d, there, day) {
		if best == nil || o.Cost < best.Cost {
			best = &o
		}
	}
	return best
}
