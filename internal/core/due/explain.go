package due

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
)

// Why the date is what it is, in one sentence and its parts.
const (
	whyDate       say.Key = "due.why"
	whenAfterTrim say.Key = "due.why_after_trim"
	whenAfterLook say.Key = "due.why_after_look"
	whyLeastWait  say.Key = "due.why_least_wait"
	whyLate       say.Key = "due.why_late"
	whySooner     say.Key = "due.why_sooner"
	whyTouches    say.Key = "due.why_touches"
	whyMayTouch   say.Key = "due.why_may_touch"
	whyMayAlready say.Key = "due.why_may_already"
	rulePad       say.Key = "due.rule_pad"
	ruleFloor     say.Key = "due.rule_floor"
	ruleWished    say.Key = "due.rule_wished"
	ruleRest      say.Key = "due.rule_rest"
	ruleRefused   say.Key = "due.rule_refused"
	ruleAgreed    say.Key = "due.rule_agreed"
	ruleCurl      say.Key = "due.rule_curl"
	ruleDrift     say.Key = "due.rule_drift"
	ruleWorth     say.Key = "due.rule_worth"
)

// Explanation is why the date is what it is.
type Explanation struct {
	Sentence say.Line
	Rows     []RuleAnswer // every rule, in the order of Rules
}

// RuleAnswer is what one rule alone would have said.
type RuleAnswer struct {
	Rule     Rule
	Words    say.Line
	Due      date.Date `json:",omitzero"` // zero when never
	Days     int       // from the last sitting, or from the last look where there was none
	Nails    []nail.Code
	Decides  bool
	Followed bool // it may decide; the break-even rhythm only does where short quicks are wanted
}

// Explain says why, in a sentence and as a table.
func (t Trim) Explain(n Next) Explanation {
	e := Explanation{Sentence: say.Of(whyDate, say.Args{
		"reason":   t.Reason(n),
		"when":     t.when(n),
		"waited":   t.waited(n),
		"moved":    t.moved(n),
		"touches":  t.touchesSooner(n),
		"cautious": t.cautious(n),
		"look":     t.mayAlready(n),
	})}
	for _, r := range n.Rules {
		e.Rows = append(e.Rows, RuleAnswer{
			Rule: r.Rule, Words: t.words(r), Due: r.Due, Days: r.Due.Sub(t.from()), Nails: r.Nails,
			Decides: r.Rule == n.Rule, Followed: t.follows(r.Rule),
		})
	}
	return e
}

// follows tells whether a rule may decide of this dog.
func (t Trim) follows(r Rule) bool {
	switch r {
	case Drift:
		return t.Short
	case Floor, Worth:
		return t.Dates != rhythm.ByCalendar
	default:
		return true
	}
}

func (t Trim) when(n Next) say.Line {
	key := whenAfterTrim
	if t.Sat.IsZero() {
		key = whenAfterLook
	}
	return days(key, n.Earliest.Sub(t.from()))
}

// waited says that a rule was met sooner, and that the least wait after a sitting set the day.
func (t Trim) waited(n Next) say.Line {
	for _, d := range n.PerNail {
		if d.Due == n.Earliest && d.Rule == n.Rule && t.day(weeks(d)).Before(n.Earliest) {
			return say.Of(whyLeastWait)
		}
	}
	return say.Line{}
}

// moved is what working days made of the date.
func (t Trim) moved(n Next) say.Line {
	by := n.Earliest.Sub(n.Due)
	switch {
	case n.Late:
		return days(whyLate, -by)
	case by > 0:
		return days(whySooner, by)
	default:
		return say.Line{}
	}
}

// touchesSooner is what a date by the calendar leaves to happen before it.
func (t Trim) touchesSooner(n Next) say.Line {
	if t.Dates != rhythm.ByCalendar || n.Touches.IsZero() {
		return say.Line{}
	}
	return say.Of(
		whyTouches,
		say.Args{"nails": nail.Said(n.First...), "n": say.Count(len(n.First)), "on": n.Touches.Say()},
	)
}

func (t Trim) cautious(n Next) say.Line {
	if n.Cautious == n.Due {
		return say.Line{}
	}
	return say.Of(whyMayTouch, say.Args{"on": n.Cautious.Say()})
}

func (t Trim) mayAlready(n Next) say.Line {
	if len(n.MayTouch) == 0 {
		return say.Line{}
	}
	return say.Of(whyMayAlready, say.Args{"nails": nail.Said(n.MayTouch...)})
}

// words say what a rule is about, for this dog.
func (t Trim) words(r RuleDate) say.Line {
	switch r.Rule {
	case Pad:
		return say.Of(rulePad)
	case Floor:
		if len(r.Nails) > 0 && t.nail(r.Nails[0]).WishedGap > 0 {
			return say.Of(ruleWished)
		}
		return say.Of(ruleFloor)
	case Rest:
		return say.Of(ruleRest)
	case Refused:
		return say.Of(ruleRefused)
	case Agreed:
		return say.Of(ruleAgreed)
	case Curl:
		return say.Of(ruleCurl)
	case Drift:
		return say.Of(ruleDrift)
	case Worth:
		return say.Of(ruleWorth)
	default:
		return t.Rhythm.IsUp()
	}
}

func days(key say.Key, n int) say.Line { return say.Of(key, say.Args{"days": say.Count(n)}) }
