package round

import (
	"cmp"
	"slices"
)

// search looks at fillings that might save more than the one there is, and leaves the best of all (branch and
// bound: Land and Doig, Econometrica 28, 1960, 497; the bound is Dantzig's of the knapsack, Operations Research
// 5, 1957, 266).
func (f *filler) search() {
	best, at := f.total(), slices.Clone(f.at)
	for party, day := range f.at {
		if day >= 0 {
			f.take(party)
		}
	}
	steps := mostSteps
	var from func(n int, saved float64)
	from = func(n int, saved float64) {
		if saved > best+1e-9 {
			best, at = saved, slices.Clone(f.at)
		}
		if steps--; steps < 0 || f.spent() || n == len(f.order) || saved+f.most(n) <= best+1e-9 {
			return
		}
		party := f.order[n]
		for _, day := range f.daysOf(party) {
			if f.room(day) >= f.parties[party].long && f.fits(day, append(slices.Clip(f.days[day].in), party)) {
				f.put(party, day)
				from(n+1, saved+f.saved[party][day])
				f.take(party)
			}
		}
		from(n+1, saved)
	}
	from(0, 0)
	for party, day := range at {
		if day >= 0 {
			f.put(party, day)
		}
	}
}

// most is no less than what all from the nth on can save in what is left of the days.
func (f *filler) most(n int) float64 {
	room, sum := 0, 0.0
	for day := range f.days {
		room += f.room(day)
	}
	for _, party := range f.order[n:] {
		long := f.parties[party].long
		if long >= room {
			return sum + f.worth(party)*float64(room)
		}
		room, sum = room-long, sum+f.worth(party)*float64(long)
	}
	return sum
}

// daysOf are the days on which a party saves anything, the best first.
func (f *filler) daysOf(party int) []int {
	var days []int
	for day, saved := range f.saved[party] {
		if saved > 0 {
			days = append(days, day)
		}
	}
	slices.SortStableFunc(days, func(a, b int) int { return cmp.Compare(f.saved[party][b], f.saved[party][a]) })
	return days
}
