package feet

// All judgement (ours, until a dog's own records replace it).
const (
	ClearBy   = 0.3  // growth left to the floor by which a trim left its nail clear, mm
	LeastRate = 0.1  // mm a week: horn never stops growing
	mostRate  = 5.0  // mm a week: far beyond any dog
	LeastLeft = 0.25 // the share of its usual length that a nail is taken to keep whatever came off
)

// Judgement: beyond these nobody told it.
const (
	longestLife    = 60     // years
	longestSitting = 6000.0 // minutes
	mostCuts       = 1000   // a nail, at one sitting
)

// quickedWithin is how many sittings after blood a dog is done with more care (model).
const quickedWithin = 2

// A forecast runs this far, in steps that are straight enough to draw between.
const (
	forecastDays = 60
	forecastStep = 5
)

// learntShare is how much narrower than at first a range must be to be called learnt (judgement).
const learntShare = 0.9

// FoldVersion goes up whenever the same records would fold into other feet than before: what was
// kept of an older fold is then worked out again.
const FoldVersion = 10

// dewclawStands is how high a dewclaw is drawn above a floor that it never meets, mm.
const dewclawStands = 12.0
