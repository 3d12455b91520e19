// Package virtual draws dogs with hidden quicks from the model, and lets them grow and be cut: what
// the program is tried on, and what its demonstration and its practice are told from. Randomness is
// handed in.
package virtual

import (
	"math"

	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/state"
)

// Random gives numbers evenly from 0 to 1, and standard normal ones.
type Random interface {
	Float64() float64
	NormFloat64() float64
}

// World is how virtual dogs and hands differ from what the program takes for true. The zero world
// is the model's own.
type World struct {
	Later    float64 // times the spare at which a face shows; 0 is 1
	Shorter  float64 // times the spare that a nail has at first; 0 is 1
	Misread  float64 // share of faces that are read one step wrong
	Milder   float64 // share of faces that are read one step too mild
	CutShare float64 // sd of a cut, as a share of it; 0 is the model's own, in mm
	CutTimes float64 // how thick a cut truly is, times what was meant; 0 is 1
	Faster   float64 // times the growth that is usual at its age; 0 is 1
	PullSD   float64 // of the logarithm of how fast this dog's quick follows
}

// Dog is one virtual dog.
type Dog struct {
	Where growth.Where
	Nails []HiddenNail
	world World
	pull  float64
	rest  float64
	gross float64 // beside what is usual
	wear  map[nail.Group]float64
	scale float64 // at which its faces show
	r     Random
}

// HiddenNail is one of its nails, as it truly is.
type HiddenNail struct {
	state.Traits
	Form   claw.Claw
	Own    float64 // growth beside the other nails', mm a week
	Length float64 // mm
	Spare  float64 // mm
	Floor  float64 // length at which it meets the floor, mm
}

// Draw draws a dog that somebody trimmed weeks ago; nil when nobody did that anybody knows of.
func Draw(r Random, w World, where growth.Where, nails []state.Traits, weeks *float64) *Dog {
	prior := state.Prior(where, nails, weeks)
	truth := prior.Draw(r.NormFloat64)
	f := claw.SizeFactor(where.Weight)
	d := &Dog{
		Where: where, world: w, r: r, gross: truth.Shared[state.Growth] + (one(w.Faster)-1)*growth.Usual(where),
		rest: math.Max(0.3*f, truth.Shared[state.Rest]),
		pull: quick.UsualFollow(1).Pull * math.Exp(w.PullSD*r.NormFloat64()),
		wear: map[nail.Group]float64{
			nail.Fore:       truth.Shared[state.WearFore],
			nail.HindMiddle: truth.Shared[state.WearMiddle],
			nail.HindOuter:  truth.Shared[state.WearOuter],
		},
		scale: quick.DrawScale(r.Float64()) * one(w.Later),
	}
	for i, n := range nails {
		y := truth.Nails[i]
		form := claw.Assumed(n.Code, n.Shape, where.Weight)
		length := math.Max(y[state.Length], form.Length/3)
		d.Nails = append(d.Nails, HiddenNail{
			Traits: n, Form: form, Own: y[state.Own], Length: length, Floor: y[state.Floor],
			Spare: math.Min(length-form.Length/10, gammaLike(prior.Spare(i), y[state.Spare])*one(w.Shorter)),
		})
	}
	return d
}

// gammaLike is a spare that was drawn from a normal, moved to the gamma distribution of the same mean
// and sd: a living nail always has some horn in front of its quick.
func gammaLike(n state.Normal, drawn float64) float64 {
	shape, rate := n.Mean*n.Mean/(n.SD*n.SD), n.Mean/(n.SD*n.SD)
	below := distuv.UnitNormal.CDF((drawn - n.Mean) / n.SD)
	return distuv.Gamma{Alpha: shape, Beta: rate}.Quantile(math.Min(math.Max(below, 1e-9), 1-1e-9))
}

func one(factor float64) float64 {
	if factor == 0 {
		return 1
	}
	return factor
}

// Rate is a nail's true net growth, mm a week.
func (d *Dog) Rate(i int) float64 {
	n := d.Nails[i]
	worn := d.wear[n.Code.Group()] * d.Where.Pavement * claw.SizeFactor(d.Where.Weight)
	return math.Max(0.05, growth.Usual(d.Where)+d.gross+n.Own-worn)
}

// Gross is the true growth of a nail of this dog that nothing wears, mm a week.
func (d *Dog) Gross() float64 { return growth.Usual(d.Where) + d.gross }

// Grow lets weeks pass.
func (d *Dog) Grow(weeks float64) {
	for i := range d.Nails {
		n := &d.Nails[i]
		root := math.Sqrt(weeks)
		spareBy, lengthBy := state.SpareDrift*root*d.r.NormFloat64(), state.LengthDrift*root*d.r.NormFloat64()
		before := *n
		drift := quick.Drift{Rate: d.Rate(i), Follow: quick.Follow{Pull: d.pull, Rest: d.rest}}
		n.Spare, n.Length = drift.After(quick.Spare{Mean: n.Spare}, weeks).Mean, n.Length+drift.Rate*weeks
		if d.past(n) > 0 || n.Spare > d.rest+longSpare {
			*n = before
			d.alone(n, drift, weeks)
		}
		n.Spare = math.Max(0, n.Spare+spareBy)
		n.Length = math.Max(n.Spare+n.Form.Length/10, n.Length+lengthBy)
		n.Own += state.OwnDrift * root * d.r.NormFloat64()
		n.Spare = math.Min(n.Spare, state.MostSpare*n.Length) // where it were longer the quick has grown
	}
	d.Where.Age += weeks
}

// past is how far a nail has grown beyond where the floor wears it, mm.
func (d *Dog) past(n *HiddenNail) float64 {
	if n.Code.Dewclaw() {
		return -1
	}
	return n.Length - n.Floor - wornFrom*claw.SizeFactor(d.Where.Weight)
}

func (d *Dog) alone(n *HiddenNail, drift quick.Drift, weeks float64) {
	for left := weeks; left > 0; left -= day {
		step := math.Min(left, day)
		grows := drift.Rate * step
		if past := d.past(n); past > 0 {
			grows -= past / (wornReach * claw.SizeFactor(d.Where.Weight)) * grows
		}
		follows := d.pull * (n.Spare - d.rest)
		if over := n.Spare - d.rest - longSpare; over > 0 {
			follows += longPull * d.pull * over
		}
		n.Length += grows
		n.Spare += grows - follows*step
	}
}

// Slice is how thick a slice comes out that is meant to be so many mm, mm: off a nail, or off a stick.
func (d *Dog) Slice(mm float64) float64 {
	sd := hand.Slices{}.SD(mm)
	if d.world.CutShare > 0 {
		sd = d.world.CutShare * mm
	}
	if d.world.CutTimes > 0 {
		mm *= d.world.CutTimes
	}
	return math.Max(0.02, mm+sd*d.r.NormFloat64())
}

// Cut takes about so many mm off a nail, and returns what the end then shows to whoever looks.
func (d *Dog) Cut(i int, mm float64) quick.Face {
	n := &d.Nails[i]
	off := d.Slice(mm)
	n.Length -= off
	n.Spare -= off
	face := quick.DrawFace(n.Colour, n.Spare, d.scale*n.Form.Depth/quick.SignsDepth, d.r.Float64())
	if n.Spare <= 0 {
		face = quick.Blood
	}
	if face == quick.Blood {
		n.Spare = math.Max(0, n.Spare)
		return face
	}
	if d.r.Float64() < d.world.Misread {
		face = d.misread(n.Colour, face, d.r.Float64() < 0.5)
	}
	if d.world.Milder > 0 && d.r.Float64() < d.world.Milder {
		face = d.misread(n.Colour, face, true)
	}
	return face
}

// misread is the face one step beside; nobody takes blood for anything else, nor anything for blood.
func (d *Dog) misread(c nail.Colour, face quick.Face, milder bool) quick.Face {
	faces := quick.Faces(c)
	faces = faces[:len(faces)-1]
	at := 0
	for k, f := range faces {
		if f == face {
			at = k
		}
	}
	if milder {
		return faces[max(0, at-1)]
	}
	return faces[min(len(faces)-1, at+1)]
}

// Feel tells what passes under a nail.
func (d *Dog) Feel(i int) measure.Under {
	n := d.Nails[i]
	left := n.Floor - n.Length + 0.1*d.r.NormFloat64()
	switch {
	case left <= 0:
		return measure.Touches
	case left <= state.Reach(n.Form, n.Length, claw.CardGap):
		return measure.Paper
	default:
		return measure.Card
	}
}

// Measured is what a caliper says of a nail's length.
func (d *Dog) Measured(i int) measure.Number {
	sd := measure.Length.SD(measure.Caliper)
	return measure.Length.Told(math.Max(1, d.Nails[i].Length+sd*d.r.NormFloat64()), measure.Caliper, sd)
}

// Error is how far off somebody reads the end of the groove, mm.
func (d *Dog) Error() float64 { return quick.GrooveSD * d.r.NormFloat64() }
