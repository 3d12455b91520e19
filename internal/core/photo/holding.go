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
type stands struct{ depth, depthOff, lean, leanOff float64 }

var holdings = map[Holding]stands{
	Beside: {depth: 0, depthOff: 4, leanOff: 12},
	Under:  {depth: 5, depthOff: 6, leanOff: 20},
	Unsure: {depth: 2, depthOff: 8, leanOff: 25},
	flat:   {depth: 0, depthOff: 1.5, leanOff: 4},
}

// stands is as a second picture settled it, or as was said of the holding.
func (s Shot) stands() stands {
	if s.settled != nil {
		return *s.settled
	}
	return holdings[s.Held]
}

// pose is how a nail lies: its middle so far before the card's plane, mm, its tip leaning towards the camera, degrees.
type pose struct{ depth, lean float64 }

// eye is where the camera was: over a point of the card's plane, so high, mm.
type eye struct {
	over Point
	high float64
}

// eyeOf is where a camera of such a focal length, as a share of the picture's longer side, was that took the plane so
// to its picture.
func eyeOf(h Homography, width, height int, focal float64) eye {
	f := focal * float64(max(width, height))
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

// lift takes points from where the camera sees them on the card's plane to where they are in a nail's own, coat line
// and tip first: along the ray to the camera, and stretched by what leaning hid.
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
