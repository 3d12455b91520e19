// Package phototest draws pictures that are hard to find a card in, with their truth: what people really photograph. No
// photograph of anything real is among them.
package phototest

import (
	"bytes"
	"image"
	"image/color"
	"image/jpeg"
	"math"
	"math/rand/v2"
	"runtime"
	"sync"

	"golang.org/x/image/draw"

	"fribbet/internal/core/photo"
)

// Table is a card on a table, as somebody photographs it: what lies under it, what is printed on it, what covers it.
type Table struct {
	Ground, Print int // kinds, below Grounds and Prints
	Look          photo.Looking
	Width, Height int
	seed          uint32
	colours       [6]rgb
	cover         []blob     // hands and paws
	shadow        [3]float64 // direction, where, how dark; none at 0
	soft          float64    // how many times larger the picture is than what was sharp in it
	grain         float64    // of 255
	quality       int        // of the JPEG
	bare          bool       // no card lies there
}

// How many kinds there are.
const (
	Grounds = 7
	Prints  = 8
)

type rgb [3]float64

// blob is a rounded bar on the plane: a finger, a toe, a nail.
type blob struct {
	from, to photo.Point
	wide     float64
	colour   rgb
	hairy    bool
}

// Random is one of them, its longer side so many pixels; all of the card is in the picture.
func Random(r *rand.Rand, side int) Table {
	for {
		t := Table{
			Ground: r.IntN(Grounds), Print: r.IntN(Prints), Width: side, Height: side * 3 / 4, seed: r.Uint32(),
			soft: 1.3 + 0.9*r.Float64(), grain: 3 + 7*r.Float64(), quality: 62 + r.IntN(30),
			Look: photo.Looking{
				Point: photo.Point{
					X: 43 + 36*(r.Float64()-0.5),
					Y: 30 + 36*(r.Float64()-0.5),
				},
				Distance: 115 + 90*r.Float64(),
				Tilt:     50 * r.Float64() * r.Float64(),
				About:    360 * r.Float64(),
				Turned:   360 * r.Float64(),
			},
		}
		if r.IntN(2) == 0 {
			t.Width, t.Height = t.Height, t.Width
		}
		for i := range t.colours {
			t.colours[i] = rgb{40 + 190*r.Float64(), 40 + 190*r.Float64(), 40 + 190*r.Float64()}
		}
		t.cover = covers(r)
		if r.IntN(2) == 0 {
			t.shadow = [3]float64{2 * math.Pi * r.Float64(), 60 * (r.Float64() - 0.5), 0.35 * r.Float64()}
		}
		inside := true
		for _, c := range t.Corners() {
			const rim = 12
			inside = inside && c.X > rim && c.Y > rim && c.X < float64(t.Width)-rim && c.Y < float64(t.Height)-rim
		}
		if inside {
			return t
		}
	}
}

// covers are a thumb that holds the card, or a paw beside it, or neither.
func covers(r *rand.Rand) (all []blob) {
	if r.IntN(10) < 6 { // a thumb over one long edge
		x, up := 10+65*r.Float64(), r.IntN(2) == 0
		y, away := 0.0, -1.0
		if !up {
			y, away = photo.CardHeight, 1
		}
		skin := rgb{150 + 90*r.Float64(), 0, 0}
		skin[1], skin[2] = skin[0]*0.76, skin[0]*0.62
		in := 5 + 10*r.Float64()
		all = append(
			all,
			blob{
				photo.Point{X: x, Y: y - away*in},
				photo.Point{X: x + 30*(r.Float64()-0.5), Y: y + away*60},
				8 + 3*r.Float64(),
				skin,
				false,
			},
		)
	}
	if r.IntN(10) < 6 { // a paw, its toes towards the card
		fur := rgb{60 + 120*r.Float64(), 0, 0}
		fur[1], fur[2] = fur[0]*0.8, fur[0]*0.65
		y := photo.CardHeight + 22 + 8*r.Float64()
		for toe := range 3 {
			x := 8 + 26*float64(toe) + 6*r.Float64()
			all = append(
				all,
				blob{photo.Point{X: x, Y: y}, photo.Point{X: x + 8, Y: y + 60}, 11, fur, true},
				blob{
					photo.Point{X: x, Y: y - 20 + 6*r.Float64()},
					photo.Point{X: x, Y: y - 6},
					3,
					rgb{50, 45, 42},
					false,
				},
			)
		}
	}
	return all
}

// Corners are where the card's corners truly are in the picture.
func (t Table) Corners() []photo.Point {
	h := t.Look.At(t.Width, t.Height)
	var all []photo.Point
	for _, q := range photo.CardCorners() {
		all = append(all, h.Of(q))
	}
	return all
}

// Picture draws it: small, and made as large as it is by the same factor that a lens and a moved hand blur it.
func (t Table) Picture() *image.RGBA {
	w, h := int(float64(t.Width)/t.soft), int(float64(t.Height)/t.soft)
	x, y := float64(t.Width)/float64(w), float64(t.Height)/float64(h)
	back, _ := t.Look.At(t.Width, t.Height).Inverse()
	small := image.NewRGBA(image.Rect(0, 0, w, h))
	var all sync.WaitGroup
	for part := range runtime.GOMAXPROCS(0) {
		all.Go(func() {
			for v := part; v < h; v += runtime.GOMAXPROCS(0) {
				for u := range w {
					c := t.at(back.Of(photo.Point{X: (float64(u) + 0.5) * x, Y: (float64(v) + 0.5) * y}))
					small.SetRGBA(u, v, color.RGBA{clip(c[0]), clip(c[1]), clip(c[2]), 255})
				}
			}
		})
	}
	all.Wait()
	out := image.NewRGBA(image.Rect(0, 0, t.Width, t.Height))
	draw.BiLinear.Scale(out, out.Rect, small, small.Rect, draw.Src, nil)
	r := rand.New(rand.NewPCG(uint64(t.seed), 1))
	for i := 0; i < len(out.Pix); i += 4 {
		by := t.grain * (r.Float64() + r.Float64() - 1)
		for k := range 3 {
			out.Pix[i+k] = clip(float64(out.Pix[i+k]) + by)
		}
	}
	return t.packed(out)
}

// packed is what a JPEG leaves of it.
func (t Table) packed(p *image.RGBA) *image.RGBA {
	var file bytes.Buffer
	err := jpeg.Encode(&file, p, &jpeg.Options{Quality: t.quality})
	read, broken := jpeg.Decode(&file)
	if err != nil || broken != nil {
		panic("a picture to memory and back")
	}
	draw.Draw(p, p.Rect, read, image.Point{}, draw.Src)
	return p
}

// at is the colour of a point of the plane.
func (t Table) at(p photo.Point) rgb {
	c := t.colour(p)
	if t.shadow[2] > 0 {
		across := p.X*math.Cos(t.shadow[0]) + p.Y*math.Sin(t.shadow[0]) - t.shadow[1]
		c = c.times(1 - t.shadow[2]/(1+math.Exp(across/6)))
	}
	return c
}

func (t Table) colour(p photo.Point) rgb {
	for i := len(t.cover) - 1; i >= 0; i-- {
		if c, is := t.cover[i].at(p, t.seed); is {
			return c
		}
	}
	if t.bare {
		return t.ground(p)
	}
	off := outside(p)
	if off <= 0 {
		return t.printed(p)
	}
	return t.ground(p).times(1 - 0.35*math.Exp(-off/1.2)) // the card's own shadow
}

// outside is how far a point is outside the card's outline with its round corners, mm; negative inside.
func outside(p photo.Point) float64 {
	const round = photo.CardRound
	dx := math.Abs(p.X-photo.CardWidth/2) - photo.CardWidth/2 + round
	dy := math.Abs(p.Y-photo.CardHeight/2) - photo.CardHeight/2 + round
	return math.Hypot(math.Max(dx, 0), math.Max(dy, 0)) + math.Min(math.Max(dx, dy), 0) - round
}

func (t Table) ground(p photo.Point) rgb {
	a, b := t.colours[0], t.colours[1]
	switch t.Ground {
	case 0: // planks
		grain := 0.5 + 0.5*math.Sin(p.Y*0.9+6*t.noise(p.X/60, p.Y/9, 1))
		c := rgb{150, 105, 66}.times(0.75 + 0.35*grain)
		if gap := math.Abs(math.Mod(math.Abs(p.Y+20), 70) - 35); gap < 0.8 {
			return rgb{40, 28, 18}
		}
		return c
	case 1: // cloth
		return a.times(0.8 + 0.15*math.Sin(p.X*5) + 0.15*math.Sin(p.Y*5) + 0.2*t.noise(p.X/15, p.Y/15, 2))
	case 2: // a coat of hair
		return rgb{130, 100, 70}.times(0.4 + 0.9*t.noise(p.X/1.2+p.Y/6, p.Y/14, 3))
	case 3: // tiles
		if math.Mod(math.Abs(p.X+30), 95) < 3 || math.Mod(math.Abs(p.Y+12), 95) < 3 {
			return rgb{90, 88, 84}
		}
		return rgb{205, 200, 190}.times(0.9 + 0.15*t.noise(p.X/30, p.Y/30, 4))
	case 4:
		return a.times(0.85 + 0.3*t.noise(p.X/120, p.Y/120, 5))
	case 5: // a striped towel
		if math.Mod(math.Abs(p.X*0.94+p.Y*0.34+300), 24) < 12 {
			return a.times(0.9 + 0.2*t.noise(p.X*2, p.Y*2, 6))
		}
		return b.times(0.9 + 0.2*t.noise(p.X*2, p.Y*2, 6))
	default: // a checked cloth
		x, y := math.Mod(math.Abs(p.X+p.Y*0.2+400), 20) < 10, math.Mod(math.Abs(p.Y-p.X*0.2+400), 20) < 10
		return a.times(0.7).plus(b.times(0.15 * float64(boole(x)+boole(y))))
	}
}

func (t Table) printed(p photo.Point) rgb {
	a, b, c := t.colours[2], t.colours[3], t.colours[4]
	w, h := photo.CardWidth, photo.CardHeight
	switch t.Print {
	case 0:
		return rgb{238, 235, 228}
	case 1:
		return rgb{38, 42, 56}.times(1 + 0.3*p.X/w)
	case 2: // stripes along it
		if math.Mod(p.Y, 9) < 4.5 {
			return a
		}
		return b
	case 3: // stripes across the corner
		if math.Mod(p.X+p.Y, 13) < 6 {
			return a
		}
		return b
	case 4: // a picture
		return a.times(0.5 + t.noise(p.X/18, p.Y/18, 7)).plus(b.times(0.6 * t.noise(p.X/6, p.Y/6, 8)))
	case 5: // a black band, a chip, rows of figures
		switch {
		case p.Y > 6 && p.Y < 18:
			return rgb{25, 25, 28}
		case p.X > 9 && p.X < 21 && p.Y > 24 && p.Y < 33:
			return rgb{205, 170, 80}
		case p.Y > 38 && p.Y < 42 && math.Mod(p.X, 4) < 2.4 && p.X > 8 && p.X < 70:
			return rgb{250, 250, 250}
		}
		return c
	case 6: // nearly the colour of what it lies on
		return t.colours[0].times(1.18)
	default: // a frame within
		if p.X > 4 && p.X < w-4 && p.Y > 4 && p.Y < h-4 && (p.X < 6 || p.X > w-6 || p.Y < 6 || p.Y > h-6) {
			return b
		}
		return a.times(0.8 + 0.4*p.Y/h)
	}
}

func (b blob) at(p photo.Point, seed uint32) (rgb, bool) {
	dx, dy := b.to.X-b.from.X, b.to.Y-b.from.Y
	along := ((p.X-b.from.X)*dx + (p.Y-b.from.Y)*dy) / (dx*dx + dy*dy)
	along = math.Min(1, math.Max(0, along))
	off := math.Hypot(p.X-b.from.X-along*dx, p.Y-b.from.Y-along*dy)
	wide := b.wide
	if b.hairy {
		wide *= 0.9 + 0.25*noise(p.X*1.5, p.Y*1.5, seed+20)
	}
	if off > wide {
		return rgb{}, false
	}
	light := 0.65 + 0.4*math.Sqrt(1-off*off/wide/wide)
	if b.hairy {
		light *= 0.6 + 0.8*noise(p.X*1.8+p.Y/3, p.Y/4, seed+21)
	}
	return b.colour.times(light), true
}

func (c rgb) times(by float64) rgb { return rgb{c[0] * by, c[1] * by, c[2] * by} }
func (c rgb) plus(o rgb) rgb       { return rgb{c[0] + o[0], c[1] + o[1], c[2] + o[2]} }

func clip(v float64) uint8 { return uint8(math.Min(255, math.Max(0, v))) }

func boole(is bool) int {
	if is {
		return 1
	}
	return 0
}

func (t Table) noise(x, y float64, kind uint32) float64 { return noise(x, y, t.seed+kind) }

// noise is smooth and random, from 0 to 1.
func noise(x, y float64, seed uint32) float64 {
	u, v := math.Floor(x), math.Floor(y)
	fx, fy := x-u, y-v
	fx, fy = fx*fx*(3-2*fx), fy*fy*(3-2*fy)
	at := func(i, k int) float64 { return hash(int(u)+i, int(v)+k, seed) }
	return (at(0, 0)*(1-fx)+at(1, 0)*fx)*(1-fy) + (at(0, 1)*(1-fx)+at(1, 1)*fx)*fy
}

func hash(x, y int, seed uint32) float64 {
	h := uint32(x)*374761393 + uint32(y)*668265263 + seed*2246822519
	h = (h ^ h>>13) * 1274126177
	return float64(h^h>>16) / math.MaxUint32
}
