package quick_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/stat/distuv"

	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

// A whole press's chance against a hundred thousand nails that are drawn and cut so.
func TestAWholePressBleedsAsOftenAsNailsThatAreDrawn(t *testing.T) {
	r := rand.New(rand.NewPCG(27, 1))
	prior := quick.Gamma{Mean: 3, SD: 1}
	drawn := distuv.Gamma{Alpha: 9, Beta: 3, Src: rand.NewPCG(27, 2)}
	for _, colour := range []nail.Colour{nail.Dark, nail.Light} {
		for _, cuts := range [][]float64{{0.5, 0.5, 0.5, 0.5}, {1, 0.5, 0.5}, {2, 0.5}} {
			thin := 0.3
			told := quick.NewBelief(12, 7, colour, prior, quick.UsualScales()).PressBleeds(cuts, thin)
			const nails = 100_000
			bled := 0
			for range nails {
				left, scale, grey := drawn.Rand(), quick.DrawScale(r.Float64()), false
				for _, mm := range cuts {
					if grey {
						mm = thin
					}
					left -= mm
					face := quick.DrawFace(colour, left, scale, r.Float64())
					if left <= 0 || face == quick.Blood {
						bled++
						break
					}
					grey = grey || face == quick.Grey
					if face.FirstSign() || face.Ends() {
						break
					}
				}
			}
			share := float64(bled) / nails
			assert.InDelta(t, share, told, 4*math.Sqrt(share/nails)+0.05*share, "%s %v", colour, cuts)
			assert.Less(
				t,
				told,
				quick.NewBelief(12, 7, colour, prior, quick.UsualScales()).PressBleeds(append(cuts, 0.5), thin),
				"one more is more of a risk",
			)
		}
	}
}
