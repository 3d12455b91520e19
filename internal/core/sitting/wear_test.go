package sitting

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
)

// A timed sitting's minutes are shared by nails; of one that nobody timed the nails are told.
func TestWhatASittingAsksOfItsKit(t *testing.T) {
	s := dog.Sitting{Records: []dog.Record{
		{Code: *of("LF3"), Item: "blade", Cuts: []float64{1, 1, 0.5}},
		{Code: *of("LF4"), Item: "blade", Cuts: []float64{1}, TookForce: true},
		{Code: *of("RF3"), Item: "band", Cuts: []float64{0.2}},
		{Code: *of("RF4"), Cuts: []float64{1}}, // nobody said with what
		{Code: *of("RF5"), Item: "band"},       // left out
		{Code: *of("LH3"), Item: "idle"},
	}}
	assert.Equal(t, []kit.Stint{
		{Item: "blade", Cuts: 4, Untimed: 2, TookForce: true}, {Item: "band", Cuts: 1, Untimed: 1}, {Item: "idle"},
	}, Stints(s))
	eight := 8.0
	s.Minutes = &eight
	assert.Equal(t, []kit.Stint{
		{Item: "blade", Cuts: 4, Minutes: 4, TookForce: true}, {Item: "band", Cuts: 1, Minutes: 2}, {Item: "idle"},
	}, Stints(s))
	assert.Empty(t, Stints(dog.Sitting{Minutes: &eight}))
}
