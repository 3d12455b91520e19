package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/date"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
)

// Ladder is a ladder in the book that is not ended, with its tries.
type Ladder struct {
	ID    uuid.UUID
	DogID uuid.UUID
	ladder.Ladder
	Tries []Try // in the order of their days
}

// Try is a try in the book.
type Try struct {
	ID uuid.UUID // made by whoever records it
	ladder.Try
}

type ladderRow struct {
	ID      uuid.UUID   `db:"id"`
	DogID   uuid.UUID   `db:"dog_id"`
	Kind    ladder.Kind `db:"kind"`
	Paw     *pawColumn  `db:"paw"`
	Started dateColumn  `db:"started_on"`
	BegunAt string      `db:"begun_at"`
	First   int         `db:"first_step"`
}

type tryRow struct {
	ID         uuid.UUID       `db:"id"`
	LadderID   uuid.UUID       `db:"ladder_id"`
	On         dateColumn      `db:"on_date"`
	Reaction   temper.Reaction `db:"reaction"`
	Paw        *pawColumn      `db:"paw"`
	Note       string          `db:"note"`
	RecordedAt string          `db:"recorded_at"`
}

// AllLadders returns the ladders that are not ended, by the dog's id.
func (s *Store) AllLadders(ctx context.Context) (map[uuid.UUID][]Ladder, error) {
	return s.ladders(ctx, "")
}

// LaddersOf returns some dogs' ladders that are not ended, by the dog's id.
func (s *Store) LaddersOf(ctx context.Context, dogIDs []uuid.UUID) (map[uuid.UUID][]Ladder, error) {
	return s.ladders(ctx, ` AND dog_id IN (SELECT value FROM json_each(?))`, listOf(dogIDs))
}

// Ladders returns one dog's ladders that are not ended, oldest first.
func (s *Store) Ladders(ctx context.Context, dogID uuid.UUID) ([]Ladder, error) {
	all, err := s.ladders(ctx, ` AND dog_id = ?`, dogID)
	return all[dogID], err
}

func (s *Store) ladders(ctx context.Context, and string, args ...any) (map[uuid.UUID][]Ladder, error) {
	var rows []ladderRow
	var tries []tryRow
	err := s.read(ctx, func(tx *sqlx.Tx) error {
		where := ` WHERE ended_at IS NULL` + and
		return s.selectAll(
			ctx,
			tx,
			args,
			query{
				&rows,
				`SELECT id, dog_id, kind, paw, started_on, begun_at, first_step FROM ladders` + where + `
					ORDER BY begun_at, id`,
			},
			query{&tries, `SELECT id, ladder_id, on_date, reaction, paw, note, recorded_at FROM tries
				WHERE withdrawn_at IS NULL AND ladder_id IN (SELECT id FROM ladders` + where + `) ORDER BY on_date, recorded_at`},
		)
	})
	if err != nil {
		return nil, err
	}
	triesOf := map[uuid.UUID][]Try{}
	for _, t := range tries {
		triesOf[t.LadderID] = append(
			triesOf[t.LadderID],
			Try{t.ID, ladder.Try{On: t.On.Date, Reaction: t.Reaction, Paw: t.Paw.paw(), Note: t.Note}},
		)
	}
	all := map[uuid.UUID][]Ladder{}
	for _, r := range rows {
		all[r.DogID] = append(all[r.DogID], Ladder{
			r.ID,
			r.DogID,
			ladder.Ladder{
				Kind:    r.Kind,
				Started: r.Started.Date,
				Paw:     r.Paw.paw(),
				First:   ladder.Within(r.Kind, r.First),
			},
			triesOf[r.ID],
		})
	}
	return all, nil
}

// AddLadder keeps a new ladder. The same id once more changes nothing; another ladder under it is AlreadyTold.
func (s *Store) AddLadder(ctx context.Context, l Ladder, at time.Time) error {
	row := ladderRow{l.ID, l.DogID, l.Kind, columnOf(l.Paw), dateColumn{l.Started}, instant(at), l.First}
	told := row
	told.Started, told.BegunAt = dateColumn{}, "" // when it is told once more it is later
	return s.write(ctx, func(tx *sqlx.Tx) error {
		return once(
			ctx,
			tx,
			told,
			func(r ladderRow) string { return "a ladder for the " + string(r.Kind) },
			func() error {
				_, err := tx.NamedExecContext(ctx, `
				INSERT INTO ladders (id, dog_id, kind, paw, started_on, begun_at, first_step)
					VALUES (:id, :dog_id, :kind, :paw, :started_on, :begun_at, :first_step)`, row)
				return err
			},
			`SELECT id, dog_id, kind, paw, '' AS started_on, '' AS begun_at, first_step FROM ladders WHERE id = ?`,
			l.ID,
		)
	})
}

// EndLadder ends a dog's ladder. Doing it twice changes nothing.
func (s *Store) EndLadder(ctx context.Context, dogID, id uuid.UUID, at time.Time) error {
	return mustTouch(s.exec(ctx,
		`UPDATE ladders SET ended_at = COALESCE(ended_at, ?) WHERE id = ? AND dog_id = ?`, instant(at), id, dogID))
}

// AddTry keeps a try, of the day on which it comes where it names none. The same id once more changes nothing;
// another try under it is AlreadyTold.
func (s *Store) AddTry(ctx context.Context, ladderID uuid.UUID, t Try, today date.Date, at time.Time) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		on := `on_date`
		row := tryRow{t.ID, ladderID, dateColumn{t.On}, t.Reaction, columnOf(t.Paw), t.Note, instant(at)}
		told := row
		if told.RecordedAt = ""; t.On.IsZero() { // then whatever day is there is meant
			on, row.On = `'' AS on_date`, dateColumn{today}
		}
		return once(
			ctx,
			tx,
			told,
			func(r tryRow) string { return "a try that the dog took: " + string(r.Reaction) },
			func() error {
				_, err := tx.NamedExecContext(ctx, `
				INSERT INTO tries (id, ladder_id, on_date, reaction, paw, note, recorded_at)
				VALUES (:id, :ladder_id, :on_date, :reaction, :paw, :note, :recorded_at)`, row)
				return err
			},
			`SELECT id, ladder_id, `+on+`, reaction, paw, note, '' AS recorded_at FROM tries WHERE id = ?`,
			t.ID,
		)
	})
}

// WithdrawTry makes a try count no more. Doing it twice changes nothing.
func (s *Store) WithdrawTry(ctx context.Context, ladderID, id uuid.UUID, at time.Time) error {
	return mustTouch(s.exec(
		ctx,
		`UPDATE tries SET withdrawn_at = COALESCE(withdrawn_at, ?) WHERE id = ? AND ladder_id = ?`,
		instant(at),
		id,
		ladderID,
	))
}

// columnOf is a paw that may be none, as its column, and paw the way back.
func columnOf(paw *nail.Paw) *pawColumn {
	if paw == nil {
		return nil
	}
	return &pawColumn{*paw}
}

func (c *pawColumn) paw() *nail.Paw {
	if c == nil {
		return nil
	}
	return &c.Paw
}
