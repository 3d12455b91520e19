package feet

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/record"
)

// A dog that clicks has a nail on the floor; where somebody looked which touch, that says more.
func TestAClickCountsWhereNobodyLooked(t *testing.T) {
	after := func(a record.Arrival) []float64 {
		f := FeetAfter(plain(), nil, record.WalkRound{On: today})
		f.Arrive(a)
		var all []float64
		for i := range f.Nails {
			all = append(all, f.state.ToFloor(i).Mean)
		}
		return all
	}
	assert.NotEqual(t, after(record.Arrival{}), after(record.Arrival{Clicks: true}))
	assert.Equal(t,
		after(record.Arrival{Touching: record.Some}),
		after(record.Arrival{Touching: record.Some, Clicks: true}))
}
