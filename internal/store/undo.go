package store

import (
	"cmp"
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/undo"
)

// goneIn is where the book notes that something was taken away: table and column, by what it is.
var goneIn = map[undo.What][2]string{
	undo.Try:       {"tries", "withdrawn_at"},
	undo.Ladder:    {"ladders", "ended_at"},
	undo.QuickPlan: {"plans", "ended_at"},
	undo.KitItem: {
		"kit_items",
		"removed_at",
	},
	undo.Owner:  {"owners", "removed_at"},
	undo.Slices: {"sticks", "withdrawn_at"},
}

// which is the row that an id means, where it is not the row's own: of a plan it is the dog's, whose last comes back,
// unless another is on.
var which = map[undo.What]string{
	undo.QuickPlan: `id = (SELECT id FROM plans WHERE dog_id = ?1 ORDER BY ended_at IS NULL DESC, ended_at DESC
		LIMIT 1)`,
}

// GiveBack gives back what was taken away since a moment. What is there changes nothing; ErrNotFound: it was taken away
// before that, never was, or another has its place.
func (s *Store) GiveBack(ctx context.Context, what undo.What, id uuid.UUID, since time.Time) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		if what == undo.Sitting {
			return s.giveSittingBack(ctx, tx, id, since)
		}
		table, column := goneIn[what][0], goneIn[what][1]
		row := cmp.Or(which[what], `id = ?1`)
		return mustTouch(
			tx.ExecContext(
				ctx,
				`UPDATE `+table+` SET `+column+` = NULL WHERE `+row+` AND coalesce(`+column+`, ?2) >= ?2`,
				id,
				instant(since),
			),
		)
	})
}

// giveSittingBack lets a sitting count again, with what it asked of the kit.
func (s *Store) giveSittingBack(ctx context.Context, tx *sqlx.Tx, id uuid.UUID, since time.Time) error {
	const back = ` SET withdrawn_at = NULL WHERE coalesce(withdrawn_at, ?2) >= ?2 AND `
	if _, err := tx.ExecContext(ctx, `UPDATE sittings`+back+`id = ?1`, id, instant(since)); err != nil {
		return err
	}
	if err := mustTouch(tx.ExecContext(ctx, `UPDATE logs`+back+`sitting_id = ?1`, id, instant(since))); err != nil {
		return err
	}
	return s.wearOf(ctx, tx, id)
}
