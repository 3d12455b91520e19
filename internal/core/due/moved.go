package due

import (
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
)

// What moved a date, said once after an update that changed the rules.
const (
	movedNo       say.Key = "due.moved_no"
	movedHalfWeek say.Key = "due.moved_half_week"
	movedCalendar say.Key = "due.moved_calendar"
	movedNails    say.Key = "due.moved_nails"
)

// MovedBy is which of the rules moved a date that this rule sets now, of a dog at this rhythm.
func MovedBy(rule Rule, every rhythm.Rhythm) say.Line {
	switch {
	case rule == Refused:
		return say.Line{Key: movedNo}
	case rule == Ceiling && every == rhythm.TwiceAWeek:
		return say.Line{Key: movedHalfWeek}
	case rule == Ceiling || rule == Agreed:
		return say.Line{Key: movedCalendar}
	default:
		return say.Line{Key: movedNails}
	}
}
