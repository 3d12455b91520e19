package api

import (
	"bytes"
	"context"
	"fmt"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
)

func (h handlers) GetSheet(
	ctx context.Context,
	r contract.GetSheetRequestObject,
) (contract.GetSheetResponseObject, error) {
	s, err := h.book.Sheet(ctx, r.Sheet)
	if err != nil {
		return nil, err
	}
	body, name, err := sheet(s)
	return contract.GetSheet200TextcsvResponse{
		Body:          body,
		ContentLength: int64(body.Len()),
		Headers:       contract.GetSheet200ResponseHeaders{ContentDisposition: &name},
	}, err
}

func (h handlers) GetNailSheet(
	ctx context.Context,
	r contract.GetNailSheetRequestObject,
) (contract.GetNailSheetResponseObject, error) {
	s, err := h.book.NailSheet(ctx, r.DogId, r.Code)
	if err != nil {
		return nil, err
	}
	body, name, err := sheet(s)
	return contract.GetNailSheet200TextcsvResponse{
		Body:          body,
		ContentLength: int64(body.Len()),
		Headers:       contract.GetNailSheet200ResponseHeaders{ContentDisposition: &name},
	}, err
}

func sheet(s book.Sheet) (*bytes.Buffer, string, error) {
	var out bytes.Buffer
	err := s.Write(&out)
	return &out, fmt.Sprintf("attachment; filename=%q", s.Name+".csv"), err
}
