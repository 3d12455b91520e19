package outlook

import (
	"cmp"
	"fmt"
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
	"fribbet/internal/core/verdict"
)

// Next is the dog's next sitting.
type Next struct {
	due.Next
	Reason say.Line // the deciding rule in a few words
	Why    due.Explanation
	Look   *WantedLook // that would settle the date; nil where it is known well enough
}

// NextOf sets the date of the next sitting. There is none when nobody has trimmed or looked at the
// dog yet, it has no nail that may be trimmed, or it is a veterinarian's matter as a whole.
func NextOf(f feet.Feet, terms Terms) (Next, bool, error) {
	if _, closed := f.Closed(); closed || f.Known().IsZero() {
		return Next{}, false, nil
	}
	known := f.Known()
	now := f.At(known)
	trim := due.Trim{
		On:       known,
		Sat:      f.Sat(),
		Rhythm:   f.Rhythm,
		Dates:    cmp.Or(f.Dates, terms.Dates),
		Once:     f.Once,
		Workdays: date.Workdays{Weekdays: f.Workdays, Closed: terms.Closed},
		Weight:   f.WeightOn(known),
		Margin:   terms.Margin,
		Short:    f.Short,
		Follow:   quick.Follow{Pull: quick.UsualFollow(1).Pull, Rest: math.Max(0, now.Rest().Mean)},
		Soonest:  soonest(f.Rhythm.Days()),
	}
	rest := leftOver(f, terms)
	for i, r := range f.On(known) {
		if !r.State.Veterinary() && !r.InSkin() && !terms.Training[r.Code.Paw] {
			one := asLeft(r, f.WishedGap, terms)
			if no, is := f.Refusal(r.Code.Paw, known); is {
				one.NotBefore = no.Until
			}
			one.Rest, one.Done = rest[i], !r.Trimmed.IsZero() && r.Trimmed == f.Sat()
			trim.Nails = append(trim.Nails, one)
		}
	}
	if len(trim.Nails) == 0 {
		return Next{}, false, nil
	}
	next, err := due.After(trim)
	if err != nil {
		return Next{}, false, fmt.Errorf("%s: %w", f.Name, err)
	}
	day, is, mayTouch := cautious(f)
	if next.Cautious, next.MayTouch = next.Due, mayTouch; is && day.Before(next.Due) {
		next.Cautious = day
	}
	sayWhatWaits(next, f, kinds(f, next.Due, terms))
	if next.Rule == due.Refused {
		trim.No = noWords(refusalOf(f, next))
	}
	told := Next{next, trim.Reason(next), trim.Explain(next), nil}
	if look, is := wanted(f, next); is {
		told.Look = &look
	}
	return told, true, nil
}

// sayWhatWaits makes "can wait" the verdict's word on the day of the sitting, as Ready will say it then: a nail
// that is left. A dewclaw is never told to wait: little, but every time (trade).
func sayWhatWaits(next due.Next, f feet.Feet, then []verdict.Kind) {
	for i, one := range next.PerNail {
		next.PerNail[i].CanWait = then[f.Index(one.Code)] == verdict.Leave && !one.Code.Dewclaw()
	}
}

// soonest is how many days after a sitting the next may be at the earliest: a third of the rhythm, and no rhythm of a
// week or more comes within a week (judgement: with half of four weeks dates by the floor left as many nails on the
// floor as even distances do; with a week they called 31 times a year).
func soonest(rhythm float64) float64 {
	if rhythm < 7 {
		return rhythm
	}
	return math.Max(7, rhythm/3)
}

// WhyNone says in a few words why NextOf gives no date.
func WhyNone(f feet.Feet) say.Line {
	if flag, closed := f.Closed(); closed {
		return say.Of(aVeterinarianFirstThenLook, say.Args{"flag": flag})
	}
	if f.Known().IsZero() {
		return say.Of(noTrimYetLookAt)
	}
	return say.Of(noNailThatMayBe)
}

// asLeft is the nail as the next date depends on it. What was reckoned is kept within what a nail
// can be: only what was told is refused.
func asLeft(r feet.Reading, wished float64, terms Terms) due.TrimmedNail {
	size := verdict.Size(r.Claw.Depth)
	n := due.TrimmedNail{
		Code: r.Code, Claw: r.Claw, WishedGap: wished, Rate: r.Rate, PastPad: r.PastPad,
		Spare:     math.Min(r.Spare.Value, r.Claw.Length),
		Margin:    terms.Margin * size,
		Least:     verdict.Least(r.Claw.Depth, terms.Hand),
		LongQuick: !r.Trimmed.IsZero() && !r.Cleared && !r.Code.Dewclaw(),
		Unseen:    !r.Looked,
	}
	if r.Code.Dewclaw() {
		n.Unseen = r.Unseen()
	} else {
		n.Gap = math.Min(math.Max(0, r.Stance().Gap()), claw.MostGap)
	}
	return n
}

// leftOver tells of each nail whether the last sitting left it for another day: nothing came off it, though
// it was believed to touch and there was something to take, and others were done. A keeper goes on the next
// day; for a groomer the rest goes to the next visit.
func leftOver(f feet.Feet, terms Terms) []bool {
	left := make([]bool, len(f.Nails))
	if !terms.Keeper || f.Sat().IsZero() {
		return left
	}
	any, asks := false, kinds(f, f.Day(), terms)
	for i, r := range f.On(f.Day()) {
		done := r.Trimmed == f.Sat()
		any = any || done
		left[i] = !done && r.OnFloor && !r.Bled && (asks[i] == verdict.Trim || asks[i] == verdict.AskFirst)
	}
	if !any {
		clear(left)
	}
	return left
}
