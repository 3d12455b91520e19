package book

import (
	"context"

	"github.com/google/uuid"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/store"
)

// Plan is today's routine trim of a dog.
type Plan struct {
	Dog      store.Dog
	Nails    []dog.Planned
	Cautions []dog.Caution
	Tool     kit.Tool // to begin with
}

// Plan returns today's routine trim, with the tool that the dog was last trimmed with.
func (b *Book) Plan(ctx context.Context, id uuid.UUID) (Plan, error) {
	d, feet, sittings, err := b.feet(ctx, id)
	if err != nil {
		return Plan{}, err
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return Plan{}, err
	}
	p := Plan{Dog: d, Nails: feet.Plan(b.Today(), settings.Margin), Tool: kit.UsualClipper(d.WeightOn(b.Today()))}
	p.Cautions = feet.Cautions(feet.On(b.Today()))
	for _, s := range sittings {
		for _, r := range s.Records {
			if len(r.Cuts) > 0 {
				p.Tool = r.Tool
			}
		}
	}
	return p, nil
}

// Record keeps a sitting; one without a date was today. Sending the same id again changes nothing.
func (b *Book) Record(ctx context.Context, dogID uuid.UUID, s store.Sitting) error {
	d, err := b.store.Dog(ctx, dogID)
	if err != nil {
		return err
	}
	if s.On.IsZero() {
		s.On = b.Today()
	}
	if err := s.Check(d.Dog, b.Today()).Err(); err != nil {
		return err
	}
	return b.store.AddSitting(ctx, dogID, s, b.now())
}

// Withdraw takes back a sitting recorded by mistake.
func (b *Book) Withdraw(ctx context.Context, dogID, sittingID uuid.UUID) error {
	return b.store.WithdrawSitting(ctx, dogID, sittingID, b.now())
}
