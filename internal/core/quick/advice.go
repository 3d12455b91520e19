package quick

import (
	"fmt"
	"math"
)

// Stop is when to stop: practitioners disagree.
type Stop string

const (
	AtFirstSign Stop = "first_sign" // as soon as the dark centre or the blush shows
	Full        Stop = "full"       // thin slivers or touches until the dark fills the face or the dot shows
)

// Limit is the risk of reaching the quick that one cut may have.
type Limit float64

const (
	Careful   Limit = 0.005 // a keeper's, and that of any dog quicked at its last two sittings
	UsualRisk Limit = 0.01  // a groomer's
	Practised Limit = 0.02
)

// Cuts are what a clipper takes, thickest first, and Touch what a grinder takes at a touch, mm (trade: a sliver is about 1 mm; the rest is judgement).
var Cuts = []float64{2, 1.5, 1, 0.5}

// Touch is what one touch of a grinder takes, mm (judgement, until it is learnt).
const Touch = 0.2

// Action is what to do next with a nail.
type Action string

const (
	DoCut   Action = "cut"
	DoTouch Action = "touch"
	DoStop  Action = "stop"
)

// Voice is which of the two spoke: what the eye saw overrules the number.
type Voice string

const (
	Eye    Voice = "eye"
	Number Voice = "number"
)

// Advice is the next step and why.
type Advice struct {
	Action  Action
	Cut     float64 // mm; 0 when it is to stop
	Risk    float64 // of that cut
	Voice   Voice
	Because string
}

// Advise gives the next step after the last face, empty before the first cut: the thickest cut
// whose risk is within the limit, unless the face says stop. What the face shows overrules the number.
func (b *Belief) Advise(last Face, stop Stop, limit Limit) Advice {
	return b.advise(last, stop, limit, Cuts, Touch, func(mm float64) (risk, most float64) { return b.Risk(mm), float64(limit) })
}

// Guide is the advice of the bench. One cut within its limit is safe; five of them on each of
// eighteen nails are not. So it also keeps all cuts of a nail together within a little more than
// the limit of one, lets a thick cut risk less than a thin one, which would have shown the sign
// on the way, and counts what bleeds as well as what reaches the quick. Of the tool in the hand are
// what it cuts, thickest first, and what it takes at a touch, mm: what is advised is what was weighed.
func (b *Belief) Guide(last Face, stop Stop, limit Limit, cuts []float64, touch float64) Advice {
	return b.advise(last, stop, limit, cuts, touch, func(mm float64) (risk, most float64) {
		most = float64(limit) * math.Min(1, thin/mm)
		return math.Max(b.Bleeds(mm), b.Risk(mm)), math.Min(most, nailShare*float64(limit)-b.spent)
	})
}

func (b *Belief) advise(last Face, stop Stop, limit Limit, cuts []float64, touch float64, weigh func(mm float64) (risk, most float64)) Advice {
	switch {
	case last == Blood:
		return Advice{Action: DoStop, Voice: Eye, Because: "it bleeds: this nail is done for today"}
	case last.Ends():
		return Advice{Action: DoStop, Voice: Eye, Because: "the face shows the dot: the quick is right behind it"}
	case last.FirstSign() && stop == AtFirstSign:
		return Advice{Action: DoStop, Voice: Eye, Because: "the first sign shows, and you stop at the first sign"}
	case last.FirstSign():
		cuts = cuts[max(0, len(cuts)-1):] // thin slivers only
	}
	for _, cut := range cuts {
		if risk, most := weigh(cut); risk <= most {
			return Advice{DoCut, cut, risk, Number, "the thickest cut that keeps the risk under " + limit.words()}
		}
	}
	if risk, most := weigh(touch); risk <= most {
		return Advice{DoTouch, touch, risk, Number, "only a touch of a grinder or a file keeps the risk under " + limit.words()}
	}
	return Advice{Action: DoStop, Voice: Number, Because: "no cut keeps the risk under " + limit.words() + ": smooth it, done"}
}

func (l Limit) words() string { return fmt.Sprintf("1 in %.0f", 1/float64(l)) }
