package temper

// Judgement (ours), until a dog's own sittings replace it, unless it says otherwise.
const (
	puppyUntil      = 17.0 // weeks: eight weeks and the two months of handling after them (trade)
	puppyNails      = 2    // a nail or two at a time (trade)
	puppyMinutes    = 5
	firstPaw        = 4  // nails of a new hand's first time with a dog
	firstNails      = 2  // of a frightened dog's
	usualMinutes    = 30 // of a sitting, its breaks within
	lastSittings    = 3  // that tell what a dog takes
	nailsMore       = 2  // than last time, when it was calm throughout
	impossibleAfter = 2  // sittings one after the other at which a paw was too much
	standsOut       = 0.5

	practisedPace = 5.0 / 18  // minutes a nail: a whole calm dog in five minutes (trade)
	somePace      = 10.0 / 18 // minutes a nail, in between
	newPace       = 20.0 / 18 // minutes a nail: a beginner takes far longer (trade; the number is ours)
	grindPace     = 1.5       // times as long with a grinder
	paceSpread    = 0.5       // standard deviation of the logarithm of a dog's own pace
	sittingSpread = 0.3       // and of one sitting's about it
)
