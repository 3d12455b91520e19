package store

import (
	"context"
	"encoding/json"
	"time"

	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/hindsight"
)

type ownUsualRow struct {
	Kind  hindsight.Kind `db:"kind"`
	Class float64        `db:"class"`
	Value string         `db:"value"`
	SetAt string         `db:"set_at"`
}

// OwnUsual is what the book's own record sets, where the user let it: which kinds and sizes.
func (s *Store) OwnUsual(ctx context.Context) ([]hindsight.Offer, error) {
	var rows []ownUsualRow
	err := s.rows(ctx, &rows, `SELECT kind, class, value, set_at FROM own_usual`)
	return offersOf(rows), err
}

func offersOf(rows []ownUsualRow) []hindsight.Offer {
	all := make([]hindsight.Offer, len(rows))
	for i, r := range rows {
		all[i] = r.offer()
	}
	return all
}

func (r ownUsualRow) offer() hindsight.Offer {
	o := hindsight.Offer{Kind: r.Kind, Class: r.Class}
	if r.Kind == hindsight.OwnFaces {
		fromJSON(r.Value, &o.Faces)
	} else {
		fromJSON(r.Value, &o.Times)
	}
	return o
}

// SetOwnUsual lets the book's own record say what is usual, from now on; every dog is folded anew.
func (s *Store) SetOwnUsual(ctx context.Context, o hindsight.Offer, at time.Time) error {
	value, _ := json.Marshal(o.Times) // numbers all of them
	if o.Kind == hindsight.OwnFaces {
		value, _ = json.Marshal(o.Faces)
	}
	return s.write(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(
			ctx,
			`DELETE FROM own_usual WHERE kind = ? AND class = ?`,
			o.Kind,
			o.Class,
		); err != nil {
			return err
		}
		_, err := tx.NamedExecContext(
			ctx,
			`INSERT INTO own_usual (kind, class, value, set_at) VALUES (:kind, :class, :value, :set_at)`,
			ownUsualRow{o.Kind, o.Class, string(value), instant(at)},
		)
		return err
	})
}

// TakeBackOwnUsual makes what is usual of most dogs usual again.
func (s *Store) TakeBackOwnUsual(ctx context.Context, kind hindsight.Kind, class float64) error {
	_, err := s.exec(ctx, `DELETE FROM own_usual WHERE kind = ? AND class = ?`, kind, class)
	return err
}
