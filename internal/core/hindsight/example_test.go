package hindsight_test

import (
	"fmt"

	"fribbet/internal/core/hindsight"
)

// What was said of a nail's length, 14 mm give or take 1, beside the 15 mm that were measured; and a chance of 1 in 10
// of what then happened.
func ExampleCRPS() {
	fmt.Printf("%.2f mm\n", hindsight.CRPS(14, 1, 15))
	fmt.Printf("%.2f\n", hindsight.Brier(0.1, 1))
	// Output:
	// 0.60 mm
	// 0.81
}
