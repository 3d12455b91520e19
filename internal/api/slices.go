package api

import (
	"bytes"
	"context"
	"io"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/photo"
	"fribbet/internal/words"
)

func (h handlers) GetSlices(
	ctx context.Context,
	_ contract.GetSlicesRequestObject,
) (contract.GetSlicesResponseObject, error) {
	known, err := h.slicesKnown(ctx)
	return contract.GetSlices200JSONResponse{SlicesKnownJSONResponse: known}, err
}

func (h handlers) KeepSlices(
	ctx context.Context,
	r contract.KeepSlicesRequestObject,
) (contract.KeepSlicesResponseObject, error) {
	shot, ends := slicesIn(*r.Body)
	if err := h.book.KeepSlices(ctx, r.StickId, r.Body.MeantMm, shot, ends); err != nil {
		return nil, err
	}
	known, err := h.slicesKnown(ctx)
	return contract.KeepSlices200JSONResponse{SlicesKnownJSONResponse: known}, err
}

func (h handlers) ForgetSlices(
	ctx context.Context,
	r contract.ForgetSlicesRequestObject,
) (contract.ForgetSlicesResponseObject, error) {
	if err := h.book.ForgetSlices(ctx, r.StickId); err != nil {
		return nil, err
	}
	known, err := h.slicesKnown(ctx)
	return contract.ForgetSlices200JSONResponse{SlicesKnownJSONResponse: known}, err
}

func (h handlers) ReadSlices(
	ctx context.Context,
	r contract.ReadSlicesRequestObject,
) (contract.ReadSlicesResponseObject, error) {
	shot, ends := slicesIn(*r.Body)
	stick, so, err := h.book.ReadSlices(r.Body.MeantMm, shot, ends)
	if err != nil {
		return nil, err
	}
	said := learnt(speaks(ctx), so)
	out := contract.ReadSlices200JSONResponse{Slices: []contract.PhotoNumber{}, Learnt: said}
	for _, n := range stick.Slices {
		out.Slices = append(out.Slices, photoNumber(n))
	}
	return out, err
}

func (h handlers) FindCard(
	_ context.Context,
	r contract.FindCardRequestObject,
) (contract.FindCardResponseObject, error) {
	data, err := io.ReadAll(r.Body)
	if err != nil {
		return nil, err
	}
	width, height, corners, err := h.book.CardIn(data)
	return contract.FindCard200JSONResponse{Width: width, Height: height, Corners: pixelsOf(corners)}, err
}

// TakeStandInSlices is the simulated camera's picture.
func (h handlers) TakeStandInSlices(
	context.Context,
	contract.TakeStandInSlicesRequestObject,
) (contract.TakeStandInSlicesResponseObject, error) {
	data, err := h.book.TakeSlices()
	return contract.TakeStandInSlices200ImagejpegResponse{
		Body:          bytes.NewReader(data),
		ContentLength: int64(len(data)),
	}, err
}

func slicesIn(in contract.SlicesInput) (photo.Shot, []photo.Ends) {
	s := photo.Shot{Width: in.Width, Height: in.Height, Reference: photo.Card, Handles: pixels(in.Handles)}
	ends := make([]photo.Ends, len(in.Slices))
	for i, e := range in.Slices {
		ends[i] = photo.Ends{pixel(e[0]), pixel(e[1])}
	}
	return s, ends
}

func (h handlers) slicesKnown(ctx context.Context) (contract.SlicesKnownJSONResponse, error) {
	out := contract.SlicesKnownJSONResponse{StandIn: h.book.HasCamera()}
	all, err := h.book.SlicesSoFar(ctx)
	if err != nil || len(all) == 0 {
		return out, err
	}
	said := learnt(speaks(ctx), all[0].Learnt)
	out.Id, out.On, out.Learnt = &all[0].ID, &all[0].On, &said
	before := []contract.SlicesMeasured{}
	for _, m := range all {
		before = append(before, contract.SlicesMeasured{On: m.On, MeantMm: m.Learnt.Meant, TrueMm: contract.Times{
			Value: m.Learnt.Meant * m.Times.Value,
			Low:   m.Learnt.Meant * m.Times.Low,
			High:  m.Learnt.Meant * m.Times.High,
		}, SpreadMm: m.Spread.Value})
	}
	out.All = before
	return out, err
}

func learnt(w words.Words, l hand.Learnt) contract.SlicesLearnt {
	return contract.SlicesLearnt{
		MeantMm:       l.Meant,
		Count:         l.Count,
		Times:         contract.Times{Value: l.Times.Value, Low: l.Times.Low, High: l.Times.High},
		Spread:        inMM(l.Spread),
		UsualSpreadMm: l.Usual,
		Says:          lines(w, l.Says()),
	}
}
