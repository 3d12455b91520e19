package store

import (
	"context"

	"fribbet/internal/core/date"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/units"
)

// Settings are the user's choices.
type Settings struct {
	Role       string // keeper or groomer
	LengthUnit units.Length
	WeightUnit units.Weight
	Margin     float64 // spare left in front of the quick, mm
	Workdays   date.Weekdays
	Hand       kit.Hand   // how practised the one who trims is
	EndPoint   quick.Stop // when to stop on a nail
	Coin       *float64   // thickness of the user's coin, mm, once it was measured
}

type settingsRow struct {
	Role       string         `db:"role"`
	LengthUnit units.Length   `db:"length_unit"`
	WeightUnit units.Weight   `db:"weight_unit"`
	Margin     float64        `db:"margin_mm"`
	Workdays   weekdaysColumn `db:"working_weekdays"`
	Hand       kit.Hand       `db:"hand"`
	EndPoint   quick.Stop     `db:"end_point"`
	Coin       *float64       `db:"coin_mm"`
}

// Settings returns the choices; ErrNotFound before the first were made.
func (s *Store) Settings(ctx context.Context) (Settings, error) {
	var row settingsRow
	err := s.db.GetContext(ctx, &row,
		`SELECT role, length_unit, weight_unit, margin_mm, working_weekdays, hand, end_point, coin_mm FROM settings`)
	return Settings{row.Role, row.LengthUnit, row.WeightUnit, row.Margin, row.Workdays.Weekdays, row.Hand, row.EndPoint, row.Coin}, orNotFound(err)
}

// SaveSettings keeps the choices.
func (s *Store) SaveSettings(ctx context.Context, c Settings) error {
	_, err := s.db.NamedExecContext(ctx, `
		INSERT OR REPLACE INTO settings (one, role, length_unit, weight_unit, margin_mm, working_weekdays, hand, end_point, coin_mm)
		VALUES (1, :role, :length_unit, :weight_unit, :margin_mm, :working_weekdays, :hand, :end_point, :coin_mm)`,
		settingsRow{c.Role, c.LengthUnit, c.WeightUnit, c.Margin, weekdaysColumn{c.Workdays}, c.Hand, c.EndPoint, c.Coin})
	return err
}
