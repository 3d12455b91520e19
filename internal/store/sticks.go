package store

import (
	"context"
	"encoding/json"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/date"
	"fribbet/internal/core/measure"
)

// Stick is slices of a hand off a stick as they were measured.
type Stick struct {
	ID     uuid.UUID
	On     date.Date
	Meant  float64          // how thick they were meant to be, mm
	Slices []measure.Number // how thick they are, mm
}

type stickRow struct {
	ID     uuid.UUID  `db:"id"`
	On     dateColumn `db:"on_date"`
	Meant  float64    `db:"meant_mm"`
	Slices string     `db:"slices"`
	ToldAt string     `db:"told_at"`
}

// pairs are slices as they are kept.
func pairs(read []measure.Number) string {
	all := make([][2]float64, len(read))
	for i, n := range read {
		all[i] = [2]float64{n.MM, n.SD}
	}
	text, _ := json.Marshal(all) // they were looked at: all of them are numbers
	return string(text)
}

// SlicesOf reads them.
func SlicesOf(text string) []measure.Number {
	var all [][2]float64
	fromJSON(text, &all)
	read := make([]measure.Number, len(all))
	for i, pair := range all {
		read[i] = measure.Number{MM: pair[0], By: measure.Photo, SD: pair[1]}
	}
	return read
}

func (r stickRow) stick() Stick {
	return Stick{ID: r.ID, On: r.On.Date, Meant: r.Meant, Slices: SlicesOf(r.Slices)}
}

// Sticks are those that were measured, the latest first.
func (s *Store) Sticks(ctx context.Context, most int) ([]Stick, error) {
	var rows []stickRow
	err := s.rows(
		ctx,
		&rows,
		`SELECT id, on_date, meant_mm, slices, told_at FROM sticks WHERE withdrawn_at IS NULL ORDER BY told_at DESC, id
			LIMIT ?`,
		most,
	)
	all := make([]Stick, len(rows))
	for i, r := range rows {
		all[i] = r.stick()
	}
	return all, err
}

// AddStick keeps one. The same id once more changes nothing, another under it is AlreadyTold.
func (s *Store) AddStick(ctx context.Context, k Stick, at time.Time) error {
	row := stickRow{k.ID, dateColumn{k.On}, k.Meant, pairs(k.Slices), instant(at)}
	told := row
	told.ToldAt, told.On = "", dateColumn{}
	return s.write(ctx, func(tx *sqlx.Tx) error {
		return once(ctx, tx, told, func(stickRow) string { return "slices off a stick" }, func() error {
			_, err := tx.NamedExecContext(
				ctx,
				`INSERT INTO sticks (id, on_date, meant_mm, slices, told_at)
					VALUES (:id, :on_date, :meant_mm, :slices, :told_at)`,
				row,
			)
			return err
		}, `SELECT id, '' AS on_date, meant_mm, slices, '' AS told_at FROM sticks WHERE id = ?`, k.ID)
	})
}

// WithdrawStick makes one count no more.
func (s *Store) WithdrawStick(ctx context.Context, id uuid.UUID, at time.Time) error {
	return mustTouch(
		s.exec(ctx, `UPDATE sticks SET withdrawn_at = COALESCE(withdrawn_at, ?) WHERE id = ?`, instant(at), id),
	)
}
