// Package due sets the date of the next sitting and says why.
package due

import (
	"cmp"
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
)

// TrimmedNail is one nail as the last sitting left it.
type TrimmedNail struct {
	Code      nail.Code
	Claw      claw.Claw
	Gap       float64     // to the floor, mm; not read for a dewclaw, which never meets it
	WishedGap float64     // the gap at which it is due, mm: 0 is when it would touch
	Rate      growth.Rate // net, mm a week
	Spare     float64     // mean spare, mm
	PastPad   bool        // seen to reach past its pad
	Rest      bool        // the last sitting did others and left it, though there was something to take
	// spare that a trim leaves, mm, and the least that is worth taking; 0 is the trim's own margin and half a
	// millimetre
	Margin float64
	Least  float64
	// the last trim could not clear it: the floor is no reason for a date, the plan that brings it back is
	LongQuick bool
	Done      bool // the last sitting took something off it
	// nobody looked at its floor, or, of a dewclaw, measured it or saw its curl: it is only believed
	Unseen    bool
	NotBefore date.Date // before which it is not trimmed, since the dog said no; zero where nothing keeps it
}

// Trim is all that the next date depends on.
type Trim struct {
	On       date.Date // the day on which the nails were as told here
	Sat      date.Date // the last sitting, from which the rhythm counts: On, or earlier; zero when there was none
	Nails    []TrimmedNail
	Rhythm   rhythm.Rhythm
	Dates    rhythm.Dates // empty is by the floor
	No       say.Line     // what the dog said no with, in a few words
	Once     date.Date    // that it is to come once, whatever the rules say later; zero where it is not
	Workdays date.Workdays
	Weight   float64      // of the dog, kg
	Follow   quick.Follow // how the dog's quick follows its nails; zero is as usual for its weight
	Margin   float64      // spare that a trim leaves in front of the quick, mm
	Short    bool         // its keeper wants short quicks: the break-even rhythm decides too
	Soonest  float64      // days after a sitting before which only a pad or a curl calls for the next; 0 is two
}

// Rule is one reason for a date.
type Rule string

const (
	Pad     Rule = "pad"    // the nail was seen to reach past its pad
	Floor   Rule = "floor"  // the nail reaches the floor, or the wished gap
	Rest    Rule = "rest"   // the last sitting did as many nails as the dog takes, and left it for the next day
	Curl    Rule = "curl"   // a dewclaw has turned so far that it curls
	Drift   Rule = "drift"  // from now on the quick would grow: the break-even rhythm
	Refused Rule = "no"     // the dog said no, and had its training by then
	Agreed  Rule = "once"   // it was agreed to come once on that day
	Ceiling Rule = "rhythm" // the rhythm's longest interval is up
	Worth   Rule = "worth"  // only now is there anything to take
)

// Rules lists them in the order they are told.
func Rules() []Rule { return []Rule{Refused, Pad, Rest, Floor, Curl, Drift, Agreed, Ceiling, Worth} }

// NailDate is when one nail is due.
type NailDate struct {
	Code      nail.Code
	Due       date.Date
	Cautious  date.Date
	Rule      Rule             // that decided
	Weeks     map[Rule]float64 // what each rule said, weeks after the sitting; +Inf is never
	LongQuick bool             // it reaches the floor before there is anything to take
	// it is due only after the sitting that follows the next one; of a whole dog the verdict says it (package outlook)
	CanWait bool
}

// RuleDate is what one rule alone would have said for the dog.
type RuleDate struct {
	Rule  Rule
	Due   date.Date   // zero when never
	Nails []nail.Code // the first to meet the rule
}

// Next is the next sitting's date with its reasons.
type Next struct {
	Dates    rhythm.Dates // what set it
	Due      date.Date    // the working day to do it
	Earliest date.Date    // the day the first nail is due, before working days are looked at
	Late     bool         // there was no working day in time, so Due lies after Earliest
	// the working day if the nails grow faster than nine dogs in ten; of a whole dog see package outlook
	Cautious date.Date
	MayTouch []nail.Code // believed clear, and yet may touch already: a look would tell
	Rule     Rule        // that decided
	Nails    []nail.Code
	Touches  date.Date   // the day on which the first nail meets the floor, where that is before Due; else zero
	First    []nail.Code // the nails that meet it then
	// that were done and stand on the floor again within the least wait: no date keeps them clear, a rhythm that brings
	// them back does
	Again   []nail.Code
	Clear   rhythm.Rhythm // the longest that would keep it clear; empty where none would, or nothing touches
	Rules   []RuleDate
	PerNail []NailDate
}

// After works out the next sitting. It returns fault.Fields when the trim cannot be.
func After(t Trim) (Next, error) {
	if err := t.Check().Err(); err != nil {
		return Next{}, err
	}
	next := Next{Dates: cmp.Or(t.Dates, rhythm.ByFloor), PerNail: make([]NailDate, len(t.Nails))}
	for i, n := range t.Nails {
		next.PerNail[i] = t.dateOf(n)
	}
	first, cautious := next.PerNail[0], next.PerNail[0].Cautious
	for _, d := range next.PerNail {
		if weeks(d) < weeks(first) || weeks(d) == weeks(first) && d.Rule == Pad && first.Rule != Pad {
			first = d // of two that are due at once, what was seen speaks before what was reckoned
		}
		if d.Cautious.Before(cautious) {
			cautious = d.Cautious
		}
	}
	next.Earliest, next.Rule = first.Due, first.Rule
	for _, d := range next.PerNail {
		if d.Due == first.Due && d.Rule == first.Rule {
			next.Nails = append(next.Nails, d.Code)
		}
	}
	if next.Due, next.Late = t.workday(
		first.Due,
	); first.Rule == Refused { // never sooner: the first working day from then on
		next.Due, next.Late = t.Workdays.FirstAfter(first.Due.AddDays(-1)), false
		next.Earliest = next.Due
	}
	next.Cautious, _ = t.workday(cautious)
	following := next.Due.AddDays(next.Due.Sub(t.from()))
	for i := range next.PerNail {
		next.PerNail[i].CanWait = next.PerNail[i].Due.After(following)
	}
	next.Rules = t.rules(next.PerNail)
	t.touches(&next)
	return next, nil
}

// touches tells when the first nail that stood clear meets the floor, where the date that can be kept comes after
// that, and the longest rhythm that would keep it clear: one that people keep, a week or more. Nails that pull no
// date are named by themselves.
func (t Trim) touches(next *Next) {
	first := math.Inf(1)
	for i, n := range t.Nails {
		meets := next.PerNail[i].Weeks[Floor]
		if t.again(n, meets) {
			next.Again = append(next.Again, n.Code)
		}
		first = math.Min(first, meets)
	}
	if math.IsInf(first, 1) || !t.day(first).Before(next.Due) {
		return
	}
	next.Touches = t.day(first)
	for i, n := range t.Nails {
		if t.day(next.PerNail[i].Weeks[Floor]) == next.Touches {
			next.First = append(next.First, n.Code)
		}
	}
	if one := rhythm.Within(first*7 + float64(t.On.Sub(t.from()))); one.Days() < t.Rhythm.Days() {
		next.Clear = one
	}
}

// again tells whether a nail that meets the floor in so many weeks does so within the least wait, though the last
// sitting did it: no date that people keep would find it clear.
func (t Trim) again(n TrimmedNail, meets float64) bool {
	return n.Done && !t.Sat.IsZero() && !math.IsInf(meets, 1) &&
		float64(t.On.Sub(t.Sat))/7+meets < math.Max(soonest, t.Soonest/7)
}

// weeks is when the deciding rule makes the nail due, weeks after the sitting.
func weeks(d NailDate) float64 { return d.Weeks[d.Rule] }

// dateOf applies every rule to one nail, at its mean rate and at the cautious one.
func (t Trim) dateOf(n TrimmedNail) NailDate {
	left := n.left()
	rules := t.weeksByRule(n, left, n.Rate.Mean)
	rule := t.decide(n, rules)
	fast := t.weeksByRule(n, left, growth.Cautious(n.Rate))
	return NailDate{
		Code: n.Code, Rule: rule, Weeks: rules,
		Due:       t.day(t.after(n, rules)),
		Cautious:  t.day(t.after(n, fast)),
		LongQuick: n.LongQuick || rules[Floor] < rules[Worth],
	}
}

// from is the day from which the rhythm counts.
func (t Trim) from() date.Date {
	if t.Sat.IsZero() {
		return t.On
	}
	return t.Sat
}

// after is when the deciding rule makes a nail due, weeks, once the least wait after the last sitting
// is over: only a nail seen past its pad, one that was left over, what was agreed and a dewclaw that curls and was
// not done may come sooner.
func (t Trim) after(n TrimmedNail, rules map[Rule]float64) float64 {
	rule := t.decide(n, rules)
	if t.Sat.IsZero() {
		return math.Max(0, rules[rule])
	}
	least := soonest
	if rule == Rest || rule == Agreed || rule == Refused {
		return math.Max(0, rules[rule])
	}
	if rule != Pad && (rule != Curl || rules[Curl] > 0 || n.Done) {
		least = math.Max(least, t.Soonest/7)
	}
	return math.Max(least-float64(t.On.Sub(t.Sat))/7, rules[rule])
}

// weeksByRule is when each rule makes the nail due if it grows rate mm a week. Only growth, in
// mm, is to be worked out from the nail's form: that is left, the same at any rate.
func (t Trim) weeksByRule(n TrimmedNail, left, rate float64) map[Rule]float64 {
	drift := quick.Drift{Rate: rate, RateSD: n.Rate.SD, Follow: t.follow()}
	rules := map[Rule]float64{
		Pad:     math.Inf(1),
		Rest:    math.Inf(1),
		Floor:   math.Inf(1),
		Curl:    math.Inf(1),
		Agreed:  t.agreed(),
		Refused: t.refused(n),
		Drift:   drift.BreakEven(n.Spare),
		Ceiling: math.Max(0, (t.Rhythm.After(t.from())-float64(t.On.Sub(t.from())))/7),
		Worth:   drift.WeeksTo(n.Spare, t.worth(n)),
	}
	if n.Code.Dewclaw() {
		rules[Curl] = left / rate
	} else if !n.LongQuick {
		rules[Floor] = left / rate
	}
	if n.PastPad {
		rules[Pad] = 0
	}
	if n.Rest && !t.Sat.IsZero() {
		rules[Rest] = math.Max(0, float64(1-t.On.Sub(t.Sat))/7)
		rules[Floor] = math.Inf(1) // where it stands was known then
	}
	for rule, weeks := range rules {
		if weeks > farWeeks {
			rules[rule] = math.Inf(1)
		}
	}
	return rules
}

// refused is until when nothing is taken off the nail, weeks; +Inf where nothing keeps it.
func (t Trim) refused(n TrimmedNail) float64 {
	if !n.NotBefore.After(t.On) {
		return math.Inf(1)
	}
	return float64(n.NotBefore.Sub(t.On)) / 7
}

// agreed is when the dog was agreed to come once, weeks; +Inf where it was not, or that is over.
func (t Trim) agreed() float64 {
	if t.Once.IsZero() || !t.Once.After(t.from()) {
		return math.Inf(1)
	}
	return math.Max(0, float64(t.Once.Sub(t.On))/7)
}

// worth is the spare at which there is something to take, mm.
func (t Trim) worth(n TrimmedNail) float64 {
	if n.Least > 0 {
		return n.Margin + n.Least
	}
	return t.Margin + worthCut
}

// left is the growth until the nail meets the floor, or the wished gap, or until a dewclaw curls, mm.
func (n TrimmedNail) left() float64 {
	if n.Code.Dewclaw() {
		return n.Claw.GrowthToTurn(claw.CurlTurn)
	}
	return n.Claw.AtGap(n.Gap).GrowthToGap(n.WishedGap)
}

// follow is how the dog's quick follows its nails.
func (t Trim) follow() quick.Follow {
	if t.Follow == (quick.Follow{}) {
		return quick.UsualFollow(claw.SizeFactor(t.Weight))
	}
	return t.Follow
}

// decide picks the first of pad, rest, floor, curl, rhythm and, where short quicks are wanted, drift,
// unless there is nothing to take by then. A nail seen past its pad and a curling dewclaw wait
// for nothing: even a little off them helps. By the calendar the floor decides nothing, nor does a nail that stands on
// it again within the least wait.
func (t Trim) decide(n TrimmedNail, weeks map[Rule]float64) Rule {
	first := t.first(n, weeks)
	if no := weeks[Refused]; !math.IsInf(no, 1) && no >= weeks[first] {
		return Refused
	}
	return first
}

// first is decide of a dog that said no to nothing.
func (t Trim) first(n TrimmedNail, weeks map[Rule]float64) Rule {
	first := Ceiling
	for _, rule := range []Rule{Drift, Floor, Curl, Agreed, Rest, Pad} {
		if rule == Drift && !t.Short || rule == Floor && (t.Dates == rhythm.ByCalendar || t.again(n, weeks[Floor])) {
			continue
		}
		if weeks[rule] <= weeks[first] {
			first = rule
		}
	}
	if t.Dates == rhythm.ByCalendar {
		return first
	}
	if worth := weeks[Worth]; worth > weeks[first] && !math.IsInf(worth, 1) && first != Pad && first != Curl &&
		first != Rest &&
		first != Agreed {
		return Worth
	}
	return first
}

// day turns weeks after the sitting into a date, parts of a day dropped.
func (t Trim) day(weeks float64) date.Date {
	const hair = 1e-9 // so that 4/7 of a week is four days in floating point too
	return t.On.AddDays(int(math.Floor(weeks*7 + hair)))
}

// workday is the latest working day on or before day that is still to come as the nails were
// told, and not the last sitting's own; or, late, the first one after it.
func (t Trim) workday(day date.Date) (on date.Date, late bool) {
	gone := t.On.AddDays(-1)
	if t.Sat == t.On {
		gone = t.On
	}
	if on, ok := t.Workdays.LatestIn(gone, day); ok {
		return on, false
	}
	return t.Workdays.FirstAfter(day), true
}

// rules is what each rule alone says, what was left over only where something was: its earliest day and the nails that
// meet it then.
func (t Trim) rules(nails []NailDate) []RuleDate {
	all := make([]RuleDate, 0, len(Rules()))
	for _, rule := range Rules() {
		one := RuleDate{Rule: rule}
		for _, n := range nails {
			if math.IsInf(n.Weeks[rule], 1) {
				continue
			}
			day := t.day(n.Weeks[rule])
			if one.Due.IsZero() || day.Before(one.Due) {
				one.Due, one.Nails = day, nil
			}
			if day == one.Due {
				one.Nails = append(one.Nails, n.Code)
			}
		}
		if (rule == Rest || rule == Agreed || rule == Refused) && one.Due.IsZero() {
			continue // nothing was left over or agreed, as mostly
		}
		all = append(all, one)
	}
	return all
}
