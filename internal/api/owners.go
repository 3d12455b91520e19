package api

import (
	"context"
	"strings"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/date"
	"fribbet/internal/core/round"
)

func (h handlers) GetOwners(
	ctx context.Context,
	r contract.GetOwnersRequestObject,
) (contract.GetOwnersResponseObject, error) {
	all, err := h.book.Owners(ctx, orZero(r.Params.Search))
	out := contract.GetOwners200JSONResponse{Owners: []contract.OwnerRow{}}
	for _, o := range all {
		out.Owners = append(out.Owners, ownerRow(o))
	}
	return out, err
}

func (h handlers) GetOwner(
	ctx context.Context,
	r contract.GetOwnerRequestObject,
) (contract.GetOwnerResponseObject, error) {
	out, err := h.owner(ctx, r.OwnerId)
	return contract.GetOwner200JSONResponse(out), err
}

func (h handlers) KeepOwner(
	ctx context.Context,
	r contract.KeepOwnerRequestObject,
) (contract.KeepOwnerResponseObject, error) {
	o := book.Owner{ID: r.OwnerId, Version: orZero(r.Body.Version), Owner: round.Owner{
		Name:      strings.TrimSpace(r.Body.Name),
		Reach:     round.Reach(r.Body.Reach),
		Address:   strings.TrimSpace(orZero(r.Body.Address)),
		MayOffer:  orZero(r.Body.MayOffer),
		MayRemind: orZero(r.Body.MayRemind),
		Stopped:   orZero(r.Body.Stopped),
		Note:      strings.TrimSpace(orZero(r.Body.Note)),
		Language:  string(orZero(r.Body.Language)),
	}}
	for _, s := range r.Body.Suits {
		if o.Suits == nil {
			o.Suits = map[time.Weekday][]round.Stretch{}
		}
		for _, hours := range s.Hours {
			o.Suits[weekday(s.Weekday)] = append(
				o.Suits[weekday(s.Weekday)],
				round.Stretch{From: hours.From, To: hours.To},
			)
		}
	}
	if err := h.book.KeepOwner(ctx, o); err != nil {
		return nil, err
	}
	out, err := h.owner(ctx, r.OwnerId)
	return contract.KeepOwner200JSONResponse(out), err
}

func (h handlers) owner(ctx context.Context, id uuid.UUID) (contract.OwnerView, error) {
	w := speaks(ctx)
	o, err := h.book.Owner(ctx, id)
	if err != nil {
		return contract.OwnerView{}, err
	}
	visits, err := h.visits(w, o.Visits)
	told := []contract.Message{}
	for _, m := range o.Told {
		told = append(told, message(w, m))
	}
	return contract.OwnerView{
		Owner:     ownerRow(o.Owner),
		Visits:    visits,
		Messages:  told,
		Missed:    o.Counts[round.Missed],
		CalledOff: o.Counts[round.CalledOff],
	}, err
}

func (h handlers) RemoveOwner(
	ctx context.Context,
	r contract.RemoveOwnerRequestObject,
) (contract.RemoveOwnerResponseObject, error) {
	return contract.RemoveOwner204Response{}, h.book.RemoveOwner(ctx, r.OwnerId)
}

func (h handlers) SetOwner(
	ctx context.Context,
	r contract.SetOwnerRequestObject,
) (contract.SetOwnerResponseObject, error) {
	return contract.SetOwner204Response{}, h.book.SetOwner(ctx, r.DogId, orZero(r.Body.OwnerId))
}

func ownerRow(o book.Owner) contract.OwnerRow {
	out := contract.OwnerRow{
		Id:        o.ID,
		Version:   o.Version,
		Name:      o.Name,
		Reach:     contract.OwnerRowReach(o.Reach),
		Address:   o.Address,
		MayOffer:  o.MayOffer,
		MayRemind: o.MayRemind,
		Stopped:   o.Stopped,
		Note:      o.Note,
		Language:  given(contract.Language(o.Language)),
		Suits:     []contract.OwnerSuits{},
		Dogs:      []contract.OwnedDog{},
	}
	for _, name := range date.EveryDay.Names() {
		if hours := o.Suits[weekday(contract.Weekday(name))]; len(hours) > 0 {
			suits := contract.OwnerSuits{Weekday: contract.Weekday(name)}
			for _, s := range hours {
				suits.Hours = append(suits.Hours, contract.ClockStretch{From: s.From, To: s.To})
			}
			out.Suits = append(out.Suits, suits)
		}
	}
	for _, d := range o.Dogs {
		out.Dogs = append(out.Dogs, contract.OwnedDog{DogId: d.ID, Name: d.Name})
	}
	return out
}
