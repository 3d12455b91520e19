package book

import (
	"bytes"
	"context"
	"crypto/rand"
	"crypto/sha256"
	"crypto/subtle"
	"encoding/hex"
	"io"
	"slices"
	"strings"
	"sync"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/formats"
	"fribbet/internal/store"
	"fribbet/internal/words"
)

// What a calendar says.
const (
	calendarName    say.Key = "calendar.name"
	nailsOf         say.Key = "calendar.nails_of"
	tomorrowNailsOf say.Key = "calendar.tomorrow_nails_of"
	lateSince       say.Key = "calendar.late_since"
	visitWith       say.Key = "calendar.visit_with"
	visitBreaks     say.Key = "calendar.visit_breaks"
)

// CalendarKey is the secret part of the calendar's address; the first time it is asked for, it is made.
func (b *Book) CalendarKey(ctx context.Context) (string, error) {
	key, err := b.store.CalendarKey(ctx)
	if err != nil || key != "" {
		return key, err
	}
	if err := b.store.FirstCalendarKey(ctx, rand.Text()); err != nil {
		return "", err
	}
	if key, err = b.store.CalendarKey(ctx); err == nil && key == "" { // nobody has begun the book
		err = store.ErrNotFound
	}
	return key, err
}

// RenewCalendarKey gives the calendar another address; the old one answers no more.
func (b *Book) RenewCalendarKey(ctx context.Context) (string, error) {
	key := rand.Text()
	return key, b.store.SetCalendarKey(ctx, key)
}

// RenewKeys gives the calendar and every card's page another address: whoever saw the old ones sees nothing any more.
func (b *Book) RenewKeys(ctx context.Context) error {
	key, err := b.store.CalendarKey(ctx)
	if err == nil && key != "" {
		_, err = b.RenewCalendarKey(ctx)
	}
	if err != nil {
		return err
	}
	return b.store.RenewCards(ctx, rand.Text)
}

// calendar is the last one that was written: it is read every few hours, by every program that shows it.
type calendar struct {
	sync.Mutex
	writes uint64    // of the store, before it was read
	on     date.Date // as it was shown
	text   []byte
	mark   string

	said     map[store.Entry]formats.DueDate // in its sentences: most of them stay from one day's reading to the next
	language string                          // of those
}

// Calendar is every dog's date as iCalendar for whoever knows the key, with a mark that stays as long as it says the
// same; store.ErrNotFound for others.
func (b *Book) Calendar(ctx context.Context, key string) (text []byte, mark string, err error) {
	kept, err := b.store.CalendarKey(ctx)
	if err != nil {
		return nil, "", err
	}
	if kept == "" || subtle.ConstantTimeCompare([]byte(kept), []byte(key)) != 1 {
		return nil, "", store.ErrNotFound
	}
	if _, err := b.upToDate(ctx); err != nil {
		return nil, "", err
	}
	last := &b.calendar
	last.Lock() // who asks meanwhile is given the same
	defer last.Unlock()
	if writes := b.store.Writes(); last.mark == "" || last.writes != writes || last.on != b.Today() {
		var out bytes.Buffer
		on := b.Today()
		if err := b.writeCalendar(ctx, &out); err != nil {
			return nil, "", err
		}
		sum := sha256.Sum256(out.Bytes())
		last.writes, last.on, last.text, last.mark = writes, on, out.Bytes(), hex.EncodeToString(sum[:16])
	}
	return last.text, last.mark, nil
}

func (b *Book) writeCalendar(ctx context.Context, w io.Writer) error {
	entries, err := b.store.Calendar(ctx, b.Today())
	if err != nil {
		return err
	}
	speaks, err := b.Words(ctx)
	if err != nil {
		return err
	}
	dates, err := b.calendar.inWords(speaks, entries, b.Today())
	if err != nil {
		return err
	}
	visits, err := b.calendarVisits(ctx, speaks)
	if err != nil {
		return err
	}
	return formats.Calendar(w, speaks.Say(say.Of(calendarName)), dates, visits, b.now().Location())
}

// inWords are dates with their sentences; those of the last reading are taken over.
func (c *calendar) inWords(speaks words.Words, entries []store.Entry, today date.Date) ([]formats.DueDate, error) {
	before := c.said
	if c.on != today || c.language != speaks.Language {
		before = nil
	}
	dates := make([]formats.DueDate, len(entries))
	if err := each(len(entries), func(i int) error {
		e, err := entries[i], error(nil)
		said, is := before[e]
		if !is {
			said = formats.DueDate{
				DogID:    e.DogID.String(),
				Name:     e.Name,
				On:       e.On,
				Sequence: e.Sequence * daysOfOneDate,
				MovedAt:  e.MovedAt,
			}
			said, err = notBefore(speaks, said, say.Read(e.Why), today)
		}
		dates[i] = said
		return err
	}); err != nil {
		return nil, err
	}
	c.language, c.said = speaks.Language, make(map[store.Entry]formats.DueDate, len(entries))
	for i, e := range entries {
		c.said[e] = dates[i]
	}
	return dates, nil
}

// visitsBack is how many days visits stay in the calendar once they have gone by.
const visitsBack = 60

var statuses = map[round.VisitState]formats.VisitStatus{
	round.Offered:   formats.Tentative,
	round.Agreed:    formats.Confirmed,
	round.Here:      formats.Confirmed,
	round.Done:      formats.Confirmed,
	round.Missed:    formats.Cancelled,
	round.CalledOff: formats.Cancelled,
}

// calendarVisits are the visits as a calendar tells them.
func (b *Book) calendarVisits(ctx context.Context, speaks words.Words) ([]formats.Visit, error) {
	w, err := b.WorkingWeek(ctx)
	if err != nil {
		return nil, err
	}
	kept, err := b.store.Visits(ctx, b.Today().AddDays(-visitsBack), b.Today().AddDays(farthest))
	if err != nil {
		return nil, err
	}
	breaks, err := b.breaksToCome(ctx, kept)
	if err != nil {
		return nil, err
	}
	visits := make([]formats.Visit, len(kept))
	for i, v := range kept {
		hours, _ := w.Week.On(v.On)
		visits[i] = formats.Visit{
			ID: v.ID.String(), Name: v.Dog.Name, Place: hours.Place, Begins: b.at(v.On, v.Start), Minutes: v.Minutes,
			Status: statuses[v.State.After(v.Sitting != nil, v.Ended)], Sequence: v.Sequence, ChangedAt: v.Changed,
		}
		if v.Dog.OwnerName != nil {
			visits[i].Words = speaks.Say(say.Of(visitWith, say.Args{"owner": say.Name(*v.Dog.OwnerName)}))
		}
		if why := breaks[v.ID]; !why.Nothing() { // it was agreed before the dog said no
			visits[i].Words = strings.TrimPrefix(
				visits[i].Words+". "+speaks.Say(
					say.Of(visitBreaks, say.Args{"name": say.Name(v.Dog.Name), "why": why}),
				),
				". ",
			)
		}
	}
	return visits, nil
}

// breaksToCome says of visits to come what keeps their dogs off that day.
func (b *Book) breaksToCome(ctx context.Context, kept []store.Visit) (map[uuid.UUID]say.Line, error) {
	visits, err := b.visits(
		ctx,
		slices.DeleteFunc(slices.Clone(kept), func(v store.Visit) bool { return v.On.Before(b.Today()) }),
	)
	if err != nil {
		return nil, err
	}
	breaks := map[uuid.UUID]say.Line{}
	for _, v := range visits {
		if !v.Breaks.Nothing() {
			breaks[v.Kept.ID] = v.Breaks
		}
	}
	return breaks, nil
}

// daysOfOneDate is how many days of being late count as moves of their own in a calendar.
const daysOfOneDate = 1000

// notBefore moves a date that has gone by to today, as on the due list. The move counts in the
// sequence, else a calendar program would not follow it.
func notBefore(speaks words.Words, d formats.DueDate, why say.Line, today date.Date) (formats.DueDate, error) {
	day, late := due.ShownOn(d.On, today)
	name := say.Args{"name": say.Name(d.Name)}
	d.Why = speaks.Say(why)
	d.Summary, d.Ring = speaks.Say(say.Of(nailsOf, name)), speaks.Say(say.Of(tomorrowNailsOf, name))
	if late == 0 {
		return d, nil
	}
	begun, err := time.Parse(time.DateOnly, today.String())
	if err != nil {
		return d, err
	}
	if begun.After(d.MovedAt) {
		d.MovedAt = begun
	}
	d.Why = speaks.Say(say.Of(lateSince, say.Args{"on": say.Name(d.On.String()), "why": say.Start(why)}))
	d.On, d.Sequence = day, d.Sequence+min(late, daysOfOneDate-1)
	return d, nil
}
