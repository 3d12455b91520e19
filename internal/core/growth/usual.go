package growth

import "fribbet/internal/core/nail"

// Usual is the gross growth of most dogs of this age and size, or by the book's own record, mm a week.
func Usual(w Where) float64 {
	if w.Times > 0 {
		return w.Times * usualGross(w.Age, w.Weight)
	}
	return usualGross(w.Age, w.Weight)
}

// Wear is what the ground takes of a nail of a group, mm for each km of pavement, for a dog of size
// factor 1: mean and standard deviation.
func Wear(group nail.Group) (mean, sd float64) { return wear[group].mean, wear[group].sd }

// Cautious is a rate that nine dogs in ten do not exceed, mm a week.
func Cautious(r Rate) float64 { return r.Mean + cautiousZ*r.SD }
