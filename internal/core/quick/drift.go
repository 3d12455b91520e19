package quick

import "math"

// Drift is what the quick does between sittings. The nail's net rate lengthens the spare;
// the quick follows: a long spare lets it grow, a short one draws it back.
//
//	d(spare)/dt = rate − pull·(spare − rest)
type Drift struct {
	Rate   float64 // net growth of the nail, mm a week
	RateSD float64 // its standard deviation, mm a week
	Rest   float64 // spare at which the quick holds still, mm
}

// NewDrift is the drift of a nail on a dog of this size factor.
func NewDrift(rate, rateSD, sizeFactor float64) Drift {
	return Drift{rate, rateSD, restShare * sizeFactor}
}

// settled is the spare that a nail never cut would come to, mm.
func (d Drift) settled() float64 { return d.Rest + d.Rate/pull }

// After is the belief about the spare after weeks without a trim.
func (d Drift) After(start Spare, weeks float64) Spare {
	fade := math.Exp(-pull * weeks)
	return Spare{
		Mean: d.settled() + (start.Mean-d.settled())*fade,
		SD:   math.Hypot(start.SD*fade, d.RateSD*weeks),
	}
}

// WeeksTo is how many weeks the mean spare takes from start to goal, mm: 0 when it is there,
// +Inf when it never gets there.
func (d Drift) WeeksTo(start, goal float64) float64 {
	if start >= goal {
		return 0
	}
	if d.settled() <= goal {
		return math.Inf(1)
	}
	return math.Log((d.settled()-start)/(d.settled()-goal)) / pull
}
