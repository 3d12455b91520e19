package claw

import "math"

// Point is a place in the side view, mm: X forward from the coat line, Z above the floor.
type Point struct{ X, Z float64 }

// Outline returns the closed outline: ridge from coat line to tip, end face, underside back.
func (s Stance) Outline() []Point {
	points := make([]Point, 0, 2*edgePoints)
	for i := range edgePoints {
		points = append(points, s.point(s.Length*float64(i)/(edgePoints-1), 0))
	}
	for i := edgePoints - 1; i >= 0; i-- {
		at := s.Length * float64(i) / (edgePoints - 1)
		points = append(points, s.point(at, s.depthAt(at)))
	}
	return points
}

// Reach is the largest x of the outline, mm: how far the nail stands forward of its coat line.
func (s Stance) Reach() float64 {
	base := s.Radius * math.Sin(s.BaseAngle)
	return -s.leastOverOutline(func(radius, angle float64) float64 { return base - radius*math.Sin(angle) })
}

// Centre is the arc's centre, about which growth turns the nail.
func (s Stance) Centre() Point { return Point{-s.Radius * math.Sin(s.BaseAngle), s.centre} }

// Groove is where the hollow on the underside ends: about where a quick of that arc length does, mm.
func (s Stance) Groove(quick float64) Point { return s.point(quick, s.depthAt(quick)) }

// Hook is where the thin curved end begins: the same landmark on the ridge.
func (s Stance) Hook(quick float64) Point { return s.point(quick, 0) }

// point is the place at arc length at (mm) and depth below the ridge (mm).
func (s Stance) point(at, depth float64) Point {
	radius, angle := s.Radius-depth, s.angleAt(at)
	return Point{radius*math.Sin(angle) - s.Radius*math.Sin(s.BaseAngle), s.centre + radius*math.Cos(angle)}
}
