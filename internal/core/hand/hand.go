// Package hand is how thick one person's slices truly come out. Who says "1 mm" and takes 1.3 is nearer the quick
// than anybody thinks. Ten slices off a stick of wood, measured on a picture, tell it; until then it is taken to be
// as most hands are.
package hand

import (
	"math"

	"fribbet/internal/core/fault"
)

// Slices is how the slices of a hand with a clipper come out, and how its eye reads what they show. The zero value is a
// hand of which nothing was measured.
type Slices struct {
	Times  float64 `json:"times,omitempty"`  // as thick as meant; 0: as meant
	Spread float64 `json:"spread,omitempty"` // times how far most hands are off; 0: as far
	// share of the ends that its eye takes for the next milder face; 0: no more than most
	Milder float64 `json:"milder,omitempty"`
}

// Measured tells whether anything was.
func (s Slices) Measured() bool { return s.Times > 0 }

// Known tells whether anything is known of the hand or its eye.
func (s Slices) Known() bool { return s != Slices{} }

// True is how thick a slice meant to be so many mm is on the mean, mm: to a hundredth, no hand is known better.
func (s Slices) True(mm float64) float64 {
	if s.Times > 0 {
		return math.Round(mm*s.Times*100) / 100
	}
	return mm
}

// SD is how far off that one such slice may be, one standard deviation in mm.
func (s Slices) SD(mm float64) float64 {
	if s.Spread > 0 {
		return usualSD(mm) * s.Spread
	}
	return usualSD(mm)
}

// usualSD is how far most hands are off where they mean a slice of so many mm, mm: with a thick one further.
func usualSD(mm float64) float64 { return math.Hypot(leastSD, sdShare*mm) }

// Reckoned is how thick a slice meant to be so many mm is taken to be where it must not bleed, mm: what it is on the
// mean, and more of a hand that is off further than most. That most hands are off is in the limits already.
func (s Slices) Reckoned(mm float64) float64 {
	return s.True(mm) + math.Round(100*beyondSDs*math.Max(0, s.SD(mm)-usualSD(mm)))/100
}

// Check refuses a hand that can be nobody's.
func (s Slices) Check() fault.Fields {
	var f fault.Fields
	if s.Times != 0 {
		f.Range("times", s.Times, 1/within, within, fault.Times)
	}
	if s.Spread != 0 {
		f.Range("spread", s.Spread, leastSpread, mostSpread, fault.Times)
	}
	if s.Milder != 0 {
		f.Range("milder", s.Milder, usualMilder, mostMilder, fault.None)
	}
	return f
}
