package store

import (
	"context"

	"github.com/google/uuid"
)

// CardKey is the key of the page of a sitting's card; empty where there is no page.
func (s *Store) CardKey(ctx context.Context, dogID, sittingID uuid.UUID) (string, error) {
	var keys []string
	err := s.rows(ctx, &keys, `SELECT card_key FROM cards WHERE sitting_id = ? AND dog_id = ?`, sittingID, dogID)
	if err != nil || len(keys) == 0 {
		return "", err
	}
	return keys[0], nil
}

// OpenCard gives a sitting's card a page; one that is there keeps its key.
func (s *Store) OpenCard(ctx context.Context, dogID, sittingID uuid.UUID, key string) error {
	_, err := s.exec(ctx, `INSERT INTO cards (sitting_id, dog_id, card_key) VALUES (?, ?, ?) ON CONFLICT (sitting_id) DO NOTHING`, sittingID, dogID, key)
	return err
}

// WithdrawCard takes the page away: its key opens nothing any more.
func (s *Store) WithdrawCard(ctx context.Context, dogID, sittingID uuid.UUID) error {
	_, err := s.exec(ctx, `DELETE FROM cards WHERE sitting_id = ? AND dog_id = ?`, sittingID, dogID)
	return err
}

// CardOf is whose card a key opens; ErrNotFound when it opens none.
func (s *Store) CardOf(ctx context.Context, key string) (dogID, sittingID uuid.UUID, err error) {
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
