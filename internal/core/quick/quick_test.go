package quick

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/stat/distuv"
	"pgregory.net/rapid"

	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
)

func TestWeeksToIsTheInverseOfAfter(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := Drift{
			rapid.Float64Range(0.1, 2).Draw(t, "rate"),
			0,
			UsualFollow(rapid.Float64Range(0.5, 1.6).Draw(t, "size")),
		}
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

func TestARiskIsTheNormalsTail(t *testing.T) {
	s := Spare{3.5, 1.68}
	assert.InDelta(t, distuv.Normal{Mu: s.Mean, Sigma: s.SD}.CDF(2.5), s.Risk(2.5), 1e-12)
}

// A gamma of the same mean and deviation is gonum's, and never below 0.
func TestAGammaIsTheTextbooks(t *testing.T) {
	g := Gamma{3.2, 1.5}
	textbook := distuv.Gamma{Alpha: g.Mean * g.Mean / (g.SD * g.SD), Beta: g.Mean / (g.SD * g.SD)}
	at := textbook.Prob(g.Mean)
	grid := make([]float64, 180)
	g.densities(grid)
	for i, got := range grid {
		assert.InDelta(t, textbook.Prob(math.Max(spareAt(i), leastSpare))/at, got, 1e-9)
	}
}

// A hand that has nobody to ask stops at the first sign and at all that is worse.
func TestStoppingFacesAreTheFirstSignAndWorse(t *testing.T) {
	for _, f := range Faces(nail.Unknown) {
		assert.Equal(t, f.FirstSign() || f.Ends(), slices.Contains(Stopping(), f), f)
	}
}

// 1.6449 standard deviations to each side hold the middle 90 % of a normal (NIST/SEMATECH handbook, 1.3.6.7.1).
func TestTheRangeOfASpare(t *testing.T) {
	low, high := Spare{Mean: 3, SD: 0.5}.Range()
	assert.InDelta(t, 2.1776, low, 1e-4)
	assert.InDelta(t, 3.8224, high, 1e-4)
	low, _ = Spare{Mean: 0.5, SD: 1}.Range()
	assert.Zero(t, low, "a spare is not below nothing")
}

// At the break-even interval a quick comes back to where it was, and it grows at any longer one.
func TestAtBreakEvenTheQuickComesBack(t *testing.T) {
	d := Drift{Rate: 0.7, Follow: UsualFollow(1)}
	left := d.Rest / 2
	weeks := d.BreakEven(left)
	assert.Positive(t, weeks)
	assert.InDelta(t, 0, d.Move(left, weeks), 1e-6)
	assert.Negative(t, d.Move(left, 0.9*weeks))
	assert.Positive(t, d.Move(left, 1.1*weeks))
	assert.Zero(t, d.BreakEven(d.Rest), "where so much is left it never draws back")
}

// A mark is as sharp as is usual of it, unless whoever saw it said otherwise.
func TestAMarkIsAsSharpAsItIs(t *testing.T) {
	assert.InDelta(t, landmarkSD[Groove], Groove.Number(3, measure.Eye, 0).SD, 1e-9)
	assert.InDelta(t, 0.3, Groove.Number(3, measure.Eye, 0.3).SD, 1e-9)
}
