package verdict

import (
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
)

// Kind is what becomes of a nail today.
type Kind string

const (
	Veterinarian Kind = "veterinarian" // nobody's work here
	Train        Kind = "train"        // on the ladder
	Leave        Kind = "leave"
	Trim         Kind = "trim"
	AskFirst     Kind = "ask" // too little is known to begin: a landmark first
)

// Case is all that the verdict on a nail depends on.
type Case struct {
	Barred   say.Line // why it is a veterinarian's matter; empty when it is not
	Training bool     // its paw is on a ladder
	TipOnly  bool     // its paw is on a ladder, and one tip of it may come off meanwhile
	Refused  say.Line // why its paw is left until the dog had its training; empty when it is not
	Dewclaw  bool
	Curling  bool // a dewclaw that curls
	Unseen   bool // nobody measured it, or saw it curl
	PastPad  bool // seen to reach past its pad
	Touches  bool // believed to touch the floor
	Today    bool // something came off it today, at a sitting that was ended
	Clear    bool // stays clear of the floor until after the next date, even if it grows fast
	Spare    float64
	Worked
}

// Verdict is what to do with a nail today, and why.
type Verdict struct {
	Kind Kind
	Step          // the next thing, where it is trimmed
	Why  say.Line // in a few words
}

// Of is the verdict on a nail: margin is what Settings wants left in front of the quick, mm for a
// nail 7 mm deep.
func Of(n Case, margin float64, t Terms) Verdict {
	t = n.terms(t)
	v := decide(n, margin, t)
	if v.Kind == Trim {
		v.Plan = n.plan(t, v.MM)
	}
	return v
}

// KindOf is what becomes of the nail, without the plan of its cuts: enough for a date.
func KindOf(n Case, margin float64, t Terms) Kind { return decide(n, margin, n.terms(t)).Kind }

// terms are those for this nail: of a paw on a ladder one cut, the tip.
func (n Case) terms(t Terms) Terms {
	t.Thin, t.Once = t.Thin || n.TipOnly, n.TipOnly
	return t
}

func decide(n Case, margin float64, t Terms) Verdict {
	switch {
	case !n.Barred.Nothing():
		return Verdict{Kind: Veterinarian, Step: Step{Action: Stop, Eye: true, Because: n.Barred}, Why: n.Barred}
	case !n.Refused.Nothing():
		return leave(Train, n, t, n.Refused)
	case n.Training:
		return leave(Train, n, t, say.Of(onTheLadderTrainDo))
	case n.TipOnly && n.Cuts > 0:
		return leave(Leave, n, t, say.Of(onlyTheTipItsPaw))
	case n.Today && n.Cuts == 0:
		return leave(Leave, n, t, say.Of(trimmedToday))
	case n.Cuts == 0 && !n.Curling && !n.PastPad:
		if why := n.left(margin); !why.Nothing() {
			return leave(Leave, n, t, why)
		}
	}
	step := n.next(t)
	switch step.Action {
	case Ask:
		if n.TipOnly {
			return leave(Train, n, t, say.Of(onTheLadderTrainDo))
		}
		return Verdict{AskFirst, step, say.Of(sayFirstWhereTheQuick)}
	case Stop:
		return Verdict{Leave, step, step.Because}
	case Sliver:
	}
	return Verdict{Trim, step, n.reason(t)}
}

// left says why a nail that nothing presses is left today; empty when it is not.
func (n Case) left(margin float64) say.Line {
	worth := Worth(n.Spare, n.Depth, margin)
	switch {
	case n.Touches && !worth:
		return say.Of(longQuickAsShortAs)
	case !worth:
		return say.Of(nothingToTakeYet)
	case n.Clear && !n.Touches && !n.Dewclaw: // a dewclaw: little, but every time
		return say.Of(clearOfTheFloorUntil)
	default:
		return say.Line{}
	}
}

// leave is a nail that is left, with what a sliver would be for whoever takes one all the same.
func leave(kind Kind, n Case, t Terms, why say.Line) Verdict {
	step := n.next(t)
	step.Action, step.Because = Stop, why
	return Verdict{kind, step, why}
}

// reason is why a nail is trimmed, where there is more to say than that it has grown.
func (n Case) reason(t Terms) say.Line {
	switch {
	case n.Curling && n.Unseen:
		return say.Of(mayCurlByNowLook)
	case n.Curling:
		return say.Of(curlsFirstOfAllA)
	case n.TipOnly:
		return say.Of(onTheLadderOnlyThe)
	case n.PastPad:
		return say.Of(reachesPastItsPad)
	case !n.Known && !n.Reads:
		return say.Of(firstTimeHereTheTip)
	case n.Touches:
		return say.Of(probablyTouchesTheFloor)
	case n.Dewclaw:
		return say.Of(aDewclawLittleButEvery)
	default:
		return say.Of(aThinSliceAtA, say.Args{"until": t.Until()})
	}
}

// Until is the sign at which this school stops, in a few words.
func (t Terms) Until() say.Line {
	if t.Stop == "full" {
		return say.Of(untilTheDot)
	}
	return say.Of(untilTheFirstSign)
}

// Cuts are those that are likely to come off before the sign shows, mm; none where the nail is not trimmed.
func (v Verdict) Cuts() []float64 {
	if v.Kind != Trim {
		return nil
	}
	return v.Plan.Cuts[:v.Plan.Likely]
}

// Press is the next cut of its plan, as Plan.Next; 0 where the nail is not trimmed.
func (v Verdict) Press(done int, last quick.Face, grey bool) float64 {
	if v.Kind != Trim {
		return 0
	}
	return v.Plan.Next(done, last, grey)
}
