package growth

import "fribbet/internal/core/nail"

// Gross growth of a nail that nothing wears, mm a week (judgement within the range reported for
// dogs, 0.8–1.9 mm a week: memory, veterinary dermatology texts; slower with age: Orentreich,
// Markofsky & Vogelman 1979, J. Invest. Dermatol. 73, published).
const (
	grossYoung  = 1.5 // under one year
	grossAdult  = 1.1
	grossSenior = 0.9
	grossSD     = 0.35
)

// All standard deviations, mm a week but for the caliper (judgement).
const (
	scatterSD = 0.1 // of one nail from its group
	caliperSD = 0.5 // of a length, mm
)

// outlierZ is how many standard deviations from what is learnt an observation is no more this
// dog's growth but a slip (judgement): chance alone does it once in 16,000.
const outlierZ = 4.0

// Weights a dog can have, kg: from a newborn of the smallest breeds to more than the heaviest
// dog on record (memory).
const (
	LeastWeight = 0.1
	MostWeight  = 160.0
)

// MostPavement is the most that can be told, km a week (judgement).
const MostPavement = 200.0

// leastNet is the slowest net rate that is ever predicted, mm a week (judgement): horn never
// stops growing, so a date is always set.
const leastNet = 0.1

// oldest is more than any dog on record has lived, weeks (memory).
const oldest = 40 * 52.2

// adultAge is when a dog is counted as grown up, weeks (judgement).
const adultAge = 52

// wear is what the ground takes of a nail, mm for each km of pavement, for a dog of size
// factor 1 (judgement). A dewclaw never meets the ground: trade.
var wear = map[nail.Group]struct{ mean, sd float64 }{
	nail.Fore:       {0.02, 0.015},
	nail.HindMiddle: {0.03, 0.02},
	nail.HindOuter:  {0.045, 0.03},
	nail.Dewclaw:    {0, 0},
}

// sizeClasses are bounded by adult weight in kg (Salt et al. 2017, PLOS ONE 12(9): e0182064,
// published); the age from which a dog of the class is senior in years, and a usual weight
// to start from in kg, are judgement.
var sizeClasses = []SizeClass{
	{Under: 6.5, SeniorYears: 11, UsualWeight: 4},
	{Under: 9, SeniorYears: 11, UsualWeight: 8},
	{Under: 15, SeniorYears: 10, UsualWeight: 12},
	{Under: 30, SeniorYears: 9, UsualWeight: 22},
	{Under: 40, SeniorYears: 8, UsualWeight: 34},
	{SeniorYears: 7, UsualWeight: 50},
}

// cautiousZ is the 90th percentile of the standard normal (mathematics).
const cautiousZ = 1.2815515655446004
