package sitting

import (
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/temper"
)

// Bench is a sitting under the hands: what is believed of each nail and what to do next with it.
type Bench struct {
	Nails []BenchNail // today's in the order of the plan, then the others
	Stop  quick.Stop
	Limit quick.Limit
	Touch float64 // what one touch of the bit in the hand takes, mm
}

// BenchNail is one nail under the hands.
type BenchNail struct {
	Plan   dog.Planned
	Work   NailState
	Today  bool // it is planned for today
	Length float64
	Depth  float64
	Colour nail.Colour // as it was told, or as its faces show it
	Belief *quick.Belief
	Advice quick.Advice
	Faces  []quick.Face // that it can show
}

// RiskLimit is the risk that a cut may have: a keeper is careful, and so is anybody with a dog
// that was quicked at one of its last two sittings.
func RiskLimit(keeper bool, sittings []dog.Sitting) quick.Limit {
	last := sittings[max(0, len(sittings)-quickedWithin):]
	if keeper || slices.ContainsFunc(last, func(s dog.Sitting) bool { return len(s.Bled()) > 0 }) {
		return quick.Careful
	}
	return quick.UsualRisk
}

// Bench works out where the sitting stands. What one nail taught of the dog's faces goes on to
// the next, and a light nail whose quick was seen shows the dark ones without a history how far
// they go.
func (q Question) Bench(s State, stop quick.Stop, limit quick.Limit, touch float64) Bench {
	b := Bench{Stop: stop, Limit: limit, Touch: touch}
	taught := teaching{scales: quick.UsualScales()}
	done := map[nail.Code]BenchNail{}
	for _, n := range s.Nails {
		if planned, has := q.planned(n.Code); has {
			one := q.benchNail(planned, n, taught)
			taught = taught.and(one)
			done[n.Code] = one
		}
	}
	today := map[nail.Code]bool{}
	var order []nail.Code
	if p := For(q); len(p.Days) > 0 {
		for _, stop := range p.Days[0].Stops {
			today[stop.Code] = true
			order = append(order, stop.Code)
		}
	}
	for _, n := range q.Nails {
		if !today[n.Code] {
			order = append(order, n.Code)
		}
	}
	for _, code := range order {
		one, worked := done[code]
		if !worked {
			planned, _ := q.planned(code)
			one = q.benchNail(planned, NailState{Code: code, Reaction: temper.Calm}, taught)
		}
		one.Today = today[code]
		one.Advice = q.next(one, s, b)
		b.Nails = append(b.Nails, one)
	}
	return b
}

func (q Question) planned(code nail.Code) (dog.Planned, bool) {
	i := slices.IndexFunc(q.Nails, func(n dog.Planned) bool { return n.Code == code })
	if i < 0 {
		return dog.Planned{}, false
	}
	return q.Nails[i], true
}

// teaching is what the nails so far taught of this dog.
type teaching struct {
	scales quick.Scales
	share  float64 // of a light nail that is spare; 0 when none was seen
}

func (t teaching) and(n BenchNail) teaching {
	if len(n.Work.Cuts) > 0 {
		t.scales = n.Belief.Faces().CarryOver()
	}
	if n.Colour == nail.Light && len(n.Work.Landmarks) > 0 {
		t.share = n.Belief.Quantile(0.5) / n.Length
	}
	return t
}

// benchNail works one nail through.
func (q Question) benchNail(p dog.Planned, n NailState, t teaching) BenchNail {
	one := BenchNail{Plan: p, Work: n, Length: p.Length.Value, Colour: p.Colour}
	one.Depth = claw.Assumed(p.Code, p.Shape, q.Dog.WeightOn(q.Today)).Depth
	if measured, is := n.Measures[LengthBefore]; is {
		one.Length = measured
	}
	prior := p.Belief
	switch {
	case p.Trimmed.IsZero() && t.share > 0 && p.Colour != nail.Light:
		prior = quick.LikeLight(one.Length, t.share)
	case p.Trimmed.IsZero():
		prior = quick.Assumed(one.Length)
	}
	for _, c := range n.Cuts {
		one.Colour = quick.SeenColour(one.Colour, c.Face)
	}
	one.Faces = quick.Faces(one.Colour)
	one.Belief = quick.NewBelief(one.Length, one.Depth, one.Colour, prior, t.scales)
	for _, l := range n.Landmarks {
		one.Belief.See(l.Mark, l.Spare)
	}
	for _, c := range n.Cuts {
		switch {
		case c.Face != "":
			one.Belief.Cut(c.MM, c.Face)
		case n.Blood && c.ID == n.Cuts[len(n.Cuts)-1].ID:
			one.Belief.Cut(c.MM, quick.Blood)
		default:
			one.Belief.CutUnread(c.MM)
		}
	}
	return one
}

// next is what to do with a nail now.
func (q Question) next(n BenchNail, s State, b Bench) quick.Advice {
	eye := func(because string) quick.Advice {
		return quick.Advice{Action: quick.DoStop, Voice: quick.Eye, Because: because}
	}
	switch {
	case n.Plan.Barred():
		return eye(n.Plan.Why)
	case n.Work.Blood:
		return eye("it bled: this nail is done for today")
	case n.Work.Skipped:
		return eye("left out")
	case n.Work.Done:
		return eye("done")
	}
	cuts, touch := quick.Cuts, quick.Touch
	if s.Tool.Work() == kit.Grinding {
		cuts, touch = nil, b.Touch // a grinder takes touches, and its own
	}
	advice := n.Belief.Guide(n.Work.LastFace(), b.Stop, b.Limit, cuts, touch)
	if unread := len(n.Work.Cuts) == 0 && len(n.Work.Landmarks) == 0; unread && advice.Action == quick.DoStop {
		advice.Because = "too little is known of this quick: tell where the groove ends or where the quick shows, then cut"
	}
	if s.Tool.Work() == kit.Grinding && advice.Action == quick.DoTouch {
		advice.Because = "a touch, lift, look"
	}
	return advice
}
