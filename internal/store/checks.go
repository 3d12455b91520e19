package store

import (
	"context"
	"fmt"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
)

// WalkRound is a walk-round in the book.
type WalkRound struct {
	ID uuid.UUID // made by whoever records it
	record.WalkRound
}

type checkRow struct {
	ID         uuid.UUID  `db:"id"`
	DogID      uuid.UUID  `db:"dog_id"`
	On         dateColumn `db:"on_date"`
	Clicks     bool       `db:"clicks"`
	Hair       bool       `db:"hair"`
	Swelling   bool       `db:"swelling"`
	Limping    bool       `db:"limping"`
	Breaking   bool       `db:"breaking"`
	RecordedAt string     `db:"recorded_at"`
}

type lookRow struct {
	CheckID  uuid.UUID       `db:"check_id"`
	Code     codeColumn      `db:"code"`
	Gap      *float64        `db:"gap_mm"`
	GapBy    *measure.Means  `db:"gap_by"`
	GapSD    *float64        `db:"gap_sd_mm"`
	Length   *float64        `db:"length_mm"`
	LengthBy *measure.Means  `db:"length_by"`
	LengthSD *float64        `db:"length_sd_mm"`
	PastPad  bool            `db:"past_pad"`
	Present  *bool           `db:"present"`
	Colour   *nail.Colour    `db:"colour"`
	Shape    *nail.Shape     `db:"shape"`
	State    *nail.Condition `db:"state"`
}

// read is a number of a look; nil where nobody read it.
func read(mm *float64, by *measure.Means, sd *float64) *measure.Number {
	if mm == nil || by == nil || sd == nil { // a number that nobody knows how it was read is none
		return nil
	}
	return &measure.Number{MM: *mm, By: *by, SD: *sd}
}

func unread(n *measure.Number) (mm *float64, by *measure.Means, sd *float64) {
	if n == nil {
		return nil, nil, nil
	}
	return &n.MM, &n.By, &n.SD
}

// ChecksOf returns some dogs' walk-rounds, oldest first, by the dog's id.
func (s *Store) ChecksOf(ctx context.Context, dogIDs []uuid.UUID) (map[uuid.UUID][]WalkRound, error) {
	return s.checks(ctx, ` WHERE dog_id IN (SELECT value FROM json_each(?))`, listOf(dogIDs))
}

// Checks returns one dog's walk-rounds, oldest first.
func (s *Store) Checks(ctx context.Context, dogID uuid.UUID) ([]WalkRound, error) {
	all, err := s.checks(ctx, ` WHERE dog_id = ?`, dogID)
	return all[dogID], err
}

func (s *Store) checks(ctx context.Context, where string, args ...any) (all map[uuid.UUID][]WalkRound, err error) {
	err = s.read(ctx, func(tx *sqlx.Tx) error {
		all, err = s.checksIn(ctx, tx, where, args...)
		return err
	})
	return all, err
}

func (s *Store) checksIn(
	ctx context.Context,
	tx *sqlx.Tx,
	where string,
	args ...any,
) (map[uuid.UUID][]WalkRound, error) {
	var rows []checkRow
	var looks []lookRow
	err := s.selectAll(ctx, tx, args,
		query{&rows, `SELECT * FROM checks` + where + ` ORDER BY on_date, recorded_at`},
		query{&looks, `SELECT * FROM looks WHERE check_id IN (SELECT id FROM checks` + where + `)`})
	if err != nil {
		return nil, err
	}
	looksOf := map[uuid.UUID][]record.Look{}
	for _, l := range looks {
		looksOf[l.CheckID] = append(looksOf[l.CheckID], record.Look{
			Code:    l.Code.Code,
			Gap:     read(l.Gap, l.GapBy, l.GapSD),
			Length:  read(l.Length, l.LengthBy, l.LengthSD),
			PastPad: l.PastPad,
			Present: l.Present,
			Colour:  l.Colour,
			Shape:   l.Shape,
			State:   l.State,
		})
	}
	all := map[uuid.UUID][]WalkRound{}
	for _, r := range rows {
		all[r.DogID] = append(all[r.DogID], WalkRound{
			r.ID,
			record.WalkRound{
				On:       r.On.Date,
				Clicks:   r.Clicks,
				Hair:     r.Hair,
				Swelling: r.Swelling,
				Limping:  r.Limping,
				Breaking: r.Breaking,
				Looks:    looksOf[r.ID],
			},
		})
	}
	return all, nil
}

// AddCheck keeps a walk-round and, with it, the dog's nails as it saw them. The same id once more changes nothing;
// another walk-round under it, or one of another dog, is AlreadyTold.
func (s *Store) AddCheck(ctx context.Context, d Dog, c WalkRound, at time.Time) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		there, err := s.checksIn(ctx, tx, ` WHERE id = ?`, c.ID)
		if err != nil {
			return err
		}
		for dogID, all := range there {
			if dogID == d.ID && all[0].Tells(c.WalkRound) {
				return nil
			}
			return AlreadyTold{
				There: fmt.Sprintf("a check of the feet of %s that looked at %d nails", all[0].On, len(all[0].Looks)),
			}
		}
		_, err = tx.NamedExecContext(ctx, `
			INSERT INTO checks (id, dog_id, on_date, clicks, hair, swelling, limping, breaking, recorded_at)
			VALUES (:id, :dog_id, :on_date, :clicks, :hair, :swelling, :limping, :breaking, :recorded_at)`,
			checkRow{c.ID, d.ID, dateColumn{c.On}, c.Clicks, c.Hair, c.Swelling, c.Limping, c.Breaking, instant(at)})
		if err != nil {
			return err
		}
		for _, l := range c.Looks {
			row := lookRow{
				CheckID: c.ID,
				Code:    codeColumn{l.Code},
				PastPad: l.PastPad,
				Present: l.Present,
				Colour:  l.Colour,
				Shape:   l.Shape,
				State:   l.State,
			}
			row.Gap, row.GapBy, row.GapSD = unread(l.Gap)
			row.Length, row.LengthBy, row.LengthSD = unread(l.Length)
			_, err := tx.NamedExecContext(ctx, `
				INSERT INTO looks (check_id, code, gap_mm, gap_by, gap_sd_mm, length_mm, length_by, length_sd_mm,
					past_pad, present, colour, shape, state)
				VALUES (:check_id, :code, :gap_mm, :gap_by, :gap_sd_mm, :length_mm, :length_by, :length_sd_mm,
					:past_pad, :present, :colour, :shape, :state)`, row)
			if err != nil {
				return err
			}
		}
		return changeDog(ctx, tx, d)
	})
}
