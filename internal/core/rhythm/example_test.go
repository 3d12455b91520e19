package rhythm_test

import (
	"fmt"

	"fribbet/internal/core/rhythm"
)

// The longest rhythm that keeps within a number of days.
func ExampleWithin() {
	fmt.Println(rhythm.Within(17), rhythm.FourWeeks.Days())
	// Output:
	// fortnightly 28
}
