package quick

import "math"

// Run is a run of trims of one nail, as what it says of the nail's net rate when nobody measured a
// length. The spare is linear in the rate, so that at the run's end it is Fixed + PerRate·rate,
// give or take the root of Variance. Over one long run it matters little how far from the quick
// each of its trims ended: a nail that is being brought back, each trim a little closer than the
// one before, does not pass for one that grows fast.
type Run struct{ Fixed, PerRate, Variance float64 }

// RunFrom begins a run with a nail that was left with so much spare.
func RunFrom(left Spare) Run { return Run{Fixed: left.Mean, Variance: left.SD * left.SD} }

// Trim adds weeks of growth and the mm, ± sd, that then came off.
func (r Run) Trim(f Follow, weeks, mm, sd float64) Run {
	fade := math.Exp(-f.Pull * weeks)
	return Run{
		Fixed:    r.Fixed*fade + f.Rest*(1-fade) - mm,
		PerRate:  r.PerRate*fade + (1-fade)/f.Pull,
		Variance: r.Variance*fade*fade + sd*sd,
	}
}

// Rate is the net rate that ends the run with so much spare, and its standard deviation, mm a
// week. There must be a trim since the run began.
func (r Run) Rate(left Spare) (mean, sd float64) {
	return (left.Mean - r.Fixed) / r.PerRate, math.Sqrt(left.SD*left.SD+r.Variance) / r.PerRate
}
