package api

import (
	"context"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/units"
)

func (h handlers) GetSettings(
	ctx context.Context,
	_ contract.GetSettingsRequestObject,
) (contract.GetSettingsResponseObject, error) {
	s, err := h.book.Settings(ctx)
	if err != nil {
		return nil, err
	}
	return contract.GetSettings200JSONResponse{SettingsJSONResponse: h.settings(s)}, nil
}

func (h handlers) PutSettings(
	ctx context.Context,
	r contract.PutSettingsRequestObject,
) (contract.PutSettingsResponseObject, error) {
	told := book.Settings{
		Version:    r.Body.Version,
		Role:       string(r.Body.Role),
		LengthUnit: r.Body.LengthUnit,
		WeightUnit: r.Body.WeightUnit,
		Margin:     r.Body.MarginMm,
		Workdays:   r.Body.WorkingWeekdays,
		Holidays:   spans(r.Body.Holidays),
		Coin:       r.Body.CoinMm,
		LargestCut: r.Body.LargestCutMm,
		Way:        orZero(r.Body.Way),
		Hand:       orZero(r.Body.Hand),
		LeftHanded: orZero(r.Body.LeftHanded),
		EndPoint:   orZero(r.Body.EndPoint),
		Language:   string(orZero(r.Body.Language)),
	}
	if err := h.book.ChangeSettings(ctx, told); err != nil {
		return nil, err
	}
	s, err := h.book.Settings(ctx)
	if err != nil {
		return nil, err
	}
	return contract.PutSettings200JSONResponse{SettingsJSONResponse: h.settings(s)}, nil
}

func (h handlers) settings(s book.Settings) contract.SettingsJSONResponse {
	out := contract.SettingsJSONResponse{
		Choices: contract.Choices{
			Version:         s.Version,
			Role:            contract.Role(s.Role),
			LengthUnit:      s.LengthUnit,
			WeightUnit:      s.WeightUnit,
			MarginMm:        s.Margin,
			WorkingWeekdays: s.Workdays,
			CoinMm:          s.Coin,
			LargestCutMm:    s.LargestCut,
			Way:             &s.Way,
			Hand:            &s.Hand,
			LeftHanded:      &s.LeftHanded,
			EndPoint:        &s.EndPoint,
			Language:        of(contract.Language(s.Language)),
		},
		Length: display(s.LengthUnit.Display()), Weight: display(s.WeightUnit.Display()),
		Today: h.book.Today(), Demo: h.demo, BackupTrouble: given(h.book.BackupTrouble()),
	}
	for _, d := range s.Holidays {
		out.Choices.Holidays = append(out.Choices.Holidays, contract.Span{From: d.From, To: d.To})
	}
	for _, c := range growth.SizeClasses() {
		out.SizeClasses = append(out.SizeClasses, contract.SizeClass{UnderKg: given(c.Under), UsualKg: c.UsualWeight})
	}
	for _, s := range nail.States() {
		if s.Veterinary() {
			out.VeterinaryStates = append(out.VeterinaryStates, s)
		}
	}
	out.GapFeelers = []contract.GapFeeler{
		{Feeler: contract.GapFeelerFeelerTouches, GapMm: claw.TouchGap},
		{Feeler: contract.GapFeelerFeelerPaper, GapMm: claw.PaperGap},
		{Feeler: contract.GapFeelerFeelerCard, GapMm: claw.CardGap},
	}
	if s.Coin != nil {
		out.GapFeelers = append(
			out.GapFeelers,
			contract.GapFeeler{Feeler: contract.GapFeelerFeelerCoin, GapMm: *s.Coin},
		)
	}
	return out
}

func display(d units.Display) contract.Display {
	return contract.Display{Symbol: d.Symbol, PerStored: d.PerStored, Decimals: d.Decimals}
}
