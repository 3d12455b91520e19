package growth_test

import (
	"fmt"

	"fribbet/internal/core/growth"
)

// What is usual of a grown dog of 20 kg, and of an old one.
func ExampleUsual() {
	for _, years := range []float64{4, 12} {
		fmt.Printf("%.0f years: %.1f mm a week\n", years, growth.Usual(growth.Where{Age: 52.18 * years, Weight: 20}))
	}
	// Output:
	// 4 years: 1.1 mm a week
	// 12 years: 0.9 mm a week
}
