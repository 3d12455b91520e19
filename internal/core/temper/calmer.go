package temper

import (
	"cmp"
	"maps"
	"math"
	"slices"

	"gonum.org/v1/gonum/stat/distuv"
)

// Circumstance is something that was so at some sittings and not at others.
type Circumstance string

const (
	WithHelper Circumstance = "helper"  // somebody fed and steadied
	AfterWalk  Circumstance = "walk"    // a walk came before
	WithTreats Circumstance = "treats"  // treats were laid out
	ByGrinder  Circumstance = "grinder" // nails were ground, not clipped alone
	BeforeNoon Circumstance = "morning" // it began before noon
)

// HeldSo is that the dog was held in a way, by the way's name.
func HeldSo(position string) Circumstance { return Circumstance("held_" + position) }

// Day is one sitting: whether the dog was calm throughout, as somebody told, and what was so and what was not; what
// nobody knows is absent.
type Day struct {
	Calm bool
	Was  map[Circumstance]bool
}

// Share is in how many of so many sittings the dog was calm.
type Share struct{ Calm, Of int }

// Range is the middle 95 % of the chance of calm: Jeffreys' interval, with its ends at 0 and 1 where none or all were
// calm (Brown, Cai, DasGupta 2001, Statist. Sci. 16, section 4.1.2).
func (s Share) Range() (low, high float64) {
	const tail = 0.025
	b, low, high := s.beta(), 0.0, 1.0
	if s.Calm > 0 {
		low = b.Quantile(tail)
	}
	if s.Calm < s.Of {
		high = b.Quantile(1 - tail)
	}
	return low, high
}

// beta is what is believed of the chance: Jeffreys' prior and the counts.
func (s Share) beta() distuv.Beta {
	return distuv.Beta{Alpha: float64(s.Calm) + 0.5, Beta: float64(s.Of-s.Calm) + 0.5}
}

// Calmer is a circumstance that goes with calm, or against it, more than chance would have it. No cause is claimed.
type Calmer struct {
	What          Circumstance
	With, Without Share
	More          bool // calm goes with it; false: without it
}

// WhatMadeItCalm tells which circumstances go with calm: nothing before leastDays sittings of which the mood was told,
// and nothing that one dog in twenty without any difference would show, all circumstances together.
func WhatMadeItCalm(days []Day) []Calmer {
	if len(days) < leastDays {
		return nil
	}
	var all []Calmer
	for _, what := range circumstances(days) {
		one := counted(what, days)
		if one.With.Of >= leastEach && one.Without.Of >= leastEach {
			all = append(all, one)
		}
	}
	bound := chanceFinds / 2 / float64(len(all))
	return strongest(slices.DeleteFunc(all, func(c Calmer) bool {
		more := moreOften(c.With, c.Without)
		return math.Min(more, 1-more) >= bound
	}))
}

// WhatMadeThemCalm tells the same over many dogs, each compared with itself alone, since it is the difficult dogs that
// get a helper: the counts are those of dogs that had it both ways, and what is said would be said by chance of one
// book in twenty, all circumstances together (Mantel and Haenszel 1959, J. Natl. Cancer Inst. 22, with the correction
// for continuity; from memory).
func WhatMadeThemCalm(dogs [][]Day) []Calmer {
	tested := map[Circumstance]*mantelHaenszel{}
	for _, days := range dogs {
		for _, what := range circumstances(days) {
			one := counted(what, days)
			if one.With.Of == 0 || one.Without.Of == 0 {
				continue
			}
			if tested[what] == nil {
				tested[what] = &mantelHaenszel{}
			}
			tested[what].add(one)
		}
	}
	var all []Calmer
	enough := 0
	for _, m := range tested {
		if m.sum.With.Of+m.sum.Without.Of >= leastOfBook {
			enough++
		}
	}
	for what, m := range tested {
		if m.sum.With.Of+m.sum.Without.Of < leastOfBook || m.chance() >= chanceOfBook/float64(enough) {
			continue
		}
		m.sum.What, m.sum.More = what, m.over > 0
		all = append(all, m.sum)
	}
	slices.SortFunc(all, func(a, b Calmer) int { return cmp.Compare(a.What, b.What) })
	return strongest(all)
}

// mantelHaenszel compares two shares in several strata at once.
type mantelHaenszel struct {
	sum            Calmer
	over, variance float64 // how many more were calm with it than chance would have, and that number's variance
}

func (m *mantelHaenszel) add(c Calmer) {
	for _, s := range []struct{ sum, one *Share }{{&m.sum.With, &c.With}, {&m.sum.Without, &c.Without}} {
		s.sum.Calm, s.sum.Of = s.sum.Calm+s.one.Calm, s.sum.Of+s.one.Of
	}
	with, without := float64(c.With.Of), float64(c.Without.Of)
	n, calm := with+without, float64(c.With.Calm+c.Without.Calm)
	m.over += float64(c.With.Calm) - with*calm/n
	m.variance += with * without * calm * (n - calm) / (n * n * (n - 1))
}

// chance is how likely a difference so large is where there is none, to either side.
func (m *mantelHaenszel) chance() float64 {
	if m.variance == 0 {
		return 1
	}
	z := math.Max(0, math.Abs(m.over)-0.5) / math.Sqrt(m.variance)
	return 2 * distuv.UnitNormal.Survival(z)
}

// circumstances are those of which anything is known, by name.
func circumstances(days []Day) []Circumstance {
	known := map[Circumstance]bool{}
	for _, d := range days {
		for what := range d.Was {
			known[what] = true
		}
	}
	return slices.Sorted(maps.Keys(known))
}

// counted counts the sittings with and without, of those of which it is known.
func counted(what Circumstance, days []Day) Calmer {
	one := Calmer{What: what}
	for _, d := range days {
		was, known := d.Was[what]
		if !known {
			continue
		}
		share := &one.Without
		if was {
			share = &one.With
		}
		share.Of++
		if d.Calm {
			share.Calm++
		}
	}
	one.More = one.With.Calm*one.Without.Of > one.Without.Calm*one.With.Of
	return one
}

func strongest(all []Calmer) []Calmer {
	slices.SortStableFunc(all, func(a, b Calmer) int { return cmp.Compare(b.gap(), a.gap()) })
	return all
}

// gap is how far apart the two shares are.
func (c Calmer) gap() float64 {
	return math.Abs(float64(c.With.Calm)/float64(c.With.Of) - float64(c.Without.Calm)/float64(c.Without.Of))
}

// moreOften is the chance that calm is likelier with than without, by the trapezoid rule over the first's belief.
func moreOften(with, without Share) float64 {
	const steps = 120
	a, b := with.beta(), without.beta()
	sum := 0.0
	for k := range steps { // at the middles of its quantiles, each as likely as another
		sum += b.CDF(a.Quantile((float64(k) + 0.5) / steps))
	}
	return sum / steps
}
