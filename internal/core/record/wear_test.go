package record

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
)

// A timed sitting's minutes are shared by what nails and their cuts take of a practised hand; of one that nobody timed
// the nails are told.
func TestWhatASittingAsksOfItsKit(t *testing.T) {
	s := Sitting{Records: []NailRecord{
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
	for i := range s.Records {
		s.Records[i].Tool = kit.LargePlier
	}
	s.Records[2].Tool = kit.GrinderBand
	whole := 4*5.0 + 5*2.9 + 2.0 // four nails, five cuts and a touch
	stints := s.Stints()
	assert.InDelta(t, 8*(2*5+4*2.9)/whole, stints[0].Minutes, 1e-9)
	assert.InDelta(t, 8*(5+2.0)/whole, stints[1].Minutes, 1e-9)
	assert.Zero(t, stints[2].Minutes)
	assert.True(t, stints[0].TookForce)

	s.Records[0].Ground = &Ground{Tool: kit.GrinderBand, Item: "band", Touches: []float64{0.2, 0.2}}
	ground := s.Stints()
	assert.InDelta(
		t,
		8,
		ground[0].Minutes+ground[1].Minutes+8*(5+2.9)/(whole+5+3*2),
		1e-9,
		"all of the sitting, with the nail that nobody said with what",
	)
	assert.Equal(t, 4.0, ground[1].Cuts, "a touch, and what a nail takes to be ground round")
	assert.InDelta(t, 2.9, s.Records[0].Removed(), 1e-9, "a second pass that shortens says by how much")
	assert.Empty(t, Sitting{Minutes: &eight}.Stints())
}
