package store

import (
	"context"
	"encoding/json"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/round"
)

// Owner is who brings dogs, in the book.
type Owner struct {
	ID      uuid.UUID
	Version int
	NameKey string // in small letters, for the search
	round.Owner
	Dogs []OwnedDog // by name
}

// OwnedDog is a dog of an owner.
type OwnedDog struct {
	ID   uuid.UUID `db:"id"`
	Name string    `db:"name"`
}

type ownerRow struct {
	ID        uuid.UUID   `db:"id"`
	Version   int         `db:"version"`
	Name      string      `db:"name"`
	NameKey   string      `db:"name_key"`
	Reach     round.Reach `db:"reach"`
	Address   string      `db:"address"`
	MayOffer  bool        `db:"may_offer"`
	MayRemind bool        `db:"may_remind"`
	Stopped   bool        `db:"stopped"`
	Suits     string      `db:"suits"`
	Note      string      `db:"note"`
	MadeAt    string      `db:"made_at"`
	RemovedAt *string     `db:"removed_at"`
	Language  string      `db:"language"`
}

// Owners returns the owners whose names hold some letters, by name; all for none.
func (s *Store) Owners(ctx context.Context, nameKey string) ([]Owner, error) {
	return s.owners(ctx, `instr(name_key, ?) > 0`, nameKey)
}

// Owner returns one; ErrNotFound when there is none.
func (s *Store) Owner(ctx context.Context, id uuid.UUID) (Owner, error) {
	all, err := s.owners(ctx, `id = ?`, id)
	if err == nil && len(all) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return Owner{}, err
	}
	return all[0], nil
}

// OwnerOf returns a dog's owner; ErrNotFound when it has none.
func (s *Store) OwnerOf(ctx context.Context, dogID uuid.UUID) (Owner, error) {
	all, err := s.owners(ctx, `id = (SELECT owner_id FROM owned WHERE dog_id = ?)`, dogID)
	if err == nil && len(all) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return Owner{}, err
	}
	return all[0], nil
}

func (s *Store) owners(ctx context.Context, where string, arg any) ([]Owner, error) {
	var rows []ownerRow
	var dogs []struct {
		OwnerID uuid.UUID `db:"owner_id"`
		OwnedDog
	}
	where = ` WHERE removed_at IS NULL AND ` + where
	err := s.read(ctx, func(tx *sqlx.Tx) error {
		return s.selectAll(ctx, tx, []any{arg},
			query{&rows, `SELECT * FROM owners` + where + ` ORDER BY name_key, id`},
			query{&dogs, `SELECT owner_id, dogs.id, dogs.name FROM owned JOIN dogs ON dogs.id = dog_id
				WHERE owner_id IN (SELECT id FROM owners` + where + `) ORDER BY dogs.name COLLATE NOCASE, dogs.id`})
	})
	if err != nil {
		return nil, err
	}
	dogsOf := map[uuid.UUID][]OwnedDog{}
	for _, d := range dogs {
		dogsOf[d.OwnerID] = append(dogsOf[d.OwnerID], d.OwnedDog)
	}
	all := make([]Owner, len(rows))
	for i, r := range rows {
		all[i] = Owner{
			r.ID,
			r.Version,
			r.NameKey,
			round.Owner{
				Name:      r.Name,
				Reach:     r.Reach,
				Address:   r.Address,
				MayOffer:  r.MayOffer,
				MayRemind: r.MayRemind,
				Stopped:   r.Stopped,
				Note:      r.Note,
				Language:  r.Language,
			},
			dogsOf[r.ID],
		}
		fromJSON(r.Suits, &all[i].Suits)
	}
	return all, nil
}

func ownerRowOf(o Owner, at time.Time) (ownerRow, error) {
	suits, err := json.Marshal(o.Suits)
	return ownerRow{
		o.ID,
		o.Version,
		o.Name,
		o.NameKey,
		o.Reach,
		o.Address,
		o.MayOffer,
		o.MayRemind,
		o.Stopped,
		string(suits),
		o.Note,
		instant(at),
		nil,
		o.Language,
	}, err
}

// KeepOwner keeps an owner: a new one as version 1, a changed one as the next. It returns ErrConflict when
// o.Version is not the newest.
func (s *Store) KeepOwner(ctx context.Context, o Owner, at time.Time) error {
	row, err := ownerRowOf(o, at)
	if err != nil {
		return err
	}
	return s.write(ctx, func(tx *sqlx.Tx) error {
		var there []int
		if err := tx.SelectContext(
			ctx,
			&there,
			`SELECT version FROM owners WHERE id = ? AND removed_at IS NULL`,
			o.ID,
		); err != nil {
			return err
		}
		switch {
		case len(there) == 0 && o.Version == 0:
			return addOwner(ctx, tx, row)
		case len(there) == 0:
			return ErrNotFound
		case there[0] != o.Version:
			return ErrConflict
		}
		_, err := tx.NamedExecContext(ctx, `
			UPDATE owners SET version = version + 1, name = :name, name_key = :name_key, reach = :reach,
				address = :address,
				may_offer = :may_offer, may_remind = :may_remind, stopped = :stopped, suits = :suits, note = :note,
					language = :language WHERE id = :id`, row)
		return err
	})
}

func addOwner(ctx context.Context, tx *sqlx.Tx, row ownerRow) error {
	row.Version = 1
	_, err := tx.NamedExecContext(ctx, `
		INSERT INTO owners (id, version, name, name_key, reach, address, may_offer, may_remind, stopped, suits, note,
			language, made_at)
		VALUES (:id, :version, :name, :name_key, :reach, :address, :may_offer, :may_remind, :stopped, :suits, :note,
			:language, :made_at)
		ON CONFLICT (id) DO UPDATE SET version = owners.version + 1, name = excluded.name, name_key = excluded.name_key,
			reach = excluded.reach, address = excluded.address,
			may_offer = excluded.may_offer, may_remind = excluded.may_remind, stopped = excluded.stopped,
				suits = excluded.suits, note = excluded.note, language = excluded.language, removed_at = NULL
			WHERE owners.removed_at IS NOT NULL`, row) // one that was taken out comes back
	return err
}

// RemoveOwner takes an owner out of the book; its dogs stay, and have none as long as it is out.
func (s *Store) RemoveOwner(ctx context.Context, id uuid.UUID, at time.Time) error {
	return mustTouch(
		s.exec(ctx, `UPDATE owners SET removed_at = ? WHERE id = ? AND removed_at IS NULL`, instant(at), id),
	)
}

// SetOwner gives a dog an owner; uuid.Nil takes it from the one it has.
func (s *Store) SetOwner(ctx context.Context, dogID, ownerID uuid.UUID) error {
	if ownerID == uuid.Nil {
		_, err := s.exec(ctx, `DELETE FROM owned WHERE dog_id = ?`, dogID)
		return err
	}
	return mustTouch(s.exec(ctx, `
		INSERT INTO owned (dog_id, owner_id) SELECT d.id, o.id FROM dogs d, owners o WHERE d.id = ? AND o.id = ?
			AND o.removed_at IS NULL
		ON CONFLICT (dog_id) DO UPDATE SET owner_id = excluded.owner_id`, dogID, ownerID))
}
