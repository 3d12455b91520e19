package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// Brought is what a list brings: new owners and dogs, and whose dog is whose.
type Brought struct {
	Owners  []Owner
	Dogs    []Dog
	OwnerOf map[uuid.UUID]uuid.UUID // by dog; an owner that is new or there already
}

// Take keeps all that a list brings, or nothing; content is the list's hash. The same list once more changes nothing,
// another one under its id is AlreadyTold.
func (s *Store) Take(ctx context.Context, id uuid.UUID, content string, b Brought, at time.Time) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		return once(
			ctx,
			tx,
			content,
			func(string) string { return "another list" },
			func() error { return take(ctx, tx, id, content, b, at) },
			`SELECT CASE content WHEN '' THEN ? ELSE content END FROM lists WHERE id = ?`,
			content,
			id,
		)
	})
}

func take(ctx context.Context, tx *sqlx.Tx, id uuid.UUID, content string, b Brought, at time.Time) error {
	if _, err := tx.ExecContext(
		ctx,
		`INSERT INTO lists (id, taken_at, content) VALUES (?, ?, ?)`,
		id,
		instant(at),
		content,
	); err != nil {
		return err
	}
	part := func(part uuid.UUID, what string) error {
		_, err := tx.ExecContext(
			ctx,
			`INSERT INTO list_parts (list_id, part_id, what) VALUES (?, ?, ?)`,
			id,
			part,
			what,
		)
		return err
	}
	for _, o := range b.Owners {
		row, err := ownerRowOf(o, at)
		if err == nil {
			err = addOwner(ctx, tx, row)
		}
		if err == nil {
			err = part(o.ID, "owner")
		}
		if err != nil {
			return err
		}
	}
	for _, d := range b.Dogs {
		err := addDog(ctx, tx, d)
		if err == nil {
			err = part(d.ID, "dog")
		}
		if owner := b.OwnerOf[d.ID]; err == nil && owner != uuid.Nil {
			_, err = tx.ExecContext(ctx, `INSERT INTO owned (dog_id, owner_id) VALUES (?, ?)`, d.ID, owner)
		}
		if err != nil {
			return err
		}
	}
	return nil
}

// TakeBack takes out of the book what a list brought, but for dogs of which something was told since, and owners that
// have a dog still. It returns how many dogs stay; ErrNotFound when there is no such list.
func (s *Store) TakeBack(ctx context.Context, id uuid.UUID) (stay int, err error) {
	err = s.write(ctx, func(tx *sqlx.Tx) error {
		const brought = `(SELECT part_id FROM list_parts WHERE list_id = ?1 AND what = 'dog')`
		const touched = `(SELECT dog_id FROM logs UNION SELECT dog_id FROM checks UNION SELECT dog_id FROM ladders
			UNION SELECT dog_id FROM plans
			UNION SELECT dog_id FROM pictures UNION SELECT dog_id FROM cards UNION SELECT dog_id FROM visits
				UNION SELECT dog_id FROM messages UNION SELECT id FROM dogs WHERE version > 1)`
		const gone = ` IN (SELECT part_id FROM list_parts WHERE list_id = ?1 AND what = 'dog'
			AND part_id NOT IN ` + touched + `)`
		if err := tx.GetContext(
			ctx,
			&stay,
			`SELECT count(*) FROM dogs WHERE id IN `+brought+` AND id IN `+touched,
			id,
		); err != nil {
			return err
		}
		for _, table := range []string{"owned", "not_now", "waiting", "weights", "walked", "nails", "feet", "standings"} {
			if _, err := tx.ExecContext(ctx, `DELETE FROM `+table+` WHERE dog_id`+gone, id); err != nil {
				return err
			}
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM dogs WHERE id`+gone, id); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `
			DELETE FROM owners WHERE id IN (SELECT part_id FROM list_parts WHERE list_id = ? AND what = 'owner')
				AND version = 1 AND id NOT IN (SELECT owner_id FROM owned)
					AND id NOT IN (SELECT owner_id FROM messages)`, id); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM list_parts WHERE list_id = ?`, id); err != nil {
			return err
		}
		return mustTouch(tx.ExecContext(ctx, `DELETE FROM lists WHERE id = ?`, id))
	})
	return stay, err
}

// DogNames are all dogs' names with their owners' ids, of those that have one.
func (s *Store) DogNames(ctx context.Context) ([]NamedDog, error) {
	var rows []NamedDog
	err := s.rows(ctx, &rows, `
		SELECT dogs.name, coalesce(owners.id, '') AS owner_id FROM dogs
			LEFT JOIN owned ON dog_id = dogs.id LEFT JOIN owners ON owners.id = owner_id AND removed_at IS NULL`)
	return rows, err
}

// NamedDog is a dog's name, and whose it is.
type NamedDog struct {
	Name    string `db:"name"`
	OwnerID string `db:"owner_id"` // empty: nobody's
}
