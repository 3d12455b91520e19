package photo_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/photo"
	"fribbet/internal/standin"
)

// A plain card on a plain table is found, however it lies; a table without one has none. What is hard to find is in
// package phototest.
func TestAPlainCardIsFound(t *testing.T) {
	for _, about := range []float64{10, 100, 190} {
		look := photo.Looking{Point: photo.Point{X: 40, Y: 48}, Distance: 120, Tilt: 12, About: about, Turned: 3}
		taken := standin.Paw{Seed: 3}.Take(look, 1024, 768)
		found, is := photo.Guess(taken.Picture)
		require.True(t, is, about)
		for _, truth := range taken.Corners {
			nearest := math.Inf(1)
			for _, c := range found {
				nearest = math.Min(nearest, math.Hypot(c.X-truth.X, c.Y-truth.Y))
			}
			assert.Less(t, nearest, 3.0, about)
		}
		_, is = photo.Guess(standin.Paw{Seed: 3, NoCard: true}.Take(look, 1024, 768).Picture)
		assert.False(t, is)
	}
}
