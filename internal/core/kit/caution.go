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
			"Hair winds in within an instant: mesh over a long coat, your own hair tied back; if it winds in, switch off and cut it free.",
			"Dust: a mask, and glasses.",
		}
	default:
		return []string{"Short strokes away from the foot; stop when the skin warms or reddens."}
	}
}

// Passes is the order in which a grinder goes round a nail, always away from the foot (trade).
func Passes(t Tool) []string {
	if t.Work() != Grinding {
		return nil
	}
	return []string{"underside, about 45°", "tip, about 90°", "sides and top edge"}
}
