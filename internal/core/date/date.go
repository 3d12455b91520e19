// Package date holds calendar dates without a time of day: the only dates the job knows.
package date

import (
	"fmt"
	"fribbet/internal/core/say"
	"time"
)

const layout = "2006-01-02"

// Date is a day of the proleptic Gregorian calendar. The zero value is no date.
// Dates are comparable with == and may be map keys.
type Date struct{ number int32 } // Rata Die day number: sums over years of sittings need no calendar

// Earliest and Latest are the days between which anything lies that the job knows of (judgement).
var Earliest, Latest = New(1980, time.January, 1), New(2199, time.December, 31)

// Believed tells whether a day lies between them.
func (d Date) Believed() bool { return !d.Before(Earliest) && !d.After(Latest) }

// Of returns the calendar date of an instant, in that instant's own zone.
func Of(t time.Time) Date {
	y, m, d := t.Date()
	return New(y, m, d)
}

// New returns the date of a year, month and day; days past the month's end run on into the next.
func New(year int, month time.Month, day int) Date {
	const secondsPerDay = 86400
	days := time.Date(year, month, day, 0, 0, 0, 0, time.UTC).Unix() / secondsPerDay
	return Date{int32(days) + unixEpoch} //nolint:gosec // of years that people write
}

// Parse reads YYYY-MM-DD (ISO 8601 extended). Any other text, and a day that the calendar
// does not have, is an error that quotes it.
func Parse(text string) (Date, error) {
	t, err := time.Parse(layout, text)
	if err != nil {
		return Date{}, fmt.Errorf("%q is not a date: write YYYY-MM-DD, a day that the calendar has", text)
	}
	return Of(t), nil
}

// MustParse is Parse for constants; it panics on a bad text.
func MustParse(text string) Date {
	d, err := Parse(text)
	if err != nil {
		panic(err)
	}
	return d
}

func (d Date) time() time.Time {
	return time.Date(1970, time.January, 1+int(d.number)-unixEpoch, 0, 0, 0, 0, time.UTC)
}

// IsZero tells whether d is no date.
func (d Date) IsZero() bool { return d == Date{} }

// String is YYYY-MM-DD, or empty for no date.
func (d Date) String() string {
	if d.IsZero() {
		return ""
	}
	return d.time().Format(layout)
}

// AddDays returns the date n days later (earlier when n is negative).
func (d Date) AddDays(n int) Date { return Date{d.number + int32(n)} } //nolint:gosec // of years that people write

// AddYears returns the same day of the calendar n years later; 29 February runs on to 1 March.
func (d Date) AddYears(n int) Date { return Of(d.time().AddDate(n, 0, 0)) }

// Sub returns the whole days from other to d.
func (d Date) Sub(other Date) int { return int(d.number - other.number) }

// Before tells whether d is an earlier day than other.
func (d Date) Before(other Date) bool { return d.number < other.number }

// After tells whether d is a later day than other.
func (d Date) After(other Date) bool { return d.number > other.number }

// Weekday returns the day of the week.
func (d Date) Weekday() time.Weekday { return d.time().Weekday() }

// MarshalText writes YYYY-MM-DD.
func (d Date) MarshalText() ([]byte, error) { return []byte(d.String()), nil }

// UnmarshalText reads YYYY-MM-DD.
func (d *Date) UnmarshalText(text []byte) error {
	got, err := Parse(string(text))
	*d = got
	return err
}

// Bind reads a date that stands in an address; the interface's generated code asks for it by this name, and takes a
// date without it for one that was not given.
func (d *Date) Bind(text string) error { return d.UnmarshalText([]byte(text)) }

// At is a time of the day in a zone; one that its clocks leave out is moved to one that there is.
func (d Date) At(hour, minute int, zone *time.Location) time.Time {
	t := d.time()
	return time.Date(t.Year(), t.Month(), t.Day(), hour, minute, 0, 0, zone)
}

// Monday is that of its week.
func (d Date) Monday() Date { return d.AddDays(-(int(d.Weekday()) + 6) % 7) }

// Quarter is the first day of the calendar quarter that the day lies in.
func (d Date) Quarter() Date {
	year, month, _ := d.time().Date()
	return New(year, month-(month-1)%3, 1)
}

// Say is the day as a sentence holds it: Tue 24 Nov.
func (d Date) Say() say.Day { return say.Day(d.time()) }

// SayLong is the day with its year: Tuesday 24 November 2026.
func (d Date) SayLong() say.LongDay { return say.LongDay(d.time()) }
