package api

import (
	"context"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/quick"
)

func (handlers) CalcProfile(
	_ context.Context,
	r contract.CalcProfileRequestObject,
) (contract.CalcProfileResponseObject, error) {
	in := r.Body
	c := claw.Claw{
		Length:    in.LengthMm,
		BaseAngle: claw.Radians(in.BaseAngleDeg),
		Radius:    in.RadiusMm,
		Depth:     in.DepthMm,
		Taper:     in.Taper,
	}
	faults := c.Check()
	faults.Range("gap_mm", in.GapMm, 0, claw.MostGap, fault.MM)
	faults.Range("wished_gap_mm", in.WishedGapMm, 0, due.MostWishedGap, fault.MM)
	if err := faults.Err(); err != nil {
		return nil, err
	}
	s := c.AtGap(in.GapMm)
	out := contract.CalcProfile200JSONResponse{
		CoatLineHeightMm: s.CoatHeight(), TipAngleDeg: claw.Degrees(s.Turn()), ReachMm: s.Reach(),
		GrowthToFloorMm: finite(s.GrowthToGap(0)), GrowthToWishedGapMm: finite(s.GrowthToGap(in.WishedGapMm)),
	}
	for _, p := range s.Outline() {
		out.Outline = append(out.Outline, []float64{p.X, p.Z})
	}
	return out, nil
}

func (handlers) CalcDue(ctx context.Context, r contract.CalcDueRequestObject) (contract.CalcDueResponseObject, error) {
	w := speaks(ctx)
	trim := due.Trim{
		On:       r.Body.LastSitting,
		Sat:      r.Body.LastSitting,
		Rhythm:   r.Body.Rhythm,
		Workdays: date.Workdays{Weekdays: r.Body.WorkingWeekdays, Closed: spans(r.Body.Holidays)},
		Short:    orZero(r.Body.ShortQuicks),
		Dates:    orZero(r.Body.Dates),
		Weight:   r.Body.WeightKg,
		Margin:   quick.Margin,
	}
	if r.Body.MarginMm != nil {
		trim.Margin = *r.Body.MarginMm
	}
	for _, n := range r.Body.Nails {
		trim.Nails = append(trim.Nails, due.TrimmedNail{
			Code: n.Code,
			Claw: claw.Claw{
				Length:    n.LengthMm,
				BaseAngle: claw.Radians(n.BaseAngleDeg),
				Radius:    n.RadiusMm,
				Depth:     n.DepthMm,
				Taper:     n.Taper,
			},
			Gap:       n.GapMm,
			WishedGap: n.WishedGapMm,
			Rate:      growth.Rate{Mean: n.NetMmWeek, SD: n.SdMmWeek},
			Spare:     n.SpareMm,
		})
	}
	result, err := due.After(trim)
	if err != nil {
		return nil, err
	}
	return contract.CalcDue200JSONResponse(next(w, result, w.Say(trim.Reason(result)), trim.Explain(result))), nil
}
