package estimate

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// The 95 % score intervals that Newcombe 1998 (Two-sided confidence intervals for the single proportion, Statistics in
// Medicine 17, table I) prints.
func TestShareAgreesWithAPublishedTable(t *testing.T) {
	const z95 = 1.959963984540054
	for _, one := range []struct {
		k, n      int
		low, high float64
	}{{81, 263, 0.2553, 0.3662}, {15, 148, 0.0624, 0.1605}, {0, 20, 0, 0.1611}, {1, 29, 0.0061, 0.1718}} {
		got := Share(one.k, one.n, z95)
		assert.InDelta(t, one.low, got.Low, 0.00005)
		assert.InDelta(t, one.high, got.High, 0.00005)
	}
	assert.Equal(t, Estimate{0, 0, 1, Assumed}, Share(0, 0, z95), "of nothing seen nothing is known")
}
