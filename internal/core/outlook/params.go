package outlook

import "math"

// warnTurn before it curls, a dewclaw is warned of (judgement).
const warnTurn = 25 * math.Pi / 180

// cautiousChance is the chance of touching by which the cautious date is told, and farthest how far
// it is looked for, days.
const (
	cautiousChance = 0.1
	farthest       = 120

	// mayTouchFrom is the chance from which a nail that is believed clear is said to touch perhaps already.
	mayTouchFrom = 0.1
)

const (
	// wideFloor is how far the growth left to the floor may be off, mm to either side with nine chances
	// in ten, before one look is worth more than the reckoning (judgement).
	wideFloor = 2.0
	// lookAhead is how many days before the date the look is wanted (judgement).
	lookAhead = 7
)

const (
	// leastNeed is the shortest time for which a trim is taken to keep a nail clear at all, weeks: below it only
	// a shorter quick helps (judgement).
	leastNeed = 0.5
)
