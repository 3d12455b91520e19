package verdict

import "fribbet/internal/core/quick"

// Kind is what becomes of a nail today.
type Kind string

const (
	Veterinarian Kind = "veterinarian" // nobody's work here
	Train        Kind = "train"        // on the ladder
	Leave        Kind = "leave"
	Trim         Kind = "trim"
	AskFirst     Kind = "ask" // too little is known to begin: a landmark first
)

// Nail is all that the verdict on a nail depends on.
type Nail struct {
	Barred   string // why it is a veterinarian's matter; empty when it is not
	Training bool   // its paw is on a ladder
	TipOnly  bool   // its paw is on a ladder, and one tip of it may come off meanwhile
	Refused  string // why its paw is left until the dog had its training; empty when it is not
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
	Step        // the next thing, where it is trimmed
	Why  string // in a few words
}

// Of is the verdict on a nail: margin is what Settings wants left in front of the quick, mm for a
// nail 7 mm deep.
func Of(n Nail, margin float64, t Terms) Verdict {
	t = n.terms(t)
	v := decide(n, margin, t)
	if v.Kind == Trim {
		v.Plan = n.plan(t, v.MM)
	}
	return v
}

// KindOf is what becomes of the nail, without the plan of its cuts: enough for a date.
func KindOf(n Nail, margin float64, t Terms) Kind { return decide(n, margin, n.terms(t)).Kind }

// terms are those for this nail: of a paw on a ladder one cut, the tip.
func (n Nail) terms(t Terms) Terms {
	t.Thin, t.Once = t.Thin || n.TipOnly, n.TipOnly
	return t
}

func decide(n Nail, margin float64, t Terms) Verdict {
	switch {
	case n.Barred != "":
		return Verdict{Kind: Veterinarian, Step: Step{Action: Stop, Eye: true, Because: n.Barred}, Why: n.Barred}
	case n.Refused != "":
		return leave(Train, n, t, n.Refused)
	case n.Training:
		return leave(Train, n, t, "on the ladder: train, do not trim")
	case n.TipOnly && n.Cuts > 0:
		return leave(Leave, n, t, "only the tip: its paw is on the ladder")
	case n.Today && n.Cuts == 0:
		return leave(Leave, n, t, "trimmed today")
	case n.Cuts == 0 && !n.Curling && !n.PastPad:
		if why := n.left(margin); why != "" {
			return leave(Leave, n, t, why)
		}
	}
	step := n.next(t)
	switch step.Action {
	case Ask:
		if n.TipOnly {
			return leave(Train, n, t, "on the ladder: train, do not trim")
		}
		return Verdict{AskFirst, step, "say first where the quick ends"}
	case Stop:
		return Verdict{Leave, step, step.Because}
	case Sliver:
	}
	return Verdict{Trim, step, n.reason(t)}
}

// left says why a nail that nothing presses is left today; empty when it is not.
func (n Nail) left(margin float64) string {
	worth := Worth(n.Spare, n.Depth, margin)
	switch {
	case n.Touches && !worth:
		return "long quick: as short as it may be today"
	case !worth:
		return "nothing to take yet"
	case n.Clear && !n.Touches && !n.Dewclaw: // a dewclaw: little, but every time
		return "clear of the floor until after the next date: can wait"
	default:
		return ""
	}
}

// leave is a nail that is left, with what a sliver would be for whoever takes one all the same.
func leave(kind Kind, n Nail, t Terms, why string) Verdict {
	step := n.next(t)
	step.Action, step.Because = Stop, why
	return Verdict{kind, step, why}
}

// reason is why a nail is trimmed, where there is more to say than that it has grown.
func (n Nail) reason(t Terms) string {
	switch {
	case n.Curling && n.Unseen:
		return "may curl by now: look at it first, then a little at a time"
	case n.Curling:
		return "curls: first of all, a little at a time"
	case n.TipOnly:
		return "on the ladder: only the tip, while it is calm"
	case n.PastPad:
		return "reaches past its pad"
	case !n.Known && !n.Reads:
		return "first time here: the tip, then look at the end"
	case n.Touches:
		return "probably touches the floor"
	case n.Dewclaw:
		return "a dewclaw: little, but every time"
	default:
		return "a thin slice at a time, " + t.Until()
	}
}

// Until is the sign at which this school stops, in a few words.
func (t Terms) Until() string {
	if t.Stop == "full" {
		return "until the dot"
	}
	return "until the first sign"
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
