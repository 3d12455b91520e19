// Package estimate is a number that nobody knows for certain, with its range and its source.
package estimate

import "math"

// Source says where a number came from.
type Source string

const (
	Told     Source = "told"     // by the user
	Measured Source = "measured" // with a tool or by eye, carried forward by growth and cuts
	Learnt   Source = "learnt"   // from what this dog's sittings showed
	Assumed  Source = "assumed"  // from age, size and habit
)

// Estimate is a number of whatever unit its field names, with its middle 90 %.
type Estimate struct {
	Value, Low, High float64
	Source           Source
}

// Normal is a normal estimate of something that cannot be below 0.
func Normal(value, sd float64, source Source) Estimate {
	return Estimate{value, math.Max(0, value-Z90*sd), value + Z90*sd, source}
}

// At80 is what it stays under four times in five, were it normal.
func (e Estimate) At80() float64 { return e.Value + (e.High-e.Value)*z80/Z90 }

// Plus is a sum of two, at its widest: whatever makes one late makes the other late as well.
func (e Estimate) Plus(o Estimate) Estimate {
	return Estimate{e.Value + o.Value, e.Low + o.Low, e.High + o.High, o.Source}
}

// AtLeast is an estimate of what cannot be below another.
func (e Estimate) AtLeast(o Estimate) Estimate {
	return Estimate{max(e.Value, o.Value), max(e.Low, o.Low), max(e.High, o.High), e.Source}
}

// Exactly is a number that is known.
func Exactly(value float64) Estimate { return Estimate{value, value, value, Told} }

// Share is how often something happens that happened k times in n, each independently: the score interval at z standard
// deviations (Wilson 1927, Probable inference, the law of succession, and statistical inference, JASA 22). Of nothing
// seen nothing is known.
func Share(k, n int, z float64) Estimate {
	if n == 0 {
		return Estimate{0, 0, 1, Assumed}
	}
	p, m := float64(k)/float64(n), float64(n)
	middle := (p + z*z/(2*m)) / (1 + z*z/m)
	by := z / (1 + z*z/m) * math.Sqrt(p*(1-p)/m+z*z/(4*m*m))
	return Estimate{p, math.Max(0, middle-by), math.Min(1, middle+by), Measured}
}

// Times is an estimate of so many times as much.
func (e Estimate) Times(factor float64) Estimate {
	return Estimate{e.Value * factor, e.Low * factor, e.High * factor, e.Source}
}
