package api

import (
	"bytes"
	"context"
	"fmt"

	"fribbet/internal/api/contract"
	"fribbet/internal/formats"
)

func (h handlers) GetSheet(ctx context.Context, r contract.GetSheetRequestObject) (contract.GetSheetResponseObject, error) {
	sheets := map[string]func(context.Context) (formats.Sheet, error){"due": h.book.DueSheet, "visits": h.book.VisitSheet, "kit": h.book.KitSheet, "owners": h.book.OwnerSheet, "messages": h.book.MessageSheet}
	s, err := sheets[r.Sheet](ctx)
	if err != nil {
		return nil, err
	}
	body, name, err := sheet(s)
	return contract.GetSheet200TextcsvResponse{Body: body, ContentLength: int64(body.Len()), Headers: contract.GetSheet200ResponseHeaders{ContentDisposition: &name}}, err
}

func (h handlers) GetNailSheet(ctx context.Context, r contract.GetNailSheetRequestObject) (contract.GetNailSheetResponseObject, error) {
	s, err := h.book.NailSheet(ctx, r.DogId, r.Code)
	if err != nil {
		return nil, err
	}
	body, name, err := sheet(s)
	return contract.GetNailSheet200TextcsvResponse{Body: body, ContentLength: int64(body.Len()), Headers: contract.GetNailSheet200ResponseHeaders{ContentDisposition: &name}}, err
}

func sheet(s formats.Sheet) (*bytes.Buffer, string, error) {
	var out bytes.Buffer
	err := s.Write(&out)
	return &out, fmt.Sprintf("attachment; filename=%q", s.Name+".csv"), err
}
