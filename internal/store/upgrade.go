package store

import (
	"context"
	"database/sql"
	"embed"
	"io/fs"

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

// payOwed does what changed tables left to be done, all of it or nothing.
func (s *Store) payOwed(ctx context.Context, progress func(done, all int)) error {
	var owed bool
	if err := s.db.GetContext(ctx, &owed, `SELECT EXISTS (SELECT 1 FROM owed)`); err != nil || !owed {
		return err
	}
	return s.write(ctx, func(tx *sqlx.Tx) error {
		if err := giveLogs(ctx, tx); err != nil {
			return err
		}
		if _, err := rebuild(ctx, tx, progress); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM owed`)
		return err
	})
}

// giveLogs gives the sittings of a book from before there were logs one each, that comes to what the lists
// say of them.
func giveLogs(ctx context.Context, tx *sqlx.Tx) error {
	var rows []logRow
	if err := tx.SelectContext(ctx, &rows, `
		SELECT id AS sitting_id, dog_id, on_date, recorded_at AS begun_at, 1 AS ended, withdrawn_at
		FROM sittings WHERE id NOT IN (SELECT sitting_id FROM logs) ORDER BY recorded_at, id`); err != nil {
		return err
	}
	for _, row := range rows {
		kept, err := readSittings(ctx, tx, ` WHERE id = ?`, row.SittingID)
		if err != nil {
			return err
		}
		at, err := row.begun()
		if err != nil {
			return err
		}
		log := bench.LogOf(row.SittingID.String(), kept[row.DogID][0].Sitting, at)
		if err := writeLog(ctx, tx, row, log, 0, at); err != nil {
			return err
		}
	}
	return nil
}
