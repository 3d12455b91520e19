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

// CutDry is the belief after mm came off without blood: the spare was more than that, so the
// normal is cut off there and re-described by its own mean and deviation (Johnson, Kotz &
// Balakrishnan 1994, Continuous Univariate Distributions 1, ch. 13; memory).
func (s Spare) CutDry(mm float64) Spare {
	const farTail = 6
	a := (mm - s.Mean) / s.SD
	if a > farTail { // the belief gave this cut no chance; what is left of it falls off like an exponential
		return Spare{s.SD / a, s.SD / a}
	}
	hazard := math.Exp(-a*a/2) / math.Sqrt(2*math.Pi) / (math.Erfc(a/math.Sqrt2) / 2)
	return Spare{s.Mean + s.SD*hazard - mm, s.SD * math.Sqrt(1+a*hazard-hazard*hazard)}
}

// Bled is the belief after blood: the quick's end lay within the last cut, of mm, so no spare is left.
func Bled(lastCut float64) Spare {
	return Spare{0, lastCut / math.Sqrt(12)} // standard deviation of a place evenly likely within the cut
}

// Seen joins the belief with the quick seen through the horn, spare mm from the tip.
func (s Spare) Seen(spare float64) Spare { return s.Joined(SeenAt(spare)) }

// SeenAt is the belief from that alone.
func SeenAt(spare float64) Spare { return Spare{spare, seenSD} }

// Joined is what two independent beliefs about one spare come to together.
func (s Spare) Joined(other Spare) Spare {
	mine, its := 1/(s.SD*s.SD), 1/(other.SD*other.SD)
	return Spare{(mine*s.Mean + its*other.Mean) / (mine + its), math.Sqrt(1 / (mine + its))}
}
