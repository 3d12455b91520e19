package quick

import "fmt"

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
	cuts := Cuts
	switch {
	case last == Blood:
		return Advice{Action: DoStop, Voice: Eye, Because: "it bleeds: this nail is done for today"}
	case last.Ends():
		return Advice{Action: DoStop, Voice: Eye, Because: "the face shows the dot: the quick is right behind it"}
	case last.FirstSign() && stop == AtFirstSign:
		return Advice{Action: DoStop, Voice: Eye, Because: "the first sign shows, and you stop at the first sign"}
	case last.FirstSign():
		cuts = cuts[len(cuts)-1:] // thin slivers only
	}
	for _, cut := range cuts {
		if risk := b.Risk(cut); risk <= float64(limit) {
			return Advice{DoCut, cut, risk, Number, "the thickest cut that keeps the risk under " + limit.words()}
		}
	}
	if risk := b.Risk(Touch); risk <= float64(limit) {
		return Advice{DoTouch, Touch, risk, Number, "only a touch of a grinder or a file keeps the risk under " + limit.words()}
	}
	return Advice{Action: DoStop, Voice: Number, Because: "no cut keeps the risk under " + limit.words() + ": smooth it, done"}
}

func (l Limit) words() string { return fmt.Sprintf("1 in %.0f", 1/float64(l)) }
