package photo

import (
	"fmt"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/say"
)

// Ends are two points of something whose length is read between them.
type Ends [2]Point

// Thicknesses reads how thick slices are that lie beside the card on their sides, mm, each between the two points put
// at its faces. It returns fault.Fields, with what would be right, where the picture cannot be read.
func (s Shot) Thicknesses(slices []Ends) ([]measure.Number, error) {
	s.Held = flat
	f := s.Check()
	if len(slices) == 0 {
		f.Add("slices", "none", say.Of(mustBePutOnThe))
	}
	if err := f.Err(); err != nil {
		return nil, err
	}
	all := make([]measure.Number, len(slices))
	for i, ends := range slices {
		one, why := s.thickness(ends)
		f.Under(fmt.Sprintf("slices[%d]", i), why)
		all[i] = one
	}
	return all, f.Err()
}

func (s Shot) thickness(ends Ends) (measure.Number, fault.Fields) {
	m := Marks{Coat: ends[0], Tip: ends[1]}
	var f fault.Fields
	if ends[0].distance(ends[1]) < leastApart {
		f.Add("ends", say.Of(atOnePlace), say.Of(mustStandAtTheSlices))
		return measure.Number{}, f
	}
	n, is := s.nail(m)
	if !is {
		f.Add("handles", say.Of(onOneLine), say.Of(mustGoRoundTheCard))
		return measure.Number{}, f
	}
	if f = s.refuse(n); len(f) > 0 {
		return measure.Number{}, f
	}
	return s.number(m, onPlane.length, 0), nil
}
