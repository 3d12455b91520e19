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

	leastDays   = 10   // sittings with a told mood before anything is said of what made it calm
	leastEach   = 3    // of them with and without
	chanceFinds = 0.03 // of the belief that may say otherwise: then of coins one dog in twenty is said something of

	leastOfBook  = 40   // of all dogs that had it both ways, before anything is said of the whole book
	chanceOfBook = 0.05 // that a book without any difference is said something of

	pawTraining = 14 // days that a paw is left after a fight: one to two weeks of the ladder (trade)
	dogTraining = 28 // days that nothing is trimmed after a dog snapped: the ladder first, a muzzle it is trained to

	// A practised hand takes up a nail, and takes each cut and looks at it, in so many seconds: a whole calm dog at a
	// fortnight, 18 nails of four cuts, in five minutes (trade; how they part is ours).
	secondsNail  = 5.0
	secondsCut   = 2.9
	secondsTouch = 2.0 // of a grinder, or a stroke of a file
	leastSeconds = 2.5 // nobody cuts and looks in less

	someTimes = 2.0 // times as long as a practised hand
	newTimes  = 4.0 // a beginner takes far longer (trade; the number is ours)

	// RoundTouches are those of a nail that is only ground round (judgement).
	RoundTouches = 3

	// UsualCuts are those of a nail at a fortnight, where no plan says how many.
	UsualCuts = 4

	paceSpread    = 0.5 // standard deviation of the logarithm of a dog's own pace
	sittingSpread = 0.3 // and of one sitting's about it
)
