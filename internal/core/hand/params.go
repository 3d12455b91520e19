package hand

// All judgement, ours, until measurements of many hands replace it.
const (
	leastSD = 0.15 // of the thinnest slice of a clipper, mm
	sdShare = 0.22 // and what its thickness adds, as a share of it

	beyondSDs = 1.28 // of a hand that is off further than most, how much of that its slices are reckoned thicker

	timesSD    = 0.25 // of how thick a hand's slices are, as a share of what it means, over many hands
	priorCount = 5    // of how many slices what is known of most hands counts, beside this one's own

	fewest = 5   // slices from which anything is told
	most   = 40  // on one picture
	within = 3.0 // times: slices further off than that were none of the thickness that was meant

	// What slices may be meant to be, mm: thinner nobody can cut.
	LeastMeant = 0.25
	MostMeant  = 3.0

	usualMilder = 0.05 // share of the ends that most eyes take for the next milder face: that is in the limits already
	mostMilder  = 0.5
	eyeCount    = 20 // ends that what is known of most eyes counts, beside this one's own
	EyeAsked    = 60 // ends that somebody must have named before their eye sets the care

	leastSpread = 0.4 // times how far most hands are off
	mostSpread  = 3.0
)

// apart is from which share on thickness and evenness are told as different (judgement).
const apart = 0.1
