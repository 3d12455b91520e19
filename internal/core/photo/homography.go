package photo

import (
	"math"

	"gonum.org/v1/gonum/mat"
)

// Point is a place: in a picture in pixels from its top left, on the card's plane in mm from the card's first corner.
type Point struct{ X, Y float64 }

func (p Point) minus(q Point) Point      { return Point{p.X - q.X, p.Y - q.Y} }
func (p Point) plus(q Point) Point       { return Point{p.X + q.X, p.Y + q.Y} }
func (p Point) times(by float64) Point   { return Point{p.X * by, p.Y * by} }
func (p Point) length() float64          { return math.Hypot(p.X, p.Y) }
func (p Point) cross(q Point) float64    { return p.X*q.Y - p.Y*q.X }
func (p Point) dot(q Point) float64      { return p.X*q.X + p.Y*q.Y }
func (p Point) distance(q Point) float64 { return p.minus(q).length() }
func (p Point) towards(q Point, share float64) Point {
	return p.plus(q.minus(p).times(share))
}

// Homography maps one plane onto another, as a camera does: row by row, up to a factor.
type Homography [9]float64

// Fit is the homography that takes each of from to the same of to: four pairs or more, no three of which lie on one
// line. False where there is none. The direct linear transform with normalised coordinates (Hartley and Zisserman
// 2004, Multiple View Geometry, algorithm 4.2).
func Fit(from, to []Point) (Homography, bool) {
	normalFrom, a := normalised(from)
	normalTo, b := normalised(to)
	rows := mat.NewDense(max(9, 2*len(from)), 9, nil)
	for i := range from {
		p, q := a[i], b[i]
		rows.SetRow(2*i, []float64{0, 0, 0, -p.X, -p.Y, -1, q.Y * p.X, q.Y * p.Y, q.Y})
		rows.SetRow(2*i+1, []float64{p.X, p.Y, 1, 0, 0, 0, -q.X * p.X, -q.X * p.Y, -q.X})
	}
	var svd mat.SVD
	if !svd.Factorize(rows, mat.SVDThin) {
		return Homography{}, false
	}
	values := svd.Values(nil)
	if values[7] < 1e-9*values[0] { // more than one would do
		return Homography{}, false
	}
	var v mat.Dense
	svd.VTo(&v)
	var h Homography
	for i := range h {
		h[i] = v.At(i, 8)
	}
	back, is := normalTo.Inverse()
	return back.after(h).after(normalFrom), is
}

// ontoQuad is the homography that takes a rectangle with a corner at the origin to four corners in their order round
// it: the same as Fit, in closed form (Heckbert 1989, Fundamentals of Texture Mapping and Image Warping, section 2.2.3,
// from memory; held to Fit by a test). Corners on one line give numbers that are none.
func ontoQuad(width, height float64, q []Point) Homography {
	d1, d2 := q[1].minus(q[2]), q[3].minus(q[2])
	s := q[0].minus(q[1]).plus(q[2]).minus(q[3])
	across := d1.cross(d2)
	g, h := s.cross(d2)/across, d1.cross(s)/across
	return Homography{
		(q[1].X - q[0].X + g*q[1].X) / width, (q[3].X - q[0].X + h*q[3].X) / height, q[0].X,
		(q[1].Y - q[0].Y + g*q[1].Y) / width, (q[3].Y - q[0].Y + h*q[3].Y) / height, q[0].Y, g / width, h / height, 1,
	}
}

// normalised moves points so that they lie round the origin, on average the root of two away from it.
func normalised(points []Point) (Homography, []Point) {
	var middle Point
	for _, p := range points {
		middle = middle.plus(p.times(1 / float64(len(points))))
	}
	mean := 0.0
	for _, p := range points {
		mean += p.distance(middle) / float64(len(points))
	}
	if mean == 0 {
		mean = 1
	}
	s := math.Sqrt2 / mean
	t := Homography{s, 0, -s * middle.X, 0, s, -s * middle.Y, 0, 0, 1}
	moved := make([]Point, len(points))
	for i, p := range points {
		moved[i] = t.Of(p)
	}
	return t, moved
}

// Of is where a point comes to.
func (h Homography) Of(p Point) Point {
	w := h[6]*p.X + h[7]*p.Y + h[8]
	return Point{(h[0]*p.X + h[1]*p.Y + h[2]) / w, (h[3]*p.X + h[4]*p.Y + h[5]) / w}
}

// after is h of what first does.
func (h Homography) after(first Homography) (out Homography) {
	for r := range 3 {
		for c := range 3 {
			for k := range 3 {
				out[3*r+c] += h[3*r+k] * first[3*k+c]
			}
		}
	}
	return out
}

// Inverse takes back what h does; false where nothing does.
func (h Homography) Inverse() (Homography, bool) {
	var inverse mat.Dense
	if err := inverse.Inverse(mat.NewDense(3, 3, h[:])); err != nil {
		return Homography{}, false
	}
	var out Homography
	copy(out[:], inverse.RawMatrix().Data)
	return out, true
}

// scale is how many units of its picture a unit at a point is long, in the middle of all directions.
func (h Homography) scale(p Point) float64 {
	const step = 1e-3
	q := h.Of(p)
	x, y := h.Of(Point{p.X + step, p.Y}).minus(q), h.Of(Point{p.X, p.Y + step}).minus(q)
	return math.Sqrt(math.Abs(x.cross(y))) / step
}
