package quick

import (
	"fribbet/internal/core/measure"
)

// Landmark is a way to see where the quick ends before anything is cut.
type Landmark string

const (
	SeenThrough Landmark = "seen" // through the nail
	ByTorch     Landmark = "torch"
	Groove      Landmark = "groove" // the end of the hollow on the underside
	Hook        Landmark = "hook"   // where the thin curved end begins
)

// landmarkSD is how well each places the quick, mm, whatever it was read with: the mark itself is
// no sharper (judgement).
var landmarkSD = map[Landmark]float64{SeenThrough: seenSD, ByTorch: 0.8, Groove: GrooveSD, Hook: 1.5}

// Number is how far from the tip a landmark shows the quick's end, as somebody told it: by eye, and as
// far off as is usual of that mark, unless they said otherwise.
func (l Landmark) Number(mm float64, by measure.Means, sd float64) measure.Number {
	if sd == 0 {
		sd = landmarkSD[l]
	}
	return measure.Quick.Told(mm, by, sd)
}

// Known tells whether it is one of these.
func (l Landmark) Known() bool { return landmarkSD[l] > 0 }
