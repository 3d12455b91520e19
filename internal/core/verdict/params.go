package verdict

import "slices"

// Thicknesses of cuts, mm for a nail 7 mm deep and more (trade: a typical single cut is 1 mm, less on a toy
// dog, and a long end is nipped off at once; the rest is judgement).
var thicknesses = []float64{3, 2.5, 2, 1.5, 1, 0.75}

// Thicknesses are those that a cut may have, mm for a nail 7 mm deep, thickest first.
func Thicknesses() []float64 { return append(slices.Clone(thicknesses), sliver, tip) }

const (
	sliver = 0.5 // a thin cut, which needs no reserve
	tip    = 0.3 // the very tip, and on light grey

	// reserve is what a belief may be wrong by where a cut thicker than a sliver is taken, mm for a nail 7 mm
	// deep (judgement; with 1.0 up to 3.6 of 1000 bled, with 1.5 a nail took half a cut more).
	reserve = 1.2

	// greyMost is the thickest cut on light grey, mm for a nail 7 mm deep (judgement).
	greyMost = 1.0

	mostCuts    = 12 // of one plan: nobody follows a longer one (judgement)
	mostTouches = 40 // of a grinder: each takes little, and the bench asks after every one

	fine  = 1.0 / perMM // the least difference between two slivers
	perMM = 20
	shave = 0.15 // where a white face goes on against the numbers: a stroke of a file

	// tipShare is how many times the limit of a sliver the very tip may risk (judgement).
	tipShare = 3.0

	// Spare at which the sign shows as likely as not, mm for a nail 7 mm deep (judgement).
	firstSignAt = 1.5
	dotAt       = 0.6

	beyondSign = 2 // cuts beyond those that reach the first sign by the median (judgement)

	// lower is where among the spares that are believed the most that may come off in one press is reckoned from
	// (judgement; by the median twice as many bled).
	lower = 0.25

	hair = 1e-9 // beside a whole number

	rare  = 0.001   // a chance below this is told as very unlikely
	often = 2.0 / 3 // and one above this as very likely: it is nearer to one in one than to one in two
)

const (
	Careful RiskLimit = 1.0 / 600 // a keeper's, a new hand's, and that of any dog quicked at its last two sittings
	Usual   RiskLimit = 1.0 / 300 // a groomer's
)
