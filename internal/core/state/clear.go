package state

import (
	"math"

	"fribbet/internal/core/growth"
)

// Touching is the chance that any of some nails has met the floor after so many weeks: given the
// shared numbers the nails are independent, so it is worked out at a fixed set of points of these
// (the spherical cubature of degree three: Arasaratnam & Haykin 2009, IEEE Trans. Automat. Control 54)
// and averaged.
func (s *State) Touching(nails []int, where growth.Where, weeks float64) float64 {
	later := s.Clone()
	later.Grow(where, weeks)
	root := cholesky(later.Cov)
	clear := 0.0
	for axis := range shared {
		for _, side := range []float64{-1, 1} {
			var z [shared]float64
			for k := range shared {
				z[k] = later.Mean[k] + side*math.Sqrt(shared)*root[k][axis]
			}
			clear += later.allClear(nails, z) / (2 * shared)
		}
	}
	return 1 - clear
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
