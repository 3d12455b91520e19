package claw

import "math"

// Every constant here states its unit and its standing: published (with the source), trade
// (common practice, no source), memory, or judgement (ours, until a measurement replaces it).

const (
	// referenceWeight is the weight in kg at which the size factor is 1 (judgement).
	referenceWeight = 20.0

	// hindLength shortens the assumed length of hind nails that meet the ground (judgement, no unit).
	hindLength = 0.9

	// maxTaper keeps a tenth of the depth at the tip of a very long nail (judgement, no unit).
	maxTaper = 0.9

	// MostLength is the longest nail that can be, mm (judgement).
	MostLength = 80.0

	// MostGap is the largest floor gap that can be, mm (judgement).
	MostGap = 40.0

	// CurlTurn is the turn at which a dewclaw counts as curling, to be done now (150°, judgement).
	CurlTurn = 150 * math.Pi / 180

	// SkinTurn is the turn at which a dewclaw may touch the skin: a professional's or a
	// veterinarian's work (200°, judgement).
	SkinTurn = 200 * math.Pi / 180
)

// The quick in side view, and the leaning cuts (judgement; the lean of a steep cut is trade: past
// upright by about 30°).
const (
	quickDepth     = 0.6  // its axis lies at this share of the nail's depth: it runs low
	quickHalfWidth = 0.18 // half its width, as a share of the depth at the coat line
	steepAngle     = 120 * math.Pi / 180
	bevelAngle     = 45 * math.Pi / 180 // of the sculpted cut's bevel, beyond the square one
)

// Floor-gap feelers for people without gauges, in mm.
const (
	TouchGap = 0.0  // the nail touches the floor
	PaperGap = 0.1  // one sheet of office paper passes under it (80 g/m² copy paper; memory)
	CardGap  = 0.76 // a bank card passes (ISO/IEC 7810 ID-1 thickness 0.76 mm, published)
)

// shapeDefaults are angle in degrees, and radius, depth and length in mm for a dog of the
// reference weight (judgement).
type shapeDefaults struct{ baseAngle, radius, depth, length, taper float64 }

var (
	straightNail = shapeDefaults{20, 60, 7, 14, 0.7}
	usualNail    = shapeDefaults{22, 26, 7, 14, 0.7}
	hookedNail   = shapeDefaults{28, 17, 7, 14, 0.7}
	curledNail   = shapeDefaults{30, 12, 7, 16, 0.7}
	curledDew    = shapeDefaults{30, 9, 5, 20, 0.8} // turned past 150°: long enough to curl
	dewclawNail  = shapeDefaults{30, 9, 5, 11, 0.8}
)

// edgePoints is how many points draw one curved edge; a chord of a 26 mm arc 14 mm long then
// stays within 0.001 mm of it.
const edgePoints = 33

// hair is the length below which a cut takes nothing, mm.
const hair = 1e-9
