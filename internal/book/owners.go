package book

import (
	"context"

	"github.com/google/uuid"

	"fribbet/internal/core/round"
	"fribbet/internal/store"
)

// Owners are those whose names hold some letters.
func (b *Book) Owners(ctx context.Context, name string) ([]store.Owner, error) {
	return b.store.Owners(ctx, nameKey(name))
}

// OwnerView is an owner with what it was told and what came of it.
type OwnerView struct {
	store.Owner
	Visits []Visit // of its dogs, the latest first
	Counts map[round.VisitState]int
	Told   []store.Message // the latest first
}

// Owner is one with its dogs' visits.
func (b *Book) Owner(ctx context.Context, id uuid.UUID) (OwnerView, error) {
	o, err := b.store.Owner(ctx, id)
	if err != nil {
		return OwnerView{}, err
	}
	kept, err := b.store.VisitsOfOwner(ctx, id)
	if err != nil {
		return OwnerView{}, err
	}
	v := OwnerView{Owner: o, Counts: map[round.VisitState]int{}}
	if v.Visits, err = b.visits(ctx, kept); err != nil {
		return OwnerView{}, err
	}
	for _, visit := range v.Visits {
		if visit.State != round.CalledOff ||
			round.CountsAgainst(visit.Kept.OffBy, b.at(visit.On, visit.Start), visit.Kept.Changed) {
			v.Counts[visit.State]++
		}
	}
	v.Told, err = b.store.MessagesOf(ctx, id)
	return v, err
}

// KeepOwner keeps an owner, new or read as o.Version.
func (b *Book) KeepOwner(ctx context.Context, o store.Owner) error {
	f := o.Check()
	if o.Language != "" {
		spoken(&f, o.Language)
	}
	if err := f.Err(); err != nil {
		return err
	}
	o.NameKey = nameKey(o.Name)
	return b.store.KeepOwner(ctx, o, b.now())
}

// RemoveOwner takes an owner out of the book; its dogs stay.
func (b *Book) RemoveOwner(ctx context.Context, id uuid.UUID) error {
	return b.store.RemoveOwner(ctx, id, b.now())
}

// SetOwner gives a dog an owner; uuid.Nil takes it from the one it has.
func (b *Book) SetOwner(ctx context.Context, dogID, ownerID uuid.UUID) error {
	if _, err := b.store.Dog(ctx, dogID); err != nil {
		return err
	}
	return b.store.SetOwner(ctx, dogID, ownerID)
}
