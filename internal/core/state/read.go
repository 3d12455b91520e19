package state

import (
	"math"

	"fribbet/internal/core/growth"
)

func (s *State) marginal(i int, of scalar) Normal {
	mean, variance := s.moments(&s.Leaves[i], of)
	return Normal{mean, math.Sqrt(variance)}
}

// Length of a nail, mm.
func (s *State) Length(i int) Normal { return s.marginal(i, lengthOf) }

// Spare of a nail, mm.
func (s *State) Spare(i int) Normal { return s.marginal(i, spareOf) }

// Worked tells whether something was ever told of the nail's quick, or came off.
func (s *State) Worked(i int) bool { return s.WorkedOn[i] }

// ToFloor is the growth left until a nail meets the floor, mm; below 0 it presses on it. It means
// nothing of a dewclaw.
func (s *State) ToFloor(i int) Normal { return s.marginal(i, toFloorOf) }

// Rate is a nail's net growth, mm a week, for the dog where it is.
func (s *State) Rate(i int, where growth.Where) Normal {
	rate, usual := s.rate(i, where)
	r := s.marginal(i, rate)
	r.Mean += usual
	return r
}

// Gross is the growth of a nail that nothing wears, mm a week.
func (s *State) Gross(where growth.Where) Normal {
	return Normal{growth.Usual(where) + s.Mean[Growth], math.Sqrt(s.Cov[Growth][Growth])}
}

// Rest is the spare at which this dog's quick rests, mm.
func (s *State) Rest() Normal { return Normal{s.Mean[Rest], math.Sqrt(s.Cov[Rest][Rest])} }
