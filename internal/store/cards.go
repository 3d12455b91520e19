package store

import (
	"context"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// CardKey is the key of the page of a sitting's card; empty where there is no page.
func (s *Store) CardKey(ctx context.Context, dogID, sittingID uuid.UUID) (string, error) {
	var keys []string
	err := s.rows(ctx, &keys, `SELECT card_key FROM cards WHERE sitting_id = ? AND dog_id = ?`, sittingID, dogID)
	if err != nil || len(keys) == 0 || s.keys.withdrawn(keys[0]) { // a restore brought it back
		return "", err
	}
	return keys[0], nil
}

// OpenCard gives a sitting's card a page; one that is there keeps its key.
func (s *Store) OpenCard(ctx context.Context, dogID, sittingID uuid.UUID, key string) error {
	if there, err := s.CardKey(ctx, dogID, sittingID); err != nil || there != "" {
		return err
	}
	_, err := s.exec(
		ctx,
		`INSERT INTO cards (sitting_id, dog_id, card_key) VALUES (?, ?, ?) ON CONFLICT (sitting_id)
			DO UPDATE SET card_key = excluded.card_key`,
		sittingID,
		dogID,
		key,
	)
	return err
}

// WithdrawCard takes the page away: its key opens nothing any more, nor after a restore.
func (s *Store) WithdrawCard(ctx context.Context, dogID, sittingID uuid.UUID) error {
	key, err := s.CardKey(ctx, dogID, sittingID)
	if err != nil {
		return err
	}
	if _, err := s.exec(ctx, `DELETE FROM cards WHERE sitting_id = ? AND dog_id = ?`, sittingID, dogID); err != nil {
		return err
	}
	return s.keys.withdraw(s.file.path, "", key)
}

// RenewCards gives the page of every card another key, from make; the old ones open nothing any more.
func (s *Store) RenewCards(ctx context.Context, make func() string) error {
	var old []string
	err := s.write(ctx, func(tx *sqlx.Tx) error {
		if err := tx.SelectContext(ctx, &old, `SELECT card_key FROM cards`); err != nil {
			return err
		}
		for _, key := range old {
			if _, err := tx.ExecContext(
				ctx,
				`UPDATE cards SET card_key = ? WHERE card_key = ?`,
				make(),
				key,
			); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil || len(old) == 0 {
		return err
	}
	return s.keys.withdraw(s.file.path, "", old...)
}

// CardOf is whose card a key opens; ErrNotFound when it opens none.
func (s *Store) CardOf(ctx context.Context, key string) (dogID, sittingID uuid.UUID, err error) {
	if s.keys.withdrawn(key) {
		return uuid.Nil, uuid.Nil, ErrNotFound
	}
	var rows []struct {
		DogID     uuid.UUID `db:"dog_id"`
		SittingID uuid.UUID `db:"sitting_id"`
	}
	err = s.rows(ctx, &rows, `SELECT dog_id, sitting_id FROM cards WHERE card_key = ?`, key)
	if err == nil && len(rows) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return uuid.Nil, uuid.Nil, err
	}
	return rows[0].DogID, rows[0].SittingID, nil
}
