package record

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// DoubtLength says why a length in mm is asked for again; empty where it may well be one of this
// dog's nails on the day. A nail three times as long as is usual is one; so is any typed without its point.
func DoubtLength(d dog.Dog, code nail.Code, mm float64, day date.Date) say.Line {
	usual := d.Form(code, day).Length
	if mm <= doubtLengths*usual {
		return say.Line{}
	}
	return Again(mm, say.Of(longerThanThisNailCan), doubtLengths*usual)
}

// DoubtGap says the same of a floor gap in mm: a nail cannot well end higher than it is long.
func DoubtGap(d dog.Dog, code nail.Code, mm float64, day date.Date) say.Line {
	usual := d.Form(code, day).Length
	if mm <= usual {
		return say.Line{}
	}
	return Again(mm, say.Of(moreThanThisNailCan), usual)
}

// Again asks for a number in mm again, and whether a point may have been forgotten: where the number
// with one lies within most.
func Again(mm float64, why say.Line, most float64) say.Line {
	key := measureAgainOrSayThat
	if mm/10 <= most {
		key = wasAPointForgotten
	}
	return say.Of(key, say.Args{"why": why})
}

// doubt notes the numbers of a record that are asked for again.
func doubt(f *fault.Fields, d dog.Dog, r NailRecord, day date.Date) {
	ask := func(name string, n *measure.Number, doubt func(dog.Dog, nail.Code, float64, date.Date) say.Line) {
		if n == nil || r.Sure {
			return
		}
		if want := doubt(d, r.Code, n.MM, day); !want.Nothing() {
			f.Add(name, n.MM, want)
		}
	}
	ask("length_before_mm", r.LengthBefore, DoubtLength)
	ask("length_after_mm", r.LengthAfter, DoubtLength)
	ask("gap_before_mm", r.GapBefore, DoubtGap)
	ask("gap_after_mm", r.GapAfter, DoubtGap)
}
