package kit

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/say"
)

// Level is how an item stands.
type Level string

const (
	Fine    Level = "fine"
	Soon    Level = "soon"    // near its limit or its date
	Overdue Level = "overdue" // past it: see to it before it is used
)

// Use is what the sittings since an item's last service asked of it.
type Use struct {
	Cuts      float64
	Minutes   float64
	Assumed   bool // some of the minutes are reckoned: nobody timed those sittings
	TookForce bool // it was felt to be blunt
}

// Condition is how an item stands, and what is to be done about it.
type Condition struct {
	Level  Level
	Counts Counts
	Used   float64  // cuts or minutes since the last service
	Limit  float64  // cuts or minutes; +Inf when there is none
	Told   bool     // the limit is the user's; else judgement
	Words  say.Line // what is to be done and why; empty when fine
}

// Service is the word for what makes an item as new.
func (i Item) Service() string {
	tool, is := i.Kind.Tool()
	switch {
	case is && tool.Work() == Clipping:
		return "sharpen"
	case i.Kind == Grinder:
		return "charge"
	case is:
		return "change"
	default:
		return "refill"
	}
}

// Usable tells whether work can be done with an item that stands so.
func (s Condition) Usable() bool { return s.Level != Overdue }

// StateOn tells how the item stands on a day after what was asked of it.
func (i Item) StateOn(day date.Date, u Use) Condition {
	s := Condition{Level: Fine, Counts: i.counts()}
	s.Limit, s.Told = i.limit()
	s.Used = u.Minutes
	if s.Counts == CountsCuts {
		s.Used = u.Cuts
	}
	worn := func(level Level) Condition {
		s.Level, s.Words = level, say.Of(
			itOf,
			say.Args{
				"service": i.service(),
				"used":    say.Round(s.Used),
				"limit":   say.Round(s.Limit),
				"counts":  s.Counts.say(),
			},
		)
		return s
	}
	as := func(level Level, words say.Line) Condition {
		s.Level, s.Words = level, words
		return s
	}
	switch left := i.Expires.Sub(day); {
	case u.TookForce:
		return as(Overdue, say.Of(bluntItTookForceSharpen))
	case i.Stock == Empty:
		return as(Overdue, say.Of(emptyRefillIt))
	case !i.Expires.IsZero() && left < 0:
		return as(Overdue, say.Of(expiredOnReplaceIt, say.Args{"expires": i.Expires.SayLong()}))
	case s.Used >= s.Limit:
		return worn(Overdue)
	case i.Stock == Low:
		return as(Soon, say.Of(nearlyEmpty))
	case !i.Expires.IsZero() && left <= soonDays:
		return as(Soon, say.Of(expiresInDays, say.Args{"left": say.Count(left)}))
	case s.Used >= soonShare*s.Limit:
		return worn(Soon)
	}
	return s
}
