package round

import (
	"cmp"
	"math"
	"slices"
)

// fits tells whether parties can all come on a day.
func (f *filler) fits(day int, parties []int) bool {
	_, is := f.starts(day, parties)
	return is
}

// starts finds a time for each of some parties on a day; what was found once is known.
func (f *filler) starts(day int, parties []int) ([]Clock, bool) {
	sorted := slices.Sorted(slices.Values(parties))
	key := make([]byte, 0, 2*len(sorted)+1)
	key = append(key, byte(day)) //nolint:gosec // of a week
	for _, party := range sorted {
		key = append(key, byte(party), byte(party>>8)) //nolint:gosec // both halves
	}
	known, is := f.known[string(key)]
	if !is || known == nil && f.ends {
		if found, fits := f.find(day, sorted); fits {
			known = found
		}
		f.known[string(key)] = known
	}
	if known == nil {
		return nil, false
	}
	starts := make([]Clock, len(parties))
	for i, party := range parties {
		at, _ := slices.BinarySearch(sorted, party)
		starts[i] = known[at]
	}
	return starts, true
}

// find looks for them, each as early as it may: those of the fewest times first and of them the longest; where that is
// not enough and they are few, in every order.
func (f *filler) find(day int, parties []int) ([]Clock, bool) {
	needs := 0
	for _, party := range parties {
		needs += f.parties[party].long
	}
	if needs > f.days[day].free {
		return nil, false
	}
	order := make([]int, len(parties))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int {
		x, y := f.parties[parties[a]], f.parties[parties[b]]
		return cmp.Or(y.bound()-x.bound(), y.long-x.long, parties[a]-parties[b]) // the same parties, the same answer
	})
	starts := make([]Clock, len(parties))
	if f.inOrder(day, parties, order, starts) {
		return starts, true
	}
	if len(parties) > everyOrder {
		return nil, false
	}
	if f.spent() {
		return nil, false
	}
	until := f.work + mostOrders
	if f.ends {
		until = math.MaxInt
	}
	return starts, f.anyOrder(day, parties, make([]bool, len(parties)), starts, nil, until)
}

// inOrder places parties one after the other where each fits first.
func (f *filler) inOrder(day int, parties, order []int, starts []Clock) bool {
	var taken []Stretch
	for len(order) > 0 && f.parties[parties[order[0]]].bound() > 0 {
		s, is := f.earliest(day, f.parties[parties[order[0]]], taken, 0)
		if !is {
			return false
		}
		starts[order[0]], taken, order = s.From, append(taken, s), order[1:]
	}
	free := without(f.days[day].gaps, taken) // whoever is not bound to an hour takes the first that is long enough
	for _, i := range order {
		long := f.parties[parties[i]].long
		k := slices.IndexFunc(free, func(s Stretch) bool { return s.Minutes() >= long })
		if k < 0 {
			return false
		}
		starts[i], free[k].From = free[k].From, free[k].From+Clock(long)
	}
	return true
}

// without is what is left of stretches once some of them are taken, in their order.
func without(stretches, taken []Stretch) []Stretch {
	taken = slices.Clone(taken)
	slices.SortFunc(taken, func(a, b Stretch) int { return int(a.From - b.From) })
	var free []Stretch
	for _, s := range stretches {
		for _, t := range taken {
			if t.Meets(s) {
				free = append(free, Stretch{s.From, t.From})
				s.From = t.To
			}
		}
		free = append(free, s)
	}
	return free
}

// bound is to how many things besides the day's hours a party is bound.
func (p party) bound() int {
	n := 0
	if p.help == Needed {
		n++
	}
	if p.suits != nil {
		n++
	}
	return n
}

// anyOrder tries every order in which they might follow each other.
func (f *filler) anyOrder(day int, parties []int, placed []bool, starts []Clock, taken []Stretch, until int) bool {
	if len(taken) == len(parties) {
		return true
	}
	if f.work > until {
		return false
	}
	after := Clock(0)
	if len(taken) > 0 {
		after = taken[len(taken)-1].To
	}
	for i := range parties {
		if placed[i] {
			continue
		}
		s, is := f.earliest(day, f.parties[parties[i]], taken, after)
		if !is {
			continue
		}
		placed[i], starts[i] = true, s.From
		if f.anyOrder(day, parties, placed, starts, append(slices.Clip(taken), s), until) {
			return true
		}
		placed[i] = false
	}
	return false
}

// earliest is the first place for a party on a day, not before a time and beside what is taken.
func (f *filler) earliest(day int, p party, taken []Stretch, after Clock) (best Stretch, found bool) {
	long := Clock(p.long)
	f.work += 1 + len(taken)
	for _, gap := range f.days[day].gaps {
		if found && gap.From >= best.From {
			break
		}
		try := func(from Clock) {
			s := Stretch{max(from, after), max(from, after) + long}
			if !gap.Holds(s) || found && s.From >= best.From || slices.ContainsFunc(taken, s.Meets) {
				return
			}
			if (p.help != Needed || f.days[day].hours.Helped(s)) && suits(p.suits, f.days[day].on, s) {
				best, found = s, true
			}
		}
		try(gap.From)
		for _, t := range taken {
			try(t.To)
		}
		if p.help == Needed {
			for _, there := range f.days[day].hours.Helper {
				try(there.From)
			}
		}
		for _, free := range p.suits[f.days[day].on.Weekday()] {
			try(free.From)
		}
	}
	return best, found
}
