package standin

import (
	"image"
	"image/color"
	"math"
	"math/rand/v2"

	"fribbet/internal/core/quick"
)

// EndPhoto is a freshly cut end as a telephone held close would take it: what CutEnd draws, as pixels with a lens's
// blur.
func EndPhoto(face quick.Face, light bool, seed uint64) image.Image {
	const size, wide = 480, 190.0
	r := rand.New(rand.NewPCG(seed, 7))
	wall, inside := color.RGBA{54, 48, 43, 255}, color.RGBA{120, 110, 100, 255}
	if light {
		wall, inside = color.RGBA{214, 196, 166, 255}, color.RGBA{240, 229, 208, 255}
	}
	middle, core, reach := inside, inside, 0.0
	switch face {
	case quick.White:
		middle = color.RGBA{236, 230, 217, 255}
	case quick.Grey:
		middle, core, reach = color.RGBA{168, 163, 155, 255}, color.RGBA{138, 133, 128, 255}, 0.4
	case quick.DarkCentre:
		middle, core, reach = color.RGBA{150, 144, 137, 255}, color.RGBA{30, 26, 24, 255}, 0.32
	case quick.Dot:
		middle, core, reach = color.RGBA{44, 38, 35, 255}, color.RGBA{214, 172, 160, 255}, 0.14
	case quick.Blush:
		middle, core, reach = color.RGBA{243, 220, 200, 255}, color.RGBA{232, 178, 160, 255}, 0.4
	case quick.PinkDot:
		middle, core, reach = color.RGBA{238, 198, 181, 255}, color.RGBA{214, 112, 104, 255}, 0.18
	case quick.Blood:
		middle, core, reach = color.RGBA{160, 24, 30, 255}, color.RGBA{125, 12, 20, 255}, 0.3
	}
	x0, y0, turn := 240+r.NormFloat64()*8, 240+r.NormFloat64()*8, r.Float64()*2*math.Pi
	cx, cy := x0+r.NormFloat64()*10, y0+r.NormFloat64()*10
	picture := image.NewRGBA(image.Rect(0, 0, size, size))
	table := color.RGBA{220, 214, 200, 255}
	for y := range size {
		for x := range size {
			dx, dy := float64(x)-x0, float64(y)-y0
			uneven := 1 + 0.03*math.Sin(3*math.Atan2(dy, dx)+turn) + 0.02*math.Sin(7*math.Atan2(dy, dx)+2*turn)
			far := math.Hypot(dx, 1.1*dy) / wide / uneven
			near := math.Hypot(float64(x)-cx, float64(y)-cy) / wide
			c := blend(table, wall, (1-far)*14)
			c = blend(c, inside, (0.8-far)*10)
			c = blend(c, middle, (0.62-far)*8)
			c = blend(c, core, (reach-near)*12)
			grain := 5 * (r.Float64() - 0.5 + 0.6*math.Sin(far*60+turn))
			picture.SetRGBA(x, y, color.RGBA{shade(c.R, grain), shade(c.G, grain), shade(c.B, grain), 255})
		}
	}
	return picture
}

// blend goes from one colour to another by a share, below 0 not at all and above 1 wholly.
func blend(a, b color.RGBA, share float64) color.RGBA {
	share = min(1, max(0, share))
	of := func(a, b uint8) uint8 { return uint8(float64(a) + share*(float64(b)-float64(a))) }
	return color.RGBA{of(a.R, b.R), of(a.G, b.G), of(a.B, b.B), 255}
}

func shade(v uint8, by float64) uint8 { return uint8(min(255, max(0, float64(v)+by))) }
