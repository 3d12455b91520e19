// Package photo reads lengths in mm off a picture that has a card in it, or two points a known distance apart, each
// with its range. It takes no picture itself: it is told where things are in one.
package photo

import (
	"cmp"
	"math"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// Reference is what of known size is in the picture.
type Reference string

// What can be.
const (
	Card  Reference = "card"  // of a bank card's size; it tells the perspective as well
	Known Reference = "known" // two points a known distance apart: a coin's widest, a ruler's marks
)

// Shot is a picture, and where in it something of known size is.
type Shot struct {
	Width, Height int // pixels
	Reference     Reference
	Handles       []Point // a card's corners in their order round it; or two points
	MM            float64 // that the two points are apart
	Held          Holding // how the nail stands to the card
	pose          pose    // of the nail, as it is tried
	lens          float64 // focal length as a share of the longer side, as it is tried; 0 is a usual one
	settled       *stands // how the nail stands to the card, where a second picture settled that
}

// focal is the focal length, as a share of the picture's longer side.
func (s Shot) focal() float64 { return cmp.Or(s.lens, focalShare) }

// Marks are the points of a nail in the picture. Without a point on the ridge between, it is taken to be straight.
type Marks struct {
	Coat, Tip                       Point
	Ridge, Groove, Pink, Pad, Floor *Point
	Low                             *Point // the nail's lowest; nil: its tip is
}

// Check names what cannot be of the reference.
func (s Shot) Check() fault.Fields {
	var f fault.Fields
	const least, most = 16, 20000
	f.Range("width", float64(s.Width), least, most, fault.Pixels)
	f.Range("height", float64(s.Height), least, most, fault.Pixels)
	if s.Reference == Card && !s.Held.known() {
		f.Add("held", string(s.Held), fault.AnyOf(Holdings()))
	}
	switch s.Reference {
	case Card:
		if len(s.Handles) != 4 {
			f.Add(
				"handles",
				say.Of(points2, say.Args{"handles": say.Count(len(s.Handles))}),
				say.Of(mustBeTheCardsFour),
			)
			return f
		}
		s.checkCorners(&f)
	case Known:
		f.Range("known_mm", s.MM, 1, mostKnown, fault.MM)
		if len(s.Handles) != 2 {
			f.Add(
				"handles",
				say.Of(points2, say.Args{"handles": say.Count(len(s.Handles))}),
				say.Of(mustBeTheTwoPoints),
			)
		} else if s.Handles[0].distance(s.Handles[1]) < leastEdge {
			f.Add(
				"handles",
				say.Of(tooNearEachOther),
				say.Of(mustBeAtLeastPixelsApart, say.Args{"leastEdge": say.Number(leastEdge)}),
			)
		}
	default:
		f.Add("reference", string(s.Reference), say.Of(mustBeCardOrKnown))
	}
	return f
}

// checkCorners notes corners that are no card's.
func (s Shot) checkCorners(f *fault.Fields) {
	turns := 0.0
	for i, p := range s.Handles {
		q, r := s.Handles[(i+1)%4], s.Handles[(i+2)%4]
		if p.distance(q) < leastEdge {
			f.Add(
				"handles",
				say.Of(tooNearEachOther),
				say.Of(mustBeCornersAtLeast, say.Args{"leastEdge": say.Number(leastEdge)}),
			)
			return
		}
		turn := q.minus(p).cross(r.minus(q)) / (p.distance(q) * math.Max(1, q.distance(r)))
		if turns*turn < 0 || math.Abs(turn) < 0.05 {
			f.Add("handles", say.Of(crossedOrOnOneLine), say.Of(mustGoRoundTheCard))
			return
		}
		turns = turn
	}
}

// plane takes the picture to the card's plane, pixels to mm.
func (s Shot) plane() (Homography, bool) {
	if s.Reference == Known {
		k := s.MM / s.Handles[0].distance(s.Handles[1])
		return Homography{k, 0, 0, 0, k, 0, 0, 0, 1}, true
	}
	long, is := Fit(s.Handles, CardCorners())
	high, also := Fit(s.Handles, corners(CardHeight, CardWidth))
	if !is || !also {
		return Homography{}, false
	}
	if s.seen(high, CardHeight, CardWidth).off < s.seen(long, CardWidth, CardHeight).off {
		return high, true
	}
	return long, true
}

// CardCorners are those of a card with a corner at the origin, in mm: along its long side first.
func CardCorners() []Point { return corners(CardWidth, CardHeight) }

func corners(width, height float64) []Point {
	return []Point{{0, 0}, {width, 0}, {width, height}, {0, height}}
}

// seen is how the camera saw the plane at the card's middle.
func (s Shot) seen(plane Homography, width, height float64) View {
	h, is := plane.Inverse()
	if !is {
		return View{off: math.Inf(1)}
	}
	return viewOf(h, s.Width, s.Height, Point{width / 2, height / 2})
}
