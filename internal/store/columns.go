package store

import (
	"database/sql/driver"
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/nail"
)

// These let the core's small values stand in TEXT columns without the core knowing of a database. What cannot be read
// is left out and not refused: one row that somebody put there by hand must not shut the lists of all dogs. Whoever
// reckons looks first whether that can be done (core/feet.Bounded).

type dateColumn struct{ date.Date }

func (c *dateColumn) Scan(value any) error        { return scanText(value, &c.Date) }
func (c dateColumn) Value() (driver.Value, error) { return c.String(), nil }

type codeColumn struct{ nail.Code }

func (c *codeColumn) Scan(value any) error        { return scanText(value, &c.Code) }
func (c codeColumn) Value() (driver.Value, error) { return c.String(), nil }

type pawColumn struct{ nail.Paw }

func (c *pawColumn) Scan(value any) error        { return scanText(value, &c.Paw) }
func (c pawColumn) Value() (driver.Value, error) { return c.String(), nil }

type weekdaysColumn struct{ date.Weekdays }

func (c *weekdaysColumn) Scan(value any) error {
	c.Weekdays, _ = date.ParseWeekdays(strings.Fields(fmt.Sprint(value)))
	return nil
}
func (c weekdaysColumn) Value() (driver.Value, error) { return strings.Join(c.Names(), " "), nil }

// pawsColumn is paws in their order, by name.
type pawsColumn []nail.Paw

func (c *pawsColumn) Scan(value any) error {
	*c = nil
	for _, name := range strings.Fields(fmt.Sprint(value)) {
		var paw nail.Paw
		if paw.UnmarshalText([]byte(name)) == nil {
			*c = append(*c, paw)
		}
	}
	return nil
}

func (c pawsColumn) Value() (driver.Value, error) {
	names := make([]string, len(c))
	for i, paw := range c {
		names[i] = paw.String()
	}
	return strings.Join(names, " "), nil
}

// heldColumn is how single paws are held, "LF:lap RH:ground", in the order of the paws.
type heldColumn map[nail.Paw]dog.Position

func (c *heldColumn) Scan(value any) error {
	*c = nil
	for _, one := range strings.Fields(fmt.Sprint(value)) {
		name, position, _ := strings.Cut(one, ":")
		var paw nail.Paw
		if paw.UnmarshalText([]byte(name)) == nil && slices.Contains(dog.Positions(), dog.Position(position)) {
			if *c == nil {
				*c = heldColumn{}
			}
			(*c)[paw] = dog.Position(position)
		}
	}
	return nil
}

func (c heldColumn) Value() (driver.Value, error) {
	var all []string
	for _, paw := range nail.Paws() {
		if position, is := c[paw]; is {
			all = append(all, paw.String()+":"+string(position))
		}
	}
	return strings.Join(all, " "), nil
}

// linesColumn is texts, a line each. Older books have them between spaces.
type linesColumn []string

func (c *linesColumn) Scan(value any) error {
	*c = nil
	text := fmt.Sprint(value)
	lines := strings.Fields(text)
	if strings.HasSuffix(text, "\n") {
		lines = strings.Split(strings.TrimSuffix(text, "\n"), "\n")
	}
	if len(lines) > 0 {
		*c = lines
	}
	return nil
}

func (c linesColumn) Value() (driver.Value, error) {
	if len(c) == 0 {
		return "", nil
	}
	return strings.Join(c, "\n") + "\n", nil
}

func scanText(value any, into interface{ UnmarshalText([]byte) error }) error {
	_ = into.UnmarshalText([]byte(fmt.Sprint(value))) // it stays what it was: nothing
	return nil
}

// moment is an instant as it stands in the book; none where it cannot be read.
func moment(text string) time.Time {
	for _, form := range []string{instantForm, time.RFC3339Nano} {
		if at, err := time.Parse(form, text); err == nil {
			return at.UTC()
		}
	}
	return time.Time{}
}

// fromJSON reads what stands in the book as JSON; nothing where it cannot be read.
func fromJSON(text string, into any) { _ = json.Unmarshal([]byte(text), into) }

// orNull is text, or NULL where it is empty; orEmpty is the way back.
func orNull(text string) *string {
	if text == "" {
		return nil
	}
	return &text
}

func orEmpty(text *string) string {
	if text == nil {
		return ""
	}
	return *text
}
