package round

import (
	"slices"
)

// exchange goes once through all exchanges and makes those that save harm; false when none did. One party for
// another that waits, two of different days, or one to another day: each judged with whoever fits into what
// that leaves free.
func (f *filler) exchange() (made bool) {
	for _, out := range slices.Backward(f.order) { // the least worth first
		if f.spent() {
			return false
		}
		for _, in := range f.order {
			if day := f.at[out]; day >= 0 && in != out && f.at[in] != day && f.saved[in][day] > 0 &&
				f.mayHelp(out, in) {
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
