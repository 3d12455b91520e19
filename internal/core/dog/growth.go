package dog

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
)

// Growth is how fast a dog's nails grow, beside what is usual, and what that was learnt from.
type Growth struct {
	Gross    growth.Rate
	Usual    growth.Rate // before any of its own records
	Groups   []GroupGrowth
	Measured int // observations by length
	Slivers  int // observations from what came off
	Source   estimate.Source
	Words    string // what it was learnt from
}

// GroupGrowth is the net rate of one group of nails.
type GroupGrowth struct {
	Group nail.Group
	Net   growth.Rate
	Usual growth.Rate
	Seen  []SeenRate // oldest first
}

// SeenRate is what a group's nails grew between two days, mm a week, on the mean.
type SeenRate struct {
	On      date.Date // the later day
	Mean    float64
	SD      float64
	Nails   int
	Slivers bool // reckoned from what came off
}

// Growth tells how fast the nails grow on a day.
func (f Feet) Growth(day date.Date) Growth {
	where, usual := f.where(day), growth.Assumed()
	g := Growth{Gross: f.Rates.Gross(where), Usual: usual.Gross(where), Source: f.rateSource()}
	g.Measured, g.Slivers = f.Rates.Learnt()
	g.Words = g.words()
	for _, group := range nail.Groups() {
		if !slices.ContainsFunc(f.toes, func(t toe) bool { return t.Code.Group() == group }) {
			continue
		}
		g.Groups = append(g.Groups, GroupGrowth{
			Group: group, Net: f.Rates.Group(group, where), Usual: usual.Group(group, where), Seen: f.seen(group),
		})
	}
	return g
}

func (f Feet) rateSource() estimate.Source {
	if measured, slivers := f.Rates.Learnt(); measured+slivers > 0 {
		return estimate.Learnt
	}
	return estimate.Assumed
}

func (g Growth) words() string {
	switch {
	case g.Measured > 0 && g.Slivers > 0:
		return fmt.Sprintf("learnt from %d lengths, and from what came off where nobody measured", g.Measured)
	case g.Measured > 0:
		return fmt.Sprintf("learnt from %d lengths", g.Measured)
	case g.Slivers > 0:
		return "learnt from what came off alone: nobody has measured these nails twice"
	default:
		return "assumed from age and size: no nail has been trimmed twice yet"
	}
}

// seen joins what each day showed of a group's nails, each weighed by how sure it is.
func (f Feet) seen(group nail.Group) []SeenRate {
	type sum struct{ weight, rate float64 }
	type key struct {
		on      date.Date
		slivers bool
	}
	sums, nails := map[key]sum{}, map[key]int{}
	for _, g := range f.Grown {
		if g.Group != group || slices.Contains(f.Outliers, g) {
			continue
		}
		k := key{g.To, g.Slivers}
		weight := g.Weeks * g.Weeks / (g.SD * g.SD)
		sums[k] = sum{sums[k].weight + weight, sums[k].rate + weight*g.Observation.Grown/g.Weeks}
		nails[k]++
	}
	var all []SeenRate
	for k, s := range sums {
		all = append(all, SeenRate{k.on, s.rate / s.weight, 1 / math.Sqrt(s.weight), nails[k], k.slivers})
	}
	slices.SortFunc(all, func(a, b SeenRate) int { return cmp.Or(a.On.Sub(b.On), b.Nails-a.Nails) })
	return all
}
