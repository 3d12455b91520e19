package kit

import (
	"slices"

	"fribbet/internal/core/nail"
)

// rule is one thing that speaks for a tool, against it, or rules it out (trade, common practice
// with no source; the points are judgement).
type rule struct {
	tools    []Tool
	points   int
	out      bool // ruled out
	disputed bool // practitioners disagree: words tell both sides
	words    string
	when     func(Job) bool
}

const (
	weak     = 1
	strong   = 3
	decisive = 6
	notOwned = 8
)

var (
	pliers   = []Tool{SmallPlier, LargePlier}
	cutters  = []Tool{SmallScissor, SmallPlier, LargePlier, Guillotine, Household}
	grinders = []Tool{GrinderBand, GrinderDiamond}
	rubbed   = []Tool{File, ScratchBoard}
)

func always(Job) bool          { return true }
func forLength(j Job) bool     { return j.Purpose == Length }
func smoothing(j Job) bool     { return j.Purpose == Smoothing }
func small(j Job) bool         { return j.Weight < pliersSplit }
func big(j Job) bool           { return j.Weight >= pliersSplit }
func dark(j Job) bool          { return j.Purpose == Length && j.Colour != nail.Light }
func thick(j Job) bool         { return j.Depth > thickNail }
func curledDewclaw(j Job) bool { return j.Code.Dewclaw() && j.curled() }
func afraidOfNoise(j Job) bool { return j.Noise == NoiseAfraid }
func both(a, b func(Job) bool) func(Job) bool {
	return func(j Job) bool { return a(j) && b(j) }
}

var rules = []rule{
	{tools: slices.Concat(cutters, grinders, rubbed), out: true, words: "torn or grown in: a veterinarian's matter, no tool is right",
		when: func(j Job) bool { return j.State.Veterinary() }},
	{tools: cutters, out: true, words: "a cutter does not smooth", when: smoothing},

	{tools: []Tool{SmallScissor}, points: decisive, words: "made for toy dogs and puppies", when: func(j Job) bool { return j.Weight < toyWeight }},
	{tools: []Tool{SmallScissor}, points: decisive, words: "goes round a curled dewclaw", when: curledDewclaw},
	{tools: []Tool{SmallScissor}, out: true, words: "crushes a thick nail", when: thick},
	{tools: []Tool{SmallScissor}, points: -strong, words: "small for this dog", when: func(j Job) bool { return j.Weight >= toyWeight && !curledDewclaw(j) }},

	{tools: pliers, points: weak, words: "versatile, cuts in any direction", when: always},
	{tools: []Tool{SmallPlier}, points: strong, words: "the size for a dog below 13.6 kg", when: small},
	{tools: []Tool{SmallPlier}, points: -strong, words: "small for a dog of 13.6 kg and over", when: big},
	{tools: []Tool{LargePlier}, points: strong, words: "the size for a dog of 13.6 kg and over", when: big},
	{tools: []Tool{LargePlier}, points: -strong, words: "large for a dog below 13.6 kg", when: small},

	{tools: []Tool{Guillotine}, out: true, words: "does not go round a nail that is curled or close to the pad", when: Job.curled},
	{tools: []Tool{Guillotine}, points: weak, words: "the blade is easy to see; with the fixed handle in the palm only the blade moves", when: always},
	{tools: []Tool{Guillotine}, points: -weak, words: "tempts to one snip where many thin ones are safer", when: forLength},
	{tools: []Tool{Guillotine}, disputed: true, words: "The guillotine: some trust its steady head; others leave it, since it tempts to take all at once.", when: forLength},

	{tools: []Tool{Household}, out: true, words: "for very young puppies only", when: func(j Job) bool { return j.AgeWeeks > puppyWeeks }},
	{tools: []Tool{Household}, points: strong, words: "enough for a very young puppy", when: func(j Job) bool { return j.AgeWeeks <= puppyWeeks }},

	{tools: grinders, out: true, words: "a loose dewclaw winds into anything that spins", when: func(j Job) bool { return j.State == nail.Loose }},
	{tools: grinders, out: true, words: "the dog fears its sound: first the ladder", when: afraidOfNoise},
	{tools: grinders, out: true, words: "the dog is still on the grinder ladder", when: func(j Job) bool { return j.Learning }},
	{tools: grinders, points: strong, words: "rounds off what a cutter left", when: smoothing},
	{tools: grinders, points: strong, words: "does the whole job where it is done every week", when: both(forLength, func(j Job) bool { return j.Often })},
	{tools: grinders, disputed: true, words: "The grinder alone: some grind every week and never clip; others clip first and only round off.", when: both(forLength, func(j Job) bool { return j.Often })},
	{tools: grinders, points: weak, words: "does not crush a thick nail", when: thick},
	{tools: grinders, points: weak, words: "a dark nail comes off a touch at a time, its cut end in sight", when: dark},
	{tools: grinders, points: weak, words: "the dog is fine with its sound", when: func(j Job) bool { return j.Noise == NoiseFine }},
	{tools: grinders, points: -weak, words: "nobody has said how the dog is fine with its sound", when: func(j Job) bool { return j.Noise == NoiseUnknown }},
	{tools: grinders, points: -strong, words: "slow on a long nail", when: both(forLength, func(j Job) bool { return j.Take > longTake })},
	{tools: grinders, points: -weak, words: "hair on the foot: pull a mesh over the paw, or it winds in", when: func(j Job) bool { return j.LongCoat }},
	{tools: grinders, points: -weak, words: "heat if held on, dust and noise", when: always},
	{tools: grinders, points: -strong, disputed: true, words: "A dewclaw: some never grind it, for hair and loose skin; others do, through a mesh.", when: func(j Job) bool { return j.Code.Dewclaw() }},
	{tools: []Tool{GrinderBand}, points: weak, words: "a band cuts faster, but wears out", when: forLength},
	{tools: []Tool{GrinderDiamond}, points: weak, words: "a diamond bit polishes more than it cuts", when: smoothing},
	{tools: []Tool{GrinderDiamond}, points: -weak, words: "a diamond bit wants more pressure", when: forLength},

	{tools: rubbed, points: weak, words: "smooths, and frightens nobody", when: smoothing},
	{tools: rubbed, points: weak, words: "a way in for a dog that accepts nothing else", when: both(forLength, afraidOfNoise)},
	{tools: rubbed, points: -strong, words: "takes very little", when: both(forLength, func(j Job) bool { return j.Take <= boardTake })},
	{tools: []Tool{File}, points: -decisive, words: "far too slow for what is to come off", when: both(forLength, func(j Job) bool { return j.Take > boardTake })},
	{tools: []Tool{ScratchBoard}, out: true, words: "does not shorten an overgrown nail", when: both(forLength, func(j Job) bool { return j.Take > boardTake })},
	{tools: []Tool{ScratchBoard}, out: true, words: "does nothing for a dewclaw", when: func(j Job) bool { return j.Code.Dewclaw() }},
	{tools: []Tool{ScratchBoard}, out: true, words: "a dog scratches with its fore feet", when: func(j Job) bool { return j.Code.Paw.Hind() }},
}
