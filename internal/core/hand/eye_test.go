package hand_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/hand"
)

// What an eye takes for a milder face sets the care only once it named enough, and did so more often than most do
// (judgement; twenty ends of most eyes count beside its own).
func TestAnEyeSetsTheCareOnceItNamedEnough(t *testing.T) {
	for _, c := range []struct {
		eye  hand.Eye
		want float64
	}{
		{hand.Eye{}, 0},
		{hand.Eye{Asked: hand.EyeAsked - 1, Milder: 30}, 0},
		{hand.Eye{Asked: 100, Milder: 3}, 0},
		{hand.Eye{Asked: 100, Milder: 11}, 0.1},
		{hand.Eye{Asked: 100, Milder: 32}, 0.3},
		{hand.Eye{Asked: 100, Milder: 100}, 0.5},
	} {
		assert.InDelta(t, c.want, c.eye.Share(), 1e-9, "%+v", c.eye)
		assert.InDelta(t, 100*c.want, c.eye.Of100(), 1e-9)
	}
	assert.True(t, hand.Slices{Milder: 0.1}.Known())
	assert.False(t, hand.Slices{Milder: 0.1}.Measured(), "how thick it cuts nobody measured")
	assert.Contains(t, hand.Slices{Milder: 0.7}.Check().Error(), "milder")
}
