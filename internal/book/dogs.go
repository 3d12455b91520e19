package book

import (
	"context"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
	"fribbet/internal/core/sitting"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
	"fribbet/internal/store"
)

// View is a dog as it stands today.
type View struct {
	Dog        store.Dog
	Next       *outlook.Next      // none when there is no date
	WhyNone    say.Line           // why there is none
	Needs      *estimate.Estimate // days for which a trim keeps its nails clear; nil where that is not known
	Readings   []feet.Reading
	Cautions   []dog.Caution
	Sittings   []SittingSummary // oldest first
	Growth     feet.Growth
	FirstSteps []sitting.FirstStep // none once anything was told of its feet
	Outliers   []feet.Outlier      // lengths that did not fit this dog and were left out
	Training   ladder.Training
	Calmer     []temper.Calmer // what went with calm, more than chance would have it
	Plan       *Recession      // of bringing its quicks back, that is on
	Open       *uuid.UUID      // a sitting that was begun and not ended
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
	made.Entered = b.Today()
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
	d, k, err := b.dogNow(ctx, id)
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
	f := k.feet
	v := View{
		Dog: d, Readings: f.On(b.Today()), Sittings: k.told, Training: b.training(ladders),
		Growth: f.Growth(b.Today()), Outliers: f.Outliers,
	}
	v.Calmer = calmer(k)
	if v.Plan, err = b.recession(ctx, d, k); err != nil {
		return View{}, err
	}
	if id, is := open[d.ID]; is {
		v.Open = &id
	}
	first := sitting.Question{Today: b.Today(), Dog: d.Dog, Feet: f, Past: k.past, Hand: settings.Hand}
	v.FirstSteps = first.FirstSteps()
	v.Cautions = cautionsOf(f, v.Readings, v.Training, b.Today(), settings.Role != Groomer)
	next, has, err := outlook.NextOf(f, terms(settings, v.Training, f))
	if has {
		v.Next = &next
		if needs, is := outlook.Needs(f, b.Today(), terms(settings, v.Training, f)); is {
			v.Needs = &needs
		}
	} else {
		v.WhyNone = outlook.WhyNone(f)
	}
	return v, err
}

// cautionsOf are what to know before a dog's feet are touched today.
func cautionsOf(
	f feet.Feet,
	readings []feet.Reading,
	training ladder.Training,
	today date.Date,
	keeper bool,
) []dog.Caution {
	all := append(outlook.NoCautions(f, today), sitting.WhileTraining(readings, training.Paws(), keeper)...)
	all = append(all, f.HandlingCautions(today, false)...)
	return append(all, outlook.Cautions(f, readings, keeper)...)
}

// terms are what a dog's plans and dates keep to.
func terms(s store.Settings, training ladder.Training, f feet.Feet) outlook.Terms {
	hand := verdict.For(s.EndPoint, s.Hand, s.Role != Groomer, f.Quicked())
	hand.Slices = s.Slices
	// what this dog wants before what the hand does
	for _, largest := range []*float64{s.LargestCut, f.Handling.LargestCut} {
		if largest != nil {
			hand.Most = *largest
		}
	}
	return outlook.Terms{
		Margin:   s.Margin,
		Closed:   s.Holidays,
		Training: training.Paws(),
		Hand:     hand,
		Dates:    datesOf(s.Role),
		Keeper:   s.Role != Groomer,
	}
}

// datesOf is what sets the dates of a dog of which nobody chose: a keeper goes by the floor, a groomer's customers come
// as it was agreed.
func datesOf(role string) rhythm.Dates {
	if role == Groomer {
		return rhythm.ByCalendar
	}
	return rhythm.ByFloor
}

// calmer is what went with calm at a dog's sittings.
func calmer(k known) []temper.Calmer {
	all := make([]sitting.Summary, len(k.told))
	for i, t := range k.told {
		all[i] = t.Summary
	}
	return temper.WhatMadeItCalm(sitting.Days(all))
}
