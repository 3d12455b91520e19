package round

const (
	// laterWeek is how many days after the week those that are left can come again.
	laterWeek = 1
	// mostTried are how many of those that wait are tried in what an exchange leaves free.
	mostTried = 10
	// mostSteps is how many fillings are looked at, in whole or in part, that might be better still.
	mostSteps = 5000
	// everyOrder is up to how many parties of a day every order is tried, and mostOrders how many places are looked at
	// for that.
	everyOrder = 6
	mostOrders = 400
	// mostWork is how many places are looked at in all before the best filling so far stands: a fifth of a second's.
	mostWork = 250_000
)

const (
	mostAround   = 60 // minutes
	longestPlace = 80 // letters
)

// longestText is how long a message's words may be, letters: two text messages.
const longestText = 300

const (
	reminding = 17 // the hour from which on tomorrow's owners are reminded (judgement)

	// RefusedWeeks is after how many weeks an owner who said no is asked again (judgement).
	RefusedWeeks = 2
)

// mostFailures is after how many failures a message waits for a person.
const mostFailures = 5

// another is how many days waiting for another place takes.
const another = 7

// LeastGap is how long a gap must be to serve anybody, minutes (judgement).
const LeastGap = 20

// Judgement (ours), in days of being merely late.
const (
	quarter      = 15  // minutes: places begin on these, where they do not stand against another
	tick         = 5   // minutes: no time that is told is finer
	otherTime    = 60  // minutes: two places of a day that are nearer are no choice
	uselessGap   = 1.5 // left behind
	noHelper     = 2.0 // where one was wanted
	hardAtHard   = 3.0 // one hard dog after the other
	hardLast     = 2.0
	apart        = 4.0 // from the owner's other dog that comes anyway
	withOthers   = 2.0 // gained where they stand together
	startsAtEdge = 0.2 // gained where it stands against another, and no gap is made
)

const (
	longestName = 80
	longestNote = 500
)

const (
	mostWeeksApart = 26
	mostRepeats    = 26
)

// waiting is how long an owner waits without being told, minutes (common practice, no source).
const waiting = 10

// unknownMinutes is how long a visit is taken to last whose dogs nobody knows yet (judgement).
const unknownMinutes = 45

// LeastVisit is the shortest there is, minutes.
const LeastVisit = 5

// mostVisit is the longest, minutes: a working day.
const mostVisit = 480

// Judgement (ours).
const (
	mostWays = 3
	leastWay = 5  // minutes of waiting: less is worth asking nobody
	onTheWay = 45 // minutes before their time from which on owners are on their way, and asked no more
	leastCut = 5  // minutes that a sitting takes, whatever is left for another day
)

// Judgement (ours): what a day does to a dog, in days of being merely late.
const (
	lateDay     = 1.0
	touchingDay = 3.0
	curlingDay  = 10.0
	earlyDay    = 0.3 // a day before the date takes growth that might have stood
)
