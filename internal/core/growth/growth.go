// Package growth is how fast a dog's nails lengthen: one gross rate a dog, less what the
// ground takes of each group; learnt from what a dog's nails did between its sittings. Rates are
// in mm a week.
package growth

import "fribbet/internal/core/date"

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

// usualGross is the gross rate of a dog of this age in weeks and weight in kg, mm a week.
func usualGross(age, weight float64) float64 {
	const weeksPerYear = date.DaysPerYear / 7
	switch {
	case age < adultAge:
		return grossYoung
	case age >= float64(ClassOf(weight).SeniorYears)*weeksPerYear:
		return grossSenior
	}
	return grossAdult
}
