package book

import (
	"context"
	"fmt"

	"github.com/google/uuid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/due"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
	"fribbet/internal/store"
)

// Look keeps a walk-round; one without a date was today. Sending the same again changes nothing;
// something else under the same id is AlreadyTold.
func (b *Book) Look(ctx context.Context, dogID uuid.UUID, c store.WalkRound) error {
	d, err := b.dog(ctx, dogID)
	if err != nil {
		return err
	}
	others, err := b.store.Checks(ctx, dogID)
	if err != nil {
		return err
	}
	for _, there := range others { // before its content is looked at: the dog may have changed since
		if there.ID == c.ID {
			return sameCheck(there.WalkRound, c.WalkRound)
		}
	}
	if c.On.IsZero() {
		c.On = b.Today()
	}
	if err := c.WalkRound.Check(d.Dog, b.Today()).Err(); err != nil {
		return err
	}
	d.Dog = c.Seen(d.Dog, walksOf(others)...)
	if err := d.Dog.Check(d.Dog.Latest(b.Today())).Err(); err != nil { // such as a dog without any nail
		return err
	}
	return b.store.AddCheck(ctx, d, c, b.now())
}

// sameCheck tells whether a walk-round says what is in the book under its id.
func sameCheck(there, c record.WalkRound) error {
	if c.On.IsZero() {
		c.On = there.On
	}
	if !there.Tells(c) {
		return AlreadyTold{
			There: fmt.Sprintf("a check of the feet of %s that looked at %d nails", there.On, len(there.Looks)),
		}
	}
	return nil
}

// Section returns one nail in side view today; without a margin, the user's own. Slivers, mm, are drawn on
// it as they come off one after the other.
func (b *Book) Section(
	ctx context.Context,
	dogID uuid.UUID,
	code nail.Code,
	margin *float64,
	slivers []float64,
) (feet.Section, float64, error) {
	_, now, err := b.dogNow(ctx, dogID)
	if err != nil {
		return feet.Section{}, 0, err
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return feet.Section{}, 0, err
	}
	if margin != nil {
		settings.Margin = *margin
	}
	var f fault.Fields
	f.Range("margin_mm", settings.Margin, 0, due.MostMargin, fault.MM)
	for i, mm := range slivers {
		f.Range(fmt.Sprintf("slivers_mm[%d]", i), mm, record.LeastCut, claw.MostLength, fault.MM)
	}
	if err := f.Err(); err != nil {
		return feet.Section{}, 0, err
	}
	section, has := now.feet.Section(code, b.Today(), settings.Margin, record.Sliver)
	if !has {
		return feet.Section{}, 0, store.ErrNotFound
	}
	section.Slivers = section.Stance.Slivers(now.feet.School, section.Quick, slivers)
	return section, settings.Margin, nil
}

// Forecast returns how a dog's nails grow from today on.
func (b *Book) Forecast(ctx context.Context, dogID uuid.UUID) (feet.Forecast, error) {
	_, now, err := b.dogNow(ctx, dogID)
	if err != nil {
		return feet.Forecast{}, err
	}
	return now.feet.Forecast(b.Today()), nil
}
