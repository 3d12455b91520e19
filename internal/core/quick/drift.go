package quick

import "math"

// Follow is how a dog's quick follows its nails.
type Follow struct {
	Pull float64 // how fast, per week
	Rest float64 // spare at which the quick holds still, mm
}

// UsualFollow is how the quick of a dog of this size factor is taken to follow.
func UsualFollow(sizeFactor float64) Follow { return Follow{pull, restShare * sizeFactor} }

// Drift is what the quick does between sittings. The nail's net rate lengthens the spare;
// the quick follows: a long spare lets it grow, a short one draws it back.
//
//	d(spare)/dt = rate − pull·(spare − rest)
//	d(quick)/dt =        pull·(spare − rest)
type Drift struct {
	Rate   float64 // net growth of the nail, mm a week
	RateSD float64 // its standard deviation, mm a week
	Follow
}

// settled is the spare that a nail never cut would come to, mm.
func (d Drift) settled() float64 { return d.Rest + d.Rate/d.Pull }

// After is the belief about the spare after weeks without a trim.
func (d Drift) After(start Spare, weeks float64) Spare {
	fade := math.Exp(-d.Pull * weeks)
	return Spare{
		Mean: d.settled() + (start.Mean-d.settled())*fade,
		SD:   math.Hypot(start.SD*fade, d.RateSD*weeks),
	}
}

// Move is how far the quick moves in weeks without a trim, mm, from a spare of start mm: below
// 0 it draws back.
func (d Drift) Move(start, weeks float64) float64 {
	return d.Rate*weeks + (d.settled()-start)*math.Expm1(-d.Pull*weeks)
}

// BreakEven is the longest interval in weeks that does not let the quick grow, when every trim
// leaves a spare of left mm. It is 0 when the quick grows whatever the interval, because so much
// is left that it never draws back.
func (d Drift) BreakEven(left float64) float64 {
	if left >= d.Rest {
		return 0
	}
	// The move falls first and then rises for ever: from its lowest point on, it is 0 once.
	low := math.Log((d.settled()-left)/(d.settled()-d.Rest)) / d.Pull
	high := 2 * low
	for d.Move(left, high) < 0 {
		high *= 2
	}
	const halvings = 40 // a trillionth of the first stretch
	for range halvings {
		if mid := (low + high) / 2; d.Move(left, mid) < 0 {
			low = mid
		} else {
			high = mid
		}
	}
	return (low + high) / 2
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
	return math.Log((d.settled()-start)/(d.settled()-goal)) / d.Pull
}
