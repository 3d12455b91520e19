package dog

import "math"

// Sliver is one thin cut, mm (trade: 1 mm is typical).
const Sliver = 1.0

// All judgement (ours, until a dog's own records replace it) unless it says otherwise.
const (
	assumedLengthShare = 0.15 // standard deviation of a length nobody measured, share of the length
	chainDays          = 56   // of trims that nobody saw the end of, that are read as one
	cutSD              = 0.3  // of one cut as it was recorded, mm
	caliperSD          = 0.5  // standard deviation of a length measured with a caliper, mm
	assumedGapSD       = 0.76 // of a floor gap nobody measured: a bank card's thickness, mm
	sameEndSD          = 0.7  // of where the trims of one nail end, mm
	feelerSD           = 0.1  // of a floor gap measured with paper or card: a sheet's thickness, mm

	leastCut  = 0.5                // the least that is planned, mm
	leastLeft = 0.25               // the share of its assumed length that a nail is taken to keep whatever came off
	longest   = 2.5                // times its assumed length, a nail is taken to break or wear off at the floor
	warnTurn  = 25 * math.Pi / 180 // this much of a turn before it curls, a dewclaw is warned of

	doubtLengths = 3.0 // times the usual length, beyond which a length is asked for again

	mostName    = 80
	mostNote    = 2000
	mostTick    = 40
	mostMinutes = 600.0 // of a sitting
	oldestYears = 40
	leastRecord = 0.05 // the thinnest cut that can be recorded, mm: one touch of a grinder
	mostCuts    = 60   // a nail
)
