package due

import (
	"fmt"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
)

// Explanation is why the date is what it is.
type Explanation struct {
	Sentence string
	Rows     []Told // every rule, in the order of Rules
}

// Told is what one rule alone would have said.
type Told struct {
	Rule     Rule
	Words    string
	Due      date.Date `json:",omitzero"` // zero when never
	Days     int       // from the last sitting, or from the last look where there was none
	Nails    []nail.Code
	Decides  bool
	Followed bool // it may decide; the break-even rhythm only does where short quicks are wanted
}

// Explain says why, in a sentence and as a table.
func (t Trim) Explain(n Next) Explanation {
	e := Explanation{Sentence: t.Reason(n) + ": " + t.when(n) + t.waited(n) + t.moved(n) + t.touchesSooner(n) + t.cautious(n) + "."}
	for _, r := range n.Rules {
		e.Rows = append(e.Rows, Told{
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

func (t Trim) when(n Next) string {
	return days(n.Earliest.Sub(t.from())) + " after the last " + choose(t.Sat.IsZero(), "look", "trim")
}

// waited says that a rule was met sooner, and that the least wait after a sitting set the day.
func (t Trim) waited(n Next) string {
	for _, d := range n.PerNail {
		if d.Due == n.Earliest && d.Rule == n.Rule && t.day(weeks(d)).Before(n.Earliest) {
			return ", the least wait as often as agreed"
		}
	}
	return ""
}

// moved is what working days made of the date.
func (t Trim) moved(n Next) string {
	by := n.Earliest.Sub(n.Due)
	switch {
	case n.Late:
		return ", and " + days(-by) + " late, since no working day comes before"
	case by > 0:
		return ", done " + days(by) + " sooner, on the last working day before"
	default:
		return ""
	}
}

// touchesSooner is what a date by the calendar leaves to happen before it.
func (t Trim) touchesSooner(n Next) string {
	if t.Dates != rhythm.ByCalendar || n.Touches.IsZero() {
		return ""
	}
	return "; " + list(n.First) + choose(len(n.First) == 1, " touches", " touch") + " the floor from " + n.Touches.Short()
}

func (t Trim) cautious(n Next) string {
	words := ""
	if n.Cautious != n.Due {
		words = "; a nail may touch from " + n.Cautious.Short()
	}
	if len(n.MayTouch) > 0 {
		words += "; " + list(n.MayTouch) + " may touch already: look"
	}
	return words
}

// words say what a rule is about, for this dog.
func (t Trim) words(r RuleDate) string {
	switch r.Rule {
	case Pad:
		return "seen to reach past the pad"
	case Floor:
		if len(r.Nails) > 0 && t.nail(r.Nails[0]).WishedGap > 0 {
			return "down to the wished gap"
		}
		return "would touch the floor"
	case Rest:
		return "left over from the last trim"
	case Refused:
		return "said no: had its training by then"
	case Agreed:
		return "agreed for once"
	case Curl:
		return "a dewclaw starts to curl"
	case Drift:
		return "the quick would begin to grow"
	case Worth:
		return "not before: enough safe to trim for a small cut"
	default:
		return t.Rhythm.IsUp()
	}
}

func days(n int) string {
	if n == 1 {
		return "a day"
	}
	return fmt.Sprintf("%d days", n)
}
