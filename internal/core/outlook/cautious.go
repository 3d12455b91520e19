package outlook

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/feet"
)

// cautiousChance is the chance of touching by which the cautious date is told, and farthest how far
// it is looked for, days.
const (
	cautiousChance = 0.1
	farthest       = 120
)

// cautious is the day by which, with a chance of one in ten, any of the nails that stand clear of the
// floor will have touched it, by the whole state: length, floor and growth together. It is none where
// no nail stands clear.
func cautious(f feet.Feet) (date.Date, bool) {
	now := f.At(f.Day())
	var clear []int
	for i, n := range f.Nails {
		if !n.Code.Dewclaw() && !n.State.Veterinary() && now.ToFloor(i).Mean > feet.ClearBy {
			clear = append(clear, i)
		}
	}
	if len(clear) == 0 {
		return date.Date{}, false
	}
	where := f.Where(f.Day())
	low, high := 0, farthest
	for low < high {
		day := (low + high) / 2
		if now.Touching(clear, where, float64(day)/7) < cautiousChance {
			low = day + 1
		} else {
			high = day
		}
	}
	return f.Day().AddDays(low), true
}
