package api

import (
	"context"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/dog"
	"fribbet/internal/store"
)

func (h handlers) GetPlan(ctx context.Context, r contract.GetPlanRequestObject) (contract.GetPlanResponseObject, error) {
	p, err := h.book.Plan(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	out := contract.GetPlan200JSONResponse{
		DogId: p.Dog.ID, Name: p.Dog.Name, Today: h.book.Today(), Tool: p.Tool, Cautions: cautions(p.Cautions), SliverMm: dog.Sliver,
	}
	readings := make([]dog.Reading, len(p.Nails))
	for i, n := range p.Nails {
		readings[i] = n.Reading
		out.Nails = append(out.Nails, contract.PlannedNail{Code: n.Code, CutsMm: list(n.Cuts), Why: n.Why, Risk: n.Risk})
	}
	out.Rank = rank(readings)
	return out, nil
}

func (h handlers) RecordSitting(ctx context.Context, r contract.RecordSittingRequestObject) (contract.RecordSittingResponseObject, error) {
	s := store.Sitting{ID: r.Body.Id}
	if r.Body.On != nil {
		s.On = *r.Body.On
	}
	if r.Body.Note != nil {
		s.Note = *r.Body.Note
	}
	for _, in := range r.Body.Records {
		s.Records = append(s.Records, dog.Record{
			Code: in.Code, LengthBefore: in.LengthBeforeMm, LengthAfter: in.LengthAfterMm,
			GapBefore: in.GapBeforeMm, GapAfter: in.GapAfterMm, SpareLeft: in.SpareLeftMm,
			Cuts: in.CutsMm, Tool: in.Tool, Reaction: in.Reaction, Blood: in.Blood,
		})
	}
	if err := h.book.Record(ctx, r.DogId, s); err != nil {
		return nil, err
	}
	v, err := h.book.View(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	return contract.RecordSitting201JSONResponse(h.view(v)), nil
}

func (h handlers) WithdrawSitting(ctx context.Context, r contract.WithdrawSittingRequestObject) (contract.WithdrawSittingResponseObject, error) {
	if err := h.book.Withdraw(ctx, r.DogId, r.SittingId); err != nil {
		return nil, err
	}
	v, err := h.book.View(ctx, r.DogId)
	if err != nil {
		return nil, err
	}
	return contract.WithdrawSitting200JSONResponse(h.view(v)), nil
}
