// Package record is what was told of a dog: its sittings nail by nail, and its walk-rounds; what of it
// cannot be, what is asked for again, and how the state takes it.
package record

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/temper"
)

// Nail is what was done to one nail. A length or gap that nobody measured is nil.
type Nail struct {
	Code         nail.Code
	LengthBefore *measure.Number
	LengthAfter  *measure.Number
	GapBefore    *measure.Number // to the floor
	GapAfter     *measure.Number // to the floor
	SpareLeft    *measure.Number // to the quick, where it was seen at the end
	Cuts         []float64
	Faces        []quick.Face // what each cut showed; empty where nobody told it, shorter where none did
	Landmarks    []quick.Seen // where the quick was seen to end before the first cut
	EndFace      quick.Face   // what the last cut showed; empty where nobody told it
	Tool         kit.Tool
	Reaction     temper.Reaction
	Blood        bool
	Colour       nail.Colour // as it was seen at the bench; empty when nobody told it
	Edged        bool        // a sliver off sides and top
	Item         string      // the piece of kit it was done with, by its id; empty when nobody said
	TookForce    bool        // the blade had to be forced: it is blunt
	Sure         bool        // its numbers were asked for again, and stand
}

// Removed is what came off, mm: the difference of two measured lengths, or else the cuts.
func (r Nail) Removed() float64 {
	if r.LengthBefore != nil && r.LengthAfter != nil {
		return r.LengthBefore.MM - r.LengthAfter.MM
	}
	sum := 0.0
	for _, c := range r.Cuts {
		sum += c
	}
	return sum
}

// LeftAlone tells whether the record says nothing of the nail itself.
func (r Nail) LeftAlone() bool {
	return len(r.Cuts) == 0 && r.LengthBefore == nil && r.LengthAfter == nil &&
		r.GapBefore == nil && r.GapAfter == nil && r.SpareLeft == nil && len(r.Landmarks) == 0 && r.Colour == ""
}

// Sitting is one trim, of all nails or some.
type Sitting struct {
	On      date.Date
	Note    string
	Minutes *float64   // that it took; nil when nobody timed it
	Calm    *float64   // minutes before the first sign; nil when there was none, or nobody noted it
	Helper  bool       // somebody fed and steadied
	Ticks   []string   // what was laid out: keys of the checklist
	Smooth  []nail.Paw // that a finger went round at the end
	Records []Nail     // in the order of the work
}

// HowFar is how far a whole sitting went, told in one press.
type HowFar string

const (
	Tips       HowFar = "tips" // only the tips: it says nothing of where the quick is
	FirstSigns HowFar = "first_sign"
	AsFar      HowFar = "full" // as far as it goes: to the dot
)

// Went is the sitting with the end of every nail that was cut and has none of its own told at once.
func (s Sitting) Went(far HowFar, d dog.Dog) Sitting {
	s.Records = slices.Clone(s.Records)
	for i, r := range s.Records {
		if len(r.Cuts) == 0 || r.Blood || r.EndFace != "" || len(r.Faces) == len(r.Cuts) {
			continue
		}
		n, _ := d.Nail(r.Code)
		light := n.Colour == nail.Light
		switch {
		case far == FirstSigns && light:
			s.Records[i].EndFace = quick.Blush
		case far == FirstSigns:
			s.Records[i].EndFace = quick.DarkCentre
		case far == AsFar && light:
			s.Records[i].EndFace = quick.PinkDot
		case far == AsFar:
			s.Records[i].EndFace = quick.Dot
		}
	}
	return s
}

// Cut counts the nails that something came off, and tells the most that came off one, mm.
func (s Sitting) Cut() (nails int, most float64) {
	for _, r := range s.Records {
		if removed := r.Removed(); removed > 0 {
			nails++
			most = max(most, removed)
		}
	}
	return nails, most
}

// Bled lists the nails that bled.
func (s Sitting) Bled() []nail.Code {
	codes := []nail.Code{}
	for _, r := range s.Records {
		if r.Blood {
			codes = append(codes, r.Code)
		}
	}
	return codes
}

// Worst is how the dog took the nail that it took worst.
func (s Sitting) Worst() temper.Reaction {
	worst := temper.Calm
	for _, r := range s.Records {
		worst = temper.Worst(worst, r.Reaction)
	}
	return worst
}
