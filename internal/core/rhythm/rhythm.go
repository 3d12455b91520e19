// Package rhythm is how often a dog is done, and what that does to its nails over months: days
// on the floor, the quick's move, the work; and how a long quick is brought back.
package rhythm

import (
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/core/say"
)

// Rhythm is how often a dog is done at the latest: the ceiling of the school its keeper follows.
type Rhythm string

const (
	EveryOtherDay Rhythm = "every_other_day" // to drive a long quick back
	TwiceAWeek    Rhythm = "twice_a_week"    // the same
	Weekly        Rhythm = "weekly"          // grinding, or tiny tips
	Fortnightly   Rhythm = "fortnightly"     // the usual home advice
	ThreeWeeks    Rhythm = "three_weeks"
	FourWeeks     Rhythm = "four_weeks" // the general ceiling
	SixWeeks      Rhythm = "six_weeks"  // what many customers manage: beyond the ceiling, only to compare with
)

// Rhythms lists those that can be chosen for a dog, most frequent first.
func Rhythms() []Rhythm {
	return []Rhythm{EveryOtherDay, TwiceAWeek, Weekly, Fortnightly, ThreeWeeks, FourWeeks}
}

// Compared lists those that are laid side by side: the ones to choose, and six weeks.
func Compared() []Rhythm { return append(Rhythms(), SixWeeks) }

// Days is the rhythm's longest interval in days (common practice, no source); 0 for an unknown rhythm.
func (r Rhythm) Days() float64 {
	return map[Rhythm]float64{
		EveryOtherDay: 2, TwiceAWeek: 3.5, Weekly: 7, Fortnightly: 14, ThreeWeeks: 21, FourWeeks: 28, SixWeeks: 42,
	}[r]
}

// After is in how many days its interval is up after a day. Twice a week keeps two weekdays: three days on from Monday
// to Wednesday, four from then on.
func (r Rhythm) After(day date.Date) float64 {
	if r != TwiceAWeek {
		return r.Days()
	}
	if on := day.Weekday(); on >= time.Monday && on <= time.Wednesday {
		return 3
	}
	return 4
}

// Within is the longest rhythm that people keep, a week or more, that is no longer than so many days; empty where none
// is.
func Within(days float64) (longest Rhythm) {
	for _, one := range Rhythms() { // the most frequent first
		if one.Days() >= Weekly.Days() && one.Days() <= days {
			longest = one
		}
	}
	return longest
}

// IsUp says that the rhythm's interval has passed.
func (r Rhythm) IsUp() say.Line { return say.Of("rhythm.is_up_" + say.Key(r)) }

// Dates is what sets a dog's dates: the floor or the calendar.
type Dates string

const (
	// when the first nail touches that a sitting could keep clear; the rhythm is the latest
	ByFloor    Dates = "floor"
	ByCalendar Dates = "calendar" // on the rhythm, as it was agreed; what touches before is told
)

// BothDates lists them.
func BothDates() []Dates { return []Dates{ByFloor, ByCalendar} }
