package bench

import (
	"math"

	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
)

// PlacesQuick tells whether the event tells where the quick ends.
func (e Event) PlacesQuick() bool {
	return e.Kind == Seen || e.Kind == Measured && e.Measure == SpareLeft
}

// Doubt says why an event that places the quick cannot be, or is asked for again; empty where it
// may stand. The quick ends within its nail, and not far from where all that is known puts it:
// 35 typed for 3.5 would be leave to cut to the bone.
func (b Bench) Doubt(e Event) say.Line {
	for _, n := range b.Nails {
		if n.Plan.Code != *e.Nail {
			continue
		}
		believed, longest := n.Belief.Start(), n.Length
		if _, measured := n.Work.Measures[LengthBefore]; !measured {
			longest = math.Max(n.Length, n.Plan.Length.High)
		}
		if e.Kind == Measured {
			believed, longest = n.Belief.Left(), longest-n.Belief.Removed()
		}
		return doubtQuick(e, believed, longest)
	}
	return say.Line{}
}

func doubtQuick(e Event, believed quick.Spare, longest float64) say.Line {
	sd, meant := math.Max(leastDoubtSD, believed.SD), longest
	if e.MM < believed.Mean {
		meant = 0 // no point was forgotten in a number that is too small
	}
	switch {
	case e.MM > longest:
		return record.Again(e.MM, say.Of(longerThanThisNail), longest)
	case math.Abs(e.MM-believed.Mean) > doubtSDs*sd && !e.Sure:
		return record.Again(e.MM, say.Of(farFromWhatIsKnown), meant)
	default:
		return say.Line{}
	}
}
