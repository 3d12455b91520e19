package verdict

// Slivers, mm for a nail 7 mm deep and more (trade: a typical single cut is 1 mm, and less on a toy
// dog; the rest is judgement).
const (
	thick = 1.0 // for some practice, after a white face
	usual = 0.5
	tip   = 0.3 // the very tip, and on light grey

	fine  = 1.0 / perMM // the least difference between two slivers
	perMM = 20
	shave = 0.15 // where a white face goes on against the numbers: a stroke of a file

	// tipShare is how many times the limit of a sliver the very tip may risk (judgement).
	tipShare = 3.0

	// Spare at which the sign shows as likely as not, mm for a nail 7 mm deep (judgement).
	firstSignAt = 1.5
	dotAt       = 0.6

	beyondSign = 2 // slivers beyond those that reach the first sign by the median (judgement)

	// lower is where among the spares that are believed the most that may come off in one press is reckoned from
	// (judgement; by the median twice as many bled).
	lower = 0.25

	hair = 1e-9 // beside a whole number

	rare = 0.001 // a chance below this is told as very unlikely
)
