package photo

import (
	"math"
	"slices"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// Side is a second picture of the same nail and the same card, unmoved, from farther to one side: where its lines of
// sight meet those of the first is where the nail is.
type Side struct {
	Shot
	Coat, Tip Point
}

// Stands is how a nail stands to the card's plane, as two pictures tell it; ranges hold nine times in ten.
type Stands struct {
	Depth estimate.Estimate // of its middle before that plane, towards the camera, mm
	Lean  estimate.Estimate // of its tip towards the camera, degrees
	Apart float64           // between the two lines of sight, degrees
}

// With settles by a second picture how the nail of the first stands to the card: reading it then says how long it is,
// wherever it was held. It returns fault.Fields where the two do not belong together.
func (s Shot) With(side Side, m Marks) (Shot, Stands, error) {
	side.Reference, side.Held = Card, Unsure
	var f fault.Fields
	f.Under("side", side.Check())
	if s.Reference != Card {
		f.Add("reference", string(s.Reference), say.Of(mustBeCardOnlyA))
	}
	if side.Coat.distance(side.Tip) < leastApart {
		f.Add("side.coat", say.Of(atTheTip), say.Of(mustStandApartFromTheTip))
	}
	if err := f.Err(); err != nil {
		return s, Stands{}, err
	}
	met, is := s.meet(side, m)
	if !is {
		return s, Stands{}, fault.Fields{
			{Name: "side.handles", Value: say.Of(onOneLine), Want: say.Of(mustGoRoundTheCard)},
		}
	}
	off := s.meetOff(side, m, met)
	switch {
	case side.misfit() > mostMisfit:
		f.Add(
			"side.handles",
			say.Of(offACardsShape2, say.Args{"side": say.Round(100 * side.misfit())}),
			say.Of(mustBeTheFourCornersOf),
		)
	case met.apart < leastBeside:
		f.Add(
			"side",
			say.Of(besideTheFirst, say.Args{"apart": say.Round(met.apart)}),
			say.Of(mustBeTakenFromFarther, say.Args{"leastBeside": say.Number(leastBeside)}),
		)
	case met.missed > missedBy*off.missed:
		f.Add(
			"side",
			say.Of(theLinesOfSightMiss, say.Args{"missed": say.Length(met.missed)}),
			say.Of(mustShowTheSameTwo),
		)
	case math.Abs(met.lean) > mostLean || math.Abs(met.depth) > mostDepth:
		f.Add(
			"side",
			say.Of(mmBeforeTheCardLeaning, say.Args{"depth": say.Length(met.depth), "lean": say.Round(met.lean)}),
			say.Of(mustShowTheNailNear),
		)
	}
	if err := f.Err(); err != nil {
		return s, Stands{}, err
	}
	s.settled = &stands{depth: met.depth, depthOff: off.depth, lean: met.lean, leanOff: off.lean}
	ranged := func(value, off float64) estimate.Estimate {
		return estimate.Estimate{Value: value, Low: value - off, High: value + off, Source: estimate.Measured}
	}
	return s, Stands{Depth: ranged(met.depth, off.depth), Lean: ranged(met.lean, off.lean), Apart: met.apart}, nil
}

// met is where the lines of sight of two pictures meet.
type met struct {
	pose
	missed float64 // by how much they do not, mm, the worse of the two points
	apart  float64 // between them, degrees
}

// meet is where the lines of sight of coat line and tip meet. The second picture's corners may begin anywhere round the
// card: the turn by which the lines miss each other least is the right one.
func (s Shot) meet(side Side, m Marks) (best met, is bool) {
	first, ok := s.plane()
	if !ok {
		return best, false
	}
	a, ok := linesOf(first, s, m.Coat, m.Tip)
	if !ok {
		return best, false
	}
	second, ok := side.plane()
	if !ok {
		return best, false
	}
	for range 4 {
		if b, ok := linesOf(second, side.Shot, side.Coat, side.Tip); ok && sameWay(s, first, side.Shot, second) {
			if found := meeting(a, b); !is || found.missed < best.missed {
				best, is = found, true
			}
		}
		side.Handles = append(slices.Clone(side.Handles[1:]), side.Handles[0])
		if second, ok = side.plane(); !ok {
			return best, false
		}
	}
	return best, is
}

// sameWay tells whether two shots have the card lying the same way in its plane: its long side along the same axis.
func sameWay(a Shot, planeA Homography, b Shot, planeB Homography) bool {
	long := func(s Shot, plane Homography) bool {
		return plane.Of(s.Handles[0]).distance(plane.Of(s.Handles[1])) > (CardWidth+CardHeight)/2
	}
	return long(a, planeA) == long(b, planeB)
}

// sight is a line from the camera through a point of the card's plane.
type sight struct{ from, to [3]float64 }

// linesOf are the lines of sight of coat line and tip.
func linesOf(plane Homography, s Shot, coat, tip Point) (lines [2]sight, is bool) {
	back, is := plane.Inverse()
	if !is {
		return lines, false
	}
	e := eyeOf(back, s.Width, s.Height, s.focal())
	for i, p := range []Point{coat, tip} {
		on := plane.Of(p)
		lines[i] = sight{[3]float64{e.over.X, e.over.Y, e.high}, [3]float64{on.X, on.Y, 0}}
	}
	return lines, true
}

// meeting is where two pairs of lines meet: the middle of where they come nearest (Hartley and Zisserman 2004, Multiple
// View Geometry, section 12.1: the midpoint method).
func meeting(a, b [2]sight) met {
	var at [2][3]float64
	var m met
	for i := range at {
		u, v := minus3(a[i].to, a[i].from), minus3(b[i].to, b[i].from)
		w := minus3(a[i].from, b[i].from)
		uu, uv, vv, uw, vw := dot3(u, u), dot3(u, v), dot3(v, v), dot3(u, w), dot3(v, w)
		across := math.Max(uu*vv-uv*uv, 1e-12)
		s, t := (uv*vw-vv*uw)/across, (uu*vw-uv*uw)/across
		p, q := along3(a[i].from, u, s), along3(b[i].from, v, t)
		m.missed = math.Max(m.missed, norm(minus3(p, q)))
		at[i] = along3(p, minus3(q, p), 0.5)
		m.apart += math.Acos(math.Min(1, math.Abs(uv)/math.Sqrt(uu*vv))) * 90 / math.Pi
	}
	up := minus3(at[1], at[0])
	m.depth = (at[0][2] + at[1][2]) / 2
	m.lean = math.Atan2(up[2], math.Hypot(up[0], up[1])) * 180 / math.Pi
	return m
}

// meetOff is how far off what two pictures say may be: each handle and point of both, the coat line that hair hides and
// that may be taken elsewhere in each, the lens, and a paw that does not quite keep still, added in squares.
func (s Shot) meetOff(side Side, m Marks, at met) (off met) {
	s.Handles, side.Handles = slices.Clone(s.Handles), slices.Clone(side.Handles)
	sum := func(a, b met, times float64) {
		off.depth += math.Pow((a.depth-b.depth)*times, 2)
		off.lean += math.Pow((a.lean-b.lean)*times, 2)
		off.missed += math.Pow((a.missed-b.missed)*times, 2)
	}
	add := func(by float64, move func(by float64)) {
		const step = 0.5
		move(step)
		more, _ := s.meet(side, m)
		move(-2 * step)
		less, _ := s.meet(side, m)
		move(step)
		sum(more, less, by/(2*step))
	}
	points := []*Point{&m.Coat, &m.Tip, &side.Coat, &side.Tip}
	for i := range 4 {
		points = append(points, &s.Handles[i], &side.Handles[i])
	}
	for _, p := range points {
		add(handlePx, func(by float64) { p.X += by })
		add(handlePx, func(by float64) { p.Y += by })
	}
	along := side.Tip.minus(side.Coat).times(1 / math.Max(side.Tip.distance(side.Coat), 1e-9))
	px := coatLine * math.Sqrt2 // taken twice, of the nail as long as it is seen
	if plane, is := side.plane(); is {
		px /= plane.scale(side.Coat)
	}
	add(px, func(by float64) { side.Coat = side.Coat.plus(along.times(by)) })
	lens := func(share float64) met {
		a, b := s, side
		a.lens, b.lens = share, share
		found, _ := a.meet(b, m)
		return found
	}
	sum(lens(s.focal()*(1+lensOff)), lens(s.focal()*(1-lensOff)), 0.5)
	moved := stillWithin / math.Tan(at.apart*math.Pi/180)
	return met{
		pose:   pose{math.Sqrt(off.depth + moved*moved), math.Sqrt(off.lean)},
		missed: math.Sqrt(off.missed + stillWithin*stillWithin),
	}
}

func minus3(a, b [3]float64) [3]float64 { return [3]float64{a[0] - b[0], a[1] - b[1], a[2] - b[2]} }
func dot3(a, b [3]float64) float64      { return a[0]*b[0] + a[1]*b[1] + a[2]*b[2] }
func along3(from, way [3]float64, t float64) [3]float64 {
	return [3]float64{from[0] + t*way[0], from[1] + t*way[1], from[2] + t*way[2]}
}
