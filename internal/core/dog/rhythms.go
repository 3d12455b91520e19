package dog

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/rhythm"
)

// Ahead is the nails that may be trimmed as they are on a day, for a look ahead at which the dog
// walks km of pavement a week. There is none where no nail may be trimmed.
func (f Feet) Ahead(day date.Date, km float64) []rhythm.Nail {
	where := f.where(day)
	where.Pavement = km
	var nails []rhythm.Nail
	for _, t := range f.toes {
		if t.State.Veterinary() {
			continue
		}
		now := t.at(f.body, day)
		nails = append(nails, rhythm.Nail{
			Code: t.Code, Form: claw.Assumed(t.Code, t.Shape, f.WeightOn(day)), Claw: t.Claw.Grown(now.grown), Height: t.stance().CoatHeight(),
			Drift: f.drift(f.Rates.Nail(t.Code, where)), Spare: math.Min(now.spare.Mean, now.length),
		})
	}
	return nails
}

// LowestTrimmed is how high the lowest toe's nail stood after the last trim, mm; +Inf where no
// toe was ever trimmed.
func (f Feet) LowestTrimmed() float64 {
	least := math.Inf(1)
	for _, t := range f.toes {
		if !t.Code.Dewclaw() && !t.State.Veterinary() && !t.Trimmed.IsZero() {
			least = math.Min(least, t.stance().Gap())
		}
	}
	return least
}

// PavementUse tells how much of a nail's growth the ground takes back on the mean toe, 0 to 1.
func (f Feet) PavementUse(day date.Date, km float64) float64 {
	where := f.where(day)
	where.Pavement = km
	gross, sum, toes := f.Rates.Gross(where), growth.Rate{}, 0.0
	for _, t := range f.toes {
		if !t.Code.Dewclaw() {
			sum.Mean += f.Rates.Nail(t.Code, where).Mean
			toes++
		}
	}
	if toes == 0 {
		return 0
	}
	return math.Max(0, 1-sum.Mean/toes/gross.Mean)
}
