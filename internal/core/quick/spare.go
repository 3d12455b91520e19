// Package quick is where the living core of a nail ends: a belief with its range, how a trim
// changes it, and how the quick follows the nail between sittings.
//
// Spare is the dead horn in front of the quick: nail length less the quick's own.
package quick

import "math"

// Spare is a belief about a nail's spare: a normal with mean and standard deviation in mm.
type Spare struct{ Mean, SD float64 }

// Assumed is the belief for a nail of this length in mm with no history.
func Assumed(length float64) Spare {
	return Spare{priorMeanShare * length, priorSDShare * length}
}

// Range is the middle 90 % of the belief, mm, never below 0.
func (s Spare) Range() (low, high float64) {
	const z = 1.6448536269514722 // 95th percentile of the standard normal
	return math.Max(0, s.Mean-z*s.SD), math.Max(0, s.Mean+z*s.SD)
}

// Risk is the chance that a cut of mm reaches the quick, 0 to 1.
func (s Spare) Risk(mm float64) float64 {
	return math.Erfc((s.Mean-mm)/(s.SD*math.Sqrt2)) / 2
}
