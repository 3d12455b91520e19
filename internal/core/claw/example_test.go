package claw_test

import (
	"fmt"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/nail"
)

// How much a usual fore nail of a dog of 20 kg grows until it meets the floor, from a gap of 2 mm: more than the gap,
// since growth turns it.
func ExampleClaw_AtGap() {
	c := claw.Assumed(nail.Code{Paw: nail.LF, Digit: 3}, nail.Usual, 20)
	stance := c.AtGap(2)
	fmt.Printf("%.1f mm long, %.1f mm deep\n", c.Length, c.Depth)
	fmt.Printf("meets the floor after %.1f mm\n", stance.GrowthToGap(0))
	// Output:
	// 14.0 mm long, 7.0 mm deep
	// meets the floor after 2.6 mm
}
