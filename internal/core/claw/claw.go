// Package claw is the nail in side view: an arc of horn that turns as it grows.
//
// Coordinates are in mm: x forward, z up, the floor at z = 0. The ridge is an arc of the
// claw's radius that leaves the coat line at the base angle below horizontal. A point of
// the horn is named by its distance from the arc's centre and its angle, measured like the
// ridge's own angle below horizontal; growth turns every such point about the centre.
package claw

import (
	"math"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// Claw is one nail's form.
type Claw struct {
	Length    float64 // along the ridge from the coat line to the tip, mm
	BaseAngle float64 // of the ridge below horizontal at the coat line, radians
	Radius    float64 // of the ridge's arc, mm
	Depth     float64 // ridge to underside at the coat line, mm
	Taper     float64 // share of the depth lost from coat line to tip, 0 to 1
}

// Check returns the fields that no nail can have, under the contract's names; nil when it is sound.
func (c Claw) Check() fault.Fields {
	var f fault.Fields
	f.Range("length_mm", c.Length, 0.2, MostLength, fault.MM)
	f.Range("base_angle_deg", Degrees(c.BaseAngle), 0, 80, fault.Degrees)
	f.Range("radius_mm", c.Radius, 1, 500, fault.MM)
	f.Range("depth_mm", c.Depth, 0.2, 30, fault.MM)
	f.Range("taper", c.Taper, 0, 1, fault.Share)
	if c.Depth >= c.Radius {
		f.Add("depth_mm", c.Depth, say.Of(mustBeLessThanRadius))
	}
	return f
}

// SizeFactor scales lengths with a dog's weight in kg: (weight/20)^(1/3), geometric
// similarity (judgement).
func SizeFactor(weight float64) float64 { return math.Cbrt(weight / referenceWeight) }

// Assumed returns the claw of a nail that nobody has measured, for a dog of this weight in kg.
func Assumed(code nail.Code, shape nail.Shape, weight float64) Claw {
	d := usualNail
	switch {
	case code.Dewclaw() && shape == nail.Curled:
		d = curledDew
	case code.Dewclaw():
		d = dewclawNail
	case shape == nail.Curled:
		d = curledNail
	case shape == nail.Straight:
		d = straightNail
	case shape == nail.Hooked:
		d = hookedNail
	}
	f := SizeFactor(weight)
	if code.Paw.Hind() && !code.Dewclaw() {
		d.length *= hindLength
	}
	return Claw{d.length * f, Radians(d.baseAngle), d.radius * f, d.depth * f, d.taper}
}

// WithLength returns the same nail cut or grown to another length in mm: the horn goes on
// thinning at the same slope, so a shorter nail ends thicker.
func (c Claw) WithLength(length float64) Claw {
	c.Taper = math.Min(maxTaper, c.Taper*length/c.Length)
	c.Length = length
	return c
}

// Grown returns the nail after mm of growth, its tip as thick as it was.
func (c Claw) Grown(mm float64) Claw {
	c.Length += mm
	return c
}

// Turn is the ridge's angle below horizontal at the tip, radians.
func (c Claw) Turn() float64 { return c.angleAt(c.Length) }

// GrowthToTurn is how many mm must grow until the tip has turned to angle (radians); 0 when it has.
func (c Claw) GrowthToTurn(angle float64) float64 {
	return math.Max(0, c.Radius*(angle-c.Turn()))
}

func (c Claw) angleAt(s float64) float64 { return c.BaseAngle + s/c.Radius }

// depthAt is the horn's depth at arc length s, mm.
func (c Claw) depthAt(s float64) float64 { return c.Depth * (1 - c.Taper*s/c.Length) }

// Radians turns degrees into radians.
func Radians(degrees float64) float64 { return degrees * math.Pi / 180 }

// Degrees turns radians into degrees.
func Degrees(radians float64) float64 { return radians * 180 / math.Pi }
