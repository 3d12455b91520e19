package api

import (
	"context"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
	"fribbet/internal/words"
)

func (h handlers) GetLadders(
	ctx context.Context,
	_ contract.GetLaddersRequestObject,
) (contract.GetLaddersResponseObject, error) {
	w := speaks(ctx)
	dogs, err := h.book.Climbers(ctx)
	if err != nil {
		return nil, err
	}
	out := contract.GetLadders200JSONResponse{Ladders: []contract.LadderRow{}}
	today := h.book.Today()
	for _, d := range dogs {
		for _, c := range d.Climbs {
			s := c.Standing
			out.Ladders = append(out.Ladders, contract.LadderRow{
				DogId: d.DogID, Name: d.Name, Kind: c.Kind, Paw: c.Paw, Step: s.Step, Steps: len(ladder.Steps(c.Kind)),
				Reason: w.Say(s.Reason()), NextInDays: s.NextOn(today).Sub(today), Ready: ready(s.Ready(today)),
			})
		}
	}
	return out, nil
}

func (h handlers) GetCalm(
	ctx context.Context,
	_ contract.GetCalmRequestObject,
) (contract.GetCalmResponseObject, error) {
	all, err := h.book.Calm(ctx)
	return contract.GetCalm200JSONResponse{Calmer: calmer(all)}, err
}

func (h handlers) GetDogLadders(
	ctx context.Context,
	r contract.GetDogLaddersRequestObject,
) (contract.GetDogLaddersResponseObject, error) {
	out, err := h.dogLadders(ctx, r.DogId)
	return contract.GetDogLadders200JSONResponse{DogLaddersJSONResponse: out}, err
}

func (h handlers) StartLadder(
	ctx context.Context,
	r contract.StartLadderRequestObject,
) (contract.StartLadderResponseObject, error) {
	l := book.Ladder{ID: r.Body.Id, Ladder: ladder.Ladder{Kind: r.Body.Kind, Paw: r.Body.Paw}}
	if err := h.book.StartLadder(ctx, r.DogId, l); err != nil {
		return nil, err
	}
	out, err := h.dogLadders(ctx, r.DogId)
	return contract.StartLadder200JSONResponse{DogLaddersJSONResponse: out}, err
}

func (h handlers) EndLadder(
	ctx context.Context,
	r contract.EndLadderRequestObject,
) (contract.EndLadderResponseObject, error) {
	if err := h.book.EndLadder(ctx, r.DogId, r.LadderId); err != nil {
		return nil, err
	}
	out, err := h.dogLadders(ctx, r.DogId)
	return contract.EndLadder200JSONResponse{DogLaddersJSONResponse: out}, err
}

func (h handlers) RecordTry(
	ctx context.Context,
	r contract.RecordTryRequestObject,
) (contract.RecordTryResponseObject, error) {
	t := book.Try{ID: r.Body.Id, Try: ladder.Try{
		On: orZero(r.Body.On), Reaction: r.Body.Reaction, Paw: r.Body.Paw, Note: orZero(r.Body.Note),
	}}
	if err := h.book.RecordTry(ctx, r.DogId, r.LadderId, t); err != nil {
		return nil, err
	}
	out, err := h.dogLadders(ctx, r.DogId)
	return contract.RecordTry200JSONResponse{DogLaddersJSONResponse: out}, err
}

func (h handlers) WithdrawTry(
	ctx context.Context,
	r contract.WithdrawTryRequestObject,
) (contract.WithdrawTryResponseObject, error) {
	if err := h.book.WithdrawTry(ctx, r.DogId, r.LadderId, r.TryId); err != nil {
		return nil, err
	}
	out, err := h.dogLadders(ctx, r.DogId)
	return contract.WithdrawTry200JSONResponse{DogLaddersJSONResponse: out}, err
}

func (h handlers) dogLadders(ctx context.Context, id uuid.UUID) (contract.DogLaddersJSONResponse, error) {
	w := speaks(ctx)
	d, err := h.book.DogLadders(ctx, id)
	if err != nil {
		return contract.DogLaddersJSONResponse{}, err
	}
	out := contract.DogLaddersJSONResponse{
		DogId:    d.Dog.ID,
		Name:     d.Dog.Name,
		Today:    h.book.Today(),
		Cautions: cautions(w, d.Cautions),
		Ladders:  []contract.Ladder{},
	}
	if p := d.Puppy; p != nil {
		w := speaks(ctx)
		out.Puppyhood = &contract.Puppyhood{
			From:   p.From,
			Days:   p.Days,
			Length: p.Length,
			InARow: p.InARow,
			Handle: lines(w, []say.Line{p.Handle()})[0],
		}
	}
	for _, c := range d.Climbs {
		out.Ladders = append(out.Ladders, h.ladder(w, c))
	}
	return out, nil
}

func (h handlers) ladder(w words.Words, c book.Climb) contract.Ladder {
	s, today := c.Standing, h.book.Today()
	out := contract.Ladder{
		Id:         c.ID,
		Kind:       c.Kind,
		Paw:        c.Paw,
		Started:    c.Started,
		Step:       s.Step,
		Streak:     s.Streak,
		Needed:     ladder.Needed,
		Done:       s.Done,
		Ended:      w.Say(s.Ended),
		Says:       w.Say(s.Says),
		Reward:     w.Say(s.Reward()),
		Wait:       dated(s.Wait),
		TriesToday: s.Today,
		Reason:     w.Say(s.Reason()),
		NextInDays: s.NextOn(today).Sub(today),
		Ready:      ready(s.Ready(today)),
		Journal:    []contract.LadderEntry{},
	}
	if next, is := s.NextPaw(); is {
		out.NextPaw = &next
	}
	if s.ByPaw() {
		for _, paw := range nail.Paws() {
			out.Paws = append(out.Paws, contract.PawTries{Paw: paw, Calm: s.Paws[paw]})
		}
	}
	for _, step := range ladder.Steps(c.Kind) {
		one := contract.LadderStep{
			Words:   w.Say(step.Words),
			How:     w.Say(step.How),
			Seconds: step.Seconds,
			Tries:   step.Tries,
			Reward:  w.Say(step.Reward),
			Nail:    step.Nail,
		}
		if step.Sound != nil {
			one.Sound = &contract.SoundRounds{
				OnSeconds:   step.Sound.On,
				RestSeconds: step.Sound.Rest,
				Rounds:      step.Sound.Count,
			}
		}
		out.Steps = append(out.Steps, one)
	}
	for i, e := range s.Journal {
		out.Journal = append(out.Journal, contract.LadderEntry{
			Id: c.Tries[i].ID, On: e.On, Step: e.Step, Reaction: e.Reaction, Move: e.Move, Paw: e.Paw, Note: e.Note,
		})
	}
	slices.Reverse(out.Journal)
	return out
}

func ready(r ladder.Ready) contract.Ready {
	return contract.Ready{
		Early:     dated(r.Early),
		Likely:    dated(r.Likely),
		Late:      dated(r.Late),
		Chance:    r.Chance,
		Days:      r.Days,
		EveryDays: r.Every,
	}
}
