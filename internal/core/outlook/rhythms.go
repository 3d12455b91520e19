package outlook

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/rhythm"
)

// Ahead is the nails that may be trimmed as they are on a day, for a look ahead at which the dog
// walks km of pavement a week. There is none where no nail may be trimmed.
func Ahead(f feet.Feet, day date.Date, km float64) []rhythm.Start {
	now, where := f.At(day), f.Where(day)
	where.Pavement = km
	follow := quick.Follow{Pull: quick.UsualFollow(1).Pull, Rest: math.Max(0, now.Rest().Mean)}
	var nails []rhythm.Start
	for i, r := range f.On(day) {
		if r.State.Veterinary() {
			continue
		}
		rate := now.Rate(i, where)
		nails = append(nails, rhythm.Start{
			Code:   r.Code,
			Form:   claw.Assumed(r.Code, r.Shape, where.Weight),
			Claw:   r.Claw,
			Height: coatHeight(r),
			Drift: quick.Drift{
				Rate:   math.Max(feet.LeastRate, rate.Mean),
				RateSD: rate.SD,
				Follow: follow,
			},
			Spare: r.Spare.Value,
		})
	}
	return nails
}

// coatHeight is how high the coat line stands above the floor when the nail is just as long as it
// may be: one that is longer lifts its toe, and lets it down again as it is brought back.
func coatHeight(r feet.Reading) float64 {
	if r.Floor.Mean >= 0 || r.Code.Dewclaw() {
		return r.Stance().CoatHeight()
	}
	least := feet.LeastLeft * r.Claw.Length
	return r.Claw.WithLength(math.Max(least, r.Length.Value+r.Floor.Mean)).AtGap(claw.TouchGap).CoatHeight()
}

// LowestTrimmed is how high the lowest toe's nail stood after the last trim, mm; +Inf where no
// toe was ever trimmed.
func LowestTrimmed(f feet.Feet) float64 {
	least := math.Inf(1)
	for _, r := range f.On(f.Day()) {
		if !r.Code.Dewclaw() && !r.State.Veterinary() && !r.Trimmed.IsZero() {
			least = math.Min(least, r.Gap.Value)
		}
	}
	return least
}

// PavementUse tells how much of a nail's growth the ground takes back on the mean toe, 0 to 1.
func PavementUse(f feet.Feet, day date.Date, km float64) float64 {
	now, where := f.At(day), f.Where(day)
	where.Pavement = km
	sum, toes := 0.0, 0.0
	for i, n := range f.Nails {
		if !n.Code.Dewclaw() {
			sum += math.Max(feet.LeastRate, now.Rate(i, where).Mean)
			toes++
		}
	}
	if toes == 0 {
		return 0
	}
	return math.Max(0, 1-sum/toes/now.Gross(where).Mean)
}
