package measure

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/fault"
	"fribbet/internal/words/wordstest"
)

// What nobody said of a number is what is usual of it, and stays once it was said.
func TestANumberSaysWhatItWasReadWith(t *testing.T) {
	assert.Equal(t, Number{12, Caliper, 0.5}, Length.Told(12, "", 0))
	assert.Equal(t, Number{12, Eye, 1.5}, Length.Told(12, Eye, 0))
	assert.Equal(t, Number{12, Caliper, 0.1}, Length.Told(12, Caliper, 0.1))
	assert.Equal(t, Number{1.3, Caliper, 0.2}, Gap.Told(1.3, "", 0))
	assert.Equal(t, Number{0.76, Feeler, FeelerEdge}, Gap.Told(0.76, "", 0), "exactly a bank card: it was felt")
	assert.Equal(t, Number{0.76, Caliper, 0.2}, Gap.Told(0.76, Caliper, 0), "unless somebody says that it was measured")
	assert.Equal(t, Number{2, Eye, 0.4}, Quick.Told(2, "", 0))
	for _, what := range []What{Length, Gap, Quick} {
		for _, by := range []Means{"", Caliper, Feeler, Eye} {
			told := what.Told(3, by, 0)
			assert.Equal(t, told, what.Told(told.MM, told.By, told.SD), "once said, it stays")
		}
	}
}

func TestWhatCannotHaveReadANumberIsRefused(t *testing.T) {
	for want, n := range map[string]struct {
		Number
		what What
	}{
		"means.by: must be one of caliper, eye, photo for a length (got feeler)":   {Number{12, Feeler, 0.1}, Length},
		"means.by: must be one of caliper, feeler, eye, photo for a gap (got paw)": {Number{1, "paw", 1}, Gap},
		"means.sd_mm: must be from 0.05 to 5 mm (got 0.01)":                        {Number{12, Caliper, 0.01}, Length},
		"means.sd_mm: must be from 0.05 to 5 mm (got NaN)":                         {Number{12, Caliper, math.NaN()}, Length},
		"means.sd_mm: must be left out: a feeler passes or does not (got 0.5)":     {Number{0.1, Feeler, 0.5}, Gap},
		"": {Number{12, Caliper, 5}, Length},
	} {
		var f fault.Fields
		n.Check(&f, "means", n.what)
		assert.Equal(t, want, wordstest.Err(f))
	}
}

// A feeler that passes says at least; the next thicker one that does not says at most.
func TestAFeelerLiesBetween(t *testing.T) {
	for under, want := range map[Under][2]float64{
		Touches: {math.Inf(-1), 0}, Paper: {0.1, 0.76}, Card: {0.76, math.Inf(1)},
	} {
		least, most := under.Number().Between()
		assert.Equal(t, want, [2]float64{least, most}, under)
	}
	least, most := Gap.Told(2.2, Feeler, 0).Between()
	assert.Equal(t, [2]float64{2.2, math.Inf(1)}, [2]float64{least, most}, "a coin that passes")
}
