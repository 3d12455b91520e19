package book

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"sync"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/hindsight"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/record"
	"fribbet/internal/core/sitting"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/verdict"
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
	return b.hindsight(ctx, d, settings, nil)
}

// hindsight is a dog's; each thing that was said is told to tell, nil to nobody.
func (b *Book) hindsight(
	ctx context.Context,
	d store.Dog,
	settings store.Settings,
	tell func(hindsight.Foretold),
) (Hindsight, error) {
	sittings, checks, err := b.told(ctx, d)
	if err != nil {
		return Hindsight{}, err
	}
	report, quarters := hindsight.Of(d.Dog, trimsOf(sittings), walksOf(checks), b.todaysRules(d, settings), tell)
	return Hindsight{Name: d.Name, Quarters: quarters, Report: report}, nil
}

// todaysRules are those by which a dog's past is said anew.
func (b *Book) todaysRules(d store.Dog, settings store.Settings) hindsight.Rules {
	return hindsight.Rules{
		Due: func(f feet.Feet) (date.Date, bool) {
			next, is, err := outlook.NextOf(f, terms(settings, ladder.Training{}, f))
			return next.Due, is && err == nil
		},
		Terms: func(f feet.Feet) verdict.Terms { return terms(settings, ladder.Training{}, f).Hand },
		Pace: func(before []record.Sitting, work kit.Work) temper.Pace {
			return sitting.Question{Dog: d.Dog, Past: sitting.PastOf(before), Hand: settings.Hand}.Pace(work)
		},
	}
}

// OwnersHindsight is that of an owner's dogs together.
func (b *Book) OwnersHindsight(ctx context.Context, ownerID uuid.UUID) (Hindsight, error) {
	o, err := b.store.Owner(ctx, ownerID)
	if err != nil {
		return Hindsight{}, err
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return Hindsight{}, err
	}
	var all together
	for _, owned := range o.Dogs {
		d, err := b.store.Dog(ctx, owned.ID)
		if err == nil {
			err = all.add(b.hindsight(ctx, d, settings, nil))
		}
		if err != nil {
			return Hindsight{}, err
		}
	}
	return all.sum(o.Name), nil
}

// together are some dogs' hindsights while they are added up.
type together struct {
	reports  []hindsight.Report
	quarters [][]hindsight.Quarter
	skipped  int // dogs of which what was told cannot be worked out
}

func (t *together) add(h Hindsight, err error) error {
	switch {
	case errors.As(err, new(Unreckonable)):
		t.skipped++
		return nil
	case err == nil:
		t.reports, t.quarters = append(t.reports, h.Report), append(t.quarters, h.Quarters)
	}
	return err
}

func (t *together) sum(name string) Hindsight {
	return Hindsight{
		Name:     name,
		Quarters: hindsight.QuartersTogether(t.quarters),
		Report:   hindsight.Together(t.reports),
	}
}

// WholeHindsight is that of the whole book, as far as it is worked out.
type WholeHindsight struct {
	Progress *Progress // nil when it is not being worked out
	At       time.Time // when it last was; zero when never
	Dogs     int       // that it was worked out of
	Skipped  int       // dogs of which what was told cannot be worked out
	Own      []Own     // what the book's own record would set, or sets
	offers   []hindsight.Offer
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

// WholeHindsight tells what it last came to; the first time, and when it is asked for anew, it is begun in the
// background.
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
	if out.Own, err = b.own(ctx, out.offers); err != nil {
		return WholeHindsight{}, err
	}
	if b.whole.running {
		progress := b.whole.progress
		out.Progress = &progress
	}
	return out, nil
}

// saidBefore is what is kept of a dog's hindsight: only what was told of since is worked out anew.
type saidBefore struct {
	Report   hindsight.Report
	Quarters []hindsight.Quarter
	Learnt   hindsight.Learnt
}

func (b *Book) saidBefore(ctx context.Context, d store.Dog, settings store.Settings) (said saidBefore, err error) {
	key := fmt.Sprint(hindsight.Version, " ", termsKey(settings))
	kept, revision, err := b.store.SaidBefore(ctx, d.ID, key)
	if err != nil || kept != nil && json.Unmarshal(kept, &said) == nil {
		return said, err
	}
	h, err := b.hindsight(ctx, d, settings, nil)
	if err != nil {
		return said, err
	}
	said = saidBefore{Report: h.Report, Quarters: h.Quarters}
	if said.Learnt, err = b.learnt(ctx, d); err != nil {
		return said, err
	}
	body, err := json.Marshal(said)
	if err != nil {
		return said, err
	}
	err = b.store.KeepSaidBefore(ctx, store.SaidBefore{DogID: d.ID, Revision: revision, Terms: key, Body: body})
	if errors.Is(err, store.ErrCannotWrite) { // it is worked out again the next time
		err = nil
	}
	return said, err
}

// workOutWhole goes through the dogs one after the other: who asks for a dog meanwhile is answered as fast as ever.
func (b *Book) workOutWhole(ctx context.Context, dogs []store.Dog, settings store.Settings) {
	last := WholeHindsight{}
	err := unharmed(func() error {
		var all together
		var learnt []hindsight.Learnt
		for _, d := range dogs {
			if ctx.Err() != nil {
				return ctx.Err()
			}
			said, err := b.saidBefore(ctx, d, settings)
			if err := all.add(Hindsight{Quarters: said.Quarters, Report: said.Report}, err); err != nil {
				return err
			}
			if err == nil && said.Learnt.Sittings > 0 {
				learnt = append(learnt, said.Learnt)
			}
			b.whole.Lock()
			b.whole.progress.Done++
			b.whole.Unlock()
		}
		last.At, last.Dogs, last.Skipped, last.Hindsight = b.now(), len(all.reports), all.skipped, all.sum("")
		last.offers = hindsight.Offers(learnt)
		return nil
	})
	b.whole.Lock()
	defer b.whole.Unlock()
	b.whole.running, b.whole.failed = false, err
	if err == nil {
		b.whole.last = last
	}
}
