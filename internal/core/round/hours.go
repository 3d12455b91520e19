// Package round is the groomer's week: when there is work, who is there to hold, which place serves a dog, and
// how a day goes on from where it stands. It takes no clock of its own.
package round

import (
	"fmt"
	"maps"
	"slices"
	"strings"
	"time"
	"unicode/utf8"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// Clock is a time of day, minutes since midnight, from 0 to 1440.
type Clock int

// At is a time of day.
func At(hour, minute int) Clock { return Clock(60*hour + minute) }

func (c Clock) String() string { return fmt.Sprintf("%02d:%02d", int(c)/60, int(c)%60) }

// Say is the time as a sentence holds it.
func (c Clock) Say() say.Clock { return say.Clock(c) }

// Stretch is from one time of a day to another; the end is no part of it.
type Stretch struct{ From, To Clock }

// Minutes is how long it is; never negative.
func (s Stretch) Minutes() int { return int(max(0, s.To-s.From)) }

// Holds tells whether another stretch lies within.
func (s Stretch) Holds(o Stretch) bool { return s.From <= o.From && o.To <= s.To }

// Meets tells whether two have a minute in common.
func (s Stretch) Meets(o Stretch) bool { return s.From < o.To && o.From < s.To }

// Hours are a day's work.
type Hours struct {
	Stretch
	Break  Stretch   // empty: none
	Helper []Stretch // when somebody is there to hold
	Place  string    // free words: a lock, a kitchen
}

// Open is what of a day can be worked, in its order.
func (h Hours) Open() []Stretch {
	if h.Break.Minutes() == 0 || !h.Meets(h.Break) {
		return worked(h.Stretch)
	}
	return worked(Stretch{h.From, h.Break.From}, Stretch{h.Break.To, h.To})
}

func worked(all ...Stretch) []Stretch {
	return slices.DeleteFunc(all, func(s Stretch) bool { return s.Minutes() == 0 })
}

// Helped tells whether somebody is there to hold all the while.
func (h Hours) Helped(s Stretch) bool {
	return slices.ContainsFunc(h.Helper, func(there Stretch) bool { return there.Holds(s) })
}

// Week is when there is work: each weekday, and days that are otherwise.
type Week struct {
	Days   map[time.Weekday]Hours
	Except map[date.Date]Hours // with no minutes: closed
	Closed []date.Span         `json:",omitempty"` // holidays; a day of Except is worked all the same
	Around int                 // minutes to set up and clear away, at every dog
}

// Since is the week once a day has come to a time: what of it went by is worked no more.
func (w Week) Since(on date.Date, at Clock) Week {
	hours, open := w.On(on)
	if !open {
		return w
	}
	hours.From = min(hours.To, max(hours.From, at))
	w.Except = maps.Clone(w.Except)
	if w.Except == nil {
		w.Except = map[date.Date]Hours{}
	}
	w.Except[on] = hours
	return w
}

// On is a day's hours; false when it is closed.
func (w Week) On(day date.Date) (Hours, bool) {
	hours, is := w.Except[day]
	if !is && !slices.ContainsFunc(w.Closed, func(s date.Span) bool { return s.Has(day) }) {
		hours, is = w.Days[day.Weekday()]
	}
	return hours, is && hours.Minutes() > 0
}

// Check names what cannot be.
func (w Week) Check() fault.Fields {
	var f fault.Fields
	for day, h := range w.Days {
		f.Under("days."+strings.ToLower(day.String()), h.check())
	}
	for on, h := range w.Except {
		f.Under("exceptions."+on.String(), h.check())
	}
	if w.Around < 0 || w.Around > mostAround {
		f.Add("around_minutes", w.Around, say.Of(mustBeFrom0To, say.Args{"n": say.Count(mostAround)}))
	}
	return f
}

func (h Hours) check() fault.Fields {
	var f fault.Fields
	within := func(name string, s Stretch, outer Stretch, want say.Line) {
		if s.From > s.To || s.Minutes() > 0 && !outer.Holds(s) {
			f.Add(name, fmt.Sprintf("%s–%s", s.From, s.To), want)
		}
	}
	within("from", h.Stretch, Stretch{0, At(24, 0)}, say.Of(mustBeFromOneTime))
	within("break", h.Break, h.Stretch, say.Of(mustLieWithinTheHours))
	for _, s := range h.Helper {
		within("helper", s, Stretch{0, At(24, 0)}, say.Of(mustBeFromOneTime))
	}
	if utf8.RuneCountInString(h.Place) > longestPlace {
		f.Add("place", h.Place, fault.MostLetters(longestPlace))
	}
	return f
}

// UsualWeek is the week of a groomer who has told none: nine to five on working weekdays, half an hour's break, five
// minutes round each dog (judgement).
func UsualWeek(workdays func(time.Weekday) bool) Week {
	w := Week{Days: map[time.Weekday]Hours{}, Around: 5}
	for day := time.Sunday; day <= time.Saturday; day++ {
		if workdays(day) {
			w.Days[day] = Hours{Stretch: Stretch{At(9, 0), At(17, 0)}, Break: Stretch{At(12, 30), At(13, 0)}}
		}
	}
	return w
}
