package estimate_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/estimate"
)

// The range of a normal is its middle nine tenths, and At80 its 80th percentile, both against gonum's normal.
func TestARangeIsANormals(t *testing.T) {
	n := distuv.Normal{Mu: 12, Sigma: 1.5}
	e := estimate.Normal(12, 1.5, estimate.Learnt)
	assert.InDelta(t, n.Quantile(0.05), e.Low, 1e-9)
	assert.InDelta(t, n.Quantile(0.95), e.High, 1e-9)
	assert.InDelta(t, n.Quantile(0.8), e.At80(), 1e-9)
	assert.Zero(t, estimate.Normal(1, 2, estimate.Learnt).Low, "no length is below 0")
}

// A sum is at its widest: both ends add up.
func TestSumsAndBounds(t *testing.T) {
	a, b := estimate.Estimate{
		Value: 5,
		Low:   3,
		High:  8,
	}, estimate.Estimate{
		Value:  2,
		Low:    1,
		High:   4,
		Source: estimate.Told,
	}
	assert.Equal(t, estimate.Estimate{Value: 7, Low: 4, High: 12, Source: estimate.Told}, a.Plus(b))
	assert.Equal(t, estimate.Estimate{Value: 5, Low: 4, High: 8}, a.AtLeast(estimate.Exactly(4)))
	assert.Equal(t, estimate.Estimate{Value: 9, Low: 9, High: 9}, a.AtLeast(estimate.Exactly(9)))
	assert.Equal(t, estimate.Estimate{Value: 10, Low: 6, High: 16}, a.Times(2))
}
