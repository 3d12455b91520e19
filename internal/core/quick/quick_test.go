package quick

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/integrate/quad"
	"gonum.org/v1/gonum/stat/distuv"
	"pgregory.net/rapid"
)

// The worked example of docs/model.md, section E: net 1 mm a week, 1 mm left, a dog of 20 kg.
// The quick's own move is what the nail grew less what the spare gained.
func TestWorkedExampleOfTheDrift(t *testing.T) {
	d := NewDrift(1, 0, 1)
	for weeks, move := range map[float64]float64{1: -0.142, 2: -0.175, 4: +0.044, 3.76: 0} {
		got := weeks*d.Rate - (d.After(Spare{Mean: 1}, weeks).Mean - 1)
		assert.InDelta(t, move, got, 0.001, "%v weeks", weeks)
	}
}

// Weekly and fortnightly draw the quick back, six weeks grows it out (common practice, no source).
func TestDriftFollowsCommonPractice(t *testing.T) {
	d := NewDrift(1, 0, 1)
	move := func(weeks float64) float64 { return weeks*d.Rate - (d.After(Spare{Mean: 1}, weeks).Mean - 1) }
	assert.Less(t, move(1), 0.0)
	assert.Less(t, move(2), 0.0)
	assert.InDelta(t, 0, move(4), 0.1)
	assert.Greater(t, move(6), 0.3)
}

// The closed form against gonum's quadrature of the differential equation's own right side.
func TestDriftSolvesItsEquation(t *testing.T) {
	d := NewDrift(0.8, 0, 1.3)
	slope := func(week float64) float64 {
		return d.Rate - pull*(d.After(Spare{Mean: 0.7}, week).Mean-d.Rest)
	}
	gained := quad.Fixed(slope, 0, 5, 20, nil, 0)
	assert.InDelta(t, d.After(Spare{Mean: 0.7}, 5).Mean, 0.7+gained, 1e-9)
}

func TestWeeksToIsTheInverseOfAfter(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := NewDrift(rapid.Float64Range(0.1, 2).Draw(t, "rate"), 0, rapid.Float64Range(0.5, 1.6).Draw(t, "size"))
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
