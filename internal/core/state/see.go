package state

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/measure"
)

var (
	lengthOf  = of(map[int]float64{Length: 1})
	spareOf   = of(map[int]float64{Spare: 1})
	toFloorOf = of(map[int]float64{Floor: 1, Length: -1})
)

// see moves everything by what was seen of a scalar of one nail: then gives, for the normal that it
// had, the mean and variance that it has now. A nail that the floor may be wearing teaches nothing of growth: it
// stands about as long however fast it grows, and what is believed of wear would pass for growth.
func (s *State) see(i int, of scalar, then func(mean, variance float64) (float64, float64)) {
	s.Alone[i] = Alone{}
	p := s.joint(&s.Leaves[i])
	mean, variance := then(p.moments(of))
	if s.Wears[i] {
		p.consider(of, mean, variance)
	} else {
		p.move(of, mean, variance)
	}
	s.split(&p, &s.Leaves[i])
}

// consider moves by what was seen of a scalar of one nail as see does, but for growth and wear: what is in
// doubt teaches nothing of them, yet how they move with the rest is kept (Schmidt 1966, Advances in Control
// Systems 3: consider states). Where what was seen leaves the scalar less sure, only its own variance grows.
func (s *State) consider(i int, of scalar, then func(mean, variance float64) (float64, float64)) {
	s.Alone[i] = Alone{}
	p := s.joint(&s.Leaves[i])
	before, spread := p.moments(of)
	mean, variance := then(before, spread)
	p.consider(of, mean, math.Min(variance, spread))
	s.split(&p, &s.Leaves[i])
	if more := variance - spread; more > 0 {
		s.Leaves[i].C[Spare][Spare] += more
	}
}

// normally is seeing a number with a normal error.
func normally(seen, sd float64) func(mean, variance float64) (float64, float64) {
	return func(mean, variance float64) (float64, float64) {
		gain := variance / (variance + sd*sd)
		return mean + gain*(seen-mean), variance * (1 - gain)
	}
}

// SeeLength takes a length. It is left out, and false told, when a nail that was measured before comes
// out further off than chance allows: it is no length of this nail. The first length overrules what
// was only assumed, however far off that was.
func (s *State) SeeLength(i int, seen measure.Number) bool {
	mean, variance := s.moments(&s.Leaves[i], lengthOf)
	if s.Measured[i] && math.Abs(seen.MM-mean) > outlierSDs*math.Sqrt(variance+seen.SD*seen.SD) {
		return false
	}
	s.see(i, lengthOf, normally(seen.MM, seen.SD))
	s.Measured[i] = true
	return true
}

// SeeLengthBelow takes that a nail is no longer than so many mm, as whoever had it in the hand would have said. That
// teaches nothing of growth.
func (s *State) SeeLengthBelow(i int, mm float64) {
	s.consider(
		i,
		lengthOf,
		func(mean, variance float64) (float64, float64) { return between(mean, variance, math.Inf(-1), mm) },
	)
}

// SeeSpare takes a quick seen through the horn, so far from the tip as it is now.
func (s *State) SeeSpare(i int, seen measure.Number) {
	s.see(i, spareOf, normally(seen.MM, seen.SD))
}

// SeeGap takes the floor gap of a nail, measured or felt. form is its usual form.
func (s *State) SeeGap(i int, form claw.Claw, seen measure.Number) {
	if seen.By != measure.Feeler {
		s.see(i, toFloorOf, normally(s.growthFrom(i, form, seen.MM), seen.SD))
		return
	}
	least, most := seen.Between()
	if least > claw.TouchGap {
		least = s.growthFrom(i, form, least)
	}
	if most > claw.TouchGap && !math.IsInf(most, 1) {
		most = s.growthFrom(i, form, most)
	}
	s.SeeBetween(i, least, most)
}

// SeeBetween takes that the growth left to the floor lies between two values, mm, with soft edges.
func (s *State) SeeBetween(i int, low, high float64) {
	s.see(i, toFloorOf, func(mean, variance float64) (float64, float64) { return between(mean, variance, low, high) })
}

// growthFrom is the growth, mm, that takes the nail from a gap to the floor, in its form at its mean length.
func (s *State) growthFrom(i int, form claw.Claw, gap float64) float64 {
	length, _ := s.moments(&s.Leaves[i], lengthOf)
	return Reach(form, length, gap)
}

// Reach is the growth, mm, that takes a nail of this form and length from a gap to the floor.
func Reach(form claw.Claw, length, gap float64) float64 {
	grown := form.WithLength(math.Max(length, leastForm*form.Length)).AtGap(gap).GrowthToGap(claw.TouchGap)
	if math.IsInf(grown, 1) { // it would curl round before it got there: as high as it stands
		return gap
	}
	return grown
}

// between is the mean and variance of a normal that is known to lie between two values with soft
// edges, by the trapezoid rule, which for smooth functions is as good as exact.
func between(mean, variance, low, high float64) (float64, float64) {
	const reach, step = 7.0, 0.04
	sd := math.Sqrt(variance)
	from, to := mean-reach*sd, mean+reach*sd
	if !math.IsInf(low, 0) {
		from, to = math.Max(from, low-20*measure.FeelerEdge), math.Max(to, low+20*measure.FeelerEdge)
	}
	if !math.IsInf(high, 0) {
		from, to = math.Min(from, high-20*measure.FeelerEdge), math.Min(to, high+20*measure.FeelerEdge)
	}
	n := int(math.Ceil((to-from)/math.Min(step, sd/8))) + 1
	h := (to - from) / float64(n-1)
	best := math.Inf(-1)
	logs := make([]float64, n)
	for k := range n {
		x := from + float64(k)*h
		z := (x - mean) / sd
		logs[k] = -z*z/2 + softly((x-low)/measure.FeelerEdge) + softly((high-x)/measure.FeelerEdge)
		best = math.Max(best, logs[k])
	}
	sum, first, second := 0.0, 0.0, 0.0
	for k := range n {
		p, x := math.Exp(logs[k]-best), from+float64(k)*h-mean
		sum += p
		first += p * x
		second += p * x * x
	}
	first /= sum
	return mean + first, math.Max(second/sum-first*first, leastVariance)
}

// softly is the log of 1/(1+e^−t).
func softly(t float64) float64 {
	if t > 30 {
		return 0
	}
	return -math.Log1p(math.Exp(-t))
}
