package kit

import "math"

// Trade, common practice with no source.
const (
	pliersSplit = 13.6 // kg: small pliers below, large from there (about 30 lb)
	puppyWeeks  = 12.0 // until this age household nail clippers will do: very young puppies
	LengthGrit  = 60   // takes length
	BetweenGrit = 80
	SmoothGrit  = 120 // and finer: smooths
	CoolingTime = 3.0 // s, that a nail is left to cool after that (judgement)
	ContactTime = 3.0 // s, the longest that a spinning tool stays on a nail (judgement within "a few seconds")
)

// Judgement (ours), to be replaced by what the user says.
const (
	toyWeight   = 6.5 // kg, the lightest size class
	thickNail   = 6.5 // mm from ridge to underside: crushed by a small scissor, 7 mm at 20 kg being usual
	longTake    = 2.0 // mm: more than this is slow with a grinder
	boardTake   = 0.5 // mm: more than this is not for a board or a file
	CutsLimit   = 3000
	BandLimit   = 60.0   // minutes of grinding until a band has lost its grit
	BitLimit    = 2400.0 // of a diamond bit
	ChargeLimit = 60.0   // minutes of running on one charge
	BoardLimit  = 120.0  // minutes of scratching or filing
	usualRun    = 0.42   // minutes that a grinder runs for a nail: half as long again as a practised cut
	soonShare   = 0.8    // of a limit, from which it is said that it comes
	soonDays    = 30     // before an expiry date, the same
	mostName    = 80
	mostLimit   = 100000.0
)

// Never is a count that nothing limits.
var Never = math.Inf(1)

// What somebody may choose as the largest cut, mm for a nail 7 mm deep: thin ones throughout, to what only the
// longest ends allow.
const (
	LeastLargest = 0.5
	MostLargest  = 3.0
)

// Sliver is one thin cut, mm (trade: 1 mm is typical).
const Sliver = 1.0

// What speaks for or against a cutter, in points (judgement).
const (
	weak     = 1
	strong   = 3
	decisive = 6
	notOwned = 8
)
