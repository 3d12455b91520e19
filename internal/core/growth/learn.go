package growth

import (
	"fmt"
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
)

// Observation is what one nail grew between two days on which its end was known.
type Observation struct {
	Group    nail.Group
	Weeks    float64 // between the two days
	Grown    float64 // mm; below 0 where it came out shorter
	Pavement float64 // km a week over these weeks
	Age      float64 // of the dog, weeks
	Weight   float64 // of the dog, kg
}

// Check returns the fields that no observation can have, under the contract's names.
func (o Observation) Check() fault.Fields {
	var f fault.Fields
	f.Range("weeks", o.Weeks, 1.0/7, 520, fault.Weeks)
	f.Range("grown_mm", o.Grown, -80, 80, fault.MM)
	f.Range("pavement_km_week", o.Pavement, 0, MostPavement, fault.KMWeek)
	return f
}

// Columns of the regression: what this dog grows beside what is usual, and what the ground takes of
// each worn group.
const (
	gross = iota
	foreWear
	middleWear
	outerWear
	columns
)

var wearColumn = map[nail.Group]int{nail.Fore: foreWear, nail.HindMiddle: middleWear, nail.HindOuter: outerWear}

// Rates is how fast a dog's nails grow: what is usual for its age and size, and what observations
// made of that.
type Rates struct{ posterior }

// Assumed is what is believed before any observation speaks.
func Assumed() Rates { return Learn(nil) }

// Learn joins what is usual with observations, whatever they are.
func Learn(observations []Observation) Rates {
	priors := make([]prior, columns)
	priors[gross] = about(0, grossSD)
	for group, column := range wearColumn {
		priors[column] = about(wear[group].mean, wear[group].sd)
	}
	var rows []row
	for _, o := range observations {
		rows = append(
			rows,
			row{terms(o.Group, o.Pavement, o.Weight), o.Grown/o.Weeks - usualGross(o.Age, o.Weight), o.noise()},
		)
	}
	r := Rates{}
	r.posterior, _ = fit(priors, rows) // every prior is proper, so it always fits
	return r
}

// Outliers are the places of the observations that lie further from what these rates say than
// chance allows.
func (r Rates) Outliers(observations []Observation) []int {
	var out []int
	for i, o := range observations {
		mean, variance := r.at(terms(o.Group, o.Pavement, o.Weight))
		off := o.Grown/o.Weeks - usualGross(o.Age, o.Weight) - mean
		if math.Abs(off) > outlierZ*math.Sqrt(variance+o.noise()) {
			out = append(out, i)
		}
	}
	return out
}

// terms are what a nail of a group says of each column.
func terms(group nail.Group, pavement, weight float64) []term {
	all := []term{{gross, 1}}
	if column, worn := wearColumn[group]; worn {
		all = append(all, term{column, -pavement * claw.SizeFactor(weight)})
	}
	return all
}

// noise is the variance of an observed rate about what its terms say: two readings of a caliper,
// and a nail's own difference from its group.
func (o Observation) noise() float64 {
	return 2*caliperSD*caliperSD/(o.Weeks*o.Weeks) + scatterSD*scatterSD
}

// CheckAll returns the fields of a list of observations that cannot be.
func CheckAll(observations []Observation) fault.Fields {
	var f fault.Fields
	for i, o := range observations {
		f.Under(fmt.Sprintf("observations[%d]", i), o.Check())
	}
	return f
}

// Where is the dog for which a rate is asked.
type Where struct {
	Age      float64 // weeks
	Weight   float64 // kg
	Pavement float64 // km a week
	// the usual growth by the book's own record of dogs of this size, times that of most dogs; 0: as most
	Times float64
}

// Check returns the fields that cannot be, under the contract's names.
func (w Where) Check() fault.Fields {
	var f fault.Fields
	f.Range("weight_kg", w.Weight, LeastWeight, MostWeight, fault.KG)
	f.Range("age_weeks", w.Age, 0, oldest, fault.Weeks)
	f.Range("pavement_km_week", w.Pavement, 0, MostPavement, fault.KMWeek)
	return f
}

// Gross is the rate of a nail that nothing wears.
func (r Rates) Gross(w Where) Rate {
	mean, variance := r.at([]term{{gross, 1}})
	return Rate{usualGross(w.Age, w.Weight) + mean, math.Sqrt(variance)}
}

// Group is the rate of any nail of a group.
func (r Rates) Group(group nail.Group, w Where) Rate {
	mean, variance := r.at(terms(group, w.Pavement, w.Weight))
	return Rate{math.Max(leastNet, usualGross(w.Age, w.Weight)+mean), math.Sqrt(variance + scatterSD*scatterSD)}
}
