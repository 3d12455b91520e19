package round

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// Repeat is a visit again and again: every so many weeks, so often, at the same hour of the same weekday.
type Repeat struct {
	EveryWeeks int
	Times      int
}

// Check names what cannot be.
func (r Repeat) Check() fault.Fields {
	var f fault.Fields
	if r.EveryWeeks < 1 || r.EveryWeeks > mostWeeksApart {
		f.Add("every_weeks", r.EveryWeeks, say.Of(mustBeFrom1To, say.Args{"n": say.Count(mostWeeksApart)}))
	}
	if r.Times < 1 || r.Times > mostRepeats {
		f.Add("times", r.Times, say.Of(mustBeFrom1ToTimes, say.Args{"n": say.Count(mostRepeats)}))
	}
	return f
}

// After are the days of the visits that follow one.
func (r Repeat) After(on date.Date) []date.Date {
	days := make([]date.Date, r.Times)
	for i := range days {
		days[i] = on.AddDays(7 * r.EveryWeeks * (i + 1))
	}
	return days
}
