package dog

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/nail"
)

// Next is the dog's next sitting.
type Next struct {
	due.Next
	Reason string // the deciding rule in a few words
	Why    due.Explanation
}

// Terms are what a date keeps to besides the dog itself.
type Terms struct {
	Margin   float64           // spare that a trim leaves in front of the quick, mm
	Closed   []date.Span       // holidays: nobody works then
	Training map[nail.Paw]bool // paws on a ladder: no date helps their nails, the ladder does
}

// Next sets the date of the next sitting. There is none when nobody has trimmed or looked at the
// dog yet, it has no nail that may be trimmed, or it is a veterinarian's matter as a whole.
func (f Feet) Next(terms Terms) (Next, bool, error) {
	if _, closed := f.Closed(); closed || f.known.IsZero() {
		return Next{}, false, nil
	}
	trim := due.Trim{
		On: f.known, Sat: f.on, Rhythm: f.Rhythm, Workdays: date.Workdays{Weekdays: f.Workdays, Closed: terms.Closed},
		Weight: f.WeightOn(f.known), Margin: terms.Margin, Follow: f.Habit.Follow(), Short: f.Short,
	}
	for _, t := range f.toes {
		if !t.State.Veterinary() && !terms.Training[t.Code.Paw] {
			trim.Nails = append(trim.Nails, t.asLeft(f.body, f.known))
		}
	}
	if len(trim.Nails) == 0 {
		return Next{}, false, nil
	}
	next, err := due.After(trim)
	if err != nil {
		return Next{}, false, err
	}
	return Next{next, trim.Reason(next), trim.Explain(next)}, true, nil
}

// WhyNone says in a few words why Next gives no date.
func (f Feet) WhyNone() string {
	if flag, closed := f.Closed(); closed {
		return flag + ": a veterinarian first, then look at the feet again"
	}
	if f.known.IsZero() {
		return "no sitting yet: look at the feet"
	}
	return "no nail that may be trimmed"
}

// asLeft is the nail on the day of the dog's last sitting or check, which may be later than its
// own. What was reckoned is kept within what a nail can be: only what was told is refused.
func (t toe) asLeft(b body, day date.Date) due.Nail {
	now := t.at(b, day)
	form := t.Claw.Grown(now.grown)
	form.Length = math.Min(form.Length, claw.MostLength)
	return due.Nail{
		Code: t.Code, Claw: form,
		Gap:       between(0, t.stance().GapAfterGrowth(now.grown), claw.MostGap),
		WishedGap: b.WishedGap,
		Rate:      b.rateOn(t.Code, day), PastPad: t.PastPad,
		Spare: between(0, now.spare.Mean, form.Length),
	}
}

func between(low, v, high float64) float64 { return math.Max(low, math.Min(v, high)) }
