package kit

import (
	"maps"
	"slices"
)

// grains is the median grain size of each grit number, µm: ISO 6344-2 (P12 to P220) and ISO
// 6344-3 (P240 to P600) (published; recalled and not checked: memory).
var grains = map[int]float64{
	12: 1815, 16: 1324, 20: 1000, 24: 764, 30: 642, 36: 538, 40: 425, 50: 336, 60: 269, 80: 201,
	100: 162, 120: 125, 150: 100, 180: 82, 220: 68, 240: 58.5, 280: 52.2, 320: 46.2, 360: 40.5,
	400: 35, 500: 30.2, 600: 25.8,
}

// Grain is the median size of a grit number's grains in µm; 0 when there is no such number.
func Grain(grit int) float64 { return grains[grit] }

// Grits lists every grit number, coarsest first.
func Grits() []int { return slices.Sorted(maps.Keys(grains)) }

// GritFor is the grit for a job: length wants coarse, smoothing fine.
func GritFor(p Purpose, take float64) int {
	switch {
	case p == Smoothing:
		return SmoothGrit
	case take > Sliver:
		return LengthGrit
	default:
		return BetweenGrit
	}
}
