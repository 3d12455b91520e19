// Package large makes the large book that speed is measured on: 2,000 dogs, three years of a sitting about
// every four weeks, 1.5 million nail records, a piece of every kind in the kit, some ladders.
package large

import (
	"context"
	"database/sql"
	"fmt"
	"time"

	"github.com/google/uuid"

	"fribbet/internal/book"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/round"
	"fribbet/internal/core/units"
	"fribbet/internal/store"
)

// How large it is.
const (
	Dogs     = 2000
	Sittings = 41 // of each dog

	everyLadder = 20 // so many dogs, one is on a ladder
	dogsEach    = 2  // of one owner
)

// Fill makes the book in a new file. It writes the sittings' tables in one go: told through the book, they
// would take an hour.
func Fill(ctx context.Context, path string, today date.Date) error {
	kept, err := store.Open(ctx, path)
	if err != nil {
		return err
	}
	blade, err := told(ctx, kept)
	if err != nil {
		return err
	}
	if err := kept.Close(); err != nil {
		return err
	}
	db, err := sql.Open("sqlite", path)
	if err != nil {
		return err
	}
	defer db.Close() //nolint:errcheck // throw-away
	db.SetMaxOpenConns(1)
	for _, text := range []string{
		`PRAGMA synchronous = OFF`, `BEGIN`,
		fmt.Sprintf(`WITH RECURSIVE n(i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM n WHERE i < %d)
			INSERT INTO sittings (id, dog_id, on_date, note, recorded_at, minutes, helper, ticks)
			SELECT printf('%%08x-0000-4000-8000-%%012x', row_number() OVER (ORDER BY dogs.id), i), dogs.id,
				date('%s', printf('-%%d days', 3 + 27 * (%d - i))), '', '2026-01-01T00:00:00.000Z', 6, 0, '' FROM dogs, n`,
			Sittings-1, today, Sittings-1),
		fmt.Sprintf(`INSERT INTO records (sitting_id, code, tool, reaction, blood, number, item_id)
			SELECT sittings.id, code, 'large_plier', 'calm', 0, row_number() OVER (PARTITION BY sittings.id), '%s'
				FROM sittings JOIN nails USING (dog_id)`, blade),
		fmt.Sprintf(`INSERT INTO stints (sitting_id, item_id, cuts, seconds, untimed, took_force)
			SELECT id, '%s', 30, 360, 0, 0 FROM sittings`, blade),
		`INSERT INTO cuts (sitting_id, code, number, mm) SELECT sitting_id, code, 1, 1.5 FROM records UNION ALL
			SELECT sitting_id, code, 2, 1.5 FROM records WHERE number % 3 > 0`,
		`INSERT INTO owed VALUES ('logs')`, // each gets one when the book is next opened
		`COMMIT`, `ANALYZE`,
	} {
		if _, err := db.ExecContext(ctx, text); err != nil { //nolint:gosec // our own
			return fmt.Errorf("%.60s: %w", text, err)
		}
	}
	return nil
}

// choices are those of whoever uses it.
var choices = store.Settings{
	Role:       book.Groomer,
	LengthUnit: units.Millimetre,
	WeightUnit: units.Kilogram,
	Margin:     quick.Margin,
	Workdays:   date.EveryDay,
}

// told is what is told through the book: who uses it, dogs, kit, ladders. It returns the blade's id.
func told(ctx context.Context, kept *store.Store) (blade uuid.UUID, err error) {
	b := book.New(
		kept,
		func() time.Time { return time.Date(2026, time.November, 24, 9, 0, 0, 0, time.UTC) },
		book.Options{},
	)
	if err := b.ChangeSettings(ctx, choices); err != nil {
		return blade, err
	}
	var owner uuid.UUID
	for i := range Dogs {
		name, years := fmt.Sprintf("Dog %04d", i), float64(2+i%10)
		d, err := b.AddDog(
			ctx,
			dog.Changes{Name: &name, AgeYears: &years, Weights: []dog.Weight{{Kg: float64(3 + i%60)}}},
		)
		if err != nil {
			return blade, err
		}
		if i%dogsEach == 0 {
			owner = uuid.NewSHA1(d.ID, []byte("owner"))
			if err := b.KeepOwner(
				ctx,
				store.Owner{ID: owner, Owner: round.Owner{Name: fmt.Sprintf("Owner %04d", i), Reach: round.ByHand}},
			); err != nil {
				return blade, err
			}
		}
		if err := b.SetOwner(ctx, d.ID, owner); err != nil {
			return blade, err
		}
		if i%everyLadder == 0 {
			if err := b.StartLadder(
				ctx,
				d.ID,
				store.Ladder{ID: uuid.New(), Ladder: ladder.Ladder{Kind: ladder.Clipper}},
			); err != nil {
				return blade, err
			}
		}
	}
	for _, kind := range kit.Kinds() {
		id := uuid.New()
		if kind == kit.Kind(kit.LargePlier) {
			blade = id
		}
		if err := b.AddKitItem(ctx, store.KitItem{ID: id, Item: kit.Item{Kind: kind, Stock: kit.Full}}); err != nil {
			return blade, err
		}
	}
	return blade, nil
}
