// Package book is what the user does: it joins the rules in core with what store keeps.
//
// In its words:
//
//   - standing: a dog's date with its reasons and its nails as the lists show them, kept until something new is told
//   - known: what a dog's ended sittings and looks come to: all that plans read of them
//   - told: what somebody entered, as it was entered
//   - recount: dates being worked out again in the background
//   - importing: a package of another book being taken in
//   - visit, place: when a dog is to come, and a free stretch of a day that could be one
//   - post: messages on their way to owners
//   - Unreckonable: a dog of which rows cannot be: it is shown, and stops nobody else
package book

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"sync"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/hindsight"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/say"
	"fribbet/internal/core/units"
	"fribbet/internal/store"

	"github.com/google/uuid"
	"github.com/maypok86/otter/v2"
)

// Book is the whole program without its interface.
type Book struct {
	store     *store.Store
	now       func() time.Time
	recount   recount
	backing   backing
	watches   watches
	calendar  calendar
	pictures  sync.Mutex // one is read at a time
	looked    lookedAt
	whole     whole
	importing importing
	memory    *otter.Cache[uuid.UUID, remembered]
	caliper   Caliper
	gateway   Gateway
	camera    Camera
	house     House

	background context.Context //nolint:containedctx // of what outlives the request that asked for it
	stop       context.CancelFunc
	workers    sync.WaitGroup
}

// New returns a book kept in store; now tells the time in the user's zone.
func New(s *store.Store, now func() time.Time, o Options) *Book {
	b := &Book{
		store: s, now: now, memory: otter.Must(&otter.Options[uuid.UUID, remembered]{MaximumSize: mostRemembered}),
		caliper: o.Caliper, gateway: o.Gateway, camera: o.Camera, house: o.House,
	}
	b.background, b.stop = context.WithCancel(context.Background())
	return b
}

// Close ends what is worked out in the background, and waits for it. The store is closed after that.
func (b *Book) Close() {
	b.stop()
	b.workers.Wait()
}

// mostHolidays keeps the list of days off readable.
const mostHolidays = 100

// There tells whether the book's file is still the one that was opened: store.ErrGone when it is not.
func (b *Book) There() error { return b.store.There() }

// Today is the user's calendar date.
func (b *Book) Today() date.Date { return date.Of(b.now()) }

// Who uses the program: the answer decides how often a new dog is done.
const (
	Unset   = "unset" // the first start is not done
	Keeper  = "keeper"
	Groomer = "groomer"
)

// Settings returns the user's choices, or what a first start begins with.
func (b *Book) Settings(ctx context.Context) (store.Settings, error) {
	slices, err := b.hand(ctx)
	if err != nil {
		return store.Settings{}, err
	}
	got, err := b.store.Settings(ctx)
	if errors.Is(err, store.ErrNotFound) {
		return store.Settings{
			Version:    new(int),
			Role:       Unset,
			Language:   "en",
			LengthUnit: units.Millimetre,
			WeightUnit: units.Kilogram,
			Margin:     quick.Margin,
			Workdays:   date.EveryDay,
			Hand:       kit.NewHand,
			EndPoint:   quick.AtFirstSign,
			Slices:     slices,
		}, nil
	}
	got.Slices = slices
	if err == nil && !got.Slices.Measured() { // a measurement says more than what came off
		set, failed := b.store.OwnUsual(ctx)
		got.Slices.Times, err = hindsight.OwnTimes(set), failed
	}
	if err == nil && got.EyeOf != nil {
		eye, failed := b.eye(ctx, *got.EyeOf)
		got.Slices.Milder, err = eye.Share(), failed
	}
	return sane(got), err
}

// sane are settings with what is usual for what cannot be: whatever stands in the book, dates are reckoned with it.
func sane(s store.Settings) store.Settings {
	if !(s.Margin >= 0 && s.Margin <= due.MostMargin) {
		s.Margin = quick.Margin
	}
	if s.Workdays == 0 {
		s.Workdays = date.EveryDay
	}
	s.Holidays = slices.DeleteFunc(s.Holidays, func(h date.Span) bool { return h.Check() != nil })
	if len(s.Holidays) > mostHolidays {
		s.Holidays = s.Holidays[:mostHolidays]
	}
	return s
}

// ChangeSettings keeps the user's choices. It returns store.ErrConflict when they were changed since they were read.
func (b *Book) ChangeSettings(ctx context.Context, c store.Settings) error {
	if c.Hand == "" {
		c.Hand = usualHand(c.Role)
	}
	if c.EndPoint == "" {
		c.EndPoint = usualEnd(c.Role)
	}
	var f fault.Fields
	if c.Role == Unset {
		f.Add("role", c.Role, say.Of(mustBeKeeperOrGroomer))
	}
	if c.LargestCut != nil {
		f.Range("largest_cut_mm", *c.LargestCut, kit.LeastLargest, kit.MostLargest, fault.MM)
	}
	if c.Coin != nil {
		f.Range("coin_mm", *c.Coin, measure.LeastCoin, measure.MostCoin, fault.MM)
	}
	for i, h := range c.Holidays {
		f.Under(fmt.Sprintf("holidays[%d]", i), h.Check())
	}
	if len(c.Holidays) > mostHolidays {
		f.Add(
			"holidays",
			say.Of(spans2, say.Args{"holidays": say.Count(len(c.Holidays))}),
			say.Of(mustBeAtMostSpans, say.Args{"mostHolidays": say.Count(mostHolidays)}),
		)
	}
	slices.SortFunc(c.Holidays, func(x, y date.Span) int { return x.From.Sub(y.From) })
	for i := 1; i < len(c.Holidays); i++ {
		if !c.Holidays[i].From.After(c.Holidays[i-1].To) {
			f.Add(
				fmt.Sprintf("holidays[%d].from", i),
				c.Holidays[i].From,
				say.Of(mustLieAfterTheHoliday, say.Args{"to": c.Holidays[i-1].To.Say()}),
			)
		}
	}
	if c.Language == "" {
		c.Language = "en"
	}
	spoken(&f, c.Language)
	f.Range("margin_mm", c.Margin, 0, due.MostMargin, fault.MM)
	if c.Workdays == 0 {
		f.Add("working_weekdays", "none", say.Of(mustNameAtLeastOne))
	}
	if err := f.Err(); err != nil {
		return err
	}
	return b.store.SaveSettings(ctx, c)
}

// usualHand is how practised somebody is taken to be who has not said.
func usualHand(role string) kit.Hand {
	if role == Groomer {
		return kit.PractisedHand
	}
	return kit.NewHand
}

// usualEnd is when somebody is taken to stop who has not said.
func usualEnd(role string) quick.EndPoint {
	if role == Groomer {
		return quick.Full
	}
	return quick.AtFirstSign
}

// usualRhythm is what a new dog starts with: the usual home advice, or the general ceiling.
func usualRhythm(role string) rhythm.Rhythm {
	if role == Groomer {
		return rhythm.FourWeeks
	}
	return rhythm.Fortnightly
}
