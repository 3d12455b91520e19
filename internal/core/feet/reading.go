package feet

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/state"
)

// Reading is one nail on one day.
type Reading struct {
	dog.Nail
	Length  estimate.Estimate
	Gap     estimate.Estimate // to the floor; a dewclaw has none
	Spare   estimate.Estimate
	Rate    growth.Rate
	Floor   state.Normal // growth left until it touches, as it is known; below 0 it presses on the floor
	ToFloor float64      // the same, mm, and 0 where it touches; +Inf for a dewclaw
	ToCurl  float64      // growth left until a dewclaw curls, mm; +Inf for any other nail
	Turn    float64      // of the tip below horizontal, radians
	OnFloor bool         // believed to touch
	Looked  bool         // somebody looked at its floor
	PastPad bool         // seen to reach past its pad, and not trimmed since
	Cleared bool         // its last trim left it clear of the floor
	Trimmed date.Date    // when something last came off; zero when nothing ever did
	Bled    bool         // at its last trim
	Claw    claw.Claw    // in its form, at its mean length
}

// On reads every nail on a day not before the last sitting or look.
func (f Feet) On(day date.Date) []Reading {
	now, where := f.At(day), f.Where(day)
	readings := make([]Reading, len(f.Nails))
	for i := range f.Nails {
		readings[i] = f.read(i, &now, where)
	}
	return readings
}

// Read reads one nail on the day of the state.
func (f Feet) Read(i int) Reading { return f.read(i, &f.state, f.Where(f.day)) }

// read keeps within what a nail can be: a spare is at least 0 and at most its share of the length.
func (f Feet) read(i int, now *state.State, where growth.Where) Reading {
	n, t := f.Nails[i], f.toes[i]
	if n.Colour == nail.Unknown { // told at the bench, or shown by its faces
		n.Colour = now.Nails[i].Colour
	}
	form := claw.Assumed(n.Code, n.Shape, where.Weight)
	length, spare, floor, rate := now.Length(i), now.Spare(i), now.ToFloor(i), now.Rate(i, where)
	length.Mean = between(LeastLeft*form.Length, length.Mean, claw.MostLength)
	r := Reading{
		Nail:    n,
		Length:  estimate.Normal(length.Mean, length.SD, f.source(t.Measured.On.IsZero() && !now.Measured[i], false)),
		Rate:    growth.Rate{Mean: between(LeastRate, rate.Mean, mostRate), SD: math.Min(rate.SD, mostRate)},
		Floor:   floor,
		Looked:  t.GapSeen,
		PastPad: t.PastPad,
		Cleared: t.Cleared,
		Trimmed: t.Trimmed,
		Bled:    t.Bled,
		ToFloor: math.Inf(1),
		ToCurl:  math.Inf(1),
		Claw:    form.WithLength(length.Mean),
	}
	if r.Spare = estimate.Normal(
		between(0, spare.Mean, state.MostSpare*length.Mean),
		spare.SD,
		f.source(!now.WorkedOn[i], !t.Through),
	); r.Spare.High > length.Mean {
		r.Spare.High = length.Mean
	}
	r.Turn = r.Claw.Turn()
	if n.Code.Dewclaw() {
		r.ToCurl = r.Claw.GrowthToTurn(claw.CurlTurn)
		return r
	}
	r.ToFloor = math.Max(0, floor.Mean)
	r.OnFloor = floor.Mean <= 0
	at := func(floor float64) float64 { // the gap that goes with so much growth left
		return math.Max(0, r.Claw.AtGrowthToFloor(math.Max(0, floor)).Gap())
	}
	by := estimate.Z90 * floor.SD
	r.Gap = estimate.Estimate{
		Value:  at(floor.Mean),
		Low:    at(floor.Mean - by),
		High:   at(floor.Mean + by),
		Source: f.source(!t.GapSeen, false),
	}
	return r
}

// source is where a number came from: assumed, learnt from what was told, or measured.
func (f Feet) source(assumed, learnt bool) estimate.Source {
	switch {
	case assumed:
		return estimate.Assumed
	case learnt:
		return estimate.Learnt
	default:
		return estimate.Measured
	}
}

// Stance is the nail on the floor.
func (r Reading) Stance() claw.Stance { return r.Claw.AtGrowthToFloor(r.ToFloor) }

// Curling tells whether a dewclaw has turned so far that it is to be done now.
func (r Reading) Curling() bool { return r.ToCurl == 0 }

// InSkin tells whether a dewclaw may have reached the skin: not a keeper's work any more. Where nobody
// measured it or saw it curl it is to be looked at first: what nobody looked at is not told as a fact.
func (r Reading) InSkin() bool {
	return r.Code.Dewclaw() && r.Turn >= claw.SkinTurn && !r.Unseen()
}

// Unseen tells whether a nail's length is only assumed.
func (r Reading) Unseen() bool {
	return r.Length.Source == estimate.Assumed && r.Shape != nail.Curled
}

// Days is how many days until the nail touches the floor; +Inf when it never does.
func (r Reading) Days() float64 { return r.ToFloor / r.Rate.Mean * 7 }

func between(low, v, high float64) float64 { return math.Max(low, math.Min(v, high)) }
