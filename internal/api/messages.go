package api

import (
	"context"
	"slices"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/round"
	"fribbet/internal/words"
)

func (h handlers) GetMessages(
	ctx context.Context,
	_ contract.GetMessagesRequestObject,
) (contract.GetMessagesResponseObject, error) {
	out, err := h.messages(ctx)
	return contract.GetMessages200JSONResponse{MessagesJSONResponse: out}, err
}

func (h handlers) TellOwner(
	ctx context.Context,
	r contract.TellOwnerRequestObject,
) (contract.TellOwnerResponseObject, error) {
	w := speaks(ctx)
	var pressed []book.Place
	for _, p := range r.Body.Places {
		pressed = append(pressed, book.Place{On: p.On, Start: round.Clock(p.Start), Minutes: orZero(p.Minutes)})
	}
	m, err := h.book.TellOwner(ctx, r.MessageId, r.Body.DogId, r.Body.Kind, pressed...)
	return contract.TellOwner200JSONResponse(message(w, m)), err
}

func (h handlers) ReadAnswerSo(
	ctx context.Context,
	r contract.ReadAnswerSoRequestObject,
) (contract.ReadAnswerSoResponseObject, error) {
	answer := round.Answer{
		Place: orZero(r.Body.Place),
		No:    orZero(r.Body.No),
		Stop:  orZero(r.Body.Stop),
		Seen:  orZero(r.Body.Seen),
	}
	if err := h.book.ReadSo(ctx, r.MessageId, answer); err != nil {
		return nil, err
	}
	out, err := h.messages(ctx)
	return contract.ReadAnswerSo200JSONResponse{MessagesJSONResponse: out}, err
}

func (h handlers) SendAgain(
	ctx context.Context,
	r contract.SendAgainRequestObject,
) (contract.SendAgainResponseObject, error) {
	if err := h.book.SendAgain(ctx, r.MessageId); err != nil {
		return nil, err
	}
	out, err := h.messages(ctx)
	return contract.SendAgain200JSONResponse{MessagesJSONResponse: out}, err
}

func (h handlers) GetGateway(
	_ context.Context,
	_ contract.GetGatewayRequestObject,
) (contract.GetGatewayResponseObject, error) {
	out, err := h.otherSide()
	return contract.GetGateway200JSONResponse{GatewayJSONResponse: out}, err
}

func (h handlers) AnswerMessage(
	_ context.Context,
	r contract.AnswerMessageRequestObject,
) (contract.AnswerMessageResponseObject, error) {
	if err := h.book.AnswerAs(r.MessageId, r.Body.Text); err != nil {
		return nil, err
	}
	out, err := h.otherSide()
	return contract.AnswerMessage200JSONResponse{GatewayJSONResponse: out}, err
}

func (h handlers) messages(ctx context.Context) (contract.MessagesJSONResponse, error) {
	w := speaks(ctx)
	all, err := h.book.Messages(ctx)
	out := contract.MessagesJSONResponse{
		Messages: []contract.Message{},
		Quiet:    round.Quiet(h.book.Clock()),
		Goes:     h.book.HasGateway(),
	}
	for _, m := range all {
		out.Messages = append(out.Messages, message(w, m))
	}
	return out, err
}

func (h handlers) otherSide() (contract.GatewayJSONResponse, error) {
	out := contract.GatewayJSONResponse{Messages: []contract.OwnersMessage{}}
	taken, err := h.book.Taken()
	for _, m := range slices.Backward(taken) { // the latest first
		out.Messages = append(
			out.Messages,
			contract.OwnersMessage{Id: m.ID, To: m.To, Text: m.Text, At: m.At, Answers: list(m.Answers)},
		)
	}
	return out, err
}

func message(w words.Words, m book.Message) contract.Message {
	out := contract.Message{
		Id:        m.ID,
		OwnerId:   m.OwnerID,
		Owner:     m.OwnerName,
		DogId:     m.DogID,
		Dog:       m.DogName,
		Kind:      m.Kind,
		To:        m.To,
		Text:      m.Text,
		State:     m.State,
		Failures:  m.Failures,
		MadeAt:    m.Made,
		ChangedAt: m.Changed,
		Answer:    m.Answer,
		Said:      w.Say(m.Said),
	}
	if m.Kind.Offers() {
		for _, p := range m.Places {
			out.Places = append(out.Places, w.Say(book.At(p.On, p.Start)))
		}
	}
	if guess, is := round.GuessAnswer(
		m.Answer,
		len(out.Places),
	); is && m.State == round.MessagePerson &&
		m.Kind.Offers() {
		out.Guess = &contract.AnswerMeans{Place: given(guess.Place), No: given(guess.No), Stop: given(guess.Stop)}
	}
	return out
}
