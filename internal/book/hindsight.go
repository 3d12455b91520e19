package book

import (
	"context"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/hindsight"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/outlook"
)

// Hindsight is how a dog's trims went by quarter, and what would have been said before each, by today's rules, beside
// what then was.
type Hindsight struct {
	Name     string
	Quarters []hindsight.Quarter
	hindsight.Report
}

// Hindsight works it out from all that was told of a dog.
func (b *Book) Hindsight(ctx context.Context, dogID uuid.UUID) (Hindsight, error) {
	d, err := b.dog(ctx, dogID)
	if err != nil {
		return Hindsight{}, err
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return Hindsight{}, err
	}
	sittings, checks, err := b.told(ctx, d)
	if err != nil {
		return Hindsight{}, err
	}
	trims := trimsOf(sittings)
	due := func(f feet.Feet) (date.Date, bool) {
		next, is, err := outlook.NextOf(f, terms(settings, ladder.Training{}, f))
		return next.Due, is && err == nil
	}
	return Hindsight{Name: d.Name, Quarters: hindsight.Quarters(trims), Report: hindsight.Of(d.Dog, trims, walksOf(checks), due)}, nil
}
