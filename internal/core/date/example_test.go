package date_test

import (
	"fmt"

	"fribbet/internal/core/date"
)

// A calendar date has no clock and no zone.
func ExampleDate_AddDays() {
	day := date.MustParse("2026-11-30")
	fmt.Println(day.AddDays(28), day.Quarter(), day.Monday())
	// Output:
	// 2026-12-28 2026-10-01 2026-11-30
}
