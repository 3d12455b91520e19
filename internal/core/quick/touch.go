package quick

import (
	"math"

	"fribbet/internal/core/estimate"
)

// Ground is what nails that were only ground, from one measured length to another, say of one touch.
type Ground struct {
	Nails  int
	Weight float64 // 1/mm², added up
	Sum    float64 // of what a touch took, mm, each with its weight
}

// And is the same with one more nail: what its lengths say came off it, mm, how far that may be off, mm, and
// in how many touches. One that was not touched, or of which nothing says how far it may be off, says nothing.
func (g Ground) And(took, sd float64, touches int) Ground {
	if touches == 0 || !(sd > 0) {
		return g
	}
	n := float64(touches)
	weight := n * n / (sd * sd) // shared among the touches
	return Ground{g.Nails + 1, g.Weight + weight, g.Sum + weight*took/n}
}

// Join is what the nails of both say.
func (g Ground) Join(o Ground) Ground {
	return Ground{g.Nails + o.Nails, g.Weight + o.Weight, g.Sum + o.Sum}
}

// LearnTouch is what one touch of a bit takes, mm: what is usual, joined with the nails whose
// lengths were measured before and after it (conjugate normal with known variance: Gelman et
// al., Bayesian Data Analysis, section 2.5).
func LearnTouch(g Ground) estimate.Estimate {
	precision, sum, source := 1/(touchSD*touchSD), Touch/(touchSD*touchSD), estimate.Assumed
	if g.Nails > 0 {
		precision, sum, source = precision+g.Weight, sum+g.Sum, estimate.Learnt
	}
	return estimate.Normal(math.Max(leastTouch, sum/precision), 1/math.Sqrt(precision), source)
}
