package outlook

import (
	"sort"

	"fribbet/internal/core/date"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/state"
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
	days := touchesBy(&now, clear, where, cautiousChance)
	return f.Day().AddDays(days), days < farthest, mayTouch
}

// touchesBy is after how many days any of some nails that stand clear now will have touched the floor with that chance;
// farthest where none does before.
func touchesBy(now *state.State, clear []int, where growth.Where, chance float64) int {
	return sort.Search(
		farthest,
		func(days int) bool { return now.TouchingOnce(clear, where, float64(days)/7) >= chance },
	)
}
