package book

import (
	"context"
	"crypto/rand"
	"crypto/subtle"
	"encoding/json"
	"io"

	"fribbet/internal/formats"
	"fribbet/internal/store"
)

// CalendarKey is the secret part of the calendar's address; the first time it is asked for, it is made.
func (b *Book) CalendarKey(ctx context.Context) (string, error) {
	key, err := b.store.CalendarKey(ctx)
	if err != nil || key != "" {
		return key, err
	}
	return b.RenewCalendarKey(ctx)
}

// RenewCalendarKey gives the calendar another address; the old one answers no more.
func (b *Book) RenewCalendarKey(ctx context.Context) (string, error) {
	key := rand.Text()
	return key, b.store.SetCalendarKey(ctx, key)
}

// Calendar writes every dog's date as iCalendar to whoever knows the key; store.ErrNotFound to others.
func (b *Book) Calendar(ctx context.Context, key string, w io.Writer) error {
	kept, err := b.store.CalendarKey(ctx)
	if err != nil {
		return err
	}
	if kept == "" || subtle.ConstantTimeCompare([]byte(kept), []byte(key)) != 1 {
		return store.ErrNotFound
	}
	if _, err := b.upToDate(ctx); err != nil {
		return err
	}
	entries, err := b.store.Calendar(ctx)
	if err != nil {
		return err
	}
	dates := make([]formats.DueDate, len(entries))
	for i, e := range entries {
		var turn Turn
		if err := json.Unmarshal(e.Due, &turn); err != nil {
			return err
		}
		dates[i] = formats.DueDate{DogID: e.DogID.String(), Name: e.Name, On: e.On, Sequence: e.Sequence, MovedAt: e.MovedAt}
		if turn.Why != nil {
			dates[i].Why = turn.Why.Sentence
		}
	}
	return formats.Calendar(w, dates)
}
