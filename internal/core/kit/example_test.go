package kit_test

import (
	"fmt"

	"fribbet/internal/core/kit"
)

// How much a new hand takes at most, and a practised one, mm of a nail 7 mm deep.
func ExampleLargestCut() {
	fmt.Println(kit.LargestCut(kit.NewHand), kit.LargestCut(kit.PractisedHand))
	// Output:
	// 1 2
}
