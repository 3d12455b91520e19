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

// trim is a dog's sitting as its log stands, and the dog as it was before it: all that an answer at the bench is worked
// out from.
type trim struct {
	today
	log   store.Log
	known known // of the dog, but for this sitting
}

// trimOf reads what the sitting of a dog's log is worked out from.
func (b *Book) trimOf(ctx context.Context, d store.Dog, log store.Log) (trim, error) {
	k, err := b.knownBut(ctx, d, log.SittingID)
	if err != nil {
		return trim{}, err
	}
	t, err := b.todayOf(ctx, d, k, false)
	return trim{t, log, k}, err
}

// trimAt is a dog's sitting that is in the book.
func (b *Book) trimAt(ctx context.Context, dogID, sittingID uuid.UUID) (trim, error) {
	log, err := b.store.Log(ctx, dogID, sittingID)
	if err != nil {
		return trim{}, err
	}
	d, err := b.dog(ctx, dogID)
	if err != nil {
		return trim{}, err
	}
	return b.trimOf(ctx, d, log)
}

// Bench returns a dog's sitting as it stands, with its nails before and after it.
func (b *Book) Bench(ctx context.Context, dogID, sittingID uuid.UUID) (Bench, error) {
	t, err := b.trimAt(ctx, dogID, sittingID)
	if err != nil {
		return Bench{}, err
	}
	out, err := b.stands(ctx, t)
	if err == nil {
		out.Before, out.After, err = b.around(ctx, t, out.State)
	}
	return out, err
}

// stands is a dog's sitting as its log leaves it.
func (b *Book) stands(ctx context.Context, t trim) (Bench, error) {
	state := t.log.Events.Fold()
	now, err := b.benchAt(ctx, t.today, state)
	if err != nil {
		return Bench{}, err
	}
	t.Helper = state.Helper
	left, on := now.Left(t.Question)
	return Bench{
		Left: left, LeftOn: on, Holds: t.Holds(now.Plan), Reward: t.Reward(now.Plan), LastNote: t.Past.Note,
		Bench: now, Dog: t.dog, ID: t.log.SittingID, Log: t.log.Events, State: state, On: t.log.On,
		Cautions: t.cautions(now.Plan), Remedy: t.Remedy(state.Ticks),
		Speed: kit.SpeedFor(kit.Job{Purpose: kit.Length, Hand: t.Hand}),
	}, nil
}

// groundDays is from how many of its last working days a bit's touch is learnt: it takes less as it wears, and a
// tap need not go through years (judgement).
const groundDays = 30

// benchAt is a dog's sitting, under way or yet to be told, where its events have brought it.
func (b *Book) benchAt(ctx context.Context, t today, state bench.Progress) (bench.Bench, error) {
	t.Helper = state.Helper
	var ground quick.Ground
	if state.Tool.Work() == kit.Grinding {
		var err error
		if ground, err = b.store.Ground(ctx, state.Item, groundDays); err != nil {
			return bench.Bench{}, err
		}
	}
	return bench.Of(t.Question, state, quick.LearnTouch(ground).Value), nil
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

// around reads a dog's nails on the day of a sitting, before it and after it, whatever came later.
func (b *Book) around(ctx context.Context, t trim, state bench.Progress) (before, after []feet.Reading, err error) {
	on := t.log.On
	f := t.feet
	if f.Known().After(on) { // something was told of later days
		sittings, checks, err := b.told(ctx, t.dog)
		if err != nil {
			return nil, nil, err
		}
		sittings = slices.DeleteFunc(
			sittings,
			func(s store.Sitting) bool { return s.On.After(on) || s.ID == t.log.SittingID },
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
	for {
		out, err := b.tell(ctx, dogID, sittingID, events)
		if !errors.Is(err, store.ErrGrown) { // by another hand, meanwhile: all is asked of how it stands now
			return out, err
		}
	}
}

// tell reads what the sitting is, works out what the events make of it, and writes that in one transaction.
func (b *Book) tell(ctx context.Context, dogID, sittingID uuid.UUID, events []bench.Event) (Bench, error) {
	d, err := b.dog(ctx, dogID)
	if err != nil {
		return Bench{}, err
	}
	log, err := b.logToTell(ctx, d, sittingID, events)
	if err != nil {
		return Bench{}, err
	}
	t, err := b.trimOf(ctx, d, log)
	if err != nil {
		return Bench{}, err
	}
	if events, err = b.heard(ctx, d, events); err != nil {
		return Bench{}, err
	}
	recorder, err := b.added(ctx, t, events)
	if err != nil {
		return Bench{}, err
	}
	if len(recorder.Log) > len(log.Events) {
		if log.On.IsZero() {
			t.log.On = b.dayOf(d, events[0].At)
		}
		t.log.Events = recorder.Log
		if err := b.grow(ctx, t, len(log.Events), recorder.State); err != nil {
			return Bench{}, inEvents(err, events)
		}
	}
	return b.stands(ctx, t)
}

// logToTell is the log of a dog's sitting, an empty one where events begin it; what is known of the dog is kept first.
func (b *Book) logToTell(ctx context.Context, d store.Dog, sitting uuid.UUID, events []bench.Event) (store.Log, error) {
	if err := b.checkpoint(ctx, d); err != nil {
		return store.Log{}, err
	}
	log, err := b.store.Log(ctx, d.ID, sitting)
	err = already(err)
	if errors.Is(err, store.ErrNotFound) && events[0].Kind == bench.Started {
		return store.Log{SittingID: sitting, DogID: d.ID}, nil
	}
	return log, err // not found: it was begun in another book, or in this one before it was put back
}

// heard is what whoever asks told at the bench, as it is kept: by whom, with what the start of a sitting takes from the
// dog's page and from the settings. It refuses what names a piece that is not of the kit.
func (b *Book) heard(ctx context.Context, d store.Dog, events []bench.Event) ([]bench.Event, error) {
	var f fault.Fields
	events = slices.Clone(events)
	for i, e := range events {
		events[i].Who = who(ctx)
		if e.Kind == bench.Started {
			hour := e.At.In(b.now().Location()).Hour()
			events[i].Held, events[i].Hour = d.Handling.Position, &hour
		}
		if e.Item == "" {
			continue
		}
		is, err := b.store.KnowsItem(ctx, e.Item)
		if err != nil {
			return nil, err
		}
		if !is {
			f.Add(fmt.Sprintf("events[%d].item_id", i), e.Item, say.Of(mustBeTheIdOf))
		}
	}
	if err := f.Err(); err != nil {
		return nil, err
	}
	return b.byHand(ctx, events)
}

// added is the sitting once events were told too. It asks again for what places the quick where it cannot well be, and
// refuses what cannot have happened; each by its place in the list.
func (b *Book) added(ctx context.Context, t trim, events []bench.Event) (*bench.Recorder, error) {
	var doubts fault.Fields
	recorder := t.log.Events.Tell(t.dog.Dog)
	for i, e := range events {
		so := recorder.Log
		added, err := recorder.Add(e)
		if err != nil && len(doubts) > 0 {
			break // what was doubted before it is asked again first
		}
		if err != nil {
			return nil, refused(i, e, err)
		}
		if !added || !e.PlacesQuick() {
			continue
		}
		now, err := b.benchAt(ctx, t.today, so.Fold())
		if err != nil {
			return nil, err
		}
		if want := now.Doubt(e); !want.Nothing() {
			doubts.Add(fmt.Sprintf("events[%d]", i), e.MM, want)
		}
	}
	return recorder, doubts.Err()
}

// refused names the event that was refused.
func refused(i int, e bench.Event, err error) error {
	var other bench.Other
	var refusal bench.Refusal
	switch {
	case errors.As(err, &other):
		return AlreadyTold{Field: fmt.Sprintf("events[%d].id", i), There: other.Error()}
	case errors.As(err, &refusal):
		return fault.Fields{{Name: fmt.Sprintf("events[%d]", i), Value: string(e.Kind), Want: refusal.Want}}
	default:
		return err
	}
}

// grow writes what a sitting has grown to, from so many events on; and, where it has ended, what is known of the dog
// with it. One without nails is in no list.
func (b *Book) grow(ctx context.Context, t trim, from int, state bench.Progress) (err error) {
	g := store.Growth{Log: t.log, From: from}
	if state.Ended && len(state.Nails) > 0 {
		g.Feet, err = t.known.after(store.Sitting{ID: t.log.SittingID, Sitting: state.Sitting(t.log.On)})
		if err != nil {
			return err
		}
	}
	if err = already(b.store.Append(ctx, g, b.now())); err == nil {
		b.changed(t.log.SittingID)
	}
	return err
}

// already says that a sitting's id is another one's.
func already(err error) error {
	if errors.Is(err, store.ErrOtherDogs) || errors.Is(err, store.ErrTakenBack) {
		return AlreadyTold{There: err.Error()}
	}
	return err
}

// inEvents names the events that are in another sitting's log, where that is why.
func inEvents(err error, events []bench.Event) error {
	var elsewhere store.ErrElsewhere
	if !errors.As(err, &elsewhere) {
		return err
	}
	var f fault.Fields
	for i, e := range events {
		if slices.Contains(elsewhere.IDs, e.ID) {
			f.Add(fmt.Sprintf("events[%d].id", i), e.ID, say.Of(mustBeANewId))
		}
	}
	return f.Err()
}

// Rebuild works out what the lists read again from the logs, and returns of how many sittings.
func (b *Book) Rebuild(ctx context.Context, progress func(done, all int)) (int, error) {
	return b.store.Rebuild(ctx, progress)
}
