package api

import (
	"bytes"
	"context"
	_ "embed" // the page
	"html/template"

	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/say"
)

//go:embed card.html
var cardPage string

var cardTemplate = template.Must(template.New("card").Parse(cardPage))

func (h handlers) GetCard(
	ctx context.Context,
	r contract.GetCardRequestObject,
) (contract.GetCardResponseObject, error) {
	out, err := h.card(ctx, r.DogId, r.SittingId)
	return contract.GetCard200JSONResponse{CardJSONResponse: out}, err
}

func (h handlers) OpenCard(
	ctx context.Context,
	r contract.OpenCardRequestObject,
) (contract.OpenCardResponseObject, error) {
	if err := h.book.OpenCard(ctx, r.DogId, r.SittingId, r.Body.Open); err != nil {
		return nil, err
	}
	out, err := h.card(ctx, r.DogId, r.SittingId)
	return contract.OpenCard200JSONResponse{CardJSONResponse: out}, err
}

func (h handlers) ReadCard(
	ctx context.Context,
	r contract.ReadCardRequestObject,
) (contract.ReadCardResponseObject, error) {
	c, err := h.book.CardBy(ctx, r.CardKey)
	if err != nil {
		return nil, err
	}
	w, name := c.Words, say.Args{"name": say.Name(c.Name)}
	var page bytes.Buffer
	err = cardTemplate.Execute(&page, map[string]any{
		"Language": w.Language,
		"Name":     c.Name,
		"Title":    w.Say(say.Of(cardTitle, name)),
		"AtHome":   w.Say(say.Of(cardAtHome)),
		"Done":     w.Say(c.Done),
		"Bled":     w.Say(c.Bled),
		"How":      w.Say(c.How),
		"Home":     w.All(c.Home),
		"Next":     w.Say(c.Next),
	})
	return contract.ReadCard200TexthtmlResponse{Body: &page, ContentLength: int64(page.Len())}, err
}

const (
	cardTitle  say.Key = "card.title"
	cardAtHome say.Key = "card.at_home"
	cardBefore say.Key = "card.before"
	cardAfter  say.Key = "card.after"
	cardLegend say.Key = "card.legend"
	cardPageAt say.Key = "card.page"
)

func (h handlers) card(ctx context.Context, dogID, sittingID uuid.UUID) (contract.CardJSONResponse, error) {
	c, err := h.book.Card(ctx, dogID, sittingID)
	if err != nil {
		return contract.CardJSONResponse{}, err
	}
	w := c.Words
	out := contract.CardJSONResponse{
		Name:      c.Name,
		Language:  contract.Language(w.Language),
		Done:      w.Say(c.Done),
		Bled:      given(w.Say(c.Bled)),
		How:       w.Say(c.How),
		Home:      w.All(c.Home),
		Next:      given(w.Say(c.Next)),
		Reachable: c.Seen,
	}
	out.Headings.Home = w.Say(say.Of(cardAtHome))
	out.Headings.Before, out.Headings.After = w.Say(say.Of(cardBefore)), w.Say(say.Of(cardAfter))
	out.Headings.Legend, out.Headings.Page = w.Say(say.Of(cardLegend)), w.Say(say.Of(cardPageAt))
	if c.Page == nil {
		return out, nil
	}
	out.Page = &struct {
		Path string `json:"path"`
		Size int    `json:"size"`
		Url  string `json:"url"`
	}{c.Page.Path, c.Page.Size, c.Page.URL}
	return out, nil
}
