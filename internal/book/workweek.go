package book

import (
	"context"
	"errors"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
)

// WorkingWeek is when there is work; the usual, version 0, as long as none was told. Nobody works on holidays.
func (b *Book) WorkingWeek(ctx context.Context) (store.WorkingWeek, error) {
	settings, err := b.Settings(ctx)
	if err != nil {
		return store.WorkingWeek{}, err
	}
	w, err := b.store.WorkingWeek(ctx)
	if errors.Is(err, store.ErrNotFound) || err == nil && len(w.Week.Check()) > 0 { // nobody told it, or it cannot be
		w, err = store.WorkingWeek{Week: round.UsualWeek(settings.Workdays.Has), Limits: round.Usual}, nil
	}
	w.Week.Closed = settings.Holidays
	return w, err
}

// ChangeWorkingWeek keeps when there is work, read as w.Version.
func (b *Book) ChangeWorkingWeek(ctx context.Context, w store.WorkingWeek) error {
	if err := append(w.Week.Check(), round.CheckTexts(w.Texts)...).Err(); err != nil {
		return err
	}
	w.Week.Closed = nil // they are the settings'
	return b.store.SaveWorkingWeek(ctx, w)
}

// Clock is the user's own time of day.
func (b *Book) Clock() round.Clock { return b.clock(b.Today()) }

// clock is where the day stands.
func (b *Book) clock(on date.Date) round.Clock {
	switch now := b.now(); {
	case on == b.Today():
		return round.At(now.Hour(), now.Minute())
	case on.Before(b.Today()):
		return round.At(24, 0)
	default:
		return 0
	}
}

// farthest is how many days from today a day of the round may be.
const farthest = 2 * 366

// at is the moment of a time of a day, by the user's clock.
func (b *Book) at(on date.Date, c round.Clock) time.Time {
	return on.At(int(c)/60, int(c)%60, b.now().Location())
}

// once tells whether a time of a day comes once: where the clocks change some come twice, or never.
func (b *Book) once(on date.Date, c round.Clock) bool {
	at := b.at(on, c)
	same := func(t time.Time) bool { return date.Of(t) == on && round.At(t.Hour(), t.Minute()) == c }
	return same(at) && !same(at.Add(time.Hour)) && !same(at.Add(-time.Hour)) && !same(at.Add(30*time.Minute)) &&
		!same(at.Add(-30*time.Minute))
}

// within refuses days far from today.
func (b *Book) within(on date.Date) error {
	if days := on.Sub(b.Today()); days < -farthest || days > farthest {
		return fault.Fields{{Name: "on", Value: on.String(), Want: say.Of(mustBeADayWithin)}}
	}
	return nil
}
