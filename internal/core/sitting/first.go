package sitting

import "fribbet/internal/core/say"

// FirstStep is one way to begin with a dog of which nobody has told anything here.
type FirstStep struct {
	Way   Way
	Words say.Line
	Why   say.Line
}

// Way is where a first step leads.
type Way string

const (
	ToLadder Way = "ladder"
	ToWalk   Way = "walk"
	ToNail   Way = "nail"
)

// FirstSteps are the ways to begin, the best first; none once anything was told of the dog's feet.
func (q Question) FirstSteps() []FirstStep {
	if !q.Feet.Known().IsZero() {
		return nil
	}
	walk := FirstStep{ToWalk, say.Of(lookAtItsFeet), say.Of(twoMinutesWithASheet)}
	first := FirstStep{ToNail, say.Of(straightToTheFirstNail), say.Of(theVeryTipThenWhat)}
	if !q.Gently() {
		return []FirstStep{walk, first}
	}
	first.Words, first.Why = say.Of(aNailOrTwoToday), say.Of(stopWhileItStillGoes)
	return []FirstStep{{ToLadder, say.Of(beginTheLadder), say.Of(itLearnsAStepA)}, walk, first}
}
