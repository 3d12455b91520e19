package drawn

import (
	"fmt"
	"math/rand/v2"
	"strings"

	"fribbet/internal/core/claw"
)

// Underside is a nail seen from below, its tip at the right, all lengths in mm: the groove runs from the root to where
// the quick ends, and numbered lines stand across it. Its horn is drawn with the variety of real horn, from the seed.
func Underside(length, depth, ends float64, lines []float64, seed uint64) string {
	r := rand.New(rand.NewPCG(seed, 6))
	e := &cutEnd{r: r, wall: dark(r), inside: "#2c2521"}
	wide := depth * e.between(0.38, 0.46)
	bend := e.between(-0.6, 0.6)
	fmt.Fprintf(
		&e.b,
		`<svg xmlns="http://www.w3.org/2000/svg" viewBox="-1 %.1f %.1f %.1f" width="480" height="%.0f">`,
		-depth/2-2.2,
		length+2,
		depth+4.4,
		480*(depth+4.4)/(length+2),
	)
	fmt.Fprintf(
		&e.b,
		`<defs><linearGradient id="end" gradientUnits="userSpaceOnUse" x1="%.2f" x2="%.2f" y1="0" y2="0">`+
			`<stop offset="0" stop-color="%s"/><stop offset="1" stop-color="%s" stop-opacity="0.25"/></linearGradient></defs>`,
		length-ends-4,
		length-ends,
		e.inside,
		e.inside,
	)
	fmt.Fprintf(
		&e.b,
		`<rect x="-1" y="%.1f" width="%.1f" height="%.1f" fill="%s"/>`,
		-depth/2-2.2,
		length+2,
		depth+4.4,
		e.one("#dcd6c8", "#cfd6d3", "#d9cfc6"),
	)
	horn := fmt.Sprintf(
		`<path d="M-1 %.2fC%.2f %.2f %.2f %.2f %.2f %.2fC%.2f %.2f %.2f %.2f -1 %.2fZ" `,
		-wide,
		length*0.55,
		-wide,
		length*0.9,
		bend-wide*0.55,
		length,
		bend,
		length*0.9,
		bend+wide*0.55,
		length*0.55,
		wide,
		wide,
	)
	e.b.WriteString(horn + fmt.Sprintf(`fill="%s"/>`, e.wall))
	for range 10 + e.r.IntN(8) { // layers, lengthwise
		y, from := e.between(-0.8, 0.8)*wide, e.between(0, 0.6)*length
		fmt.Fprintf(
			&e.b,
			`<path d="M%.1f %.2fL%.1f %.2f" stroke="#fff" stroke-width="0.1" opacity="%.2f"/>`,
			from,
			y,
			from+e.between(0.1, 0.3)*length,
			y*0.8+bend*0.3,
			e.between(0.06, 0.2),
		)
	}
	at := length - ends
	hollow, soft := wide*e.between(0.4, 0.55), e.between(0.5, 1.1)
	fmt.Fprintf(
		&e.b,
		`<path d="M-1 %.2fL%.2f %.2fQ%.2f %.2f %.2f %.2fL-1 %.2fZ" fill="url(#end)"/>`,
		-hollow,
		at-soft,
		-hollow*0.7,
		at,
		bend*at/length,
		at-soft,
		hollow*0.7,
		hollow,
	)
	for range 5 { // what fills it crumbles towards its end
		far, y := e.between(0.35, 0.9)*at, e.between(-0.5, 0.5)*hollow
		fmt.Fprintf(
			&e.b,
			`<path d="M-1 %.2fL%.2f %.2f" stroke="#8c7468" stroke-width="%.2f" opacity="%.2f"/>`,
			y,
			far,
			y*0.7+bend*far/length*0.6,
			e.between(0.15, 0.4),
			e.between(0.25, 0.5),
		)
	}
	for range 4 + e.r.IntN(6) { // dirt and splinters
		fmt.Fprintf(
			&e.b,
			`<circle cx="%.1f" cy="%.1f" r="%.2f" fill="#b9b2a6" opacity="%.2f"/>`,
			e.between(0, 0.9)*length,
			e.between(-0.7, 0.7)*wide,
			e.between(0.1, 0.25),
			e.between(0.3, 0.6),
		)
	}
	for k, mm := range lines {
		x := length - mm
		fmt.Fprintf(
			&e.b,
			`<path d="M%.2f %.1fV%.1f" stroke="#a8482c" stroke-width="0.08" stroke-dasharray="0.35 0.35"/>`,
			x,
			-depth/2-0.6,
			depth/2+0.6,
		)
		fmt.Fprintf(
			&e.b,
			`<text x="%.2f" y="%.1f" font-size="1.1" font-family="sans-serif" text-anchor="middle" fill="#111">%d</text>`,
			x,
			-depth/2-0.9,
			k+1,
		)
	}
	e.b.WriteString(`</svg>`)
	return e.b.String()
}

// Feet are nails of feet that stand on the floor side by side, from the side, each with its number.
func Feet(stands []claw.Stance) string {
	const panel, height, floor = 26.0, 20.0, 17.5
	var b strings.Builder
	fmt.Fprintf(
		&b,
		`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %.0f %.0f" width="480" height="370">`,
		2*panel,
		2*height,
	)
	fmt.Fprintf(&b, `<rect width="%.0f" height="%.0f" fill="#e4e0d6"/>`, 2*panel, 2*height)
	for k, s := range stands {
		left, top := panel*float64(k%2), height*float64(k/2)
		fmt.Fprintf(
			&b,
			`<rect x="%.1f" y="%.1f" width="%.1f" height="%.1f" fill="#b9b1a2"/>`,
			left+0.5,
			top+floor,
			panel-1,
			height-floor-0.5,
		)
		outline := s.Outline()
		at := func(p claw.Point) (float64, float64) { return left + 8 + p.X, top + floor - p.Z }
		x, y := at(outline[0])
		lx, ly := at(outline[len(outline)-1])
		fmt.Fprintf(
			&b,
			`<path d="M%.2f %.2fC%.2f %.2f %.2f %.2f %.2f %.2fV%.2fH%.2fQ%.2f %.2f %.2f %.2fZ" fill="#9b8672"/>`,
			x+0.7,
			y+0.3,
			x-1.5,
			y-2,
			left+4,
			y-2.5,
			left+0.5,
			y-2.2,
			top+floor-0.5,
			left+5,
			lx+0.2,
			ly+3,
			lx+0.4,
			ly-0.2,
		)
		fmt.Fprintf(&b, `<ellipse cx="%.2f" cy="%.2f" rx="4.4" ry="2" fill="#4d423a"/>`, left+4.9, top+floor-2)
		b.WriteString(`<path d="`)
		for i, p := range outline {
			x, y := at(p)
			fmt.Fprintf(&b, "%s%.2f %.2f", map[bool]string{true: "M", false: "L"}[i == 0], x, y)
		}
		b.WriteString(`Z" fill="#3a332e"/>`)
		fmt.Fprintf(
			&b,
			`<text x="%.1f" y="%.1f" font-size="2.4" font-family="sans-serif" fill="#111">%d</text>`,
			left+panel-3,
			top+3.4,
			k+1,
		)
	}
	b.WriteString(`</svg>`)
	return b.String()
}
