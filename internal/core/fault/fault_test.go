package fault

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestRangeRefusesWhatLiesOutsideAndWhatIsNoNumber(t *testing.T) {
	var f Fields
	for _, good := range []float64{0, 1, 5} {
		f.Range("gap_mm", good, 0, 5, "mm")
	}
	assert.NoError(t, f.Err())
	for _, bad := range []float64{-0.1, 5.1, math.NaN(), math.Inf(1)} {
		f.Range("gap_mm", bad, 0, 5, "mm")
	}
	assert.Len(t, f, 4)
	assert.Contains(t, f.Err().Error(), "gap_mm: must be from 0 to 5 mm (got -0.1)")
}

func TestUnderNamesTheWholePath(t *testing.T) {
	var inner, outer Fields
	inner.Add("code", "LF9", "must be a nail")
	outer.Under("nails[2]", inner)
	assert.Equal(t, Fields{{"nails[2].code", "LF9", "must be a nail"}}, outer)
}
