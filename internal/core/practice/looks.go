package practice

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// Underside is a nail seen from below, and lines across it of which one is where its groove ends.
type Underside struct {
	Length, Depth float64   // mm
	Ends          float64   // where the groove ends, mm from the tip
	Lines         []float64 // mm from the tip, the nearest to it first
	Drawn         uint64    // how it is drawn
}

var (
	atLines = []say.Key{line1, line2, line3, line4, line5}
	atFeet  = []say.Key{footLF, footRF, footLH, footRH, footNone}
)

// undersides are nails from below, each with the line at which its groove ends among others (where it ends the quick
// ends, about: trade).
func undersides(r Room, seed int) (all []Scene) {
	for number := range looksAsked {
		d := r.draw(Exercise{Dark, seed, number + 1})
		one := d.dog.Nails[0]
		u := Underside{Length: one.Length, Depth: one.Form.Depth, Drawn: Exercise{Seed: seed, Number: number}.horn(0)}
		apart := lineApart * math.Min(1, u.Depth/fullDepth)
		u.Ends = math.Max(apart, math.Min(one.Spare, u.Length-2*apart))
		before := min(len(atLines)-1, int(u.Ends/apart)-1) // so many lines fit between it and the tip
		after := min(len(atLines)-1, int((u.Length-u.Ends)/apart)-1)
		least := max(0, len(atLines)-1-after)
		right := least + int(d.r.Float64()*float64(max(0, before-least)+1))
		for k := range atLines {
			u.Lines = append(u.Lines, u.Ends+apart*float64(k-right))
		}
		all = append(all, Scene{
			Key: "groove", Under: &u, Choices: atLines, Right: right,
			Reason: say.Line{Key: whyGroove, Args: say.Args{"Line": say.Count(right + 1), "Mm": say.Length(u.Ends)}},
		})
	}
	return all
}

// standing are a dog's four feet on the floor, of which one nail touches it, or none: a nail that touches while the dog
// stands is due (trade).
func standing(r Room, seed int) (all []Scene) {
	chance := r.Chance(uint64(seed), feetStream) //nolint:gosec // never negative
	between := func(low, high float64) float64 { return low + (high-low)*chance.Float64() }
	for range looksAsked {
		weight := between(8, 36)
		due := int(between(0, float64(len(atFeet))))
		s := Scene{Key: "feet", Choices: atFeet, Right: due, Reason: say.Of(whyFoot)}
		if due == len(atFeet)-1 {
			s.Reason = say.Of(whyNoFoot)
		}
		for k, paw := range []nail.Paw{nail.LF, nail.RF, nail.LH, nail.RH} {
			form := claw.Assumed(nail.Code{Paw: paw, Digit: 3}, nail.Usual, weight)
			form = form.WithLength(form.Length * between(0.9, 1.1))
			gap := between(leastClear, mostClear)
			if k == due {
				gap = 0
			}
			s.Feet = append(s.Feet, form.AtGap(gap))
		}
		all = append(all, s)
	}
	return all
}
