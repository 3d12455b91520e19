package dog

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/quick"
)

// Reading is one nail on one day.
type Reading struct {
	Nail
	Length  estimate.Estimate
	Gap     estimate.Estimate // to the floor; a dewclaw has none
	Spare   estimate.Estimate
	Belief  quick.Spare // the same as a normal
	Rate    growth.Rate
	ToFloor float64 // growth left until it touches, mm; +Inf when it never does
	ToCurl  float64 // growth left until a dewclaw curls, mm; +Inf for any other nail
	Turn    float64 // of the tip below horizontal, radians
	OnFloor bool
	Trimmed date.Date // when something last came off; zero when nothing ever did
}

// On reads every nail on a day not before the last sitting.
func (f Feet) On(day date.Date) []Reading {
	readings := make([]Reading, len(f.toes))
	for i, t := range f.toes {
		readings[i] = t.read(f.body, day)
	}
	return readings
}

func (t toe) read(b body, day date.Date) Reading {
	now := t.at(b, day)
	low, high := now.spare.Range()
	form := t.Claw.Grown(now.grown)
	r := Reading{
		Nail:    t.Nail,
		Length:  estimate.Normal(now.length, now.lengthSD, t.LengthSource),
		Spare:   estimate.Estimate{Value: math.Min(now.spare.Mean, now.length), Low: low, High: math.Min(high, now.length), Source: t.SpareSource},
		Belief:  now.spare,
		Rate:    b.rateOn(t.Code, day),
		Turn:    form.Turn(),
		ToFloor: math.Inf(1), ToCurl: math.Inf(1),
		Trimmed: t.Trimmed,
	}
	if t.Code.Dewclaw() {
		r.ToCurl = form.GrowthToTurn(claw.CurlTurn)
		return r
	}
	stance := t.stance()
	gap := stance.GapAfterGrowth(now.grown)
	slip := gap - stance.GapAfterGrowth(now.grown+now.grownSD)
	r.Gap = estimate.Normal(math.Max(0, gap), math.Hypot(t.GapSD, slip), t.GapSource)
	r.ToFloor = math.Max(0, stance.GrowthToGap(claw.TouchGap)-now.grown)
	r.OnFloor = r.ToFloor == 0
	return r
}

// Curling tells whether a dewclaw has turned so far that it is to be done now.
func (r Reading) Curling() bool { return r.ToCurl == 0 }

// InSkin tells whether a dewclaw may have reached the skin: not a keeper's work any more.
func (r Reading) InSkin() bool { return r.Code.Dewclaw() && r.Turn >= claw.SkinTurn }

// Days is how many days until the nail touches the floor; +Inf when it never does.
func (r Reading) Days() float64 { return r.ToFloor / r.Rate.Mean * 7 }
