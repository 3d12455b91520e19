package kit

// Way is how a hand works a nail: practitioners do all three.
type Way string

const (
	AnyWay       Way = "" // whatever tool suits the nail
	OnlyClip     Way = "clip"
	OnlyGrind    Way = "grind"
	ClipAndGrind Way = "clip_then_grind" // clip all of a paw, leave a rim, then grind it round
)

// LargestCut is the largest cut that a hand begins with, mm for a nail 7 mm deep. Practitioners disagree: many thin
// cuts, or the long end nipped off and then thin ones.
func LargestCut(h Hand) float64 {
	switch h {
	case PractisedHand:
		return 2
	case SomeHand:
		return 1.5
	default:
		return 1
	}
}
