package ladder

// Judgement (ours) unless it says otherwise.
const (
	Needed = 3 // calm tries one after the other that take the dog a step up (trade: calm on repeated tries)
	// days that end a step up, one after the other, before treats thin out (trade: they thin out as it goes well)
	thinAfter   = 2
	waitDays    = 7 // from the first day with a grinder to the first nail, at the least (trade: one to two weeks)
	priorPassed = 2 // training days of a dog nobody knows: two of three end a step further up
	priorStayed = 1
	farDays     = 365 // training days beyond which no ready date is told

	puppyFrom = 56 // days: handling every day begins at eight weeks (trade)
	puppyFor  = 60 // days: the first month or two (trade)

	// HandledFirst is the step with which the clipper ladder began before it had the ones with the closed tool.
	HandledFirst = 3

	mostNote = 500
)
