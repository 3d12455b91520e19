package temper

import (
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
)

// Circumstances lists them.
func Circumstances() []Circumstance {
	return []Circumstance{WithHelper, AfterWalk, WithTreats, ByGrinder}
}

// Day is one sitting: whether the dog was calm throughout, as somebody told, and what was so.
type Day struct {
	Calm bool
	Had  []Circumstance
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
	for _, what := range Circumstances() {
		var one Calmer
		one.What = what
		for _, d := range days {
			share := &one.Without
			if slices.Contains(d.Had, what) {
				share = &one.With
			}
			share.Of++
			if d.Calm {
				share.Calm++
			}
		}
		if one.With.Of < leastEach || one.Without.Of < leastEach {
			continue
		}
		more := moreOften(one.With, one.Without)
		if bound := chanceFinds / 2 / float64(len(Circumstances())); math.Min(more, 1-more) >= bound {
			continue
		}
		one.More = more > 0.5
		all = append(all, one)
	}
	slices.SortStableFunc(all, func(a, b Calmer) int { return int(math.Copysign(1, b.gap()-a.gap())) })
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
