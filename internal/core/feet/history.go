package feet

import (
	"math"
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
)

// History is how one nail, or the mean of several, came to be what it is, and where it goes when
// nobody trims it.
type History struct {
	Codes    []nail.Code
	Past     []Point // two at a sitting: before and after it
	Forecast []Point
}

// Point is a nail on one day of its history.
type Point struct {
	On       date.Date
	Length   Span    // mm
	Quick    Span    // where it ends, mm from the coat line
	Floor    float64 // the length at which it would touch the floor, mm; +Inf where it never does
	Removed  float64 // what came off just before this point, mm
	Blood    bool
	Sitting  bool // of a sitting, or of a walk-round
	Measured bool // the length was measured that day
}

// Span is a number with its middle 90 %.
type Span struct{ Value, Low, High float64 }

// HistoryOf follows some of a dog's nails through its records, until today and on.
func HistoryOf(
	d dog.Dog,
	codes []nail.Code,
	today date.Date,
	sittings []record.Sitting,
	checks ...record.WalkRound,
) History {
	h := History{Codes: codes}
	events := eventsOf(sittings, checks)
	var before Feet
	at := 0
	last := fold(d, events, watch{after: func(on date.Date, f Feet) {
		event := events[at]
		at++
		if before.toes != nil {
			h.Past = append(h.Past, mean(before.points(codes, on)))
		}
		point := mean(f.points(codes, on))
		h.told(&point, event)
		h.Past = append(h.Past, point)
		before = f
		before.state = f.state.Clone()
	}})
	if before.toes != nil && today.After(before.day) { // until today, which may be long after the last sitting
		h.Past = append(h.Past, mean(before.points(codes, today)))
	}
	for day := 0; day <= forecastDays; day += forecastStep {
		h.Forecast = append(h.Forecast, mean(last.points(codes, today.AddDays(day))))
	}
	return h
}

// told notes what an event did to the nails.
func (h History) told(p *Point, e event) {
	if e.sitting == nil {
		for _, l := range e.check.Looks {
			p.Measured = p.Measured || l.Length != nil && slices.Contains(h.Codes, l.Code)
		}
		return
	}
	p.Sitting = true
	for _, r := range e.sitting.Records {
		if slices.Contains(h.Codes, r.Code) {
			if !r.Assumed { // what nobody counted is not told
				p.Removed += r.Removed() / float64(len(h.Codes))
			}
			p.Blood = p.Blood || r.Blood
			p.Measured = p.Measured || r.LengthAfter != nil || r.LengthBefore != nil
		}
	}
}

// points are some of the nails on a day.
func (f Feet) points(codes []nail.Code, on date.Date) []Point {
	var points []Point
	for _, r := range f.On(on) {
		if !slices.Contains(codes, r.Code) {
			continue
		}
		b := BarOf(r)
		p := Point{
			On: on, Floor: math.Inf(1),
			Length: Span{b.Length.Value, b.Length.Low, b.Length.High}, Quick: Span{b.Quick, b.QuickShort, b.QuickLong},
		}
		if !r.Code.Dewclaw() {
			p.Floor = b.Length.Value + r.Floor.Mean
		}
		points = append(points, p)
	}
	return points
}

// mean is several nails of one day as one.
func mean(points []Point) Point {
	m := Point{On: points[0].On}
	share := 1 / float64(len(points))
	for _, p := range points {
		m.Floor += share * p.Floor
		m.Length = m.Length.plus(p.Length, share)
		m.Quick = m.Quick.plus(p.Quick, share)
	}
	return m
}

func (s Span) plus(other Span, share float64) Span {
	return Span{s.Value + share*other.Value, s.Low + share*other.Low, s.High + share*other.High}
}
