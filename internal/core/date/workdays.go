package date

import (
	"slices"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// Span is days from From to To, both of them in it.
type Span struct{ From, To Date }

// Has tells whether day lies in the span.
func (s Span) Has(day Date) bool { return !day.Before(s.From) && !day.After(s.To) }

// Check returns the fields that no span can have.
func (s Span) Check() fault.Fields {
	var f fault.Fields
	switch {
	case s.From.IsZero():
		f.Add("from", "nothing", say.Of(mustBeTheFirstDay))
	case s.To.Before(s.From):
		f.Add("to", s.To, say.Of(mustNotLieBeforeThe, say.Args{"from": s.From.Say()}))
	case s.To.Sub(s.From) >= MostSpan:
		f.Add("to", s.To, say.Of(mustBeAtMostDays, say.Args{"MostSpan": say.Count(MostSpan)}))
	}
	return f
}

// Workdays are the days on which somebody works: days of the week less what is closed.
type Workdays struct {
	Weekdays
	Closed []Span
}

// On tells whether day is one of them.
func (w Workdays) On(day Date) bool {
	return w.Has(day.Weekday()) && !slices.ContainsFunc(w.Closed, func(s Span) bool { return s.Has(day) })
}

// LatestIn returns the latest of them in (after, until], and whether there is one.
func (w Workdays) LatestIn(after, until Date) (Date, bool) {
	for d := until; d.After(after); d = d.AddDays(-1) {
		if w.On(d) {
			return d, true
		}
	}
	return Date{}, false
}

// FirstAfter returns the first of them later than day. At least one day of the week must be worked.
func (w Workdays) FirstAfter(day Date) Date {
	for d := day.AddDays(1); ; d = d.AddDays(1) {
		if w.On(d) {
			return d
		}
	}
}
