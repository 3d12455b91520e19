// Package verdict says what to do with one nail today. It is the one place that decides whether,
// how much and how a nail is done: every screen reads it.
package verdict

import (
	"math"

	"fribbet/internal/core/hand"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
)

// RiskLimit is the chance to bleed that the next sliver may have.
type RiskLimit float64

// Terms are what an advice keeps to besides the nail.
type Terms struct {
	Stop  quick.EndPoint
	Limit RiskLimit
	Most  float64 // the largest cut, mm for a nail 7 mm deep
	Touch float64 // what one touch of the grinder in the hand takes, mm; 0 with a clipper
	Thin  bool    // the dog was quicked lately: no sliver thicker than a tip
	Once  bool    // one cut a nail, and no more

	Slices hand.Slices // how the hand's slices come out: cuts are named as it means them
}

// For are the terms of a hand that stops there: a keeper is careful, so is a new hand. With a dog
// that was quicked at one of its last two sittings anybody is, and takes thinner slivers than before:
// such a dog's faces may show later than most dogs', and then no number warns.
func For(stop quick.EndPoint, hand kit.Hand, keeper, quicked bool) Terms {
	t := Terms{Stop: stop, Limit: Usual, Most: kit.LargestCut(hand), Thin: quicked}
	if keeper || hand == kit.NewHand || quicked {
		t.Limit = Careful
	}
	return t
}

// takes is how much a cut that is named so takes off, mm, as it is reckoned with: a hand may cut thicker than it
// means; a grinder's touch is what was learnt of it.
func (t Terms) takes(mm float64) float64 {
	if t.grinds() {
		return mm
	}
	return t.Slices.Reckoned(mm)
}

// grinds tells whether a grinder is in the hand.
func (t Terms) grinds() bool { return t.Touch > 0 }

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
	MM      float64 // of the cut; 0 where none is to be taken
	Risk    float64 // that it bleeds
	Plan    Plan    // of one press that begins with it
	Touch   bool    // it is a touch of the grinder
	Eye     bool    // what was seen decides, not a number
	Left    float64 // median of the spare that is left, mm
	Because say.Line
}

// Next is the next thing to do with a nail that may be trimmed. What the eye sees comes before the
// numbers, both ways: a dot stops, and a dry white face goes on.
func Next(w Worked, t Terms) Step {
	w.Belief.ReadBy(t.Slices.Milder)
	step := w.next(t)
	if step.Action == Sliver {
		step.Plan = w.plan(t, step.MM)
	}
	return step
}

func (w Worked) next(t Terms) Step {
	size := Size(w.Depth)
	left := math.Max(0, w.median())
	stop := func(because say.Line) Step {
		return Step{Action: Stop, Eye: true, Left: left, Because: because}
	}
	thin := Thin(w.Depth)
	switch last := w.Last; {
	case last == quick.Blood:
		return stop(say.Of(itBleedsThisNailIs))
	case last.Ends():
		return stop(say.Of(aDotTheQuickIs))
	case last.FirstSign() && t.Stop == quick.AtFirstSign:
		return stop(say.Of(theFirstSignShowsAnd))
	case last.FirstSign():
		enough := func() Step { return stop(say.Of(theSignShowsAndAny)) }
		reserve := sliver * size // a sliver stays: some dogs show late
		if w.risk(t.takes(w.thickness(t, thin))+reserve) > float64(min(t.Limit, Careful)) {
			return enough()
		}
		return w.within(t, left, []float64{tip}, say.Of(thinSlicesUntilTheDot), enough)
	case last == quick.Grey:
		enough := func() Step {
			return stop(say.Of(enoughForTodayATouch))
		}
		return w.within(t, left, w.onGrey(t), say.Of(lightGreyThinnerLookAfter), enough)
	case last == quick.White:
		shaving := func() Step {
			return w.cut(t, left, shave*size, say.Of(dryAndWhiteThoughThe))
		}
		return w.within(t, left, t.cuts(), say.Of(dryAndWhiteGoOn), shaving)
	case w.Cuts > 0: // nobody told what the last one showed
		return w.within(
			t,
			left,
			[]float64{sliver, tip},
			say.Of(lookAtTheEndAfter),
			func() Step { return stop(say.Of(lookAtTheEndFirst)) },
		)
	}
	return w.first(t, left)
}

// first is the first cut of a nail. Nobody starts a dark nail by knowing where the quick is: the
// very tip comes off, then the face speaks.
func (w Worked) first(t Terms, left float64) Step {
	thin := Thin(w.Depth)
	risk := w.risk(t.takes(w.thickness(t, thin)))
	tries := []float64{tip}
	if w.Known || w.Reads {
		tries = t.cuts()
	}
	switch {
	case risk <= tipShare*float64(t.Limit):
		return w.within(
			t,
			left,
			tries,
			say.Of(theTipFirstThenLook),
			func() Step { return w.cut(t, left, thin, say.Of(onlyTheVeryTipThen)) },
		)
	case w.Reads:
		return Step{Action: Stop, Left: left, Risk: risk, Because: say.Of(whatWasSeenLeavesNothing)}
	default:
		return Step{Action: Ask, Left: left, Risk: risk, Because: say.Of(sayWhereTheGrooveOr)}
	}
}

// cuts are the thicknesses of this hand on a white end, mm for a nail 7 mm deep.
func (t Terms) cuts() []float64 {
	if t.Thin {
		return []float64{tip}
	}
	return append(t.upTo(t.Most), sliver, tip)
}

// onGrey are those on light grey: of a nail that was never worked and shows nothing only a tip's.
func (w Worked) onGrey(t Terms) []float64 {
	if t.Thin || !w.Known && !w.Reads {
		return []float64{tip}
	}
	return append(t.upTo(greyMost), sliver, tip)
}

// upTo are its cuts thicker than a sliver, and no thicker than most.
func (t Terms) upTo(most float64) []float64 {
	var thick []float64
	for _, mm := range thicknesses {
		if mm <= math.Min(t.Most, most) && !t.Thin {
			thick = append(thick, mm)
		}
	}
	return thick
}

// within is the thickest of these cuts, mm for a nail 7 mm deep, that keeps to the limit; otherwise where none
// does. A cut thicker than a sliver keeps to it even where the belief is wrong by the reserve.
func (w Worked) within(t Terms, left float64, cuts []float64, because say.Line, otherwise func() Step) Step {
	size := Size(w.Depth)
	for _, mm := range cuts {
		safe := w.risk(t.takes(w.thickness(t, mm*size)))
		switch {
		case t.grinds() || mm <= tip:
		case mm > sliver:
			safe = w.Belief.Risk(t.takes(mm*size) + reserve*size)
		case w.Last == quick.Grey:
			safe = w.Belief.Risk(t.takes(mm*size) + tip*size)
		}
		if safe <= float64(t.Limit) {
			return w.cut(t, left, mm*size, because)
		}
	}
	return otherwise()
}

func (w Worked) cut(t Terms, left, mm float64, because say.Line) Step {
	mm = w.thickness(t, mm)
	return Step{Action: Sliver, MM: mm, Touch: t.grinds(), Risk: w.risk(t.takes(mm)), Left: left, Because: because}
}

// median is the spare that is left, mm; below 0 where more came off than there was by the median.
func (w Worked) median() float64 { return w.Belief.Quantile(0.5) - w.Belief.Removed() }

// thickness is what the tool in the hand takes where a clipper would take mm: nobody tells cuts apart more
// finely than a twentieth of a millimetre.
func (w Worked) thickness(t Terms, mm float64) float64 {
	if t.grinds() {
		return t.Touch
	}
	return math.Max(1, math.Round(mm/fine)) / perMM
}

func (w Worked) risk(mm float64) float64 { return Risk(w.Belief, mm) }

// Risk is the chance that a cut of mm is called: that it bleeds, or reaches a quick that does not show it at once.
func Risk(b *quick.Belief, mm float64) float64 { return math.Max(b.Bleeds(mm), b.Risk(mm)) }

// signAt is the spare at which the sign of a school shows, mm, on a nail so deep.
func signAt(depth float64, stop quick.EndPoint) float64 {
	sign := firstSignAt
	if stop == quick.Full {
		sign = dotAt
	}
	return sign * depth / quick.SignsDepth
}

// Leaves is the spare that a trim by this verdict leaves, mm, on the mean and of a nail so deep: that
// at which the sign shows, or the margin where that is more.
func Leaves(depth, margin float64, stop quick.EndPoint) float64 {
	return math.Max(signAt(depth, stop), margin*Size(depth))
}

// beyond is how many cuts more than those that reach the first sign by the median a plan names, each after a
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
func Chance(risk float64) say.Line {
	if risk < rare {
		return say.Of(veryUnlikely)
	}
	if risk > often {
		return say.Of(veryLikely)
	}
	digits := math.Pow(10, math.Floor(math.Log10(1/risk))-1)
	return say.Of(about1In, say.Args{"in": say.Round(math.Round(1/risk/digits) * digits)})
}

// Thin is the sliver of light grey, mm, for a nail so deep.
func Thin(depth float64) float64 { return tip * Size(depth) }

// Worth tells whether there is anything to take off a nail with this mean spare, mm, once margin
// mm, for a nail 7 mm deep, stay in front of the quick.
func Worth(spare, depth, margin float64) bool {
	return spare >= (margin+sliver)*Size(depth)
}

// Least is the least that is worth taking off a nail, mm: one sliver, or one touch of the grinder.
func Least(depth float64, t Terms) float64 {
	if t.grinds() {
		return t.Touch
	}
	return sliver * Size(depth)
}
