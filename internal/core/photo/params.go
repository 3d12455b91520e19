package photo

// Every constant states its unit and its standing: published (with the source) or judgement (ours, until a
// measurement replaces it).

// A card as most people carry one, mm (ISO/IEC 7810 ID-1, published). Its corners are round, with a radius of 2.88 to
// 3.48: the handles stand where its straight edges would meet.
const (
	CardWidth  = 85.60
	CardHeight = 53.98
	CardRound  = 3.18
)

// What is held to be of a telephone and of hands (judgement). Ranges hold nine times in ten.
const (
	focalShare    = 0.75 // focal length as a share of the picture's longer side: a usual telephone's main camera
	handlePx      = 2.0  // how far a handle or a point may stand off, pixels
	straightness  = 0.01 // of the lens, as a share of a length
	noPerspective = 0.15 // as a share of a length, where only a known distance was in the picture
	coatLine      = 0.5  // how far off the coat line may be taken, mm: hair hides it
)

// Focal lengths that cameras have, as a share of the picture's longer side: from the widest lens of a telephone to a
// long one, or a picture that was cropped (judgement).
const (
	shortest = 0.45
	longest  = 3.5
)

// Beyond these a picture is not read (judgement).
const (
	askewFrom  = 20.0  // degrees: from here on holding it squarely makes the range clearly narrower
	mostTilt   = 60.0  // degrees between the card's plane and the picture's
	leastPx    = 8.0   // pixels a millimetre at the nail
	mostReach  = 2.0   // how far from the card's middle, as a share of the way to its corners
	leastEdge  = 40.0  // pixels of the shortest edge of a card
	mostKnown  = 300.0 // mm
	leastApart = 3.0   // pixels of two points
	mostMisfit = 0.05  // as a share: by how much four corners may differ from a card's, whatever the lens
	// how many times what is left of that goes into a range: a wrong corner hides in part behind the lens
	misfitCounts = 1.5
	// straight is below which bend of a ridge, as a share of its chord, it is told as straight.
	straight = 0.02
	onALine  = 1e-6 // the same, and no circle goes through the three
)

// Of two pictures (judgement).
const (
	lensOff     = 0.12 // by how much a telephone's focal length may differ from the usual, as a share
	stillWithin = 1.0  // how still a paw keeps to a card between two pictures, mm
	leastBeside = 15.0 // degrees between two lines of sight, or they say nothing of depth
	// times what is told by handles, lens and a still paw: two lines of sight that miss each other by more show two
	// things
	missedBy  = 1.6
	mostLean  = 50.0 // degrees
	mostDepth = 30.0 // mm
)

// MostSide is how long a kept picture's longer side is at most, pixels.
const MostSide = 2048

// When four lines are taken for a card's edges (judgement, weighed on drawn pictures as those of docs/photo.md).
const (
	leastShare = 0.015 // of the picture's area that a card covers
	mostShare  = 0.75
	between    = 0.84 // of a side is looked at: not the round corners
	leastSide  = 0.22 // of each side is edge: a hand may cover the rest
	leastSides = 0.55 // of all four
	beyond     = 0.14 // of a side, past each corner: there a card's edge goes no further
	askew      = 0.09 // as misfit, of lines in the small picture
	mostTried  = 12   // quadrilaterals that are looked at in the whole picture
	foundAt    = 2.5  // the score at which a card is handed over as found
)

// When an outline speaks against corners (judgement, weighed on drawn pictures).
const (
	leastOutline = 0.3 // of all sides: edges cross anywhere by chance
	looseSide    = 0.55
	firmSide     = 0.7
)

// How an outline is looked at (judgement), mm on the card's plane.
const (
	sideEvery  = 2.0  // along each side
	sideFrom   = 5.0  // a corner
	across     = 1.6  // to either side of where the edge should be it is looked for
	isThere    = 0.35 // off that it may be found
	flank      = 0.35 // between the two points whose colours are set against each other
	pastFrom   = 2.0  // a corner
	pastTo     = 11.0
	asStrong   = 0.4 // of the side's own edge
	leastEdges = 7.0 // of 255: what changes less is the picture's grain
)

// How straight lines are looked for (judgement).
const (
	angles      = 120 // directions that are told apart, over half a turn
	voting      = 2   // directions to either side of its own for which an edge's pixel stands
	mostPeaks   = 500 // of which the lines with the longest stretch of strong edge are taken
	mostLines   = 56
	leastVotes  = 12.0 // pixels of edge on a line
	nearAngle   = 5    // of these steps: two lines so near in direction and place are one
	nearPlace   = 4    // pixels
	standsAlong = 1.6  // pixels: how far off a line an edge may stand that is its
)

// missing is what a pixel of a line costs (judgement): a stretch of which less than about half is strong edge is none.
const missing = 0.35

// How an edge is looked for anew in the whole picture (judgement).
const (
	samples  = 48   // along each edge
	middling = 0.72 // of an edge is looked at: not the round corners
)
