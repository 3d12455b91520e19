package book

import (
	"cmp"
	"context"
	"encoding/json"
	"maps"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/say"
	"fribbet/internal/core/sitting"
	"fribbet/internal/core/temper"
	"fribbet/internal/store"
)

// Climb is a ladder and where the dog stands on it today.
type Climb struct {
	store.Ladder
	Standing ladder.Progress
}

func (b *Book) climb(l store.Ladder) Climb {
	tries := make([]ladder.Try, len(l.Tries))
	for i, t := range l.Tries {
		tries[i] = t.Try
	}
	return Climb{l, l.StandingOn(b.Today(), tries)}
}

// training is what is left of a dog's ladders.
func (b *Book) training(ladders []store.Ladder) ladder.Training {
	var t ladder.Training
	for _, l := range ladders {
		if c := b.climb(l); !c.Standing.Done {
			t = append(t, c.Standing)
		}
	}
	return t
}

// DogLadders is a dog's training.
type DogLadders struct {
	Dog      store.Dog
	Climbs   []Climb
	Puppy    *ladder.Puppyhood // in its first two months of handling
	Cautions []dog.Caution
}

// DogLadders returns a dog's ladders as they stand today.
func (b *Book) DogLadders(ctx context.Context, dogID uuid.UUID) (DogLadders, error) {
	d, k, err := b.dogNow(ctx, dogID)
	if err != nil {
		return DogLadders{}, err
	}
	ladders, err := b.store.Ladders(ctx, dogID)
	if err != nil {
		return DogLadders{}, err
	}
	out := DogLadders{Dog: d}
	var tries []ladder.Try
	for _, l := range ladders {
		out.Climbs = append(out.Climbs, b.climb(l))
		for _, t := range l.Tries {
			tries = append(tries, t.Try)
		}
	}
	if p, is := ladder.PuppyhoodOn(b.Today(), d.Birth.Date, tries); is {
		out.Puppy = &p
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return DogLadders{}, err
	}
	q := sitting.Question{
		Today: b.Today(),
		Dog:   d.Dog,
		Past:  k.past,
		Terms: outlook.Terms{Keeper: settings.Role != Groomer},
	}
	out.Cautions = append(
		sitting.WhileTraining(k.feet.On(b.Today()), b.training(ladders).Paws(), q.Terms.Keeper),
		q.Cautions(sitting.For(q))...)
	return out, nil
}

// Climber is a dog that is on a ladder.
type Climber struct {
	DogID  uuid.UUID
	Name   string
	Climbs []Climb
}

// Climbers returns every dog that is on a ladder, those to be trained first at the front.
func (b *Book) Climbers(ctx context.Context) ([]Climber, error) {
	ladders, err := b.store.AllLadders(ctx)
	if err != nil {
		return nil, err
	}
	names, err := b.store.Names(ctx, slices.Collect(maps.Keys(ladders)))
	if err != nil {
		return nil, err
	}
	var all []Climber
	for id, name := range names {
		one := Climber{DogID: id, Name: name}
		for _, l := range ladders[id] {
			if c := b.climb(l); !c.Standing.Done {
				one.Climbs = append(one.Climbs, c)
			}
		}
		if len(one.Climbs) > 0 {
			all = append(all, one)
		}
	}
	slices.SortFunc(all, func(x, y Climber) int {
		return cmp.Or(x.Climbs[0].Standing.NextOn(b.Today()).Sub(y.Climbs[0].Standing.NextOn(b.Today())),
			cmp.Compare(nameKey(x.Name), nameKey(y.Name)), cmp.Compare(x.DogID.String(), y.DogID.String()))
	})
	return all, nil
}

// Calm is what goes with calm over the whole book.
func (b *Book) Calm(ctx context.Context) ([]temper.Calmer, error) {
	all, err := b.store.Told(ctx, feet.FoldVersion)
	if err != nil {
		return nil, err
	}
	var dogs [][]temper.Day
	for _, text := range all {
		var told []sitting.Summary
		if json.Unmarshal(text, &told) == nil { // what cannot be read is folded anew when its dog is looked at
			dogs = append(dogs, sitting.Days(told))
		}
	}
	return temper.WhatMadeThemCalm(dogs), nil
}

// StartLadder begins a ladder today. A dog has one of a kind at a time for the same paw.
func (b *Book) StartLadder(ctx context.Context, dogID uuid.UUID, l store.Ladder) error {
	if _, err := b.store.Dog(ctx, dogID); err != nil {
		return err
	}
	there, err := b.store.Ladders(ctx, dogID)
	if err != nil {
		return err
	}
	for _, other := range there {
		if other.ID != l.ID && other.Kind == l.Kind && samePaw(other.Paw, l.Paw) && !b.climb(other).Standing.Done {
			return fault.Fields{{Name: "kind", Value: string(l.Kind), Want: say.Of(mustNotBeOnAlready)}}
		}
	}
	l.Started = b.Today()
	return b.ResumeLadder(ctx, dogID, l)
}

// ResumeLadder keeps a ladder that was begun on an earlier day.
func (b *Book) ResumeLadder(ctx context.Context, dogID uuid.UUID, l store.Ladder) error {
	l.DogID = dogID
	return b.store.AddLadder(ctx, l, b.now())
}

func samePaw(a, b *nail.Paw) bool { return a == nil && b == nil || a != nil && b != nil && *a == *b }

// EndLadder ends a ladder; its journal stays in the file.
func (b *Book) EndLadder(ctx context.Context, dogID, id uuid.UUID) error {
	return b.store.EndLadder(ctx, dogID, id, b.now())
}

// RecordTry keeps one try; one without a date was today. Sending the same id again changes nothing.
func (b *Book) RecordTry(ctx context.Context, dogID, ladderID uuid.UUID, t store.Try) error {
	l, err := b.ladder(ctx, dogID, ladderID)
	if err != nil {
		return err
	}
	dated := t.Try
	if t.On.IsZero() {
		dated.On = b.Today()
	}
	if err := dated.Check(l.Ladder, b.Today()).Err(); err != nil {
		return err
	}
	return b.store.AddTry(ctx, ladderID, t, b.Today(), b.now())
}

// WithdrawTry takes back a try recorded by mistake.
func (b *Book) WithdrawTry(ctx context.Context, dogID, ladderID, id uuid.UUID) error {
	if _, err := b.ladder(ctx, dogID, ladderID); err != nil {
		return err
	}
	return b.store.WithdrawTry(ctx, ladderID, id, b.now())
}

// ladder finds a dog's ladder; store.ErrNotFound when it has none such, or it is ended.
func (b *Book) ladder(ctx context.Context, dogID, id uuid.UUID) (store.Ladder, error) {
	all, err := b.store.Ladders(ctx, dogID)
	if err != nil {
		return store.Ladder{}, err
	}
	for _, l := range all {
		if l.ID == id {
			return l, nil
		}
	}
	return store.Ladder{}, store.ErrNotFound
}
