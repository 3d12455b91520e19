package photo

import (
	"fmt"
	"math"
	"slices"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
)

// Read is what a picture says of a nail. What no point was put at stays nil.
type Read struct {
	Length measure.Number
	Gap    *measure.Number                   // from the lowest point to the floor
	Quick  map[quick.Landmark]measure.Number // from the tip to where the quick is seen to end
	Radius *estimate.Estimate                // of the ridge's arc, mm; nil where it was not told, or is straight
	// how far the tip stands out past the pad's edge, mm; negative: it does not
	PastPad *estimate.Estimate
	PxPerMM float64 // at the nail
	View    *View   // nil where only a known distance was in the picture
}

// Read reads a nail off the picture. It returns fault.Fields, with what would be right, where the picture cannot be
// read.
func (s Shot) Read(m Marks) (Read, error) {
	f := s.Check()
	m.check(&f)
	if err := f.Err(); err != nil {
		return Read{}, err
	}
	n, is := s.nail(m)
	if !is {
		return Read{}, fault.Fields{{Name: "handles", Value: say.Of(onOneLine), Want: say.Of(mustGoRoundTheCard)}}
	}
	r := Read{PxPerMM: n.pxPerMM}
	if s.Reference == Card {
		view := n.view
		r.View = &view
	}
	if err := s.refuse(n).Err(); err != nil {
		return Read{}, err
	}
	r.Length = s.number(m, func(n onPlane) float64 { return n.length() }, coatLine)
	if m.Floor != nil {
		gap := s.number(m, func(n onPlane) float64 { return n.low.distance(n.floor) }, 0)
		r.Gap = &gap
	}
	for mark, at := range m.quicks() {
		if mm := n.fromTip(at(n)); mm < 0 || mm > r.Length.MM {
			return Read{}, fault.Fields{
				{
					Name:  map[quick.Landmark]string{quick.Groove: "groove", quick.SeenThrough: "pink"}[mark],
					Value: say.Of(outsideTheNail),
					Want:  say.Of(mustStandBetweenCoatLine),
				},
			}
		}
		seen := s.number(m, func(n onPlane) float64 { return n.fromTip(at(n)) }, estimate.Z90*mark.Number(0, "", 0).SD)
		if r.Quick == nil {
			r.Quick = map[quick.Landmark]measure.Number{}
		}
		r.Quick[mark] = seen
	}
	if n.bent && n.bend() >= straight {
		radius := ranged(s.number(m, func(n onPlane) float64 { _, radius, _ := n.arc(); return radius }, 0))
		r.Radius = &radius
	}
	if m.Pad != nil {
		past := ranged(s.number(m, func(n onPlane) float64 { return n.past() }, 0))
		r.PastPad = &past
	}
	return r, nil
}

func ranged(n measure.Number) estimate.Estimate {
	by := estimate.Z90 * n.SD
	return estimate.Estimate{Value: n.MM, Low: n.MM - by, High: n.MM + by, Source: estimate.Measured}
}

// Shape is the shape that a nail of such a radius has, for a dog of this weight in kg: the nearest of those that it can
// have.
func (r Read) Shape(code nail.Code, weight float64) nail.Shape {
	if r.Radius == nil {
		return nail.Straight
	}
	shapes := []nail.Shape{nail.Straight, nail.Usual, nail.Hooked, nail.Curled}
	return slices.MinFunc(shapes, func(a, b nail.Shape) int {
		off := func(shape nail.Shape) float64 {
			return math.Abs(math.Log(claw.Assumed(code, shape, weight).Radius / r.Radius.Value))
		}
		return int(math.Copysign(1, off(a)-off(b)))
	})
}

// CheckOutline refuses corners under whose sides the picture shows no edge of a card, and names the one that stands
// off.
func (s Shot) CheckOutline(o Outline) error {
	var f fault.Fields
	switch corner, loose := o.Loose(); {
	case s.Reference != Card:
	case loose:
		f.Add(fmt.Sprintf("handles[%d]", corner), say.Of(offTheCardsCorner), say.Of(mustStandOnTheCards))
	case !o.Shown():
		f.Add("handles", say.Of(noCard), say.Of(mustStandOnTheCardsCorners))
	}
	return f.Err()
}

// check notes points that are none of a nail.
func (m Marks) check(f *fault.Fields) {
	if m.Coat.distance(m.Tip) < leastApart {
		f.Add("tip", say.Of(atTheCoatLine), say.Of(mustStandApartFromThe))
	}
	if m.Ridge != nil && (m.Ridge.distance(m.Tip) < leastApart || m.Ridge.distance(m.Coat) < leastApart) {
		f.Add("ridge", say.Of(atAnEnd), say.Of(mustStandOnTheRidge))
	}
}

// quicks are the marks by which the quick's end was seen.
func (m Marks) quicks() map[quick.Landmark]func(onPlane) Point {
	all := map[quick.Landmark]func(onPlane) Point{}
	if m.Groove != nil {
		all[quick.Groove] = func(n onPlane) Point { return n.groove }
	}
	if m.Pink != nil {
		all[quick.SeenThrough] = func(n onPlane) Point { return n.pink }
	}
	return all
}

// refuse says why a picture is not read.
func (s Shot) refuse(n onPlane) fault.Fields {
	var f fault.Fields
	if n.pxPerMM < leastPx {
		f.Add(
			"handles",
			say.Of(pixelsAMillimetre, say.Args{"pixels": say.Tenths(n.pxPerMM)}),
			say.Of(mustBeAtLeastPixels, say.Args{"leastPx": say.Number(leastPx)}),
		)
	}
	if s.Reference != Card {
		return f
	}
	if misfit := s.misfit(); misfit > mostMisfit {
		f.Add(
			"handles",
			say.Of(offACardsShape, say.Args{"misfit": say.Round(100 * misfit)}),
			say.Of(mustBeTheFourCorners),
		)
	}
	if n.view.Tilt > mostTilt {
		f.Add(
			"handles",
			say.Of(tiltedBy, say.Args{"tilt": say.Round(n.view.Tilt)}),
			say.Of(mustBeACardTilted, say.Args{"mostTilt": say.Number(mostTilt)}),
		)
	}
	if n.reach > mostReach {
		f.Add("tip", say.Of(farFromTheCard), say.Of(mustBeNearTheCard))
	}
	return f
}

// onPlane is a nail on the card's plane, in mm.
type onPlane struct {
	coat, tip                            Point
	ridge, groove, pink, pad, floor, low Point
	bent                                 bool
	pxPerMM                              float64
	view                                 View
	// of the farther end from the card's middle, as a share of the way to its corners
	reach float64
}

func (s Shot) nail(m Marks) (n onPlane, is bool) {
	h, is := s.plane()
	if !is {
		return n, false
	}
	n.coat, n.tip = h.Of(m.Coat), h.Of(m.Tip)
	n.low = n.tip
	points := []*Point{&n.coat, &n.tip}
	if m.Low == nil {
		points = append(points, &n.low)
	}
	for _, one := range []struct {
		in   *Point
		onto *Point
	}{
		{m.Ridge, &n.ridge}, {m.Groove, &n.groove}, {m.Pink, &n.pink},
		{m.Pad, &n.pad}, {m.Floor, &n.floor}, {m.Low, &n.low},
	} {
		if one.in != nil {
			*one.onto = h.Of(*one.in)
			points = append(points, one.onto)
		}
	}
	n.bent = m.Ridge != nil
	n.pxPerMM = 1 / h.scale(m.Coat.towards(m.Tip, 0.5))
	if s.Reference == Card {
		back, is := h.Inverse()
		if !is {
			return n, false
		}
		n.view = viewOf(back, s.Width, s.Height, n.coat.towards(n.tip, 0.5))
		middle := h.Of(s.Handles[0]).towards(h.Of(s.Handles[2]), 0.5)
		corner := h.Of(s.Handles[0]).distance(middle)
		n.reach = math.Max(n.coat.distance(middle), n.tip.distance(middle)) / corner
		s.pose.lift(eyeOf(back, s.Width, s.Height, s.focal()), points)
	}
	return n, true
}

// Grid are lines of the card's plane round a nail, a centimetre apart, as the picture shows them: where they do not lie
// on the nail, it is not in that plane.
func (s Shot) Grid(m Marks) [][2]Point {
	plane, is := s.plane()
	back, also := plane.Inverse()
	if !is || !also || s.Reference != Card {
		return nil
	}
	const every, round = 10.0, 14.0 // mm
	a, b := plane.Of(m.Coat), plane.Of(m.Tip)
	snapped := func(x, y float64) (low, high float64) {
		return math.Floor((math.Min(x, y)-round)/every) * every, math.Ceil((math.Max(x, y)+round)/every) * every
	}
	left, right := snapped(a.X, b.X)
	up, down := snapped(a.Y, b.Y)
	var lines [][2]Point
	for x := left; x <= right; x += every {
		lines = append(lines, [2]Point{back.Of(Point{x, up}), back.Of(Point{x, down})})
	}
	for y := up; y <= down; y += every {
		lines = append(lines, [2]Point{back.Of(Point{left, y}), back.Of(Point{right, y})})
	}
	return lines
}

// arc is the circle through coat line, ridge and tip; false where they lie on one line, or no ridge was told.
func (n onPlane) arc() (centre Point, radius float64, is bool) {
	b, c := n.ridge.minus(n.coat), n.tip.minus(n.coat)
	if !n.bent || n.bend() < onALine {
		return centre, 0, false
	}
	d := 2 * b.cross(c)
	from := Point{c.Y*b.dot(b) - b.Y*c.dot(c), b.X*c.dot(c) - c.X*b.dot(b)}.times(1 / d)
	return n.coat.plus(from), from.length(), true
}

// bend is how far the ridge stands off the chord, as a share of that.
func (n onPlane) bend() float64 {
	chord := n.tip.minus(n.coat)
	return math.Abs(chord.cross(n.ridge.minus(n.coat))) / chord.dot(chord)
}

// length is along the ridge, mm: an arc through three points, or the chord of two.
func (n onPlane) length() float64 { return n.fromTip(n.coat) }

// fromTip is how far from the tip a point lies along the ridge, mm, wherever between ridge and underside it is;
// negative beyond the tip.
func (n onPlane) fromTip(p Point) float64 {
	centre, radius, is := n.arc()
	if !is {
		along := n.tip.minus(n.coat)
		return n.tip.minus(p).dot(along) / along.length()
	}
	way := math.Copysign(1, n.ridge.minus(n.coat).cross(n.tip.minus(n.ridge))) // in which the ridge turns
	a, b := p.minus(centre), n.tip.minus(centre)
	turned := way * math.Atan2(a.cross(b), a.dot(b))
	if turned < -math.Pi/2 { // it has turned by more than half
		turned += 2 * math.Pi
	}
	return turned * radius
}

// past is how far the tip stands out past the pad's edge along the nail, mm.
func (n onPlane) past() float64 {
	along := n.tip.minus(n.coat)
	if n.bent {
		along = n.tip.minus(n.ridge)
	}
	return n.tip.minus(n.pad).dot(along) / along.length()
}

// number is a length on the plane with how far it may be off: its own share that no picture sees (a range that holds
// nine times in ten, mm) with handles and points, the plane and the lens, added in squares.
func (s Shot) number(m Marks, of func(onPlane) float64, own float64) measure.Number {
	held := s.stands()
	at := func(depth, lean float64) float64 {
		s.pose = pose{depth: depth, lean: lean}
		n, _ := s.nail(m)
		return of(n)
	}
	mm := at(held.depth, held.lean)
	misfit := 0.0
	if s.Reference == Card {
		misfit = s.misfit() // of the handles as they stand
	}
	const step = 0.5 // pixels
	sum := own * own
	add := func(by float64) { sum += by * by }
	if s.Reference == Card {
		more, less := at(held.depth, held.lean+held.leanOff), at(held.depth, held.lean-held.leanOff)
		add((more - less) / 2)
		// whichever way it leans it is seen too short: the mean of a square
		bent := ((more+less)/2 - mm) / (estimate.Z90 * estimate.Z90)
		add(bent * math.Sqrt2 * estimate.Z90)
		add((at(held.depth+1, held.lean) - at(held.depth-1, held.lean)) / 2 * held.depthOff)
		mm += bent
		s.pose = pose{held.depth, held.lean}
	}
	points := []*Point{&m.Coat, &m.Tip}
	for _, p := range []**Point{&m.Ridge, &m.Groove, &m.Pink, &m.Pad, &m.Floor, &m.Low} {
		if *p != nil {
			moved := **p // the caller's stays
			*p = &moved
			points = append(points, *p)
		}
	}
	s.Handles = slices.Clone(s.Handles)
	for i := range s.Handles {
		points = append(points, &s.Handles[i])
	}
	for _, p := range points {
		for _, at := range []*float64{&p.X, &p.Y} {
			was := *at
			*at = was + step
			more, _ := s.nail(m)
			*at = was - step
			less, _ := s.nail(m)
			*at = was
			add((of(more) - of(less)) / (2 * step) * handlePx)
		}
	}
	add(mm * straightness)
	if s.Reference == Card {
		add(mm * misfitCounts * misfit)
	}
	if s.Reference != Card {
		add(mm * noPerspective)
	}
	return measure.Number{MM: mm, By: measure.Photo, SD: math.Sqrt(sum) / estimate.Z90}
}

// IsPastPad tells whether the tip stands out past the pad, whatever of the range is true.
func (r Read) IsPastPad() bool { return r.PastPad != nil && r.PastPad.Low > 0 }
