package measure

// A coin that is used as a feeler is between these thick, mm (judgement).
const (
	LeastCoin = 0.5
	MostCoin  = 5.0
)

const (
	leastSD = 0.05 // mm: nobody reads a nail finer
	mostSD  = 5.0  // mm: more is no reading
)

// FeelerEdge is how soft the edge is at which a feeler begins to pass, mm of growth left to the
// floor (judgement).
const FeelerEdge = 0.1
