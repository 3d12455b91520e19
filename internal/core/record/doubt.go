package record

import (
	"fmt"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
)

// DoubtLength says why a length in mm is asked for again; empty where it may well be one of this
// dog's nails on the day. A nail three times as long as is usual is one; so is any typed without its point.
func DoubtLength(d dog.Dog, code nail.Code, mm float64, day date.Date) string {
	usual := d.Form(code, day).Length
	if mm <= doubtLengths*usual {
		return ""
	}
	return Again(mm, fmt.Sprintf("longer than this nail can well be, usually about %.0f mm", usual), doubtLengths*usual)
}

// DoubtGap says the same of a floor gap in mm: a nail cannot well end higher than it is long.
func DoubtGap(d dog.Dog, code nail.Code, mm float64, day date.Date) string {
	usual := d.Form(code, day).Length
	if mm <= usual {
		return ""
	}
	return Again(mm, fmt.Sprintf("more than this nail, usually about %.0f mm long, can well stand above the floor", usual), usual)
}

// Again asks for a number in mm again, with what it may have been meant to be: the same with a
// point that was forgotten, where that lies within most.
func Again(mm float64, why string, most float64) string {
	words := fmt.Sprintf("%g mm is %s", mm, why)
	if meant := mm / 10; meant <= most {
		words += fmt.Sprintf(": %g?", meant)
	}
	return words + " Measure again, or say that you are sure"
}

// doubt notes the numbers of a record that are asked for again.
func doubt(f *fault.Fields, d dog.Dog, r Nail, day date.Date) {
	ask := func(name string, n *measure.Number, doubt func(dog.Dog, nail.Code, float64, date.Date) string) {
		if n == nil || r.Sure {
			return
		}
		if want := doubt(d, r.Code, n.MM, day); want != "" {
			f.Add(name, n.MM, want)
		}
	}
	ask("length_before_mm", r.LengthBefore, DoubtLength)
	ask("length_after_mm", r.LengthAfter, DoubtLength)
	ask("gap_before_mm", r.GapBefore, DoubtGap)
	ask("gap_after_mm", r.GapAfter, DoubtGap)
}
