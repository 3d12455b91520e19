package practice

// All judgement (ours) unless it says otherwise.
const (
	// MostSeed is the largest seed of a series: six digits that can be read out to a class.
	MostSeed = 999_999
	// MostNumber is the last nail of a series.
	MostNumber = 10_000
	// MostMoves is how many looks and cuts one nail takes at most.
	MostMoves = 60

	leastCut = 0.1 // mm
	mostCut  = 5.0 // mm

	hangs    = 2.0  // mm over the floor
	squareAt = 0.75 // of its length: the nail's own axis there is what a cut runs across, wherever its quick ends

	longQuickSpare = 0.55 // of what a nail that nobody trimmed usually has
	movingShare    = 0.35 // sd of a slice off a dog that moves, as a share of it

	// EndsAsked is how many cut ends a drill shows.
	EndsAsked = 20
	// OwnFirst is from how many pictures of one's own cut ends on those come before drawn ones.
	OwnFirst   = 10
	lightShare = 1.0 / 3 // of them are a light nail's

	looksAsked = 8   // undersides or standing dogs of a drill
	lineApart  = 1.2 // mm between the lines of an underside 7 mm deep
	fullDepth  = 7.0 // mm
	leastClear = 0.8 // mm: a nail that does not touch is clear of the floor by a card at least
	mostClear  = 3.0 // mm

	// AnswerWithin is how long each moment of a drill against the clock waits for an answer, s.
	AnswerWithin = 12
)

// offered are the thicknesses of cuts that are offered, mm for a nail 7 mm deep.
var offered = []float64{0.3, 0.5, 1, 1.5, 2}

// When a step of the course is passed.
const (
	counts     = 20  // its last nails that count
	goodEnough = 0.8 // of them go well
	mostBled   = 1   // of them
	mostEarly  = 2   // slices that may have been left on a nail that went well

	// Of SM-2, as published.
	firstEasiness = 2.5
	leastEasiness = 1.3
)

// What the best play weighs, seconds: as docs/calibration.md has it, blood by whose care it is.
const (
	priceCut          = 3
	priceLeftMM       = 60
	priceBlood        = 1800 // half an hour
	priceBloodCareful = 6000 // a hundred minutes
)

const (
	playsTo    = 8.0   // mm that may come off at most
	drawsShown = 200   // by which the chances of faces are told
	hardly     = 1e-9  // of what is believed: not worth a sum
	never      = 1e-12 // of it
)

// endsStream keeps a drill's chances apart from those of a nail of the same seed.
const endsStream = 1 << 40

// feetStream keeps the feet that stand on a floor apart from the same seed's nail.
const feetStream = 1 << 42

// TooLate is what stands for an answer that did not come in time.
const TooLate = -1

// scenesStream keeps the order of scenes apart.
const scenesStream = 1 << 41
