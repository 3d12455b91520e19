package dog

import (
	"math"

	"fribbet/internal/core/date"
)

// Planned is what a routine trim takes off one nail.
type Planned struct {
	Reading
	Cuts []float64 // slivers, mm; none when the nail is left
	Risk float64   // chance that the cuts reach the quick, 0 to 1
	Why  string
	// Closed: the dog as a whole is a veterinarian's matter until a later walk-round says it is over.
	Closed bool
}

// Barred tells whether the nail is nobody's work here.
func (p Planned) Barred() bool { return p.Closed || p.State.Veterinary() || p.InSkin() }

// Plan is today's routine trim. A nail loses what has grown since its last trim and one sliver
// more, so that a long nail comes back little by little; but it keeps margin mm in front of
// the quick, and beyond a first sliver nothing is planned past the near end of the quick's
// range. A nail never trimmed here loses one sliver at most: what its face shows decides the
// rest. A nail that would stay clear of the floor for the dog's whole rhythm is left.
func (f Feet) Plan(day date.Date, margin float64) []Planned {
	plan := make([]Planned, len(f.toes))
	flag, closed := f.Closed()
	for i, r := range f.On(day) {
		if closed {
			plan[i] = Planned{Reading: r, Closed: true, Why: flag + ": a veterinarian looks first, then look again"}
			continue
		}
		now := f.toes[i].at(f.body, day)
		take, why := f.take(f.toes[i], r, now.grown, margin)
		plan[i] = Planned{Reading: r, Cuts: slivers(take), Why: why}
		if sum := (Record{Cuts: plan[i].Cuts}).Removed(); sum > 0 {
			plan[i].Risk = now.spare.Risk(sum)
		}
	}
	return plan
}

// take is how much of a nail comes off, mm, and why.
func (f Feet) take(t toe, r Reading, grown, margin float64) (float64, string) {
	free := r.Spare.Value - margin
	switch {
	case r.State.Veterinary():
		return 0, string(r.State) + ": a veterinarian looks first"
	case r.InSkin():
		return 0, "may touch the skin: a professional or a veterinarian"
	case free < leastCut:
		return 0, "nothing to take yet"
	case !r.Code.Dewclaw() && t.stance().GrowthToGap(f.WishedGap)-grown > r.Rate.Mean*f.Rhythm.Days()/7:
		return 0, "stays clear of the floor: can wait"
	case r.Trimmed.IsZero():
		return math.Min(Sliver, free), "first time here: one sliver, then look at the face"
	}
	limit, why := math.Max(Sliver, r.Spare.Low), "as far as the quick's range allows"
	if free < limit {
		limit, why = free, "as far as the quick allows"
	}
	if wanted := grown + Sliver; wanted < limit {
		return wanted, "what has grown, and one sliver more"
	}
	return limit, why
}

// slivers parts what is to come off, rounded down to the least cut, into thin cuts.
func slivers(take float64) []float64 {
	const hair = 1e-9
	var cuts []float64
	left := math.Floor(take/leastCut+hair) * leastCut
	for ; left >= Sliver; left -= Sliver {
		cuts = append(cuts, Sliver)
	}
	if left >= leastCut {
		cuts = append(cuts, left)
	}
	return cuts
}
