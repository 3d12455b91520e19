// Package growth is how fast a dog's nails lengthen: one gross rate a dog, less what the
// ground takes of each group. Rates are in mm a week.
package growth

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/nail"
)

// Rate is a net growth rate with its standard deviation, mm a week.
type Rate struct{ Mean, SD float64 }

// SizeClass is a range of adult weights.
type SizeClass struct {
	Under       float64 // the weight in kg at which the next class begins; 0 for the heaviest
	SeniorYears int     // the age from which a dog of this class is senior
	UsualWeight float64 // a weight in kg to start from when nobody has weighed the dog
}

// SizeClasses lists the classes, lightest first.
func SizeClasses() []SizeClass { return append([]SizeClass(nil), sizeClasses...) }

// ClassOf returns the class of a weight in kg; a bound belongs to the heavier class.
func ClassOf(weight float64) SizeClass {
	for _, c := range sizeClasses {
		if weight < c.Under {
			return c
		}
	}
	return sizeClasses[len(sizeClasses)-1]
}

// Prior is what is believed of a dog's rates before any of its own records speak.
type Prior struct {
	Gross  Rate // of a nail that nothing wears
	factor float64
}

// Assumed is the prior for a dog of this age in weeks and weight in kg.
func Assumed(ageWeeks, weight float64) Prior {
	const weeksPerYear = 365.25 / 7
	gross := grossAdult
	switch {
	case ageWeeks < adultAge:
		gross = grossYoung
	case ageWeeks >= float64(ClassOf(weight).SeniorYears)*weeksPerYear:
		gross = grossSenior
	}
	return Prior{Rate{gross, grossSD}, claw.SizeFactor(weight)}
}

// Net is the rate of a nail of the group on a dog that walks pavement km a week.
func (p Prior) Net(group nail.Group, pavement float64) Rate {
	w := wear[group]
	worn := pavement * p.factor
	return Rate{
		Mean: math.Max(leastNet, p.Gross.Mean-w.mean*worn),
		SD:   math.Sqrt(p.Gross.SD*p.Gross.SD + w.sd*worn*w.sd*worn + scatterSD*scatterSD),
	}
}
