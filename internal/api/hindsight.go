package api

import (
	"context"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/hindsight"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words"
)

func (h handlers) GetHindsight(ctx context.Context, r contract.GetHindsightRequestObject) (contract.GetHindsightResponseObject, error) {
	w := speaks(ctx)
	got, err := h.book.Hindsight(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	return contract.GetHindsight200JSONResponse(hindsightOf(w, got)), nil
}

func (h handlers) GetWholeHindsight(ctx context.Context, r contract.GetWholeHindsightRequestObject) (contract.GetWholeHindsightResponseObject, error) {
	w := speaks(ctx)
	got, err := h.book.WholeHindsight(ctx, orZero(r.Params.Anew))
	out := contract.GetWholeHindsight200JSONResponse{Progress: recount(got.Progress), Dogs: got.Dogs, Skipped: got.Skipped}
	if !got.At.IsZero() {
		out.At, out.Said = &got.At, of(hindsightOf(w, got.Hindsight))
	}
	return out, err
}

func hindsightOf(w words.Words, got book.Hindsight) contract.Hindsight {
	l, f, d := got.Lengths, got.Floors, got.Dates
	out := contract.Hindsight{
		Name: got.Name, Quarters: []contract.HindsightQuarter{},
		Cuts:    contract.HindsightCuts{Few: hindsight.Few(got.Cuts.All()), All: got.Cuts.All(), Bins: []contract.HindsightBin{}, Brier: got.Cuts.Brier, PlainBrier: got.Cuts.Plain, Better: got.Cuts.Better()},
		Lengths: contract.HindsightLengths{Few: hindsight.Few(l.Seen), Seen: l.Seen, In90: l.In90, ShareLow: l.Share.Low, ShareHigh: l.Share.High, CrpsMm: l.CRPS, PlainCrpsMm: l.Plain},
		Floors:  contract.HindsightFloors{Few: hindsight.Few(f.Seen), Seen: f.Seen, Touched: f.Touched, ExpectedLow: int(f.Expected.Low), ExpectedHigh: int(f.Expected.High), Brier: f.Brier, PlainBrier: f.Plain},
		Dates:   contract.HindsightDates{Few: hindsight.Few(d.All()), Before: d.Before, About: d.About, NotYet: d.NotYet, Later: d.Later, Untried: d.Untried},
		LeftOut: contract.HindsightLeftOut{Assumed: got.LeftOut.Assumed, Unlooked: got.LeftOut.Unlooked, Trims: got.LeftOut.Sittings},
	}
	for _, q := range got.Quarters {
		out.Quarters = append(out.Quarters, contract.HindsightQuarter{From: q.From, Trims: q.Trims, Nails: q.Nails, Bled: q.Bled, Looked: q.Looked, Touched: q.Touched, CalmMinutes: q.Calm})
	}
	for _, b := range got.Cuts.Bins {
		if b.Cuts > 0 {
			out.Cuts.Bins = append(out.Cuts.Bins, contract.HindsightBin{
				UpTo: b.UpTo, Cuts: b.Cuts, Bled: b.Bled, Said: b.Said, Called: w.Say(verdict.Chance(b.Said)), ExpectedLow: int(b.Expected.Low), ExpectedHigh: int(b.Expected.High), Beyond: b.Beyond(),
			})
		}
	}
	return out
}
