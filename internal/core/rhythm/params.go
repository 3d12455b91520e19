package rhythm

const (
	// holdsWithin is how far a quick moves in half a year that is said to hold, mm (judgement).
	holdsWithin = 0.05

	// share of a usual nail's length that the quick never draws back beyond: it does not go into the toe (judgement)
	leastQuick = 0.5
	leastCut   = 0.05 // a stroke of a file, mm (judgement)
	halfYear   = 26   // weeks that rhythms are compared over
	// that bringing a quick back is followed for: what takes longer is never, at this rhythm (judgement)
	mostWeeks = 104
	offTrack  = 0.15 // of the way that a plan may be behind before it is said so (judgement)
	leastBack = 0.3  // mm, a way shorter than this is too short to measure a plan by (judgement)
)

const (
	mostRate     = 5.0   // mm a week: far beyond any dog
	mostInterval = 520.0 // weeks: ten years
)
