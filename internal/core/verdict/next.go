// Package verdict says what to do with one nail today. It is the one place that decides whether,
// how much and how a nail is done: every screen reads it.
package verdict

import (
	"fmt"
	"math"

	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
)

// Limit is the chance to bleed that the next sliver may have.
type Limit float64

const (
	Careful   Limit = 1.0 / 600 // a keeper's, a new hand's, and that of any dog quicked at its last two sittings
	Usual     Limit = 1.0 / 250 // a groomer's
	Practised Limit = 1.0 / 125
)

// Terms are what an advice keeps to besides the nail.
type Terms struct {
	Stop  quick.Stop
	Limit Limit
	Hand  kit.Hand
	Touch float64 // what one touch of the grinder in the hand takes, mm; 0 with a clipper
	Thin  bool    // the dog was quicked lately: no sliver thicker than a tip
}

// For are the terms of a hand that stops there: a keeper is careful, so is a new hand. With a dog
// that was quicked at one of its last two sittings anybody is, and takes thinner slivers than before:
// such a dog's faces may show later than most dogs', and then no number warns.
func For(stop quick.Stop, hand kit.Hand, keeper, quicked bool) Terms {
	t := Terms{Stop: stop, Limit: Usual, Hand: hand, Thin: quicked}
	if keeper || hand == kit.NewHand || quicked {
		t.Limit = Careful
	}
	return t
}

// Worked is a nail under the hands.
type Worked struct {
	Belief *quick.Belief // of its spare, by all that was told so far
	Depth  float64       // ridge to underside, mm
	Cuts   int           // so far
	Last   quick.Face    // what the last of them showed; empty where nobody told it
	Known  bool          // the nail was worked before
	Reads  bool          // a landmark was told
}

// Action is what to do next with a nail.
type Action string

const (
	Sliver Action = "sliver" // a thin cut, or a touch of the grinder, then look
	Ask    Action = "ask"    // tell one landmark first
	Stop   Action = "stop"
)

// Step is the next thing to do with a nail, and why.
type Step struct {
	Action  Action
	MM      float64 // of the sliver; 0 where none is to be taken
	Risk    float64 // that it bleeds
	Slivers int     // at most, this one among them: a look after each
	Likely  int     // of them, until the sign shows, by the median of the spare
	Going   float64 // of those that come after it, mm
	Touch   bool    // it is a touch of the grinder
	Eye     bool    // what was seen decides, not a number
	Left    float64 // median of the spare that is left, mm
	Because string
}

// Next is the next thing to do with a nail that may be trimmed. What the eye sees comes before the
// numbers, both ways: a dot stops, and a dry white face goes on.
func Next(w Worked, t Terms) Step {
	size := Size(w.Depth)
	left := math.Max(0, w.Belief.Quantile(0.5)-w.Belief.Removed())
	stop := func(because string, args ...any) Step {
		return Step{Action: Stop, Eye: true, Left: left, Because: fmt.Sprintf(because, args...)}
	}
	thin := Thin(w.Depth)
	switch last := w.Last; {
	case last == quick.Blood:
		return stop("it bleeds: this nail is done for today")
	case last.Ends():
		return stop("a dot: the quick is right behind it")
	case last.FirstSign() && t.Stop == quick.AtFirstSign:
		return stop("the first sign shows, and you stop there")
	case last.FirstSign():
		enough := stop("the sign shows, and any more is a risk")
		if w.risk(w.thickness(t, thin)+thin) > float64(min(t.Limit, Careful)) { // a tip's thickness stays in reserve: some dogs show late
			return enough
		}
		return w.within(t, left, []float64{thin}, "thin slivers until the dot", enough)
	case last == quick.Grey:
		enough := stop("enough for today, still about %.1f mm: a touch of file or grinder, or next time", left)
		return w.within(t, left, []float64{thin}, "light grey: thin slivers, look after each", enough)
	case last == quick.White:
		shaving := w.sliver(t, left, shave*size, "dry and white, though the numbers would stop: go on with a stroke of the file, look after each")
		return w.within(t, left, append(t.slivers(size), thin), "dry and white: go on", shaving)
	case w.Cuts > 0: // nobody told what the last one showed
		return w.within(t, left, append(t.unread(size), thin), "look at the end after each", stop("look at the end first: it was not told"))
	}
	return w.first(t, left, size)
}

// first is the first sliver of a nail. Nobody starts a dark nail by knowing where the quick is: the
// very tip comes off, then the face speaks.
func (w Worked) first(t Terms, left, size float64) Step {
	thin := Thin(w.Depth)
	risk := w.risk(w.thickness(t, thin))
	tries := []float64{thin}
	if w.Known || w.Reads {
		tries = append(t.unread(size), thin)
	}
	switch {
	case risk <= tipShare*float64(t.Limit):
		step := w.within(t, left, tries, "the tip first, then look at the end", w.sliver(t, left, thin, "only the very tip, then look at the end"))
		return w.thenGoing(step, t, size)
	case w.Reads:
		return Step{Action: Stop, Left: left, Risk: risk, Because: "what was seen leaves nothing to take today"}
	default:
		return Step{Action: Ask, Left: left, Risk: risk, Because: "tell where the groove ends, or where the pink ends: too little is known to begin"}
	}
}

// thenGoing is that step with what comes after the tip: usual slivers, once the face allows them.
func (w Worked) thenGoing(step Step, t Terms, size float64) Step {
	for _, going := range t.unread(size) {
		if going = w.thickness(t, going); going > step.MM {
			step.Going = going
			step.Likely, step.Slivers = w.planned(t, step.Left-step.MM, step.MM, going)
			step.Likely, step.Slivers = 1+step.Likely, 1+step.Slivers
		}
	}
	return step
}

// slivers are the thicknesses that a white face allows beyond a tip's, mm: a practised hand may take
// the thick one.
func (t Terms) slivers(size float64) []float64 {
	if t.Thin || t.Hand == kit.NewHand {
		return t.unread(size)
	}
	return []float64{thick * size, usual * size}
}

// unread are those where no face tells yet.
func (t Terms) unread(size float64) []float64 {
	if t.Thin {
		return nil
	}
	return []float64{usual * size}
}

// within is the thickest of the slivers that keeps to the limit; otherwise where none does. A thick
// one may have half the limit, since a thin one would have shown the sign on the way.
func (w Worked) within(t Terms, left float64, slivers []float64, because string, otherwise Step) Step {
	for _, mm := range slivers {
		most := float64(t.Limit)
		if mm > usual*Size(w.Depth) {
			most /= 2
		}
		if w.risk(w.thickness(t, mm)) <= most {
			return w.sliver(t, left, mm, because)
		}
	}
	return otherwise
}

func (w Worked) sliver(t Terms, left, mm float64, because string) Step {
	mm = w.thickness(t, mm)
	likely, most := w.planned(t, left, 0, mm)
	return Step{Action: Sliver, MM: mm, Touch: t.Touch > 0, Risk: w.risk(mm), Slivers: max(1, most), Likely: max(1, likely), Going: mm, Left: left, Because: because}
}

// thickness is what the tool in the hand takes where a clipper would take a sliver of mm: nobody
// tells slivers apart more finely than a twentieth of a millimetre.
func (w Worked) thickness(t Terms, mm float64) float64 {
	if t.Touch > 0 {
		return t.Touch
	}
	return math.Max(1, math.Floor(mm/fine+hair)) / perMM
}

// risk is the chance that a sliver of mm bleeds, or reaches a quick that does not show it at once.
func (w Worked) risk(mm float64) float64 { return math.Max(w.Belief.Bleeds(mm), w.Belief.Risk(mm)) }

// planned is how many slivers of mm are likely to come off a spare that is left, after off mm more, and at most: what
// is likely is never more than what may be.
func (w Worked) planned(t Terms, left, off, mm float64) (likely, most int) {
	toSign := slivers(left, mm, w.Depth) // below 0 where less than the sign's spare is left
	most = max(0, min(toSign+t.beyond(), w.reach(off, mm)))
	return max(0, min(toSign, most)), most
}

// slivers is how many slivers of mm lie between a spare and the first sign. No plan goes beyond it, whatever
// the school: from the first sign to the dot one sliver comes at a time, and the face decides.
func slivers(spare, mm, depth float64) int {
	return int(math.Floor((spare-signAt(depth, quick.AtFirstSign))/mm + hair))
}

// signAt is the spare at which the sign of a school shows, mm, on a nail so deep.
func signAt(depth float64, stop quick.Stop) float64 {
	sign := firstSignAt
	if stop == quick.Full {
		sign = dotAt
	}
	return sign * depth / quick.SignsDepth
}

// Leaves is the spare that a trim by this verdict leaves, mm, on the mean and of a nail so deep: that
// at which the sign shows, or the margin where that is more.
func Leaves(depth, margin float64, stop quick.Stop) float64 {
	return math.Max(signAt(depth, stop), margin*Size(depth))
}

// reach is how many slivers of mm may come off at most after off mm more, each after a look: a tip's thickness
// stays in front of the quick even where the spare is at its lower quarter. Where signs show late the looks warn
// of nothing, and a count by the median went into the quick.
func (w Worked) reach(off, mm float64) int {
	return int(math.Floor((w.Belief.Quantile(lower)-w.Belief.Removed()-off-Thin(w.Depth))/mm + hair))
}

// beyond is how many slivers more than those that reach the first sign by the median a plan names, each after a
// look: one when careful, and for who goes on from the sign step by step anyway.
func (t Terms) beyond() int {
	if t.Limit <= Careful || t.Stop == quick.Full {
		return beyondSign - 1
	}
	return beyondSign
}

// Size is the share of its usual thickness that a sliver, a margin and the least cut have on a
// nail so deep, mm: on a toy dog's nail all of them are smaller.
func Size(depth float64) float64 { return math.Min(1, depth/quick.SignsDepth) }

// Chance is a chance to bleed as people say it.
func Chance(risk float64) string {
	if risk < rare {
		return "very unlikely"
	}
	digits := math.Pow(10, math.Floor(math.Log10(1/risk))-1)
	return fmt.Sprintf("about 1 in %.0f", math.Max(1, math.Round(1/risk/digits)*digits))
}

// Thin is the sliver of light grey, mm, for a nail so deep.
func Thin(depth float64) float64 { return tip * Size(depth) }

// Worth tells whether there is anything to take off a nail with this mean spare, mm, once margin
// mm, for a nail 7 mm deep, stay in front of the quick.
func Worth(spare, depth, margin float64) bool {
	return spare >= (margin+usual)*Size(depth)
}

// Least is the least that is worth taking off a nail, mm: one sliver, or one touch of the grinder.
func Least(depth float64, t Terms) float64 {
	if t.Touch > 0 {
		return t.Touch
	}
	return usual * Size(depth)
}
