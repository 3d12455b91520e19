package temper

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
)

// Said is one reaction at a sitting, on the paw that was in the hand.
type Said struct {
	Paw      nail.Paw
	Reaction Reaction
}

// Answer is what a reaction asks for at once; what is to be said of it is found by its key.
type Answer struct {
	Key  AnswerKey
	Paw  bool // leave this paw for today
	Ends bool // stop for today
}

// AnswerKey names an answer.
type AnswerKey string

// The table of what a reaction asks for: now, and for the rest of today. For the next time see Refusals.
const (
	NoAnswer    AnswerKey = ""
	Ease        AnswerKey = "uneasy"        // pause, a treat, a softer hold
	AnotherPaw  AnswerKey = "uneasy_again"  // the second time: another paw
	LetGo       AnswerKey = "pulling"       // let go with the pull, wait, take it again lower
	LeavePaw    AnswerKey = "pulling_again" // the second time on a paw: leave it
	StopPaw     AnswerKey = "fighting"      // this paw stops at once; end on something easy
	StopFought  AnswerKey = "fighting_again"
	StopSnapped AnswerKey = "snapping" // stop for today, hands away
)

// AnswerTo is what the last of a sitting's reactions asks for (trade; we stop where practitioners differ, since a fight
// once costs months).
func AnswerTo(said []Said) Answer {
	if len(said) == 0 {
		return Answer{}
	}
	last := said[len(said)-1]
	before := func(r Reaction, paw bool) (n int) {
		for _, s := range said[:len(said)-1] {
			if s.Reaction == r && (!paw || s.Paw == last.Paw) {
				n++
			}
		}
		return n
	}
	switch last.Reaction {
	case Snapping:
		return Answer{StopSnapped, true, true}
	case Fighting:
		if before(Fighting, false) > 0 {
			return Answer{StopFought, true, true}
		}
		return Answer{StopPaw, true, false}
	case Pulling:
		if before(Pulling, true) > 0 {
			return Answer{LeavePaw, true, false}
		}
		return Answer{LetGo, false, false}
	case Uneasy:
		if before(Uneasy, false) > 0 {
			return Answer{AnotherPaw, false, false}
		}
		return Answer{Ease, false, false}
	case Calm, Untold:
	}
	return Answer{}
}

// FirstAnswers are what each reaction asks for that was not told before at a sitting.
func FirstAnswers() (all []Answer) {
	for _, r := range Reactions() {
		if a := AnswerTo([]Said{{Reaction: r}}); a.Key != NoAnswer {
			all = append(all, a)
		}
	}
	return all
}

// Refusal is a no that was told, and until when nothing is trimmed for it.
type Refusal struct {
	On       date.Date `json:",omitzero"` // of the sitting; zero where there is none
	Reaction Reaction  `json:",omitzero"`
	Until    date.Date `json:",omitzero"` // from when on a trim may be tried again
}

// Holds tells whether it still keeps a trim off on a day.
func (r Refusal) Holds(day date.Date) bool { return !r.On.IsZero() && day.Before(r.Until) }

// Refusals are what a dog's sittings leave for the next time: after snapping nothing is trimmed before the dog had its
// weeks on the ladder, after fighting not that paw.
type Refusals struct {
	Dog  Refusal    `json:",omitzero"`
	Paws [4]Refusal `json:",omitzero"` // by nail.Paw
}

// Of is what keeps a paw from being trimmed on a day; false where nothing does.
func (r Refusals) Of(paw nail.Paw, day date.Date) (Refusal, bool) {
	for _, one := range []Refusal{r.Dog, r.Paws[paw]} {
		if one.Holds(day) {
			return one, true
		}
	}
	return Refusal{}, false
}

// After is what they are once one more sitting was told. A sitting at which a paw was trimmed and not fought over
// takes its refusal back; one at which something was trimmed and nobody was snapped at, the dog's.
func (r Refusals) After(o Outing) Refusals {
	worst, cut, any := [4]Reaction{}, [4]bool{}, false
	snapped := false
	for _, t := range o.Touches {
		worst[t.Paw] = Worst(worst[t.Paw], t.Reaction)
		cut[t.Paw] = cut[t.Paw] || t.Cut
		any = any || t.Cut
		snapped = snapped || t.Reaction == Snapping
	}
	for paw := range r.Paws {
		switch {
		case worst[paw] == Snapping:
			r.Paws[paw] = Refusal{o.On, Snapping, o.On.AddDays(dogTraining)}
		case worst[paw] == Fighting:
			r.Paws[paw] = Refusal{o.On, Fighting, o.On.AddDays(pawTraining)}
		case cut[paw]:
			r.Paws[paw] = Refusal{}
		}
	}
	switch {
	case snapped:
		r.Dog = Refusal{o.On, Snapping, o.On.AddDays(dogTraining)}
	case any:
		r.Dog = Refusal{}
	}
	return r
}
