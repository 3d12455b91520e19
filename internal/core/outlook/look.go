package outlook

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
)

// WantedLook is a walk-round that would settle a date: the nail that decides is known too badly.
type WantedLook struct {
	On    date.Date
	Nails []nail.Code
	Off   float64 // how far the growth left to the floor may be off, mm to either side
	Words say.Line
}

// wanted is the look that would settle when the nails that decide meet the floor; false where they are
// known well enough, or something else decides.
func wanted(f feet.Feet, n due.Next) (WantedLook, bool) {
	if n.Rule != due.Floor {
		return WantedLook{}, false
	}
	then, w := f.At(n.Earliest), WantedLook{On: n.Due.AddDays(-lookAhead)}
	if !w.On.After(f.Known()) {
		w.On = f.Known().AddDays(1)
	}
	for i, one := range f.Nails {
		for _, code := range n.Nails {
			if off := estimate.Z90 * then.ToFloor(i).SD; one.Code == code && off > wideFloor {
				w.Nails, w.Off = append(w.Nails, code), max(w.Off, off)
			}
		}
	}
	if len(w.Nails) == 0 {
		return WantedLook{}, false
	}
	w.Words = say.Of(lookAtTheFeetOne, say.Args{"nail": nail.Said(w.Nails[0])})
	return w, true
}
