package ladder

import (
	"math"

	"fribbet/internal/core/date"
)

// BetaBinomial is how many of N days are passed when the chance to pass a day is itself
// uncertain, Beta(A, B).
type BetaBinomial struct {
	N    int
	A, B float64
}

// P is the chance of exactly k passed days: C(n,k) B(k+a, n−k+b) / B(a,b).
func (d BetaBinomial) P(k int) float64 {
	if k < 0 || k > d.N {
		return 0
	}
	n, x := float64(d.N), float64(k)
	return math.Exp(-math.Log(n+1) - logBeta(n-x+1, x+1) + logBeta(x+d.A, n-x+d.B) - logBeta(d.A, d.B))
}

// AtLeast is the chance of k passed days or more.
func (d BetaBinomial) AtLeast(k int) float64 {
	sum := 0.0
	for x := k; x <= d.N; x++ {
		sum += d.P(x)
	}
	return math.Min(1, sum)
}

func logBeta(a, b float64) float64 {
	la, _ := math.Lgamma(a)
	lb, _ := math.Lgamma(b)
	lab, _ := math.Lgamma(a + b)
	return la + lb - lab
}

// Ready is when a dog will be through its ladder, from its own pass rate.
type Ready struct {
	// 10, 50 and 90 % sure to be through by then; zero when it is further off than a year of training
	Early, Likely, Late date.Date
	Chance              float64 // that a day of training ends a step further up
	Days                int     // of training that this is learnt from
	Every               float64 // days from one day of training to the next
}

// Ready tells when the dog will be through, as seen from today. A day that goes down counts as
// one not passed; that it must be climbed again shows only once it has happened.
func (s Progress) Ready(today date.Date) Ready {
	passed := 0
	for _, d := range s.days {
		if d.passed {
			passed++
		}
	}
	a, b := float64(priorPassed+passed), float64(priorStayed+len(s.days)-passed)
	r := Ready{Chance: a / (a + b), Days: len(s.days), Every: s.every()}
	left := len(Steps(s.Kind)) - s.Step
	soonest := s.soonest()
	on := func(sure float64) date.Date {
		for n := left; n <= farDays; n++ {
			if (BetaBinomial{n, a, b}).AtLeast(left) < sure {
				continue
			}
			if day := s.NextOn(today).AddDays(int(math.Ceil(float64(n-1) * r.Every))); day.After(soonest) {
				return day
			}
			return soonest
		}
		return date.Date{}
	}
	r.Early, r.Likely, r.Late = on(0.1), on(0.5), on(0.9)
	return r
}

// soonest is the first day on which the ladder can end for its wait before the first nail.
func (s Progress) soonest() date.Date {
	if s.Kind != Grinder {
		return s.Started
	}
	nails := 0
	for _, step := range Steps(s.Kind)[min(s.Step, len(Steps(s.Kind))):] {
		if step.Nail {
			nails++
		}
	}
	return s.Started.AddDays(waitDays + max(0, nails-1))
}

// every is how many days lie between two days of training; one, before there are two.
func (s Progress) every() float64 {
	if len(s.days) < 2 {
		return 1
	}
	first, last := s.days[0].on, s.days[len(s.days)-1].on
	return float64(last.Sub(first)) / float64(len(s.days)-1)
}
