package estimate_test

import (
	"fmt"

	"fribbet/internal/core/estimate"
)

// Two of 40 nails bled: so many of 100, nine times in ten.
func ExampleShare() {
	e := estimate.Share(2, 40, estimate.Z90).Times(100)
	fmt.Printf("%.0f (%.0f to %.0f)\n", e.Value, e.Low, e.High)
	// Output:
	// 5 (2 to 14)
}
