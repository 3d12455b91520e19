package quick

import (
	"math"

	"fribbet/internal/core/estimate"
)

// Swing is a nail between two days on which its spare was seen.
type Swing struct {
	Weeks float64
	Start float64 // spare that the first trim left, mm
	End   float64 // spare before the second, mm
	SD    float64 // of End less what Start made of it, mm
	Rate  float64 // net growth, mm a week, known from lengths
}

// Habit is how a dog's quick follows, with its range and whether the dog's own records speak.
type Habit struct {
	Pull     estimate.Estimate // per week
	Rest     estimate.Estimate // mm
	Sittings int               // at which the quick was seen
}

// Follow is the likeliest of it.
func (h Habit) Follow() Follow { return Follow{h.Pull.Value, h.Rest.Value} }

// LearnHabit fits pull and rest to a dog's swings. It needs eight sittings with the quick seen;
// with fewer the usual stands. rateSD is how well the dog's growth is known, mm a week: a wrong
// rate looks just like another rest, so rest is the one that goes with the rate as it is learnt.
//
// Given the pull, the spare is linear in the rest, so every pull of a grid has its own normal of
// the rest (Bishop 2006, eqs 3.49–3.51) and its own weight (eq. 3.86, the evidence); the answer
// is their mixture.
func LearnHabit(sizeFactor, rateSD float64, swings []Swing, sittings int) Habit {
	if sittings < habitSittings {
		swings = nil
	}
	source := estimate.Learnt
	if len(swings) == 0 {
		source = estimate.Assumed
	}
	pulls := make([]float64, habitGrid)
	rests := make([]Spare, habitGrid)
	weights := make([]float64, habitGrid)
	best := math.Inf(-1)
	for i := range habitGrid {
		z := habitReach * (2*float64(i)/(habitGrid-1) - 1)
		pulls[i] = pull * math.Exp(pullSD*z)
		rests[i], weights[i] = restGiven(pulls[i], sizeFactor, rateSD, swings)
		weights[i] -= z * z / 2
		best = math.Max(best, weights[i])
	}
	sum := 0.0
	for i := range weights {
		weights[i] = math.Exp(weights[i] - best)
		sum += weights[i]
	}
	h := Habit{Pull: estimate.Estimate{Source: source}, Rest: estimate.Estimate{Source: source}, Sittings: sittings}
	for i := range weights {
		weights[i] /= sum
		h.Pull.Value += weights[i] * math.Log(pulls[i])
		h.Rest.Value += weights[i] * rests[i].Mean
	}
	h.Pull.Value = math.Exp(h.Pull.Value)
	if source == estimate.Assumed { // the very default, not a grid's
		h.Pull.Value, h.Rest.Value = pull, restShare*sizeFactor
	}
	const tail = 0.05
	h.Pull.Low, h.Pull.High = quantile(pulls, weights, tail), quantile(pulls, weights, 1-tail)
	h.Rest.Low, h.Rest.High = mixed(rests, weights, tail), mixed(rests, weights, 1-tail)
	return h
}

// restGiven is the rest's normal and the log of the evidence for one pull.
func restGiven(pull, sizeFactor, rateSD float64, swings []Swing) (Spare, float64) {
	sd := math.Hypot(restSD*sizeFactor, rateSD/pull)
	prior := restShare * sizeFactor
	precision, sum, misfit := 1/(sd*sd), prior/(sd*sd), prior*prior/(sd*sd)
	for _, s := range swings {
		gone := -math.Expm1(-pull * s.Weeks)
		y := s.End - s.Start*(1-gone) - s.Rate*gone/pull
		precision += gone * gone / (s.SD * s.SD)
		sum += gone * y / (s.SD * s.SD)
		misfit += y * y / (s.SD * s.SD)
	}
	evidence := -math.Log(sd) - (misfit-sum*sum/precision)/2 - math.Log(precision)/2
	return Spare{math.Max(0, sum/precision), 1 / math.Sqrt(precision)}, evidence
}

// quantile is the value of a rising grid below which the share of the weights lies.
func quantile(values, weights []float64, share float64) float64 {
	below := 0.0
	for i, w := range weights {
		if below += w; below >= share {
			return values[i]
		}
	}
	return values[len(values)-1]
}

// mixed is the value below which the share of a mixture of normals lies, never below 0.
func mixed(parts []Spare, weights []float64, share float64) float64 {
	low, high := 0.0, 100.0
	for range 50 {
		mid, below := (low+high)/2, 0.0
		for i, p := range parts {
			below += weights[i] * p.Risk(mid)
		}
		if below < share {
			low = mid
		} else {
			high = mid
		}
	}
	return (low + high) / 2
}
