// Package bench is a sitting under the hands: its log of events, what that comes to, and for each nail
// what is believed of it and what to do next.
//
// In its words:
//
//   - event: one thing that happened, told by whoever saw it under an id of its own
//   - Log: all events of a sitting, in their order; it only grows
//   - State: what a log comes to
//   - Recorder: a log while more is told of it: it refuses what cannot have happened
//   - Bench: where the sitting stands: each nail's belief and verdict, what is asked next
//   - press: one tap that tells several events; undone as one
package bench

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
	"fribbet/internal/core/sitting"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
)

// Bench is a sitting under the hands: what is believed of each nail and what to do next with it.
type Bench struct {
	Plan   sitting.Plan // of the sitting, as it was before it
	Nails  []WorkedNail // today's in the order of the plan, then the others
	Hand   verdict.Terms
	Enough bool    // the dog fought or snapped: nobody goes on with it the next day
	Touch  float64 // what one touch of the bit in the hand takes, mm
}

// WorkedNail is one nail under the hands.
type WorkedNail struct {
	Plan    outlook.Planned
	Work    NailState
	Today   bool // it is planned for today
	Length  float64
	Colour  nail.Colour // as it was told, or as its faces show it
	Belief  *quick.Belief
	Verdict verdict.Verdict
	Known   bool         // something was told of it before this sitting
	Pace    Pace         // that is usual for this hand and nail
	Thin    float64      // the sliver of light grey, mm
	Faces   []quick.Face // that it can show
}

// Of works out where the sitting stands: the state takes what was told of each nail in the order
// in which it was told, as the fold will take it once the sitting is done.
func Of(q sitting.Question, s Progress, touch float64) Bench {
	b := Bench{Hand: q.HandWith(s.Tool, touch), Touch: quick.Touch}
	b.Enough = slices.ContainsFunc(s.Said, func(one temper.Said) bool { return one.Reaction.TooMuch() })
	if b.Hand.Touch > 0 {
		b.Touch = touch
	}
	worked := q.Feet.Work(q.Today)
	if s.Arrival != nil {
		worked.Arrive(*s.Arrival)
	}
	records := s.Sitting(q.Today).Records
	cases := map[nail.Code]verdict.Case{}
	for _, r := range records {
		if c, has := outlook.Told(&worked, r, q.Terms); has {
			cases[r.Code] = c
		}
	}
	today := map[nail.Code]bool{}
	var order []nail.Code
	if b.Plan = sitting.For(q); len(b.Plan.Days) > 0 {
		for _, stop := range b.Plan.Days[0].Stops {
			today[stop.Code] = true
			order = append(order, stop.Code)
		}
	}
	for _, n := range q.Nails {
		if !today[n.Code] {
			order = append(order, n.Code)
		}
	}
	now := q.Nails
	if len(cases) > 0 || s.Arrival != nil { // what was seen, and what one nail taught, is in the others
		now = outlook.Cases(worked, q.Today, q.Terms)
	}
	for _, code := range order {
		i := slices.IndexFunc(q.Nails, func(n outlook.Planned) bool { return n.Code == code })
		one := WorkedNail{
			Plan:   q.Nails[i],
			Work:   NailState{Code: code},
			Today:  today[code],
			Length: q.Nails[i].Length.Value,
		}
		if n := s.Nail(code); n != nil {
			one.Work = *n
		}
		if read, measured := one.Work.Measures[LengthBefore]; measured {
			one.Length = read.MM
		}
		c, told := cases[code]
		if !told {
			c = now[i].Case
		}
		one.Belief, one.Colour = c.Belief, worked.Colour(code)
		colour := q.Feet.Colour(code) // as before the sitting: what a key means does not change under the hands
		if told := one.Work.Colour; told != "" {
			colour = told
		}
		one.Faces, one.Thin = quick.Faces(colour), verdict.Thin(q.Nails[i].Claw.Depth)
		one.Known, one.Pace = q.Nails[i].Case.Known, OnePress
		if !one.Known || q.Hand == kit.NewHand || q.Feet.Quicked() {
			one.Pace = Steps
		}
		if one.Verdict = now[i].Verdict; told || one.Verdict.Kind == "" ||
			b.Hand != q.Terms.Hand { // asked of it just so already
			one.Verdict = one.next(c, q.Terms.Margin, b.Hand)
		}
		b.Nails = append(b.Nails, one)
	}
	return b
}

// next is the verdict on a nail now.
func (n WorkedNail) next(c verdict.Case, margin float64, t verdict.Terms) verdict.Verdict {
	stop := func(because say.Line) verdict.Verdict {
		return verdict.Verdict{
			Kind: verdict.Leave,
			Why:  because,
			Step: verdict.Step{Action: verdict.Stop, Eye: true, Because: because},
		}
	}
	switch {
	case n.Work.Skipped:
		return stop(say.Of(leftOut))
	case n.Work.Done:
		return stop(say.Of(done))
	default:
		return verdict.Of(c, margin, t)
	}
}

// Left are today's nails that nobody has closed, and the working day on which a keeper goes on with them;
// at a groomer's they wait for the next visit.
func (b Bench) Left(q sitting.Question) (codes []nail.Code, on date.Date) {
	for _, n := range b.Nails {
		if w := n.Work; n.Today && !w.Done && !w.Skipped && !w.Blood {
			codes = append(codes, n.Plan.Code)
		}
	}
	if len(codes) == 0 || !q.Terms.Keeper || b.Enough {
		return codes, date.Date{}
	}
	return codes, date.Workdays{Weekdays: q.Dog.Workdays, Closed: q.Closed}.FirstAfter(q.Today)
}
