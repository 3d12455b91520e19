package hindsight

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/stat/distuv"
	"pgregory.net/rapid"

	"fribbet/internal/core/date"
)

// The closed form against its own integral, and at the mean, where it is σ(√2−1)/√π (Gneiting & Raftery 2007).
func TestCRPSIsItsIntegral(t *testing.T) {
	assert.InDelta(t, 2*(math.Sqrt2-1)/math.Sqrt(math.Pi), CRPS(5, 2, 5), 1e-12)
	for _, seen := range []float64{-3, 0.5, 4} {
		n, sum := distuv.Normal{Mu: 1, Sigma: 1.5}, 0.0
		for x := -20.0; x < 20; x += 0.001 {
			step := 0.0
			if x >= seen {
				step = 1
			}
			sum += math.Pow(n.CDF(x)-step, 2) * 0.001
		}
		assert.InDelta(t, sum, CRPS(1, 1.5, seen), 1e-3)
	}
	assert.Equal(t, 2.0, CRPS(1, 0, 3), "without a range it is how far off it was")
}

// Equal chances are a binomial.
func TestExpectedIsABinomialOfEqualChances(t *testing.T) {
	var equal sum
	for range 400 {
		equal.take(0.02)
	}
	e, b := equal.expected(), distuv.Binomial{N: 400, P: 0.02}
	assert.InDelta(t, 8, e.Value, 1e-9)
	assert.GreaterOrEqual(t, b.CDF(e.Low), 0.05)
	assert.Less(t, b.CDF(e.Low-1), 0.05)
	assert.GreaterOrEqual(t, b.CDF(e.High), 0.95)
	assert.Less(t, b.CDF(e.High-1), 0.95)
	assert.Zero(t, (&sum{}).expected().High)
}

// Of many the normal stands for the sum, and where few are to happen a Poisson: both against the exact binomial.
func TestExpectedOfManyIsAboutTheExact(t *testing.T) {
	for _, p := range []float64{0.002, 0.3} {
		var many sum
		for range 5000 {
			many.take(p)
		}
		e, b := many.expected(), distuv.Binomial{N: 5000, P: p}
		assert.InDelta(t, 0.05, b.CDF(e.Low), 0.06)
		assert.InDelta(t, 0.95, b.CDF(e.High), 0.04)
	}
}

// What was summed in two parts is what it is summed at once, few or many.
func TestPartsAddUpToTheWhole(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		chances := rapid.SliceOfN(rapid.Float64Range(0, 1), 0, exactly+20).Draw(t, "chances")
		at := rapid.IntRange(0, len(chances)).Draw(t, "parted at")
		var whole, first, second sum
		for i, p := range chances {
			whole.take(p)
			if i < at {
				first.take(p)
			} else {
				second.take(p)
			}
		}
		first.add(second)
		assert.Equal(t, whole.N, first.N)
		assert.InDelta(t, whole.Mean, first.Mean, 1e-9)
		assert.InDelta(t, whole.Variance, first.Variance, 1e-9)
		assert.Len(t, first.Few, len(whole.Few))
	})
	one := Taken{1, 18, 20, 19, 25, 24, 24}
	assert.Equal(t, Taken{2, 36, 40, 38, 50, 48, 48}, one.And(one))
}

// What was said of two dogs is the sum of both, and its means are of all their cuts; quarters likewise, by their days.
func TestTogetherIsTheSumOfEach(t *testing.T) {
	one, other := blank(), blank()
	one.Cuts.Bins[0] = Bin{UpTo: one.Cuts.Bins[0].UpTo, Cuts: 10, Bled: 1, Said: 0.1}
	other.Cuts.Bins[0] = Bin{UpTo: one.Cuts.Bins[0].UpTo, Cuts: 30, Bled: 2, Said: 0.02}
	one.Cuts.Brier, other.Cuts.Brier, one.Cuts.Plain, other.Cuts.Plain = 0.2, 0.04, 0.3, 0.1
	both := Together([]Report{one, other}).Cuts
	assert.Equal(t, []int{40, 3}, []int{both.Bins[0].Cuts, both.Bins[0].Bled})
	assert.InDelta(t, (10*0.1+30*0.02)/40, both.Bins[0].Said, 1e-9)
	assert.InDelta(t, (10*0.2+30*0.04)/40, both.Brier, 1e-9)
	assert.InDelta(t, (10*0.3+30*0.1)/40, both.Plain, 1e-9)

	first, second := date.MustParse("2026-07-01"), date.MustParse("2026-10-01")
	calm := func(m float64) *float64 { return &m }
	quarters := QuartersTogether([][]Quarter{
		{{From: second, Trims: 1, Nails: 18, Bled: 1, Looked: 1, Dated: 1, Kept: 1, Calm: calm(4), Noted: 1}},
		{
			{From: first, Trims: 2},
			{From: second, Trims: 3, Nails: 40, Bled: 2, Looked: 2, Touched: 1, Dated: 3, Calm: calm(1), Noted: 2},
		},
	})
	assert.Equal(t, []Quarter{
		{From: first, Trims: 2},
		{From: second, Trims: 4, Nails: 58, Bled: 3, Looked: 3, Touched: 1, Dated: 4, Kept: 1, Calm: calm(2), Noted: 3},
	}, quarters)
}
