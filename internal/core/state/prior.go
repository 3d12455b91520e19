package state

import (
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

// Traits is what a nail is, as far as its growth and its faces depend on it.
type Traits struct {
	Code   nail.Code
	Colour nail.Colour
	Shape  nail.Shape
}

// State is a dog's nails at one moment.
type State struct {
	Hub
	Faces    quick.Scales // how this dog's faces show
	Nails    []Traits
	Leaves   []Leaf
	Measured []bool  // nails of which a length was ever told
	WorkedOn []bool  // and those that were ever worked
	Wears    []bool  // those that the floor may be wearing
	Alone    []Alone // and of those that nobody has worked or looked at yet, since when
}

// lastDone is a belief about nails that nobody has looked at, by when they were last done: how far
// from the floor they are, and how much spare they have.
type lastDone struct{ toFloor, spare, spareSD, toFloorSD float64 }

// Prior is what is believed of a dog's nails before anything was told of them: where is the dog on
// that day; lastDone is how many weeks ago somebody trimmed them, nil when nobody knows.
func Prior(where growth.Where, nails []Traits, weeks *float64) State {
	f := claw.SizeFactor(where.Weight)
	s := State{
		Faces:    quick.UsualScales(),
		Nails:    nails,
		Leaves:   make([]Leaf, len(nails)),
		Measured: make([]bool, len(nails)),
		WorkedOn: make([]bool, len(nails)),
		Wears:    make([]bool, len(nails)),
		Alone:    make([]Alone, len(nails)),
	}
	s.Mean[Rest], s.Cov[Rest][Rest] = restMean*f, restSD*f*restSD*f
	s.Cov[Growth][Growth] = growthSD * growthSD
	for group, column := range wearOf {
		mean, sd := growth.Wear(group)
		s.Mean[column], s.Cov[column][column] = mean, sd*sd
	}
	for i, n := range nails {
		s.Leaves[i], s.Alone[i] = priorLeaf(where, n, f, weeks), Alone{Is: true, Done: weeks}
	}
	return s
}

var wearOf = map[nail.Group]int{nail.Fore: WearFore, nail.HindMiddle: WearMiddle, nail.HindOuter: WearOuter}

func priorLeaf(where growth.Where, n Traits, f float64, weeks *float64) Leaf {
	usual := claw.Assumed(n.Code, n.Shape, where.Weight).Length
	var p lastDone
	switch {
	case weeks == nil:
		p = lastDone{0.5 * f, 0.22 * usual, 0.10 * usual, 1.5 * f}
	case *weeks < fresh:
		usually := quick.Drift{Rate: growth.Usual(where), Follow: quick.UsualFollow(f)}
		grown := usually.After(quick.Spare{Mean: trimLeft * f}, *weeks).Mean
		spare := math.Min(mostSpare*usual, grown)
		p = lastDone{(clearing - closing**weeks) * f, spare, math.Max(0.6*f, 0.35*spare), 1.2 * f}
	default:
		p = lastDone{-0.5 * f, 0.26 * usual, 0.09 * usual, 1.2 * f}
	}
	slope := p.spare / usual // a longer nail has more spare
	variance := lengthShare * usual * lengthShare * usual
	var l Leaf
	l.B = [own]float64{0, usual, p.spare, usual + p.toFloor}
	l.C[Own][Own] = ownSD * ownSD
	l.C[Length][Length] = variance
	l.C[Length][Spare], l.C[Spare][Length] = slope*variance, slope*variance
	l.C[Spare][Spare] = slope*slope*variance + p.spareSD*p.spareSD
	l.C[Length][Floor], l.C[Floor][Length] = variance, variance
	l.C[Spare][Floor], l.C[Floor][Spare] = slope*variance, slope*variance
	l.C[Floor][Floor] = variance + p.toFloorSD*p.toFloorSD
	return l
}

// Clone is a copy that may be moved on by itself.
func (s *State) Clone() State {
	c := *s
	c.Nails, c.Leaves = slices.Clone(s.Nails), slices.Clone(s.Leaves)
	c.Measured, c.WorkedOn = slices.Clone(s.Measured), slices.Clone(s.WorkedOn)
	c.Wears, c.Alone = slices.Clone(s.Wears), slices.Clone(s.Alone)
	return c
}

// Forget makes nothing known of a nail's length and spare: it was torn or broke. Where its floor is
// stays known.
func (s *State) Forget(i int, where growth.Where) {
	fresh, l := priorLeaf(where, s.Nails[i], claw.SizeFactor(where.Weight), nil), &s.Leaves[i]
	for _, a := range []int{Length, Spare} {
		l.A[a], l.B[a] = fresh.A[a], fresh.B[a]
		for b := range own {
			l.C[a][b], l.C[b][a] = 0, 0
		}
	}
	for _, a := range []int{Length, Spare} {
		for _, b := range []int{Length, Spare} {
			l.C[a][b] = fresh.C[a][b]
		}
	}
	s.Measured[i], s.WorkedOn[i], s.Alone[i] = false, false, Alone{Is: true}
}

// likeLight is what a light nail whose quick was seen says of those without a history that do not
// show theirs: the same share of their length is spare.
func (s *State) likeLight(light int) {
	if s.Nails[light].Colour != nail.Light {
		return
	}
	share := s.Spare(light).Mean / s.Length(light).Mean
	for i, n := range s.Nails {
		if n.Colour == nail.Light || s.WorkedOn[i] {
			continue
		}
		s.Alone[i] = Alone{}
		l := &s.Leaves[i]
		sd := lightSD * s.Length(i).Mean
		l.A[Spare] = l.A[Length]
		for k := range l.A[Spare] {
			l.A[Spare][k] *= share
		}
		l.B[Spare] = share * l.B[Length]
		for b := range own {
			l.C[Spare][b] = share * l.C[Length][b]
			l.C[b][Spare] = l.C[Spare][b]
		}
		l.C[Spare][Spare] = share*share*l.C[Length][Length] + sd*sd
	}
}
