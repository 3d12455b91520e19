package api

import (
	"context"
	"fmt"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
	"fribbet/internal/core/state"
)

func (handlers) CalcNails(
	_ context.Context,
	r contract.CalcNailsRequestObject,
) (contract.CalcNailsResponseObject, error) {
	in := r.Body
	told := state.Question{
		Where: growth.Where{Age: in.AgeWeeks, Weight: in.WeightKg, Pavement: in.PavementKmWeek},
		First: in.FirstOn, LastDone: in.LastDoneWeeks, At: in.At,
	}
	for _, n := range in.Nails {
		told.Nails = append(told.Nails, state.Traits{Code: n.Code, Colour: n.Colour, Shape: n.Shape})
	}
	var faults fault.Fields
	for i, e := range in.Events {
		if e.Feeler != nil && e.GapMm != nil {
			faults.Add(fmt.Sprintf("events[%d].gap_mm", i), *e.GapMm, say.Of(mustBeLeftOutWhere))
		}
		told.Events = append(told.Events, nailEvent(e))
	}
	if err := faults.Err(); err != nil {
		return nil, err
	}
	s, where, err := told.State()
	if err != nil {
		return nil, err
	}
	out := contract.CalcNails200JSONResponse{
		Gross:     meanSD(s.Gross(where)),
		Rest:      meanSD(s.Rest()),
		FaceScale: s.Faces[:],
	}
	out.Nails = make([]contract.NailKnown, len(s.Nails))
	for i, n := range s.Nails {
		one := &out.Nails[i]
		one.Code, one.Length = n.Code, meanSD(s.Length(i))
		one.Spare, one.Rate = meanSD(s.Spare(i)), meanSD(s.Rate(i, where))
		if !n.Code.Dewclaw() {
			one.GrowthToFloor = of(meanSD(s.ToFloor(i)))
		}
	}
	return out, nil
}

func nailEvent(in contract.NailEvent) state.Event {
	e := state.Event{
		On:     in.On,
		Nail:   in.Nail,
		Trim:   in.Kind == contract.NailEventKindTrim,
		Length: read(measure.Length, in.LengthMm, nil),
		After:  read(measure.Length, in.LengthAfterMm, nil),
		Gap: read(
			measure.Gap,
			in.GapMm,
			&contract.ReadWith{By: of(measure.Caliper)},
		),
		Left: read(measure.Quick, in.SpareLeftMm, nil),
	}
	if e.Trim {
		e.Length = read(measure.Length, in.LengthBeforeMm, nil)
	}
	if in.Feeler != nil {
		e.Gap = of(measure.Under(*in.Feeler).Number())
	}
	e.EndFace, e.Blood = orZero(in.EndFace), orZero(in.Blood)
	for _, l := range in.Landmarks {
		e.Landmarks = append(e.Landmarks, quick.Seen{Mark: l.Kind, Spare: l.SpareMm})
	}
	for _, c := range in.Cuts {
		e.Cuts = append(e.Cuts, state.Slice{MM: c.Mm, Face: orZero(c.Face)})
	}
	return e
}

func meanSD(n state.Normal) contract.MeanSd { return contract.MeanSd{Mean: n.Mean, Sd: n.SD} }
