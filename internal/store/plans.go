package store

import (
	"context"
	"encoding/json"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/rhythm"
)

// QuickPlan is a plan to bring a dog's quicks back.
type QuickPlan struct {
	ID    uuid.UUID
	DogID uuid.UUID
	rhythm.Plan
}

type planRow struct {
	ID      uuid.UUID     `db:"id"`
	DogID   uuid.UUID     `db:"dog_id"`
	Started dateColumn    `db:"started_on"`
	Rhythm  rhythm.Rhythm `db:"rhythm"`
	Goal    float64       `db:"goal_mm"`
	Steps   string        `db:"steps"`
	BegunAt string        `db:"begun_at"`
}

// QuickPlan returns the dog's plan that is on; ErrNotFound when there is none.
func (s *Store) QuickPlan(ctx context.Context, dogID uuid.UUID) (QuickPlan, error) {
	var row planRow
	err := s.row(ctx, &row, `
		SELECT id, dog_id, started_on, rhythm, goal_mm, steps, begun_at FROM plans WHERE dog_id = ?
			AND ended_at IS NULL`, dogID)
	if err != nil {
		return QuickPlan{}, orNotFound(err)
	}
	p := QuickPlan{row.ID, row.DogID, rhythm.Plan{Rhythm: row.Rhythm, Started: row.Started.Date, Goal: row.Goal}}
	fromJSON(row.Steps, &p.Steps)
	return p, nil
}

// StartQuickPlan keeps a plan and the dog with the rhythm that it asks for; a plan that was on
// ends. The same id once more changes nothing, another plan under it is AlreadyTold. It returns ErrConflict when the
// dog was changed since it was read.
func (s *Store) StartQuickPlan(ctx context.Context, d Dog, p QuickPlan, at time.Time) error {
	steps, err := json.Marshal(p.Steps)
	if err != nil {
		return err
	}
	return s.write(ctx, func(tx *sqlx.Tx) error {
		row := planRow{p.ID, d.ID, dateColumn{p.Started}, p.Rhythm, p.Goal, string(steps), instant(at)}
		told := planRow{
			ID:     p.ID,
			DogID:  d.ID,
			Rhythm: p.Rhythm,
			Goal:   p.Goal,
		} // what was asked for; the rest was worked out
		return once(
			ctx,
			tx,
			told,
			func(r planRow) string { return "a plan to bring quicks back, " + string(r.Rhythm) },
			func() error {
				if err := changeDog(ctx, tx, d); err != nil {
					return err
				}
				if _, err := tx.ExecContext(
					ctx,
					`UPDATE plans SET ended_at = ? WHERE dog_id = ? AND ended_at IS NULL`,
					instant(at),
					d.ID,
				); err != nil {
					return err
				}
				_, err := tx.NamedExecContext(ctx, `
				INSERT INTO plans (id, dog_id, started_on, rhythm, goal_mm, steps, begun_at)
				VALUES (:id, :dog_id, :started_on, :rhythm, :goal_mm, :steps, :begun_at)`, row)
				return err
			},
			`SELECT id, dog_id, '' AS started_on, rhythm, goal_mm, '' AS steps, '' AS begun_at FROM plans WHERE id = ?`,
			p.ID,
		)
	})
}

// EndQuickPlan ends the dog's plan; its rhythm stays the dog's.
func (s *Store) EndQuickPlan(ctx context.Context, dogID uuid.UUID, at time.Time) error {
	return mustTouch(
		s.exec(ctx, `UPDATE plans SET ended_at = ? WHERE dog_id = ? AND ended_at IS NULL`, instant(at), dogID),
	)
}
