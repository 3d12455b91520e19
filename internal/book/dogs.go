package book

import (
	"context"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/sitting"
	"fribbet/internal/store"
)

// View is a dog as it stands today.
type View struct {
	Dog      store.Dog
	Next     *dog.Next // none when there is no date
	WhyNone  string    // why there is none
	Readings []dog.Reading
	Cautions []dog.Caution
	Sittings []store.Sitting // latest first
	Moods    []sitting.Mood  // oldest first
	Training ladder.Training
	Open     *uuid.UUID // a sitting that was begun and not ended
}

// AddDog adds a dog; its name, age and one weight are enough.
func (b *Book) AddDog(ctx context.Context, c dog.Changes) (store.Dog, error) {
	settings, err := b.Settings(ctx)
	if err != nil {
		return store.Dog{}, err
	}
	made, faults := dog.Usual(usualRhythm(settings.Role), settings.Workdays).With(c, b.Today())
	if err := faults.Err(); err != nil {
		return store.Dog{}, err
	}
	kept := store.Dog{ID: uuid.New(), Version: 1, Dog: made}
	return kept, b.store.AddDog(ctx, kept)
}

// ChangeDog changes what is given of a dog, read as version. It returns store.ErrConflict when
// another change came first.
func (b *Book) ChangeDog(ctx context.Context, id uuid.UUID, version int, c dog.Changes) (store.Dog, error) {
	before, err := b.store.Dog(ctx, id)
	if err != nil {
		return store.Dog{}, err
	}
	if before.Version != version {
		return store.Dog{}, store.ErrConflict
	}
	after, faults := before.With(c, b.Today())
	if err := faults.Err(); err != nil {
		return store.Dog{}, err
	}
	before.Dog = after
	if err := b.store.ChangeDog(ctx, before); err != nil {
		return store.Dog{}, err
	}
	before.Version++
	return before, nil
}

// View returns a dog as it stands today.
func (b *Book) View(ctx context.Context, id uuid.UUID) (View, error) {
	d, feet, sittings, err := b.feet(ctx, id)
	if err != nil {
		return View{}, err
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return View{}, err
	}
	ladders, err := b.store.Ladders(ctx, id)
	if err != nil {
		return View{}, err
	}
	open, err := b.store.OpenSittings(ctx)
	if err != nil {
		return View{}, err
	}
	return b.view(d, feet, sittings, ladders, open, settings)
}

func (b *Book) view(d store.Dog, feet dog.Feet, sittings []store.Sitting, ladders []store.Ladder, open map[uuid.UUID]uuid.UUID, settings store.Settings) (View, error) {
	v := View{Dog: d, Readings: feet.On(b.Today()), Moods: sitting.Moods(trimsOf(sittings)), Training: b.training(ladders)}
	if id, is := open[d.ID]; is {
		v.Open = &id
	}
	v.Cautions = append(sitting.WhileTraining(v.Readings, v.Training.Paws()), feet.Cautions(v.Readings)...)
	for i := len(sittings) - 1; i >= 0; i-- {
		v.Sittings = append(v.Sittings, sittings[i])
	}
	next, has, err := feet.Next(settings.Margin, v.Training.Paws())
	if has {
		v.Next = &next
	} else {
		v.WhyNone = feet.WhyNone()
	}
	return v, err
}

// feet reads a dog and folds its sittings.
func (b *Book) feet(ctx context.Context, id uuid.UUID) (store.Dog, dog.Feet, []store.Sitting, error) {
	d, err := b.store.Dog(ctx, id)
	if err != nil {
		return store.Dog{}, dog.Feet{}, nil, err
	}
	sittings, err := b.store.Sittings(ctx, id)
	if err != nil {
		return store.Dog{}, dog.Feet{}, nil, err
	}
	checks, err := b.store.Checks(ctx, id)
	return d, fold(d, sittings, checks), sittings, err
}

func fold(d store.Dog, sittings []store.Sitting, checks []store.Check) dog.Feet {
	return dog.FeetAfter(d.Dog, trimsOf(sittings), walksOf(checks)...)
}

func walksOf(checks []store.Check) []dog.Check {
	walks := make([]dog.Check, len(checks))
	for i, c := range checks {
		walks[i] = c.Check
	}
	return walks
}

func trimsOf(sittings []store.Sitting) []dog.Sitting { return trimsBefore(sittings, uuid.Nil) }

// DueList returns every dog as it stands today, in the order in which they are due, those that
// need a veterinarian before all others.
func (b *Book) DueList(ctx context.Context) ([]View, error) {
	settings, err := b.Settings(ctx)
	if err != nil {
		return nil, err
	}
	dogs, err := b.store.Dogs(ctx)
	if err != nil {
		return nil, err
	}
	sittings, err := b.store.AllSittings(ctx)
	if err != nil {
		return nil, err
	}
	checks, err := b.store.AllChecks(ctx)
	if err != nil {
		return nil, err
	}
	ladders, err := b.store.AllLadders(ctx)
	if err != nil {
		return nil, err
	}
	open, err := b.store.OpenSittings(ctx)
	if err != nil {
		return nil, err
	}
	views := make([]View, len(dogs))
	for i, d := range dogs {
		if views[i], err = b.view(d, fold(d, sittings[d.ID], checks[d.ID]), sittings[d.ID], ladders[d.ID], open, settings); err != nil {
			return nil, err
		}
	}
	slices.SortStableFunc(views, func(x, y View) int {
		if x.veterinary() != y.veterinary() {
			return y.veterinary() - x.veterinary()
		}
		return x.inDays(b.Today()) - y.inDays(b.Today())
	})
	return views, nil
}

// veterinary is 1 when something about the dog is a veterinarian's matter: such a dog comes first.
func (v View) veterinary() int {
	if slices.ContainsFunc(v.Cautions, func(c dog.Caution) bool { return c.Kind == dog.Veterinarian }) {
		return 1
	}
	return 0
}

// inDays is how many days from today the dog is due; one not yet seen is due now.
func (v View) inDays(today date.Date) int {
	switch first, _ := v.Training.First(today); {
	case v.Training.Whole():
		return first.NextOn(today).Sub(today)
	case v.Next == nil:
		return 0
	default:
		return v.Next.Due.Sub(today)
	}
}
