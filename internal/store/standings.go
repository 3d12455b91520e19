package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/date"
	"fribbet/internal/core/due"
	"fribbet/internal/core/rhythm"
)

// DogStanding is what the lists read of a dog. It is worked out from the records by whoever knows
// the rules; the store keeps it, and forgets it when something new is told of the dog.
type DogStanding struct {
	DogID    uuid.UUID
	Revision int    // of the dog's records that it was worked out from
	Fold     int    // version of the rules that folded the feet
	Feet     []byte // how the last ended sitting or look left it; nil when that is to be folded
	Stamp    string // of that writing
	Folded   bool   // the feet are new, and to be kept
	Terms    string // under which the date was set
	Foremost bool
	Turn     date.Date // by which the list is sorted
	NameKey  string
	Standing due.Standing
	Due      []byte    // the date and its reasons
	DueOn    date.Date // zero when there is none
	Why      string    // that date, in a sentence
}

type standingRow struct {
	DogID    uuid.UUID    `db:"dog_id"`
	Revision int          `db:"revision"`
	Fold     *int         `db:"fold"`
	Feet     *string      `db:"body"`
	Stamp    *string      `db:"stamp"`
	Terms    *string      `db:"terms"`
	Foremost bool         `db:"foremost"`
	Turn     string       `db:"turn_on"`
	NameKey  string       `db:"name_key"`
	Standing due.Standing `db:"standing"`
	Due      *string      `db:"due"`
	DueOn    *string      `db:"due_on"`
	Why      string       `db:"due_why"`
	At       string       `db:"at"`
}

const standingColumns = `dog_id, revision, fold, body, stamp, terms, foremost, turn_on, name_key, standing, due, due_on,
	due_why`

func (r standingRow) standing() (DogStanding, error) {
	s := DogStanding{
		DogID:    r.DogID,
		Revision: r.Revision,
		Terms:    orEmpty(r.Terms),
		Foremost: r.Foremost,
		NameKey:  r.NameKey,
		Standing: r.Standing,
		Why:      r.Why,
	}
	if r.Feet != nil {
		s.Fold, s.Feet, s.Stamp = *r.Fold, []byte(*r.Feet), orEmpty(r.Stamp)
	}
	if r.Due != nil {
		s.Due = []byte(*r.Due)
	}
	if r.Turn == "" { // not worked out yet
		return s, nil
	}
	turn, err := date.Parse(r.Turn)
	s.Turn = turn
	return s, err
}

// Told is what is kept of every dog's sittings as lists show them, of those that were folded by these rules.
func (s *Store) Told(ctx context.Context, fold int) ([][]byte, error) {
	var all [][]byte
	err := s.rows(
		ctx,
		&all,
		`SELECT body ->> '$.Told' FROM feet WHERE fold = ? AND body ->> '$.Told' IS NOT NULL`,
		fold,
	)
	return all, err
}

// Stale lists the dogs whose standing is not worked out under these terms.
func (s *Store) Stale(ctx context.Context, terms string) ([]uuid.UUID, error) {
	var ids []uuid.UUID
	err := s.rows(ctx, &ids, `SELECT dog_id FROM standings WHERE terms IS NOT ? ORDER BY turn_on`, terms)
	return ids, err
}

// Row is a dog's standing as a list shows it.
type Row struct {
	DogID uuid.UUID `db:"dog_id"`
	Name  string    `db:"name"`
	Due   *string   `db:"due"` // nil when it was never worked out
}

// Page is a stretch of the due list.
type Page struct {
	Rows  []Row
	Found int // dogs that the search finds
	All   int
	Late  int
}

// Find says which dogs of the due list are wanted.
type Find struct {
	Name          string // holds this, in small letters
	Open          bool   // has a sitting under way
	Offset, Limit int
}

// DuePage reads a stretch of the due list, in its order.
func (s *Store) DuePage(ctx context.Context, f Find) (Page, error) {
	const wanted = `instr(name_key, ?) > 0 AND (NOT ? OR dog_id IN (SELECT dog_id FROM logs WHERE ended = 0
		AND withdrawn_at IS NULL))`
	var p Page
	err := s.read(ctx, func(tx *sqlx.Tx) error {
		if err := tx.SelectContext(ctx, &p.Rows, `
			SELECT dog_id, name, due FROM standings JOIN dogs ON id = dog_id
			WHERE `+wanted+` ORDER BY foremost DESC, turn_on, name_key, dog_id
				LIMIT ? OFFSET ?`, f.Name, f.Open, f.Limit, f.Offset); err != nil {
			return err
		}
		return tx.QueryRowxContext(ctx, `
			SELECT count(*), count(*) FILTER (WHERE `+wanted+`), count(*) FILTER (WHERE standing = ?) FROM standings`,
			f.Name, f.Open, due.Late).Scan(&p.All, &p.Found, &p.Late)
	})
	return p, err
}

// Standings reads some dogs' standings.
func (s *Store) Standings(ctx context.Context, ids []uuid.UUID) (map[uuid.UUID]DogStanding, error) {
	var rows []standingRow
	err := s.rows(ctx, &rows, `
		SELECT `+standingColumns+` FROM standings LEFT JOIN feet USING (dog_id)
		WHERE dog_id IN (SELECT value FROM json_each(?))`, listOf(ids))
	if err != nil {
		return nil, err
	}
	all := make(map[uuid.UUID]DogStanding, len(rows))
	for _, r := range rows {
		if all[r.DogID], err = r.standing(); err != nil {
			return nil, err
		}
	}
	return all, nil
}

// Kept names the writing of what is kept of a dog's feet.
type Kept struct {
	Revision int    `db:"revision"` // of the dog's records
	Fold     int    `db:"fold"`     // the version of the rules that folded it
	Stamp    string `db:"stamp"`
	Within   bool   `db:"within"` // a sitting that was asked about is in it: it has ended
}

// Kept names the writing of what is kept of a dog's feet, and tells whether one sitting is in it; no stamp where
// nothing is kept.
func (s *Store) Kept(ctx context.Context, dogID, sittingID uuid.UUID) (Kept, error) {
	var rows []Kept
	err := s.rows(ctx, &rows, `
		SELECT revision, fold, stamp, EXISTS (SELECT 1 FROM logs WHERE sitting_id = ? AND ended = 1
			AND withdrawn_at IS NULL) AS within
			FROM feet JOIN standings USING (dog_id) WHERE dog_id = ?`, sittingID, dogID)
	if err != nil || len(rows) == 0 {
		return Kept{}, err
	}
	return rows[0], nil
}

// KeepStandings keeps what was worked out, but for dogs of which something new was told since.
func (s *Store) KeepStandings(ctx context.Context, all []DogStanding, at time.Time) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		keep, err := tx.PrepareNamedContext(ctx, `
			UPDATE standings SET terms = :terms, foremost = :foremost, turn_on = :turn_on,
				name_key = :name_key, standing = :standing, due = :due,
				sequence = sequence + (due_on IS NOT :due_on AND due_on IS NOT NULL),
				moved_at = CASE WHEN due_on IS NOT :due_on THEN :at ELSE moved_at END,
				was_on = CASE WHEN rules <> :fold AND due_on IS NOT :due_on THEN due_on ELSE was_on END,
				rules = :fold, due_on = :due_on, due_why = :due_why, visit = NULL
			WHERE dog_id = :dog_id AND revision = :revision`)
		if err != nil {
			return err
		}
		defer keep.Close() //nolint:errcheck // closed with its transaction anyway
		for _, one := range all {
			err := mustTouch(keep.ExecContext(ctx, standingRow{
				DogID:    one.DogID,
				Revision: one.Revision,
				Fold:     &one.Fold,
				Terms:    &one.Terms,
				Foremost: one.Foremost,
				Turn:     one.Turn.String(),
				NameKey:  one.NameKey,
				Standing: one.Standing,
				Due:      orNull(string(one.Due)),
				DueOn:    orNull(one.DueOn.String()),
				Why:      one.Why,
				At:       instant(at),
			}))
			if err == nil && one.Folded {
				err = keepFeet(ctx, tx, one.DogID, FoldedFeet{one.Revision, one.Fold, one.Feet})
			}
			if err != nil && err != ErrNotFound { // something new was told of it: it is stale again
				return err
			}
		}
		return nil
	})
}

// Moved is a dog's date that a change of the rules moved.
type Moved struct {
	DogID    uuid.UUID
	Name     string
	Was, Now date.Date
	Why      string // the sentence of its date now
	Due      []byte // that date and its reasons
	Rhythm   rhythm.Rhythm
}

// MovedByRules lists the dates that a change of the rules moved and that nobody has seen yet.
func (s *Store) MovedByRules(ctx context.Context) ([]Moved, error) {
	var rows []struct {
		DogID uuid.UUID     `db:"dog_id"`
		Name  string        `db:"name"`
		Was   dateColumn    `db:"was_on"`
		Now   dateColumn    `db:"due_on"`
		Why   string        `db:"why"`
		Due   string        `db:"due"`
		Every rhythm.Rhythm `db:"rhythm"`
	}
	err := s.rows(ctx, &rows, `
		SELECT dog_id, name, was_on, due_on, COALESCE(due_why, '') AS why, COALESCE(due, '') AS due, rhythm
			FROM standings JOIN dogs ON id = dog_id
		WHERE was_on IS NOT NULL AND due_on IS NOT NULL AND was_on <> due_on ORDER BY due_on, name, dog_id`)
	moved := make([]Moved, len(rows))
	for i, r := range rows {
		moved[i] = Moved{r.DogID, r.Name, r.Was.Date, r.Now.Date, r.Why, []byte(r.Due), r.Every}
	}
	return moved, err
}

// SeenMoved forgets which dates a change of the rules moved.
func (s *Store) SeenMoved(ctx context.Context) error {
	_, err := s.exec(ctx, `UPDATE standings SET was_on = NULL WHERE was_on IS NOT NULL`)
	return err
}

// FoldedFeet are what a dog's records fold into.
type FoldedFeet struct {
	Revision int    // of the records that were folded
	Fold     int    // the version of the rules that folded them
	Feet     []byte // as it is kept
}

// KeepFeet keeps what a dog's records folded into, unless something new was told of it since.
func (s *Store) KeepFeet(ctx context.Context, dogID uuid.UUID, f FoldedFeet) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		var now int
		err := tx.GetContext(ctx, &now, `SELECT revision FROM standings WHERE dog_id = ?`, dogID)
		if err != nil || now != f.Revision {
			return err
		}
		return keepFeet(ctx, tx, dogID, f)
	})
}

func keepFeet(ctx context.Context, tx *sqlx.Tx, dogID uuid.UUID, f FoldedFeet) error {
	_, err := tx.ExecContext(
		ctx,
		`INSERT OR REPLACE INTO feet (dog_id, fold, body, stamp) VALUES (?, ?, ?, ?)`,
		dogID,
		f.Fold,
		string(f.Feet),
		uuid.NewString(),
	)
	return err
}

// Entry is a dog's date in the calendar.
type Entry struct {
	DogID    uuid.UUID
	Name     string
	On       date.Date
	Why      string
	Sequence int // how often the date has moved
	MovedAt  time.Time
}

// Calendar reads every dog's date, but of those that have a visit from a day on.
func (s *Store) Calendar(ctx context.Context, today date.Date) ([]Entry, error) {
	var rows []struct {
		DogID    uuid.UUID  `db:"dog_id"`
		Name     string     `db:"name"`
		On       dateColumn `db:"due_on"`
		Why      string     `db:"due_why"`
		Sequence int        `db:"sequence"`
		MovedAt  string     `db:"moved_at"`
	}
	err := s.rows(ctx, &rows, `
		SELECT dog_id, name, due_on, due_why, sequence, moved_at FROM standings JOIN dogs ON id = dog_id
		WHERE due_on IS NOT NULL
			AND NOT EXISTS (SELECT 1 FROM visits v WHERE v.dog_id = dogs.id AND v.on_date >= ?
				AND v.state IN ('offered', 'agreed'))
		ORDER BY due_on, name, dog_id`, today.String())
	if err != nil {
		return nil, err
	}
	entries := make([]Entry, len(rows))
	for i, r := range rows {
		entries[i] = Entry{r.DogID, r.Name, r.On.Date, r.Why, r.Sequence, moment(r.MovedAt)}
	}
	return entries, nil
}

// CalendarKey is the secret part of the calendar's address, as it was given last, whatever book was put back since;
// empty before there is one.
func (s *Store) CalendarKey(ctx context.Context) (string, error) {
	var key string
	err := s.row(ctx, &key, `SELECT calendar_key FROM settings`)
	if err == sql.ErrNoRows {
		return "", nil
	}
	if renewed := s.keys.calendar(); err == nil && renewed != "" {
		return renewed, nil
	}
	return key, err
}

// FirstCalendarKey gives the calendar its first address; one that another asked for at once stays.
func (s *Store) FirstCalendarKey(ctx context.Context, key string) error {
	_, err := s.exec(ctx, `UPDATE settings SET calendar_key = ? WHERE calendar_key = ''`, key)
	return err
}

// SetCalendarKey gives the calendar another address: the old one is nobody's any more, nor after a restore.
func (s *Store) SetCalendarKey(ctx context.Context, key string) error {
	old, err := s.CalendarKey(ctx)
	if err == nil {
		err = mustTouch(s.exec(ctx, `UPDATE settings SET calendar_key = ?`, key))
	}
	if err != nil {
		return err
	}
	return s.keys.withdraw(s.file.path, key, old)
}

// listOf is ids as the JSON list that json_each reads.
func listOf(ids []uuid.UUID) string {
	text, _ := json.Marshal(ids) // ids are always text
	return string(text)
}
