package api

import (
	"context"

	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/say"
)

func (h handlers) GetKit(ctx context.Context, _ contract.GetKitRequestObject) (contract.GetKitResponseObject, error) {
	out, err := h.kit(ctx)
	return contract.GetKit200JSONResponse{KitJSONResponse: out}, err
}

func (h handlers) AddKitItem(
	ctx context.Context,
	r contract.AddKitItemRequestObject,
) (contract.AddKitItemResponseObject, error) {
	if r.Body.Id == nil {
		return nil, fault.Fields{{Name: "id", Value: "nothing", Want: say.Of(mustBeANewId)}}
	}
	if err := h.book.AddKitItem(ctx, kitItemOf(*r.Body.Id, *r.Body)); err != nil {
		return nil, err
	}
	out, err := h.kit(ctx)
	return contract.AddKitItem200JSONResponse{KitJSONResponse: out}, err
}

func (h handlers) ChangeKitItem(
	ctx context.Context,
	r contract.ChangeKitItemRequestObject,
) (contract.ChangeKitItemResponseObject, error) {
	if r.Body.Version == nil {
		return nil, fault.Fields{{Name: "version", Value: "nothing", Want: say.Of(mustBeTheVersionOfThe)}}
	}
	if err := h.book.ChangeKitItem(ctx, kitItemOf(r.ItemId, *r.Body)); err != nil {
		return nil, err
	}
	out, err := h.kit(ctx)
	return contract.ChangeKitItem200JSONResponse{KitJSONResponse: out}, err
}

func (h handlers) RemoveKitItem(
	ctx context.Context,
	r contract.RemoveKitItemRequestObject,
) (contract.RemoveKitItemResponseObject, error) {
	if err := h.book.RemoveKitItem(ctx, r.ItemId); err != nil {
		return nil, err
	}
	out, err := h.kit(ctx)
	return contract.RemoveKitItem200JSONResponse{KitJSONResponse: out}, err
}

func (h handlers) ServiceKitItem(
	ctx context.Context,
	r contract.ServiceKitItemRequestObject,
) (contract.ServiceKitItemResponseObject, error) {
	if err := h.book.ServiceKitItem(ctx, r.ItemId, h.book.Today()); err != nil {
		return nil, err
	}
	out, err := h.kit(ctx)
	return contract.ServiceKitItem200JSONResponse{KitJSONResponse: out}, err
}

func (h handlers) UndoKitService(
	ctx context.Context,
	r contract.UndoKitServiceRequestObject,
) (contract.UndoKitServiceResponseObject, error) {
	if err := h.book.UndoKitService(ctx, r.ItemId); err != nil {
		return nil, err
	}
	out, err := h.kit(ctx)
	return contract.UndoKitService200JSONResponse{KitJSONResponse: out}, err
}

func kitItemOf(id uuid.UUID, in contract.KitItemInput) book.KitItem {
	i := book.KitItem{ID: id, Version: orZero(in.Version), Item: kit.Item{
		Kind: in.Kind, Name: orZero(in.Name), Guard: orZero(in.Guard), Grit: orZero(in.Grit), Tip: orZero(in.Tip),
		Limit: in.Limit, Expires: orZero(in.Expires), Stock: orZero(in.Stock),
	}}
	if in.OnItemId != nil {
		i.Item.On = in.OnItemId.String()
	}
	return i
}

func (h handlers) kit(ctx context.Context) (contract.KitJSONResponse, error) {
	w := speaks(ctx)
	pieces, err := h.book.Kit(ctx)
	if err != nil {
		return contract.KitJSONResponse{}, err
	}
	out := contract.KitJSONResponse{Items: []contract.KitItem{}, Grits: kit.Grits()}
	for _, p := range pieces {
		s := p.State
		one := contract.KitItem{
			Id:       p.ID,
			Version:  p.Version,
			Kind:     p.Item.Kind,
			Shelf:    p.Item.Kind.Shelf(),
			Name:     p.Item.Name,
			Guard:    p.Item.Guard,
			Grit:     given(p.Item.Grit),
			Tip:      given(p.Item.Tip),
			OnItemId: idOf(p.Item.On),
			Expires:  dated(p.Item.Expires),
			Stock:    given(p.Item.Stock),
			Level:    s.Level,
			Counts:   s.Counts,
			Used:     s.Used,
			Limit:    finite(s.Limit),
			Told:     s.Told,
			Assumed:  p.Use.Assumed,
			Words:    w.Say(s.Words),
			Service:  contract.KitItemService(p.Item.Service()),
			Serviced: dated(p.Serviced.On),
			Usable:   s.Usable(),
		}
		if tool, is := p.Item.Kind.Tool(); is {
			one.Tool = &tool
		}
		if !s.Usable() {
			out.Due++
		}
		out.Items = append(out.Items, one)
	}
	for _, k := range kit.Kinds() {
		fresh := kit.Item{Kind: k}
		state := fresh.StateOn(h.book.Today(), kit.Use{})
		out.Kinds = append(out.Kinds, contract.KitKindInfo{
			Kind:       k,
			Shelf:      k.Shelf(),
			Counts:     state.Counts,
			Abrasive:   fresh.Abrasive(),
			UsualLimit: finite(state.Limit),
		})
	}
	return out, nil
}
