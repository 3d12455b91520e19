package sitting

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/round"
)

// A visit holds more than the middle of what the dog takes: four days in five it is done by then.
func TestAVisitHoldsWhatTheDogTakes(t *testing.T) {
	q := ask(func(*Question) {})
	v := q.Visit()
	today := For(q).Days[0]
	assert.Equal(t, len(today.Stops), v.Nails)
	assert.Greater(t, float64(v.Minutes), today.Minutes.Value)
	assert.LessOrEqual(t, float64(v.Minutes), max(shortest, today.Minutes.High+5))
	assert.LessOrEqual(t, v.CanWait, v.Nails)
	var minutes float64
	for _, use := range v.Kit {
		minutes += use.Minutes
	}
	assert.InDelta(t, today.Minutes.Value, minutes, 1e-9, "each nail by one tool")
	assert.Equal(t, round.NoHelp, v.Help)
	assert.False(t, v.Hard)

	q.Dog.Handling.Helper = dog.Needed
	assert.Equal(t, round.Needed, q.Visit().Help)
	assert.Equal(t, v.Nails, q.Visit().Nails, "it is asked for with whoever it needs")
	q.Dog.Takes = dog.Bites
	assert.True(t, q.Visit().Hard)
}
