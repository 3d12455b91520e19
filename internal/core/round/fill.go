package round

import (
	"cmp"
	"math"
	"slices"
	"time"

	"fribbet/internal/core/date"
)

// Filling is a week as it might be filled.
type Filling struct {
	Visits []Visit // new ones, in their order
	Left   []Dog   // who waits for a later week, the most harmed first
	Harm   float64 // of all for whom coming would save any, in days of being merely late
}

const (
	// laterWeek is how many days after the week those that are left can come again.
	laterWeek = 1
	// mostTried are how many of those that wait are tried in what an exchange leaves free.
	mostTried = 10
	// mostSteps is how many fillings are looked at, in whole or in part, that might be better still.
	mostSteps = 5000
	// everyOrder is up to how many parties of a day every order is tried, and mostOrders how many places are looked at
	// for that.
	everyOrder = 6
	mostOrders = 400
	// mostWork is how many places are looked at in all before the best filling so far stands: a fifth of a second's.
	mostWork = 250_000
)

// Fill says which dogs to call for the days from one to another, so that the least harm is left over: the most
// harm saved a minute first, then exchanges, each judged with what it makes room for, until none helps; then, as
// far as that is few enough steps, every filling that could still save more. Others'
// visits keep their places, an owner's dogs come together where they fit so. It says the same whenever it is
// asked the same: what bounds it is how much it has looked at, no clock.
func (w Week) Fill(dogs []Dog, others []Visit, from, until date.Date) Filling {
	f := w.filler(dogs, others, from, until)
	f.fill()
	return f.filling()
}

func (f *filler) fill() {
	for _, party := range f.order { // on the best day of those on which it fits still
		f.place(party)
	}
	for f.exchange() {
	}
	f.search()
}

// filler is a week while it is filled.
type filler struct {
	w       Week
	later   date.Date // when who is left will come
	parties []party
	days    []fillDay
	saved   [][]float64 // by party and day: harm that coming then saves; not above zero: it does not come then
	at      []int       // by party: the day that it comes; -1 none
	order   []int       // parties, the most saved a minute first
	work    int         // places that were looked at so far
	ends    bool        // what was filled is written down: nothing bounds that
	known   map[string][]Clock
}

// spent tells whether it has looked at enough: then the best so far stands.
func (f *filler) spent() bool { return f.work > mostWork && !f.ends }

// party is the dogs of one owner, or a dog.
type party struct {
	dogs  []Dog
	long  int // minutes, with what is set up and cleared away
	help  Help
	suits map[time.Weekday][]Stretch
}

type fillDay struct {
	on    date.Date
	hours Hours
	gaps  []Stretch
	in    []int
	free  int // minutes
}

func (w Week) filler(dogs []Dog, others []Visit, from, until date.Date) *filler {
	f := &filler{w: w, known: map[string][]Clock{}, later: until.AddDays(laterWeek)}
	for day := from; !day.After(until); day = day.AddDays(1) {
		hours, open := w.On(day)
		if !open {
			continue
		}
		d := fillDay{on: day, hours: hours, gaps: w.gaps(hours, w.day(others, day))}
		for _, g := range d.gaps {
			d.free += g.Minutes()
		}
		f.days = append(f.days, d)
	}
	come := map[string]bool{}
	for _, v := range others {
		if v.State.Takes() && !v.On.Before(from) && !v.On.After(until) {
			come[v.Dog.ID] = true
		}
	}
	owners := map[string][]Dog{}
	var names []string
	for _, d := range dogs {
		if come[d.ID] || f.best(d) <= 0 {
			continue
		}
		name := "owner " + d.Owner
		if d.Owner == "" {
			name = "dog " + d.ID
		}
		if owners[name] == nil {
			names = append(names, name)
		}
		owners[name] = append(owners[name], d)
	}
	for _, name := range names {
		f.add(owners[name])
	}
	slices.SortStableFunc(f.order, func(a, b int) int { return cmp.Compare(f.worth(b), f.worth(a)) })
	return f
}

// saves is the harm that a dog's coming on a day saves.
func (f *filler) saves(d Dog, day fillDay) float64 {
	if !d.Window.Serves(day.on) {
		return 0
	}
	return d.Window.Waits(f.later) - d.Window.Harm(day.on)
}

// best is the most that a dog's coming saves.
func (f *filler) best(d Dog) float64 {
	best := 0.0
	for _, day := range f.days {
		best = max(best, f.saves(d, day))
	}
	return best
}

// add lets dogs come as one party, if there is a day on which they could; else each by itself.
func (f *filler) add(dogs []Dog) {
	p := party{dogs: dogs, help: NoHelp, suits: dogs[0].Suits}
	for _, d := range dogs {
		p.long += d.Minutes + f.w.Around
		if d.Help == Needed {
			p.help = Needed
		}
	}
	i := len(f.parties)
	f.parties, f.at, f.order = append(f.parties, p), append(f.at, -1), append(f.order, i)
	saved, could := make([]float64, len(f.days)), false
	for k, day := range f.days {
		for _, d := range dogs {
			s := f.saves(d, day)
			if saved[k] += s; s <= 0 { // one of them would come for nothing
				saved[k] = 0
				break
			}
		}
		could = could || saved[k] > 0 && f.fits(k, []int{i})
	}
	f.saved = append(f.saved, saved)
	if could || len(dogs) == 1 {
		return
	}
	f.parties, f.at, f.order, f.saved = f.parties[:i], f.at[:i], f.order[:i], f.saved[:i]
	for _, d := range dogs {
		f.add([]Dog{d})
	}
}

// worth is the most harm that a party's coming saves, a minute.
func (f *filler) worth(party int) float64 {
	best := 0.0
	for _, s := range f.saved[party] {
		best = max(best, s)
	}
	return best / float64(f.parties[party].long)
}

// place lets a party come on its best day; false when it fits on none.
func (f *filler) place(party int) bool {
	if f.at[party] >= 0 {
		return false
	}
	best := -1
	for k := range f.days {
		if s := f.saved[party][k]; s > 0 && (best < 0 || s > f.saved[party][best]) && f.room(k) >= f.parties[party].long &&
			f.fits(k, append(slices.Clip(f.days[k].in), party)) {
			best = k
		}
	}
	if best >= 0 {
		f.put(party, best)
	}
	return best >= 0
}

// room is what is left of a day, minutes, however scattered.
func (f *filler) room(day int) int {
	room := f.days[day].free
	for _, party := range f.days[day].in {
		room -= f.parties[party].long
	}
	return room
}

func (f *filler) put(party, day int) {
	f.at[party] = day
	f.days[day].in = append(slices.Clip(f.days[day].in), party)
}

func (f *filler) take(party int) {
	in := f.days[f.at[party]].in
	f.days[f.at[party]].in = slices.DeleteFunc(slices.Clone(in), func(i int) bool { return i == party })
	f.at[party] = -1
}

// total is all harm that is saved.
func (f *filler) total() float64 {
	sum := 0.0
	for party, day := range f.at {
		if day >= 0 {
			sum += f.saved[party][day]
		}
	}
	return sum
}

// exchange goes once through all exchanges and makes those that save harm; false when none did. One party for
// another that waits, two of different days, or one to another day: each judged with whoever fits into what
// that leaves free.
func (f *filler) exchange() (made bool) {
	for _, out := range slices.Backward(f.order) { // the least worth first
		if f.spent() {
			return false
		}
		for _, in := range f.order {
			if day := f.at[out]; day >= 0 && in != out && f.at[in] != day && f.saved[in][day] > 0 && f.mayHelp(out, in) {
				made = f.try(func() bool { return f.swap(out, in) }, out) || made
			}
		}
		for day := range f.days {
			if f.at[out] >= 0 && f.at[out] != day && f.saved[out][day] > 0 && f.room(day) >= f.parties[out].long {
				made = f.try(func() bool { return f.move(out, day) }, out) || made
			}
		}
	}
	return made
}

// mayHelp tells whether a party in another's place could save harm, were all that is then free filled at the
// best rate of whoever waits.
func (f *filler) mayHelp(out, in int) bool {
	day, other := f.at[out], f.at[in]
	room := f.room(day) + f.parties[out].long - f.parties[in].long
	if room < 0 {
		return false
	}
	if other >= 0 { // they change places
		return f.saved[out][other] > 0 && f.saved[in][day]+f.saved[out][other] >= f.saved[in][other]+f.saved[out][day]
	}
	rate, elsewhere := 0.0, 0.0
	for _, party := range f.order {
		if f.at[party] < 0 && party != in {
			rate = f.worth(party)
			break
		}
	}
	for k := range f.days {
		if k != day && f.room(k) >= f.parties[out].long {
			elsewhere = max(elsewhere, f.saved[out][k])
		}
	}
	return f.saved[in][day]+rate*float64(room)+elsewhere > f.saved[out][day]
}

// try makes an exchange that another lost its place by, fills what it leaves free, and takes it back where
// nothing is saved.
func (f *filler) try(exchange func() bool, lost int) bool {
	before, at, in := f.total(), slices.Clone(f.at), make([][]int, len(f.days))
	for k, day := range f.days {
		in[k] = day.in
	}
	if exchange() {
		f.place(lost)
		f.refill()
		if f.total() > before+1e-9 && f.allFit() {
			return true
		}
	}
	f.at = at
	for k := range f.days {
		f.days[k].in = in[k]
	}
	return false
}

// allFit tells whether every day holds its parties: one that had room for more may be packed less luckily.
func (f *filler) allFit() bool {
	for day := range f.days {
		if !f.fits(day, f.days[day].in) {
			return false
		}
	}
	return true
}

// swap puts one party in another's place; one that comes already changes places with it.
func (f *filler) swap(out, in int) bool {
	day, other := f.at[out], f.at[in]
	f.take(out)
	if other >= 0 {
		f.take(in)
		f.put(out, other)
	}
	f.put(in, day)
	return f.fits(day, f.days[day].in) && (other < 0 || f.fits(other, f.days[other].in))
}

func (f *filler) move(party, day int) bool {
	f.take(party)
	f.put(party, day)
	return f.fits(day, f.days[day].in)
}

// refill lets the first of those that wait come, where they fit.
func (f *filler) refill() {
	tried := 0
	for _, party := range f.order {
		if f.at[party] >= 0 {
			continue
		}
		if tried++; tried > mostTried {
			return
		}
		f.place(party)
	}
}

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

// filling is the week as it was filled.
func (f *filler) filling() Filling {
	var out Filling
	f.ends = true
	for k, day := range f.days {
		starts, _ := f.starts(k, day.in)
		for i, n := range day.in {
			at := starts[i]
			for _, d := range f.parties[n].dogs {
				v := Visit{Dog: d, On: day.on, Start: at, State: Offered}
				out.Visits, at = append(out.Visits, v), v.Lasts(f.w).To
				out.Harm += d.Window.Harm(day.on)
			}
		}
	}
	slices.SortStableFunc(out.Visits, func(a, b Visit) int { return cmp.Or(a.On.Sub(b.On), cmp.Compare(a.Start, b.Start)) })
	for _, n := range f.order {
		if f.at[n] >= 0 {
			continue
		}
		for _, d := range f.parties[n].dogs {
			out.Left = append(out.Left, d)
			out.Harm += d.Window.Waits(f.later)
		}
	}
	return out
}
