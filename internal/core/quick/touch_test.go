package quick

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/estimate"
)

// Conjugate normal update by hand (Gelman et al., Bayesian Data Analysis, 2.5): one nail of ten
// touches that took 4 mm.
func TestATouchIsLearntFromMeasuredNails(t *testing.T) {
	const off = 0.7071067811865476 // two readings of half a millimetre each
	assert.InDelta(t, Touch, LearnTouch(Ground{}).Value, 1e-12)
	assert.Equal(t, estimate.Assumed, LearnTouch(Ground{}.And(1, off, 0)).Source)
	prior, seen := 1/(0.1*0.1), 100/(2*0.25)
	got := LearnTouch(Ground{}.And(4, off, 10))
	assert.InDelta(t, (prior*Touch+seen*0.4)/(prior+seen), got.Value, 1e-12)
	assert.InDelta(t, estimate.Z90/math.Sqrt(prior+seen), got.High-got.Value, 1e-12)
	assert.Equal(t, estimate.Learnt, got.Source)
	assert.Greater(t, LearnTouch(Ground{}.And(-3, off, 30)).Value, 0.0, "a caliper that slipped")
}
