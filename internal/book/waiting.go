package book

import (
	"context"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/round"
	"fribbet/internal/store"
)

// Waits is a dog that waits for a day, and the place that has fallen free for it.
type Waits struct {
	store.Waiting
	Dog   round.Dog
	Place *round.Offer // nil: the day is full still
}

// Waiting are those who wait for a day from today on.
func (b *Book) Waiting(ctx context.Context) ([]Waits, error) {
	kept, err := b.store.WaitingList(ctx, b.Today())
	if err != nil || len(kept) == 0 {
		return nil, err
	}
	rows := make([]store.RoundDog, len(kept))
	for i, k := range kept {
		rows[i] = k.Dog
	}
	asked, err := b.asked(ctx, rows)
	if err != nil {
		return nil, err
	}
	all := make([]Waits, len(kept))
	for i, k := range kept {
		all[i] = Waits{Waiting: k, Dog: asked[k.Dog.DogID]}
	}
	for from := 0; from < len(all); {
		until := from
		for until < len(all) && all[until].On == all[from].On {
			until++
		}
		if err := b.fallen(ctx, all[from:until]); err != nil {
			return nil, err
		}
		from = until
	}
	return all, nil
}

// fallen fills in the places of those who wait for one day.
func (b *Book) fallen(ctx context.Context, day []Waits) error {
	w, there, err := b.taken(ctx, day[0].On, day[0].On)
	if err != nil {
		return err
	}
	dogs := make([]round.Dog, len(day))
	for i, d := range day {
		dogs[i] = d.Dog
	}
	for i, place := range w.Fallen(dogs, there, day[0].On) {
		day[i].Place = place
	}
	return nil
}

// Wait writes down that a dog waits for a place on a day.
func (b *Book) Wait(ctx context.Context, dogID uuid.UUID, on date.Date, note string) error {
	if err := b.within(on); err != nil {
		return err
	}
	kept, err := b.store.VisitsOf(ctx, dogID)
	if err != nil {
		return err
	}
	its, err := b.visits(ctx, kept)
	if err != nil {
		return err
	}
	if err := round.CheckWait(on, b.Today(), plain(its)).Err(); err != nil {
		return err
	}
	return b.store.Wait(ctx, dogID, on, note, b.now())
}

// WaitNoMore takes a dog off a day's list.
func (b *Book) WaitNoMore(ctx context.Context, dogID uuid.UUID, on date.Date) error {
	return b.store.WaitNoMore(ctx, dogID, on)
}
