package book

import (
	"context"
	"fmt"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/sitting"
	"fribbet/internal/store"
)

// Bench is a sitting that is under way, or was.
type Bench struct {
	sitting.Bench
	Dog      store.Dog
	ID       uuid.UUID
	Log      sitting.Log
	State    sitting.State
	On       date.Date
	Cautions []dog.Caution
	Speed    kit.Speed
	Before   []dog.Reading // the nails as they were before it
	After    []dog.Reading // and after it, on its day
}

// Bench returns a dog's sitting as it stands.
func (b *Book) Bench(ctx context.Context, dogID, sittingID uuid.UUID) (Bench, error) {
	log, err := b.store.Log(ctx, dogID, sittingID)
	if err != nil {
		return Bench{}, err
	}
	state := log.Events.Fold()
	t, err := b.todayBefore(ctx, dogID, sittingID, state.Helper)
	if err != nil {
		return Bench{}, err
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return Bench{}, err
	}
	ground, err := b.store.Ground(ctx, state.Item)
	if err != nil {
		return Bench{}, err
	}
	before, after := t.around(sittingID, log.On)
	limit := sitting.RiskLimit(settings.Role != Groomer, t.Sittings)
	return Bench{
		Bench: t.Bench(state, settings.EndPoint, limit, quick.LearnTouch(ground).Value),
		Dog:   t.dog, ID: sittingID, Log: log.Events, State: state, On: log.On, Cautions: t.cautions(sitting.For(t.Question)),
		Speed: kit.SpeedFor(kit.Job{Purpose: kit.Length, Hand: settings.Hand}), Before: before, After: after,
	}, nil
}

// around reads a dog's nails on the day of a sitting, before it and after it, whatever came later.
func (t today) around(sittingID uuid.UUID, on date.Date) (before, after []dog.Reading) {
	until := slices.DeleteFunc(slices.Clone(t.all), func(s store.Sitting) bool { return s.On.After(on) })
	looked := walksOf(slices.DeleteFunc(slices.Clone(t.checks), func(c store.Check) bool { return c.On.After(on) }))
	feet := t.feet // before the sitting, unless something was told of later days
	if len(until) < len(t.all) || len(looked) < len(t.checks) {
		feet = dog.FeetAfter(t.dog.Dog, trimsBefore(until, sittingID), looked...)
	}
	return feet.On(on), dog.FeetAfter(t.dog.Dog, trimsOf(until), looked...).On(on)
}

// Tell adds events to a dog's sitting, in their order; the first begins it. Events that are
// there already change nothing; one that cannot have happened is refused by its place in the
// list, and then none of them is kept.
func (b *Book) Tell(ctx context.Context, dogID, sittingID uuid.UUID, events []sitting.Event) error {
	d, err := b.store.Dog(ctx, dogID)
	if err != nil {
		return err
	}
	var f fault.Fields
	for i, e := range events {
		known := e.Item == ""
		if !known {
			if known, err = b.store.KnowsItem(ctx, e.Item); err != nil {
				return err
			}
		}
		if !known {
			f.Add(fmt.Sprintf("events[%d].item_id", i), e.Item, "must be the id of a piece of your kit")
		}
	}
	if err := f.Err(); err != nil {
		return err
	}
	return b.store.Append(ctx, dogID, sittingID, b.Today(), b.now(), func(log sitting.Log) (sitting.Log, error) {
		for i, e := range events {
			longer, _, err := log.Append(d.Dog, e)
			if err != nil {
				return nil, fault.Fields{{Name: fmt.Sprintf("events[%d]", i), Value: string(e.Kind), Want: err.Error()}}
			}
			log = longer
		}
		return log, nil
	})
}

// Rebuild works out what the lists read again from the logs, and returns of how many sittings.
func (b *Book) Rebuild(ctx context.Context, progress func(done, all int)) (int, error) {
	return b.store.Rebuild(ctx, progress)
}

// trimsBefore are the sittings but one.
func trimsBefore(sittings []store.Sitting, but uuid.UUID) []dog.Sitting {
	var trims []dog.Sitting
	for _, s := range sittings {
		if s.ID != but {
			trims = append(trims, s.Sitting)
		}
	}
	return trims
}
