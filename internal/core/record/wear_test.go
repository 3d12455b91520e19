package record

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
)

// A timed sitting's minutes are shared by nails; of one that nobody timed the nails are told.
func TestWhatASittingAsksOfItsKit(t *testing.T) {
	s := Sitting{Records: []Nail{
		{Code: nail.MustParse("LF3"), Item: "blade", Cuts: []float64{1, 1, 0.5}},
		{Code: nail.MustParse("LF4"), Item: "blade", Cuts: []float64{1}, TookForce: true},
		{Code: nail.MustParse("RF3"), Item: "band", Cuts: []float64{0.2}},
		{Code: nail.MustParse("RF4"), Cuts: []float64{1}}, // nobody said with what
		{Code: nail.MustParse("RF5"), Item: "band"},       // left out
		{Code: nail.MustParse("LH3"), Item: "idle"},
	}}
	assert.Equal(t, []kit.Stint{
		{Item: "blade", Cuts: 4, Untimed: 2, TookForce: true}, {Item: "band", Cuts: 1, Untimed: 1}, {Item: "idle"},
	}, s.Stints())
	eight := 8.0
	s.Minutes = &eight
	assert.Equal(t, []kit.Stint{
		{Item: "blade", Cuts: 4, Minutes: 4, TookForce: true}, {Item: "band", Cuts: 1, Minutes: 2}, {Item: "idle"},
	}, s.Stints())
	assert.Empty(t, Sitting{Minutes: &eight}.Stints())
}
