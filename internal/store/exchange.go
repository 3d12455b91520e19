package store

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io/fs"
	"maps"
	"os"
	"path/filepath"
	"slices"
	"strconv"
	"strings"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/bench"
)

// Snapshot is the book as it stands at one moment, read table by table.
type Snapshot struct {
	tx *sqlx.Tx
}

// Snapshot reads the book while others may write.
func (s *Store) Snapshot(ctx context.Context, read func(Snapshot) error) error {
	return s.read(ctx, func(tx *sqlx.Tx) error { return read(Snapshot{tx}) })
}

// Rows tells some columns of every row of a table in the order of its key; where is a condition of the program's own,
// empty for all of them.
func (s Snapshot) Rows(
	ctx context.Context,
	table string,
	columns, key []string,
	where string,
	args []any,
	each func([]any) error,
) error {
	text := `SELECT ` + strings.Join(columns, ", ") + ` FROM ` + table
	if where != "" {
		text += ` WHERE ` + where
	}
	rows, err := s.tx.QueryxContext(ctx, text+` ORDER BY `+strings.Join(key, ", "), args...)
	if err != nil {
		return err
	}
	defer rows.Close() //nolint:errcheck // its error is asked for below
	for rows.Next() {
		values, err := rows.SliceScan()
		if err != nil {
			return err
		}
		if err := each(values); err != nil {
			return err
		}
	}
	return rows.Err()
}

// LoggedEvent is one event of a log as it goes from book to book.
type LoggedEvent struct {
	Sitting  uuid.UUID       `json:"sitting_id"`
	Number   int             `json:"number"`
	ID       string          `json:"id"`
	Recorded string          `json:"recorded_at"`
	Event    json.RawMessage `json:"event"`
}

// Events tells every event of the logs, log by log, each as the line that a LoggedEvent is. It is put together by hand:
// a book of years has millions, and each body is JSON already.
func (s Snapshot) Events(ctx context.Context, where string, args []any, each func(line []byte) error) error {
	var line []byte
	return s.Rows(
		ctx,
		"events",
		[]string{"sitting_id", "number", "id", "recorded_at", "body"},
		[]string{"sitting_id", "number"},
		where,
		args,
		func(v []any) error {
			id, err := json.Marshal(v[2])
			if err != nil {
				return err
			}
			line = append(append(line[:0], `{"sitting_id":"`...), v[0].(string)...)
			line = strconv.AppendInt(append(line, `","number":`...), v[1].(int64), 10)
			line = append(append(line, `,"id":`...), id...)
			line = append(append(line, `,"recorded_at":"`...), v[3].(string)...)
			line = append(append(line, `","event":`...), v[4].(string)...)
			return each(append(line, "}\n"...))
		},
	)
}

// Count is how many rows there are.
func (s Snapshot) Count(ctx context.Context, table string) (n int, err error) {
	err = s.tx.GetContext(ctx, &n, `SELECT count(*) FROM `+table)
	return n, err
}

// Importer takes rows of another book in, all of them or none.
type Importer struct {
	Snapshot
	store  *Store
	insert map[string]*sqlx.Stmt
	find   map[string]*sqlx.Stmt
	event  *sqlx.Stmt
	days   map[dateColumn]bool // of the sittings that were worked out
}

// Import runs take in one transaction; nothing is kept where it returns an error, or keep is false. What belongs to
// what is not there is refused at the end.
func (s *Store) Import(ctx context.Context, keep bool, take func(*Importer) error) error {
	err := s.write(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `PRAGMA defer_foreign_keys = ON`); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, roomy); err != nil { // millions of events come in no order of their ids
			return err
		}
		defer tx.ExecContext(ctx, usualRoom) //nolint:errcheck // it is only less room than it might have
		in := &Importer{
			Snapshot: Snapshot{tx},
			store:    s,
			insert:   map[string]*sqlx.Stmt{},
			find:     map[string]*sqlx.Stmt{},
			days:     map[dateColumn]bool{},
		}
		defer in.close()
		var err error
		if in.event, err = tx.PreparexContext(
			ctx,
			`INSERT INTO events (sitting_id, number, id, recorded_at, body) VALUES (?, ?, ?, ?, ?)`,
		); err != nil {
			return err
		}
		if err := take(in); err != nil {
			return err
		}
		if err := s.wear(ctx, tx, slices.Collect(maps.Keys(in.days))...); err != nil {
			return err
		}
		if err := in.whole(ctx); err != nil || keep {
			return err
		}
		return errTried
	})
	if errors.Is(err, errTried) {
		return nil
	}
	return err
}

// How much of a file is kept in memory while a book is taken in, and otherwise (SQLite's own), kB.
const (
	roomy     = `PRAGMA cache_size = -65536`
	usualRoom = `PRAGMA cache_size = -2000`
)

var errTried = errors.New("tried, and not kept")

func (in *Importer) close() {
	for _, all := range []map[string]*sqlx.Stmt{in.insert, in.find} {
		for _, s := range all {
			_ = s.Close() // it was read whole
		}
	}
	_ = in.event.Close()
}

// Find is some columns of the row that has these values of its key; nil when there is none.
func (in *Importer) Find(ctx context.Context, table string, columns, key []string, values []any) ([]any, error) {
	statement := in.find[table]
	if statement == nil {
		var err error
		statement, err = in.tx.PreparexContext(
			ctx,
			`SELECT `+strings.Join(columns, ", ")+` FROM `+table+` WHERE `+strings.Join(key, " = ? AND ")+` = ?`,
		)
		if err != nil {
			return nil, err
		}
		in.find[table] = statement
	}
	rows, err := statement.QueryxContext(ctx, values...)
	if err != nil {
		return nil, err
	}
	defer rows.Close() //nolint:errcheck // its error is asked for below
	if !rows.Next() {
		return nil, rows.Err()
	}
	return rows.SliceScan()
}

// Insert adds a row.
func (in *Importer) Insert(ctx context.Context, table string, columns []string, values []any) error {
	statement := in.insert[table]
	if statement == nil {
		var err error
		statement, err = in.tx.PreparexContext(
			ctx,
			`INSERT INTO `+table+` (`+strings.Join(
				columns,
				", ",
			)+`) VALUES (?`+strings.Repeat(
				", ?",
				len(columns)-1,
			)+`)`,
		)
		if err != nil {
			return err
		}
		in.insert[table] = statement
	}
	_, err := statement.ExecContext(ctx, values...)
	return err
}

// InsertEvent adds an event to a log.
func (in *Importer) InsertEvent(ctx context.Context, e LoggedEvent) error {
	_, err := in.event.ExecContext(ctx, e.Sitting, e.Number, e.ID, e.Recorded, string(e.Event))
	return err
}

// Dog is a dog as it stands with what was taken in.
func (in *Importer) Dog(ctx context.Context, id uuid.UUID) (Dog, error) {
	all, err := in.store.dogsIn(ctx, in.tx, `WHERE id = ?`, id)
	if err == nil && len(all) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return Dog{}, err
	}
	return all[0], nil
}

// Checks are a dog's walk-rounds with what was taken in.
func (in *Importer) Checks(ctx context.Context, dogID uuid.UUID) ([]WalkRound, error) {
	all, err := in.store.checksIn(ctx, in.tx, ` WHERE dog_id = ?`, dogID)
	return all[dogID], err
}

// Log is a sitting's, and whose.
func (in *Importer) Log(ctx context.Context, sitting uuid.UUID) (uuid.UUID, bench.Log, error) {
	row, log, err := in.store.readLog(ctx, in.tx, sitting)
	return row.DogID, log, err
}

// Nullable tells which columns of a table may be missing.
func (in *Importer) Nullable(ctx context.Context, table string) (map[string]bool, error) {
	var columns []struct {
		Name    string `db:"name"`
		NotNull bool   `db:"notnull"`
	}
	if err := in.tx.SelectContext(
		ctx,
		&columns,
		`SELECT name, "notnull" FROM pragma_table_info(?)`,
		table,
	); err != nil {
		return nil, err
	}
	all := map[string]bool{}
	for _, c := range columns {
		all[c.Name] = !c.NotNull
	}
	return all, nil
}

// Project works a sitting out from its log, as far as it is known: what the lists read of it.
func (in *Importer) Project(ctx context.Context, sitting uuid.UUID) (bench.Log, error) {
	row, log, err := in.store.readLog(ctx, in.tx, sitting)
	if err != nil {
		return nil, err
	}
	in.days[row.On] = true
	return log, in.store.project(ctx, in.tx, row, log)
}

// whole is that nothing belongs to what is not there.
func (in *Importer) whole(ctx context.Context) error {
	var loose []struct {
		Table  string `db:"table"`
		Row    *int64 `db:"rowid"`
		Parent string `db:"parent"`
		FK     int    `db:"fkid"`
	}
	if err := in.tx.SelectContext(
		ctx,
		&loose,
		`SELECT "table", rowid, parent, fkid FROM pragma_foreign_key_check LIMIT 1`,
	); err != nil ||
		len(loose) == 0 {
		return err
	}
	return Loose{loose[0].Table, loose[0].Parent}
}

// Loose says that rows of a table belong to what is not there.
type Loose struct{ Table, Parent string }

func (l Loose) Error() string {
	return fmt.Sprintf("%s: a row belongs to one of %s that is not there", l.Table, l.Parent)
}

// PutPicture writes a file of a picture that another book had, named by its content, and tells whether it was not
// there.
func (s *Store) PutPicture(name string, data []byte) (fresh bool, err error) {
	if err := os.MkdirAll(s.PicturePlace(), 0o700); err != nil {
		return false, err
	}
	path := filepath.Join(s.PicturePlace(), name)
	_, err = os.Stat(path)
	return errors.Is(err, fs.ErrNotExist), keepFile(path, data)
}

// TakeBackPictures removes files that were put, but those that the book names by now.
func (s *Store) TakeBackPictures(ctx context.Context, names []string) error {
	var all error
	for _, name := range names {
		hash, _, _ := strings.Cut(name, ".")
		var known int
		err := s.row(ctx, &known, `SELECT count(*) FROM pictures WHERE hash = ?`, hash)
		if err == nil && known == 0 {
			err = os.Remove(filepath.Join(s.PicturePlace(), name))
		}
		all = errors.Join(all, err)
	}
	return all
}
