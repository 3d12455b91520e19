package kit

import "fribbet/internal/core/say"

// Cautions are what to mind while a tool is in the hand.
func Cautions(t Tool) []say.Line {
	switch t.Work() {
	case Clipping:
		return []say.Line{
			say.Of(clippingsFlyProtectYourEyes),
			say.Of(cutFromTopToBottom),
		}
	case Grinding:
		return []say.Line{
			say.Of(frictionHeatHurtsMostOf, say.Args{"seconds": say.Round(ContactTime)}),
			say.Of(hairWindsInWithinAn),
			say.Of(dustAMaskAndGlasses),
		}
	default:
		return []say.Line{say.Of(shortStrokesAwayFromThe)}
	}
}

// Passes is the order in which a grinder goes round a nail, always away from the foot (trade).
func Passes(t Tool) []Pass {
	if t.Work() != Grinding {
		return nil
	}
	return []Pass{OnUnderside, OnTip, OnSides}
}

// Pass is one way round a nail with a grinder.
type Pass string

const (
	OnUnderside Pass = "underside"
	OnTip       Pass = "tip"
	OnSides     Pass = "sides" // and the top edge
)

// Say is where it goes, and at what angle (trade).
func (p Pass) Say() say.Line { return say.Of("kit.pass_" + say.Key(p)) }

// Shortens tells whether a touch there takes length; one that nobody placed does.
func (p Pass) Shortens() bool { return p != OnSides }
