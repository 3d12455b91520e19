package api

import (
	"bytes"
	"context"
	_ "embed" // the page
	"html/template"

	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/formats"
	"fribbet/internal/store"
)

//go:embed card.html
var cardPage string

var cardTemplate = template.Must(template.New("card").Parse(cardPage))

func (h handlers) GetCard(ctx context.Context, r contract.GetCardRequestObject) (contract.GetCardResponseObject, error) {
	out, err := h.card(ctx, r.DogId, r.SittingId)
	return contract.GetCard200JSONResponse{CardJSONResponse: out}, err
}

func (h handlers) OpenCard(ctx context.Context, r contract.OpenCardRequestObject) (contract.OpenCardResponseObject, error) {
	if h.house == nil && r.Body.Open { // nobody could see it
		return nil, store.ErrNotFound
	}
	if err := h.book.OpenCard(ctx, r.DogId, r.SittingId, r.Body.Open); err != nil {
		return nil, err
	}
	out, err := h.card(ctx, r.DogId, r.SittingId)
	return contract.OpenCard200JSONResponse{CardJSONResponse: out}, err
}

func (h handlers) ReadCard(ctx context.Context, r contract.ReadCardRequestObject) (contract.ReadCardResponseObject, error) {
	c, err := h.book.CardBy(ctx, r.CardKey)
	if err != nil {
		return nil, err
	}
	var page bytes.Buffer
	err = cardTemplate.Execute(&page, c)
	return contract.ReadCard200TexthtmlResponse{Body: &page, ContentLength: int64(page.Len())}, err
}

func (h handlers) card(ctx context.Context, dogID, sittingID uuid.UUID) (contract.CardJSONResponse, error) {
	c, err := h.book.Card(ctx, dogID, sittingID)
	if err != nil {
		return contract.CardJSONResponse{}, err
	}
	out := contract.CardJSONResponse{Name: c.Name, Done: c.Done, Bled: given(c.Bled), How: c.How, Home: list(c.Home), Next: given(c.Next), Reachable: h.house != nil}
	if c.Key == "" || h.house == nil {
		return out, nil
	}
	url := h.house.Addresses[0] + "card/" + c.Key
	path, size, err := formats.Code(url)
	out.Page = &struct {
		Path string `json:"path"`
		Size int    `json:"size"`
		Url  string `json:"url"` //nolint:revive // as generated
	}{path, size, url}
	return out, err
}
