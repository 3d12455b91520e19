package feet

import (
	"math"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/nail"
)

// Rank is the picture of all nails side by side, in mm: every nail hangs from its own coat
// line so that its end is as far above the one floor line as it has growth left.
type Rank struct {
	Floor float64 // depth of the floor line below the top line
	Bars  []Bar   // in the order of the dog's nails
}

// Bar is one nail in the rank.
type Bar struct {
	Reading
	Top        float64 // depth of the coat line below the top line
	Quick      float64 // length of the quick
	QuickShort float64 // the quick if the spare is at the high end of its range
	QuickLong  float64 // the quick if the spare is at the low end
}

// RankOf lays out readings of one day.
func RankOf(readings []Reading) Rank {
	var r Rank
	for _, n := range readings {
		if !n.Code.Dewclaw() {
			r.Floor = math.Max(r.Floor, n.drop())
		}
	}
	for _, n := range readings {
		bar := BarOf(n)
		if !n.Code.Dewclaw() {
			bar.Top = r.Floor - n.drop()
		}
		r.Bars = append(r.Bars, bar)
	}
	return r
}

// BarOf is a reading as a bar that hangs from the top line.
func BarOf(n Reading) Bar {
	return Bar{
		Reading: n, Quick: n.Length.Value - n.Spare.Value,
		QuickShort: n.Length.Value - n.Spare.High, QuickLong: n.Length.Value - n.Spare.Low,
	}
}

// drop is how deep below its coat line the nail's floor lies, mm; its own length where it never gets there.
func (r Reading) drop() float64 {
	if math.IsInf(r.ToFloor, 1) {
		return r.Length.Value
	}
	return r.Length.Value + r.ToFloor
}

// Glance is the rank as a small picture needs it.
type Glance struct {
	Floor float64
	Bars  []GlanceBar
}

// GlanceBar is one of its bars.
type GlanceBar struct {
	Code                              nail.Code
	State                             nail.Condition
	Top, Quick, QuickShort, QuickLong float64 // as in Bar
	Length                            float64
	Source                            estimate.Source // of the length
	OnFloor, Curling                  bool
}

// GlanceOf lays out readings of one day for a small picture.
func GlanceOf(readings []Reading) Glance {
	rank := RankOf(readings)
	g := Glance{Floor: rank.Floor}
	for _, b := range rank.Bars {
		g.Bars = append(g.Bars, GlanceBar{
			b.Code,
			b.State,
			b.Top,
			b.Quick,
			b.QuickShort,
			b.QuickLong,
			b.Length.Value,
			b.Length.Source,
			b.OnFloor,
			b.Curling(),
		})
	}
	return g
}
