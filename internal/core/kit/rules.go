package kit

import (
	"slices"

	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// rule is one thing that speaks for a tool, against it, or rules it out (trade, common practice
// with no source; the points are judgement).
type rule struct {
	tools    []Tool
	points   int
	out      bool // ruled out
	disputed bool // practitioners disagree: words tell both sides
	words    say.Line
	when     func(Job) bool
}

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
	{tools: slices.Concat(cutters, grinders, rubbed), out: true, words: say.Of(tornOrGrownInA),
		when: func(j Job) bool { return j.State.Veterinary() }},
	{tools: cutters, out: true, words: say.Of(aCutterDoesNotSmooth), when: smoothing},

	{
		tools:  []Tool{SmallScissor},
		points: decisive,
		words:  say.Of(madeForToyDogsAnd),
		when:   func(j Job) bool { return j.Weight < toyWeight },
	},
	{tools: []Tool{SmallScissor}, points: decisive, words: say.Of(goesRoundACurledDewclaw), when: curledDewclaw},
	{tools: []Tool{SmallScissor}, out: true, words: say.Of(crushesAThickNail), when: thick},
	{
		tools:  []Tool{SmallScissor},
		points: -strong,
		words:  say.Of(smallForThisDog),
		when:   func(j Job) bool { return j.Weight >= toyWeight && !curledDewclaw(j) },
	},

	{tools: pliers, points: weak, words: say.Of(versatileCutsInAnyDirection), when: always},
	{
		tools:  []Tool{SmallPlier},
		points: strong,
		words:  say.Of(theSizeForADog, say.Args{"weight": say.Weight(pliersSplit)}),
		when:   small,
	},
	{
		tools:  []Tool{SmallPlier},
		points: -strong,
		words:  say.Of(smallForADogOf, say.Args{"weight": say.Weight(pliersSplit)}),
		when:   big,
	},
	{
		tools:  []Tool{LargePlier},
		points: strong,
		words:  say.Of(theSizeForADogOf, say.Args{"weight": say.Weight(pliersSplit)}),
		when:   big,
	},
	{
		tools:  []Tool{LargePlier},
		points: -strong,
		words:  say.Of(largeForADogBelow, say.Args{"weight": say.Weight(pliersSplit)}),
		when:   small,
	},

	{tools: []Tool{Guillotine}, out: true, words: say.Of(doesNotGoRoundA), when: Job.curled},
	{tools: []Tool{Guillotine}, points: weak, words: say.Of(theBladeIsEasyTo), when: always},
	{tools: []Tool{Guillotine}, points: -weak, words: say.Of(temptsToOneSnipWhere), when: forLength},
	{tools: []Tool{Guillotine}, disputed: true, words: say.Of(theGuillotineSomeTrustIts), when: forLength},

	{
		tools: []Tool{Household},
		out:   true,
		words: say.Of(forVeryYoungPuppiesOnly),
		when:  func(j Job) bool { return j.AgeWeeks > puppyWeeks },
	},
	{
		tools:  []Tool{Household},
		points: strong,
		words:  say.Of(enoughForAVeryYoung),
		when:   func(j Job) bool { return j.AgeWeeks <= puppyWeeks },
	},

	{
		tools: grinders,
		out:   true,
		words: say.Of(aLooseDewclawWindsInto),
		when:  func(j Job) bool { return j.State == nail.Loose },
	},
	{tools: grinders, out: true, words: say.Of(theDogFearsItsSound), when: afraidOfNoise},
	{tools: grinders, out: true, words: say.Of(theDogIsStillOn), when: func(j Job) bool { return j.Learning }},
	{tools: grinders, points: strong, words: say.Of(roundsOffWhatACutter), when: smoothing},
	{
		tools:  grinders,
		points: strong,
		words:  say.Of(doesTheWholeJobWhere),
		when:   both(forLength, func(j Job) bool { return j.Often }),
	},
	{
		tools:    grinders,
		disputed: true,
		words:    say.Of(theGrinderAloneSomeGrind),
		when:     both(forLength, func(j Job) bool { return j.Often }),
	},
	{tools: grinders, points: weak, words: say.Of(doesNotCrushAThick), when: thick},
	{tools: grinders, points: weak, words: say.Of(aDarkNailComesOff), when: dark},
	{
		tools:  grinders,
		points: weak,
		words:  say.Of(theDogIsFineWith),
		when:   func(j Job) bool { return j.Noise == NoiseFine },
	},
	{
		tools:  grinders,
		points: -weak,
		words:  say.Of(nobodyHasSaidHowThe),
		when:   func(j Job) bool { return j.Noise == NoiseUnknown },
	},
	{
		tools:  grinders,
		points: -strong,
		words:  say.Of(slowOnALongNail),
		when:   both(forLength, func(j Job) bool { return j.Take > longTake }),
	},
	{tools: grinders, points: -weak, words: say.Of(hairOnTheFootPull), when: func(j Job) bool { return j.LongCoat }},
	{tools: grinders, points: -weak, words: say.Of(heatIfHeldOnDust), when: always},
	{
		tools:    grinders,
		points:   -strong,
		disputed: true,
		words:    say.Of(aDewclawSomeNeverGrind),
		when:     func(j Job) bool { return j.Code.Dewclaw() },
	},
	{tools: []Tool{GrinderBand}, points: weak, words: say.Of(aBandCutsFasterBut), when: forLength},
	{tools: []Tool{GrinderDiamond}, points: weak, words: say.Of(aDiamondBitPolishesMore), when: smoothing},
	{tools: []Tool{GrinderDiamond}, points: -weak, words: say.Of(aDiamondBitWantsMore), when: forLength},

	{tools: rubbed, points: weak, words: say.Of(smoothsAndFrightensNobody), when: smoothing},
	{tools: rubbed, points: weak, words: say.Of(aWayInForA), when: both(forLength, afraidOfNoise)},
	{
		tools:  rubbed,
		points: -strong,
		words:  say.Of(takesVeryLittle),
		when:   both(forLength, func(j Job) bool { return j.Take <= boardTake }),
	},
	{
		tools:  []Tool{File},
		points: -decisive,
		words:  say.Of(farTooSlowForWhat),
		when:   both(forLength, func(j Job) bool { return j.Take > boardTake }),
	},
	{
		tools: []Tool{ScratchBoard},
		out:   true,
		words: say.Of(doesNotShortenAnOvergrown),
		when:  both(forLength, func(j Job) bool { return j.Take > boardTake }),
	},
	{
		tools: []Tool{ScratchBoard},
		out:   true,
		words: say.Of(doesNothingForADewclaw),
		when:  func(j Job) bool { return j.Code.Dewclaw() },
	},
	{
		tools: []Tool{ScratchBoard},
		out:   true,
		words: say.Of(aDogScratchesWithIts),
		when:  func(j Job) bool { return j.Code.Paw.Hind() },
	},
}
