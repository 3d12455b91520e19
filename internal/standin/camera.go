package standin

import (
	"cmp"
	"image"
	"image/color"
	"image/draw"
	"math"
	"math/rand/v2"
	"slices"

	"golang.org/x/image/vector"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/photo"
)

// Paw is a paw as the simulated camera sees it from the side: nails in a row over the floor, beside a blank card.
type Paw struct {
	Nails  []PawNail
	NoCard bool
	Light  float64 // 1 is daylight
	Seed   uint64  // of the coat's hairs and the picture's grain
}

// PawNail is one nail of it.
type PawNail struct {
	claw.Stance
	Quick float64 // arc length of its end, mm
	Clear bool    // a light nail: its pink is seen
}

// NailMarks are where a nail's points truly are in the picture.
type NailMarks struct {
	photo.Marks
	Length float64 // truly, along the ridge, mm
}

// Taken is a picture with its truth.
type Taken struct {
	Picture *image.RGBA
	Corners []photo.Point // of the card
	Nails   []NailMarks
}

var coat = color.RGBA{118, 92, 70, 255}

const (
	toeEvery = 24.0 // mm from one coat line to the next
	toeFirst = 8.0
	floorAt  = 92.0 // mm below the card's upper edge
)

// Take takes a picture of a paw.
func (p Paw) Take(look photo.Looking, width, height int) Taken {
	h := look.At(width, height)
	r := rand.New(rand.NewPCG(p.Seed, 7))
	t := Taken{Picture: image.NewRGBA(image.Rect(0, 0, width, height))}
	light := p.Light
	if light == 0 {
		light = 1
	}
	shade := func(c color.RGBA) color.RGBA {
		return color.RGBA{uint8(float64(c.R) * light), uint8(float64(c.G) * light), uint8(float64(c.B) * light), 255}
	}
	fill := func(c color.RGBA, outline ...photo.Point) { area(t.Picture, shade(c), h, outline) }
	draw.Draw(
		t.Picture,
		t.Picture.Bounds(),
		image.NewUniform(shade(color.RGBA{96, 110, 104, 255})),
		image.Point{},
		draw.Src,
	)
	fill(
		color.RGBA{128, 104, 82, 255},
		photo.Point{X: -400, Y: floorAt},
		photo.Point{X: 500, Y: floorAt},
		photo.Point{X: 500, Y: 500},
		photo.Point{X: -400, Y: 500},
	)
	toes := make([]photo.Point, len(p.Nails))
	for i := range toes {
		toes[i] = photo.Point{X: toeFirst + toeEvery*float64(i)}
	}
	if last := len(toes) - 1; last >= 0 { // the foot above the toes
		low, high := floorAt-p.Nails[0].CoatHeight()+2, floorAt-p.Nails[last].CoatHeight()+2
		fill(
			coat,
			photo.Point{X: -30, Y: -60},
			photo.Point{X: 2, Y: low - 22},
			photo.Point{X: toes[last].X - 4, Y: high - 12},
			photo.Point{X: toes[last].X - 8, Y: high + 8},
			photo.Point{X: toes[0].X - 16, Y: low + 8},
			photo.Point{X: -70, Y: -60},
		)
	}
	for i, n := range p.Nails {
		paw(fill, toes[i], n, r)
	}
	for i, n := range p.Nails {
		at := func(q claw.Point) photo.Point { return photo.Point{X: toes[i].X + q.X, Y: floorAt - q.Z} }
		outline := make([]photo.Point, 0, 66)
		for _, q := range n.Outline() {
			outline = append(outline, at(q))
		}
		horn := color.RGBA{52, 46, 44, 255}
		if n.Clear {
			horn = color.RGBA{226, 208, 178, 255}
		}
		fill(horn, outline...)
		if n.Clear {
			var pink []photo.Point
			for _, q := range n.Stance.Quick(n.Quick) {
				pink = append(pink, at(q))
			}
			fill(color.RGBA{214, 140, 132, 255}, pink...)
		}
		seen := func(q claw.Point) photo.Point { return h.Of(at(q)) }
		tip, groove := n.Hook(n.Length), seen(n.Groove(n.Quick))
		low := slices.MinFunc(n.Outline(), func(a, b claw.Point) int { return cmp.Compare(a.Z, b.Z) })
		ridge, pink, lowest := seen(n.Hook(n.Length/2)), seen(n.Hook(n.Quick)), seen(low)
		floor := h.Of(photo.Point{X: at(low).X, Y: floorAt})
		m := NailMarks{
			Length: n.Length,
			Marks: photo.Marks{
				Coat:   seen(n.Hook(0)),
				Tip:    seen(tip),
				Ridge:  &ridge,
				Groove: &groove,
				Floor:  &floor,
				Low:    &lowest,
			},
		}
		if n.Clear {
			m.Pink = &pink
		}
		t.Nails = append(t.Nails, m)
	}
	if !p.NoCard {
		fill(color.RGBA{236, 233, 224, 255}, card()...)
		for _, q := range photo.CardCorners() {
			t.Corners = append(t.Corners, h.Of(q))
		}
	}
	grain(t.Picture, r)
	return t
}

// paw draws a toe's coat above a nail, hair by hair.
func paw(fill func(color.RGBA, ...photo.Point), toe photo.Point, n PawNail, r *rand.Rand) {
	middle := floorAt - n.CoatHeight() + 1
	var round []photo.Point
	for i := range 40 {
		a := 2 * math.Pi * float64(i) / 40
		round = append(round, photo.Point{X: toe.X - 9 + 11*math.Cos(a), Y: middle + 10*math.Sin(a)})
	}
	fill(coat, round...)
	for range 260 {
		a, d := 2*math.Pi*r.Float64(), math.Sqrt(r.Float64())
		x, y := toe.X-9+10.5*d*math.Cos(a), middle+9.5*d*math.Sin(a)
		tone := 80 + r.IntN(70)
		fill(color.RGBA{uint8(tone), uint8(tone * 4 / 5), uint8(tone * 3 / 5), 255}, //nolint:gosec // below 150
			photo.Point{X: x, Y: y}, photo.Point{X: x + 2.2, Y: y + 0.5}, photo.Point{X: x + 2.1, Y: y + 0.8})
	}
}

// card is a card's outline with its round corners.
func card() []photo.Point {
	var all []photo.Point
	const w, h, round = photo.CardWidth, photo.CardHeight, photo.CardRound
	centres := []photo.Point{
		{X: w - round, Y: h - round}, {X: round, Y: h - round}, {X: round, Y: round}, {X: w - round, Y: round},
	}
	for corner, c := range centres {
		for i := range 9 {
			a := math.Pi / 2 * (float64(corner) + float64(i)/8)
			all = append(all, photo.Point{X: c.X + round*math.Cos(a), Y: c.Y + round*math.Sin(a)})
		}
	}
	return all
}

// area fills an outline on the plane.
func area(into *image.RGBA, c color.RGBA, h photo.Homography, outline []photo.Point) {
	low, high := photo.Point{X: math.Inf(1), Y: math.Inf(1)}, photo.Point{X: math.Inf(-1), Y: math.Inf(-1)}
	seen := make([]photo.Point, len(outline))
	for i, p := range outline {
		q := h.Of(p)
		seen[i] = q
		low, high = photo.Point{
			X: math.Min(low.X, q.X),
			Y: math.Min(low.Y, q.Y),
		}, photo.Point{
			X: math.Max(high.X, q.X),
			Y: math.Max(high.Y, q.Y),
		}
	}
	box := image.Rect(int(low.X)-1, int(low.Y)-1, int(high.X)+2, int(high.Y)+2).Intersect(into.Bounds())
	if box.Empty() {
		return
	}
	z := vector.NewRasterizer(box.Dx(), box.Dy())
	for i, q := range seen {
		x, y := float32(q.X-float64(box.Min.X)), float32(q.Y-float64(box.Min.Y))
		if i == 0 {
			z.MoveTo(x, y)
		} else {
			z.LineTo(x, y)
		}
	}
	z.ClosePath()
	z.Draw(into, box, image.NewUniform(c), image.Point{})
}

// grain is what a telephone's sensor adds.
func grain(p *image.RGBA, r *rand.Rand) {
	for i := 0; i < len(p.Pix); i += 4 {
		by := int(r.Uint32()&15) - 7
		for k := range 3 {
			p.Pix[i+k] = uint8(max(0, min(255, int(p.Pix[i+k])+by)))
		}
	}
}
