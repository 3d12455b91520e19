package ladder

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
	"fribbet/internal/core/temper"
)

// Ladder is one dog's training with one tool.
type Ladder struct {
	Kind    Kind
	Started date.Date
	Paw     *nail.Paw // of a dog that gives the other paws; nil for the whole dog
	First   int       // the step that it began with
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

// Progress is where a dog stands on its ladder on a day.
type Progress struct {
	Ladder
	Step int // from 0; the number of steps when it is through
	// calm tries one after the other on this step; of one that is passed paw by paw those of the paw with the fewest
	Streak  int
	Paws    [4]int // of such a step, by nail.Paw
	Done    bool
	Ended   say.Line  // why no more is done today; empty when more may be
	Says    say.Line  // what the last try came to; empty before the first
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
		f.Add("on", t.On, fault.NotAhead())
	case t.On.Before(l.Started):
		f.Add("on", t.On, say.Of(mustNotLieBeforeThe, say.Args{"started": l.Started.Say()}))
	}
	if n := len([]rune(t.Note)); n > mostNote {
		f.Add("note", fault.LettersOf(n), fault.MostLetters(mostNote))
	}
	return f
}

// StandingOn folds the tries, in the order of their days, into where the dog stands today.
func (l Ladder) StandingOn(today date.Date, tries []Try) Progress {
	s := Progress{Ladder: l, Step: l.First}
	for _, t := range tries {
		if len(s.days) == 0 || s.days[len(s.days)-1].on != t.On {
			s.days = append(s.days, day{on: t.On})
			s.Today, s.Ended = 0, say.Line{}
		}
		s.try(t)
	}
	if len(s.days) == 0 || s.days[len(s.days)-1].on != today {
		s.Today, s.Ended = 0, say.Line{}
	}
	if !today.Before(s.Wait) {
		s.Wait = date.Date{}
	}
	return s
}

// try takes one try into account: calm on repeated tries goes up, and that ends the day's
// climbing; unsure stays; afraid goes down; too much goes down and ends the day.
func (s *Progress) try(t Try) {
	steps := Steps(s.Kind)
	s.Today++
	entry := Entry{Try: t, Step: min(s.Step, len(steps)-1), Move: Stay}
	today := &s.days[len(s.days)-1]
	switch {
	case t.Reaction == temper.Calm:
		s.calm(t)
		if s.Streak >= Needed && !s.Done && !today.passed {
			s.climb(t.On, &entry)
		}
	case t.Reaction == temper.Uneasy:
		s.uneasy(t)
		s.Says = say.Of(unsureStayOnThisStep)
	default:
		s.Streak, s.Paws = 0, [4]int{}
		if s.Step > 0 {
			s.Step--
			entry.Move = Down
		}
		s.Done = false
		s.Says = say.Of(afraidOneStepDownAnd)
	}
	switch {
	case t.Reaction == temper.Snapping:
		s.Ended = say.Of(stopForTodayAMuzzle)
	case t.Reaction.TooMuch():
		s.Ended = say.Of(stopForTodayNeverForce)
	case today.passed:
		s.Ended = say.Of(enoughForTodayStopWhile)
	case s.Ended.Nothing() && s.Today >= steps[entry.Step].Tries:
		s.Ended = say.Of(enoughTriesForTodayEnd)
	}
	s.Journal = append(s.Journal, entry)
}

// ByPaw tells whether the step is passed paw by paw: of the whole dog, and about a paw.
func (s Progress) ByPaw() bool {
	return s.Paw == nil && s.Step < len(Steps(s.Kind)) && Steps(s.Kind)[s.Step].ByPaw
}

// NextPaw is the paw that a step that is passed paw by paw goes on with: the first that is not through.
func (s Progress) NextPaw() (nail.Paw, bool) {
	if !s.ByPaw() {
		return 0, false
	}
	for _, paw := range nail.Paws() {
		if s.Paws[paw] < Needed {
			return paw, true
		}
	}
	return 0, false
}

// about are the paws that a try was about: all of them where nobody said which.
func (t Try) about() []nail.Paw {
	if t.Paw == nil {
		return nail.Paws()
	}
	return []nail.Paw{*t.Paw}
}

// calm counts a calm try: of a step about a paw for that paw, and the step is passed when all four are.
func (s *Progress) calm(t Try) {
	if !s.ByPaw() {
		s.Streak++
		s.Says = say.Of(calmOf, say.Args{"calm": say.Whole(min(s.Streak, Needed)), "needed": say.Whole(Needed)})
		return
	}
	for _, paw := range t.about() {
		s.Paws[paw]++
	}
	s.Streak = slices.Min(s.Paws[:])
	switch {
	case t.Paw == nil:
		s.Says = say.Of(calmOf, say.Args{"calm": say.Whole(min(s.Streak, Needed)), "needed": say.Whole(Needed)})
	case s.Paws[*t.Paw] >= Needed:
		s.Says = say.Of(isGivenCalmlyNowThe, say.Args{"paw": nail.SaidPaws(*t.Paw)})
	default:
		s.Says = say.Of(
			calmOf2,
			say.Args{"paw": nail.SaidPaws(*t.Paw), "calm": say.Whole(s.Paws[*t.Paw]), "needed": say.Whole(Needed)},
		)
	}
}

// uneasy begins the count anew, of a step about a paw for that paw.
func (s *Progress) uneasy(t Try) {
	s.Streak = 0
	if s.ByPaw() {
		for _, paw := range t.about() {
			s.Paws[paw] = 0
		}
	}
}

// Reward is how a try is rewarded: as the step says, and thinner once it has gone well two days running.
func (s Progress) Reward() say.Line {
	steps := Steps(s.Kind)
	if s.Step >= len(steps) {
		return say.Line{}
	}
	passed := 0
	for _, d := range slices.Backward(s.days) {
		if !d.passed {
			break
		}
		passed++
	}
	if step := steps[s.Step]; passed < thinAfter || step.Reward.Key != everyTry.Key {
		return step.Reward
	}
	return say.Of(theWordAfterEveryTry)
}

// climb goes a step up, unless the next one is a grinder's first nail and the dog has not had
// its time with the tool.
func (s *Progress) climb(on date.Date, entry *Entry) {
	steps := Steps(s.Kind)
	first := s.Started.AddDays(waitDays)
	if s.Kind == Grinder && s.Step+1 < len(steps) && steps[s.Step+1].Nail && !steps[s.Step].Nail && on.Before(first) {
		s.Wait = first
		s.Says = say.Of(calmButTheFirstNail, say.Args{"first": first.Say()})
		return
	}
	entry.Move = Up
	s.days[len(s.days)-1].passed = true
	s.Step++
	s.Streak, s.Paws = 0, [4]int{}
	s.Wait = date.Date{}
	s.Done = s.Step == len(steps)
	s.Says = say.Of(calmOnRepeatedTriesA)
	if s.Done {
		s.Says = say.Of(throughTheWholeLadderCalmly)
	}
}

// NextOn is the day on which training goes on, today or later.
func (s Progress) NextOn(today date.Date) date.Date {
	if !s.Ended.Nothing() {
		return today.AddDays(1)
	}
	return today
}

// Reason says in a few words what comes next.
func (s Progress) Reason() say.Line {
	steps := Steps(s.Kind)
	which := s.Kind.Say()
	if s.Paw != nil {
		which = say.Of(ladderOfPaw, say.Args{"paw": nail.SaidPaws(*s.Paw), "ladder": which})
	}
	if s.Done {
		return say.Of(ladderThrough, say.Args{"ladder": which})
	}
	key := ladderStepOf
	if !s.Ended.Nothing() {
		key = ladderStepTomorrow
	}
	return say.Of(
		key,
		say.Args{
			"ladder": which,
			"step":   say.Whole(s.Step + 1),
			"steps":  say.Whole(len(steps)),
			"words":  steps[s.Step].Words,
		},
	)
}

// Say is what a ladder is called, within a sentence.
func (k Kind) Say() say.Line { return say.Of("ladder.kind_" + say.Key(k)) }
