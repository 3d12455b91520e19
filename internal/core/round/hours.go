// Package round is the groomer's week: when there is work, who is there to hold, which place serves a dog, and
// how a day goes on from where it stands. It takes no clock of its own.
package round

import (
	"fmt"
	"slices"
	"time"

	"fribbet/internal/core/date"
)

// Clock is a time of day, minutes since midnight, from 0 to 1440.
type Clock int

// At is a time of day.
func At(hour, minute int) Clock { return Clock(60*hour + minute) }

func (c Clock) String() string { return fmt.Sprintf("%02d:%02d", int(c)/60, int(c)%60) }

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
	Around int                 // minutes to set up and clear away, at every dog
}

// On is a day's hours; false when it is closed.
func (w Week) On(day date.Date) (Hours, bool) {
	hours, is := w.Except[day]
	if !is {
		hours, is = w.Days[day.Weekday()]
	}
	return hours, is && hours.Minutes() > 0
}
