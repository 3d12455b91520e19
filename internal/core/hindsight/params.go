package hindsight

// Version goes up with how what was said is worked out or kept: what is kept of an earlier one is worked out anew.
const Version = 1

// Judgement (ours).
const (
	plainRisk   = 1.0 / 200 // of every cut to bleed
	plainTouch  = 0.5       // of every nail to touch
	plainSpread = 1.0 / 6   // of the usual length, gap or spare, as a standard deviation
	plainGap    = 1.5       // mm
	plainSpare  = 3.5       // mm, of a nail 7 mm deep
	aboutDays   = 3         // to either side of a date
	enough      = 10        // of a kind, before anything is said of it

	exactly = 120 // chances whose sum's distribution is worked out exactly; of more a normal stands for it

	// When something is wrong enough to be said: so many standard errors, and so much of it.
	surely     = 2.6
	muchFaster = 0.15 // of how fast nails grow
	muchLonger = 0.15 // of a trim's minutes
	muchEarly  = 0.2  // of the dates, before which a nail touched
)

// When a book's own record may say what is usual (judgement, ours).
const (
	ownSittings = 30   // from which on it sets anything
	ownDogs     = 3    // and of so many dogs: one dog is no rule
	betweenDogs = 0.35 // sd of one dog's growth from that of its size, mm a week
	classSD     = 0.15 // and of a size's from what is usual, as a share
	handSD      = 0.25 // of how thick hands cut, as a share of what they mean, over many of them
	usualCounts = 10   // dogs that what is usual of faces counts, beside the book's own
	grownAge    = 200  // weeks

	worthTimes = 0.03 // what is nearer to what is usual is not worth setting
	worthMM    = 0.05

	LeastTimes = 0.5 // the usual growth
	MostTimes  = 2.0
)

// bounds are the chances up to which cuts are put together.
var bounds = []float64{1.0 / 600, 1.0 / 300, 1.0 / 100, 1.0 / 30, 1}

// keptWithin is how late a trim is that still keeps its date, days (judgement).
const keptWithin = 7

const (
	tail      = 0.05 // what lies to either side of the middle 90 %
	nearlyAll = 0.9  // of its mean is a Poisson's variance: of likelier things the sum's is smaller
	rarely    = 50.0 // things that happen fewer times are counted by a Poisson (Le Cam 1960)
)
