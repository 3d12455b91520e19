package api

import (
	"context"
	"math"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/claw"
	"fribbet/internal/core/due"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/record"
)

func (h handlers) RecordCheck(
	ctx context.Context,
	r contract.RecordCheckRequestObject,
) (contract.RecordCheckResponseObject, error) {
	w := speaks(ctx)
	in := r.Body
	c := book.Check{ID: in.Id, WalkRound: record.WalkRound{
		Clicks: in.Clicks, Hair: in.Hair, Swelling: in.Swelling, Limping: in.Limping, Breaking: in.Breaking,
	}}
	if in.On != nil {
		c.On = *in.On
	}
	for _, l := range in.Looks {
		with := orZero(l.Means)
		c.Looks = append(c.Looks, record.Look{
			Code:    l.Code,
			Gap:     read(measure.Gap, l.GapMm, with.Gap),
			Length:  read(measure.Length, l.LengthMm, with.Length),
			PastPad: l.PastPad != nil && *l.PastPad,
			Present: l.Present,
			Colour:  l.Colour,
			Shape:   l.Shape,
			State:   l.State,
			Sure:    orZero(l.Sure),
		})
	}
	if err := h.book.Look(ctx, r.DogId, c); err != nil {
		return nil, err
	}
	v, err := h.book.View(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	return contract.RecordCheck201JSONResponse(h.view(w, v)), nil
}

func (h handlers) GetSection(
	ctx context.Context,
	r contract.GetSectionRequestObject,
) (contract.GetSectionResponseObject, error) {
	s, margin, err := h.book.Section(ctx, r.DogId, r.Code, r.Params.MarginMm, r.Params.SliversMm)
	if err != nil {
		return nil, err
	}
	out := contract.GetSection200JSONResponse{
		Bar:          rank([]feet.Reading{s.Reading}).Bars[0],
		RateSource:   s.RateFrom,
		MarginMm:     margin,
		MostMarginMm: due.MostMargin,
		SliverMm:     record.Sliver,
		Outline:      outline(s.Stance.Outline()),
		Quick:        outline(s.Stance.Quick(s.Quick)),
		QuickShort:   outline(s.Stance.Quick(s.QuickShort)),
		QuickLong:    outline(s.Stance.Quick(s.QuickLong)),
		Centre:       point(s.Stance.Centre()),
		TurnDegDay:   claw.Degrees(s.TurnPerDay),
		ReachMm:      s.Stance.Reach(),
		Groove:       point(s.Stance.Groove(s.Quick)),
		Hook:         point(s.Stance.Hook(s.Quick)),
		DaysToFloor:  wholeDays(s.Days),
	}
	out.Slivers = []contract.Outline{}
	for _, ends := range s.Slivers {
		out.Slivers = append(out.Slivers, outline(ends[:]))
	}
	if !s.Measured.On.IsZero() {
		read := s.Measured.Range()
		out.Measured = &contract.MeasuredLength{
			On:     s.Measured.On,
			Mm:     read.Value,
			LowMm:  read.Low,
			HighMm: read.High,
			By:     s.Measured.By,
		}
	}
	for _, c := range s.Cuts {
		cut := schoolCut(c.Cut)
		cut.DaysToFloor = wholeDays(c.Days)
		out.Schools = append(out.Schools, cut)
	}
	return out, nil
}

func (h handlers) GetForecast(
	ctx context.Context,
	r contract.GetForecastRequestObject,
) (contract.GetForecastResponseObject, error) {
	f, err := h.book.Forecast(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	out := contract.GetForecast200JSONResponse{
		Days:        f.Days,
		TouchInDays: wholeDays(f.Touch),
		Touching:    list(f.Touching),
		Bars:        []contract.ForecastBar{},
	}
	for day := range f.Days[len(f.Days)-1] + 1 {
		out.Dates = append(out.Dates, h.book.Today().AddDays(day))
	}
	for i := range f.Readings[0] {
		bar := contract.ForecastBar{Code: f.Readings[0][i].Code}
		for _, day := range f.Readings {
			b := feet.BarOf(day[i])
			bar.LengthMm = append(bar.LengthMm, b.Length.Value)
			bar.QuickMm = append(bar.QuickMm, b.Quick)
			bar.QuickShortMm = append(bar.QuickShortMm, b.QuickShort)
			bar.QuickLongMm = append(bar.QuickLongMm, b.QuickLong)
		}
		out.Bars = append(out.Bars, bar)
	}
	return out, nil
}

func (handlers) CalcCuts(_ context.Context, r contract.CalcCutsRequestObject) (contract.CalcCutsResponseObject, error) {
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
	faults.Range("quick_mm", in.QuickMm, 0, in.LengthMm, "mm (no more than the nail is long)")
	faults.Range("margin_mm", in.MarginMm, 0, in.LengthMm, "mm (no more than the nail is long)")
	faults.Range("sliver_mm", in.SliverMm, 0.05, 10, fault.MM)
	if err := faults.Err(); err != nil {
		return nil, err
	}
	out := contract.CalcCuts200JSONResponse{}
	for _, cut := range c.AtGap(in.GapMm).Cuts(in.QuickMm, in.MarginMm, in.SliverMm) {
		out.Schools = append(out.Schools, schoolCut(cut))
	}
	return out, nil
}

func schoolCut(c claw.Cut) contract.SchoolCut {
	out := contract.SchoolCut{
		School: c.School, RemovedRidgeMm: c.Ridge, RemovedAreaMm2: c.Area, GapMm: c.Gap, ReachMm: c.Reach,
		GrowthToFloorMm: finite(c.ToFloor), Slivers: c.Slivers, Outline: outline(c.Outline),
	}
	for _, angle := range c.Planes {
		out.PlanesDeg = append(out.PlanesDeg, claw.Degrees(angle))
	}
	return out
}

func outline(points []claw.Point) contract.Outline {
	out := make(contract.Outline, len(points))
	for i, p := range points {
		out[i] = point(p)
	}
	return out
}

func point(p claw.Point) contract.Point { return contract.Point{p.X, p.Z} }

// wholeDays drops parts of a day; nothing where the core says never.
func wholeDays(days float64) *int {
	if math.IsInf(days, 0) {
		return nil
	}
	return of(int(days))
}
