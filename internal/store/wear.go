package store

import (
	"context"
	"math"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/date"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
)

type stintRow struct {
	SittingID  uuid.UUID  `db:"sitting_id"`
	Item       string     `db:"item_id"`
	Cuts       int        `db:"cuts"`
	Seconds    int        `db:"seconds"`
	Untimed    int        `db:"untimed"`
	TookForce  int        `db:"took_force"`
	On         dateColumn `db:"on_date"`
	RecordedAt string     `db:"recorded_at"` // empty of whole days
	groundColumns
}

type groundColumns struct {
	Nails  int     `db:"ground"`
	Weight float64 `db:"ground_weight"`
	Sum    float64 `db:"ground_sum"`
}

func stintRowOf(sitting uuid.UUID, t kit.Stint, g quick.Ground) stintRow {
	row := stintRow{
		SittingID:     sitting,
		Item:          t.Item,
		Cuts:          int(t.Cuts),
		Seconds:       int(math.Round(60 * t.Minutes)),
		Untimed:       int(t.Untimed),
		On:            dateColumn{t.On},
		groundColumns: groundColumns(g),
	}
	if t.TookForce {
		row.TookForce = 1
	}
	return row
}

func (r stintRow) stint() kit.Stint {
	return kit.Stint{
		Moment: kit.Moment{
			On: r.On.Date,
			At: moment(r.RecordedAt),
		},
		Item:      r.Item,
		Cuts:      float64(r.Cuts),
		Minutes:   float64(r.Seconds) / 60,
		Untimed:   float64(r.Untimed),
		TookForce: r.TookForce > 0,
	}
}

// addStints writes what sittings asked of each piece of kit.
func addStints(ctx context.Context, tx *sqlx.Tx, sittings []Sitting) error {
	var rows []stintRow
	for _, s := range sittings {
		ground := s.Ground()
		for _, t := range s.Stints() {
			rows = append(rows, stintRowOf(s.ID, t, ground[t.Item]))
		}
	}
	return insertAll(ctx, tx, `
		INSERT INTO stints (sitting_id, item_id, cuts, seconds, untimed, took_force, ground, ground_weight, ground_sum)
		VALUES (:sitting_id, :item_id, :cuts, :seconds, :untimed, :took_force, :ground, :ground_weight, :ground_sum)`, rows)
}

// wear adds up anew what each piece bore on some days, at the sittings that count: kept so that a tap need not go
// through years of sittings. What a sitting asked of a piece, and how stints and touches are added, the core says.
func (s *Store) wear(ctx context.Context, tx *sqlx.Tx, days ...dateColumn) error {
	for _, on := range days {
		var rows []stintRow
		if err := s.selectAll(ctx, tx, []any{on}, query{&rows, `
			SELECT t.item_id, t.cuts, t.seconds, t.untimed, t.took_force, t.ground, t.ground_weight, t.ground_sum,
				s.on_date, '' AS recorded_at
			FROM sittings s INDEXED BY sittings_by_day JOIN stints t ON t.sitting_id = s.id WHERE s.on_date = ?
				AND s.withdrawn_at IS NULL ORDER BY t.item_id`}); err != nil {
			return err
		}
		var day []stintRow
		for _, r := range rows {
			if last := len(day) - 1; last >= 0 && day[last].Item == r.Item {
				day[last] = stintRowOf(
					uuid.Nil,
					day[last].stint().And(r.stint()),
					quick.Ground(day[last].groundColumns).Join(quick.Ground(r.groundColumns)),
				)
				continue
			}
			day = append(day, r)
		}
		// found by its key, and not by going through years
		const before = `DELETE FROM worn WHERE on_date = ? AND item_id IN (SELECT id FROM kit_items)`
		if _, err := tx.ExecContext(ctx, before, on); err != nil {
			return err
		}
		if err := insertAll(ctx, tx, `
			INSERT INTO worn (item_id, on_date, cuts, seconds, untimed, took_force, ground, ground_weight, ground_sum)
			VALUES (:item_id, :on_date, :cuts, :seconds, :untimed, :took_force, :ground, :ground_weight,
				:ground_sum)`, day); err != nil {
			return err
		}
	}
	return nil
}

// wearOf is the same of a sitting's day.
func (s *Store) wearOf(ctx context.Context, tx *sqlx.Tx, sitting uuid.UUID) error {
	var days []dateColumn
	if err := tx.SelectContext(ctx, &days, `SELECT on_date FROM sittings WHERE id = ?`, sitting); err != nil {
		return err
	}
	return s.wear(ctx, tx, days...)
}

// Stints returns what was asked of each piece of kit since a day: of all days between two on which a piece was
// seen to at once, or sitting by sitting on those days themselves, since some came before that.
func (s *Store) Stints(ctx context.Context, since date.Date) ([]kit.Stint, error) {
	var rows []stintRow
	err := s.rows(ctx, &rows, `
		WITH seen AS (SELECT DISTINCT on_date FROM kit_services WHERE withdrawn_at IS NULL)
		SELECT item_id, sum(cuts) AS cuts, sum(seconds) AS seconds, sum(untimed) AS untimed,
			max(took_force) AS took_force,
				min(on_date) AS on_date, '' AS recorded_at FROM worn
			WHERE on_date >= ?1 AND (cuts > 0 OR took_force > 0) AND on_date NOT IN (SELECT on_date FROM seen)
			GROUP BY item_id, (SELECT count(*) FROM seen WHERE seen.on_date < worn.on_date)
		UNION ALL
		SELECT t.item_id, t.cuts, t.seconds, t.untimed, t.took_force, s.on_date, s.recorded_at
			FROM seen JOIN sittings s INDEXED BY sittings_by_day ON s.on_date = seen.on_date
				JOIN stints t ON t.sitting_id = s.id
			WHERE s.withdrawn_at IS NULL AND seen.on_date >= ?1`, since.String())
	if err != nil {
		return nil, err
	}
	stints := make([]kit.Stint, len(rows))
	for i, r := range rows {
		stints[i] = r.stint()
	}
	return stints, nil
}

// Ground is what the nails that a piece of kit has ground from one measured length to another say of its touch,
// on the last so many days on which it was at work.
func (s *Store) Ground(ctx context.Context, item string, days int) (quick.Ground, error) {
	var g groundColumns
	err := s.row(ctx, &g, `
		SELECT coalesce(sum(ground), 0) AS ground, coalesce(sum(ground_weight), 0.0) AS ground_weight,
			coalesce(sum(ground_sum), 0.0) AS ground_sum
		FROM (SELECT ground, ground_weight, ground_sum FROM worn
			WHERE item_id = ? AND (cuts > 0 OR seconds > 0 OR untimed > 0) ORDER BY on_date DESC LIMIT ?)`, item, days)
	return quick.Ground(g), err
}
