// Package ladder is how a dog is got used to having its nails done, one small step at a time:
// the steps, when to go up, stay or go down, and about when the dog will be ready.
package ladder

import "fribbet/internal/core/say"

// Kind is what the dog is got used to.
type Kind string

const (
	Clipper Kind = "clipper"
	Grinder Kind = "grinder"
	Muzzle  Kind = "muzzle" // before it is needed: trained, never forced
	Board   Kind = "board"  // the scratch board: it keeps fore nails, and closes no paw
)

// Rounds is a sound that comes and goes: on, a treat, off, a rest.
type Rounds struct {
	On, Rest int // seconds
	Count    int
}

// Step is one rung.
type Step struct {
	Words   say.Line
	How     say.Line
	Seconds int // how long one try lasts
	Tries   int // most tries a day
	Reward  say.Line
	Sound   *Rounds // of a step that is about a sound
	Nail    bool    // a real nail is touched with the running tool, or cut
	ByPaw   bool    // it is passed paw by paw
}

var (
	everyTry  = say.Of(rewardEveryTry)
	everyNail = say.Of(rewardEveryNail)
)

// Steps are the rungs of a ladder, lowest first (trade, common practice with no source; how
// long and how often are judgement).
func Steps(k Kind) []Step {
	switch k {
	case Grinder:
		return grinder
	case Board:
		return board
	case Muzzle:
		return muzzle
	default:
		return clipper
	}
}

// Within is a step of a ladder, whatever stands in the book.
func Within(k Kind, step int) int { return max(0, min(step, len(Steps(k))-1)) }

var clipper = []Step{
	{Words: say.Of(seesTheClipper), How: say.Of(theClipperLiesOnThe), Seconds: 10, Tries: 8, Reward: everyTry},
	{Words: say.Of(smellsIt), How: say.Of(holdItOutClosedAnd), Seconds: 5, Tries: 8, Reward: everyTry},
	{
		Words:   say.Of(isStrokedWithItClosed),
		How:     say.Of(strokeShoulderAndSideWith),
		Seconds: 5,
		Tries:   8,
		Reward:  everyTry,
	},
	{Words: say.Of(legsAndFeetHandled), How: say.Of(strokeDownEachLegTo), Seconds: 5, Tries: 8, Reward: everyTry},
	{Words: say.Of(aPawLifted), How: say.Of(liftOnePawALittle), Seconds: 3, Tries: 12, Reward: everyTry, ByPaw: true},
	{
		Words:   say.Of(aPawHeldLonger),
		How:     say.Of(holdTheLiftedPawThe),
		Seconds: 10,
		Tries:   12,
		Reward:  everyTry,
		ByPaw:   true,
	},
	{
		Words:   say.Of(theToesParted),
		How:     say.Of(partTheToesOneBy),
		Seconds: 10,
		Tries:   12,
		Reward:  everyTry,
		ByPaw:   true,
	},
	{
		Words:   say.Of(theClosedClipperTouchesThe),
		How:     say.Of(theClosedClipperLiesAgainst),
		Seconds: 3,
		Tries:   12,
		Reward:  everyTry,
		ByPaw:   true,
	},
	{
		Words:   say.Of(pressureOnANail),
		How:     say.Of(theOpenClipperRoundA),
		Seconds: 3,
		Tries:   12,
		Reward:  everyTry,
		ByPaw:   true,
	},
	{
		Words:   say.Of(theSound),
		How:     say.Of(snapAThinDryTwig),
		Seconds: 2,
		Tries:   6,
		Reward:  everyTry,
		Sound:   &Rounds{2, 15, 5},
	},
	{
		Words:   say.Of(oneTip),
		How:     say.Of(oneThinSliceOffOne),
		Seconds: 5,
		Tries:   3,
		Reward:  say.Of(theBestTreatOfThe),
		Nail:    true,
	},
	{Words: say.Of(twoNails), How: say.Of(oneThinSliceOffTwo), Seconds: 15, Tries: 3, Reward: everyNail, Nail: true},
	{Words: say.Of(aPaw), How: say.Of(allNailsOfOnePaw), Seconds: 60, Tries: 3, Reward: everyNail, Nail: true},
}

var grinder = []Step{
	{Words: say.Of(besideTheDogOff), How: say.Of(theGrinderLiesBesideThe), Seconds: 20, Tries: 6, Reward: everyTry},
	{
		Words:   say.Of(runningAtADistance),
		How:     say.Of(somebodyRunsItAcrossThe),
		Seconds: 5,
		Tries:   8,
		Reward:  say.Of(aTreatWhileItRuns),
		Sound:   &Rounds{5, 20, 6},
	},
	{
		Words:   say.Of(runningNearer),
		How:     say.Of(theSameAnArmsLength),
		Seconds: 5,
		Tries:   8,
		Reward:  say.Of(aTreatWhileItRuns),
		Sound:   &Rounds{5, 20, 6},
	},
	{
		Words:   say.Of(aTreatTakenBesideIt),
		How:     say.Of(itRunsInYourHand),
		Seconds: 5,
		Tries:   8,
		Reward:  say.Of(aTreatBesideTheRunning),
		Sound:   &Rounds{5, 20, 6},
	},
	{
		Words:   say.Of(theBuzzingBodyAgainstThe),
		How:     say.Of(theHandleNotTheBit),
		Seconds: 3,
		Tries:   12,
		Reward:  everyTry,
		Sound:   &Rounds{3, 20, 5},
		ByPaw:   true,
	},
	{
		Words:   say.Of(oneTouchOnOneNail),
		How:     say.Of(oneTouchOfASecond),
		Seconds: 1,
		Tries:   3,
		Reward:  say.Of(theBestTreatOfThe),
		Nail:    true,
	},
	{Words: say.Of(aNail), How: say.Of(aFewTouchesOnOne), Seconds: 10, Tries: 3, Reward: everyNail, Nail: true},
	{Words: say.Of(aPaw), How: say.Of(allNailsOfOnePaw), Seconds: 90, Tries: 3, Reward: everyNail, Nail: true},
}

var throughIt = say.Of(rewardThroughIt)

var muzzle = []Step{
	{Words: say.Of(theMuzzleIsThere), How: say.Of(itLiesOnTheFloor), Seconds: 20, Tries: 6, Reward: everyTry},
	{Words: say.Of(aTreatFromItsRim), How: say.Of(holdItLikeACup), Seconds: 5, Tries: 8, Reward: everyTry},
	{Words: say.Of(theNoseGoesInBy), How: say.Of(theTreatLiesFurtherIn), Seconds: 5, Tries: 8, Reward: throughIt},
	{Words: say.Of(theNoseStaysIn), How: say.Of(feedThroughTheFrontA), Seconds: 15, Tries: 6, Reward: throughIt},
	{Words: say.Of(theStrapClosedAndOpened), How: say.Of(closeItLooselyForA), Seconds: 5, Tries: 6, Reward: throughIt},
	{
		Words:   say.Of(wornForMinutes),
		How:     say.Of(aShortWalkOrA),
		Seconds: 120,
		Tries:   2,
		Reward:  say.Of(treatsThroughItAndOff),
	},
}

var everyScratch = say.Of(rewardEveryScratch)

var board = []Step{
	{
		Words:   say.Of(aTreatUnderAFolded),
		How:     say.Of(aTreatUnderAFoldedTowel),
		Seconds: 10,
		Tries:   6,
		Reward:  say.Of(theTreatThatLiesUnder),
	},
	{
		Words:   say.Of(aTreatUnderTheBoard),
		How:     say.Of(theSameWithTheBoard),
		Seconds: 10,
		Tries:   6,
		Reward:  say.Of(theTreatThatLiesUnder),
	},
	{Words: say.Of(oneScratch), How: say.Of(noTreatUnderItAny), Seconds: 5, Tries: 6, Reward: everyScratch},
	{Words: say.Of(aWordForIt), How: say.Of(sayTheWordJustBefore), Seconds: 5, Tries: 6, Reward: everyScratch},
	{
		Words:   say.Of(aFewStrokesBothFeet),
		How:     say.Of(threeStrokesWithTheOne),
		Seconds: 20,
		Tries:   2,
		Reward:  everyScratch,
	},
}
