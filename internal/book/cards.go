package book

import (
	"context"
	"crypto/rand"
	"errors"

	"github.com/google/uuid"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
	"fribbet/internal/words"
)

// When a dog comes next, on its card.
const (
	nextVisit say.Key = "card.next_visit"
	dueAbout  say.Key = "card.due_about"
)

// Card is what an owner takes home of a sitting.
type Card struct {
	bench.Card
	Name string
	Next say.Line     // the next visit, or about when the dog is due; empty when nobody knows
	Page *PrintedCode // where it is read by others; nil where nobody else may
	Seen bool         // others than this machine are answered, and could see a page

	Words words.Words // of its owner
}

// Card words a dog's sitting for its owner.
func (b *Book) Card(ctx context.Context, dogID, sittingID uuid.UUID) (Card, error) {
	t, err := b.trimAt(ctx, dogID, sittingID)
	if err != nil {
		return Card{}, err
	}
	stood, err := b.stands(ctx, t)
	if err != nil {
		return Card{}, err
	}
	c := Card{
		Name: t.dog.Name,
		Seen: b.house != nil,
		Card: stood.State.CardOf(t.dog.Name, t.log.On, stood.Left, t.dog.Pavement, t.training),
	}
	if c.Page, err = b.cardPage(ctx, dogID, sittingID); err != nil {
		return Card{}, err
	}
	owner, err := b.store.OwnerOf(ctx, dogID)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return c, err
	}
	if c.Words, err = b.wordsFor(ctx, owner); err != nil {
		return c, err
	}
	c.Next, err = b.nextWords(ctx, dogID)
	return c, err
}

// cardPage is where a sitting's card is read by others; nil where nobody else may.
func (b *Book) cardPage(ctx context.Context, dogID, sittingID uuid.UUID) (*PrintedCode, error) {
	if b.house == nil {
		return nil, nil //nolint:nilnil // documented
	}
	key, err := b.store.CardKey(ctx, dogID, sittingID)
	if err != nil || key == "" {
		return nil, err
	}
	page, err := printed(b.house.Addresses()[0] + "card/" + key)
	return &page, err
}

// nextWords is when a dog comes next, as it is said.
func (b *Book) nextWords(ctx context.Context, dogID uuid.UUID) (say.Line, error) {
	visits, err := b.DogVisits(ctx, dogID)
	if err != nil {
		return say.Line{}, err
	}
	next := say.Line{}
	for _, v := range visits.Visits { // the earliest that is to come is told last
		if (v.State == round.Agreed || v.State == round.Offered) && !v.On.Before(b.Today()) {
			next = say.Of(nextVisit, say.Args{"on": v.On.SayLong(), "start": v.Start.Say()})
		}
	}
	if due := visits.Dog.Window.Due; next.Nothing() && !due.IsZero() {
		if due.Before(b.Today()) {
			due = b.Today()
		}
		next = say.Of(dueAbout, say.Args{"on": due.SayLong()})
	}
	return next, nil
}

// OpenCard gives a sitting's card a page of its own, or takes it away. It returns ErrNotFound where nobody could see
// it.
func (b *Book) OpenCard(ctx context.Context, dogID, sittingID uuid.UUID, open bool) error {
	if b.house == nil && open {
		return ErrNotFound
	}
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
