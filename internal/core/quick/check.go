package quick

import (
	"fmt"
	"math"
	"slices"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// Step is one cut and what its face showed.
type Step struct {
	Cut  float64 // mm
	Face Face
}

// Seen is one landmark seen before the first cut.
type Seen struct {
	Mark  Landmark
	Spare float64       // mm
	By    measure.Means // empty is by eye
	SD    float64       // how far it may be off, mm; 0 is what is usual of that landmark
}

// off is how far the landmark may be off, mm.
func (s Seen) off() float64 {
	if s.SD > 0 {
		return s.SD
	}
	return landmarkSD[s.Mark]
}

// Evidence is all that a belief about one nail starts from, and what has been done to it.
type Evidence struct {
	Length, Depth float64 // mm
	Colour        nail.Colour
	Prior         *Spare // nil is no history
	Gamma         bool   // the prior is a gamma distribution, not a normal
	Scales        *Scales
	Landmarks     []Seen
	Steps         []Step
}

// Check returns the fields that cannot be, under the contract's names.
func (n Evidence) Check() fault.Fields {
	var f fault.Fields
	f.Range("length_mm", n.Length, 1, mostLength, fault.MM)
	f.Range("depth_mm", n.Depth, 1, mostDepth, fault.MM)
	if n.Prior != nil {
		f.Range("prior.mean_mm", n.Prior.Mean, 0, mostLength, fault.MM)
		f.Range("prior.sd_mm", n.Prior.SD, gridStep, mostLength, fault.MM)
	}
	for i, l := range n.Landmarks {
		f.Range(fmt.Sprintf("landmarks[%d].spare_mm", i), l.Spare, 0, n.Length, fault.MMOfItsLength)
	}
	removed := 0.0
	for i, s := range n.Steps {
		f.Range(fmt.Sprintf("steps[%d].removed_mm", i), s.Cut, 0.01, mostLength, fault.MM)
		if !slices.Contains(Faces(n.Colour), s.Face) {
			f.Add(
				fmt.Sprintf("steps[%d].face", i),
				s.Face,
				say.Of(mustBeOneOfFor, say.Args{"colour": say.Name(fmt.Sprint(Faces(n.Colour)))}),
			)
		}
		if removed += s.Cut; removed > n.Length && removed-s.Cut <= n.Length {
			f.Add(
				fmt.Sprintf("steps[%d].removed_mm", i),
				s.Cut,
				say.Of(mustLeaveSomethingOfThe, say.Args{"length": say.Length(n.Length)}),
			)
		}
	}
	if n.Scales != nil {
		f = append(f, n.Scales.Check("face_scale")...)
	}
	return f
}

// Check refuses chances that are none, or do not add up to 1.
func (s Scales) Check(name string) (f fault.Fields) {
	sum := 0.0
	for i, w := range s {
		f.Range(fmt.Sprintf("%s[%d]", name, i), w, 0, 1, fault.Chance)
		sum += w
	}
	if math.Abs(sum-1) > 1e-6 {
		f.Add(name, sum, say.Of(mustAddUpTo1))
	}
	return f
}

// Belief works the nail through, and returns with it the last face; empty before the first cut.
// It returns fault.Fields when the nail cannot be.
func (n Evidence) Belief() (*Belief, Face, error) {
	if err := n.Check().Err(); err != nil {
		return nil, "", err
	}
	prior, faces := Assumed(n.Length), UsualScales()
	if n.Prior != nil {
		prior = *n.Prior
	}
	if n.Scales != nil {
		faces = *n.Scales
	}
	var believed Prior = prior
	if n.Gamma {
		believed = Gamma(prior)
	}
	b := NewBelief(n.Length, n.Depth, n.Colour, believed, faces)
	for _, l := range n.Landmarks {
		b.See(l)
	}
	var last Face
	for _, s := range n.Steps {
		b.Cut(s.Cut, s.Face)
		last = s.Face
	}
	return b, last, nil
}
