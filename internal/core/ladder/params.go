package ladder

// Judgement (ours) unless it says otherwise.
const (
	Needed      = 3 // calm tries one after the other that take the dog a step up (trade: calm on repeated tries)
	waitDays    = 7 // from the first day with a grinder to the first nail, at the least (trade: one to two weeks)
	priorPassed = 2 // training days of a dog nobody knows: two of three end a step further up
	priorStayed = 1
	farDays     = 365 // training days beyond which no ready date is told

	puppyFrom = 56 // days: handling every day begins at eight weeks (trade)
	puppyFor  = 60 // days: the first month or two (trade)

	mostNote = 500
)
