package api

import (
	"bytes"
	"cmp"
	"context"
	"io"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/photo"
	"fribbet/internal/core/quick"
)

func (h handlers) AddPicture(
	ctx context.Context,
	r contract.AddPictureRequestObject,
) (contract.AddPictureResponseObject, error) {
	data, err := io.ReadAll(r.Body)
	if err != nil {
		return nil, err
	}
	p := book.Picture{ID: r.PictureId, DogID: r.DogId, On: orZero(r.Params.On)}
	if err := p.Paw.UnmarshalText([]byte(r.Params.Paw)); err != nil {
		return nil, err
	}
	if r.Params.Code != nil || r.Params.SittingId != nil || r.Params.Cuts != nil {
		p.End = &book.CutEnd{Sitting: orZero(r.Params.SittingId), Cuts: orZero(r.Params.Cuts)}
	}
	if r.Params.Code != nil {
		p.End.Code, _ = nail.ParseCode(*r.Params.Code) // what is none is refused by name
	}
	p, err = h.book.AddPicture(ctx, p, data)
	return contract.AddPicture200JSONResponse(picture(p)), err
}

func (h handlers) GetPictures(
	ctx context.Context,
	r contract.GetPicturesRequestObject,
) (contract.GetPicturesResponseObject, error) {
	all, err := h.book.Pictures(ctx, r.DogId)
	out := contract.GetPictures200JSONResponse{Pictures: []contract.Picture{}}
	for _, p := range all {
		out.Pictures = append(out.Pictures, picture(p))
	}
	return out, err
}

func (h handlers) RemovePicture(
	ctx context.Context,
	r contract.RemovePictureRequestObject,
) (contract.RemovePictureResponseObject, error) {
	return contract.RemovePicture204Response{}, h.book.RemovePicture(ctx, r.DogId, r.PictureId)
}

func (h handlers) GetPicturesKept(
	ctx context.Context,
	_ contract.GetPicturesKeptRequestObject,
) (contract.GetPicturesKeptResponseObject, error) {
	k, err := h.book.PicturesKept(ctx)
	return contract.GetPicturesKept200JSONResponse{Pictures: k.Pictures, Bytes: k.Bytes, Place: k.Place}, err
}

func (h handlers) GetPicture(
	ctx context.Context,
	r contract.GetPictureRequestObject,
) (contract.GetPictureResponseObject, error) {
	data, err := h.book.PictureFile(ctx, r.Hash, orZero(r.Params.Small))
	return contract.GetPicture200ImagejpegResponse{
		Body:          bytes.NewReader(data),
		ContentLength: int64(len(data)),
		Headers: contract.GetPicture200ResponseHeaders{
			CacheControl: of("private, max-age=31536000, immutable"),
		}, // it is named after what it is
	}, err
}

func (h handlers) ReadPhoto(
	ctx context.Context,
	r contract.ReadPhotoRequestObject,
) (contract.ReadPhotoResponseObject, error) {
	in := r.Body
	s := photo.Shot{
		Width:     in.Width,
		Height:    in.Height,
		Reference: photo.Reference(in.Reference),
		MM:        orZero(in.KnownMm),
		Held:      photo.Holding(cmp.Or(string(orZero(in.Held)), string(photo.Unsure))),
	}
	s.Handles = pixels(in.Handles)
	at := func(p *contract.PicturePoint) *photo.Point {
		if p == nil {
			return nil
		}
		return of(pixel(*p))
	}
	m := photo.Marks{
		Coat:   pixel(in.Coat),
		Tip:    pixel(in.Tip),
		Ridge:  at(in.Ridge),
		Groove: at(in.Groove),
		Pink:   at(in.Pink),
		Pad:    at(in.Pad),
		Floor:  at(in.Floor),
		Low:    at(in.Low),
	}
	asked := book.PhotoAsked{Shot: s, Marks: m, PictureID: orZero(in.PictureId)}
	if in.Side != nil {
		asked.Side = &photo.Side{
			Shot: photo.Shot{
				Width:     in.Side.Width,
				Height:    in.Side.Height,
				Reference: photo.Card,
				Handles:   pixels(in.Side.Handles),
			},
			Coat: pixel(in.Side.Coat),
			Tip:  pixel(in.Side.Tip),
		}
		asked.SideID = orZero(in.Side.PictureId)
	}
	read, err := h.book.ReadPhoto(ctx, r.DogId, r.Code, asked)
	if err != nil {
		return nil, err
	}
	out := contract.ReadPhoto200JSONResponse{Length: photoNumber(read.Length), PxPerMm: read.PxPerMM, Shape: read.Shape}
	if read.Gap != nil {
		out.Gap = of(photoNumber(*read.Gap))
	}
	for mark, into := range map[quick.Landmark]**contract.PhotoNumber{
		quick.Groove:      &out.Groove,
		quick.SeenThrough: &out.Pink,
	} {
		if n, is := read.Quick[mark]; is {
			*into = of(photoNumber(n))
		}
	}
	if read.Radius != nil {
		out.Radius = of(photoRange(*read.Radius))
	}
	if read.PastPad != nil {
		out.PastPad, out.IsPastPad = of(photoRange(*read.PastPad)), of(read.IsPastPad())
	}
	if read.View != nil {
		out.TiltDeg, out.DistanceMm, out.Askew = &read.View.Tilt, &read.View.Distance, of(read.View.Askew())
		grid := [][]contract.PicturePoint{}
		for _, l := range s.Grid(m) {
			grid = append(grid, pixelsOf(l[:]))
		}
		out.Grid = grid
	}
	if read.Stands != nil {
		out.Stands = &contract.PhotoStands{
			Depth:       photoRange(read.Stands.Depth),
			LeanDeg:     read.Stands.Lean.Value,
			LeanLowDeg:  read.Stands.Lean.Low,
			LeanHighDeg: read.Stands.Lean.High,
			ApartDeg:    read.Stands.Apart,
		}
	}
	return out, nil
}

func pixels(all []contract.PicturePoint) (out []photo.Point) {
	for _, p := range all {
		out = append(out, pixel(p))
	}
	return out
}

func pixel(p contract.PicturePoint) photo.Point { return photo.Point{X: p[0], Y: p[1]} }

func photoNumber(n measure.Number) contract.PhotoNumber {
	e := n.Range()
	return contract.PhotoNumber{Mm: n.MM, LowMm: e.Low, HighMm: e.High, SdMm: n.SD}
}

func photoRange(e estimate.Estimate) contract.PhotoNumber {
	return contract.PhotoNumber{Mm: e.Value, LowMm: e.Low, HighMm: e.High, SdMm: (e.High - e.Low) / (2 * estimate.Z90)}
}

func picture(p book.Picture) contract.Picture {
	out := contract.Picture{
		Id:      p.ID,
		Paw:     p.Paw,
		On:      p.On,
		Hash:    p.Hash,
		Width:   p.Width,
		Height:  p.Height,
		Bytes:   p.Bytes,
		Corners: pixelsOf(p.Corners),
	}
	if p.End != nil {
		out.Code = &p.End.Code
	}
	return out
}

func pixelsOf(all []photo.Point) []contract.PicturePoint {
	out := []contract.PicturePoint{}
	for _, p := range all {
		out = append(out, contract.PicturePoint{p.X, p.Y})
	}
	return out
}
