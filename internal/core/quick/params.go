package quick

const (
	// Prior of the spare of a nail with no history, as shares of its length (judgement).
	priorMeanShare = 0.25
	priorSDShare   = 0.12

	// gridStep is how finely the spare is told apart, mm.
	gridStep = 0.05
	parts    = 1e4  // of a step that what came off is told apart by: sums in floating point are one
	hair     = 1e-6 // of a step, so that a sum of cuts falls on its grid point in floating point too

	leastSpare = 0.001 // mm, at which a gamma's density at 0 is taken

	firstSign = 2 // its place among a nail's signs: blood, dot, the first sign

	impossible = 1e-12 // a chance below this is none
	smallest   = 1e-9  // that all chances may add up to before they are brought back to 1
	longOdds   = 1e18  // against: no chance that a floating-point number beside 1 could tell

	negligible   = 1e-6 // a chance below this is nothing beside that of a whole press
	bleedsWithin = 28   // steps of the grid beyond which an end bleeds with no more than that

	mostLength = 80.0 // of a nail, mm
	mostDepth  = 40.0

	touchSD    = 0.1  // of what one touch of an unknown bit takes, mm (judgement)
	leastTouch = 0.02 // mm: whatever was measured, a touch takes something

	SignsDepth = 7.0 // mm, the depth of the nail that the signs' thresholds are told for
	carried    = 0.8 // of what one nail taught of the dog's faces (judgement)

	// GrooveSD is how well the end of the groove places the quick, mm (judgement).
	GrooveSD = 1.0

	// seenSD is how well a quick seen through the horn is placed, mm (judgement).
	seenSD = 0.4

	// pull is how fast the quick follows the nail, per week (judgement, set so that weekly work
	// draws it back, fortnightly a little, four weeks about holds, six weeks lets it grow out;
	// those four are trade).
	pull = 0.1

	// restShare is the spare at which the quick neither grows nor draws back, mm for a dog of
	// size factor 1 (judgement, set with pull).
	restShare = 3.0

	// Margin is how much spare a trim leaves in front of the quick, mm (judgement).
	Margin = 1.0
)

// lowest is the step of the grid below which a face surely shows blood.
const lowest = -100

// mostKnown bounds what is remembered; a table is about 60 kB.
const mostKnown = 64

// Touch is what one touch of a grinder takes, mm (judgement, until it is learnt).
const Touch = 0.2
