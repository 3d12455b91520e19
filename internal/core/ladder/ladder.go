package ladder

import (
	"fmt"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
)

// Ladder is one dog's training with one tool.
type Ladder struct {
	Kind    Kind
	Started date.Date
	Paw     *nail.Paw // of a dog that gives the other paws; nil for the whole dog
}

// Try is one go at the step on which the dog stood.
type Try struct {
	On       date.Date
	Reaction temper.Reaction
	Paw      *nail.Paw // nil when it was about no paw
	Note     string
}

// Move is what a try came to.
type Move string

const (
	Up   Move = "up"
	Stay Move = "stay"
	Down Move = "down"
)

// Entry is one line of the journal: a try, and what it came to.
type Entry struct {
	Try
	Step int // that was tried, from 0
	Move Move
}

// Standing is where a dog stands on its ladder on a day.
type Standing struct {
	Ladder
	Step    int // from 0; the number of steps when it is through
	Streak  int // calm tries one after the other on this step
	Done    bool
	Ended   string    // why no more is done today; empty when more may be
	Says    string    // what the last try came to; empty before the first
	Wait    date.Date // until which the next step waits; zero when it does not
	Today   int       // tries of today
	Journal []Entry   // oldest first
	days    []day
}

// day is one day of training.
type day struct {
	on     date.Date
	passed bool // it ended a step further up
}

// Check returns the fields of a try that cannot be.
func (t Try) Check(l Ladder, today date.Date) fault.Fields {
	var f fault.Fields
	switch {
	case t.On.After(today):
		f.Add("on", t.On, "must not lie in the future")
	case t.On.Before(l.Started):
		f.Add("on", t.On, fmt.Sprintf("must not lie before the ladder was begun, %s", l.Started))
	}
	if n := len([]rune(t.Note)); n > mostNote {
		f.Add("note", fmt.Sprintf("%d letters", n), fmt.Sprintf("must have at most %d letters", mostNote))
	}
	return f
}

// StandingOn folds the tries, in the order of their days, into where the dog stands today.
func (l Ladder) StandingOn(today date.Date, tries []Try) Standing {
	s := Standing{Ladder: l}
	for _, t := range tries {
		if len(s.days) == 0 || s.days[len(s.days)-1].on != t.On {
			s.days = append(s.days, day{on: t.On})
			s.Today, s.Ended = 0, ""
		}
		s.try(t)
	}
	if len(s.days) == 0 || s.days[len(s.days)-1].on != today {
		s.Today, s.Ended = 0, ""
	}
	if !today.Before(s.Wait) {
		s.Wait = date.Date{}
	}
	return s
}

// try takes one try into account: calm on repeated tries goes up, and that ends the day's
// climbing; unsure stays; afraid goes down; too much goes down and ends the day.
func (s *Standing) try(t Try) {
	steps := Steps(s.Kind)
	s.Today++
	entry := Entry{Try: t, Step: min(s.Step, len(steps)-1), Move: Stay}
	today := &s.days[len(s.days)-1]
	switch {
	case t.Reaction == temper.Calm:
		s.Streak++
		s.Says = fmt.Sprintf("Calm: %d of %d.", min(s.Streak, Needed), Needed)
		if s.Streak >= Needed && !s.Done && !today.passed {
			s.climb(t.On, &entry)
		}
	case t.Reaction == temper.Uneasy:
		s.Streak = 0
		s.Says = "Unsure: stay on this step, shorter, with a better treat."
	default:
		s.Streak = 0
		if s.Step > 0 {
			s.Step--
			entry.Move = Down
		}
		s.Done = false
		s.Says = "Afraid: one step down, and let it win there."
	}
	switch {
	case t.Reaction == temper.Snapping:
		s.Ended = "Stop for today. A muzzle keeps everybody safe, the dog too. What cannot be done safely is not done; whether to sedate is a veterinarian's decision alone."
	case t.Reaction.TooMuch():
		s.Ended = "Stop for today. Never force it: one bad session costs months."
	case today.passed:
		s.Ended = "Enough for today: stop while it goes well, and praise."
	case s.Ended == "" && s.Today >= steps[entry.Step].Tries:
		s.Ended = "Enough tries for today: end on an easy one, and praise."
	}
	s.Journal = append(s.Journal, entry)
}

// climb goes a step up, unless the next one is a grinder's first nail and the dog has not had
// its time with the tool.
func (s *Standing) climb(on date.Date, entry *Entry) {
	steps := Steps(s.Kind)
	first := s.Started.AddDays(waitDays)
	if s.Kind == Grinder && s.Step+1 < len(steps) && steps[s.Step+1].Nail && !steps[s.Step].Nail && on.Before(first) {
		s.Wait = first
		s.Says = fmt.Sprintf("Calm, but the first nail waits until %s: one to two weeks with the tool come before it.", first)
		return
	}
	entry.Move = Up
	s.days[len(s.days)-1].passed = true
	s.Step++
	s.Streak = 0
	s.Wait = date.Date{}
	s.Done = s.Step == len(steps)
	s.Says = "Calm on repeated tries: a step up tomorrow."
	if s.Done {
		s.Says = "Through: the whole ladder, calmly."
	}
}

// NextOn is the day on which training goes on, today or later.
func (s Standing) NextOn(today date.Date) date.Date {
	if s.Ended != "" {
		return today.AddDays(1)
	}
	return today
}

// Reason says in a few words what comes next.
func (s Standing) Reason() string {
	steps := Steps(s.Kind)
	paw := ""
	if s.Paw != nil {
		paw = s.Paw.String() + ", "
	}
	if s.Done {
		return fmt.Sprintf("%s%s ladder: through", paw, s.Kind)
	}
	return fmt.Sprintf("%s%s ladder, step %d of %d: %s", paw, s.Kind, s.Step+1, len(steps), steps[s.Step].Words)
}
