package quick

import (
	"math"

	"fribbet/internal/core/estimate"
)

// Ground is a nail that was only ground, with its lengths before and after.
type Ground struct {
	Took    float64 // mm, from one length to the other
	SD      float64 // how far that may be off, mm
	Touches int
}

// LearnTouch is what one touch of a bit takes, mm: what is usual, joined with the nails whose
// lengths were measured before and after it (conjugate normal with known variance: Gelman et
// al., Bayesian Data Analysis, section 2.5).
func LearnTouch(ground []Ground) estimate.Estimate {
	precision := 1 / (touchSD * touchSD)
	sum := precision * Touch
	source := estimate.Assumed
	for _, g := range ground {
		if g.Touches == 0 {
			continue
		}
		n := float64(g.Touches)
		one := n * n / (g.SD * g.SD) // shared among the touches
		precision += one
		sum += one * g.Took / n
		source = estimate.Learnt
	}
	return estimate.Normal(math.Max(leastTouch, sum/precision), 1/math.Sqrt(precision), source)
}
