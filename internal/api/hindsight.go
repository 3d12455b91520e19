package api

import (
	"context"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/hindsight"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words"
)

func (h handlers) GetHindsight(
	ctx context.Context,
	r contract.GetHindsightRequestObject,
) (contract.GetHindsightResponseObject, error) {
	w := speaks(ctx)
	got, err := h.book.Hindsight(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	return contract.GetHindsight200JSONResponse(hindsightOf(w, got)), nil
}

func (h handlers) GetWholeHindsight(
	ctx context.Context,
	r contract.GetWholeHindsightRequestObject,
) (contract.GetWholeHindsightResponseObject, error) {
	w := speaks(ctx)
	got, err := h.book.WholeHindsight(ctx, orZero(r.Params.Anew))
	out := contract.GetWholeHindsight200JSONResponse{
		Progress: recount(got.Progress),
		Dogs:     got.Dogs,
		Skipped:  got.Skipped,
	}
	out.Own = []contract.OwnUsual{}
	for _, o := range got.Own {
		out.Own = append(
			out.Own,
			contract.OwnUsual{
				Kind:         contract.OwnUsualKind(o.Kind),
				ClassFromKg:  o.From(),
				ClassUnderKg: o.Class,
				Dogs:         o.Dogs,
				Sittings:     o.Sittings,
				Before:       o.Before,
				After:        o.After,
				Used:         o.Used,
			},
		)
	}
	if !got.At.IsZero() {
		out.At, out.Said = &got.At, of(hindsightOf(w, got.Hindsight))
	}
	return out, err
}

func hindsightOf(w words.Words, got book.Hindsight) contract.Hindsight {
	f, d := got.Floors, got.Dates
	out := contract.Hindsight{
		Name:     got.Name,
		Quarters: []contract.HindsightQuarter{},
		Cuts: contract.HindsightCuts{
			Few:        hindsight.Few(got.Cuts.All()),
			All:        got.Cuts.All(),
			Bins:       []contract.HindsightBin{},
			Brier:      got.Cuts.Brier,
			PlainBrier: got.Cuts.Plain,
			Better:     got.Cuts.Better(),
		},
		Presses: hindsightChances(got.Presses),
		Lengths: hindsightNumbers(got.Lengths),
		Spares:  hindsightNumbers(got.Spares),
		Gaps:    hindsightNumbers(got.Gaps),
		Minutes: hindsightNumbers(got.Minutes),
		Floors:  hindsightChances(f),
		Wrongs:  []contract.HindsightWrong{},
		Teaches: lines(w, got.Teaches()),
		Dates: contract.HindsightDates{
			Few:     hindsight.Few(d.All()),
			Before:  d.Before,
			About:   d.About,
			NotYet:  d.NotYet,
			Later:   d.Later,
			Untried: d.Untried,
		},
		LeftOut: contract.HindsightLeftOut{
			Assumed:  got.LeftOut.Assumed,
			Unlooked: got.LeftOut.Unlooked,
			Trims:    got.LeftOut.Sittings,
		},
	}
	for _, q := range got.Quarters {
		out.Quarters = append(
			out.Quarters,
			contract.HindsightQuarter{
				From:        q.From,
				Trims:       q.Trims,
				Nails:       q.Nails,
				Bled:        q.Bled,
				Looked:      q.Looked,
				Touched:     q.Touched,
				CalmMinutes: q.Calm,
				Dated:       q.Dated,
				Kept:        q.Kept,
				DrawnMm:     q.Drawn,
			},
		)
	}
	out.Trends = []contract.HindsightTrend{}
	for _, t := range hindsight.Trends(got.Quarters) {
		one := contract.HindsightTrend{Of: contract.HindsightTrendOf(t.Of)}
		for _, p := range t.Points {
			one.Points = append(one.Points, contract.HindsightPoint{From: p.From, Value: p.Value})
		}
		out.Trends = append(out.Trends, one)
	}
	for _, wrong := range got.Wrongs() {
		out.Wrongs = append(out.Wrongs, contract.HindsightWrong{Says: w.Say(wrong.Says), Teach: w.Say(wrong.Teach)})
	}
	for _, b := range got.Cuts.Bins {
		if b.Cuts > 0 {
			out.Cuts.Bins = append(out.Cuts.Bins, contract.HindsightBin{
				UpTo:         b.UpTo,
				Cuts:         b.Cuts,
				Bled:         b.Bled,
				Said:         b.Said,
				Called:       w.Say(verdict.Chance(b.Said)),
				ExpectedLow:  int(b.Expected.Low),
				ExpectedHigh: int(b.Expected.High),
				Beyond:       b.Beyond(),
			})
		}
	}
	return out
}

func hindsightNumbers(n hindsight.Numbers) contract.HindsightNumbers {
	return contract.HindsightNumbers{
		Few:       hindsight.Few(n.Seen),
		Seen:      n.Seen,
		In90:      n.In90,
		ShareLow:  n.Share.Low,
		ShareHigh: n.Share.High,
		Crps:      n.CRPS,
		PlainCrps: n.Plain,
		Better:    n.Better(),
	}
}

func hindsightChances(c hindsight.Chances) contract.HindsightChances {
	return contract.HindsightChances{
		Few:          hindsight.Few(c.Seen),
		Seen:         c.Seen,
		Was:          c.Was,
		ExpectedLow:  int(c.Expected.Low),
		ExpectedHigh: int(c.Expected.High),
		Brier:        c.Brier,
		PlainBrier:   c.Plain,
		Better:       c.Better(),
	}
}

func (h handlers) GetOwnersHindsight(
	ctx context.Context,
	r contract.GetOwnersHindsightRequestObject,
) (contract.GetOwnersHindsightResponseObject, error) {
	got, err := h.book.OwnersHindsight(ctx, r.OwnerId)
	return contract.GetOwnersHindsight200JSONResponse(hindsightOf(speaks(ctx), got)), err
}

func (h handlers) UseOwn(ctx context.Context, r contract.UseOwnRequestObject) (contract.UseOwnResponseObject, error) {
	return contract.UseOwn204Response{}, h.book.UseOwn(
		ctx,
		hindsight.Kind(r.Body.Kind),
		r.Body.ClassUnderKg,
		r.Body.Use,
	)
}
