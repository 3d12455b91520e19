// Package outlook is what is to be done with a dog's feet: the verdict on each nail today, the next date,
// what to know before they are touched, and what rhythms would do.
//
// In its words:
//
//   - Terms: what plans and dates keep to besides the dog: margin, days off, the hand, ladders
//   - Planned: a nail with its verdict on a day
//   - Next: the next date with its reasons, and what would move it
package outlook

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
)

// Planned is one nail today: as it is, and what is to be done with it.
type Planned struct {
	feet.Reading
	verdict.Verdict
	Case verdict.Case // that the verdict is on, so that it can be asked again with another tool
}

// Terms are what plans and dates keep to besides the dog itself.
type Terms struct {
	Margin   float64           // spare that a trim leaves in front of the quick, mm for a nail 7 mm deep
	Closed   []date.Span       // holidays: nobody works then
	Training map[nail.Paw]bool // paws on a ladder: the ladder helps their nails, no date and no trim
	Hand     verdict.Terms     // whose, and when it stops
	Dates    rhythm.Dates      // what sets a dog's dates where nobody chose for it; empty is by the floor
	Keeper   bool              // at home: others do what is not for a keeper's hands
}

// Plan is the verdict on every nail, in the order of the dog's nails.
func Plan(f feet.Feet, day date.Date, terms Terms) []Planned {
	plan := Cases(f, day, terms)
	for i, p := range plan {
		plan[i].Verdict = verdict.Of(p.Case, terms.Margin, terms.Hand)
	}
	return plan
}

// Cases is every nail as the verdict is asked of it, nobody having asked yet.
func Cases(f feet.Feet, day date.Date, terms Terms) []Planned {
	now := f.Work(day)
	all := make([]Planned, len(f.Nails))
	for i, r := range now.On(day) {
		all[i] = Planned{Reading: r, Case: caseOf(now, i, r, terms)}
	}
	return all
}

// kinds are what becomes of every nail on a day, in the order of the dog's nails.
func kinds(f feet.Feet, day date.Date, terms Terms) []verdict.Kind {
	now := f.Work(day)
	all := make([]verdict.Kind, len(f.Nails))
	for i, r := range now.On(day) {
		all[i] = verdict.KindOf(caseOf(now, i, r, terms), terms.Margin, terms.Hand)
	}
	return all
}

// caseOf is a nail as the verdict is asked of it on the day of the feet, nothing done to it yet today.
func caseOf(f feet.Feet, i int, r feet.Reading, terms Terms) verdict.Case {
	believed, known := f.Belief(i, r)
	training, tips := terms.Training[r.Code.Paw], f.Handling.TipsMeanwhile && temper.Puppy(f.AgeWeeks(f.Day()))
	refused := say.Line{}
	if no, is := f.Refusal(r.Code.Paw, f.Day()); is {
		refused = noWords(no)
	}
	return verdict.Case{
		Barred:   barred(f, r, terms),
		Training: training && !tips,
		TipOnly:  training && tips,
		Refused:  refused,
		Dewclaw:  r.Code.Dewclaw(),
		Curling:  r.Curling(),
		Unseen:   r.Unseen(),
		PastPad:  r.PastPad,
		Touches:  r.OnFloor,
		Today:    r.Trimmed == f.Day(),
		Clear:    clearFor(r, f.Rhythm.Days()/7, f.WishedGap),
		Spare:    r.Spare.Value,
		Worked:   verdict.Worked{Belief: believed, Depth: r.Claw.Depth, Known: known},
	}
}

// barred says why a nail is a veterinarian's matter; empty when it is not.
func barred(f feet.Feet, r feet.Reading, terms Terms) say.Line {
	flag, closed := f.Closed()
	switch {
	case closed:
		return say.Of(aVeterinarianLooksFirstThen, say.Args{"flag": flag})
	case r.State.Veterinary():
		return say.Of(aVeterinarianLooksFirst, say.Args{"state": r.State.Say()})
	case r.InSkin():
		return say.Of(mayTouchTheSkin, say.Args{"elsewhere": Elsewhere(terms.Keeper)})
	default:
		return say.Line{}
	}
}

// clearFor tells whether the nail stays clear of the floor, or above the gap that its keeper wishes,
// for so many weeks, even if it grows as fast as one dog in ten.
func clearFor(r feet.Reading, weeks, wished float64) bool {
	return !r.Code.Dewclaw() && r.Stance().GrowthToGap(wished) > growth.Cautious(r.Rate)*weeks
}

// Told moves feet that are worked on a day on by what was told of one nail, and returns the case that
// the verdict is now on.
func Told(f *feet.Feet, r record.NailRecord, terms Terms) (verdict.Case, bool) {
	i := f.Index(r.Code)
	if i < 0 {
		return verdict.Case{}, false
	}
	c := caseOf(*f, i, f.Read(i), terms)
	e := r.Event(f.Day())
	c.Reads, c.Cuts = len(e.Landmarks) > 0, len(e.Cuts)
	c.Belief = f.Take(i, e)
	if n := len(e.Cuts); n > 0 {
		if c.Last = e.Cuts[n-1].Face; e.EndFace != "" {
			c.Last = e.EndFace
		}
	}
	return c, true
}
