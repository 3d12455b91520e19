// Package drawn draws what practice shows, as SVG: cut ends, a nail from below, feet on the floor, each with the
// variety of real horn, from a seed.
package drawn

import (
	"fmt"
	"math"
	"math/rand/v2"
	"strings"

	"fribbet/internal/core/quick"
)

// CutEnd is a freshly cut end of a nail as one sees it head-on, drawn with the variety of real horn: its outline,
// grain, flakes and light come from the seed, what it shows of the quick from the face alone.
func CutEnd(face quick.Face, light bool, seed uint64) string {
	r := rand.New(rand.NewPCG(seed, 5))
	e := &cutEnd{r: r, wall: dark(r), inside: "#6d6259"}
	if light {
		e.wall, e.inside = pale(r), "#f1e6d2"
	}
	e.b.WriteString(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="-60 -60 120 120" width="240" height="240">`)
	fmt.Fprintf(
		&e.b,
		`<rect x="-60" y="-60" width="120" height="120" fill="%s"/>`,
		e.one("#dcd6c8", "#cfd6d3", "#d9cfc6", "#c9c4bd"),
	)
	fmt.Fprintf(
		&e.b,
		`<g transform="rotate(%.0f) scale(%.2f %.2f)">`,
		e.between(-25, 25),
		e.between(0.86, 1),
		e.between(0.92, 1.12),
	)
	e.blob(0, 0, 46, 0.05, e.wall, 1)
	e.blob(0, e.between(1, 5), 36, 0.07, e.inside, e.between(0.35, 0.75))
	e.grain(light)
	e.shows(face)
	e.flakes(light)
	fmt.Fprintf(
		&e.b,
		`<ellipse cx="%.0f" cy="%.0f" rx="%.0f" ry="5" fill="#fff" opacity="%.2f" transform="rotate(%.0f)"/>`,
		e.between(-18, 18),
		e.between(-34, -24),
		e.between(8, 16),
		e.between(0.06, 0.2),
		e.between(-20, 20),
	)
	e.b.WriteString(`</g></svg>`)
	return e.b.String()
}

type cutEnd struct {
	b            strings.Builder
	r            *rand.Rand
	wall, inside string
}

func (e *cutEnd) between(low, high float64) float64 { return low + (high-low)*e.r.Float64() }
func (e *cutEnd) one(of ...string) string           { return of[e.r.IntN(len(of))] }

// dark and pale are horn's colours, a little different from nail to nail.
func dark(r *rand.Rand) string {
	v := r.IntN(26)
	return fmt.Sprintf("#%02x%02x%02x", 44+v, 39+v, 35+v)
}

func pale(r *rand.Rand) string {
	v := r.IntN(18)
	return fmt.Sprintf("#%02x%02x%02x", 222-v, 205-v, 176-v)
}

// blob is a round thing whose edge is uneven, and smooth.
func (e *cutEnd) blob(x, y, radius, uneven float64, fill string, opacity float64) {
	const points = 16
	var at [points][2]float64
	for i := range points {
		turn, far := 2*math.Pi*float64(i)/points, radius*(1+uneven*e.r.NormFloat64()/2)
		at[i] = [2]float64{x + far*math.Cos(turn), y + far*math.Sin(turn)}
	}
	middle := func(i int) (float64, float64) {
		p, q := at[i%points], at[(i+1)%points]
		return (p[0] + q[0]) / 2, (p[1] + q[1]) / 2
	}
	var path strings.Builder
	mx, my := middle(0)
	fmt.Fprintf(&path, "M%.1f %.1f", mx, my)
	for i := range points {
		p := at[(i+1)%points]
		mx, my = middle(i + 1)
		fmt.Fprintf(&path, "Q%.1f %.1f %.1f %.1f", p[0], p[1], mx, my)
	}
	fmt.Fprintf(&e.b, `<path d="%sZ" fill="%s" opacity="%.2f"/>`, path.String(), fill, opacity)
}

// grain are the layers that horn grows in.
func (e *cutEnd) grain(light bool) {
	shade := "#fff"
	if light {
		shade = "#8a6f45"
	}
	for range 14 + e.r.IntN(14) {
		radius, from := e.between(8, 44), e.between(0, 2*math.Pi)
		to := from + e.between(0.4, 1.6)
		fmt.Fprintf(
			&e.b,
			`<path d="M%.1f %.1fA%.1f %.1f 0 0 1 %.1f %.1f" fill="none" stroke="%s" stroke-width="0.7" opacity="%.2f"/>`,
			radius*math.Cos(from),
			radius*math.Sin(from),
			radius,
			radius,
			radius*math.Cos(to),
			radius*math.Sin(to),
			shade,
			e.between(0.05, 0.2),
		)
	}
}

// shows is what the end shows of the quick.
func (e *cutEnd) shows(face quick.Face) {
	x, y := e.between(-8, 8), e.between(-3, 9) // hardly ever in the very middle
	switch face {
	case quick.White: // dry and chalky right across
		e.blob(x/2, y/2, e.between(22, 29), 0.12, "#efe9dc", e.between(0.55, 0.8))
	case quick.Grey:
		e.blob(x/2, y/2, e.between(22, 29), 0.12, "#a9a49c", e.between(0.6, 0.8))
		e.blob(x, y, e.between(12, 17), 0.15, "#8a8580", 0.6)
	case quick.DarkCentre:
		e.blob(x/2, y/2, e.between(22, 28), 0.12, "#97918a", e.between(0.45, 0.65))
		e.blob(x, y, e.between(9, 14), 0.14, "#1d1917", e.between(0.75, 0.95))
	case quick.Dot:
		e.blob(x/2, y/2, e.between(22, 28), 0.1, "#2a2522", e.between(0.7, 0.9))
		e.wet(x, y, e.between(4, 6.5), e.one("#d9b7ad", "#c58f86", "#e6dcd2"))
	case quick.Blush:
		e.blob(x/2, y/2, e.between(24, 30), 0.12, "#f3dcc8", 0.7)
		e.blob(x, y, e.between(12, 18), 0.16, "#e9b3a0", e.between(0.45, 0.7))
	case quick.PinkDot:
		e.blob(x/2, y/2, e.between(22, 28), 0.12, "#efc6b5", 0.7)
		e.wet(x, y, e.between(5, 8), e.one("#d9776c", "#cc6660", "#e08a7c"))
	case quick.Blood:
		e.blob(x/2, y/2, e.between(20, 30), 0.25, "#a3141c", 0.9)
		e.wet(x, y, e.between(8, 12), "#7d0c14")
	}
}

// wet is a moist spot, which shines.
func (e *cutEnd) wet(x, y, radius float64, fill string) {
	e.blob(x, y, radius, 0.1, fill, 0.95)
	fmt.Fprintf(
		&e.b,
		`<ellipse cx="%.1f" cy="%.1f" rx="%.1f" ry="%.1f" fill="#fff" opacity="0.7"/>`,
		x-radius/3,
		y-radius/3,
		radius/3.2,
		radius/5,
	)
}

// flakes are splinters that the blade left.
func (e *cutEnd) flakes(light bool) {
	fill := "#b9b2a6"
	if light {
		fill = "#fbf6ea"
	}
	for range 3 + e.r.IntN(8) {
		turn, far, size := e.between(0, 2*math.Pi), e.between(14, 42), e.between(1.2, 3.4)
		x, y := far*math.Cos(turn), far*math.Sin(turn)
		fmt.Fprintf(
			&e.b,
			`<path d="M%.1f %.1fl%.1f %.1fl%.1f %.1fZ" fill="%s" opacity="%.2f"/>`,
			x,
			y,
			size,
			e.between(-1, 1),
			e.between(-size, 0),
			size,
			fill,
			e.between(0.3, 0.7),
		)
	}
}
