package phototest

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/photo"
)

// Corners that are put right are hardly ever doubted; of those of which one is twenty pixels off most are, by the right
// one's name, and corners on nothing are refused.
func TestThePictureSpeaksAgainstWrongCorners(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	const all = 24
	doubted, named, nothing := 0, 0, 0
	for i := range uint64(all) {
		r := rand.New(rand.NewPCG(33, i))
		table := Random(r, 1600)
		picture, corners := table.Picture(), table.Corners()
		s := photo.Shot{
			Width:     table.Width,
			Height:    table.Height,
			Reference: photo.Card,
			Handles:   corners,
			Held:      photo.Beside,
		}
		if s.CheckOutline(photo.OutlineOf(picture, corners)) != nil {
			doubted++
		}
		at, turn := r.IntN(4), 2*math.Pi*r.Float64()
		corners[at] = photo.Point{X: corners[at].X + 24*math.Cos(turn), Y: corners[at].Y + 24*math.Sin(turn)}
		if corner, is := photo.OutlineOf(picture, corners).Loose(); is && corner == at {
			named++
		}
		middle := photo.Point{X: float64(table.Width) / 2, Y: float64(table.Height) / 2}
		var away []photo.Point
		for _, c := range corners {
			away = append(away, photo.Point{X: middle.X + (c.X-middle.X)*0.45, Y: middle.Y + (c.Y-middle.Y)*0.45})
		}
		if s.CheckOutline(photo.OutlineOf(picture, away)) != nil {
			nothing++
		}
	}
	t.Log(doubted, named, nothing)
	assert.LessOrEqual(t, doubted, 2)
	assert.GreaterOrEqual(t, named, all/2)
	assert.GreaterOrEqual(t, nothing, all*3/4)
}
