package hand_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/measure"
)

func read(sd float64, mm ...float64) []measure.Number {
	all := make([]measure.Number, len(mm))
	for i, x := range mm {
		all[i] = measure.Number{MM: x, By: measure.Photo, SD: sd}
	}
	return all
}

func TestAHandThatWasNotMeasuredIsAsMostAre(t *testing.T) {
	var s hand.Slices
	assert.False(t, s.Measured())
	assert.Equal(t, 1.5, s.True(1.5))
	assert.Equal(t, 1.5, s.Reckoned(1.5))
	assert.InDelta(t, math.Sqrt(0.15*0.15+0.22*0.22), s.SD(1), 1e-12, "common practice, no source")
}

func TestTenSlicesAreWorkedByHand(t *testing.T) {
	// Mean 1.3, squares about it 0.1 together: own variance 0.1/9; with five of most hands' 0.0709 for 14 of freedom
	// 0.03247, a standard deviation of 0.180.
	mm := []float64{1.2, 1.4, 1.2, 1.4, 1.2, 1.4, 1.2, 1.4, 1.2, 1.4}
	l, err := hand.Learn(1, read(0, mm...))
	require.NoError(t, err)
	assert.InDelta(t, 0.1802, l.Spread.Value, 0.0005)
	// Its error is 0.1802²/10 = 0.00325 beside 0.0625 of most hands: (1.3·0.0625 + 1·0.00325)/0.06575.
	assert.InDelta(t, 1.2852, l.Times.Value, 0.0005)
	assert.Equal(t, 10, l.Count)
	assert.InDelta(t, 2*1.2852, l.Slices.True(2), 0.005)
	assert.InDelta(t, l.Slices.True(1), l.Slices.Reckoned(1), 1e-12, "steadier than most: nothing more is reckoned")
	wild, err := hand.Learn(1, read(0, 0.5, 2.1, 0.6, 2, 0.5, 2.1, 0.7, 2, 0.5, 2))
	require.NoError(t, err)
	assert.Greater(t, wild.Slices.Reckoned(1), wild.Slices.True(1)+0.3)
}

// The quantiles of chi-square that the range of the spread is worked out with, as published: NIST/SEMATECH e-Handbook
// of Statistical Methods, table 1.3.6.7.4.
func TestChiSquareIsAsPublished(t *testing.T) {
	for freedom, want := range map[float64][2]float64{9: {3.325, 16.919}, 14: {6.571, 23.685}} {
		chi := distuv.ChiSquared{K: freedom}
		assert.InDelta(t, want[0], chi.Quantile(0.05), 0.001)
		assert.InDelta(t, want[1], chi.Quantile(0.95), 0.001)
	}
}

// Hands drawn as the program takes them to be: the ranges hold nine times in ten, and the mean says how thick a hand
// truly cuts better than what most hands do.
func TestRangesOfHandsHold(t *testing.T) {
	r := rand.New(rand.NewPCG(27, 5))
	const hands, off = 2000, 0.14 // mm of a picture's edge
	inTimes, inSpread, before, after := 0, 0, 0.0, 0.0
	for range hands {
		times := 1 + 0.25*r.NormFloat64()
		spread := math.Hypot(0.15, 0.22) * math.Exp(0.3*r.NormFloat64())
		var mm []float64
		for range 10 {
			mm = append(mm, math.Max(0.13, times+spread*r.NormFloat64()+off*r.NormFloat64()))
		}
		l, err := hand.Learn(1, read(off, mm...))
		if err != nil {
			continue
		}
		inTimes += in(l.Times, times)
		inSpread += in(l.Spread, spread)
		before += math.Abs(times - 1)
		after += math.Abs(times - l.Times.Value)
	}
	t.Logf(
		"how thick %.1f %%, how even %.1f %%; off by %.2f before, %.2f after",
		100*float64(inTimes)/hands,
		100*float64(inSpread)/hands,
		before/hands,
		after/hands,
	)
	assert.InDelta(t, 0.9, float64(inTimes)/hands, 0.03)
	assert.InDelta(t, 0.9, float64(inSpread)/hands, 0.06)
	assert.Less(t, after, 0.5*before)
}

func in(e estimate.Estimate, x float64) int {
	if e.Low <= x && x <= e.High {
		return 1
	}
	return 0
}

func TestSlicesThatTellNothingAreRefusedByName(t *testing.T) {
	for name, c := range map[string]struct {
		meant float64
		mm    []float64
		field string
	}{
		"four":           {1, []float64{1, 1, 1, 1}, "slices"},
		"none":           {1, nil, "slices"},
		"one is a stick": {1, []float64{1, 1, 1, 1, 40}, "slices[4]"},
		"not that thick": {0.5, []float64{2, 2, 2, 2, 2}, "meant_mm"},
		"meant nothing":  {0, []float64{1, 1, 1, 1, 1}, "meant_mm"},
		"no number":      {math.NaN(), []float64{1, 1, 1, 1, 1}, "meant_mm"},
		"no slice":       {1, []float64{1, 1, 1, 1, math.NaN()}, "slices[4]"},
	} {
		t.Run(name, func(t *testing.T) {
			_, err := hand.Learn(c.meant, read(0.1, c.mm...))
			var f fault.Fields
			require.ErrorAs(t, err, &f)
			assert.Equal(t, c.field, f[0].Name)
		})
	}
}
