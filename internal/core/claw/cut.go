package claw

import "math"

// School is a way to place the cut. Practitioners disagree; each gains and costs something.
type School string

const (
	Level    School = "level"    // one cut parallel to the floor
	Square   School = "square"   // straight across the nail's own axis at the quick's end
	Steep    School = "steep"    // leans back past upright, taking the top front
	Sculpted School = "sculpted" // square, and a bevel off the top
)

// Schools lists them in the order they are shown.
func Schools() []School { return []School{Level, Square, Steep, Sculpted} }

// Cut is what one school takes off a nail and gains.
type Cut struct {
	School  School
	Planes  []float64 // angle of each plane to the floor, radians
	Ridge   float64   // length of ridge that comes off, mm
	Area    float64   // of the side view that comes off, mm²
	Gap     float64   // to the floor afterwards, mm
	Reach   float64   // forward of the coat line afterwards, mm
	ToFloor float64   // growth left until the kept horn touches, mm; +Inf when it never does
	Slivers int       // of the given thickness, all planes together; 0 when it takes nothing
	Outline []Point   // what is kept, closed
}

// Cuts returns what each school does to the nail when its planes stand margin mm clear of a
// quick that ends at arc length quick (mm), in slivers of the given thickness (mm).
func (s Stance) Cuts(quick, margin, sliver float64) []Cut {
	whole := s.Outline()
	cuts := make([]Cut, 0, len(Schools()))
	for _, school := range Schools() {
		cuts = append(cuts, s.cut(school, whole, quick, margin, sliver))
	}
	return cuts
}

// angles are the planes of a school for a quick that ends at arc length quick.
func (s Stance) angles(school School, quick float64) []float64 {
	square := math.Pi/2 - s.angleAt(quick)
	switch school {
	case Level:
		return []float64{0}
	case Steep:
		return []float64{steepAngle}
	case Sculpted:
		return []float64{square, square + bevelAngle}
	default:
		return []float64{square}
	}
}

func (s Stance) cut(school School, whole []Point, quick, margin, sliver float64) Cut {
	c := Cut{School: school, Planes: s.angles(school, quick), Outline: whole}
	var planes []plane
	for _, angle := range c.Planes {
		p := plane{normalX: math.Sin(angle), normalZ: -math.Cos(angle)}
		p.offset = s.quickReach(quick, p) + margin
		if over := p.farthest(c.Outline); over > hair {
			c.Slivers += int(math.Ceil(over/sliver - hair))
		}
		c.Outline = p.keep(c.Outline)
		planes = append(planes, p)
	}
	c.Ridge = s.ridgeOutside(planes)
	c.Area = math.Max(0, area(whole)-area(c.Outline))
	c.Gap, c.Reach, c.ToFloor = math.Inf(1), math.Inf(-1), math.Inf(1)
	for i, p := range c.Outline {
		c.Gap = math.Min(c.Gap, p.Z)
		c.Reach = math.Max(c.Reach, p.X)
		c.ToFloor = math.Min(c.ToFloor, s.edgeToFloor(p, c.Outline[(i+1)%len(c.Outline)]))
	}
	c.Gap = math.Max(0, c.Gap)
	return c
}

// Slivers are where the cuts of a school run that come off one after the other, each so many mm thick,
// on a nail whose quick ends at arc length quick, mm: from the underside's edge to the ridge's or the
// other way. A sculpted nail is first cut square. What would lie behind the coat line is left out.
func (s Stance) Slivers(school School, quick float64, mm []float64) [][2]Point {
	angle := s.angles(school, quick)[0]
	p := plane{normalX: math.Sin(angle), normalZ: -math.Cos(angle)}
	whole := s.Outline()
	p.offset = p.farthest(whole)
	lines := [][2]Point{}
	for _, thick := range mm {
		p.offset -= thick
		ends, meets := p.across(whole)
		if !meets {
			break
		}
		lines = append(lines, ends)
	}
	return lines
}

// quickReach is how far the quick's outline reaches along a plane's normal: a round-ended core
// along a line in the lower half of the nail.
func (s Stance) quickReach(quick float64, p plane) float64 {
	half := quickHalfWidth * s.Depth
	end := math.Max(0, quick-half)
	far := math.Inf(-1)
	for i := range edgePoints {
		at := end * float64(i) / (edgePoints - 1)
		far = math.Max(far, p.along(s.point(at, quickDepth*s.depthAt(at))))
	}
	return far + half
}

// Quick is the closed outline of a quick that ends at arc length quick, mm.
func (s Stance) Quick(quick float64) []Point {
	half := quickHalfWidth * s.Depth
	end := math.Max(0, quick-half)
	axis := func(at float64) float64 { return quickDepth * s.depthAt(at) }
	var points []Point
	for i := range edgePoints {
		at := end * float64(i) / (edgePoints - 1)
		points = append(points, s.point(at, axis(at)-half))
	}
	const round = 8 // points of the rounded end
	for i := 1; i < round; i++ {
		turn := math.Pi * float64(i) / round
		points = append(points, s.point(end+half*math.Sin(turn), axis(end)-half*math.Cos(turn)))
	}
	for i := edgePoints - 1; i >= 0; i-- {
		at := end * float64(i) / (edgePoints - 1)
		points = append(points, s.point(at, axis(at)+half))
	}
	return points
}

// ridgeOutside is the length of ridge outside any of the planes, mm.
func (s Stance) ridgeOutside(planes []plane) float64 {
	const steps = 96
	over := func(at float64) float64 {
		far := math.Inf(-1)
		for _, p := range planes {
			far = math.Max(far, p.along(s.point(at, 0))-p.offset)
		}
		return far
	}
	length, step, before := 0.0, s.Length/steps, over(0)
	for i := 1; i <= steps; i++ {
		after := over(s.Length * float64(i) / steps)
		switch {
		case before > 0 && after > 0:
			length += step
		case before > 0 || after > 0: // crosses here: the outside part, straight between
			length += step * math.Max(before, after) / math.Abs(after-before)
		}
		before = after
	}
	return length
}

// edgeToFloor is the growth until the first point of an edge touches the floor, mm. Along a
// straight edge the first to touch may lie inside: a cut face is looked at every half millimetre.
func (s Stance) edgeToFloor(from, to Point) float64 {
	const step = 0.5
	pieces := max(1, int(math.Ceil(math.Hypot(to.X-from.X, to.Z-from.Z)/step)))
	first := math.Inf(1)
	for i := range pieces {
		f := float64(i) / float64(pieces)
		first = math.Min(first, s.toFloor(Point{from.X + f*(to.X-from.X), from.Z + f*(to.Z-from.Z)}))
	}
	return first
}

// toFloor is the growth until a point of the horn touches the floor, mm.
func (s Stance) toFloor(p Point) float64 {
	forward, up := p.X+s.Radius*math.Sin(s.BaseAngle), p.Z-s.centre
	return s.growthFrom(math.Hypot(forward, up), math.Atan2(forward, up), 0)
}
