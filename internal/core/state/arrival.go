package state

import (
	"cmp"
	"math"
	"slices"
)

// Count is what was seen of how many nails touch the floor.
type Count int

const (
	NoneTouch Count = iota // not one of them
	SomeTouch              // at least one
	MostTouch              // more than half
)

// SeeTouching takes that so many of some nails touch the floor, seen together and not nail by nail. How likely each
// then touches is worked out from the joint state: given the shared numbers the nails are independent, so at fixed
// points of these the number that touch is a Poisson binomial's. The nails' own numbers move by it, growth and wear do
// not: eighteen nails that say one thing together would teach them eighteen times.
func (s *State) SeeTouching(nails []int, seen Count) {
	if len(nails) == 0 {
		return
	}
	least, most := bounds(seen, len(nails))
	touches, all := make([]float64, len(nails)), 0.0
	root := cholesky(s.Cov)
	for _, point := range points {
		z := s.Mean
		for k := range shared {
			for axis := range k + 1 {
				z[k] += root[k][axis] * point[axis]
			}
		}
		each := make([]float64, len(nails))
		for n, i := range nails {
			each[n] = 1 - s.allClear([]int{i}, z)
		}
		all += within(counts(each, -1), least, most)
		for n, p := range each { // with that nail touching, one fewer is asked of the others
			touches[n] += p * within(counts(each, n), least-1, most-1)
		}
	}
	if all <= against {
		s.seeAgainstBelief(nails, least, most)
		return
	}
	for n, i := range nails {
		p := math.Min(1, touches[n]/all)
		s.consider(i, toFloorOf, func(mean, variance float64) (float64, float64) {
			down, downVar := between(mean, variance, math.Inf(-1), 0)
			up, upVar := between(mean, variance, 0, math.Inf(1))
			m := p*down + (1-p)*up
			return m, p*(downVar+(down-m)*(down-m)) + (1-p)*(upVar+(up-m)*(up-m))
		})
	}
}

// seeAgainstBelief takes a count that nobody would have believed: what was seen stands. The nails that were likeliest
// to touch do, as many as it takes; where fewer may, the others do not.
func (s *State) seeAgainstBelief(nails []int, least, most int) {
	order := slices.Clone(nails)
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(s.MayTouch(b), s.MayTouch(a)) })
	for n, i := range order {
		s.consider(i, toFloorOf, func(mean, variance float64) (float64, float64) {
			switch {
			case n < least:
				mean = math.Min(mean, -justSeen)
			case n >= most:
				mean = math.Max(mean, justSeen)
			}
			return mean, variance
		})
	}
}

// bounds are how many of n touch, at least and at most.
func bounds(seen Count, n int) (least, most int) {
	switch seen {
	case NoneTouch:
		return 0, 0
	case SomeTouch:
		return 1, n
	default:
		return n/2 + 1, n
	}
}

// counts are the chances that so many of independent events come true, but for one of them.
func counts(chances []float64, but int) []float64 {
	p := []float64{1}
	for k, c := range chances {
		if k == but {
			continue
		}
		next := make([]float64, len(p)+1)
		for n, before := range p {
			next[n] += before * (1 - c)
			next[n+1] += before * c
		}
		p = next
	}
	return p
}

func within(p []float64, least, most int) float64 {
	sum := 0.0
	for n := max(0, least); n <= most && n < len(p); n++ {
		sum += p[n]
	}
	return sum
}
