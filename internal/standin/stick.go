package standin

import (
	"bytes"
	"image"
	"image/color"
	"image/draw"
	"image/jpeg"
	"math/rand/v2"

	"fribbet/internal/core/photo"
)

// Stick is slices cut off a stick of wood, laid in a row beside a blank card as the simulated camera sees them.
type Stick struct {
	Slices []float64 // how thick each is, mm
	Seed   uint64    // of how crooked they lie, and of the picture's grain
}

// SlicesTaken is such a picture with its truth.
type SlicesTaken struct {
	Picture *image.RGBA
	Corners []photo.Point // of the card
	Ends    []photo.Ends  // of each slice, its faces
}

// Camera is a simulated one, with the demonstration's slices before it.
type Camera struct{}

// Slices is a picture of them, a JPEG.
func (Camera) Slices() ([]byte, error) {
	var data bytes.Buffer
	err := jpeg.Encode(&data, DemoSlices().Picture, nil)
	return data.Bytes(), err
}

// DemoSlices are those of the demonstration: of a hand that cuts a quarter thicker than it means.
func DemoSlices() SlicesTaken {
	stick := Stick{Slices: []float64{1.32, 1.08, 1.41, 1.19, 1.52, 1.22, 0.98, 1.37, 1.28, 1.14}, Seed: 27}
	return stick.Take(
		photo.Looking{Point: photo.Point{X: 43, Y: 42}, Distance: 108, Tilt: 11, About: 40, Turned: -3},
		2048,
		1536,
	)
}

const (
	sliceEvery = 9.0 // mm from one slice to the next
	sliceRow   = 66.0
	sliceHigh  = 7.0 // across the stick
)

// Take takes the picture.
func (s Stick) Take(look photo.Looking, width, height int) SlicesTaken {
	h := look.At(width, height)
	r := rand.New(rand.NewPCG(s.Seed, 8))
	t := SlicesTaken{Picture: image.NewRGBA(image.Rect(0, 0, width, height))}
	draw.Draw(t.Picture, t.Picture.Bounds(), image.NewUniform(color.RGBA{74, 82, 92, 255}), image.Point{}, draw.Src)
	area(t.Picture, color.RGBA{236, 233, 224, 255}, h, card())
	for _, q := range photo.CardCorners() {
		t.Corners = append(t.Corners, h.Of(q))
	}
	for i, mm := range s.Slices {
		left, lean := 2+sliceEvery*float64(i), 0.6*r.NormFloat64() // mm from its foot to its head
		low, high := sliceRow+r.NormFloat64(), sliceRow+sliceHigh+0.4*r.NormFloat64()
		at := func(x, y float64) photo.Point { return photo.Point{X: left + x + lean*(y-low)/(high-low), Y: y} }
		area(
			t.Picture,
			color.RGBA{214, 178, 128, 255},
			h,
			[]photo.Point{at(0, low), at(mm, low), at(mm, high), at(0, high)},
		)
		middle := (low + high) / 2
		t.Ends = append(t.Ends, photo.Ends{h.Of(at(0, middle)), h.Of(at(mm, middle))})
	}
	grain(t.Picture, r)
	return t
}
