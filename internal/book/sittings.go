package book

import (
	"cmp"
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
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/core/sitting"
	"fribbet/internal/core/temper"
	"fribbet/internal/store"
)

// Plan is today's sitting with a dog: what a routine trim takes, and how it is done.
type Plan struct {
	sitting.Plan
	Dog       store.Dog
	Nails     []outlook.Planned
	Cautions  []dog.Caution // of the dog, then of its feet
	Checklist []sitting.Thing
	SeeTo     []kit.Piece     // of the kit, not fit for work
	Tool      kit.Tool        // to begin with
	Calmer    []temper.Calmer // what went with calm so far
	Eye       say.Line        // said where practice sets the care
	Gently    bool            // the ladder is worth beginning before any nail
	Holds     []sitting.Hold  // of today's paws
}

// Plan returns today's sitting with a dog, with a helper there or not.
func (b *Book) Plan(ctx context.Context, id uuid.UUID, helper bool) (Plan, error) {
	t, err := b.today(ctx, id, helper)
	if err != nil {
		return Plan{}, err
	}
	p := Plan{
		Plan:   sitting.For(t.Question),
		Dog:    t.dog,
		Nails:  t.Nails,
		Tool:   t.FirstTool(),
		Gently: t.Question.Gently(),
		Calmer: t.calmer,
		Eye:    t.Terms.Hand.Slices.EyeSays(),
	}
	p.Holds = t.Holds(p.Plan)
	p.Checklist, p.SeeTo = t.Checklist(p.Plan), t.SeeTo()
	p.Cautions = t.cautions(p.Plan)
	return p, nil
}

// cautions are those of the dog, then those of its feet.
func (t today) cautions(p sitting.Plan) []dog.Caution {
	readings := t.feet.On(t.Today)
	all := append(
		outlook.NoCautions(t.feet, t.Today),
		sitting.WhileTraining(readings, t.training.Paws(), t.Terms.Keeper)...)
	all = append(all, t.Cautions(p)...)
	return append(all, outlook.Cautions(t.feet, readings, t.Terms.Keeper)...)
}

// Advice ranks the tools for one nail.
func (b *Book) Advice(ctx context.Context, id uuid.UUID, code nail.Code, purpose kit.Purpose) ([]kit.Option, error) {
	t, err := b.today(ctx, id, false)
	if err != nil {
		return nil, err
	}
	options, has := t.Advice(code, purpose)
	if !has {
		return nil, store.ErrNotFound
	}
	return options, nil
}

// today is a dog before today's sitting, and the question that a plan answers.
type today struct {
	sitting.Question
	dog      store.Dog
	feet     feet.Feet
	training ladder.Training
	calmer   []temper.Calmer
}

func (b *Book) today(ctx context.Context, id uuid.UUID, helper bool) (today, error) {
	d, err := b.dog(ctx, id)
	if err != nil {
		return today{}, err
	}
	k, err := b.known(ctx, d)
	if err != nil {
		return today{}, err
	}
	return b.todayOf(ctx, d, k, helper)
}

// todayOf is the same of a dog of which so much is known.
func (b *Book) todayOf(ctx context.Context, d store.Dog, k known, helper bool) (today, error) {
	settings, err := b.Settings(ctx)
	if err != nil {
		return today{}, err
	}
	pieces, err := b.pieces(ctx)
	if err != nil {
		return today{}, err
	}
	ladders, err := b.store.Ladders(ctx, d.ID)
	if err != nil {
		return today{}, err
	}
	training := b.training(ladders)
	q := question(d, k, b.Today(), training, settings, pieces)
	q.Helper = helper
	return today{q, d, k.feet, training, calmer(k)}, nil
}

// question is what a plan of a dog is made from, for a day.
func question(
	d store.Dog,
	k known,
	day date.Date,
	training ladder.Training,
	settings store.Settings,
	pieces []kit.Piece,
) sitting.Question {
	terms := terms(settings, training, k.feet)
	return sitting.Question{
		Today:      day,
		Dog:        d.Dog,
		Feet:       k.feet,
		Terms:      terms,
		Nails:      outlook.Plan(k.feet, day, terms),
		Past:       k.past,
		Hair:       k.feet.Hair(),
		Hand:       settings.Hand,
		Closed:     settings.Holidays,
		Kit:        pieces,
		LeftHanded: settings.LeftHanded,
		Way:        cmp.Or(d.Handling.Way, settings.Way),
		Training:   sitting.Training{Paws: training.Paws(), Grinder: training.WithGrinder()},
	}
}

// Record keeps a sitting that whoever asks told as a whole; one without a date was today. Sending the same again
// changes nothing; something else under the same id is AlreadyTold.
func (b *Book) Record(ctx context.Context, dogID uuid.UUID, s store.Sitting, far record.HowFar) error {
	d, err := b.dog(ctx, dogID)
	if err != nil {
		return err
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return err
	}
	s.Sitting = s.Went(far, settings.EndPoint, settings.Slices)
	there, err := b.store.Log(ctx, dogID, s.ID) // before its content is looked at: the dog may have changed since
	if err == nil {
		return sameSitting(there, s)
	}
	if !errors.Is(err, store.ErrNotFound) {
		return err
	}
	if s.On.IsZero() {
		s.On = b.Today()
	}
	unknown, err := b.checkItems(ctx, s)
	if err != nil {
		return err
	}
	if err := fault.Fields(append(s.Check(d.Dog, b.Today()), unknown...)).Err(); err != nil {
		return err
	}
	events := bench.LogOf(s.ID.String(), s.Sitting, b.now())
	for i := range events {
		events[i].Who = who(ctx)
	}
	if err := b.doubtRecords(ctx, d, s, events); err != nil {
		return err
	}
	before, _, err := b.keptBut(ctx, d, s.ID)
	if err != nil {
		return err
	}
	t := trim{log: store.Log{SittingID: s.ID, DogID: dogID, On: s.On, Events: events}, known: before}
	err = b.grow(ctx, t, 0, events.Fold())
	if errors.Is(err, store.ErrGrown) { // it came twice at once
		return b.Record(ctx, dogID, s, far)
	}
	return err
}

// doubtRecords asks again for spares that were seen where they cannot well be.
func (b *Book) doubtRecords(ctx context.Context, d store.Dog, s store.Sitting, events bench.Log) error {
	if !slices.ContainsFunc(events, func(e bench.Event) bool { return e.PlacesQuick() && !e.Sure }) {
		return nil
	}
	state := events.Fold()
	state.Ended = false // it is not in the book yet: what is kept is what was before it
	t, err := b.trimOf(ctx, d, store.Log{SittingID: s.ID, DogID: d.ID})
	if err != nil {
		return err
	}
	now, err := b.benchAt(ctx, t.today, state)
	if err != nil {
		return err
	}
	var f fault.Fields
	for i, r := range s.Records {
		for _, e := range events {
			if !e.PlacesQuick() || *e.Nail != r.Code {
				continue
			}
			if want := now.Doubt(e); !want.Nothing() {
				f.Add(fmt.Sprintf("records[%d].spare_left_mm", i), e.MM, want)
			}
		}
	}
	return f.Err()
}

// sameSitting tells whether a sitting says what is in the book under its id.
func sameSitting(there store.Log, s store.Sitting) error {
	if !there.Events.Tells(bench.LogOf(s.ID.String(), s.Sitting, time.Time{})) || !s.On.IsZero() && s.On != there.On {
		in := there.Events.Fold().Sitting(there.On)
		nails, _ := in.Cut()
		return AlreadyTold{
			There: fmt.Sprintf(
				"a trim of %s in which something came off %d nails and %d bled",
				there.On,
				nails,
				len(in.Bled()),
			),
		}
	}
	return nil
}

// Withdraw takes back a sitting recorded by mistake.
func (b *Book) Withdraw(ctx context.Context, dogID, sittingID uuid.UUID) error {
	err := b.store.WithdrawSitting(ctx, dogID, sittingID, b.now())
	if err == nil {
		b.changed(sittingID)
	}
	return err
}
