package store

import (
	"database/sql/driver"
	"fmt"
	"strings"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
)

// These let the core's small values stand in TEXT columns without the core knowing of a database.

type dateColumn struct{ date.Date }

func (c *dateColumn) Scan(value any) error        { return scanText(value, &c.Date) }
func (c dateColumn) Value() (driver.Value, error) { return c.String(), nil }

type codeColumn struct{ nail.Code }

func (c *codeColumn) Scan(value any) error        { return scanText(value, &c.Code) }
func (c codeColumn) Value() (driver.Value, error) { return c.String(), nil }

type weekdaysColumn struct{ date.Weekdays }

func (c *weekdaysColumn) Scan(value any) error {
	days, err := date.ParseWeekdays(strings.Fields(fmt.Sprint(value)))
	c.Weekdays = days
	return err
}
func (c weekdaysColumn) Value() (driver.Value, error) { return strings.Join(c.Names(), " "), nil }

func scanText(value any, into interface{ UnmarshalText([]byte) error }) error {
	return into.UnmarshalText([]byte(fmt.Sprint(value)))
}
