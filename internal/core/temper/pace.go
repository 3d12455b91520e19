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
	Cuts    int // or touches, all together
}

// Pace is how long nails of this dog take with one kind of work: so many times as long as a practised hand with
// a calm dog, as a normal over the logarithm. A sitting twice as long is as likely as one half as long.
type Pace struct {
	work     kit.Work
	mean, sd float64
	learnt   bool
}

// LearnPace joins what the hand usually needs with the dog's own timed sittings: conjugate
// normal, known variance (Gelman et al., Bayesian Data Analysis, section 2.5).
func LearnPace(hand kit.Hand, work kit.Work, timed []Timed) Pace {
	usual := map[kit.Hand]float64{kit.NewHand: newTimes, kit.SomeHand: someTimes, kit.PractisedHand: 1}[hand]
	precision := 1 / (paceSpread * paceSpread)
	sum := precision * math.Log(usual)
	p := Pace{work: work}
	for _, t := range timed {
		if t.Nails == 0 || t.Minutes <= 0 {
			continue
		}
		one := 1 / (sittingSpread * sittingSpread)
		precision += one
		sum += one * math.Log(t.Minutes/p.least(t.Nails, t.Cuts))
		p.learnt = true
	}
	p.mean, p.sd = sum/precision, 1/math.Sqrt(precision)
	return p
}

// Seconds is what a practised hand with a calm dog needs for one nail of so many cuts or touches.
func Seconds(work kit.Work, cuts int) float64 { return seconds(work, 1, cuts) }

func seconds(work kit.Work, nails, cuts int) float64 {
	one := secondsCut
	if work != kit.Clipping {
		one = secondsTouch
	}
	return secondsNail*float64(nails) + one*float64(cuts)
}

// least is what a practised hand with a calm dog needs, minutes.
func (p Pace) least(nails, cuts int) float64 { return seconds(p.work, nails, cuts) / 60 }

// Nail is the likeliest time of one nail of so many cuts or touches, minutes.
func (p Pace) Nail(cuts int) float64 { return p.Of(1, cuts).Value }

// Of is how long so many nails take, with so many cuts or touches all together, minutes: never less than a cut and
// its look take.
func (p Pace) Of(nails, cuts int) estimate.Estimate {
	source := estimate.Assumed
	if p.learnt {
		source = estimate.Learnt
	}
	spread := math.Exp(estimate.Z90 * math.Hypot(p.sd, sittingSpread))
	bound := 0.0
	if p.work == kit.Clipping {
		bound = leastSeconds * float64(cuts) / 60
	}
	minutes := math.Max(bound, math.Exp(p.mean)*p.least(nails, cuts))
	return estimate.Estimate{
		Value:  minutes,
		Low:    math.Max(bound, minutes/spread),
		High:   minutes * spread,
		Source: source,
	}
}
