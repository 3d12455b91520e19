package units

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// 1/16 inch is 1.5875 mm exactly (international yard and pound agreement of 1959).
func TestSixteenthOfAnInch(t *testing.T) {
	assert.Equal(t, 1.5875, MillimetresPerInch/16)
	assert.InDelta(t, 0.0625, 1.5875*Inch.Display().PerStored, 1e-15)
}

// 30 lb splits small from large clippers: 13.6 kg (common practice, no source).
func TestThirtyPounds(t *testing.T) {
	assert.InDelta(t, 13.6, 30*KilogramsPerPound, 0.01)
	assert.InDelta(t, 30, 13.60777*Pound.Display().PerStored, 1e-4)
}
