package quick_test

import (
	"fmt"

	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

// A dark nail 15 mm long and 7 mm deep, of which its groove says that 3.5 mm lie before the quick, shows a white end
// after a millimetre came off.
func ExampleBelief() {
	b := quick.NewBelief(15, 7, nail.Dark, quick.Gamma{Mean: 4, SD: 1.5}, quick.UsualScales())
	b.See(quick.Seen{Mark: quick.Groove, Spare: 3.5})
	b.Cut(1, quick.White)
	fmt.Printf("left about %.1f mm\n", b.Left().Mean)
	fmt.Printf("half a millimetre more reaches the quick in %.4f\n", b.Risk(0.5))
	fmt.Printf("two more in %.2f\n", b.Risk(2))
	// Output:
	// left about 3.0 mm
	// half a millimetre more reaches the quick in 0.0001
	// two more in 0.09
}

// Weekly trims that leave a millimetre let the quick draw back, every six weeks lets it grow.
func ExampleDrift_Move() {
	d := quick.Drift{Rate: 1.1, Follow: quick.UsualFollow(1)}
	for _, weeks := range []float64{1, 4, 6} {
		fmt.Printf("%.0f weeks: %+.2f mm\n", weeks, d.Move(1, weeks))
	}
	// Output:
	// 1 weeks: -0.14 mm
	// 4 weeks: +0.11 mm
	// 6 weeks: +0.73 mm
}
