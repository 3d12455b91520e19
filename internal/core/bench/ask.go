package bench

import (
	"math"

	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
)

// Ask is the one question that comes next on a nail, in the order in which a practised hand thinks.
type Ask string

const (
	AskNothing  Ask = ""
	AskColour   Ask = "colour"   // light or dark?
	AskLandmark Ask = "landmark" // where does the groove end, or the pink?
	AskSliver   Ask = "sliver"   // take it
	AskFace     Ask = "face"     // what does the end show? No sliver before it is told
	AskSmooth   Ask = "smooth"   // run a finger round it
)

// Asks is the question that comes next. What was passed is not asked again.
func (n WorkedNail) Asks() Ask {
	w, fresh := n.Work, len(n.Work.Cuts) == 0
	doing := n.Verdict.Kind == verdict.Trim || n.Verdict.Kind == verdict.AskFirst
	switch {
	case w.Done || w.Skipped || w.Blood || n.Verdict.Kind == verdict.Veterinarian:
		return AskNothing
	case fresh && !doing:
		return AskNothing
	case fresh && n.Colour == nail.Unknown && w.Colour == "":
		return AskColour
	case fresh && len(w.Landmarks) == 0 && !w.Unclear && (!n.Known || n.Verdict.Kind == verdict.AskFirst):
		return AskLandmark
	case !fresh && w.LastFace() == "":
		return AskFace
	case n.Verdict.Action == verdict.Sliver:
		return AskSliver
	case fresh:
		return AskNothing
	default:
		return AskSmooth
	}
}

// Landmark is the one that is asked of a nail of that colour: the end of the pink, or of the groove.
func (n WorkedNail) Landmark() quick.Landmark {
	if n.Colour == nail.Light {
		return quick.SeenThrough
	}
	return quick.Groove
}

// pictured are the shares of what is believed at which the three pictures of a landmark stand.
var pictured = [3]float64{0.15, 0.5, 0.85}

// Pictures are three places of the landmark to choose from, mm from the tip, nearest first, told apart by
// half a millimetre at least.
func (n WorkedNail) Pictures() [3]float64 {
	const apart = 0.5
	var mm [3]float64
	for i, q := range pictured {
		mm[i] = math.Round(math.Max(0, n.Belief.Quantile(q)-n.Belief.Removed())/apart) * apart
		if i > 0 {
			mm[i] = math.Max(mm[i], mm[i-1]+apart)
		}
	}
	return mm
}

// Pace is how the bench goes through a nail.
type Pace string

const (
	OnePress Pace = "press" // the whole nail in one press, once it is done
	Steps    Pace = "steps" // one question after the other
)

// PressTo is the face at which one press's plan ends on the nail: the first sign, whatever the school.
func (n WorkedNail) PressTo() quick.Face { return quick.SignTo(quick.AtFirstSign, n.Colour) }

// GoesOn tells whether the school of the hand goes on from the first sign to the dot; step by step, never by a press.
func (b Bench) GoesOn() bool { return b.Hand.Stop == quick.Full }

// SignTo is the face at which this school stops on the nail.
func (b Bench) SignTo(n WorkedNail) quick.Face { return quick.SignTo(b.Hand.Stop, n.Colour) }
