package feet

import (
	"cmp"
	"math"
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
	"fribbet/internal/core/state"
)

// Growth is how fast a dog's nails grow, beside what is usual, and what that was learnt from.
type Growth struct {
	Gross    growth.Rate
	Usual    growth.Rate // before any of its own records
	Rest     estimate.Estimate
	Groups   []GroupGrowth
	Measured int // lengths that were told
	Source   estimate.Source
	Words    say.Line // what it was learnt from
}

// GroupGrowth is the net rate of one group of nails.
type GroupGrowth struct {
	Group nail.Group
	Net   growth.Rate
	Usual growth.Rate
	Seen  []SeenRate // oldest first
}

// SeenRate is what lengths showed a group's nails to grow between two days, mm a week, on the mean.
type SeenRate struct {
	On    date.Date // the later day
	Mean  float64
	SD    float64
	Nails int
}

// Growth tells how fast the nails grow on a day: the state's own numbers.
func (f Feet) Growth(day date.Date) Growth {
	now, usual, where := f.At(day), feetOf(f.Dog, nil).state, f.Where(day)
	rate := func(n state.Normal) growth.Rate { return growth.Rate{Mean: n.Mean, SD: n.SD} }
	g := Growth{
		Gross:    rate(now.Gross(where)),
		Usual:    rate(usual.Gross(where)),
		Measured: f.measured,
		Source:   estimate.Assumed,
	}
	if g.Gross.SD < learntShare*g.Usual.SD {
		g.Source = estimate.Learnt
	}
	rest, restSource := now.Rest(), estimate.Assumed
	if rest.SD < learntShare*usual.Rest().SD {
		restSource = estimate.Learnt
	}
	g.Rest = estimate.Normal(rest.Mean, rest.SD, restSource)
	g.Words = g.words()
	for _, group := range nail.Groups() {
		one := GroupGrowth{Group: group}
		members := 0.0
		for i, n := range f.Nails {
			if n.Code.Group() == group {
				members++
				one.Net = plus(one.Net, rate(now.Rate(i, where)))
				one.Usual = plus(one.Usual, rate(usual.Rate(i, where)))
			}
		}
		if members == 0 {
			continue
		}
		one.Net, one.Usual = over(one.Net, members), over(one.Usual, members)
		one.Seen = f.seen(group)
		g.Groups = append(g.Groups, one)
	}
	return g
}

func plus(a, b growth.Rate) growth.Rate { return growth.Rate{Mean: a.Mean + b.Mean, SD: a.SD + b.SD} }

func over(a growth.Rate, n float64) growth.Rate {
	return growth.Rate{Mean: math.Max(LeastRate, a.Mean/n), SD: a.SD / n}
}

func (g Growth) words() say.Line {
	switch {
	case g.Source == estimate.Assumed:
		return say.Of(assumedFromAgeAndSize)
	case g.Measured > 0:
		return say.Of(learntFromThisDogsTrims, say.Args{"measured": say.Count(g.Measured)})
	default:
		return say.Of(learntFromWhatCameOff)
	}
}

// seen joins what each day's lengths showed of a group's nails, each weighed by how sure it is.
func (f Feet) seen(group nail.Group) []SeenRate {
	type sum struct {
		weight, rate float64
		nails        int
	}
	sums := map[date.Date]sum{}
	for i, n := range f.Nails {
		if n.Code.Group() != group {
			continue
		}
		for _, g := range f.toes[i].Grown {
			s, weight := sums[g.On], 1/(g.SD*g.SD)
			sums[g.On] = sum{s.weight + weight, s.rate + weight*g.Rate, s.nails + 1}
		}
	}
	var all []SeenRate
	for on, s := range sums {
		all = append(all, SeenRate{on, s.rate / s.weight, 1 / math.Sqrt(s.weight), s.nails})
	}
	slices.SortFunc(all, func(a, b SeenRate) int { return cmp.Compare(a.On.Sub(b.On), 0) })
	return all
}
