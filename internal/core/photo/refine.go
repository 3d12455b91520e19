package photo

import (
	"image"
	"math"
	"slices"
)

// edged is the quadrilateral with each edge moved to where the picture changes most, near where it is.
func edged(p *image.RGBA, quad []Point, far float64) ([]Point, bool) {
	var lines [4][2]Point
	for i := range quad {
		line, is := edge(p, quad[i], quad[(i+1)%4], far)
		if !is {
			return nil, false
		}
		lines[i] = line
	}
	out := make([]Point, 4)
	for i := range out {
		before, after := lines[(i+3)%4], lines[i]
		across := before[1].cross(after[1])
		if math.Abs(across) < 1e-6 {
			return nil, false
		}
		out[i] = before[0].plus(before[1].times(after[0].minus(before[0]).cross(after[1]) / across))
	}
	return out, true
}

// edge is the line, a point and a direction, along which the picture changes most near a segment.
func edge(p *image.RGBA, from, to Point, far float64) (line [2]Point, is bool) {
	along := to.minus(from)
	length := along.length()
	across := Point{-along.Y, along.X}.times(1 / length)
	var found []Point
	for i := range samples {
		at := from.towards(to, 0.5+middling*(float64(i)/(samples-1)-0.5))
		if off, steep := steepest(p, at, across, far); steep > 0 {
			found = append(found, at.plus(across.times(off)))
		}
	}
	const least = samples / 2
	for range 6 { // those that stand off are others' edges
		if len(found) < least {
			return line, false
		}
		line = through(found)
		offs := make([]float64, len(found))
		for i, q := range found {
			offs[i] = math.Abs(line[1].cross(q.minus(line[0])))
		}
		sorted := slices.Clone(offs)
		slices.Sort(sorted)
		limit := math.Max(1, 3*sorted[len(sorted)/2])
		kept := found[:0:0]
		for i, q := range found {
			if offs[i] <= limit {
				kept = append(kept, q)
			}
		}
		if len(kept) == len(found) {
			break
		}
		found = kept
	}
	return line, true
}

// steepest is how far across a point the picture changes most, pixels, and by how much.
func steepest(p *image.RGBA, at, across Point, far float64) (off, steep float64) {
	const step, wide = 0.5, 1.5
	n := int(2 * far / step)
	slope := make([]float64, n+1)
	for i := range slope {
		q := at.plus(across.times(-far + step*float64(i)))
		slope[i] = apart(level(p, q.plus(across.times(wide))), level(p, q.minus(across.times(wide))))
	}
	best := 0
	for i, s := range slope {
		if s > slope[best] {
			best = i
		}
	}
	off = -far + step*float64(best)
	if best > 0 && best < n { // the top of a parabola through three
		a, b, c := slope[best-1], slope[best], slope[best+1]
		if d := a - 2*b + c; d < 0 {
			off += step * (a - c) / (2 * d)
		}
	}
	return off, slope[best]
}

// apart is how far two colours are from each other, in the channel in which they are farthest.
func apart(a, b [3]float64) float64 {
	return math.Max(math.Abs(a[0]-b[0]), math.Max(math.Abs(a[1]-b[1]), math.Abs(a[2]-b[2])))
}

// level is the picture's colour at a point, between its pixels; at the edge outside.
func level(p *image.RGBA, q Point) (c [3]float64) {
	x := math.Min(math.Max(q.X-0.5, 0), float64(p.Rect.Dx()-1))
	y := math.Min(math.Max(q.Y-0.5, 0), float64(p.Rect.Dy()-1))
	u, v := int(x), int(y)
	u1, v1 := min(u+1, p.Rect.Dx()-1), min(v+1, p.Rect.Dy()-1)
	fx, fy := x-float64(u), y-float64(v)
	for i := range c {
		at := func(x, y int) float64 { return float64(p.Pix[y*p.Stride+4*x+i]) }
		c[i] = (at(u, v)*(1-fx)+at(u1, v)*fx)*(1-fy) + (at(u, v1)*(1-fx)+at(u1, v1)*fx)*fy
	}
	return c
}

// through is the line nearest to some points: their middle, and the direction in which they lie.
func through(points []Point) [2]Point {
	var middle Point
	for _, p := range points {
		middle = middle.plus(p.times(1 / float64(len(points))))
	}
	xx, xy, yy := 0.0, 0.0, 0.0
	for _, p := range points {
		d := p.minus(middle)
		xx, xy, yy = xx+d.X*d.X, xy+d.X*d.Y, yy+d.Y*d.Y
	}
	angle := math.Atan2(2*xy, xx-yy) / 2
	return [2]Point{middle, {math.Cos(angle), math.Sin(angle)}}
}
