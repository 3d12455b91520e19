package photo

import "math"

// misfit is how far four corners are from those of a card, as a share: what is left over once the camera is free. Of
// any camera with square pixels whose axis goes through the picture's middle, two sides of a rectangle seen in
// perspective tell the focal length, and then the rectangle's own proportion (Zhang and He 2007, Whiteboard scanning
// and image enhancement, section 3; the search over focal lengths is ours). The best of all focal lengths that cameras
// have counts, so that nothing is refused for its lens.
func misfit(h Homography, width, height int) float64 {
	best := math.Inf(1)
	for f := shortest; f <= longest; f *= 1.06 {
		best = math.Min(best, seenWith(h, width, height, f))
	}
	return best
}

// seenWith is the same for one focal length, as a share of the picture's longer side: by how much the card's sides
// differ from its proportion and from a right angle.
func seenWith(h Homography, width, height int, focal float64) float64 {
	f := focal * float64(max(width, height))
	side := func(i int) [3]float64 {
		z := h[6+i]
		return [3]float64{(h[i] - z*float64(width)/2) / f, (h[3+i] - z*float64(height)/2) / f, z}
	}
	x, y := side(0), side(1)
	a, b := norm(x), norm(y)
	angle := (x[0]*y[0] + x[1]*y[1] + x[2]*y[2]) / (a * b)
	return math.Hypot(math.Log(a/b), angle)
}

// misfit is that of the corners of a shot: of the card lying either way.
func (s Shot) misfit() float64 {
	best := math.Inf(1)
	for _, card := range [][2]float64{{CardWidth, CardHeight}, {CardHeight, CardWidth}} {
		best = math.Min(best, misfit(ontoQuad(card[0], card[1], s.Handles), s.Width, s.Height))
	}
	return best
}
