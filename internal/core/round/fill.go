package round

import (
	"cmp"
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
		if saved[k] > 0 && !could { // not by what is known: this place in the list may yet be another's
			_, could = f.find(k, []int{i})
		}
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
		if s := f.saved[party][k]; s > 0 && (best < 0 || s > f.saved[party][best]) &&
			f.room(k) >= f.parties[party].long &&
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
	slices.SortStableFunc(
		out.Visits,
		func(a, b Visit) int { return cmp.Or(a.On.Sub(b.On), cmp.Compare(a.Start, b.Start)) },
	)
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
