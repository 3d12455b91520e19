package hand_test

import (
	"fmt"

	"fribbet/internal/core/hand"
	"fribbet/internal/core/measure"
)

// Ten slices that were meant to be 1 mm: this hand cuts thicker.
func ExampleLearn() {
	var read []measure.Number
	for _, mm := range []float64{1.3, 1.4, 1.2, 1.5, 1.3, 1.4, 1.3, 1.2, 1.4, 1.3} {
		read = append(read, measure.Number{MM: mm, By: measure.Photo, SD: 0.1})
	}
	learnt, err := hand.Learn(1, read)
	fmt.Printf(
		"%.2f times as thick as meant (%.2f to %.2f), %v\n",
		learnt.Times.Value,
		learnt.Times.Low,
		learnt.Times.High,
		err,
	)
	fmt.Printf("its half millimetre is %.2f mm\n", learnt.Slices.True(0.5))
	// Output:
	// 1.31 times as thick as meant (1.22 to 1.41), <nil>
	// its half millimetre is 0.66 mm
}
