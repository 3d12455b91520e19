package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/kit"
)

// KitItem is a piece of kit in the book.
type KitItem struct {
	ID       uuid.UUID
	Version  int
	Item     kit.Item
	Serviced kit.Moment // zero when it never was
}

type kitRow struct {
	ID      uuid.UUID   `db:"id"`
	Version int         `db:"version"`
	Kind    kit.Kind    `db:"kind"`
	Name    string      `db:"name"`
	Guard   bool        `db:"guard"`
	Grit    int         `db:"grit"`
	Tip     kit.Tip     `db:"tip"`
	On      *string     `db:"on_item_id"`
	Limit   *float64    `db:"most"`
	Expires *dateColumn `db:"expires_on"`
	Stock   kit.Stock   `db:"stock"`
	AddedAt string      `db:"added_at"`

	ServicedOn *dateColumn `db:"serviced_on"`
	ServicedAt *string     `db:"serviced_at"`
}

func kitRowOf(i KitItem, at time.Time) kitRow {
	row := kitRow{
		ID: i.ID, Kind: i.Item.Kind, Name: i.Item.Name, Guard: i.Item.Guard, Grit: i.Item.Grit, Tip: i.Item.Tip,
		On: orNull(i.Item.On), Limit: i.Item.Limit, Stock: i.Item.Stock, AddedAt: instant(at),
	}
	if !i.Item.Expires.IsZero() {
		row.Expires = &dateColumn{i.Item.Expires}
	}
	return row
}

func (r kitRow) item() KitItem {
	i := KitItem{ID: r.ID, Version: r.Version, Item: kit.Item{
		Kind:  r.Kind,
		Name:  r.Name,
		Guard: r.Guard,
		Grit:  r.Grit,
		Tip:   r.Tip,
		On:    orEmpty(r.On),
		Limit: r.Limit,
		Stock: r.Stock,
	}}
	if r.Expires != nil {
		i.Item.Expires = r.Expires.Date
	}
	if r.ServicedOn == nil {
		return i
	}
	i.Serviced = kit.Moment{On: r.ServicedOn.Date, At: moment(*r.ServicedAt)}
	return i
}

// Kit returns the pieces that are in the kit, in the order in which they were added.
func (s *Store) Kit(ctx context.Context) ([]KitItem, error) {
	var rows []kitRow
	err := s.rows(ctx, &rows, `
		SELECT i.id, i.version, i.kind, i.name, i.guard, i.grit, i.tip, i.on_item_id, i.most, i.expires_on, i.stock,
			i.added_at, v.on_date AS serviced_on, v.at AS serviced_at
		FROM kit_items i LEFT JOIN kit_services v ON v.item_id = i.id AND v.at =
			(SELECT MAX(at) FROM kit_services WHERE item_id = i.id AND withdrawn_at IS NULL)
		WHERE i.removed_at IS NULL ORDER BY i.added_at, i.id`)
	if err != nil {
		return nil, err
	}
	items := make([]KitItem, len(rows))
	for i, row := range rows {
		items[i] = row.item()
	}
	return items, nil
}

// KnowsItem tells whether there is or was such a piece of kit.
func (s *Store) KnowsItem(ctx context.Context, id string) (bool, error) {
	var n int
	err := s.row(ctx, &n, `SELECT COUNT(*) FROM kit_items WHERE id = ?`, id)
	return n > 0, err
}

// AddKitItem keeps a new piece as version 1. The same id once more changes nothing, whatever it was changed to since;
// another piece under it is AlreadyTold.
func (s *Store) AddKitItem(ctx context.Context, i KitItem, at time.Time) error {
	row := kitRowOf(i, at)
	told := row
	told.Version, told.AddedAt = 0, ""
	return s.write(ctx, func(tx *sqlx.Tx) error {
		var changed int
		if err := tx.GetContext(
			ctx,
			&changed,
			`SELECT COUNT(*) FROM kit_items WHERE id = ? AND version > 1`,
			i.ID,
		); err != nil ||
			changed > 0 {
			return err
		}
		return once(
			ctx,
			tx,
			told,
			func(r kitRow) string { return "a piece of kit, " + string(r.Kind) + " " + r.Name },
			func() error {
				_, err := tx.NamedExecContext(ctx, `
				INSERT INTO kit_items (id, version, kind, name, guard, grit, tip, on_item_id, most, expires_on, stock,
					added_at)
				VALUES (:id, 1, :kind, :name, :guard, :grit, :tip, :on_item_id, :most, :expires_on, :stock, :added_at)`, row)
				return err
			},
			`SELECT id, 0 AS version, kind, name, guard, grit, tip, on_item_id, most, expires_on, stock, '' AS added_at
				FROM kit_items WHERE id = ?`,
			i.ID,
		)
	})
}

// ChangeKitItem keeps a changed piece as the next version. It returns ErrConflict when
// i.Version is not the newest, and ErrNotFound when there is no such piece.
func (s *Store) ChangeKitItem(ctx context.Context, i KitItem) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		var version int
		err := tx.GetContext(ctx, &version, `SELECT version FROM kit_items WHERE id = ? AND removed_at IS NULL`, i.ID)
		if err != nil {
			return orNotFound(err)
		}
		if version != i.Version {
			return ErrConflict
		}
		_, err = tx.NamedExecContext(ctx, `
			UPDATE kit_items SET version = version + 1, kind = :kind, name = :name, guard = :guard, grit = :grit,
				tip = :tip,
				on_item_id = :on_item_id, most = :most, expires_on = :expires_on, stock = :stock
			WHERE id = :id`, kitRowOf(i, time.Time{}))
		return err
	})
}

// RemoveKitItem takes a piece out of the kit. Doing it twice changes nothing.
func (s *Store) RemoveKitItem(ctx context.Context, id uuid.UUID, at time.Time) error {
	return mustTouch(
		s.exec(ctx, `UPDATE kit_items SET removed_at = COALESCE(removed_at, ?) WHERE id = ?`, instant(at), id),
	)
}

// ServiceKitItem notes that a piece is as new.
func (s *Store) ServiceKitItem(ctx context.Context, id uuid.UUID, m kit.Moment) error {
	return mustTouch(s.exec(ctx, `
		INSERT INTO kit_services (item_id, on_date, at) SELECT id, ?, ? FROM kit_items WHERE id = ?
			AND removed_at IS NULL`,
		m.On.String(), instant(m.At), id))
}

// UndoKitService makes a piece's last service count no more.
func (s *Store) UndoKitService(ctx context.Context, id uuid.UUID, at time.Time) error {
	return mustTouch(s.exec(ctx, `
		UPDATE kit_services SET withdrawn_at = ?1 WHERE item_id = ?2 AND at =
			(SELECT MAX(at) FROM kit_services WHERE item_id = ?2 AND withdrawn_at IS NULL)`, instant(at), id))
}
