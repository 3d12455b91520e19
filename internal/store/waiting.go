package store

import (
	"context"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
)

// Waiting is a dog that waits for a place on a day.
type Waiting struct {
	Dog  RoundDog
	On   date.Date
	Note string // of the call
	Told time.Time
}

type waitingRow struct {
	On     dateColumn `db:"on_date"`
	Note   string     `db:"note"`
	ToldAt string     `db:"told_at"`
	RoundDog
}

// WaitingList are those who wait for a day from one on, by day, the first come first.
func (s *Store) WaitingList(ctx context.Context, from date.Date) ([]Waiting, error) {
	var rows []waitingRow
	err := s.rows(ctx, &rows, `SELECT waiting.on_date, waiting.note, waiting.told_at, `+roundDog+`
		FROM waiting JOIN dogs ON dogs.id = waiting.dog_id`+ofDogs+`
		WHERE waiting.on_date >= ? ORDER BY waiting.on_date, told_at, dogs.id`, from.String())
	all := make([]Waiting, len(rows))
	for i, r := range rows {
		all[i] = Waiting{Dog: r.RoundDog, On: r.On.Date, Note: r.Note, Told: moment(r.ToldAt)}
	}
	return all, err
}

// Wait writes down that a dog waits for a day. The same again keeps its turn, with the newer note.
func (s *Store) Wait(ctx context.Context, dogID uuid.UUID, on date.Date, note string, at time.Time) error {
	return mustTouch(s.exec(ctx, `
		INSERT INTO waiting (dog_id, on_date, note, told_at) SELECT id, ?, ?, ? FROM dogs WHERE id = ?
		ON CONFLICT (dog_id, on_date) DO UPDATE SET note = excluded.note`, on.String(), note, instant(at), dogID))
}

// WaitNoMore takes a dog off a day's list. Doing it twice changes nothing.
func (s *Store) WaitNoMore(ctx context.Context, dogID uuid.UUID, on date.Date) error {
	_, err := s.exec(ctx, `DELETE FROM waiting WHERE dog_id = ? AND on_date = ?`, dogID, on.String())
	return err
}
