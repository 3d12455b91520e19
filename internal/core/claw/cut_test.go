package claw

import (
	"math"
	"slices"
	"testing"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/clip"
	"github.com/paulmach/orb/planar"
	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func bySchool(cuts []Cut) map[School]Cut {
	found := map[School]Cut{}
	for _, c := range cuts {
		found[c.School] = c
	}
	return found
}

// The worked example of docs/model.md, section B.
func TestWorkedExampleOfTheCuts(t *testing.T) {
	c := bySchool(usual.AtGap(0).Cuts(10.5, 1, 1))
	assert.InDelta(t, 0, c[Level].Ridge, 0.01)
	assert.InDelta(t, 0.85, c[Level].Gap, 0.01)
	assert.InDelta(t, 2.39, c[Square].Ridge, 0.01)
	assert.InDelta(t, 1.06, c[Square].Gap, 0.01)
	assert.InDelta(t, 5.54, c[Square].Area, 0.01)
	assert.InDelta(t, 1.57, c[Square].ToFloor, 0.01)
	assert.InDelta(t, 4.40, c[Steep].Ridge, 0.01)
	assert.InDelta(t, 0, c[Steep].Gap, 0.01)
	assert.InDelta(t, 10.25, c[Steep].Reach, 0.01)
	assert.InDelta(t, 3.74, c[Sculpted].Ridge, 0.01)
	assert.InDelta(t, 8.52, c[Sculpted].Reach, 0.01)
	assert.Equal(t, 3, c[Square].Slivers, "2.39 mm of ridge in slivers of 1 mm")
}

// Clipping and area against github.com/paulmach/orb, a general geometry package: it clips to an
// upright box, so the nail is turned until the cut stands upright.
func TestCutsAgreeWithAGeometryPackage(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := anyClaw(t).AtGap(rapid.Float64Range(0, 2).Draw(t, "gap"))
		quick := s.Length * rapid.Float64Range(0.4, 0.95).Draw(t, "quick")
		for _, c := range s.Cuts(quick, 1, 1) {
			whole := orb.Ring{}
			for _, p := range s.Outline() {
				whole = append(whole, orb.Point{p.X, p.Z})
			}
			kept := append(whole, whole[0])
			for _, angle := range c.Planes {
				p := plane{normalX: math.Sin(angle), normalZ: -math.Cos(angle)}
				p.offset = s.quickReach(quick, p) + 1
				upright := orb.Ring{}
				for _, q := range kept {
					upright = append(
						upright,
						orb.Point{p.normalX*q[0] + p.normalZ*q[1], -p.normalZ*q[0] + p.normalX*q[1]},
					)
				}
				upright = clip.Ring(orb.Bound{Min: orb.Point{-1e4, -1e4}, Max: orb.Point{p.offset, 1e4}}, upright)
				kept = orb.Ring{}
				for _, q := range upright {
					kept = append(kept, orb.Point{p.normalX*q[0] - p.normalZ*q[1], p.normalZ*q[0] + p.normalX*q[1]})
				}
			}
			want := math.Abs(planar.Area(append(whole, whole[0]))) - math.Abs(planar.Area(kept))
			if math.Abs(want-c.Area) > 1e-6 {
				t.Fatalf("%s takes %v mm², the package says %v", c.School, c.Area, want)
			}
		}
	})
}

func TestCutsKeepTheirDistance(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := anyClaw(t).AtGap(rapid.Float64Range(0, 2).Draw(t, "gap"))
		quick := s.Length * rapid.Float64Range(0.3, 1).Draw(t, "quick")
		margin := rapid.Float64Range(0, 3).Draw(t, "margin")
		near, far := bySchool(s.Cuts(quick, margin, 1)), bySchool(s.Cuts(quick, margin+0.5, 1))
		for _, school := range Schools() {
			n, f := near[school], far[school]
			if f.Area > n.Area+1e-9 || f.Ridge > n.Ridge+1e-9 {
				t.Fatalf("%s: a wider margin took more", school)
			}
			if n.ToFloor < f.ToFloor-1e-9 || n.Gap < f.Gap-1e-9 {
				t.Fatalf("%s: the deeper cut gained less", school)
			}
			if n.Area == 0 && n.Slivers != 0 || n.Area > 1e-6 && n.Slivers == 0 {
				t.Fatalf("%s: %d slivers of %v mm²", school, n.Slivers, n.Area)
			}
			for _, angle := range n.Planes {
				p := plane{normalX: math.Sin(angle), normalZ: -math.Cos(angle)}
				offset := s.quickReach(quick, p) + margin
				for _, q := range s.Quick(quick) {
					if p.along(q) > offset-margin+0.02*s.Depth {
						t.Fatalf("%s passes within %v mm of the quick, not %v", school, offset-p.along(q), margin)
					}
				}
			}
		}
	})
}

func TestANailTooShortForTheMarginLosesNothing(t *testing.T) {
	for _, c := range usual.AtGap(0.5).Cuts(14, 3, 1) {
		if c.School == Steep || c.School == Sculpted {
			continue // their bevels still meet the top front
		}
		assert.Zero(t, c.Slivers, c.School)
		assert.InDelta(t, 0, c.Area, 1e-9)
		assert.InDelta(t, 0.5, c.Gap, 1e-3)
	}
}

func TestGrowthToFloorOfTheKeptHornIsWhenItsGapIsGone(t *testing.T) {
	s := usual.AtGap(0.3)
	for _, c := range s.Cuts(10.5, 1, 1) {
		turn := c.ToFloor / s.Radius
		lowest := math.Inf(1)
		for _, p := range c.Outline {
			forward, up := p.X+s.Radius*math.Sin(s.BaseAngle), p.Z-s.centre
			lowest = math.Min(lowest, s.centre+math.Hypot(forward, up)*math.Cos(math.Atan2(forward, up)+turn))
		}
		assert.InDelta(t, 0, lowest, 0.01, c.School)
	}
}

// Target: under 200 µs for all four schools.
func BenchmarkCuts(b *testing.B) {
	s := usual.AtGap(0)
	for b.Loop() {
		s.Cuts(10.5, 1, 1)
	}
}

// Each sliver lies so far behind the one before it, along the cut's own normal, and none behind the coat line.
func TestSliversComeOffOneBehindTheOther(t *testing.T) {
	s := Claw{Length: 14, BaseAngle: Radians(30), Radius: 12, Depth: 7, Taper: 0.3}.AtGap(1)
	for _, school := range Schools() {
		lines := s.Slivers(school, 9, []float64{0.5, 1, 0.5})
		assert.Len(t, lines, 3, school)
		apart := func(a, b [2]Point) float64 { // from one line to a point of the next
			dx, dz := a[1].X-a[0].X, a[1].Z-a[0].Z
			return math.Abs(dx*(b[0].Z-a[0].Z)-dz*(b[0].X-a[0].X)) / math.Hypot(dx, dz)
		}
		assert.InDelta(t, 1, apart(lines[0], lines[1]), 1e-9, school)
		assert.InDelta(t, 0.5, apart(lines[1], lines[2]), 1e-9, school)
	}
	assert.Less(t, len(s.Slivers(Square, 9, slices.Repeat([]float64{1}, 60))), 60)
	assert.Empty(t, s.Slivers(Square, 9, nil))
}
