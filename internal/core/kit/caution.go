package kit

import "fmt"

// Cautions are what to mind while a tool is in the hand.
func Cautions(t Tool) []string {
	switch t.Work() {
	case Clipping:
		return []string{
			"Clippings fly: protect your eyes.",
			"Cut from top to bottom, in one decided squeeze: sideways or slow crushes. If it takes force, the blade is blunt.",
		}
	case Grinding:
		return []string{
			fmt.Sprintf("Friction heat hurts, most of all near the quick: at most %.0f seconds on the nail, lift, look.", ContactTime),
			"Hair winds in within an instant: mesh over a long coat, your own hair tied back; if it winds in, switch off and cut the hair away.",
			"Dust: a mask, and glasses.",
		}
	default:
		return []string{"Short strokes away from the foot; stop when the skin warms or reddens."}
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

// Words say where it goes, and at what angle (trade).
func (p Pass) Words() string {
	return map[Pass]string{OnUnderside: "underside, about 45°", OnTip: "tip, about 90°", OnSides: "sides and top edge"}[p]
}

// Shortens tells whether a touch there takes length; one that nobody placed does.
func (p Pass) Shortens() bool { return p != OnSides }
