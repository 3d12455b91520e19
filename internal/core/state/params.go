package state

// All judgement (ours, until a dog's own records replace it) unless it says otherwise. Lengths are
// mm for a dog of size factor 1, and go with the size factor.
const (
	growthSD = 0.35 // of a dog's gross growth beside what is usual, mm a week
	ownSD    = 0.1  // of a nail's growth beside the others', mm a week
	restMean = 3.0  // spare at which the quick rests (set so that common practice comes out)
	restSD   = 1.0

	lengthShare = 0.15 // sd of a length nobody measured, as a share of the usual length

	// What the weeks add, by the root of a week.
	OwnDrift    = 0.01 // mm a week
	LengthDrift = 0.05 // mm
	SpareDrift  = 0.10 // mm

	// And what a dog's own nails are beyond that, by the root of a week.
	ownMore   = 0.01 // mm a week
	spareMore = 0.10 // mm

	// What is seen; how far off a number may be it carries itself (package measure).
	grinderSD  = 0.1  // of one touch of a grinder, mm
	outlierSDs = 4.0  // a length further off than this is no length of this nail
	lightSD    = 0.08 // how well a dog's light nail places the quick of its others, as a share of length

	// workedSD is the least a worked nail's spare is unsure, mm for a nail 7 mm deep: what one
	// dog's faces get wrong they get wrong the same way every time.
	workedSD = 0.5

	// reachSDs is how far the grid of a worked nail reaches, sd beyond the mean: a gamma cut off at 4
	// would lose a thirtieth of its variance, and trims that nobody saw would seem to teach something.
	reachSDs = 5.5

	// leastPrior is the least mean spare with which a nail is taken up, mm: a nail always may have some.
	leastPrior = 0.15

	// Horn far past the floor wears or breaks: it begins wearPast beyond it, and wearReach farther as much goes as
	// grows.
	wearPast   = 3.0
	wearReach  = 1.5
	wearShare  = 0.8  // how far off what wears may be, as a share of it, independently each week
	leastShare = 0.01 // of what is believed of a nail, that has to lie there
	leastWorn  = 0.1  // mm a week that a nail grows at least that wears

	// The quick follows a spare that is longSpare over where it rests faster, by so many times its usual pull more.
	longSpare = 5.0 // mm, of any dog
	longPull  = 2.0

	// MostSpare is the share of a nail's length that its spare comes to at most: the rest is quick.
	MostSpare = 0.6

	stepWeeks = 1.0 // at a time, where a nail is beyond these limits

	// How much longer a toe's nail gets that is left alone, a week and at most, and how far off that may be, as a
	// share.
	alonePastWeek  = 0.5
	alonePast      = 3.0
	alonePastShare = 0.7
	aloneSpare     = 0.2 // of that, spare

	// An end that nobody told is two stories: the hand stopped because the sign showed, or anyway.
	untoldSign = 0.6  // that it stopped at the sign, where nothing was said of the end
	saidSign   = 0.9  // and where it was said of the whole sitting
	stopAnyway = 0.25 // that a hand which would go on stops at just this cut

	// assumedShare is how far off amounts may be, as a share, that stand because a plan's were accepted.
	assumedShare = 0.4

	justSeen      = 0.2   // mm past the floor, or clear of it, that a nail stands which was seen so against all belief
	against       = 1e-9  // a chance below this is against all belief
	leastVariance = 1e-12 // that of a number known for sure, so that it can be divided by
)

// halfPoints is how many points are drawn; each has its mirror image.
const halfPoints = 20

// surely is how many standard deviations a nail is off the floor that stands clear with 98 of 100.
const surely = 2.054

const (
	fresh     = 8.0  // weeks after a trim from which it no longer says anything of the quick
	clearing  = 1.5  // mm that a trim leaves a nail clear of the floor
	closing   = 0.25 // mm a week that this is taken to grow shut: a hand that trims, trims again
	trimLeft  = 1.2  // mm of spare that a trim leaves
	mostSpare = 0.28 // share of its length that the spare of a trimmed nail comes to
)

// leastForm is the share of its usual length below which a nail's form is told no further.
const leastForm = 0.25

// Judgement: beyond these nobody told it.
const (
	mostEvents = 5000
	mostWeeks  = 520.0 // ten years
)
