package state_test

import (
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/state"
	"fribbet/internal/core/virtual"
)

// How many nails touch, seen in one look before the first cut, makes the floor better known and never wrong: on drawn
// dogs the ranges hold as before, and what is believed of how many touch moves to what was seen. It teaches no growth.
func TestWhatIsSeenAtArrival(t *testing.T) {
	r := rand.New(rand.NewPCG(29, 1))
	var before, after held
	offBefore, offAfter := 0.0, 0.0
	for k := range coveredDogs {
		where := growth.Where{Age: 80 + 3*float64(k), Weight: 3 + 0.44*float64(k), Pavement: float64(k % 12)}
		ago := float64(k % 7)
		d, s := virtual.Draw(r, virtual.World{}, where, eighteen(), &ago), state.Prior(where, eighteen(), &ago)
		var toes []int
		down := 0
		for i, n := range d.Nails {
			if n.Code.Dewclaw() {
				continue
			}
			toes = append(toes, i)
			if n.Length >= n.Floor {
				down++
			}
			before.count(n.Floor-n.Length, s.ToFloor(i))
		}
		expected := func() (sum float64) {
			for _, i := range toes {
				sum += s.MayTouch(i)
			}
			return sum
		}
		offBefore += abs(expected() - float64(down))
		seen := state.SomeTouch
		switch {
		case down == 0:
			seen = state.NoneTouch
		case 2*down > len(toes):
			seen = state.MostTouch
		}
		rate := s.Rate(toes[0], where)
		s.SeeTouching(toes, seen)
		assert.InDelta(t, rate.Mean, s.Rate(toes[0], where).Mean, 1e-9)
		offAfter += abs(expected() - float64(down))
		for _, i := range toes {
			after.count(d.Nails[i].Floor-d.Nails[i].Length, s.ToFloor(i))
		}
		assert.True(t, s.Sound())
	}
	t.Logf(
		"to the floor holds %.1f before, %.1f after; nails that touch: %.1f off before, %.1f after",
		before.share(),
		after.share(),
		offBefore/coveredDogs,
		offAfter/coveredDogs,
	)
	assert.GreaterOrEqual(t, after.share(), 86.0)
	assert.Less(t, offAfter, 0.97*offBefore, "a little, since some touch on most dogs")
}

// What was seen stands, however little was believed of it.
func TestAnArrivalAgainstAllBelief(t *testing.T) {
	ago := 0.0
	where := growth.Where{Age: 200, Weight: 20, Pavement: 5}
	s := state.Prior(where, eighteen(), &ago)
	var toes []int
	for i, n := range s.Nails {
		if n.Code.Dewclaw() {
			continue
		}
		toes = append(toes, i)
		gap := measure.Gap.Told(2, measure.Caliper, 0.05)
		s.SeeGap(i, claw.Assumed(n.Code, n.Shape, where.Weight), gap)
	}
	before := s.Spare(toes[0]).Mean
	s.SeeTouching(toes, state.MostTouch)
	down := 0
	for _, i := range toes {
		if s.ToFloor(i).Mean <= 0 {
			down++
		}
	}
	assert.Greater(t, down, len(toes)/2)
	assert.GreaterOrEqual(t, s.Spare(toes[0]).Mean, before, "a nail that touches is longer than was believed")
	assert.True(t, s.Sound())
}

func abs(x float64) float64 { return max(x, -x) }
