package outlook

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
)

// cautiousChance is the chance of touching by which the cautious date is told, and farthest how far
// it is looked for, days.
const (
	cautiousChance = 0.1
	farthest       = 120

	// mayTouchFrom is the chance from which a nail that is believed clear is said to touch perhaps already.
	mayTouchFrom = 0.1
)

// cautious is the day by which, with a chance of one in ten, any of the nails that surely stand clear of the
// floor will have touched it, by the whole state: length, floor and growth together, given that they stand clear
// now. It is none where no nail surely does, or none touches for as far as it is looked for. mayTouch are those
// that are believed to stand clear and may touch already: a look would tell.
func cautious(f feet.Feet) (day date.Date, known bool, mayTouch []nail.Code) {
	now := f.At(f.Day())
	var floored []int
	for i, n := range f.Nails {
		if n.Code.Dewclaw() || n.State.Veterinary() {
			continue
		}
		floored = append(floored, i)
		if now.ToFloor(i).Mean > feet.ClearBy && now.MayTouch(i) >= mayTouchFrom {
			mayTouch = append(mayTouch, n.Code)
		}
	}
	clear := now.SurelyClear(floored)
	if len(clear) == 0 {
		return date.Date{}, false, mayTouch
	}
	where := f.Where(f.Day())
	low, high := 0, farthest
	for low < high {
		day := (low + high) / 2
		if now.TouchingOnce(clear, where, float64(day)/7) < cautiousChance {
			low = day + 1
		} else {
			high = day
		}
	}
	return f.Day().AddDays(low), low < farthest, mayTouch
}
