package claw

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"gonum.org/v1/gonum/integrate/quad"
	"pgregory.net/rapid"

	"fribbet/internal/core/nail"
)

var usual = Claw{Length: 14, BaseAngle: Radians(22), Radius: 26, Depth: 7, Taper: 0.7}

// The worked example of docs/model.md, section A: a nail of usual form that touches the floor.
func TestWorkedExampleOfTheSideView(t *testing.T) {
	s := usual.AtGap(0)
	assert.InDelta(t, 9.67, s.CoatHeight(), 0.01)
	assert.InDelta(t, 52.9, Degrees(s.Turn()), 0.05)
	assert.InDelta(t, 10.98, s.Reach(), 0.01)
	assert.Zero(t, s.GrowthToGap(0), "it touches")
}

func TestAssumedFormScalesWithSize(t *testing.T) {
	small, large := Assumed(nail.MustParse("LF3"), nail.Usual, 20), Assumed(nail.MustParse("LF3"), nail.Usual, 160)
	assert.Equal(t, usual, small)
	assert.InDelta(t, 2*small.Length, large.Length, 1e-9, "eight times the weight is twice the length")
	hind := Assumed(nail.MustParse("LH3"), nail.Usual, 20)
	assert.InDelta(t, 0.9*small.Length, hind.Length, 1e-9)
	assert.Greater(t, Assumed(nail.MustParse("LF1"), nail.Usual, 20).Turn(), small.Turn(), "a dewclaw turns more")
}

// ISO/IEC 7810 gives an identification card 0.76 mm (published).
func TestCardIsThickerThanPaper(t *testing.T) {
	assert.Equal(t, 0.76, CardGap)
	assert.Less(t, PaperGap, CardGap)
	assert.Greater(t, PaperGap, TouchGap)
}

func TestADewclawCurlsButNeverReachesADistantFloor(t *testing.T) {
	dew := Assumed(nail.MustParse("LF1"), nail.Usual, 20)
	assert.True(t, math.IsInf(dew.AtGap(20).GrowthToGap(0), 1))
	left := dew.GrowthToTurn(CurlTurn)
	assert.InDelta(t, 150, Degrees(dew.Grown(left).Turn()), 1e-9)
	assert.Zero(t, dew.Grown(left+1).GrowthToTurn(CurlTurn))
}

func TestAtCoatHeightTheFloorLiftsALongNail(t *testing.T) {
	height := usual.AtGap(0).CoatHeight()
	assert.Zero(t, math.Round(usual.WithLength(20).AtCoatHeight(height).Gap()*1e9), "no nail stands below the floor")
	assert.Greater(t, usual.WithLength(12).AtCoatHeight(height).Gap(), 0.5)
	assert.InDelta(t, 3, usual.AtGap(3).Gap(), 1e-6)
}

func anyClaw(t *rapid.T) Claw {
	c := Claw{
		Length:    rapid.Float64Range(4, 30).Draw(t, "length"),
		BaseAngle: Radians(rapid.Float64Range(5, 50).Draw(t, "angle")),
		Radius:    rapid.Float64Range(10, 100).Draw(t, "radius"),
		Depth:     rapid.Float64Range(2, 9.5).Draw(t, "depth"),
		Taper:     rapid.Float64Range(0.2, 0.9).Draw(t, "taper"),
	}
	if c.Turn() > Radians(120) {
		t.Skip("curled")
	}
	return c
}

// The closed form against stepping the turn: an independent way to the same number.
func TestGrowthToFloorAgreesWithStepping(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := anyClaw(t).AtGap(rapid.Float64Range(0.1, 3).Draw(t, "gap"))
		got := s.GrowthToGap(0)
		if math.IsInf(got, 1) {
			for mm := 0.0; mm < 200; mm += 0.5 {
				if s.GapAfterGrowth(mm) < 0 {
					t.Fatalf("said never, yet %v mm of growth reaches the floor", mm)
				}
			}
			return
		}
		if before := s.GapAfterGrowth(got - 0.01); got > 0.01 && before < 0 {
			t.Fatalf("the floor is reached before %v mm: gap %v", got, before)
		}
		if at := s.GapAfterGrowth(got); math.Abs(at) > 1e-5 {
			t.Fatalf("after %v mm the gap is %v, not 0", got, at)
		}
	})
}

// The closed form against gonum's Gauss–Legendre integration of each outline point's fall as
// the nail is pushed out along its arc (outside check; the integrator is gonum's).
func TestGrowthToFloorAgreesWithIntegratedFall(t *testing.T) {
	for _, gap := range []float64{0.2, 0.76, 1.5} {
		s := usual.AtGap(gap)
		grown := s.GrowthToGap(0)
		lowest := math.Inf(1)
		for _, p := range s.Outline() {
			forward, up := p.X+s.Radius*math.Sin(s.BaseAngle), p.Z-s.centre
			radius, angle := math.Hypot(forward, up), math.Atan2(forward, up)
			fall := func(mm float64) float64 { return radius / s.Radius * math.Sin(angle+mm/s.Radius) }
			lowest = math.Min(lowest, p.Z-quad.Fixed(fall, 0, grown, 16, nil, 0))
		}
		assert.InDelta(t, 0, lowest, 1e-3, "gap %v", gap)
	}
}

// The outline's area by the shoelace formula against gonum's integral of the horn's depth along
// the ridge (a ring's slice of depth h has area h(1 − h/2R) for each mm of ridge).
func TestTheOutlineHoldsTheHorn(t *testing.T) {
	points := usual.AtGap(1).Outline()
	area := 0.0
	for i, p := range points {
		q := points[(i+1)%len(points)]
		area += (p.X*q.Z - q.X*p.Z) / 2
	}
	slice := func(s float64) float64 { h := usual.depthAt(s); return h * (1 - h/(2*usual.Radius)) }
	assert.InDelta(t, quad.Fixed(slice, 0, usual.Length, 16, nil, 0), math.Abs(area), 0.02)
	assert.Zero(t, points[0].X, "the coat line is where x begins")
}

func TestGrowthNeverMakesANailShorterNorTheWayToTheFloorLonger(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := anyClaw(t).AtGap(rapid.Float64Range(0, 3).Draw(t, "gap"))
		a, b := rapid.Float64Range(0, 3).Draw(t, "a"), rapid.Float64Range(0, 3).Draw(t, "b")
		if a > b {
			a, b = b, a
		}
		if s.GrowthToGap(a) < s.GrowthToGap(b) {
			t.Fatalf("a gap of %v is reached before %v", a, b)
		}
		if s.Grown(a).Turn() > s.Grown(b).Turn() {
			t.Fatal("more growth turned the tip less")
		}
	})
}

func TestCheckNamesTheField(t *testing.T) {
	bad := usual
	bad.Depth, bad.Length = 40, -1
	names := map[string]bool{}
	for _, f := range bad.Check() {
		names[f.Name] = true
	}
	assert.Equal(t, map[string]bool{"length_mm": true, "depth_mm": true}, names)
	assert.Empty(t, usual.Check())
}

// A quick's outline goes out along its upper side, round its end, and back along its lower one.
func TestAQuicksOutlineIsClosed(t *testing.T) {
	s := usual.AtGap(1)
	points := s.Quick(usual.Length / 2)
	first, last := points[0], points[len(points)-1]
	assert.InDelta(
		t,
		2*quickHalfWidth*usual.Depth,
		math.Hypot(first.X-last.X, first.Z-last.Z),
		1e-9,
		"as wide as it is",
	)
	for i, p := range points {
		q := points[(i+1)%len(points)]
		assert.Less(t, math.Hypot(p.X-q.X, p.Z-q.Z), usual.Length/4, "no leap between %d and the next", i)
	}
}
