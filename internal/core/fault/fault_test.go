package fault_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/units"
	"fribbet/internal/words"
	"fribbet/internal/words/wordstest"
)

func TestRangeRefusesWhatLiesOutsideAndWhatIsNoNumber(t *testing.T) {
	var f fault.Fields
	for _, good := range []float64{0, 1, 5} {
		f.Range("gap_mm", good, 0, 5, fault.MM)
	}
	assert.NoError(t, f.Err())
	for _, bad := range []float64{-0.1, 5.1, math.NaN(), math.Inf(1)} {
		f.Range("gap_mm", bad, 0, 5, fault.MM)
	}
	assert.Len(t, f, 4)
	assert.Contains(t, wordstest.Err(f.Err()), "gap_mm: must be from 0 to 5 mm (got -0.1)")
	assert.Contains(
		t,
		words.In(words.Units{Length: units.Inch}, "en").Refused(f),
		"gap_mm: must be from 0 to 0.197 in (got -0.004)",
		"in the user's unit",
	)
}

func TestUnderNamesTheWholePath(t *testing.T) {
	var inner, outer fault.Fields
	inner.Add("code", "LF9", fault.SomeNail())
	outer.Under("nails[2]", inner)
	assert.Equal(t, fault.Fields{{Name: "nails[2].code", Value: "LF9", Want: fault.SomeNail()}}, outer)
}

func TestALineNamesAFewAndCountsTheRest(t *testing.T) {
	var f fault.Fields
	for range fault.MostInLine {
		f.Add("code", "LF9", fault.SomeNail())
	}
	assert.NotContains(t, f.Error(), "more")
	f.Add("code", "LF9", fault.SomeNail())
	f.Add("code", "LF9", fault.SomeNail())
	assert.Contains(t, f.Error(), "and 2 more")
}
