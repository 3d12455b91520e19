package practice

import (
	"math"

	"fribbet/internal/core/estimate"
)

// Tally is how many nails went.
type Tally struct {
	Nails, Bled int
	Cuts        int
	Per100      estimate.Estimate // how many of 100 nails like these would bleed
	Left        estimate.Estimate // what stays in front of the quick on the mean, mm, of those that did not bleed
}

// Count counts outcomes.
func Count(all []Outcome) Tally {
	t := Tally{Nails: len(all)}
	var left []float64
	for _, o := range all {
		t.Cuts += o.Cuts
		if o.Bled {
			t.Bled++
		} else {
			left = append(left, o.Left)
		}
	}
	t.Per100 = estimate.Share(t.Bled, t.Nails, estimate.Z90).Times(100)
	mean, square := 0.0, 0.0
	for _, mm := range left {
		mean += mm / float64(len(left))
	}
	for _, mm := range left {
		square += (mm - mean) * (mm - mean)
	}
	if n := float64(len(left)); n > 1 {
		t.Left = estimate.Normal(mean, math.Sqrt(square/(n-1)/n), estimate.Measured)
	} else {
		t.Left = estimate.Estimate{Value: mean, Low: mean, High: mean, Source: estimate.Measured}
	}
	return t
}
