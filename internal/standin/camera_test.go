package standin

import (
	"image"
	"image/color"
	"image/draw"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/photo"
)

func aPaw(r *rand.Rand) Paw {
	code, _ := nail.ParseCode("LF2")
	p := Paw{Seed: r.Uint64(), Light: 0.7 + 0.3*r.Float64()}
	for i := range 3 {
		c := claw.Assumed(code, []nail.Shape{nail.Usual, nail.Hooked, nail.Straight}[i], 12+20*r.Float64())
		p.Nails = append(p.Nails, PawNail{Stance: c.AtGap(1), Quick: c.Length - 3, Clear: i == 1})
	}
	return p
}

// What the camera drew is what is read off it.
func TestAPictureHoldsItsTruth(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	p := aPaw(r)
	taken := p.Take(
		photo.Looking{Point: photo.Point{X: 40, Y: 50}, Distance: 120, Tilt: 20, About: 40, Turned: 5},
		2048,
		1536,
	)
	s := photo.Shot{Width: 2048, Height: 1536, Reference: photo.Card, Held: photo.Beside, Handles: taken.Corners}
	for i, n := range taken.Nails {
		read, err := s.Read(n.Marks)
		require.NoError(t, err)
		assert.InEpsilon(t, n.Length, read.Length.MM, 0.013, "but for what leaning hides on average")
		assert.InDelta(t, p.Nails[i].Gap(), read.Gap.MM, 0.1)
	}
	at := taken.Nails[0].Marks.Coat.X + taken.Nails[0].Tip.X
	y := taken.Nails[0].Marks.Coat.Y + taken.Nails[0].Tip.Y
	assert.Less(t, taken.Picture.RGBAAt(int(at/2), int(y/2)+8).R, uint8(80), "there is horn under the ridge")
}

// Within three pixels on at least eight of ten pictures (asked of the guess); none where there is no card.
func TestTheCornersAreGuessed(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	r := rand.New(rand.NewPCG(5, 6))
	near, pictures := 0, 0
	for pictures < 20 {
		look := photo.Looking{
			Point:    photo.Point{X: 40, Y: 48},
			Distance: 105 + 50*r.Float64(),
			Tilt:     35 * r.Float64(),
			About:    360 * r.Float64(),
			Turned:   40 * (r.Float64() - 0.5),
		}
		taken := aPaw(r).Take(look, 2048, 1536)
		if !inside(taken) {
			continue
		}
		pictures++
		guess, is := photo.Guess(taken.Picture)
		if is && worst(guess, taken.Corners) <= 3 {
			near++
		} else {
			t.Logf("missed: %v, %.0f pixels, %+v", is, worst(guess, taken.Corners), look)
		}
	}
	assert.GreaterOrEqual(t, near, pictures*8/10)

	bare := aPaw(r)
	bare.NoCard = true
	_, is := photo.Guess(bare.Take(photo.Looking{Point: photo.Point{X: 40, Y: 48}, Distance: 120}, 1024, 768).Picture)
	assert.False(t, is)
	for _, size := range []int{3, 16, 200} { // nothing but one colour
		even := image.NewRGBA(image.Rect(0, 0, size, size))
		draw.Draw(even, even.Rect, image.NewUniform(color.Gray{Y: 128}), image.Point{}, draw.Src)
		_, is = photo.Guess(even)
		assert.False(t, is)
	}
}

// inside tells whether the whole card is in the picture.
func inside(taken Taken) bool {
	return !slices.ContainsFunc(taken.Corners, func(c photo.Point) bool {
		return c.X < 5 || c.Y < 5 || c.X > float64(taken.Picture.Rect.Dx()-5) ||
			c.Y > float64(taken.Picture.Rect.Dy()-5)
	})
}

// worst is how far the farthest corner is off, wherever round the card one began.
func worst(guess, truth []photo.Point) float64 {
	best := math.Inf(1)
	for turn := range guess {
		for _, back := range []bool{false, true} {
			off := 0.0
			for i, c := range truth {
				k := (i + turn) % 4
				if back {
					k = (8 + turn - i) % 4
				}
				off = math.Max(off, math.Hypot(c.X-guess[k].X, c.Y-guess[k].Y))
			}
			best = math.Min(best, off)
		}
	}
	return best
}
