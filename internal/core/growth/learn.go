package growth

import (
	"fmt"
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
)

// Observation is what one nail grew between two days on which its end was known.
type Observation struct {
	Nail     nail.Code // zero where nobody said which nail of its group it was
	Group    nail.Group
	Weeks    float64 // between the two days
	Grown    float64 // mm; below 0 where it came out shorter
	SD       float64 // of Grown, mm; 0 stands for two readings of a caliper
	Pavement float64 // km a week over these weeks
	Age      float64 // of the dog, weeks
	Weight   float64 // of the dog, kg
	Slivers  bool    // nobody measured: reckoned from what came off
}

// Check returns the fields that no observation can have, under the contract's names.
func (o Observation) Check() fault.Fields {
	var f fault.Fields
	f.Range("weeks", o.Weeks, 1.0/7, 520, "weeks")
	f.Range("grown_mm", o.Grown, -80, 80, "mm")
	f.Range("pavement_km_week", o.Pavement, 0, MostPavement, "km a week")
	return f
}

// Columns of the regression: what this dog grows beside what is usual, what the ground takes of
// each worn group, what slivers are off together, and after these one for each nail.
const (
	gross = iota
	foreWear
	middleWear
	outerWear
	sliverBias
	firstNail
)

var wearColumn = map[nail.Group]int{nail.Fore: foreWear, nail.HindMiddle: middleWear, nail.HindOuter: outerWear}

// Rates is how fast a dog's nails grow: what is usual for its age and size, and what its own
// observations made of that.
type Rates struct {
	posterior
	nails    []nail.Code // those that were observed, in the order of their columns
	measured int
	slivers  int
}

// Assumed is what is believed before any of the dog's own records speak.
func Assumed() Rates { return Learn(nil) }

// Learn joins what is usual with observations, whatever they are. A nail's own difference from
// its group stays with it, so a hundred observations of one nail still say only so much of the
// others; and what logged slivers are off, all of them are off together, since the quick's own
// move, which nobody sees, stands between what came off and what grew; the more so over few weeks,
// when it matters how far from the quick one hand ends its trims.
func Learn(observations []Observation) Rates {
	r := Rates{}
	priors := make([]prior, firstNail, firstNail+len(nail.All()))
	priors[gross] = about(0, grossSD)
	for group, column := range wearColumn {
		priors[column] = about(wear[group].mean, wear[group].sd)
	}
	priors[sliverBias] = about(0, sliversSD)
	rows := make([]row, 0, len(observations))
	for _, o := range observations {
		if o.Nail != (nail.Code{}) && !slices.Contains(r.nails, o.Nail) {
			r.nails = append(r.nails, o.Nail)
			priors = append(priors, about(0, scatterSD))
		}
		if o.Slivers {
			r.slivers++
		} else {
			r.measured++
		}
	}
	for _, o := range observations {
		rows = append(rows, row{r.terms(o), o.Grown/o.Weeks - usualGross(o.Age, o.Weight), r.noise(o)})
	}
	r.posterior, _ = fit(priors, rows) // every prior is proper, so it always fits
	return r
}

// LearnSound is Learn without what does not fit this dog: a slip of the caliper, a nail that
// broke and nobody said so. It returns the places of what was left out, to be named.
func LearnSound(observations []Observation) (Rates, []int) {
	const rounds = 4
	r := Learn(observations)
	outliers := r.Outliers(observations)
	for range rounds {
		var sound []Observation
		for i, o := range observations {
			if !slices.Contains(outliers, i) {
				sound = append(sound, o)
			}
		}
		r = Learn(sound)
		again := r.Outliers(observations)
		if slices.Equal(again, outliers) {
			break
		}
		outliers = again
	}
	return r, outliers
}

// Outliers are the places of the observations that lie further from what these rates say than
// chance allows.
func (r Rates) Outliers(observations []Observation) []int {
	var out []int
	for i, o := range observations {
		mean, variance := r.at(r.terms(o))
		off := o.Grown/o.Weeks - usualGross(o.Age, o.Weight) - mean
		if math.Abs(off) > outlierZ*math.Sqrt(variance+r.noise(o)) {
			out = append(out, i)
		}
	}
	return out
}

// terms are what an observation says of each column.
func (r Rates) terms(o Observation) []term {
	terms := append(make([]term, 0, 4), term{gross, 1})
	if column, worn := wearColumn[o.Group]; worn {
		terms = append(terms, term{column, -o.Pavement * claw.SizeFactor(o.Weight)})
	}
	if o.Slivers {
		terms = append(terms, term{sliverBias, 1 + sliversEnd/o.Weeks})
	}
	if at := slices.Index(r.nails, o.Nail); at >= 0 {
		terms = append(terms, term{firstNail + at, 1})
	}
	return terms
}

// noise is the variance of an observed rate about what its terms say.
func (r Rates) noise(o Observation) float64 {
	sd := o.SD
	if sd == 0 {
		sd = math.Sqrt2 * caliperSD
	}
	variance := sd * sd / (o.Weeks * o.Weeks)
	if !slices.Contains(r.nails, o.Nail) {
		variance += scatterSD * scatterSD
	}
	return variance
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
}

// Check returns the fields that cannot be, under the contract's names.
func (w Where) Check() fault.Fields {
	var f fault.Fields
	f.Range("weight_kg", w.Weight, LeastWeight, MostWeight, "kg")
	f.Range("age_weeks", w.Age, 0, oldest, "weeks")
	f.Range("pavement_km_week", w.Pavement, 0, MostPavement, "km a week")
	return f
}

// Gross is the rate of a nail that nothing wears.
func (r Rates) Gross(w Where) Rate {
	mean, variance := r.at([]term{{gross, 1}})
	return Rate{usualGross(w.Age, w.Weight) + mean, math.Sqrt(variance)}
}

// Group is the rate of any nail of a group.
func (r Rates) Group(group nail.Group, w Where) Rate { return r.rate(nail.Code{}, group, w) }

// Nail is the rate of one nail, with its own difference from its group where that was observed.
func (r Rates) Nail(code nail.Code, w Where) Rate { return r.rate(code, code.Group(), w) }

func (r Rates) rate(code nail.Code, group nail.Group, w Where) Rate {
	mean, variance := r.at(r.terms(Observation{Nail: code, Group: group, Pavement: w.Pavement, Weight: w.Weight}))
	own := scatterSD
	if slices.Contains(r.nails, code) {
		own = seasonSD
	}
	return Rate{math.Max(leastNet, usualGross(w.Age, w.Weight)+mean), math.Sqrt(variance + own*own)}
}

// Learnt tells how many observations stand behind the rates: by length, and by slivers alone.
func (r Rates) Learnt() (measured, slivers int) { return r.measured, r.slivers }
