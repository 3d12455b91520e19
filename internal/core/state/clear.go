package state

import (
	"math"

	"fribbet/internal/core/growth"
)

// points stand for the shared numbers, each as likely as another, in standard deviations: a Halton
// sequence (Halton 1960, Numer. Math. 2) taken through the normal's quantiles, and its mirror image.
// It is fixed, so that the same state says the same.
var points = func() (all [2 * halfPoints][shared]float64) {
	for k := range halfPoints {
		for axis, base := range []int{2, 3, 5, 7, 11} {
			share, place := 0.0, 1.0
			for n := k + 1; n > 0; n /= base {
				place /= float64(base)
				share += place * float64(n%base)
			}
			all[2*k][axis] = math.Sqrt2 * math.Erfinv(2*share-1)
			all[2*k+1][axis] = -all[2*k][axis]
		}
	}
	return all
}()

// Touching is the chance that any of some nails has met the floor after so many weeks: given the
// shared numbers the nails are independent, so it is worked out at a fixed set of points of these and
// averaged.
func (s *State) Touching(nails []int, where growth.Where, weeks float64) float64 {
	later := s.Clone()
	later.Grow(where, weeks)
	root := cholesky(later.Cov)
	clear := 0.0
	for _, point := range points {
		z := later.Mean
		for k := range shared {
			for axis := range k + 1 {
				z[k] += root[k][axis] * point[axis]
			}
		}
		clear += later.allClear(nails, z) / float64(len(points))
	}
	return 1 - clear
}

// SurelyClear are those of some nails that each stand clear of the floor now with a chance of at least 98 in 100.
func (s *State) SurelyClear(nails []int) []int {
	var clear []int
	for _, i := range nails {
		if left := s.ToFloor(i); left.Mean >= surely*left.SD {
			clear = append(clear, i)
		}
	}
	return clear
}

// TouchingOnce is the chance that any of some nails has met the floor after so many weeks, given that all of them
// stand clear of it now.
func (s *State) TouchingOnce(nails []int, where growth.Where, weeks float64) float64 {
	return 1 - (1-s.Touching(nails, where, weeks))/(1-s.Touching(nails, where, 0))
}

// MayTouch is the chance that a nail that is believed to stand clear of the floor touches it now.
func (s *State) MayTouch(i int) float64 {
	left := s.ToFloor(i)
	return math.Erfc(left.Mean/(left.SD*math.Sqrt2)) / 2
}

// allClear is the chance that none of the nails touches, given the shared numbers.
func (s *State) allClear(nails []int, z [shared]float64) float64 {
	all := 1.0
	for _, i := range nails {
		l := &s.Leaves[i]
		left := l.B[Floor] - l.B[Length]
		for k := range shared {
			left += (l.A[Floor][k] - l.A[Length][k]) * z[k]
		}
		sd := math.Sqrt(math.Max(leastVariance, l.C[Floor][Floor]+l.C[Length][Length]-2*l.C[Floor][Length]))
		all *= math.Erfc(-left/(sd*math.Sqrt2)) / 2
	}
	return all
}

// Leave makes a nail as a trim would leave it: what its mean spare has beyond so many mm is off, and off its length.
func (s *State) Leave(i int, mm float64) {
	if off := s.Spare(i).Mean - mm; off > 0 {
		s.Leaves[i].B[Spare] -= off
		s.Leaves[i].B[Length] -= off
	}
}
