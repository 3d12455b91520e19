package state_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/state"
)

// A light nail whose quick was seen, through the horn or by a torch, says how much spare the dark ones have that nobody
// has worked: the same share of their length. A groove is no quick seen, and a dark nail says nothing of the kind.
func TestALightNailsQuickSpeaksForTheDarkOnes(t *testing.T) {
	grown := growth.Where{Age: 200, Weight: 22, Pavement: 5}
	share := func(colour nail.Colour, mark quick.Landmark) float64 {
		nails := []state.Traits{
			{Code: nail.Code{Paw: nail.LF, Digit: 3}, Colour: colour, Shape: nail.Usual},
			{Code: nail.Code{Paw: nail.RF, Digit: 3}, Colour: nail.Dark, Shape: nail.Usual},
		}
		s := state.Prior(grown, nails, nil)
		s.Work(
			0,
			claw.Assumed(nails[0].Code, nail.Usual, grown.Weight),
			state.Work{Landmarks: []quick.Seen{{Mark: mark, Spare: 6}}},
		)
		return s.Spare(1).Mean / s.Length(1).Mean
	}
	untold := share(nail.Dark, quick.Groove)
	for _, mark := range []quick.Landmark{quick.SeenThrough, quick.ByTorch} {
		assert.Greater(t, share(nail.Light, mark), untold+0.05, mark)
	}
	assert.InDelta(t, untold, share(nail.Light, quick.Groove), 0.05)
	assert.InDelta(t, untold, share(nail.Dark, quick.SeenThrough), 0.05)
}
