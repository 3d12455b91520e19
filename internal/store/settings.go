package store

import (
	"cmp"
	"context"

	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/date"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/units"
)

// Settings are the user's choices.
type Settings struct {
	Version    *int   // as they were read, 0 before the first were made; nil replaces whatever there is
	Role       string // keeper or groomer
	LengthUnit units.Length
	WeightUnit units.Weight
	Margin     float64 // spare left in front of the quick, mm
	Workdays   date.Weekdays
	Holidays   []date.Span    // nobody works then; in their order
	Hand       kit.Hand       // how practised the one who trims is
	EndPoint   quick.EndPoint // when to stop on a nail
	LeftHanded bool           // the cutter is in the left hand
	Coin       *float64       // thickness of the user's coin, mm, once it was measured
	Way        kit.Way        // clip, grind, or both
	Language   string         // that the book speaks where no browser tells: in the calendar, on cards, to owners
	LargestCut *float64       // mm for a nail 7 mm deep; nil is what is usual of the hand

	// whose practice sets the care at the bench, by the name of their device; nil: nobody's. Kept by SetEyeOf
	EyeOf *string

	Slices hand.Slices // how the hand's slices come out: no choice, but what the book knows of it; not kept here
}

type settingsRow struct {
	Version    int            `db:"version"`
	Role       string         `db:"role"`
	LengthUnit units.Length   `db:"length_unit"`
	WeightUnit units.Weight   `db:"weight_unit"`
	Margin     float64        `db:"margin_mm"`
	Workdays   weekdaysColumn `db:"working_weekdays"`
	Hand       kit.Hand       `db:"hand"`
	EndPoint   quick.EndPoint `db:"end_point"`
	LeftHanded bool           `db:"left_handed"`
	Coin       *float64       `db:"coin_mm"`
	LargestCut *float64       `db:"largest_cut_mm"`
	Way        kit.Way        `db:"way"`
	Language   string         `db:"language"`
	EyeOf      *string        `db:"eye_of"`
}

type holidayRow struct {
	From dateColumn `db:"from_date"`
	To   dateColumn `db:"to_date"`
}

// Settings returns the choices; ErrNotFound before the first were made.
func (s *Store) Settings(ctx context.Context) (Settings, error) {
	var rows []settingsRow
	var holidays []holidayRow
	err := s.read(ctx, func(tx *sqlx.Tx) error {
		return s.selectAll(
			ctx,
			tx,
			nil,
			query{
				&rows,
				`SELECT version, role, length_unit, weight_unit, margin_mm, working_weekdays, hand, end_point,
					left_handed, coin_mm, largest_cut_mm, way, language, eye_of FROM settings`,
			},
			query{&holidays, `SELECT from_date, to_date FROM holidays ORDER BY from_date`},
		)
	})
	if err == nil && len(rows) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return Settings{}, err
	}
	row := rows[0]
	c := Settings{
		Version:    &row.Version,
		Role:       row.Role,
		LengthUnit: row.LengthUnit,
		WeightUnit: row.WeightUnit,
		Margin:     row.Margin,
		Workdays:   row.Workdays.Weekdays,
		Hand:       row.Hand,
		EndPoint:   row.EndPoint,
		LeftHanded: row.LeftHanded,
		Coin:       row.Coin,
		Way:        row.Way,
		LargestCut: row.LargestCut,
		Language:   row.Language,
		EyeOf:      row.EyeOf,
	}
	for _, h := range holidays {
		c.Holidays = append(c.Holidays, date.Span{From: h.From.Date, To: h.To.Date})
	}
	return c, nil
}

// SetEyeOf is that the practice of somebody sets the care at the bench, or nobody's: nil.
func (s *Store) SetEyeOf(ctx context.Context, who *string) error {
	return mustTouch(s.exec(ctx, `UPDATE settings SET eye_of = ?`, who))
}

// SaveSettings keeps the choices; ErrConflict when they were changed since they were read.
func (s *Store) SaveSettings(ctx context.Context, c Settings) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		var there int
		if err := tx.GetContext(ctx, &there, `SELECT coalesce(max(version), 0) FROM settings`); err != nil {
			return err
		}
		if c.Version != nil && *c.Version != there {
			return ErrConflict
		}
		_, err := tx.NamedExecContext(
			ctx,
			`
			INSERT INTO settings (one, version, role, length_unit, weight_unit, margin_mm, working_weekdays, hand,
				end_point, left_handed, coin_mm, largest_cut_mm, way, language)
			VALUES (1, :version, :role, :length_unit, :weight_unit, :margin_mm, :working_weekdays, :hand, :end_point,
				:left_handed, :coin_mm, :largest_cut_mm, :way, :language)
			ON CONFLICT (one) DO UPDATE SET version = excluded.version, role = excluded.role,
				length_unit = excluded.length_unit, weight_unit = excluded.weight_unit,
				margin_mm = excluded.margin_mm, working_weekdays = excluded.working_weekdays, hand = excluded.hand,
				end_point = excluded.end_point, left_handed = excluded.left_handed, coin_mm = excluded.coin_mm,
					largest_cut_mm = excluded.largest_cut_mm, way = excluded.way, language = excluded.language`,
			settingsRow{
				there + 1,
				c.Role,
				c.LengthUnit,
				c.WeightUnit,
				c.Margin,
				weekdaysColumn{c.Workdays},
				c.Hand,
				c.EndPoint,
				c.LeftHanded,
				c.Coin,
				c.LargestCut,
				c.Way,
				cmp.Or(c.Language, "en"),
				nil,
			},
		)
		if err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM holidays`); err != nil {
			return err
		}
		for _, h := range c.Holidays {
			if _, err := tx.NamedExecContext(
				ctx,
				`INSERT INTO holidays (from_date, to_date) VALUES (:from_date, :to_date)`,
				holidayRow{dateColumn{h.From}, dateColumn{h.To}},
			); err != nil {
				return err
			}
		}
		return nil
	})
}
