package dog

import "math"

// Sliver is one thin cut, mm (trade: 1 mm is typical).
const Sliver = 1.0

// All judgement (ours, until a dog's own records replace it) unless it says otherwise.
const (
	clearBy   = 0.3                // growth left to the floor by which a trim left its nail clear, mm
	leastRate = 0.1                // mm a week: horn never stops growing
	mostRate  = 5.0                // mm a week: far beyond any dog
	leastLeft = 0.25               // the share of its usual length that a nail is taken to keep whatever came off
	warnTurn  = 25 * math.Pi / 180 // this much of a turn before it curls, a dewclaw is warned of

	doubtLengths = 3.0 // times the usual length, beyond which a length is asked for again

	mostName     = 80
	mostNote     = 2000
	mostTick     = 40
	mostMinutes  = 600.0 // of a sitting
	oldestYears  = 40
	mostWeeksAgo = 520.0 // that a dog was last done before it was entered
	leastRecord  = 0.05  // the thinnest cut that can be recorded, mm: one touch of a grinder
	mostCuts     = 60    // a nail
)
