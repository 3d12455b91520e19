package quick

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/integrate/quad"
	"gonum.org/v1/gonum/stat/distuv"
	"pgregory.net/rapid"
)

func TestWeeksToIsTheInverseOfAfter(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := Drift{rapid.Float64Range(0.1, 2).Draw(t, "rate"), 0, UsualFollow(rapid.Float64Range(0.5, 1.6).Draw(t, "size"))}
		start := rapid.Float64Range(0, 3).Draw(t, "start")
		goal := rapid.Float64Range(0, 5).Draw(t, "goal")
		weeks := d.WeeksTo(start, goal)
		if math.IsInf(weeks, 1) || weeks == 0 {
			return
		}
		if got := d.After(Spare{Mean: start}, weeks).Mean; math.Abs(got-goal) > 1e-9 {
			t.Fatalf("after %v weeks the spare is %v, not %v", weeks, got, goal)
		}
	})
}

// Against gonum's normal distribution: the mean of what lies beyond the cut, integrated.
func TestDryCutAgreesWithTheNormalCutOff(t *testing.T) {
	s := Spare{3.5, 1.68}
	got := s.CutDry(2.5)
	n := distuv.Normal{Mu: s.Mean, Sigma: s.SD}
	left := 1 - n.CDF(2.5)
	mean := quad.Fixed(func(x float64) float64 { return (x - 2.5) * n.Prob(x) / left }, 2.5, 20, 400, nil, 0)
	square := quad.Fixed(func(x float64) float64 { return (x - 2.5) * (x - 2.5) * n.Prob(x) / left }, 2.5, 20, 400, nil, 0)
	assert.InDelta(t, mean, got.Mean, 1e-9)
	assert.InDelta(t, math.Sqrt(square-mean*mean), got.SD, 1e-9)
	assert.InDelta(t, n.CDF(2.5), s.Risk(2.5), 1e-12)
}

func TestADryCutNeverMakesTheQuickLookNearer(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := Spare{rapid.Float64Range(0, 6).Draw(t, "mean"), rapid.Float64Range(0.05, 2).Draw(t, "sd")}
		cut := rapid.Float64Range(0, 8).Draw(t, "cut")
		left := s.CutDry(cut)
		if left.Mean <= 0 || left.SD <= 0 || left.Mean < s.Mean-cut {
			t.Fatalf("%+v cut by %v leaves %+v", s, cut, left)
		}
		if s.Risk(cut) > s.Risk(cut+0.1) {
			t.Fatal("a larger cut risked less")
		}
	})
}

func TestSeeingTheQuickOverrulesTheAssumption(t *testing.T) {
	got := Assumed(14).Seen(2)
	assert.InDelta(t, 2, got.Mean, 0.1)
	assert.Less(t, got.SD, 0.4)
	low, high := Bled(1).Range()
	assert.Zero(t, low)
	assert.Less(t, high, 0.5)
}
