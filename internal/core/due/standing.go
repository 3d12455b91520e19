package due

import "fribbet/internal/core/date"

// Standing is where a dog stands against its next date.
type Standing string

const (
	Late     Standing = "late"
	Today    Standing = "today"
	ThisWeek Standing = "week"   // within the next seven days
	Later    Standing = "later"  // after that
	Unseen   Standing = "unseen" // no date: to be looked at now
)

// StandingOn tells where the next date stands on a day.
func (n Next) StandingOn(day date.Date) Standing { return StandingAt(n.Due, day) }

// ShownOn is the day on which lists and calendars show a date, and how many days late that is: one that
// has gone by is shown today, for a task nobody sees any more is not done.
func ShownOn(on, today date.Date) (day date.Date, late int) {
	if late = today.Sub(on); late <= 0 {
		return on, 0
	}
	return today, late
}

// StandingAt tells where a date stands, seen from a day.
func StandingAt(due, day date.Date) Standing {
	switch left := due.Sub(day); {
	case left < 0:
		return Late
	case left == 0:
		return Today
	case left <= 7:
		return ThisWeek
	default:
		return Later
	}
}
