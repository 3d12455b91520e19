package store

import (
	"context"
	"encoding/json"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
)

// Practised is a drawn nail that somebody practised on, or a drill of cut ends that they named.
type Practised struct {
	ID  uuid.UUID
	At  time.Time
	Who string // empty where nobody said
	practice.Exercise
	EndPoint quick.EndPoint // at which they stop
	Moves    []practice.Move
	Said     []quick.Face // of a drill's ends
}

// EndsDrill is the kind under which drills of cut ends are kept.
const EndsDrill practice.Kind = "ends"

type practisedRow struct {
	ID       uuid.UUID      `db:"id"`
	DoneAt   string         `db:"done_at"`
	Who      string         `db:"who"`
	Kind     practice.Kind  `db:"kind"`
	Seed     int            `db:"seed"`
	Number   int            `db:"number"`
	EndPoint quick.EndPoint `db:"end_point"`
	Moves    string         `db:"moves"`
	Named    string         `db:"named"`
}

func (r practisedRow) practised() Practised {
	p := Practised{
		ID:       r.ID,
		At:       moment(r.DoneAt),
		Who:      r.Who,
		Exercise: practice.Exercise{Kind: r.Kind, Seed: r.Seed, Number: r.Number},
		EndPoint: r.EndPoint,
	}
	fromJSON(r.Moves, &p.Moves)
	fromJSON(r.Named, &p.Said)
	return p
}

// AddPractised keeps one. The same id once more changes nothing, another under it is AlreadyTold.
func (s *Store) AddPractised(ctx context.Context, p Practised) error {
	moves, _ := json.Marshal(p.Moves) // they were looked at: all of them are numbers and words
	said, _ := json.Marshal(p.Said)
	row := practisedRow{p.ID, instant(p.At), p.Who, p.Kind, p.Seed, p.Number, p.EndPoint, string(moves), string(said)}
	told := row
	told.DoneAt, told.Who = "", ""
	return s.write(ctx, func(tx *sqlx.Tx) error {
		return once(ctx, tx, told, func(practisedRow) string { return "a nail that was practised on" }, func() error {
			_, err := tx.NamedExecContext(
				ctx,
				`INSERT INTO practised (id, done_at, who, kind, seed, number, end_point, moves, named)
				VALUES (:id, :done_at, :who, :kind, :seed, :number, :end_point, :moves, :named)`,
				row,
			)
			return err
		}, `SELECT id, '' AS done_at, '' AS who, kind, seed, number, end_point, moves, named FROM practised
			WHERE id = ?`, p.ID)
	})
}

// PractisedLately are the last n of a kind that one person did, the latest first.
func (s *Store) PractisedLately(ctx context.Context, kind practice.Kind, who string, n int) ([]Practised, error) {
	return s.practised(
		ctx,
		`SELECT * FROM practised WHERE kind = ? AND who = ? ORDER BY done_at DESC, id LIMIT ?`,
		kind,
		who,
		n,
	)
}

// PractisedTogether are all who did nails of one series, each nail's first time, in the order of its nails.
func (s *Store) PractisedTogether(ctx context.Context, kind practice.Kind, seed, most int) ([]Practised, error) {
	return s.practised(ctx, `SELECT * FROM practised AS p WHERE kind = ? AND seed = ? AND NOT EXISTS (
		SELECT 1 FROM practised AS e WHERE e.kind = p.kind AND e.seed = p.seed AND e.number = p.number AND e.who = p.who
			AND (e.done_at, e.id) < (p.done_at, p.id))
		ORDER BY who, number LIMIT ?`, kind, seed, most)
}

func (s *Store) practised(ctx context.Context, query string, args ...any) ([]Practised, error) {
	var rows []practisedRow
	err := s.rows(ctx, &rows, query, args...)
	all := make([]Practised, len(rows))
	for i, r := range rows {
		all[i] = r.practised()
	}
	return all, err
}
