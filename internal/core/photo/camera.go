package photo

import "math"

// View is how a camera saw a plane: where, and how far away.
type View struct {
	Tilt     float64 // between the plane and the picture, degrees
	Distance float64 // from the lens to a point of the plane along the lens's axis, mm
	off      float64 // how far the plane is from one that such a camera can see; 0: it can
}

// Askew tells whether a picture taken more squarely would say clearly more.
func (v View) Askew() bool { return v.Tilt >= askewFrom }

// viewOf is how a usual telephone's camera would have seen the plane at a point of it. The picture's middle is taken to
// be the lens's axis, which a cropped picture's is not: it goes into the range, never into a length.
func viewOf(h Homography, width, height int, at Point) View {
	f := focalShare * float64(max(width, height))
	column := func(i int) [3]float64 {
		z := h[6+i]
		return [3]float64{(h[i] - z*float64(width)/2) / f, (h[3+i] - z*float64(height)/2) / f, z}
	}
	x, y, t := column(0), column(1), column(2)
	a, b := norm(x), norm(y)
	factor := 2 / (a + b)
	n := [3]float64{x[1]*y[2] - x[2]*y[1], x[2]*y[0] - x[0]*y[2], x[0]*y[1] - x[1]*y[0]}
	dot := (x[0]*y[0] + x[1]*y[1] + x[2]*y[2]) / (a * b)
	return View{
		Tilt:     math.Acos(math.Min(1, math.Abs(n[2])/norm(n))) * 180 / math.Pi,
		Distance: math.Abs(factor * (x[2]*at.X + y[2]*at.Y + t[2])),
		off:      math.Abs(math.Log(a/b)) + math.Abs(dot),
	}
}

func norm(v [3]float64) float64 { return math.Sqrt(v[0]*v[0] + v[1]*v[1] + v[2]*v[2]) }

// Looking is how a camera looks at a plane.
type Looking struct {
	Point    Point   // of the plane, in mm, in the middle of the picture
	Distance float64 // from it, mm
	Tilt     float64 // of the plane, degrees
	About    float64 // the direction on the plane about which it is tilted, degrees
	Turned   float64 // the picture about its middle, degrees
}

// At is what a usual telephone's camera that looks so makes of the plane, mm to pixels, in a picture of such a size.
func (l Looking) At(width, height int) Homography {
	const rad = math.Pi / 180
	ux, uy := math.Cos(l.About*rad), math.Sin(l.About*rad)
	c, s := math.Cos(l.Tilt*rad), math.Sin(l.Tilt*rad)
	x := [3]float64{c + ux*ux*(1-c), ux * uy * (1 - c), -uy * s}
	y := [3]float64{ux * uy * (1 - c), c + uy*uy*(1-c), ux * s}
	cos, sin := math.Cos(l.Turned*rad), math.Sin(l.Turned*rad)
	for _, v := range []*[3]float64{&x, &y} {
		v[0], v[1] = cos*v[0]-sin*v[1], sin*v[0]+cos*v[1]
	}
	var h Homography
	for i, far := range []float64{0, 0, l.Distance} {
		h[3*i], h[3*i+1], h[3*i+2] = x[i], y[i], far-x[i]*l.Point.X-y[i]*l.Point.Y
	}
	f := focalShare * float64(max(width, height))
	return Homography{f, 0, float64(width) / 2, 0, f, float64(height) / 2, 0, 0, 1}.after(h)
}
