package quick

const (
	// Prior of the spare of a nail with no history, as shares of its length (judgement).
	priorMeanShare = 0.25
	priorSDShare   = 0.12

	// lightSDShare is how well a dog's light nail places the quick of its others, as a share of length (judgement).
	lightSDShare = 0.08

	// gridStep is how finely the spare is told apart, mm.
	gridStep = 0.05
	hair     = 1e-6 // of a step, so that a sum of cuts falls on its grid point in floating point too

	leastSpare = 0.001 // mm, at which a gamma's density at 0 is taken

	firstSign = 2 // its place among a nail's signs: blood, dot, the first sign

	impossible = 1e-12 // a chance below this is none

	mostLength = 80.0 // of a nail, mm
	mostDepth  = 40.0

	touchSD    = 0.1  // of what one touch of an unknown bit takes, mm (judgement)
	caliperSD  = 0.5  // of a length by caliper, mm (judgement)
	leastTouch = 0.02 // mm: whatever was measured, a touch takes something

	signDepth = 7.0  // mm, the depth of the nail that the signs' thresholds are told for
	signReach = 10.0 // mm, beyond which no sign shows
	carried   = 0.8  // of what one nail taught of the dog's faces (judgement)

	// nailShare is how many times the limit of one cut all cuts of one nail may risk together,
	// and thin the cut that may have the whole limit, mm: a thicker one may have that much less
	// (judgement, set so that virtual nails bleed less than once in 200: docs/calibration.md).
	nailShare = 1.5
	thin      = 0.5

	// seenSD is how well a quick seen through the horn is placed, mm (judgement).
	seenSD = 0.4

	// pull is how fast the quick follows the nail, per week (judgement, set so that weekly work
	// draws it back, fortnightly a little, four weeks about holds, six weeks lets it grow out;
	// those four are trade).
	pull = 0.1

	// restShare is the spare at which the quick neither grows nor draws back, mm for a dog of
	// size factor 1 (judgement, set with pull).
	restShare = 3.0

	// How far a dog's own pull and rest may lie from these: the pull as a share (of its
	// logarithm), the rest in mm for size factor 1 (judgement).
	pullSD = 0.5
	restSD = 1.0

	habitSittings = 8   // with the quick seen, from which a dog's own habit is learnt (judgement)
	habitGrid     = 41  // pulls that are tried
	habitReach    = 2.5 // standard deviations to either side that they reach

	// Margin is how much spare a trim leaves in front of the quick, mm (judgement).
	Margin = 1.0
)
