// Package quick is where the living core of a nail ends: a belief with its range, how a trim
// changes it, and how the quick follows the nail between sittings.
//
// Spare is the dead horn in front of the quick: nail length less the quick's own.
//
// In its words:
//
//   - spare: horn in front of the quick at the tip, mm: on screens "safe to trim"
//   - face: what a freshly cut end shows
//   - sign: a face from which on the quick is near; the first of them, or the dot, ends a nail
//   - scale: how early or late one dog's ends show
//   - landmark: a way to see where the quick ends before anything is cut
//   - drift: what spare and quick do between trims
package quick

import (
	"fribbet/internal/core/estimate"
	"math"
)

// Spare is a belief about a nail's spare: a normal with mean and standard deviation in mm.
type Spare struct{ Mean, SD float64 }

// Assumed is the belief for a nail of this length in mm with no history.
func Assumed(length float64) Spare {
	return Spare{priorMeanShare * length, priorSDShare * length}
}

// Range is the middle 90 % of the belief, mm, never below 0.
func (s Spare) Range() (low, high float64) {
	return math.Max(0, s.Mean-estimate.Z90*s.SD), math.Max(0, s.Mean+estimate.Z90*s.SD)
}

// Risk is the chance that a cut of mm reaches the quick, 0 to 1.
func (s Spare) Risk(mm float64) float64 {
	return math.Erfc((s.Mean-mm)/(s.SD*math.Sqrt2)) / 2
}
