package claw

// plane is a straight cut: everything farther along its outward normal than offset comes off.
type plane struct{ normalX, normalZ, offset float64 }

// along is how far a point lies along the plane's normal, mm.
func (p plane) along(q Point) float64 { return p.normalX*q.X + p.normalZ*q.Z }

// farthest is how far the outline reaches beyond the plane, mm; below 0 when it stays inside.
func (p plane) farthest(outline []Point) float64 {
	far := p.along(outline[0]) - p.offset
	for _, q := range outline[1:] {
		far = max(far, p.along(q)-p.offset)
	}
	return far
}

// keep returns the part of a closed outline inside the plane (Sutherland & Hodgman 1974,
// Communications of the ACM 17; memory).
func (p plane) keep(outline []Point) []Point {
	kept := make([]Point, 0, len(outline)+2)
	for i, to := range outline {
		from := outline[(i+len(outline)-1)%len(outline)]
		a, b := p.along(from)-p.offset, p.along(to)-p.offset
		if a <= 0 != (b <= 0) {
			f := a / (a - b)
			kept = append(kept, Point{from.X + f*(to.X-from.X), from.Z + f*(to.Z-from.Z)})
		}
		if b <= 0 {
			kept = append(kept, to)
		}
	}
	return kept
}

// area of a closed outline, mm² (the shoelace formula), whichever way round it runs.
func area(outline []Point) float64 {
	sum := 0.0
	for i, p := range outline {
		q := outline[(i+1)%len(outline)]
		sum += p.X*q.Z - q.X*p.Z
	}
	return max(sum, -sum) / 2
}

// across is where the plane runs through a closed outline: from the first point where it enters to the
// last where it leaves; false where it meets none of it.
func (p plane) across(outline []Point) (ends [2]Point, meets bool) {
	var points []Point
	for i, to := range outline {
		from := outline[(i+len(outline)-1)%len(outline)]
		a, b := p.along(from)-p.offset, p.along(to)-p.offset
		if a <= 0 != (b <= 0) {
			f := a / (a - b)
			points = append(points, Point{from.X + f*(to.X-from.X), from.Z + f*(to.Z-from.Z)})
		}
	}
	if len(points) < 2 {
		return ends, false
	}
	return [2]Point{points[0], points[len(points)-1]}, true
}
