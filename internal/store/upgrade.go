package store

import (
	"context"
	"database/sql"
	"embed"
	"fmt"
	"io/fs"
	"maps"
	"slices"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
	"github.com/pressly/goose/v3"

	"fribbet/internal/core/bench"
)

//go:embed migrations/*.sql
var migrations embed.FS

// migrate brings the tables up to date.
func migrate(ctx context.Context, db *sql.DB) error {
	files, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return err
	}
	provider, err := goose.NewProvider(goose.DialectSQLite3, db, files)
	if err != nil {
		return err
	}
	_, err = provider.Up(ctx)
	return err
}

// finishUpgrade does what changed tables left to be done, all of it or nothing.
func (s *Store) finishUpgrade(ctx context.Context, progress func(done, all int)) error {
	var owed []string
	if err := s.db.SelectContext(ctx, &owed, `SELECT what FROM owed ORDER BY what DESC`); err != nil || len(owed) == 0 {
		return err
	}
	return s.write(ctx, func(tx *sqlx.Tx) error {
		for _, what := range owed {
			var err error
			switch what {
			case "lists":
				_, err = s.rebuild(ctx, tx, progress)
			case "logs":
				err = s.giveLogs(ctx, tx, progress)
			}
			if err != nil {
				return fmt.Errorf("%s: %w", what, err)
			}
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM owed`)
		return err
	})
}

// giveLogs gives the sittings from before there were logs one each, that comes to what the lists say of
// them, dog by dog; and what the kit bore at them.
func (s *Store) giveLogs(ctx context.Context, tx *sqlx.Tx, progress func(done, all int)) error {
	var without []struct {
		DogID uuid.UUID `db:"dog_id"`
		N     int       `db:"n"`
	}
	if err := tx.SelectContext(ctx, &without, `
		SELECT dog_id, COUNT(*) AS n FROM sittings WHERE id NOT IN (SELECT sitting_id FROM logs)
			GROUP BY dog_id`); err != nil {
		return err
	}
	done, all := 0, 0
	for _, d := range without {
		all += d.N
	}
	days := map[dateColumn]bool{}
	for _, d := range without {
		progress(done, all)
		if err := s.giveLogsOf(ctx, tx, d.DogID, days); err != nil {
			return err
		}
		done += d.N
	}
	return s.wear(ctx, tx, slices.Collect(maps.Keys(days))...)
}

func (s *Store) giveLogsOf(ctx context.Context, tx *sqlx.Tx, dogID uuid.UUID, days map[dateColumn]bool) error {
	const where = ` WHERE dog_id = ? AND id NOT IN (SELECT sitting_id FROM logs)`
	var rows []logRow
	if err := tx.SelectContext(ctx, &rows, `
		SELECT id AS sitting_id, dog_id, on_date, recorded_at AS begun_at, 1 AS ended, withdrawn_at
			FROM sittings`+where+` ORDER BY recorded_at, id`, dogID); err != nil {
		return err
	}
	sittings, err := s.readSittings(ctx, tx, where, dogID)
	if err != nil {
		return err
	}
	if _, err := tx.ExecContext(
		ctx,
		`DELETE FROM stints WHERE sitting_id IN (SELECT id FROM sittings`+where+`)`,
		dogID,
	); err != nil {
		return err
	}
	var events []eventRow
	for _, row := range rows {
		days[row.On] = true
		at, err := time.Parse(instantForm, row.BegunAt)
		if err != nil {
			return err
		}
		told := sittings[dogID][slices.IndexFunc(sittings[dogID], func(one Sitting) bool { return one.ID == row.SittingID })]
		log, err := eventRows(row.SittingID, bench.LogOf(row.SittingID.String(), told.Sitting, at), 0, at)
		if err != nil {
			return err
		}
		events = append(events, log...)
	}
	if err := addLogs(ctx, tx, rows, events); err != nil {
		return err
	}
	return addStints(ctx, tx, sittings[dogID])
}
