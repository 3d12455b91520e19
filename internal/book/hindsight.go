package book

import (
	"context"
	"errors"
	"sync"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/hindsight"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/outlook"
	"fribbet/internal/store"
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
	return b.hindsight(ctx, d, settings)
}

func (b *Book) hindsight(ctx context.Context, d store.Dog, settings store.Settings) (Hindsight, error) {
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

// WholeHindsight is that of the whole book, as far as it is worked out.
type WholeHindsight struct {
	Progress *Progress // nil when it is not being worked out
	At       time.Time // when it last was; zero when never
	Dogs     int       // that it was worked out of
	Skipped  int       // dogs of which what was told cannot be worked out
	Hindsight
}

// whole is the whole book's hindsight being worked out in the background, one at a time, and what it last came to.
type whole struct {
	sync.Mutex
	running  bool
	progress Progress
	failed   error
	last     WholeHindsight
}

// WholeHindsight tells what it last came to; the first time, and when it is asked for anew, it is begun in the background.
func (b *Book) WholeHindsight(ctx context.Context, anew bool) (WholeHindsight, error) {
	settings, err := b.Settings(ctx)
	if err != nil {
		return WholeHindsight{}, err
	}
	b.whole.Lock()
	defer b.whole.Unlock()
	if failed := b.whole.failed; failed != nil {
		b.whole.failed = nil
		return WholeHindsight{}, failed
	}
	if !b.whole.running && (anew || b.whole.last.At.IsZero()) {
		dogs, err := b.store.Dogs(ctx)
		if err != nil {
			return WholeHindsight{}, err
		}
		b.whole.running, b.whole.progress = true, Progress{All: len(dogs)}
		b.workers.Go(func() { b.workOutWhole(b.background, dogs, settings) }) // it outlives the request that asked
	}
	out := b.whole.last
	if b.whole.running {
		progress := b.whole.progress
		out.Progress = &progress
	}
	return out, nil
}

// workOutWhole goes through the dogs one after the other: who asks for a dog meanwhile is answered as fast as ever.
func (b *Book) workOutWhole(ctx context.Context, dogs []store.Dog, settings store.Settings) {
	last := WholeHindsight{}
	err := unharmed(func() error {
		var reports []hindsight.Report
		var quarters [][]hindsight.Quarter
		for _, d := range dogs {
			if ctx.Err() != nil {
				return ctx.Err()
			}
			h, err := b.hindsight(ctx, d, settings)
			switch {
			case errors.As(err, new(Unreckonable)):
				last.Skipped++
			case err != nil:
				return err
			default:
				reports, quarters = append(reports, h.Report), append(quarters, h.Quarters)
			}
			b.whole.Lock()
			b.whole.progress.Done++
			b.whole.Unlock()
		}
		last.At, last.Dogs = b.now(), len(reports)
		last.Quarters, last.Report = hindsight.QuartersTogether(quarters), hindsight.Together(reports)
		return nil
	})
	b.whole.Lock()
	defer b.whole.Unlock()
	b.whole.running, b.whole.failed = false, err
	if err == nil {
		b.whole.last = last
	}
}
