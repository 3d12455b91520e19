package round

import (
	"cmp"
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/say"
)

// Offer is a free place for a dog, why it is good, and what it costs, in days of being merely late.
type Offer struct {
	Visit
	Cost    float64
	Reasons []say.Line
	Saves   float64 // harm, against waiting another week
}

// Offers are the n best free places for a dog from one day to another, best first, at most two a day.
func (w Week) Offers(d Dog, others []Visit, from, until date.Date, n int) []Offer {
	var all []Offer
	for day := from; !day.After(until); day = day.AddDays(1) {
		if !d.Window.Serves(day) {
			continue
		}
		all = append(all, w.offersOn(d, others, day)...)
	}
	slices.SortStableFunc(all, func(a, b Offer) int {
		return cmp.Or(cmp.Compare(a.Cost, b.Cost), a.On.Sub(b.On), cmp.Compare(a.Start, b.Start))
	})
	const aDay = 2
	times := map[date.Date][]Clock{}
	all = slices.DeleteFunc(all, func(o Offer) bool {
		near := func(at Clock) bool { return max(at-o.Start, o.Start-at) < otherTime }
		if len(times[o.On]) == aDay || slices.ContainsFunc(times[o.On], near) {
			return true
		}
		times[o.On] = append(times[o.On], o.Start)
		return false
	})
	return all[:min(n, len(all))]
}

// offersOn are the free places of one day.
func (w Week) offersOn(d Dog, others []Visit, day date.Date) []Offer {
	hours, open := w.On(day)
	if !open {
		return nil
	}
	visits := w.day(others, day)
	var all []Offer
	for _, gap := range w.gaps(hours, visits) {
		for _, start := range w.starts(gap, d, hours) {
			v := Visit{Dog: d, On: day, Start: start, State: Offered}
			if !w.Breaks(v).Nothing() || !w.Clash(v, visits).Nothing() {
				continue
			}
			all = append(all, w.offer(v, gap, hours, visits))
		}
	}
	return all
}

// Free is what can still be given of a day, in its order.
func (w Week) Free(day date.Date, others []Visit) []Stretch {
	hours, open := w.On(day)
	if !open {
		return nil
	}
	return w.gaps(hours, w.day(others, day))
}

// Within is the best place for a dog in a free stretch of a day; false when it does not fit, or its coming would
// save nothing.
func (w Week) Within(d Dog, others []Visit, day date.Date, free Stretch) (best Offer, is bool) {
	if !d.Window.Serves(day) {
		return best, false
	}
	for _, o := range w.offersOn(d, others, day) {
		if free.Holds(o.Lasts(w)) && o.Saves > 0 && (!is || o.Cost < best.Cost) {
			best, is = o, true
		}
	}
	return best, is
}

// day is the visits of one day that take their place, in its order.
func (w Week) day(all []Visit, day date.Date) []Visit {
	var visits []Visit
	for _, v := range all {
		if v.On == day && v.State.Takes() {
			visits = append(visits, v)
		}
	}
	slices.SortStableFunc(visits, func(a, b Visit) int { return cmp.Compare(a.Start, b.Start) })
	return visits
}

// gaps is what is free of a day, in its order.
func (w Week) gaps(hours Hours, visits []Visit) []Stretch {
	var free []Stretch
	for _, s := range hours.Open() {
		at := s.From
		for _, v := range visits {
			takes := v.Lasts(w)
			if !takes.Meets(Stretch{at, s.To}) {
				continue
			}
			free = append(free, Stretch{at, takes.From})
			at = max(at, takes.To)
		}
		free = append(free, Stretch{at, s.To})
	}
	return worked(free...)
}

// starts are the times in a gap at which a dog might begin: towards either end, when a helper comes, on quarters.
func (w Week) starts(gap Stretch, d Dog, hours Hours) []Clock {
	first, last := (gap.From+tick-1)/tick*tick, (gap.To-Clock(d.Minutes+w.Around))/tick*tick
	starts := []Clock{first, last}
	for _, there := range hours.Helper {
		starts = append(starts, there.From)
	}
	for at := (gap.From + quarter - 1) / quarter * quarter; at <= last; at += quarter {
		starts = append(starts, at)
	}
	slices.Sort(starts)
	return slices.DeleteFunc(slices.Compact(starts), func(c Clock) bool { return c < first || c > last })
}

// offer is what a free place costs, and why.
func (w Week) offer(v Visit, gap Stretch, hours Hours, visits []Visit) Offer {
	harm := v.Dog.Window.Harm(v.On)
	o := Offer{Visit: v, Cost: harm, Saves: v.Dog.Window.Waits(v.On.AddDays(another)) - harm}
	costs := func(cost float64, why say.Line) { o.Cost, o.Reasons = o.Cost+cost, append(o.Reasons, why) }
	takes := v.Lasts(w)
	for _, left := range []Stretch{{gap.From, takes.From}, {takes.To, gap.To}} {
		if m := left.Minutes(); m >= tick && m < LeastGap {
			costs(uselessGap, say.Of(leavesAGapTooShort))
		}
	}
	if takes.From < gap.From+tick || takes.To > gap.To-tick {
		o.Cost -= startsAtEdge
	}
	if v.Dog.Help == Preferred && !hours.Helped(takes) {
		costs(noHelper, say.Of(nobodyIsThereToHold))
	}
	before, after := beside(visits, v.Start)
	if v.Dog.Hard {
		if before != nil && before.Dog.Hard || after != nil && after.Dog.Hard {
			costs(hardAtHard, say.Of(nextToAnotherHardDog))
		}
		if after == nil {
			costs(hardLast, say.Of(aHardDogLast))
		}
	}
	if family(visits, v.Dog) {
		switch {
		case before != nil && before.Dog.Owner == v.Dog.Owner, after != nil && after.Dog.Owner == v.Dog.Owner:
			costs(-withOthers, say.Of(withTheOwnersOtherDog))
		default:
			costs(apart, say.Of(apartFromTheOwnersOther))
		}
	}
	return o
}

// beside are the visits before and after a time.
func beside(visits []Visit, at Clock) (before, after *Visit) {
	for i := range visits {
		if visits[i].Start < at {
			before = &visits[i]
		} else if after == nil {
			after = &visits[i]
		}
	}
	return before, after
}

// family tells whether another dog of the same owner comes.
func family(visits []Visit, d Dog) bool {
	return d.Owner != "" && slices.ContainsFunc(visits, func(v Visit) bool { return v.Dog.Owner == d.Owner })
}
