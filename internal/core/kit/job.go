package kit

import "fribbet/internal/core/nail"

// Purpose is what a tool is taken up for.
type Purpose string

const (
	Length    Purpose = "length"
	Smoothing Purpose = "smoothing"
)

// Noise is how a dog takes the sound of a grinder.
type Noise string

const (
	NoiseUnknown Noise = "unknown"
	NoiseFine    Noise = "fine"
	NoiseAfraid  Noise = "afraid"
)

// Hand is how practised the one who trims is.
type Hand string

const (
	NewHand       Hand = "new"
	SomeHand      Hand = "some"
	PractisedHand Hand = "practised"
)

// Job is one nail to be done, as far as the choice of a tool depends on it.
type Job struct {
	Code       nail.Code
	Shape      nail.Shape
	State      nail.Condition
	Colour     nail.Colour
	CloseToPad bool    // curled or turned so far that little room is left under it
	Depth      float64 // ridge to underside, mm
	Take       float64 // what is to come off, mm
	Weight     float64 // of the dog, kg
	AgeWeeks   float64
	LongCoat   bool
	Noise      Noise
	Learning   bool // the dog is still on a grinder ladder
	Hand       Hand
	Purpose    Purpose
	Often      bool // done every week or more often
	Way        Way  // how this dog is worked
	Last       Tool // that the nail was done with before; empty when it never was
}

func (j Job) curled() bool { return j.Shape == nail.Curled || j.CloseToPad }

// Speed is how fast a grinder is to turn.
type Speed string

const (
	LowSpeed  Speed = "low"  // for smoothing and for most owners
	HighSpeed Speed = "high" // for bulk
)

// SpeedFor is the grinder's speed for a job.
func SpeedFor(j Job) Speed {
	if j.Purpose == Length && j.Hand == PractisedHand {
		return HighSpeed
	}
	return LowSpeed
}
