package standin_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/photo"
	"fribbet/internal/standin"
)

// Pictures of slices whose thickness is known, points put a pixel or two beside: nine ranges in ten hold, and the hand
// that cut them is told.
func TestSlicesOnAPictureAreReadWithinTheirRanges(t *testing.T) {
	r := rand.New(rand.NewPCG(27, 3))
	inside, all, off := 0, 0, 0.0
	for range 40 {
		stick, mean := standin.Stick{Seed: r.Uint64()}, 0.0
		for range 10 {
			mm := math.Max(0.3, 1.3+0.25*r.NormFloat64())
			stick.Slices, mean = append(stick.Slices, mm), mean+mm/10
		}
		look := photo.Looking{
			Point:    photo.Point{X: 43, Y: 38},
			Distance: 120 + 30*r.Float64(),
			Tilt:     25 * r.Float64(),
			About:    180 * r.Float64(),
			Turned:   20 * r.NormFloat64(),
		}
		taken := stick.Take(look, 2048, 1536)
		by := func(p photo.Point) photo.Point {
			return photo.Point{X: p.X + 1.2*r.NormFloat64(), Y: p.Y + 1.2*r.NormFloat64()}
		}
		shot := photo.Shot{Width: 2048, Height: 1536, Reference: photo.Card}
		for _, c := range taken.Corners {
			shot.Handles = append(shot.Handles, by(c))
		}
		ends := make([]photo.Ends, len(taken.Ends))
		for i, e := range taken.Ends {
			ends[i] = photo.Ends{by(e[0]), by(e[1])}
		}
		read, err := shot.Thicknesses(ends)
		require.NoError(t, err)
		for i, n := range read {
			all++
			if math.Abs(n.MM-stick.Slices[i]) <= estimate.Z90*n.SD {
				inside++
			}
		}
		learnt, err := hand.Learn(1, read)
		require.NoError(t, err)
		off += math.Abs(learnt.Slices.Times-mean) / 40
	}
	t.Logf("%d of %d inside; the mean of ten is off by %.3f mm", inside, all, off)
	assert.InDelta(t, 0.92, float64(inside)/float64(all), 0.06)
	assert.Less(t, off, 0.08)
}

func TestPicturesOfSlicesThatCannotBeReadAreRefused(t *testing.T) {
	taken := standin.Stick{
		Slices: []float64{1, 1, 1, 1, 1},
	}.Take(
		photo.Looking{Point: photo.Point{X: 43, Y: 38}, Distance: 130},
		2048,
		1536,
	)
	shot := photo.Shot{Width: 2048, Height: 1536, Reference: photo.Card, Handles: taken.Corners}
	one := taken.Ends[0]
	for field, ends := range map[string][]photo.Ends{
		"slices": nil, "slices[1].ends": {one, {one[0], one[0]}}, "slices[1].tip": {one, {{X: 0, Y: -9000}, {X: 40, Y: -9000}}},
	} {
		_, err := shot.Thicknesses(ends)
		var f fault.Fields
		require.ErrorAs(t, err, &f, field)
		assert.Equal(t, field, f[0].Name)
	}
}
