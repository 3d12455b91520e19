package book

import (
	"context"
	"errors"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
)

// Visit is a visit as it stands.
type Visit struct {
	Kept        store.Visit
	round.Visit // with what its sitting has made of it
	Standing    round.Timing
	Breaks      say.Line          // at its place; empty where nothing is
	Runs        *round.Runs       // when it will begin, of today's that are still to come
	Tell        round.MessageKind // what its owner is to be told; empty where that is nothing
}

// visits are some visits as they stand.
func (b *Book) visits(ctx context.Context, kept []store.Visit) ([]Visit, error) {
	dogs := make([]store.RoundDog, len(kept))
	for i, v := range kept {
		dogs[i] = v.Dog
	}
	asked, err := b.asked(ctx, dogs)
	if err != nil {
		return nil, err
	}
	all := make([]Visit, len(kept))
	for i, v := range kept {
		d := asked[v.Dog.DogID]
		d.Minutes = v.Minutes
		all[i] = Visit{
			Kept: v,
			Visit: round.Visit{
				ID:    v.ID.String(),
				Dog:   d,
				On:    v.On,
				Start: v.Start,
				State: v.State.After(v.Sitting != nil, v.Ended),
			},
		}
		if begun := v.Begun.In(b.now().Location()); date.Of(begun) == v.On {
			all[i].Begun = round.At(begun.Hour(), begun.Minute())
		}
		if all[i].State == round.Agreed || all[i].State == round.Offered { // agreed before the dog said no
			all[i].Breaks = d.Window.Refuses(v.On)
		}
		all[i].Standing = round.Standings([]round.Visit{all[i].Visit}, v.On.Before(b.Today()))[0]
	}
	return all, nil
}

func plain(all []Visit) []round.Visit {
	visits := make([]round.Visit, len(all))
	for i, v := range all {
		visits[i] = v.Visit
	}
	return visits
}

// taken are what is left of the week and the visits of some days.
func (b *Book) taken(ctx context.Context, from, until date.Date) (round.Week, []round.Visit, error) {
	w, err := b.WorkingWeek(ctx)
	if err != nil {
		return round.Week{}, nil, err
	}
	kept, err := b.store.Visits(ctx, from, until)
	if err != nil {
		return round.Week{}, nil, err
	}
	all, err := b.visits(ctx, kept)
	return w.Week.Since(b.Today(), b.clock(b.Today())), plain(all), err
}

// offers are the best free places for a dog's next visit, in the four weeks round its date.
func (b *Book) offers(ctx context.Context, d round.Dog, n int) ([]round.Offer, error) {
	from := b.Today().AddDays(1)
	if !d.Window.Due.IsZero() {
		if early := d.Window.Due.AddDays(-offersBefore); early.After(from) {
			from = early
		}
	}
	until := from.AddDays(offersDays)
	w, others, err := b.taken(ctx, from, until)
	if err != nil {
		return nil, err
	}
	return w.Offers(d, others, from, until, n), nil
}

// KeepVisit keeps a visit, new or moved. What its place breaks is refused by name; anyway, it stands all the
// same, but not two at once, nor a dog twice a day, nor a time that has gone by.
func (b *Book) KeepVisit(ctx context.Context, v store.Visit, anyway bool) (Visit, error) {
	p, err := b.placed(ctx, v)
	if err != nil {
		return Visit{}, err
	}
	err = b.store.KeepVisit(ctx, p.kept, b.now(), func(day []store.Visit) error {
		var f fault.Fields
		if why, never := p.breaks(day); !why.Nothing() && (never || !anyway && !p.stays) {
			f.Add("start", p.visit.Start.String(), say.Of(mustBeAnotherTime, say.Args{"why": why}))
		}
		return f.Err()
	})
	if err != nil {
		return Visit{}, err
	}
	kept, err := b.store.Visit(ctx, v.ID)
	if err != nil {
		return Visit{}, err
	}
	all, err := b.visits(ctx, []store.Visit{kept})
	if err != nil {
		return Visit{}, err
	}
	return all[0], nil
}

// RecallVisit keeps a visit as a diary tells it, whatever its place breaks and though it may have gone by.
func (b *Book) RecallVisit(ctx context.Context, v store.Visit) error {
	p, err := b.placed(ctx, v)
	if err != nil {
		return err
	}
	return b.store.KeepVisit(ctx, p.kept, b.now(), func([]store.Visit) error { return nil })
}

// TryVisit says what a visit would break at its place, and keeps nothing.
func (b *Book) TryVisit(ctx context.Context, v store.Visit) (Visit, error) {
	p, err := b.placed(ctx, v)
	if err != nil {
		return Visit{}, err
	}
	day, err := b.store.Visits(ctx, v.On, v.On)
	if err != nil {
		return Visit{}, err
	}
	why, _ := p.breaks(day)
	return Visit{Kept: p.kept, Visit: p.visit, Standing: round.ToCome, Breaks: why}, nil
}

// placed is a visit at a place that was asked for.
type placed struct {
	kept  store.Visit
	visit round.Visit
	week  round.Week
	stays bool // where it was
	gone  bool // the time has
}

func (b *Book) placed(ctx context.Context, v store.Visit) (p placed, err error) {
	if err := b.within(v.On); err != nil {
		return p, err
	}
	if v.Dog, err = b.store.RoundDogOf(ctx, v.Dog.DogID); err != nil {
		return p, err
	}
	asked, err := b.asked(ctx, []store.RoundDog{v.Dog})
	if err != nil {
		return p, err
	}
	w, err := b.WorkingWeek(ctx)
	if err != nil {
		return p, err
	}
	d := asked[v.Dog.DogID]
	if v.Minutes == 0 {
		v.Minutes = max(d.Minutes, round.LeastVisit)
	}
	d.Minutes = v.Minutes
	p = placed{
		kept:  v,
		visit: round.Visit{ID: v.ID.String(), Dog: d, On: v.On, Start: v.Start, State: v.State},
		week:  w.Week,
	}
	f := p.visit.Check()
	if len(f) == 0 && !b.once(v.On, v.Start) {
		f.Add("start", say.Of(x6, say.Args{"on": v.On.Say(), "start": v.Start.Say()}), say.Of(mustBeATimeThat))
	}
	if err := f.Err(); err != nil {
		return p, err
	}
	was, err := b.store.Visit(ctx, v.ID)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return p, err
	}
	p.stays = err == nil && was.On == v.On && was.Start == v.Start && was.Minutes == v.Minutes
	p.gone = v.On.Before(b.Today()) || v.On == b.Today() && v.Start+round.Clock(v.Minutes) < b.clock(v.On)
	return p, nil
}

// breaks says what a visit breaks among those of its day, and whether that can never be; empty where nothing is.
func (p placed) breaks(day []store.Visit) (why say.Line, never bool) {
	if !p.visit.State.Takes() {
		return say.Line{}, false
	}
	if p.gone && !p.stays {
		return say.Of(goneBy), true
	}
	others := make([]round.Visit, len(day))
	for i, o := range day { // their places are all that is read of them
		others[i] = round.Visit{
			ID:    o.ID.String(),
			Dog:   round.Dog{ID: o.Dog.DogID.String(), Name: o.Dog.Name, Minutes: o.Minutes},
			On:    o.On,
			Start: o.Start,
			State: o.State,
		}
	}
	if why := p.week.Clash(p.visit, others); !why.Nothing() {
		return why, true
	}
	return p.week.Breaks(p.visit), false
}

// DogVisits are a dog's visits, the latest first, and the best places for its next.
type DogVisits struct {
	Dog    round.Dog
	Row    store.RoundDog
	Visits []Visit
	Offers []round.Offer
}

// DogVisits returns them.
func (b *Book) DogVisits(ctx context.Context, dogID uuid.UUID) (DogVisits, error) {
	if _, err := b.upToDate(ctx); err != nil {
		return DogVisits{}, err
	}
	row, err := b.store.RoundDogOf(ctx, dogID)
	if err != nil {
		return DogVisits{}, err
	}
	asked, err := b.asked(ctx, []store.RoundDog{row})
	if err != nil {
		return DogVisits{}, err
	}
	out := DogVisits{Dog: asked[dogID], Row: row}
	kept, err := b.store.VisitsOf(ctx, dogID)
	if err != nil {
		return DogVisits{}, err
	}
	if out.Visits, err = b.visits(ctx, kept); err != nil {
		return DogVisits{}, err
	}
	out.Offers, err = b.offers(ctx, out.Dog, offersEach)
	return out, err
}
