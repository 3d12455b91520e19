package book

import (
	"context"
	"math/rand/v2"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
	"fribbet/internal/store"
)

const (
	lately        = 40  // nails of a kind that a person's figures are made of
	inCourse      = 80  // and that say where they stand in the course
	mostTogether  = 400 // nails of all people of a class
	drillsOfAnEye = 10  // that say how somebody reads ends
	usualSlice    = 1.0 // mm, of the hand that asks nobody
)

// chance are the same random numbers for the same seed and stream, on every machine (PCG, as Go keeps it).
func chance(
	seed, stream uint64,
) virtual.Random {
	return rand.New(rand.NewPCG(seed, stream)) //nolint:gosec // not for secrets
}

// room is where the user practises, with the care of their own bench.
func (b *Book) room(settings store.Settings, stop quick.EndPoint) practice.Room {
	return practice.Room{Chance: chance, Terms: verdict.For(stop, settings.Hand, settings.Role != Groomer, false)}
}

// Practise plays a drawn nail by all moves so far. Once it is over, and where an id is given, it is kept as of whoever
// asks.
func (b *Book) Practise(
	ctx context.Context,
	id uuid.UUID,
	n practice.Exercise,
	moves []practice.Move,
) (practice.Game, error) {
	settings, err := b.Settings(ctx)
	if err != nil {
		return practice.Game{}, err
	}
	g, err := b.room(settings, settings.EndPoint).Play(n, moves)
	if err == nil && g.Over && id != uuid.Nil {
		err = b.store.AddPractised(
			ctx,
			store.Practised{ID: id, At: b.now(), Who: who(ctx), Exercise: n, EndPoint: settings.EndPoint, Moves: moves},
		)
	}
	return g, err
}

// BestPlay is what the best play would have done at each of these moves, mm, 0 to stop.
func (b *Book) BestPlay(ctx context.Context, n practice.Exercise, moves []practice.Move) ([]float64, error) {
	settings, err := b.Settings(ctx)
	if err != nil {
		return nil, err
	}
	return b.room(settings, settings.EndPoint).Best(n, moves)
}

// NameEnds marks a drill of cut ends. Once all of them are named and an id is given, it is kept as of whoever asks.
func (b *Book) NameEnds(
	ctx context.Context,
	id uuid.UUID,
	seed int,
	said []quick.Face,
) ([]practice.End, practice.Named, error) {
	settings, err := b.Settings(ctx)
	if err != nil {
		return nil, practice.Named{}, err
	}
	room := b.room(settings, settings.EndPoint)
	named, err := room.Name(seed, said)
	if err != nil {
		return nil, named, err
	}
	if len(said) == practice.EndsAsked && id != uuid.Nil {
		err = b.store.AddPractised(
			ctx,
			store.Practised{
				ID:       id,
				At:       b.now(),
				Who:      who(ctx),
				Exercise: practice.Exercise{Kind: store.EndsDrill, Seed: seed, Number: 1},
				EndPoint: settings.EndPoint,
				Said:     said,
			},
		)
	}
	return room.Ends(seed), named, err
}

// AnswerScenes marks a drill of moments at the table, as far as it went.
func (b *Book) AnswerScenes(
	drill practice.Drill,
	seed int,
	chosen []int,
) (scenes []practice.Scene, right int, err error) {
	return practice.Room{Chance: chance}.Answer(drill, seed, chosen)
}

// Practised is how somebody's last nails of a kind went, beside the same nails by the careful advice and by a hand of
// 1 mm slices that asks nobody.
type Practised struct {
	practice.Progress
	Mine, Advised, Unasked practice.Tally
	Early, Late            int // nails that were left too early, or cut against the advice
}

// Practice is how somebody's practice goes.
type Practice struct {
	Kinds []Practised
	Next  practice.Kind  // what to practise next; empty: nothing more today
	Ends  practice.Named // of their last drills
	Eye   hand.Eye       // how they read ends, by their last drills
	Cares bool           // and that sets the care at the bench
	Own   OwnEnds        // their own pictures
}

// PracticeSoFar is how the practice of whoever asks goes: every kind in the order of the course, and the ends of their
// last drills.
func (b *Book) PracticeSoFar(ctx context.Context) (out Practice, err error) {
	who := who(ctx)
	settings, err := b.Settings(ctx)
	if err != nil {
		return out, err
	}
	var stand []practice.Progress
	for _, kind := range practice.Kinds() {
		all, err := b.store.PractisedLately(ctx, kind, who, inCourse)
		if err != nil {
			return out, err
		}
		p := b.practised(settings, kind, all)
		out.Kinds, stand = append(out.Kinds, p), append(stand, p.Progress)
	}
	out.Next, _ = practice.Next(stand, b.Today())
	drills, err := b.store.PractisedLately(ctx, store.EndsDrill, who, drillsOfAnEye)
	if err != nil {
		return out, err
	}
	room := b.room(settings, settings.EndPoint)
	var all []practice.Named
	for _, d := range drills {
		if named, err := room.Name(d.Seed, d.Said); err == nil {
			all = append(all, named)
		}
	}
	out.Ends = practice.Together(all)
	out.Cares = settings.EyeOf != nil && *settings.EyeOf == who
	out.Eye = eyeOf(drills)
	out.Own, err = b.OwnEnds(ctx)
	return out, err
}

// eye is how somebody reads cut ends, by their last drills.
func (b *Book) eye(ctx context.Context, who string) (eye hand.Eye, err error) {
	drills, err := b.store.PractisedLately(ctx, store.EndsDrill, who, drillsOfAnEye)
	return eyeOf(drills), err
}

func eyeOf(drills []store.Practised) (eye hand.Eye) {
	for _, d := range drills {
		one := practice.Room{Chance: chance}.Eye(d.Seed, d.Said)
		eye.Asked, eye.Milder = eye.Asked+one.Asked, eye.Milder+one.Milder
	}
	return eye
}

// CareByEye is that the practice of whoever asks sets the care at the bench, or no longer anybody's.
func (b *Book) CareByEye(ctx context.Context, cares bool) error {
	if !cares {
		return b.store.SetEyeOf(ctx, nil)
	}
	asks := who(ctx)
	return b.store.SetEyeOf(ctx, &asks)
}

// practised is how nails of a kind went, the latest first.
func (b *Book) practised(settings store.Settings, kind practice.Kind, all []store.Practised) Practised {
	var p Practised
	var mine, advised, unasked []practice.Outcome
	var done []practice.Done
	for i, one := range all {
		room := b.room(settings, one.EndPoint)
		g, err := room.Play(one.Exercise, one.Moves)
		if err != nil { // of another version's rules: it counts no more
			continue
		}
		done = append(done, practice.Done{On: date.Of(one.At.In(b.now().Location())), Well: g.Well(), Bled: g.Bled})
		if i >= lately {
			continue
		}
		mine = append(mine, g.Outcome())
		advised = append(advised, room.Advised(one.Exercise))
		unasked = append(unasked, room.Unasked(one.Exercise, usualSlice))
		if g.Early > 0 {
			p.Early++
		}
		if g.Late > 0 {
			p.Late++
		}
	}
	slices.Reverse(done)
	p.Progress = practice.Stands(kind, done)
	p.Mine, p.Advised, p.Unasked = practice.Count(mine), practice.Count(advised), practice.Count(unasked)
	return p
}

// Together is how one person of a class did one nail of a series.
type Together struct {
	Who string
	practice.Game
}

// PractisedTogether are all who did nails of one series.
func (b *Book) PractisedTogether(ctx context.Context, kind practice.Kind, seed int) ([]Together, error) {
	if err := (practice.Exercise{Kind: kind, Seed: seed, Number: 1}).Check().Err(); err != nil {
		return nil, err
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return nil, err
	}
	all, err := b.store.PractisedTogether(ctx, kind, seed, mostTogether)
	var out []Together
	for _, one := range all {
		if g, err := b.room(settings, one.EndPoint).Play(one.Exercise, one.Moves); err == nil {
			out = append(out, Together{one.Who, g})
		}
	}
	return out, err
}
