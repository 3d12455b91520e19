package book

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/say"
	"fribbet/internal/core/sitting"
	"fribbet/internal/store"
)

// Bench is a sitting that is under way, or was.
type Bench struct {
	bench.Bench
	Dog      store.Dog
	ID       uuid.UUID
	Log      bench.Log
	State    bench.Progress
	On       date.Date
	Cautions []dog.Caution
	Speed    kit.Speed
	Remedy   say.Line       // what stops the blood
	Holds    []sitting.Hold // of today's paws
	Reward   say.Line       // when the dog is rewarded
	LastNote string         // of last time
	Left     []nail.Code    // of today's, that nobody has closed
	LeftOn   date.Date      // when the plan goes on
	Before   []feet.Reading // the nails as they were before it; none in the answer to a tap
	After    []feet.Reading // and after it, on its day
}

// Bench returns a dog's sitting as it stands, with its nails before and after it.
func (b *Book) Bench(ctx context.Context, dogID, sittingID uuid.UUID) (Bench, error) {
	log, err := b.store.Log(ctx, dogID, sittingID)
	if err != nil {
		return Bench{}, err
	}
	d, err := b.dog(ctx, dogID)
	if err != nil {
		return Bench{}, err
	}
	out, t, err := b.stands(ctx, d, sittingID, log.On, log.Events, nil)
	if err == nil {
		out.Before, out.After, err = b.around(ctx, t, sittingID, log.On, out.State)
	}
	return out, err
}

// stands is a dog's sitting as its log leaves it; what was known of the dog before it need not be looked up again.
func (b *Book) stands(
	ctx context.Context,
	d store.Dog,
	sittingID uuid.UUID,
	day date.Date,
	log bench.Log,
	before *known,
) (Bench, today, error) {
	state := log.Fold()
	t, now, err := b.benchAt(ctx, d, sittingID, state, before)
	if err != nil {
		return Bench{}, t, err
	}
	left, on := now.Left(t.Question)
	return Bench{
		Left: left, LeftOn: on, Holds: t.Holds(now.Plan), Reward: t.Reward(now.Plan), LastNote: t.Past.Note,
		Bench: now, Dog: t.dog, ID: sittingID, Log: log, State: state, On: day, Cautions: t.cautions(now.Plan),
		Remedy: t.Remedy(state.Ticks), Speed: kit.SpeedFor(kit.Job{Purpose: kit.Length, Hand: t.Hand}),
	}, t, nil
}

// groundDays is from how many of its last working days a bit's touch is learnt: it takes less as it wears, and a
// tap need not go through years (judgement).
const groundDays = 30

// benchAt is a dog's sitting, under way or yet to be told, where its events have brought it.
func (b *Book) benchAt(
	ctx context.Context,
	d store.Dog,
	sittingID uuid.UUID,
	state bench.Progress,
	before *known,
) (today, bench.Bench, error) {
	if before == nil {
		k, err := b.knownBefore(ctx, d, sittingID, state)
		if err != nil {
			return today{}, bench.Bench{}, err
		}
		before = &k
	}
	t, err := b.todayOf(ctx, d, *before, state.Helper)
	if err != nil {
		return today{}, bench.Bench{}, err
	}
	var ground quick.Ground
	if state.Tool.Work() == kit.Grinding {
		if ground, err = b.store.Ground(ctx, state.Item, groundDays); err != nil {
			return today{}, bench.Bench{}, err
		}
	}
	return t, bench.Of(t.Question, state, quick.LearnTouch(ground).Value), nil
}

// doubts asks again for what places the quick where it cannot well be.
func (b *Book) doubts(
	ctx context.Context,
	d store.Dog,
	sittingID uuid.UUID,
	before bench.Log,
	events []bench.Event,
) error {
	var f fault.Fields
	recorder := before.Tell(d.Dog)
	for i, e := range events {
		so := recorder.Log
		added, err := recorder.Add(e)
		if err != nil {
			break // refused for another reason, and told so when it is to be kept
		}
		if !added || !e.PlacesQuick() {
			continue
		}
		_, now, err := b.benchAt(ctx, d, sittingID, so.Fold(), nil)
		if err != nil {
			return err
		}
		if want := now.Doubt(e); !want.Nothing() {
			f.Add(fmt.Sprintf("events[%d]", i), e.MM, want)
		}
	}
	return f.Err()
}

// dayOf is the day on which something was told at an instant, by the clock of whoever told it, whatever was
// told of the dog since. A clock that cannot be right counts for nothing: then it is today.
func (b *Book) dayOf(d store.Dog, at time.Time) date.Date {
	day, today := date.Of(at.In(b.now().Location())), b.Today()
	if day.After(today) || day.Before(today.AddDays(-oldestTap)) || day.Before(d.Birth.Date) {
		return today
	}
	return day
}

// oldestTap is how many days a tap may have waited in a browser before its clock is not believed.
const oldestTap = 31

// knownBefore is what is known of a dog but for a sitting: one that was ended is in what is kept.
func (b *Book) knownBefore(ctx context.Context, d store.Dog, sittingID uuid.UUID, state bench.Progress) (known, error) {
	if state.Ended {
		return b.foldBut(ctx, d, []uuid.UUID{sittingID})
	}
	return b.knownBut(ctx, d, sittingID)
}

// around reads a dog's nails on the day of a sitting, before it and after it, whatever came later.
func (b *Book) around(
	ctx context.Context,
	t today,
	sittingID uuid.UUID,
	on date.Date,
	state bench.Progress,
) (before, after []feet.Reading, err error) {
	f := t.feet
	if f.Known().After(on) { // something was told of later days
		sittings, checks, err := b.told(ctx, t.dog)
		if err != nil {
			return nil, nil, err
		}
		sittings = slices.DeleteFunc(
			sittings,
			func(s store.Sitting) bool { return s.On.After(on) || s.ID == sittingID },
		)
		checks = slices.DeleteFunc(checks, func(c store.WalkRound) bool { return c.On.After(on) })
		f = fold(t.dog, sittings, checks).feet
	}
	s := state.Sitting(on)
	if len(s.Records) == 0 {
		return f.On(on), f.On(on), nil // nothing was done at it yet
	}
	return f.On(on), f.And(s).On(on), nil
}

// Tell adds events to a dog's sitting, in their order; the first begins it. Events that are
// there already change nothing; one that cannot have happened is refused by its place in the
// list, and then none of them is kept. It returns the sitting as it then stands.
func (b *Book) Tell(ctx context.Context, dogID, sittingID uuid.UUID, events []bench.Event) (Bench, error) {
	d, err := b.dog(ctx, dogID)
	if err != nil {
		return Bench{}, err
	}
	log, on, before, err := b.tell(ctx, d, sittingID, b.begun(ctx, d, events))
	if err != nil {
		return Bench{}, err
	}
	out, _, err := b.stands(ctx, d, sittingID, on, log, before)
	return out, err
}

// begun is what whoever asks told at the bench, with how the dog is held and the hour said at its start.
func (b *Book) begun(ctx context.Context, d store.Dog, events []bench.Event) []bench.Event {
	events = slices.Clone(events)
	for i, e := range events {
		events[i].Who = who(ctx)
		if e.Kind == bench.Started {
			hour := e.At.In(b.now().Location()).Hour()
			events[i].Held, events[i].Hour = d.Handling.Position, &hour
		}
	}
	return events
}

// tell adds events to a log, and returns it with the day of its sitting; and, where they end it, what was known of the
// dog before it.
func (b *Book) tell(
	ctx context.Context,
	d store.Dog,
	sittingID uuid.UUID,
	events []bench.Event,
) (kept bench.Log, on date.Date, stood *known, err error) {
	var f fault.Fields
	for i, e := range events {
		is := e.Item == ""
		if !is {
			if is, err = b.store.KnowsItem(ctx, e.Item); err != nil {
				return nil, on, nil, err
			}
		}
		if !is {
			f.Add(fmt.Sprintf("events[%d].item_id", i), e.Item, say.Of(mustBeTheIdOf))
		}
	}
	if err := f.Err(); err != nil {
		return nil, on, nil, err
	}
	if events, err = b.byHand(ctx, events); err != nil {
		return nil, on, nil, err
	}
	if err := b.checkpoint(ctx, d); err != nil {
		return nil, on, nil, err
	}
	there, err := b.store.Log(ctx, d.ID, sittingID)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return nil, on, nil, err
	}
	if err := b.doubts(ctx, d, sittingID, there.Events, events); err != nil {
		return nil, on, nil, err
	}
	var at store.DogStanding
	var before known
	ends := slices.ContainsFunc(events, func(e bench.Event) bool { return e.Kind == bench.Ended })
	if ends {
		if at, before, ends, err = b.kept(ctx, d, sittingID); err != nil {
			return nil, on, nil, err
		}
	}
	var state bench.Progress
	grew, err := b.grow(ctx, d.ID, sittingID, b.dayOf(d, events[0].At), func(log bench.Log) (bench.Log, error) {
		if len(log) == 0 &&
			events[0].Kind != bench.Started { // it was begun in another book, or in this one before it was put back
			return nil, store.ErrNotFound
		}
		recorder := log.Tell(d.Dog)
		for i, e := range events {
			_, err := recorder.Add(e)
			var other bench.Other
			if errors.As(err, &other) {
				return nil, AlreadyTold{Field: fmt.Sprintf("events[%d].id", i), There: other.Error()}
			}
			var refusal bench.Refusal
			if err != nil && !errors.As(err, &refusal) {
				return nil, err
			}
			if err != nil {
				return nil, fault.Fields{
					{Name: fmt.Sprintf("events[%d]", i), Value: string(e.Kind), Want: refusal.Want},
				}
			}
		}
		state, kept = recorder.State, recorder.Log
		return recorder.Log, nil
	})
	if err == nil && ends && state.Ended && len(state.Nails) > 0 { // one without nails is in no list
		err = b.forward(ctx, at, before, store.Sitting{ID: sittingID, Sitting: state.Sitting(grew.On)}, grew)
	}
	if ends && state.Ended && !there.Events.Fold().Ended { // else this very sitting is in what is kept
		stood = &before
	}
	var elsewhere store.ErrElsewhere
	if errors.As(err, &elsewhere) {
		for i, e := range events {
			if slices.Contains(elsewhere.IDs, e.ID) {
				f.Add(fmt.Sprintf("events[%d].id", i), e.ID, say.Of(mustBeANewId))
			}
		}
		return nil, on, nil, f.Err()
	}
	return kept, grew.On, stood, err
}

// grow lets the log of a dog's sitting grow, begun on a day if it is not there yet.
func (b *Book) grow(
	ctx context.Context,
	dogID, sittingID uuid.UUID,
	on date.Date,
	how func(bench.Log) (bench.Log, error),
) (store.Grew, error) {
	grew, err := b.store.Append(ctx, dogID, sittingID, on, b.now(), how)
	if errors.Is(err, store.ErrOtherDogs) || errors.Is(err, store.ErrTakenBack) {
		return grew, AlreadyTold{There: err.Error()}
	}
	if err == nil {
		b.changed(sittingID)
	}
	return grew, err
}

// Rebuild works out what the lists read again from the logs, and returns of how many sittings.
func (b *Book) Rebuild(ctx context.Context, progress func(done, all int)) (int, error) {
	return b.store.Rebuild(ctx, progress)
}
