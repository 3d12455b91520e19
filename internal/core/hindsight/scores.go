// Package hindsight holds the program to what it said: what it would have said just before each trim and look, from
// what was told until then and by today's rules, beside what then was. What nobody told marks nothing.
package hindsight

import (
	"math"

	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/estimate"
)

// CRPS is the continuous ranked probability score of a normal forecast for what then was, in its unit; 0 is perfect,
// and of a forecast without a range it is how far off it was (Gneiting & Raftery 2007, Strictly Proper Scoring Rules,
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

// sum is how many of independent things with these chances are to happen.
type sum struct {
	N              int
	Mean, Variance float64
	Few            []float64 // all of them, while they are few
}

func (s *sum) take(p float64) {
	s.N, s.Mean, s.Variance = s.N+1, s.Mean+p, s.Variance+p*(1-p)
	if s.N <= exactly {
		s.Few = append(s.Few, p)
	} else {
		s.Few = nil
	}
}

func (s *sum) add(o sum) {
	s.N, s.Mean, s.Variance = s.N+o.N, s.Mean+o.Mean, s.Variance+o.Variance
	if s.N <= exactly {
		s.Few = append(s.Few, o.Few...)
	} else {
		s.Few = nil
	}
}

// expected is how many are to happen, with the middle 90 %: the range in which a reliable forecast falls (Bröcker &
// Smith 2007, Increasing the Reliability of Reliability Diagrams, Weather and Forecasting 22). The distribution is that
// of a sum of Bernoulli trials: of few convolved one by one, of many the normal of its mean and variance, and where few
// are to happen a Poisson (Le Cam 1960, An approximation theorem for the Poisson binomial distribution).
func (s sum) expected() estimate.Estimate {
	e := estimate.Estimate{Value: s.Mean, Source: estimate.Learnt}
	if s.N > exactly {
		sd := math.Sqrt(s.Variance)
		if s.Mean < rarely && s.Variance > nearlyAll*s.Mean { // so few that a Poisson says it
			p := distuv.Poisson{Lambda: s.Mean}
			for e.Low = 0; p.CDF(e.Low) < tail; e.Low++ {
			}
			for e.High = e.Low; p.CDF(e.High) < 1-tail; e.High++ {
			}
			return e
		}
		e.Low, e.High = math.Round(s.Mean-estimate.Z90*sd), math.Round(s.Mean+estimate.Z90*sd)
		return e
	}
	most := int(math.Ceil(s.Mean+8*math.Sqrt(s.Mean)+10)) + 1 // nothing to speak of lies beyond
	of := make([]float64, most)
	of[0] = 1
	for _, p := range s.Few {
		for k := most - 1; k > 0; k-- {
			of[k] = of[k]*(1-p) + of[k-1]*p
		}
		of[0] *= 1 - p
	}
	e.Low, e.High = -1, -1
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
