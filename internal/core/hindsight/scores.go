// Package hindsight holds the program to what it said: what it would have said just before each trim and look, from what
// was told until then and by today's rules, beside what then was. What nobody told marks nothing.
package hindsight

import (
	"math"

	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/estimate"
)

// CRPS is the continuous ranked probability score of a normal forecast for what then was, in its unit; 0 is perfect, and
// of a forecast without a range it is how far off it was (Gneiting & Raftery 2007, Strictly Proper Scoring Rules,
// Prediction, and Estimation, JASA 102, section 4.2).
func CRPS(mean, sd, seen float64) float64 {
	if sd <= 0 {
		return math.Abs(seen - mean)
	}
	z := (seen - mean) / sd
	return sd * (z*(2*distuv.UnitNormal.CDF(z)-1) + 2*distuv.UnitNormal.Prob(z) - 1/math.Sqrt(math.Pi))
}

// Brier is the mean squared difference of a chance from what then was, 0 or 1 (Brier 1950, Monthly Weather Review 78).
func Brier(said, was float64) float64 { return (said - was) * (said - was) }

// Expected is how many of independent things with these chances are to happen, with the middle 90 %: the range in which
// a reliable forecast falls (Bröcker & Smith 2007, Increasing the Reliability of Reliability Diagrams, Weather and
// Forecasting 22). The distribution is that of a sum of Bernoulli trials, convolved one by one.
func Expected(chances []float64) estimate.Estimate {
	sum := 0.0
	for _, p := range chances {
		sum += p
	}
	most := int(math.Ceil(sum+8*math.Sqrt(sum)+10)) + 1 // nothing to speak of lies beyond
	of := make([]float64, most)
	of[0] = 1
	for _, p := range chances {
		for k := most - 1; k > 0; k-- {
			of[k] = of[k]*(1-p) + of[k-1]*p
		}
		of[0] *= 1 - p
	}
	e := estimate.Estimate{Value: sum, Low: -1, High: -1, Source: estimate.Learnt}
	below := 0.0
	for k, p := range of {
		below += p
		if e.Low < 0 && below >= tail {
			e.Low = float64(k)
		}
		if e.High < 0 && below >= 1-tail {
			e.High = float64(k)
		}
	}
	return e
}

// tail is what lies to either side of the middle 90 %.
const tail = 0.05
