package record

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/state"
)

// Event is a record as the state takes it: the bench tells it tap by tap, the tally at once.
func (r NailRecord) Event(on date.Date) state.Event {
	e := state.Event{
		On:     on,
		Nail:   r.Code,
		Trim:   true,
		Length: r.LengthBefore,
		After:  r.LengthAfter,
		Gap:    r.GapAfter,
		Left:   r.SpareLeft,
		Colour: r.Colour,
	}
	e.Landmarks, e.Blood, e.EndFace = r.Landmarks, r.Blood, r.EndFace
	e.Ended, e.Stop, e.Assumed = r.Ended, r.Stop, r.Assumed
	e.Milder = r.Hand.Milder
	for i, mm := range r.Cuts {
		c := state.Slice{MM: r.Hand.True(mm), SD: r.Hand.SD(mm)}
		if r.Tool.Work() == kit.Grinding {
			c = state.Slice{MM: mm, Touch: true}
		}
		if i < len(r.Faces) {
			c.Face = r.Faces[i]
		}
		e.Cuts = append(e.Cuts, c)
	}
	for _, mm := range r.touches() {
		e.Cuts = append(e.Cuts, state.Slice{MM: mm, Touch: true})
	}
	return e
}

// Event is a look as the state takes it.
func (l Look) Event(on date.Date) state.Event {
	return state.Event{On: on, Nail: l.Code, Length: l.Length, Gap: l.Gap}
}
