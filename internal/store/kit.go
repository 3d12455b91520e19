package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/date"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
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

func (r kitRow) item() (KitItem, error) {
	i := KitItem{ID: r.ID, Version: r.Version, Item: kit.Item{
		Kind: r.Kind, Name: r.Name, Guard: r.Guard, Grit: r.Grit, Tip: r.Tip, On: orEmpty(r.On), Limit: r.Limit, Stock: r.Stock,
	}}
	if r.Expires != nil {
		i.Item.Expires = r.Expires.Date
	}
	if r.ServicedOn == nil {
		return i, nil
	}
	at, err := time.Parse(instantForm, *r.ServicedAt)
	i.Serviced = kit.Moment{On: r.ServicedOn.Date, At: at}
	return i, err
}

// Kit returns the pieces that are in the kit, in the order in which they were added.
func (s *Store) Kit(ctx context.Context) ([]KitItem, error) {
	var rows []kitRow
	err := s.db.SelectContext(ctx, &rows, `
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
		if items[i], err = row.item(); err != nil {
			return nil, err
		}
	}
	return items, nil
}

// KnowsItem tells whether there is or was such a piece of kit.
func (s *Store) KnowsItem(ctx context.Context, id string) (bool, error) {
	var n int
	err := s.db.GetContext(ctx, &n, `SELECT COUNT(*) FROM kit_items WHERE id = ?`, id)
	return n > 0, err
}

// AddKitItem keeps a new piece as version 1. One that is there already, by its id, changes nothing.
func (s *Store) AddKitItem(ctx context.Context, i KitItem, at time.Time) error {
	_, err := s.db.NamedExecContext(ctx, `
		INSERT INTO kit_items (id, version, kind, name, guard, grit, tip, on_item_id, most, expires_on, stock, added_at)
		VALUES (:id, 1, :kind, :name, :guard, :grit, :tip, :on_item_id, :most, :expires_on, :stock, :added_at)
		ON CONFLICT (id) DO NOTHING`, kitRowOf(i, at))
	return err
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
			UPDATE kit_items SET version = version + 1, kind = :kind, name = :name, guard = :guard, grit = :grit, tip = :tip,
				on_item_id = :on_item_id, most = :most, expires_on = :expires_on, stock = :stock
			WHERE id = :id`, kitRowOf(i, time.Time{}))
		return err
	})
}

// RemoveKitItem takes a piece out of the kit. Doing it twice changes nothing.
func (s *Store) RemoveKitItem(ctx context.Context, id uuid.UUID, at time.Time) error {
	return mustTouch(s.db.ExecContext(ctx, `UPDATE kit_items SET removed_at = COALESCE(removed_at, ?) WHERE id = ?`, instant(at), id))
}

// ServiceKitItem notes that a piece is as new.
func (s *Store) ServiceKitItem(ctx context.Context, id uuid.UUID, m kit.Moment) error {
	return mustTouch(s.db.ExecContext(ctx, `
		INSERT INTO kit_services (item_id, on_date, at) SELECT id, ?, ? FROM kit_items WHERE id = ? AND removed_at IS NULL`,
		m.On.String(), instant(m.At), id))
}

// UndoKitService makes a piece's last service count no more.
func (s *Store) UndoKitService(ctx context.Context, id uuid.UUID, at time.Time) error {
	return mustTouch(s.db.ExecContext(ctx, `
		UPDATE kit_services SET withdrawn_at = ?1 WHERE item_id = ?2 AND at =
			(SELECT MAX(at) FROM kit_services WHERE item_id = ?2 AND withdrawn_at IS NULL)`, instant(at), id))
}

type stintRow struct {
	SittingID  uuid.UUID  `db:"sitting_id"`
	On         dateColumn `db:"on_date"`
	RecordedAt string     `db:"recorded_at"`
	Item       string     `db:"item_id"`
	Cuts       int        `db:"cuts"`
	Nails      int        `db:"nails"`
	AllNails   int        `db:"all_nails"`
	Minutes    *float64   `db:"minutes"`
	TookForce  bool       `db:"took_force"`
}

// addStints writes what a sitting asked of each piece of kit.
func addStints(ctx context.Context, tx *sqlx.Tx, s Sitting) error {
	stints := map[string]*stintRow{}
	all := 0
	for _, r := range s.Records {
		if len(r.Cuts) > 0 {
			all++
		}
		if r.Item == "" {
			continue
		}
		if stints[r.Item] == nil {
			stints[r.Item] = &stintRow{SittingID: s.ID, Item: r.Item}
		}
		stint := stints[r.Item]
		stint.Cuts += len(r.Cuts)
		stint.Nails += min(1, len(r.Cuts))
		stint.TookForce = stint.TookForce || r.TookForce
	}
	for _, stint := range stints {
		stint.AllNails = all
		if _, err := tx.NamedExecContext(ctx, `
			INSERT INTO stints (sitting_id, item_id, cuts, nails, all_nails, took_force)
			VALUES (:sitting_id, :item_id, :cuts, :nails, :all_nails, :took_force)`, stint); err != nil {
			return err
		}
	}
	return nil
}

// Stints returns what each sitting since a day asked of each piece of kit.
func (s *Store) Stints(ctx context.Context, since date.Date) ([]kit.Stint, error) {
	var rows []stintRow
	err := s.db.SelectContext(ctx, &rows, `
		SELECT t.*, s.on_date, s.recorded_at, s.minutes FROM stints t CROSS JOIN sittings s ON s.id = t.sitting_id -- the stints first: there are fewer
		WHERE s.withdrawn_at IS NULL AND s.on_date >= ? ORDER BY s.on_date, s.recorded_at`, since.String())
	if err != nil {
		return nil, err
	}
	stints := make([]kit.Stint, len(rows))
	for i, r := range rows {
		at, err := time.Parse(instantForm, r.RecordedAt)
		if err != nil {
			return nil, err
		}
		stints[i] = kit.Stint{
			Moment: kit.Moment{On: r.On.Date, At: at}, Item: r.Item, Cuts: float64(r.Cuts), Nails: float64(r.Nails), AllNails: float64(r.AllNails),
			Minutes: r.Minutes, TookForce: r.TookForce,
		}
	}
	return stints, nil
}

// Ground returns the nails that a piece of kit has ground from one measured length to another.
func (s *Store) Ground(ctx context.Context, item string) ([]quick.Ground, error) {
	var rows []struct {
		Took    float64 `db:"took"`
		Touches int     `db:"touches"`
	}
	err := s.db.SelectContext(ctx, &rows, `
		SELECT r.length_before_mm - r.length_after_mm AS took,
			(SELECT COUNT(*) FROM cuts c WHERE c.sitting_id = r.sitting_id AND c.code = r.code) AS touches
		FROM records r JOIN sittings s ON s.id = r.sitting_id
		WHERE r.item_id = ? AND s.withdrawn_at IS NULL AND r.length_before_mm IS NOT NULL AND r.length_after_mm IS NOT NULL`, item)
	ground := make([]quick.Ground, len(rows))
	for i, r := range rows {
		ground[i] = quick.Ground{Took: r.Took, Touches: r.Touches}
	}
	return ground, err
}
