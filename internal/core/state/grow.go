package state

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/quick"
)

// Grow lets weeks pass; where is the dog at their start, with the pavement it walks in them.
func (s *State) Grow(where growth.Where, weeks float64) {
	if weeks <= 0 {
		return
	}
	for i := range s.Nails {
		s.growNail(i, where, weeks)
	}
}

// rate is a nail's net growth, mm a week, as a sum over the shared numbers and its own, and what
// is usual at the dog's age.
func (s *State) rate(i int, where growth.Where) (scalar, float64) {
	var r scalar
	r[Growth], r[shared+Own] = 1, 1
	if column, worn := wearOf[s.Nails[i].Code.Group()]; worn {
		r[column] = -where.Pavement * claw.SizeFactor(where.Weight)
	}
	return r, growth.Usual(where)
}

// growNail: the length grows by the rate, and the spare settles towards where it rests and what
// the rate adds (d(spare)/dt = rate − pull·(spare − rest)).
func (s *State) growNail(i int, where growth.Where, weeks float64) {
	rate, usual := s.rate(i, where)
	pull := quick.UsualFollow(1).Pull
	fade := math.Exp(-pull * weeks)
	gone := 1 - fade

	before := s.Leaves[i]
	l := &s.Leaves[i]
	toSpare := gone / pull
	for k := range shared {
		l.A[Length][k] += weeks * (before.A[Own][k] + rate[k])
		l.A[Spare][k] = fade*before.A[Spare][k] + toSpare*(before.A[Own][k]+rate[k])
	}
	l.A[Spare][Rest] += gone
	l.B[Length] += weeks * (before.B[Own] + usual)
	l.B[Spare] = fade*before.B[Spare] + toSpare*(before.B[Own]+usual)

	m := [own][own]float64{
		Own:    {Own: 1},
		Length: {Own: weeks, Length: 1},
		Spare:  {Own: toSpare, Spare: fade},
		Floor:  {Floor: 1},
	}
	l.C = sandwich(m, before.C)
	l.C[Own][Own] += OwnDrift * OwnDrift * weeks
	l.C[Length][Length] += LengthDrift * LengthDrift * weeks
	l.C[Spare][Spare] += SpareDrift * SpareDrift * weeks
}

// sandwich is m·c·mᵀ.
func sandwich(m, c [own][own]float64) (out [own][own]float64) {
	var half [own][own]float64
	for i := range own {
		for j := range own {
			for k := range own {
				half[i][j] += m[i][k] * c[k][j]
			}
		}
	}
	for i := range own {
		for j := range own {
			for k := range own {
				out[i][j] += half[i][k] * m[j][k]
			}
		}
	}
	return out
}
