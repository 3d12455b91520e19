package dog

import (
	"math"

	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/nail"
)

// Next is the dog's next sitting.
type Next struct {
	due.Next
	Reason string // the deciding rule in a few words
}

// Next sets the date of the next sitting, leaving margin mm in front of the quick. There is
// none when nobody has trimmed or looked at the dog yet, or it has no nail that may be trimmed.
// Nails of the paws in training are not asked: no date helps them, the ladder does.
func (f Feet) Next(margin float64, training map[nail.Paw]bool) (Next, bool, error) {
	if f.known.IsZero() {
		return Next{}, false, nil
	}
	trim := due.Trim{
		On: f.known, Sat: f.on, Rhythm: f.dog.Rhythm, Workdays: f.dog.Workdays,
		Weight: f.dog.WeightOn(f.known), Margin: margin,
	}
	for _, t := range f.toes {
		if !t.State.Veterinary() && !training[t.Code.Paw] {
			trim.Nails = append(trim.Nails, t.asLeft(f.dog, f.known))
		}
	}
	if len(trim.Nails) == 0 {
		return Next{}, false, nil
	}
	next, err := due.After(trim)
	if err != nil {
		return Next{}, false, err
	}
	return Next{next, trim.Reason(next)}, true, nil
}

// WhyNone says in a few words why Next gives no date.
func (f Feet) WhyNone() string {
	if f.known.IsZero() {
		return "no sitting yet: look at the feet"
	}
	return "no nail that may be trimmed"
}

// asLeft is the nail on the day of the dog's last sitting or check, which may be later than its own.
func (t toe) asLeft(d Dog, day date.Date) due.Nail {
	now := t.at(d, day)
	return due.Nail{
		Code: t.Code, Claw: t.claw.Grown(now.grown),
		Gap:       math.Max(0, t.stance().GapAfterGrowth(now.grown)),
		WishedGap: d.WishedGap,
		Rate:      d.RateOn(t.Code, day), PastPad: t.pastPad,
		Spare: math.Min(now.length, now.spare.Mean),
	}
}
