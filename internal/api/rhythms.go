package api

import (
	"context"
	"fmt"
	"math"
	"slices"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
	"fribbet/internal/words"
)

func (h handlers) GetRhythms(
	ctx context.Context,
	r contract.GetRhythmsRequestObject,
) (contract.GetRhythmsResponseObject, error) {
	w := speaks(ctx)
	got, err := h.book.Rhythms(ctx, r.DogId, r.Params.PavementKmWeek, r.Params.GoalGapMm)
	if err != nil {
		return nil, err
	}
	out := contract.GetRhythms200JSONResponse{
		Dog:            h.dog(got.Dog),
		PavementKmWeek: got.Pavement,
		GroundShare:    got.Ground,
		MarginMm:       got.Margin,
		Tool:           given(got.Tool),
		GoalGapMm:      got.Goal,
		Outlooks:       []contract.Outlook{},
		Growth:         growthOf(w, got.Growth, nil),
		Plan:           quickPlan(w, got.Plan),
	}
	out.Needs = needs(got.Needs)
	for i, o := range got.Outlooks {
		one := contract.Outlook{
			Rhythm:        o.Rhythm,
			Days:          o.Rhythm.Days(),
			Choosable:     slices.Contains(rhythm.Rhythms(), o.Rhythm),
			Weeks:         o.Weeks,
			FloorDays:     o.FloorDays,
			QuickMm:       o.Quick,
			QuickMoveMm:   o.QuickMove,
			QuickWay:      contract.OutlookQuickWay(o.Way()),
			Sittings:      o.Sittings,
			Nails:         o.Nails,
			Minutes:       o.Minutes,
			GroundMinutes: o.Ground,
			BringBack:     bringBack(got.Plans[i]),
		}
		if o.WornOut > 0 {
			one.WornOut = &o.WornOut
		}
		out.Outlooks = append(out.Outlooks, one)
	}
	if even := got.BreakEven; even.Value > 0 && !math.IsInf(even.Value, 1) {
		out.BreakEven = &contract.BreakEven{
			Weeks: even.Value, LowWeeks: even.Low, HighWeeks: even.High, Source: even.Source, Nail: got.Setter,
		}
	}
	return out, nil
}

func needs(e *estimate.Estimate) *contract.Needs {
	if e == nil {
		return nil
	}
	return &contract.Needs{Days: e.Value, LowDays: e.Low, HighDays: e.High, Rhythm: given(rhythm.Within(e.Value))}
}

func (h handlers) StartQuickPlan(
	ctx context.Context,
	r contract.StartQuickPlanRequestObject,
) (contract.StartQuickPlanResponseObject, error) {
	w := speaks(ctx)
	if err := h.book.StartPlan(ctx, r.DogId, r.Body.Id, r.Body.Rhythm, r.Body.GoalGapMm); err != nil {
		return nil, err
	}
	v, err := h.book.View(ctx, r.DogId)
	return contract.StartQuickPlan200JSONResponse(h.view(w, v)), err
}

func (h handlers) EndQuickPlan(
	ctx context.Context,
	r contract.EndQuickPlanRequestObject,
) (contract.EndQuickPlanResponseObject, error) {
	w := speaks(ctx)
	if err := h.book.EndPlan(ctx, r.DogId); err != nil {
		return nil, err
	}
	v, err := h.book.View(ctx, r.DogId)
	return contract.EndQuickPlan200JSONResponse(h.view(w, v)), err
}

func (h handlers) GetHistory(
	ctx context.Context,
	r contract.GetHistoryRequestObject,
) (contract.GetHistoryResponseObject, error) {
	codes, err := nail.Named(r.Params.Of)
	if err != nil {
		return nil, fault.Fields{
			{
				Name:  "of",
				Value: r.Params.Of,
				Want:  say.Of(mustBeANailLf1, say.Args{"nail": say.Name(fmt.Sprint(nail.Groups()))}),
			},
		}
	}
	got, err := h.book.History(ctx, r.DogId, codes)
	if err != nil {
		return nil, err
	}
	return contract.GetHistory200JSONResponse{
		Codes:    got.Codes,
		Past:     points(got.Past),
		Forecast: points(got.Forecast),
	}, nil
}

func points(in []feet.Point) []contract.HistoryPoint {
	out := []contract.HistoryPoint{}
	for _, p := range in {
		out = append(out, contract.HistoryPoint{
			On: p.On, LengthMm: p.Length.Value, LengthLowMm: p.Length.Low, LengthHighMm: p.Length.High,
			QuickMm: p.Quick.Value, QuickLowMm: p.Quick.Low, QuickHighMm: p.Quick.High, FloorMm: finite(p.Floor),
			RemovedMm: p.Removed, Blood: p.Blood, Sitting: p.Sitting, Measured: p.Measured,
		})
	}
	return out
}

func bringBack(p rhythm.Plan) contract.BringBack {
	out := contract.BringBack{
		Rhythm: p.Rhythm, Started: p.Started, GoalGapMm: p.Goal, Done: dated(p.Done()), Steps: []contract.PlanStep{},
		BackMm: p.Back(), Never: p.Never, Holding: list(p.Holding),
	}
	for _, s := range p.Steps {
		out.Steps = append(out.Steps, contract.PlanStep{On: s.On, QuickMm: s.Quick, GapMm: s.Gap})
	}
	return out
}

func quickPlan(w words.Words, r *book.Recession) *contract.QuickPlan {
	if r == nil {
		return nil
	}
	g := r.Progress
	return &contract.QuickPlan{
		Plan:       bringBack(r.Plan),
		Track:      contract.QuickPlanTrack(g.Track),
		BackMm:     g.Back,
		ExpectedMm: g.Expected,
		Held:       g.Held,
		Due:        g.Due,
		Words:      w.Say(g.Words),
	}
}

func rate(r growth.Rate) contract.Rate {
	e := estimate.Normal(r.Mean, r.SD, estimate.Learnt)
	return contract.Rate{MmWeek: e.Value, LowMmWeek: e.Low, HighMmWeek: e.High}
}

func growthOf(w words.Words, g feet.Growth, outliers []feet.Outlier) contract.Growth {
	out := contract.Growth{
		Gross:    rate(g.Gross),
		Usual:    rate(g.Usual),
		Rest:     inMM(g.Rest),
		Measured: g.Measured,
		Source:   g.Source,
		Words:    w.Say(g.Words),
		Groups:   []contract.GroupGrowth{},
		Outliers: []contract.Outlier{},
	}
	for _, one := range g.Groups {
		group := contract.GroupGrowth{
			Group: one.Group,
			Net:   rate(one.Net),
			Usual: rate(one.Usual),
			Seen:  []contract.SeenRate{},
		}
		for _, s := range one.Seen {
			group.Seen = append(
				group.Seen,
				contract.SeenRate{On: s.On, Rate: rate(growth.Rate{Mean: s.Mean, SD: s.SD}), Nails: s.Nails},
			)
		}
		out.Groups = append(out.Groups, group)
	}
	for _, o := range outliers {
		out.Outliers = append(out.Outliers, contract.Outlier{Code: o.Code, On: o.On, LengthMm: o.MM})
	}
	return out
}

func (handlers) CalcGrowth(
	_ context.Context,
	r contract.CalcGrowthRequestObject,
) (contract.CalcGrowthResponseObject, error) {
	where := growth.Where{Age: r.Body.AgeWeeks, Weight: r.Body.WeightKg, Pavement: r.Body.PavementKmWeek}
	faults := where.Check()
	var all []growth.Observation
	for _, o := range r.Body.Observations {
		all = append(all, growth.Observation{
			Group:    o.Group,
			Weeks:    o.Weeks,
			Grown:    o.GrownMm,
			Pavement: o.PavementKmWeek,
			Age:      where.Age,
			Weight:   where.Weight,
		})
	}
	faults = append(faults, growth.CheckAll(all)...)
	if err := faults.Err(); err != nil {
		return nil, err
	}
	rates := growth.Learn(all)
	out := contract.CalcGrowth200JSONResponse{Outliers: list(rates.Outliers(all))}
	gross := rates.Gross(where)
	out.Gross.Mean, out.Gross.Sd = gross.Mean, gross.SD
	for _, group := range nail.Groups() {
		net := rates.Group(group, where)
		out.Groups = append(out.Groups, contract.GroupRate{Group: group, NetMmWeek: net.Mean, Sd: net.SD})
	}
	return out, nil
}

func (handlers) CalcRhythm(
	_ context.Context,
	r contract.CalcRhythmRequestObject,
) (contract.CalcRhythmResponseObject, error) {
	in := r.Body
	got, err := rhythm.Asked{
		Rate:   in.NetMmWeek,
		Spare:  in.SpareAfterTrimMm,
		Weight: in.WeightKg,
		Weeks:  in.IntervalWeeks,
	}.Moves()
	if err != nil {
		return nil, err
	}
	return contract.CalcRhythm200JSONResponse{
		QuickMoveMm:     got.Quick,
		QuickMoveMmWeek: got.Week,
		SpareBeforeMm:   got.Spare,
		BreakEvenWeeks:  given(got.BreakEven),
	}, nil
}
