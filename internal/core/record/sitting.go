// Package record is what was told of a dog: its sittings nail by nail, and its walk-rounds; what of it
// cannot be, what is asked for again, and how the state takes it.
package record

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/state"
	"fribbet/internal/core/temper"
)

// NailRecord is what was done to one nail. A length or gap that nobody measured is nil.
type NailRecord struct {
	Code         nail.Code
	LengthBefore *measure.Number
	LengthAfter  *measure.Number
	GapBefore    *measure.Number // to the floor
	GapAfter     *measure.Number // to the floor
	SpareLeft    *measure.Number // to the quick, where it was seen at the end
	Cuts         []float64
	Faces        []quick.Face   // what each cut showed; empty where nobody told it, shorter where none did
	Landmarks    []quick.Seen   // where the quick was seen to end before the first cut
	EndFace      quick.Face     // what the last cut showed; empty where nobody told it
	Ended        state.Ended    // what was said of the end, where its face was not told
	Stop         quick.EndPoint // at which sign the hand stopped, whatever it saw; empty is the first
	Hand         hand.Slices    // how this hand's slices come out, as it was known then
	Assumed      bool           // nobody counted the cuts: they are a plan's, as it was accepted
	Tool         kit.Tool
	Reaction     temper.Reaction
	Blood        bool
	Colour       nail.Colour // as it was seen at the bench; empty when nobody told it
	Edged        bool        // a sliver off sides and top
	Item         string      // the piece of kit it was done with, by its id; empty when nobody said
	TookForce    bool        // the blade had to be forced: it is blunt
	Sure         bool        // its numbers were asked for again, and stand
	Ground       *Ground     // its second pass; nil when there was none
}

// Ground is the second pass of a nail that was clipped: ground round, and perhaps shorter.
type Ground struct {
	Tool    kit.Tool
	Item    string    // by its id; empty when nobody said
	Touches []float64 // mm each; none where it was only ground round, which shortens nothing
}

// Slice is a cut of the nail, the first being 0: how thick it was meant to be, mm, and what it showed; false where
// there was none, or nobody told what it showed.
func (r NailRecord) Slice(k int) (mm float64, face quick.Face, is bool) {
	if k < 0 || k >= len(r.Cuts) {
		return 0, "", false
	}
	if k < len(r.Faces) {
		face = r.Faces[k]
	}
	if k == len(r.Cuts)-1 {
		switch {
		case r.Blood:
			face = quick.Blood
		case r.EndFace != "":
			face = r.EndFace
		}
	}
	return r.Cuts[k], face, face != ""
}

// touches are those of the second pass, mm.
func (r NailRecord) touches() []float64 {
	if r.Ground == nil {
		return nil
	}
	return r.Ground.Touches
}

// Removed is what came off, mm: the difference of two measured lengths, or else the cuts.
func (r NailRecord) Removed() float64 {
	if r.LengthBefore != nil && r.LengthAfter != nil {
		return r.LengthBefore.MM - r.LengthAfter.MM
	}
	sum := 0.0
	for _, c := range r.Cuts {
		sum += c
	}
	for _, c := range r.touches() {
		sum += c
	}
	return sum
}

// LeftAlone tells whether the record says nothing of the nail itself.
func (r NailRecord) LeftAlone() bool {
	return len(r.Cuts) == 0 && r.LengthBefore == nil && r.LengthAfter == nil &&
		r.GapBefore == nil && r.GapAfter == nil && r.SpareLeft == nil && len(r.Landmarks) == 0 && r.Colour == ""
}

// Sitting is one trim, of all nails or some.
type Sitting struct {
	On      date.Date
	Note    string
	Minutes *float64     // that it took; nil when nobody timed it
	Calm    *float64     // minutes before the first sign; nil when there was none, or nobody noted it
	Helper  bool         // somebody fed and steadied
	Ticks   []string     // what was laid out: keys of the checklist
	Smooth  []nail.Paw   // that a finger went round at the end
	Held    dog.Position // how it was held, as its page said then; empty where nobody began it at the bench
	Hour    *int         // of the day, at which it began, 0 to 23; nil where it was told afterwards
	Arrival *Arrival     // what was seen before the first cut; nil where nobody looked
	Records []NailRecord // in the order of the work
}

// Outing is the sitting as the dog took it: the nails that something came off, or of which a mood was told.
func (s Sitting) Outing() temper.Outing {
	o := temper.Outing{On: s.On, Minutes: s.Minutes, Calm: s.Calm}
	for _, r := range s.Records {
		o.Cuts += len(r.Cuts)
		if cut := r.Removed() > 0; cut || r.Reaction != temper.Untold {
			o.Touches = append(o.Touches, temper.Touch{Paw: r.Code.Paw, Reaction: r.Reaction, Cut: cut})
		}
	}
	return o
}

// HowFar is how far a whole sitting went, told in one press.
type HowFar string

const (
	Tips       HowFar = "tips" // only the tips: it says nothing of where the quick is
	FirstSigns HowFar = "first_sign"
	AsFar      HowFar = "full" // as far as it goes: to the dot
)

// Went is the sitting of a hand that stops at a sign, and whose slices come out so, with what was said at once of the
// end of every nail that was cut and has none of its own told: that it went to a sign is no sign seen on each.
func (s Sitting) Went(far HowFar, stop quick.EndPoint, slicesOf hand.Slices) Sitting {
	said := map[HowFar]state.Ended{Tips: state.BeforeSign, FirstSigns: state.AtSign, AsFar: state.AtSign}[far]
	switch far {
	case FirstSigns:
		stop = quick.AtFirstSign
	case AsFar:
		stop = quick.Full
	case Tips:
	}
	s.Records = slices.Clone(s.Records)
	for i, r := range s.Records {
		if len(r.Cuts) == 0 {
			continue
		}
		if r.Stop == "" {
			s.Records[i].Stop = stop
		}
		if !r.Hand.Known() {
			s.Records[i].Hand = slicesOf
		}
		if !r.Blood && r.EndFace == "" && len(r.Faces) < len(r.Cuts) {
			s.Records[i].Ended = said
		}
	}
	return s
}

// Cut counts the nails that something came off, and tells the most that came off one, mm: of those of which somebody
// said how much; 0 where nobody did of any.
func (s Sitting) Cut() (nails int, most float64) {
	for _, r := range s.Records {
		if removed := r.Removed(); removed > 0 {
			nails++
			if !r.Assumed {
				most = max(most, removed)
			}
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

// Worst is how the dog took the nail that it took worst; untold where nobody said.
func (s Sitting) Worst() temper.Reaction {
	worst := temper.Untold
	for _, r := range s.Records {
		worst = temper.Worst(worst, r.Reaction)
	}
	return worst
}
