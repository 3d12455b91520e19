package dog

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/state"
	"fribbet/internal/core/verdict"
)

// Planned is one nail today: as it is, and what is to be done with it.
type Planned struct {
	Reading
	verdict.Verdict
	Case verdict.Nail // that the verdict is on, so that it can be asked again with another tool
}

// Terms are what plans and dates keep to besides the dog itself.
type Terms struct {
	Margin   float64           // spare that a trim leaves in front of the quick, mm for a nail 7 mm deep
	Closed   []date.Span       // holidays: nobody works then
	Training map[nail.Paw]bool // paws on a ladder: the ladder helps their nails, no date and no trim
	Hand     verdict.Terms     // whose, and when it stops
	Keeper   bool              // at home: others do what is not for a keeper's hands
}

// Plan is the verdict on every nail, in the order of the dog's nails.
func (f Feet) Plan(day date.Date, terms Terms) []Planned {
	now := f.at(day)
	plan := make([]Planned, len(f.Nails))
	for i, r := range f.On(day) {
		c := f.Case(&now, i, r, terms)
		plan[i] = Planned{r, verdict.Of(c, terms.Margin, terms.Hand), c}
	}
	return plan
}

// Case is a nail as the verdict is asked of it, nothing done to it yet today.
func (f Feet) Case(now *state.State, i int, r Reading, terms Terms) verdict.Nail {
	return verdict.Nail{
		Barred: f.barred(r, terms), Training: terms.Training[r.Code.Paw],
		Dewclaw: r.Code.Dewclaw(), Curling: r.Curling(), PastPad: r.PastPad, Touches: r.OnFloor,
		Clear: r.clearFor(f.Rhythm.Days()/7, f.WishedGap), Spare: r.Spare.Value,
		Worked: verdict.Worked{Belief: now.Belief(i, r.claw, state.Work{}), Depth: r.claw.Depth, Known: now.Worked(i)},
	}
}

// barred says why a nail is a veterinarian's matter; empty when it is not.
func (f Feet) barred(r Reading, terms Terms) string {
	flag, closed := f.Closed()
	switch {
	case closed:
		return flag + ": a veterinarian looks first, then look again"
	case r.State.Veterinary():
		return string(r.State) + ": a veterinarian looks first"
	case r.InSkin():
		return "may touch the skin: " + Elsewhere(terms.Keeper)
	default:
		return ""
	}
}

// clearFor tells whether the nail stays clear of the floor, or above the gap that its keeper wishes,
// for so many weeks, even if it grows as fast as one dog in ten.
func (r Reading) clearFor(weeks, wished float64) bool {
	return !r.Code.Dewclaw() && r.stance().GrowthToGap(wished) > growth.Cautious(r.Rate)*weeks
}

// Work is the state of the nails as they are worked on a day: a copy, to be moved on by what is told.
func (f Feet) Work(day date.Date) Feet {
	f.state = f.state.Clone()
	f.until(day)
	return f
}

// Told moves the state on by what was told of one nail, and returns the case that the verdict is
// now on: the bench and the fold take it the same way.
func (f *Feet) Told(r Record, day date.Date, terms Terms) (verdict.Nail, bool) {
	i := f.index(r.Code)
	if i < 0 {
		return verdict.Nail{}, false
	}
	before := f.read(i, &f.state, f.Where(day))
	c := f.Case(&f.state, i, before, terms)
	e := r.Event(day)
	f.state.Nails[i].Colour = colourSeen(f.state.Nails[i].Colour, e)
	c.Known, c.Reads, c.Cuts = f.state.Worked(i), len(e.Landmarks) > 0, len(e.Cuts)
	c.Belief, _ = f.state.Take(i, f.form(i), e)
	if n := len(e.Cuts); n > 0 {
		if c.Last = e.Cuts[n-1].Face; e.EndFace != "" {
			c.Last = e.EndFace
		}
	}
	return c, true
}

// Colour is a nail's colour, as it was told or as its faces showed it.
func (f Feet) Colour(code nail.Code) nail.Colour {
	if i := f.index(code); i >= 0 {
		return f.state.Nails[i].Colour
	}
	return nail.Unknown
}
