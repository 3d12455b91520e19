package book

import (
	"context"
	"crypto/rand"
	"fmt"

	"github.com/google/uuid"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/round"
)

// Card is what an owner takes home of a sitting.
type Card struct {
	bench.Card
	Name string
	Next string // the next visit, or about when the dog is due; empty when nobody knows
	Key  string // of its page; empty where it has none
}

// Card words a dog's sitting for its owner.
func (b *Book) Card(ctx context.Context, dogID, sittingID uuid.UUID) (Card, error) {
	log, err := b.store.Log(ctx, dogID, sittingID)
	if err != nil {
		return Card{}, err
	}
	d, err := b.store.Dog(ctx, dogID)
	if err != nil {
		return Card{}, err
	}
	stood, t, err := b.stands(ctx, d, sittingID, log.On, log.Events)
	if err != nil {
		return Card{}, err
	}
	c := Card{Name: d.Name, Card: stood.State.CardOf(d.Name, log.On, stood.Left, d.Pavement, t.training)}
	if c.Key, err = b.store.CardKey(ctx, dogID, sittingID); err != nil {
		return Card{}, err
	}
	c.Next, err = b.nextWords(ctx, dogID)
	return c, err
}

// nextWords is when a dog comes next, as it is said.
func (b *Book) nextWords(ctx context.Context, dogID uuid.UUID) (string, error) {
	visits, err := b.DogVisits(ctx, dogID)
	if err != nil {
		return "", err
	}
	words := ""
	for _, v := range visits.Visits { // the earliest that is to come is told last
		if (v.State == round.Agreed || v.State == round.Offered) && !v.On.Before(b.Today()) {
			words = fmt.Sprintf("Next visit: %s, %s.", v.On.Words(), v.Start)
		}
	}
	if due := visits.Dog.Window.Due; words == "" && !due.IsZero() {
		if due.Before(b.Today()) {
			due = b.Today()
		}
		words = fmt.Sprintf("Due about %s.", due.Words())
	}
	return words, nil
}

// OpenCard gives a sitting's card a page of its own, or takes it away.
func (b *Book) OpenCard(ctx context.Context, dogID, sittingID uuid.UUID, open bool) error {
	if _, err := b.store.Log(ctx, dogID, sittingID); err != nil {
		return err
	}
	if !open {
		return b.store.WithdrawCard(ctx, dogID, sittingID)
	}
	return b.store.OpenCard(ctx, dogID, sittingID, rand.Text())
}

// CardBy is the card that a key opens; store.ErrNotFound when it opens none.
func (b *Book) CardBy(ctx context.Context, key string) (Card, error) {
	dogID, sittingID, err := b.store.CardOf(ctx, key)
	if err != nil {
		return Card{}, err
	}
	return b.Card(ctx, dogID, sittingID)
}
