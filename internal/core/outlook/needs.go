package outlook

import (
	"math"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/verdict"
)

// Needs is after how many days a trim like the last ones no longer keeps this dog's nails clear of the floor, by its
// own growth, wear and quicks, as if it were trimmed on that day: the day by which the first of those that a sitting
// can keep clear touches as likely as not, its range from one in ten to nine in ten. None where a sitting can keep
// none clear, or none touches for as far as it is looked.
func Needs(f feet.Feet, day date.Date, terms Terms) (estimate.Estimate, bool) {
	if f.Known().IsZero() || day.Before(f.Day()) {
		return estimate.Estimate{}, false
	}
	trimmed, where := f.At(day), f.Where(day)
	var kept []int
	for i, r := range f.On(day) {
		if r.State.Veterinary() {
			continue
		}
		trimmed.Leave(i, verdict.Leaves(r.Claw.Depth, terms.Margin, terms.Hand.Stop))
		if left := trimmed.ToFloor(i).Mean; !r.Code.Dewclaw() && left > math.Max(feet.ClearBy, leastNeed*r.Rate.Mean) {
			kept = append(kept, i)
		}
	}
	if len(kept) == 0 {
		return estimate.Estimate{}, false
	}
	by := func(chance float64) float64 { return float64(touchesBy(&trimmed, kept, where, chance)) }
	need := estimate.Estimate{Value: by(0.5), Low: by(0.1), High: by(0.9), Source: estimate.Learnt}
	return need, need.Value < farthest
}
