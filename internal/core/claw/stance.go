package claw

import "math"

// Stance is a claw on a paw that stands on a flat hard floor.
type Stance struct {
	Claw
	centre float64 // height of the arc's centre above the floor, mm
}

// AtGap stands the claw so that its lowest point is gap mm above the floor.
func (c Claw) AtGap(gap float64) Stance {
	lowest := c.leastOverOutline(func(radius, angle float64) float64 { return radius * math.Cos(angle) })
	return Stance{c, gap - lowest}
}

// AtCoatHeight stands the claw with its coat line at height mm above the floor. A nail too
// long for that height touches the floor and lifts the toe.
func (c Claw) AtCoatHeight(height float64) Stance {
	s := Stance{c, height - c.Radius*math.Cos(c.BaseAngle)}
	if s.Gap() < 0 {
		return c.AtGap(0)
	}
	return s
}

// CoatHeight is the coat line's height above the floor, mm.
func (s Stance) CoatHeight() float64 { return s.centre + s.Radius*math.Cos(s.BaseAngle) }

// Gap is the height of the lowest point of the outline above the floor, mm.
func (s Stance) Gap() float64 { return s.GapAfterGrowth(0) }

// GapAfterGrowth is the floor gap in mm after mm of growth; below 0 when the nail would have
// to press into the floor.
func (s Stance) GapAfterGrowth(mm float64) float64 {
	turn := mm / s.Radius
	return s.leastOverOutline(func(radius, angle float64) float64 {
		return s.centre + radius*math.Cos(angle+turn)
	})
}

// GrowthToGap is how many mm must grow until the floor gap is down to gap mm: exact, for the
// first point of the whole outline to get there. It is 0 when the gap is that small already
// and +Inf when the nail curls round without ever getting there.
func (s Stance) GrowthToGap(gap float64) float64 {
	return s.leastOverOutline(func(radius, angle float64) float64 { return s.growthFrom(radius, angle, gap) })
}

// growthFrom is the growth until one point, by its distance from the centre and its angle, is
// down to height gap, mm.
func (s Stance) growthFrom(radius, angle, gap float64) float64 {
	c := (gap - s.centre) / radius
	switch {
	case c >= 1: // the whole turn of this point lies below
		return 0
	case c < -1: // its whole turn lies above
		return math.Inf(1)
	}
	return math.Max(0, s.Radius*(math.Acos(c)-angle))
}

// leastOverOutline returns the least value of f over the outline: the ridge, the end face,
// which for the functions of height used here has its least value at one of its ends, and
// the underside. Each curved edge is sampled and the best stretch narrowed by golden section.
func (c Claw) leastOverOutline(f func(radius, angle float64) float64) float64 {
	ridge := func(s float64) float64 { return f(c.Radius, c.angleAt(s)) }
	underside := func(s float64) float64 { return f(c.Radius-c.depthAt(s), c.angleAt(s)) }
	return math.Min(least(ridge, c.Length), least(underside, c.Length))
}

// least is the least value of f on [0, end]: exact when it lies at an end, as it mostly does;
// inside, off by the square of a narrowed stretch, less than 1e-6 of the outline.
func least(f func(float64) float64, end float64) float64 {
	const samples, narrowings, golden = 12, 14, 0.6180339887498949
	best, at := math.Inf(1), 0.0
	for i := range samples + 1 {
		s := end * float64(i) / samples
		if v := f(s); v < best {
			best, at = v, s
		}
	}
	if beside := end * (1 - 1e-6); at == end && f(beside) > best { // it falls towards the tip: there it is least
		return best
	}
	low, high := math.Max(0, at-end/samples), math.Min(end, at+end/samples)
	a, b := high-golden*(high-low), low+golden*(high-low)
	fa, fb := f(a), f(b)
	for range narrowings {
		if fa < fb {
			high, b, fb = b, a, fa
			a = high - golden*(high-low)
			fa = f(a)
		} else {
			low, a, fa = a, b, fb
			b = low + golden*(high-low)
			fb = f(b)
		}
	}
	return math.Min(best, math.Min(fa, fb))
}

// AtGrowthToFloor stands the claw so that mm of growth take it to the floor; 0 and less is on it.
func (c Claw) AtGrowthToFloor(mm float64) Stance {
	if mm <= 0 {
		return c.AtGap(TouchGap)
	}
	turn := math.Min(mm/c.Radius, math.Pi)
	return Stance{c, -c.leastOverOutline(func(radius, angle float64) float64 { return radius * math.Cos(angle+turn) })}
}
