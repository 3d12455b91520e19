package hindsight

import (
	"math"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
)

// Report is what was said of a dog beforehand, beside what then was.
type Report struct {
	Cuts    Cuts
	Presses Chances
	Lengths Numbers
	Spares  Numbers
	Gaps    Numbers
	Minutes Numbers // scored by their logarithm
	Floors  Chances
	Dates   Dates
	Growth  map[nail.Group]Growth
	LeftOut LeftOut
}

// Cuts are those whose amounts somebody counted, by the chance to bleed that each was called.
type Cuts struct {
	Bins         []Bin
	Brier, Plain float64 // mean; plain is 1 in 200 for each
}

// Bin are cuts that were called about as risky.
type Bin struct {
	UpTo     float64 // chance
	Cuts     int
	Bled     int
	Said     float64           // the mean of what was said
	Expected estimate.Estimate // how many were to bleed
	Sum      sum
}

// Numbers are those that were measured, against the range that was told.
type Numbers struct {
	Seen        int
	In90        int               // within the range that holds nine times in ten
	Share       estimate.Estimate // of that, of 100
	CRPS, Plain float64           // mean, in their unit; plain is what a plain rule comes to
	Off, Off2   float64           // how much more it was than was said, added up, and the squares of that
}

// Chances are things that happen or do not.
type Chances struct {
	Seen, Was    int
	Expected     estimate.Estimate // how many were to
	Brier, Plain float64           // mean; plain is what a plain rule comes to
	Sum          sum
}

// Dates are those of trims before which somebody looked whether nails touched, against the date that was said.
type Dates struct{ Before, About, NotYet, Later, Untried int }

// Growth is how much nails grew between two measured lengths, against what was said. The nails of one trim count as
// one: what they are off by they are off by together.
type Growth struct {
	Trims           int
	Said, Was, Was2 float64 // mm, added up; of what a trim's were beyond what was said also the squares
	on              date.Date
	open            float64 // what the nails of the trim on that day are beyond what was said so far
}

func (g Growth) closed() Growth {
	g.Was2, g.open, g.on = g.Was2+g.open*g.open, 0, date.Date{}
	return g
}

// LeftOut is what could not be held against anything, since nobody told it.
type LeftOut struct {
	Assumed  int // nails whose amounts nobody counted
	Unlooked int // trims before which nobody looked at the floor
	Sittings int // of so many
}

// Better tells whether the cuts' chances say more than the plain rule's.
func (c Cuts) Better() bool { return c.Brier <= c.Plain }

// Better tells whether what was said says more than the plain rule.
func (n Numbers) Better() bool { return n.CRPS <= n.Plain }
func (c Chances) Better() bool { return c.Brier <= c.Plain }

// Beyond tells whether more bled than a reliable forecast leaves room for.
func (b Bin) Beyond() bool { return float64(b.Bled) > b.Expected.High }

// Few tells whether so many are too few to say anything of.
func Few(n int) bool { return n < enough }

// All is how many cuts were held against what they were called.
func (c Cuts) All() (n int) {
	for _, b := range c.Bins {
		n += b.Cuts
	}
	return n
}

// All is how many trims' dates were held against what was seen.
func (d Dates) All() int { return d.Before + d.About + d.NotYet + d.Later }

// Of runs through what was told of a dog and says all of it anew by today's rules; tell is told each thing, nil
// nothing.
func Of(
	d dog.Dog,
	sittings []record.Sitting,
	checks []record.WalkRound,
	rules Rules,
	tell func(Foretold),
) (Report, []Quarter) {
	r, q := blank(), quarters{}
	t := teller{Rules: rules, sat: map[nail.Code]date.Date{}, tell: func(f Foretold) {
		r.take(f)
		q.take(f)
		if tell != nil {
			tell(f)
		}
	}}
	feet.Replay(d, sittings, checks, func(f feet.Feet, s *record.Sitting, c *record.WalkRound) {
		if c != nil {
			for _, l := range c.Looks {
				t.length(f, l.Code, l.Length)
				t.floor(f, l)
			}
			return
		}
		t.left.Sittings++
		q.begin(*s)
		t.arrival(s)
		t.minutes(s)
		t.before = append(t.before, *s)
	}, func(f feet.Feet, i int, one record.NailRecord) {
		t.length(f, one.Code, one.LengthBefore)
		t.cuts(f, i, one)
	}, func(f feet.Feet) {
		if f.Sat() == f.Day() {
			t.next, _ = rules.Due(f)
			q.end(f)
		}
	})
	r.LeftOut = t.left
	r.finish()
	return r, q.all
}

func blank() Report {
	r := Report{Growth: map[nail.Group]Growth{}}
	for _, b := range bounds {
		r.Cuts.Bins = append(r.Cuts.Bins, Bin{UpTo: b})
	}
	return r
}

// take adds one thing up.
func (r *Report) take(f Foretold) {
	switch f.What {
	case Cut:
		r.cut(f)
	case Press:
		r.Presses.take(f)
	case Touches:
		r.Floors.take(f)
	case Length:
		r.Lengths.take(f)
		r.grew(f)
	case Spare:
		r.Spares.take(f)
	case Gap:
		r.Gaps.take(f)
	case Minutes:
		log := f
		log.Said, log.Was, log.plain = math.Log(f.Said), math.Log(f.Was), math.Log(f.plain)
		r.Minutes.take(log)
	case Due:
		r.Dates.take(f.Came)
	}
}

func (d *Dates) take(c Came) {
	switch c {
	case Before:
		d.Before++
	case About:
		d.About++
	case NotYet:
		d.NotYet++
	case Later:
		d.Later++
	case Untried:
		d.Untried++
	case Unseen:
	}
}

func (n *Numbers) take(f Foretold) {
	off := f.Was - f.Said
	n.Seen++
	if math.Abs(off) <= estimate.Z90*f.SD {
		n.In90++
	}
	n.Off, n.Off2 = n.Off+off, n.Off2+off*off
	n.CRPS += CRPS(f.Said, f.SD, f.Was)
	n.Plain += CRPS(f.plain, f.plainSD, f.Was)
}

func (c *Chances) take(f Foretold) {
	c.Seen, c.Was = c.Seen+1, c.Was+int(f.Was)
	c.Brier += Brier(f.Said, f.Was)
	c.Plain += Brier(f.plain, f.Was)
	c.Sum.take(f.Said)
}

func (r *Report) grew(f Foretold) {
	if f.grown <= 0 {
		return
	}
	g := r.Growth[f.Code.Group()]
	if f.On != g.on {
		g = g.closed()
		g.Trims, g.on = g.Trims+1, f.On
	}
	off := f.Was - f.Said
	g.Said, g.Was, g.open = g.Said+f.grown, g.Was+f.grown+off, g.open+off
	r.Growth[f.Code.Group()] = g
}

func (r *Report) cut(f Foretold) {
	for i := range r.Cuts.Bins {
		if b := &r.Cuts.Bins[i]; f.Said <= b.UpTo {
			b.Cuts, b.Bled, b.Said = b.Cuts+1, b.Bled+int(f.Was), b.Said+f.Said
			b.Sum.take(f.Said)
			break
		}
	}
	r.Cuts.Brier += Brier(f.Said, f.Was)
	r.Cuts.Plain += Brier(f.plain, f.Was)
}

// finish makes means of sums.
func (r *Report) finish() {
	for group, g := range r.Growth {
		r.Growth[group] = g.closed()
	}
	mean := func(n int, sums ...*float64) {
		for _, sum := range sums {
			if n > 0 {
				*sum /= float64(n)
			}
		}
	}
	for i := range r.Cuts.Bins {
		b := &r.Cuts.Bins[i]
		mean(b.Cuts, &b.Said)
		b.Expected = b.Sum.expected()
	}
	mean(r.Cuts.All(), &r.Cuts.Brier, &r.Cuts.Plain)
	for _, n := range []*Numbers{&r.Lengths, &r.Spares, &r.Gaps, &r.Minutes} {
		mean(n.Seen, &n.CRPS, &n.Plain)
		n.Share = estimate.Share(n.In90, n.Seen, estimate.Z90).Times(100)
	}
	for _, c := range []*Chances{&r.Presses, &r.Floors} {
		mean(c.Seen, &c.Brier, &c.Plain)
		c.Expected = c.Sum.expected()
	}
}

// Together is what was said of some dogs.
func Together(all []Report) Report {
	r := blank()
	for _, one := range all {
		for i, from := range one.Cuts.Bins {
			b, n := &r.Cuts.Bins[i], float64(from.Cuts)
			b.Cuts, b.Bled, b.Said = b.Cuts+from.Cuts, b.Bled+from.Bled, b.Said+from.Said*n
			b.Sum.add(from.Sum)
		}
		cuts := float64(one.Cuts.All())
		r.Cuts.Brier, r.Cuts.Plain = r.Cuts.Brier+cuts*one.Cuts.Brier, r.Cuts.Plain+cuts*one.Cuts.Plain
		r.Lengths.add(one.Lengths)
		r.Spares.add(one.Spares)
		r.Gaps.add(one.Gaps)
		r.Minutes.add(one.Minutes)
		r.Presses.add(one.Presses)
		r.Floors.add(one.Floors)
		for group, g := range one.Growth {
			sum := r.Growth[group]
			r.Growth[group] = Growth{
				Trims: sum.Trims + g.Trims,
				Said:  sum.Said + g.Said,
				Was:   sum.Was + g.Was,
				Was2:  sum.Was2 + g.Was2,
			}
		}
		d, o := &r.Dates, one.Dates
		d.Before, d.About, d.NotYet = d.Before+o.Before, d.About+o.About, d.NotYet+o.NotYet
		d.Later, d.Untried = d.Later+o.Later, d.Untried+o.Untried
		l, left := &r.LeftOut, one.LeftOut
		l.Assumed, l.Unlooked, l.Sittings = l.Assumed+left.Assumed, l.Unlooked+left.Unlooked, l.Sittings+left.Sittings
	}
	r.finish()
	return r
}

// add adds means to sums.
func (n *Numbers) add(o Numbers) {
	seen := float64(o.Seen)
	n.Seen, n.In90, n.Off, n.Off2 = n.Seen+o.Seen, n.In90+o.In90, n.Off+o.Off, n.Off2+o.Off2
	n.CRPS, n.Plain = n.CRPS+seen*o.CRPS, n.Plain+seen*o.Plain
}

func (c *Chances) add(o Chances) {
	seen := float64(o.Seen)
	c.Seen, c.Was = c.Seen+o.Seen, c.Was+o.Was
	c.Brier, c.Plain = c.Brier+seen*o.Brier, c.Plain+seen*o.Plain
	c.Sum.add(o.Sum)
}
