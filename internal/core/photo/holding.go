package photo

import "math"

// Holding is how a nail stands to the card.
type Holding string

// How it can.
const (
	Beside Holding = "beside" // the card is held beside the nail, in its plane
	Under  Holding = "under"  // the card lies under the paw: the nail is nearer to the camera
	Unsure Holding = "unsure" // nobody looked

	flat Holding = "flat" // both lie on one table
)

// Holdings are those that can be told.
func Holdings() []Holding { return []Holding{Beside, Under, Unsure} }

func (h Holding) known() bool { _, is := holdings[h]; return is }

// stands is where a nail so held lies: how far before the card's plane, towards the camera, mm, how far off that it may
// be, and by how much it may lean out of the plane, its tip nearer or farther, degrees. Ranges hold nine times in ten
// (judgement: a hand that holds a card beside a nail brings its plane within four millimetres and twelve degrees).
type stands struct{ depth, depthOff, leanOff float64 }

var holdings = map[Holding]stands{
	Beside: {0, 4, 12},
	Under:  {5, 6, 20},
	Unsure: {2, 8, 25},
	flat:   {0, 1.5, 4},
}

// pose is how a nail lies: its middle so far before the card's plane, mm, its tip leaning towards the camera, degrees.
type pose struct{ depth, lean float64 }

// eye is where the camera was: over a point of the card's plane, so high, mm.
type eye struct {
	over Point
	high float64
}

// eyeOf is where a usual telephone's camera was, that took the plane so to its picture.
func eyeOf(h Homography, width, height int) eye {
	f := focalShare * float64(max(width, height))
	column := func(i int) [3]float64 {
		z := h[6+i]
		return [3]float64{(h[i] - z*float64(width)/2) / f, (h[3+i] - z*float64(height)/2) / f, z}
	}
	x, y, t := column(0), column(1), column(2)
	a, b := norm(x), norm(y)
	n := [3]float64{x[1]*y[2] - x[2]*y[1], x[2]*y[0] - x[0]*y[2], x[0]*y[1] - x[1]*y[0]}
	dot := func(u, v [3]float64) float64 { return u[0]*v[0] + u[1]*v[1] + u[2]*v[2] }
	size := (a + b) / 2 // of a millimetre, in the units of t
	return eye{Point{-dot(x, t) / (a * a), -dot(y, t) / (b * b)}, math.Abs(dot(n, t)/norm(n)) / size}
}

// lift takes points from where the camera sees them on the card's plane to where they are in a nail's own, coat line and
// tip first: along the ray to the camera, and stretched by what leaning hid.
func (p pose) lift(e eye, points []*Point) {
	if p == (pose{}) {
		return
	}
	coat, tip := *points[0], *points[1]
	middle, along := coat.towards(tip, 0.5), tip.minus(coat).times(1/math.Max(coat.distance(tip), 1e-9))
	lean := p.lean * math.Pi / 180
	for _, at := range points {
		high := p.depth + at.minus(middle).dot(along)*math.Tan(lean)
		lifted := at.plus(e.over.minus(*at).times(high / e.high))
		far := lifted.minus(middle).dot(along)
		*at = lifted.plus(along.times(far * (1/math.Cos(lean) - 1)))
	}
}
