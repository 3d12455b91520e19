package store

import (
	"context"
	"encoding/json"
	"maps"
	"slices"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/date"
)

// Log is the log of one sitting in the book.
type Log struct {
	SittingID uuid.UUID
	DogID     uuid.UUID
	On        date.Date
	Events    bench.Log
}

type logRow struct {
	SittingID uuid.UUID  `db:"sitting_id"`
	DogID     uuid.UUID  `db:"dog_id"`
	On        dateColumn `db:"on_date"`
	BegunAt   string     `db:"begun_at"`
	Ended     bool       `db:"ended"`
	Withdrawn *string    `db:"withdrawn_at"`
}

type eventRow struct {
	SittingID  uuid.UUID `db:"sitting_id"`
	Number     int       `db:"number"`
	ID         string    `db:"id"`
	RecordedAt string    `db:"recorded_at"`
	Body       string    `db:"body"`
}

// Log returns the log of a dog's sitting; ErrNotFound when there is none, as ErrOtherDogs or ErrTakenBack where that is
// why.
func (s *Store) Log(ctx context.Context, dogID, sittingID uuid.UUID) (Log, error) {
	var log Log
	err := s.read(ctx, func(tx *sqlx.Tx) error {
		row, events, err := s.readLog(ctx, tx, sittingID)
		if err == nil {
			err = row.of(dogID)
		}
		log = Log{row.SittingID, row.DogID, row.On.Date, events}
		return err
	})
	return log, err
}

// of tells why a log is not a dog's to read or to grow; nil where it is.
func (r logRow) of(dogID uuid.UUID) error {
	switch {
	case r.DogID != dogID:
		return ErrOtherDogs
	case r.Withdrawn != nil:
		return ErrTakenBack
	}
	return nil
}

func (s *Store) readLog(ctx context.Context, tx *sqlx.Tx, sittingID uuid.UUID) (logRow, bench.Log, error) {
	var found []logRow
	var rows []eventRow
	if err := s.selectAll(ctx, tx, []any{sittingID},
		query{&found, `SELECT * FROM logs WHERE sitting_id = ?`},
		query{&rows, `SELECT * FROM events WHERE sitting_id = ? ORDER BY number`}); err != nil {
		return logRow{}, nil, err
	}
	if len(found) == 0 {
		return logRow{}, nil, ErrNotFound
	}
	row := found[0]
	log := make(bench.Log, len(rows))
	for i, r := range rows {
		if err := json.Unmarshal([]byte(r.Body), &log[i]); err != nil {
			return row, nil, err
		}
	}
	return row, log, nil
}

// OpenSittings are the sittings that were begun and not ended, a dog's latest, by the dog's id.
func (s *Store) OpenSittings(ctx context.Context) (map[uuid.UUID]uuid.UUID, error) {
	var rows []logRow
	err := s.rows(ctx, &rows, `SELECT * FROM logs WHERE ended = 0 AND withdrawn_at IS NULL ORDER BY begun_at`)
	open := map[uuid.UUID]uuid.UUID{}
	for _, r := range rows {
		open[r.DogID] = r.SittingID
	}
	return open, err
}

// Growth is how the log of a dog's sitting grows.
type Growth struct {
	Log              // as it is to be; its day is that of its sitting where this begins it
	From int         // how many of its events are in the book
	Feet *FoldedFeet // what the dog's records come to with it; nil where that is left for later
}

// Append adds events to the log of a dog's sitting, which it begins if it is not there yet, and brings the lists up to
// date with it: all in one transaction. It returns ErrGrown where somebody else's events came in meanwhile,
// ErrOtherDogs or ErrTakenBack where it is not this dog's to grow, and ErrElsewhere.
func (s *Store) Append(ctx context.Context, g Growth, at time.Time) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		var revision int
		if err := tx.GetContext(
			ctx,
			&revision,
			`SELECT revision FROM standings WHERE dog_id = ?`,
			g.DogID,
		); err != nil {
			return orNotFound(err)
		}
		row, err := s.growing(ctx, tx, g, at)
		if err != nil {
			return err
		}
		if err := elsewhere(ctx, tx, g.Events[g.From:]); err != nil {
			return err
		}
		events, err := eventRows(g.SittingID, g.Events, g.From, at)
		if err != nil {
			return err
		}
		if err := addLogs(ctx, tx, []logRow{row}, events); err != nil {
			return err
		}
		if err := s.project(ctx, tx, row, g.Events); err != nil {
			return err
		}
		if err := s.wear(ctx, tx, row.On); err != nil || g.Feet == nil || g.Feet.Revision != revision {
			return err
		}
		return keepFeet(ctx, tx, g.DogID, *g.Feet)
	})
}

// growing is the row of a log that grows.
func (s *Store) growing(ctx context.Context, tx *sqlx.Tx, g Growth, at time.Time) (logRow, error) {
	var found []struct {
		logRow
		Events int `db:"events"`
	}
	err := s.selectAll(ctx, tx, []any{g.SittingID}, query{&found, `
		SELECT logs.*, (SELECT COUNT(*) FROM events WHERE events.sitting_id = logs.sitting_id) AS events
			FROM logs WHERE sitting_id = ?`})
	if err != nil {
		return logRow{}, err
	}
	row, there := logRow{SittingID: g.SittingID, DogID: g.DogID, On: dateColumn{g.On}, BegunAt: instant(at)}, 0
	if len(found) > 0 {
		row, there = found[0].logRow, found[0].Events
	}
	if err = row.of(g.DogID); err == nil && there != g.From {
		err = ErrGrown
	}
	row.Ended = g.Events.Fold().Ended
	return row, err
}

// elsewhere refuses events that are in the book already, in another log.
func elsewhere(ctx context.Context, tx *sqlx.Tx, events bench.Log) error {
	ids := make([]string, len(events))
	for i, e := range events {
		ids[i] = e.ID
	}
	var known []string
	list, _ := json.Marshal(ids) // texts always marshal
	const text = `SELECT id FROM events WHERE id IN (SELECT value FROM json_each(?))`
	if err := tx.SelectContext(ctx, &known, text, string(list)); err != nil {
		return err
	}
	if len(known) > 0 {
		return ErrElsewhere{known}
	}
	return nil
}

// eventRows are the rows of what a log holds from a place on.
func eventRows(sittingID uuid.UUID, log bench.Log, from int, at time.Time) ([]eventRow, error) {
	events := make([]eventRow, 0, len(log)-from)
	for i := from; i < len(log); i++ {
		body, err := json.Marshal(log[i])
		if err != nil {
			return nil, err
		}
		events = append(events, eventRow{sittingID, i, log[i].ID, instant(at), string(body)})
	}
	return events, nil
}

// addLogs keeps logs, new ones and longer ones, with what they hold more.
func addLogs(ctx context.Context, tx *sqlx.Tx, logs []logRow, events []eventRow) error {
	if err := insertAll(ctx, tx, `
		INSERT INTO logs (sitting_id, dog_id, on_date, begun_at, ended, withdrawn_at)
			VALUES (:sitting_id, :dog_id, :on_date, :begun_at, :ended, :withdrawn_at)
		ON CONFLICT (sitting_id) DO UPDATE SET ended = excluded.ended`, logs); err != nil {
		return err
	}
	return insertAll(ctx, tx, `
		INSERT INTO events (sitting_id, number, id, recorded_at, body)
			VALUES (:sitting_id, :number, :id, :recorded_at, :body)`, events)
}

// project brings what the lists read of a sitting up to date with its log; what its day asked of the kit is worn after
// it.
func (s *Store) project(ctx context.Context, tx *sqlx.Tx, row logRow, log bench.Log) error {
	for _, table := range []string{
		`stints WHERE sitting_id`, `landmarks WHERE sitting_id`, `readings WHERE sitting_id`,
		`cuts WHERE sitting_id`, `records WHERE sitting_id`, `sittings WHERE id`,
	} {
		remove, err := s.statement(`DELETE FROM ` + table + ` = ?`)
		if err != nil {
			return err
		}
		if _, err := tx.StmtxContext(ctx, remove).ExecContext(ctx, row.SittingID); err != nil {
			return err
		}
	}
	state := log.Fold()
	if len(state.Nails) == 0 {
		return nil // nothing was done yet: no sitting to list
	}
	return addSitting(ctx, tx, row, Sitting{row.SittingID, state.Sitting(row.On.Date)})
}

// Rebuild works out every sitting again from its log, and returns how many there are. Each step
// is told to progress.
func (s *Store) Rebuild(ctx context.Context, progress func(done, all int)) (n int, err error) {
	err = s.write(ctx, func(tx *sqlx.Tx) error {
		n, err = s.rebuild(ctx, tx, progress)
		return err
	})
	return n, err
}

func (s *Store) rebuild(ctx context.Context, tx *sqlx.Tx, progress func(done, all int)) (int, error) {
	var ids []uuid.UUID
	if err := tx.SelectContext(ctx, &ids, `SELECT sitting_id FROM logs ORDER BY begun_at, sitting_id`); err != nil {
		return 0, err
	}
	days := map[dateColumn]bool{}
	for i, id := range ids {
		row, log, err := s.readLog(ctx, tx, id)
		if err != nil {
			return 0, err
		}
		if err := s.project(ctx, tx, row, log); err != nil {
			return 0, err
		}
		days[row.On] = true
		progress(i+1, len(ids))
	}
	return len(ids), s.wear(ctx, tx, slices.Collect(maps.Keys(days))...)
}
