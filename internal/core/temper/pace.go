package temper

import (
	"math"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/kit"
)

// Timed is one sitting whose minutes are known.
type Timed struct {
	Minutes float64
	Nails   int // that something came off
}

// Pace is how long a nail of this dog takes with one kind of work, as a normal over the
// logarithm of minutes: a sitting twice as long is as likely as one half as long.
type Pace struct {
	mean, sd float64
	learnt   bool
}

// LearnPace joins what the hand usually needs with the dog's own timed sittings: conjugate
// normal, known variance (Gelman et al., Bayesian Data Analysis, section 2.5).
func LearnPace(hand kit.Hand, work kit.Work, timed []Timed) Pace {
	usual := map[kit.Hand]float64{kit.NewHand: newPace, kit.SomeHand: somePace, kit.PractisedHand: practisedPace}[hand]
	if work != kit.Clipping {
		usual *= grindPace
	}
	precision := 1 / (paceSpread * paceSpread)
	sum := precision * math.Log(usual)
	p := Pace{}
	for _, t := range timed {
		if t.Nails == 0 || t.Minutes <= 0 {
			continue
		}
		one := 1 / (sittingSpread * sittingSpread)
		precision += one
		sum += one * math.Log(t.Minutes/float64(t.Nails))
		p.learnt = true
	}
	p.mean, p.sd = sum/precision, 1/math.Sqrt(precision)
	return p
}

// Nail is the likeliest time of one nail, minutes.
func (p Pace) Nail() float64 { return math.Exp(p.mean) }

// Of is how long so many nails take, minutes.
func (p Pace) Of(nails int) estimate.Estimate {
	source := estimate.Assumed
	if p.learnt {
		source = estimate.Learnt
	}
	spread := math.Exp(estimate.Z90 * math.Hypot(p.sd, sittingSpread))
	minutes := float64(nails) * p.Nail()
	return estimate.Estimate{Value: minutes, Low: minutes / spread, High: minutes * spread, Source: source}
}
