package book

import (
	"context"
	"errors"
	"fmt"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
)

// mostFound is how many dogs a search on the telephone lists.
const mostFound = 12

// OnTelephone is a dog as somebody asks for it on the telephone: whose it is, and when its time is.
type OnTelephone struct {
	store.RoundDog
	Next *store.Visit // to come; nil: none
}

// Find are the dogs whose name, or whose owner's, holds some letters, with their next visits.
func (b *Book) Find(ctx context.Context, text string) ([]OnTelephone, error) {
	if _, err := b.upToDate(ctx); err != nil { // a new dog is found as well
		return nil, err
	}
	dogs, err := b.store.FindRoundDogs(ctx, nameKey(text), mostFound)
	if err != nil {
		return nil, err
	}
	found := make([]OnTelephone, len(dogs))
	for i, d := range dogs {
		found[i].RoundDog = d
		visits, err := b.store.VisitsOf(ctx, d.DogID)
		if err != nil {
			return nil, err
		}
		for k, v := range visits { // the latest first
			if !v.On.Before(b.Today()) && v.State.Takes() && !v.Ended {
				found[i].Next = &visits[k]
			}
		}
	}
	return found, nil
}

// Repeated is one of the visits that follow another: kept, or why not.
type Repeated struct {
	On   date.Date
	Kept *Visit // nil: it could not be
	Why  say.Line
}

// RepeatVisit keeps a visit's dog a place again and again; where it cannot be kept it says why, and the others stand.
// The same again changes nothing.
func (b *Book) RepeatVisit(ctx context.Context, id uuid.UUID, r round.Repeat) ([]Repeated, error) {
	if err := r.Check().Err(); err != nil {
		return nil, err
	}
	first, err := b.store.Visit(ctx, id)
	if err != nil {
		return nil, err
	}
	var all []Repeated
	for _, on := range r.After(first.On) {
		v := store.Visit{
			ID:      uuid.NewSHA1(id, fmt.Appendf(nil, "again %s", on)),
			On:      on,
			Start:   first.Start,
			Minutes: first.Minutes,
			State:   round.Agreed,
			Note:    first.Note,
		}
		v.Dog.DogID = first.Dog.DogID
		one := Repeated{On: on}
		kept, err := b.KeepVisit(ctx, v, false)
		var refused fault.Fields
		switch {
		case errors.As(err, &refused):
			one.Why = refused[0].Want
		case errors.Is(err, store.ErrConflict):
			one.Why = say.Of(mustBeChangedByItself)
		case err != nil:
			return nil, err
		default:
			one.Kept = &kept
		}
		all = append(all, one)
	}
	return all, nil
}
