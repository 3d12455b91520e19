package round

import (
	"fmt"
	"math/rand/v2"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"fribbet/internal/core/date"
	"fribbet/internal/words/wordstest"
)

// least is the least harm that any filling of some days leaves over: those that come together on every day that
// serves each of them, in every order, each as early as it may.
func least(w Week, parties [][]Dog, days []date.Date, later date.Date) float64 {
	harm := func(dogs []Dog, of func(Dog) float64) float64 {
		sum := 0.0
		for _, d := range dogs {
			sum += of(d)
		}
		return sum
	}
	var from func(rest [][]Dog, day int, after Clock) float64
	from = func(rest [][]Dog, day int, after Clock) float64 {
		if day == len(days) {
			return harm(slices.Concat(rest...), func(d Dog) float64 { return d.Window.Waits(later) })
		}
		best := from(rest, day+1, 0)
		for i, dogs := range rest {
			if slices.ContainsFunc(dogs, func(d Dog) bool { return !d.Window.Serves(days[day]) }) {
				continue
			}
			v := Visit{Dog: asOne(w, dogs), On: days[day], Start: after}
			for ; v.Start < At(24, 0) && !w.Breaks(v).Nothing(); v.Start++ {
			}
			if w.Breaks(v).Nothing() {
				others := slices.Concat(rest[:i], rest[i+1:])
				best = min(
					best,
					harm(
						dogs,
						func(d Dog) float64 { return d.Window.Harm(days[day]) },
					)+from(
						others,
						day,
						v.Lasts(w).To,
					),
				)
			}
		}
		return best
	}
	return from(parties, 0, 0)
}

// asOne is a dog that takes as long as some that come one after the other, and needs what they need.
func asOne(w Week, dogs []Dog) Dog {
	all := Dog{ID: "all", Minutes: -w.Around, Suits: dogs[0].Suits}
	for _, d := range dogs {
		all.Minutes += d.Minutes + w.Around
		if d.Help == Needed {
			all.Help = Needed
		}
	}
	return all
}

// oneByOne is every dog by itself.
func oneByOne(dogs []Dog) (parties [][]Dog) {
	for _, d := range dogs {
		parties = append(parties, []Dog{d})
	}
	return parties
}

// leftOver is the harm of a filling with that of those for whom coming would save nothing, who are in none.
func leftOver(f Filling, dogs []Dog, later date.Date) float64 {
	harm := f.Harm
	for _, d := range dogs {
		if !slices.ContainsFunc(f.Visits, func(v Visit) bool { return v.Dog.ID == d.ID }) &&
			!slices.ContainsFunc(f.Left, func(l Dog) bool { return l.ID == d.ID }) {
			harm += d.Window.Waits(later)
		}
	}
	return harm
}

// Against every filling of a small week: at most a twentieth more harm.
func TestFillIsNearlyTheBestThereIs(t *testing.T) {
	days := []date.Date{monday, monday.AddDays(1), monday.AddDays(2)}
	rapid.Check(t, func(t *rapid.T) {
		w := drawWeek(t)
		var dogs []Dog
		for i := range rapid.IntRange(1, 5).Draw(t, "dogs") {
			d := drawDog(t, i)
			d.Owner = ""
			dogs = append(dogs, d)
		}
		got := w.Fill(dogs, nil, days[0], days[2])
		sound(t, w, got.Visits)
		harm := leftOver(got, dogs, days[2].AddDays(laterWeek))
		best := least(w, oneByOne(dogs), days, days[2].AddDays(laterWeek))
		assert.LessOrEqual(t, harm, 1.05*best+1e-9)
		assert.GreaterOrEqual(t, harm, best-1e-9, "nobody does better than every filling")
	})
}

// An owner's dogs come together where a day holds them: against every filling in which they do, at most a tenth more
// harm.
func TestFillWithOwnersIsNearlyTheBestThereIs(t *testing.T) {
	days := []date.Date{monday, monday.AddDays(1), monday.AddDays(2)}
	later := days[2].AddDays(laterWeek)
	rapid.Check(t, func(t *rapid.T) {
		w := drawWeek(t)
		var dogs []Dog
		for i := range rapid.IntRange(2, 5).Draw(t, "dogs") {
			dogs = append(dogs, drawDog(t, i))
		}
		got := w.Fill(dogs, nil, days[0], days[2])
		sound(t, w, got.Visits)
		var parties [][]Dog
		owners := map[string][]Dog{}
		for _, d := range dogs {
			if d.Owner == "" || !slices.ContainsFunc(days, func(on date.Date) bool { return saves(w, d, on, later) }) {
				parties = append(parties, []Dog{d})
			} else {
				owners[d.Owner] = append(owners[d.Owner], d)
			}
		}
		for owner, theirs := range owners {
			if together(w, owner, dogs, nil, len(days)) {
				parties = append(parties, theirs)
			} else {
				parties = append(parties, oneByOne(theirs)...)
			}
		}
		assert.LessOrEqual(t, leftOver(got, dogs, later), 1.1*least(w, parties, days, later)+1e-9)
	})
}

// saves tells whether a dog's coming on a day saves any harm.
func saves(w Week, d Dog, on, later date.Date) bool {
	_, open := w.On(on)
	return open && d.Window.Serves(on) && d.Window.Waits(later) > d.Window.Harm(on)
}

// Whatever the week: what stands stays, nobody comes twice, an owner's dogs come one after the other.
func TestAFilledWeekIsSound(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		w := drawWeek(t)
		var dogs []Dog
		for i := range rapid.IntRange(1, 30).Draw(t, "dogs") {
			dogs = append(dogs, drawDog(t, i))
		}
		var there []Visit
		for _, d := range dogs[:len(dogs)/4] {
			if offers := w.Offers(d, there, monday, monday.AddDays(6), 1); len(offers) > 0 {
				offers[0].ID, offers[0].State = d.ID, Agreed
				there = append(there, offers[0].Visit)
			}
		}
		got := w.Fill(dogs, there, monday, monday.AddDays(6))
		assert.Equal(t, got, w.Fill(dogs, there, monday, monday.AddDays(6)), "asked again, it says the same")
		sound(t, w, append(append([]Visit{}, there...), got.Visits...))
		last := map[string]Visit{}
		for _, v := range got.Visits {
			before, is := last[v.Dog.Owner]
			if is && v.Dog.Owner != "" && (before.On != v.On || before.Lasts(w).To != v.Start) {
				assert.False(
					t,
					together(w, v.Dog.Owner, dogs, there, 7),
					"%s and %s could come together",
					before.Dog.Name,
					v.Dog.Name,
				)
			}
			last[v.Dog.Owner] = v
		}
	})
}

// together tells whether all of an owner's dogs that are yet to come could come one after the other on one of so many
// days.
func together(w Week, owner string, dogs []Dog, there []Visit, long int) bool {
	later := monday.AddDays(long - 1 + laterWeek)
	var days []date.Date
	for day := range long {
		days = append(days, monday.AddDays(day))
	}
	var theirs []Dog
	for _, d := range dogs {
		if d.Owner == owner && !slices.ContainsFunc(there, func(v Visit) bool { return v.Dog.ID == d.ID }) &&
			slices.ContainsFunc(days, func(on date.Date) bool { return saves(w, d, on, later) }) {
			theirs = append(theirs, d)
		}
	}
	return slices.ContainsFunc(days, func(on date.Date) bool {
		if slices.ContainsFunc(theirs, func(d Dog) bool { return !saves(w, d, on, later) }) {
			return false
		}
		v := Visit{Dog: asOne(w, theirs), On: on}
		for ; v.Start < At(24, 0); v.Start++ {
			if w.Breaks(v).Nothing() && w.Clash(v, w.day(there, on)).Nothing() {
				return true
			}
		}
		return false
	})
}

func TestALongDogGivesWayToTwoThatNeedItMore(t *testing.T) {
	w := Week{Days: map[time.Weekday]Hours{time.Monday: {Stretch: Stretch{At(9, 0), At(10, 0)}}}}
	late := func(id string, minutes, days int) Dog {
		return Dog{
			ID:      id,
			Name:    id,
			Minutes: minutes,
			Window:  Window{Worth: monday.AddDays(-60), Due: monday.AddDays(-days)},
		}
	}
	got := w.Fill([]Dog{late("long", 55, 30), late("a", 30, 14), late("b", 30, 14)}, nil, monday, monday.AddDays(6))
	assert.Len(t, got.Visits, 2)
	assert.Equal(t, "long", got.Left[0].ID)
}

// Three hundred dogs that might come in a week: under 300 ms.
func BenchmarkFill(b *testing.B) {
	w, dogs := busyWeek(300)
	for b.Loop() {
		w.Fill(dogs, nil, monday, monday.AddDays(6))
	}
}

// Four weeks, half booked: under 50 ms.
func BenchmarkOffers(b *testing.B) {
	w, dogs := busyWeek(120)
	var there []Visit
	for week := range 4 {
		from := monday.AddDays(7 * week)
		got := w.Fill(dogs[30*week:30*week+30], nil, from, from.AddDays(6))
		there = append(there, got.Visits...)
	}
	for b.Loop() {
		w.Offers(dogs[0], there, monday, monday.AddDays(27), 3)
	}
}

// busyWeek is a week of five days, and dogs of every kind that might come.
func busyWeek(n int) (Week, []Dog) {
	w := weekdays(
		Hours{
			Stretch: Stretch{At(9, 0), At(17, 0)},
			Break:   Stretch{At(12, 30), At(13, 15)},
			Helper:  []Stretch{{At(9, 0), At(12, 30)}},
		},
	)
	dogs := make([]Dog, n)
	for i := range dogs {
		due := monday.AddDays(i*7%30 - 14)
		dogs[i] = Dog{
			ID:      fmt.Sprint(i),
			Name:    fmt.Sprint("Dog ", i),
			Minutes: 12 + i*11%35,
			Hard:    i%7 == 0,
			Window:  Window{Worth: due.AddDays(-10), Due: due, Touches: due.AddDays(i % 9)},
		}
		switch i % 6 {
		case 0:
			dogs[i].Help = Needed
		case 1:
			dogs[i].Owner = fmt.Sprint("o", i/12)
		case 2:
			dogs[i].Suits = map[time.Weekday][]Stretch{
				time.Tuesday: {{At(9, 0), At(12, 0)}},
				time.Friday:  {{At(13, 0), At(17, 0)}},
			}
		}
	}
	return w, dogs
}

// halfBooked is a random week of six days, half of it booked, and 300 dogs that might come: with windows, helpers,
// owners' hours and parties.
func halfBooked(seed uint64) (Week, []Dog, []Visit) {
	r := rand.New(rand.NewPCG(30, seed))
	w := Week{Around: 5, Days: map[time.Weekday]Hours{}}
	for day := time.Monday; day <= time.Saturday; day++ {
		from := At(8, 0) + Clock(30*r.IntN(4))
		w.Days[day] = Hours{
			Stretch: Stretch{from, At(17, 0)},
			Break:   Stretch{At(12, 30), At(13, 0)},
			Helper:  []Stretch{{from, At(10+r.IntN(6), 0)}},
		}
	}
	dogs := make([]Dog, 300)
	for i := range dogs {
		due := monday.AddDays(r.IntN(30) - 20)
		dogs[i] = Dog{
			ID:      fmt.Sprint(i),
			Name:    fmt.Sprint("Dog ", i),
			Minutes: 8 + r.IntN(40),
			Hard:    r.IntN(6) == 0,
			Window:  Window{Worth: due.AddDays(-10), Due: due, Touches: due.AddDays(r.IntN(9))},
		}
		if r.IntN(5) == 0 {
			dogs[i].Help = Needed
		}
		if r.IntN(3) == 0 {
			dogs[i].Owner = fmt.Sprint("o", r.IntN(50))
		}
		if dogs[i].Owner == "" && r.IntN(2) == 0 {
			from := At(8+r.IntN(7), 0)
			dogs[i].Suits = map[time.Weekday][]Stretch{
				time.Weekday(1 + r.IntN(6)): {{from, from + 150}},
				time.Weekday(1 + r.IntN(6)): {{from, from + 150}},
			}
		}
	}
	var there []Visit
	for day := range 6 {
		for at := At(8, 0); at < At(16, 0); at += Clock(20 + r.IntN(60)) {
			if r.IntN(2) == 0 {
				id := fmt.Sprintf("there %d %d", day, at)
				there = append(
					there,
					Visit{ID: id, Dog: Dog{ID: id, Minutes: 15}, On: monday.AddDays(day), Start: at, State: Agreed},
				)
			}
		}
	}
	return w, dogs, there
}

// What is looked at is bounded, so that nobody waits: fifty random half-booked weeks of 300 dogs. Places that were
// looked at are counted, since a clock would measure the machine.
func TestAHalfBookedWeekIsFilledInBoundedWork(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	most := 0
	for seed := range uint64(50) {
		w, dogs, there := halfBooked(seed)
		f := w.filler(dogs, there, monday, monday.AddDays(6))
		f.fill()
		most = max(most, f.work)
		got := f.filling()
		assert.NotEmpty(t, got.Visits)
		for i, v := range got.Visits {
			assert.Empty(t, wordstest.Of(w.Breaks(v)), "%+v", v)
			assert.Empty(
				t,
				wordstest.Of(
					w.Clash(
						Visit{ID: "new", Dog: v.Dog, On: v.On, Start: v.Start, State: v.State},
						append(slices.Clone(there), got.Visits[:i]...),
					),
				),
			)
		}
	}
	t.Logf("at most %d places looked at", most)
	assert.Less(t, most, 2*mostWork)
}

// Three hundred dogs and a week of six days, half booked: under half a second.
func BenchmarkFillHalfBooked(b *testing.B) {
	seed := uint64(0)
	for b.Loop() {
		w, dogs, there := halfBooked(seed % 50)
		seed++
		w.Fill(dogs, there, monday, monday.AddDays(6))
	}
}
