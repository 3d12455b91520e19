package hindsight

import (
	"math"

	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
	"fribbet/internal/core/verdict"
)

// Report is what was said of a dog beforehand, beside what then was.
type Report struct {
	Cuts    Cuts
	Lengths Lengths
	Floors  Floors
	Dates   Dates
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
	chances  []float64
}

// Lengths are those that were measured.
type Lengths struct {
	Seen        int
	In90        int               // within the range that holds nine times in ten
	Share       estimate.Estimate // of that, of 100
	CRPS, Plain float64           // mean, mm; plain is the usual length of such a nail, a sixth off
}

// Floors are nails of which somebody felt whether they touch.
type Floors struct {
	Seen, Touched int
	Expected      estimate.Estimate // how many were to touch
	Brier, Plain  float64           // mean; plain is an even chance
	chances       []float64
}

// Dates are those of trims before which somebody looked whether nails touched, against the date that was said.
type Dates struct {
	Before  int // a nail touched before its date
	About   int // one touched within a few days of it
	NotYet  int // none touched, before it: as was said
	Later   int // none touched yet, on it or after
	Untried int // one touched long after it: nobody knows since when
}

// LeftOut is what could not be held against anything, since nobody told it.
type LeftOut struct {
	Assumed  int // nails whose amounts nobody counted
	Unlooked int // trims before which nobody looked at the floor
	Sittings int // of so many
}

// bounds are the chances up to which cuts are put together.
var bounds = []float64{1.0 / 600, 1.0 / 300, 1.0 / 100, 1.0 / 30, 1}

// Judgement (ours).
const (
	plainRisk   = 1.0 / 200
	plainSpread = 1.0 / 6 // of the usual length, as a standard deviation
	aboutDays   = 3       // to either side of a date
	enough      = 10      // of a kind, before anything is said of it
)

// Better tells whether the cuts' chances say more than the plain rule's.
func (c Cuts) Better() bool { return c.Brier <= c.Plain }

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

// Of runs through what was told of a dog; due is what would have been said of the next date after each trim.
func Of(d dog.Dog, sittings []record.Sitting, checks []record.Check, due func(feet.Feet) (date.Date, bool)) Report {
	r := Report{}
	for _, b := range bounds {
		r.Cuts.Bins = append(r.Cuts.Bins, Bin{UpTo: b})
	}
	var touching []float64
	var next date.Date
	feet.Replay(d, sittings, checks, func(f feet.Feet, s *record.Sitting, c *record.Check) {
		if c != nil {
			for _, l := range c.Looks {
				r.length(f, l.Code, l.Length)
				touching = r.floor(f, l, touching)
			}
			return
		}
		r.LeftOut.Sittings++
		r.date(s, next)
	}, func(f feet.Feet, i int, one record.Nail) {
		r.length(f, one.Code, one.LengthBefore)
		r.cuts(f, i, one)
	}, func(f feet.Feet) {
		if f.Sat() == f.Day() {
			next, _ = due(f)
		}
	})
	r.finish(touching)
	return r
}

// length holds a measured length against what was believed.
func (r *Report) length(f feet.Feet, code nail.Code, seen *measure.Number) {
	i := f.Index(code)
	if seen == nil || i < 0 {
		return
	}
	believed := f.Read(i).Length
	sd := math.Hypot((believed.High-believed.Value)/estimate.Z90, seen.SD)
	l := &r.Lengths
	l.Seen++
	if math.Abs(seen.MM-believed.Value) <= estimate.Z90*sd {
		l.In90++
	}
	l.CRPS += CRPS(believed.Value, sd, seen.MM)
	usual := claw.Assumed(code, f.Nails[i].Shape, f.Where(f.Day()).Weight).Length
	l.Plain += CRPS(usual, math.Hypot(plainSpread*usual, seen.SD), seen.MM)
}

// floor holds a felt nail against how likely it was to touch.
func (r *Report) floor(f feet.Feet, l record.Look, chances []float64) []float64 {
	i := f.Index(l.Code)
	if l.Gap == nil || i < 0 || l.Code.Dewclaw() {
		return chances
	}
	left := f.Read(i).Floor
	said, was := distuv.UnitNormal.CDF(-left.Mean/left.SD), 0.0
	if l.Gap.MM <= claw.TouchGap {
		was = 1
		r.Floors.Touched++
	}
	r.Floors.Seen++
	r.Floors.Brier += Brier(said, was)
	r.Floors.Plain += Brier(0.5, was)
	return append(chances, said)
}

// date holds the date that was said against what was seen at arrival.
func (r *Report) date(s *record.Sitting, said date.Date) {
	told := s.Arrival != nil && s.Arrival.Touching != record.Unlooked
	switch {
	case !told:
		r.LeftOut.Unlooked++
	case said.IsZero():
	case s.Arrival.Touching == record.None && s.On.Before(said):
		r.Dates.NotYet++
	case s.Arrival.Touching == record.None:
		r.Dates.Later++
	case s.On.Before(said.AddDays(-aboutDays)):
		r.Dates.Before++
	case !s.On.After(said.AddDays(aboutDays)):
		r.Dates.About++
	default:
		r.Dates.Untried++
	}
}

// cuts holds each counted cut of a nail against the chance that it was called, as the bench would have called it: by the
// nails before it and by its own cuts and ends so far.
func (r *Report) cuts(f feet.Feet, i int, one record.Nail) {
	e := one.Event(f.Day())
	switch {
	case len(e.Cuts) == 0:
		return
	case one.Assumed:
		r.LeftOut.Assumed++
		return
	}
	believed, _ := f.Belief(i, f.Read(i))
	for _, l := range e.Landmarks {
		believed.See(l)
	}
	for k, c := range e.Cuts {
		r.cut(verdict.Risk(believed, c.MM), e.Blood && k == len(e.Cuts)-1)
		if c.Face != "" {
			believed.Cut(c.MM, c.Face)
		} else {
			believed.CutMilder(c.MM, e.Stop) // a hand that went on had seen no sign at which it stops
		}
	}
}

func (r *Report) cut(risk float64, bled bool) {
	was := 0.0
	for i := range r.Cuts.Bins {
		b := &r.Cuts.Bins[i]
		if risk > b.UpTo {
			continue
		}
		b.Cuts++
		b.Said += risk
		b.chances = append(b.chances, risk)
		if bled {
			b.Bled++
			was = 1
		}
		break
	}
	r.Cuts.Brier += Brier(risk, was)
	r.Cuts.Plain += Brier(plainRisk, was)
}

// finish makes means of sums.
func (r *Report) finish(touching []float64) {
	mean := func(n int, sums ...*float64) {
		for _, sum := range sums {
			if n > 0 {
				*sum /= float64(n)
			}
		}
	}
	all := 0
	for i := range r.Cuts.Bins {
		b := &r.Cuts.Bins[i]
		all += b.Cuts
		mean(b.Cuts, &b.Said)
		b.Expected = Expected(b.chances)
	}
	mean(all, &r.Cuts.Brier, &r.Cuts.Plain)
	mean(r.Lengths.Seen, &r.Lengths.CRPS, &r.Lengths.Plain)
	r.Lengths.Share = estimate.Share(r.Lengths.In90, r.Lengths.Seen, estimate.Z90).Times(100)
	mean(r.Floors.Seen, &r.Floors.Brier, &r.Floors.Plain)
	r.Floors.chances = touching
	r.Floors.Expected = Expected(touching)
}

// Together is what was said of some dogs.
func Together(all []Report) (r Report) {
	for i, b := range bounds {
		bin := Bin{UpTo: b}
		for _, one := range all {
			if from := one.Cuts.Bins; len(from) > i {
				bin.Cuts, bin.Bled, bin.Said = bin.Cuts+from[i].Cuts, bin.Bled+from[i].Bled, bin.Said+from[i].Said*float64(from[i].Cuts)
				bin.chances = append(bin.chances, from[i].chances...)
			}
		}
		r.Cuts.Bins = append(r.Cuts.Bins, bin)
	}
	var touching []float64
	for _, one := range all {
		cuts, seen, felt := float64(one.Cuts.All()), float64(one.Lengths.Seen), float64(one.Floors.Seen)
		r.Cuts.Brier, r.Cuts.Plain = r.Cuts.Brier+cuts*one.Cuts.Brier, r.Cuts.Plain+cuts*one.Cuts.Plain
		r.Lengths.Seen, r.Lengths.In90 = r.Lengths.Seen+one.Lengths.Seen, r.Lengths.In90+one.Lengths.In90
		r.Lengths.CRPS, r.Lengths.Plain = r.Lengths.CRPS+seen*one.Lengths.CRPS, r.Lengths.Plain+seen*one.Lengths.Plain
		r.Floors.Seen, r.Floors.Touched = r.Floors.Seen+one.Floors.Seen, r.Floors.Touched+one.Floors.Touched
		r.Floors.Brier, r.Floors.Plain = r.Floors.Brier+felt*one.Floors.Brier, r.Floors.Plain+felt*one.Floors.Plain
		touching = append(touching, one.Floors.chances...)
		d, o := &r.Dates, one.Dates
		d.Before, d.About, d.NotYet, d.Later, d.Untried = d.Before+o.Before, d.About+o.About, d.NotYet+o.NotYet, d.Later+o.Later, d.Untried+o.Untried
		l, left := &r.LeftOut, one.LeftOut
		l.Assumed, l.Unlooked, l.Sittings = l.Assumed+left.Assumed, l.Unlooked+left.Unlooked, l.Sittings+left.Sittings
	}
	r.finish(touching)
	return r
}
