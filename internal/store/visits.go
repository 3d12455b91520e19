package store

import (
	"context"
	"encoding/json"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/date"
	"fribbet/internal/core/round"
)

// WorkingWeek is when there is work, and how much of it.
type WorkingWeek struct {
	Version int `json:"-"`
	Week    round.Week
	Limits  round.Limits
	Texts   map[round.MessageKind]string // the user's own words, where there are some
	Remind  bool                         // whoever may be reminded is, at five in the evening before
}

// WorkingWeek returns it; ErrNotFound as long as none was told.
func (s *Store) WorkingWeek(ctx context.Context) (WorkingWeek, error) {
	var rows []struct {
		Version int    `db:"version"`
		Body    string `db:"body"`
	}
	if err := s.rows(ctx, &rows, `SELECT version, body FROM working_week`); err != nil {
		return WorkingWeek{}, err
	}
	if len(rows) == 0 {
		return WorkingWeek{}, ErrNotFound
	}
	w := WorkingWeek{}
	fromJSON(rows[0].Body, &w)
	w.Version = rows[0].Version
	return w, nil
}

// SaveWorkingWeek keeps it; ErrConflict when it was changed since it was read as w.Version.
func (s *Store) SaveWorkingWeek(ctx context.Context, w WorkingWeek) error {
	body, err := json.Marshal(w)
	if err != nil {
		return err
	}
	return s.write(ctx, func(tx *sqlx.Tx) error {
		var there int
		if err := tx.GetContext(ctx, &there, `SELECT coalesce(max(version), 0) FROM working_week`); err != nil {
			return err
		}
		if there != w.Version {
			return ErrConflict
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO working_week (one, version, body) VALUES (1, ?1, ?2)
			ON CONFLICT (one) DO UPDATE SET version = excluded.version, body = excluded.body`, there+1, string(body))
		return err
	})
}

// RoundDog is a dog as far as its visits go, with its owner.
type RoundDog struct {
	DogID     uuid.UUID  `db:"dog_id"`
	Name      string     `db:"name"`
	OwnerID   *uuid.UUID `db:"owner_id"`
	OwnerName *string    `db:"owner_name"`
	Suits     *string    `db:"suits"`
	Due       *string    `db:"due"`   // its turn, as the due list has it
	Asks      *string    `db:"visit"` // what it asks of a visit, as KeepAsks kept it; nil since its standing changed
}

// Visit is a visit in the book.
type Visit struct {
	ID       uuid.UUID
	Dog      RoundDog
	On       date.Date
	Start    round.Clock
	Minutes  int
	State    round.VisitState // as it was told; what its sitting makes of it is not in it
	Sequence int
	Note     string    // of the call
	OffBy    round.Who // that called it off, where somebody did
	Changed  time.Time
	Sitting  *uuid.UUID // of that dog, begun that day
	Begun    time.Time  // that sitting; zero where there is none
	Ended    bool       // that sitting
}

type visitRow struct {
	ID        uuid.UUID        `db:"id"`
	On        dateColumn       `db:"on_date"`
	Start     round.Clock      `db:"start"`
	Minutes   int              `db:"minutes"`
	State     round.VisitState `db:"state"`
	Sequence  int              `db:"sequence"`
	Note      string           `db:"note"`
	OffBy     round.Who        `db:"off_by"`
	ChangedAt string           `db:"changed_at"`
	Sitting   *uuid.UUID       `db:"sitting_id"`
	Begun     *string          `db:"begun_at"`
	Ended     *bool            `db:"ended"`
	RoundDog
}

const (
	ofDogs = ` LEFT JOIN standings ON standings.dog_id = dogs.id LEFT JOIN owned ON owned.dog_id = dogs.id LEFT
		JOIN owners ON owners.id = owner_id AND owners.removed_at IS NULL`
	roundDog = `dogs.id AS dog_id, dogs.name, owners.id AS owner_id, owners.name AS owner_name, suits, due, visit`
	visits   = `
		SELECT v.id, v.on_date, v.start, v.minutes, v.state, v.sequence, v.note, v.off_by, v.changed_at, l.sitting_id,
			l.begun_at, l.ended, ` + roundDog + `
		FROM visits v JOIN dogs ON dogs.id = v.dog_id` + ofDogs + `
		LEFT JOIN logs l ON l.sitting_id = (SELECT sitting_id FROM logs WHERE dog_id = v.dog_id AND on_date = v.on_date
			AND withdrawn_at IS NULL ORDER BY ended DESC, begun_at DESC LIMIT 1)`
)

// Visits returns those of some days, in their order.
func (s *Store) Visits(ctx context.Context, from, until date.Date) ([]Visit, error) {
	return s.visits(
		ctx,
		visits+` WHERE v.on_date BETWEEN ? AND ? ORDER BY v.on_date, v.start, v.id`,
		from.String(),
		until.String(),
	)
}

// VisitsOf returns a dog's, the latest first.
func (s *Store) VisitsOf(ctx context.Context, dogID uuid.UUID) ([]Visit, error) {
	return s.visits(ctx, visits+` WHERE v.dog_id = ? ORDER BY v.on_date DESC, v.start DESC, v.id`, dogID)
}

// VisitsOfOwner returns those of an owner's dogs, the latest first.
func (s *Store) VisitsOfOwner(ctx context.Context, ownerID uuid.UUID) ([]Visit, error) {
	return s.visits(
		ctx,
		visits+` WHERE v.dog_id IN (SELECT dog_id FROM owned WHERE owner_id = ?)
			ORDER BY v.on_date DESC, v.start DESC, v.id`,
		ownerID,
	)
}

// Visit returns one; ErrNotFound when there is none.
func (s *Store) Visit(ctx context.Context, id uuid.UUID) (Visit, error) {
	all, err := s.visits(ctx, visits+` WHERE v.id = ?`, id)
	if err == nil && len(all) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return Visit{}, err
	}
	return all[0], nil
}

func (s *Store) visits(ctx context.Context, text string, args ...any) ([]Visit, error) {
	var rows []visitRow
	if err := s.rows(ctx, &rows, text, args...); err != nil {
		return nil, err
	}
	all := make([]Visit, len(rows))
	for i, r := range rows {
		var begun time.Time
		if r.Begun != nil {
			begun = moment(*r.Begun)
		}
		all[i] = Visit{
			ID:       r.ID,
			Dog:      r.RoundDog,
			On:       r.On.Date,
			Start:    r.Start,
			Minutes:  r.Minutes,
			State:    r.State,
			Sequence: r.Sequence,
			Note:     r.Note,
			OffBy:    r.OffBy,
			Changed:  moment(r.ChangedAt),
			Sitting:  r.Sitting,
			Begun:    begun,
			Ended:    r.Ended != nil && *r.Ended,
		}
	}
	return all, nil
}

// KeepVisit keeps a visit: a new one, or a changed one that was read as v.Sequence. It returns ErrConflict when
// that is not the newest. The same once more changes nothing. meanwhile looks at the visits of its day before it
// is kept, so that no two are given one place at once; it must not write.
func (s *Store) KeepVisit(ctx context.Context, v Visit, at time.Time, meanwhile func(day []Visit) error) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		var there []visitRow
		if err := tx.SelectContext(ctx, &there, visits+` WHERE v.id = ?`, v.ID); err != nil {
			return err
		}
		if len(there) > 0 {
			t := there[0]
			if t.DogID == v.Dog.DogID && t.On.Date == v.On && t.Start == v.Start && t.Minutes == v.Minutes &&
				t.State == v.State &&
				t.Note == v.Note &&
				t.OffBy == v.OffBy {
				return nil
			}
			if t.Sequence != v.Sequence || t.DogID != v.Dog.DogID {
				return ErrConflict
			}
		}
		day, err := s.Visits(ctx, v.On, v.On)
		if err == nil {
			err = meanwhile(day)
		}
		if err != nil {
			return err
		}
		if v.State.Takes() { // it waits for that day no more
			if _, err := tx.ExecContext(
				ctx,
				`DELETE FROM waiting WHERE dog_id = ? AND on_date = ?`,
				v.Dog.DogID,
				v.On.String(),
			); err != nil {
				return err
			}
		}
		return mustTouch(tx.ExecContext(
			ctx,
			`
			INSERT INTO visits (id, dog_id, on_date, start, minutes, state, sequence, changed_at, note, off_by)
			SELECT ?1, id, ?3, ?4, ?5, ?6, 0, ?7, ?8, ?9 FROM dogs WHERE id = ?2
			ON CONFLICT (id) DO UPDATE SET on_date = excluded.on_date, start = excluded.start,
				minutes = excluded.minutes,
				state = excluded.state, sequence = sequence + 1, changed_at = excluded.changed_at, note = excluded.note,
					off_by = excluded.off_by`,
			v.ID,
			v.Dog.DogID,
			v.On.String(),
			int(v.Start),
			v.Minutes,
			string(v.State),
			instant(at),
			v.Note,
			string(v.OffBy),
		))
	})
}

// Candidates returns the dogs that are due by a day and have no visit from today on, but those not to be called
// before another day, the earliest due first, at most so many.
func (s *Store) Candidates(ctx context.Context, today, until date.Date, most int) ([]RoundDog, error) {
	var rows []RoundDog
	err := s.rows(ctx, &rows, `SELECT `+roundDog+` FROM dogs`+ofDogs+`
		WHERE due_on <= ?2
			AND NOT EXISTS (SELECT 1 FROM visits v WHERE v.dog_id = dogs.id AND v.on_date >= ?1
				AND v.state IN ('offered', 'agreed'))
			AND NOT EXISTS (SELECT 1 FROM not_now n WHERE n.dog_id = dogs.id AND n.until_date > ?1)
		ORDER BY due_on, dogs.id LIMIT ?3`, today.String(), until.String(), most)
	return rows, err
}

// RoundDogOf returns one dog; ErrNotFound when there is none.
func (s *Store) RoundDogOf(ctx context.Context, dogID uuid.UUID) (RoundDog, error) {
	var rows []RoundDog
	err := s.rows(ctx, &rows, `SELECT `+roundDog+` FROM dogs`+ofDogs+` WHERE dogs.id = ?`, dogID)
	if err == nil && len(rows) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return RoundDog{}, err
	}
	return rows[0], nil
}

// FindRoundDogs returns dogs whose name, or whose owner's, holds some letters, those whose own name begins with them
// first.
func (s *Store) FindRoundDogs(ctx context.Context, text string, most int) ([]RoundDog, error) {
	var rows []RoundDog
	err := s.rows(ctx, &rows, `SELECT `+roundDog+` FROM dogs`+ofDogs+`
		WHERE instr(standings.name_key, ?1) > 0 OR instr(owners.name_key, ?1) > 0
		ORDER BY instr(standings.name_key, ?1) <> 1, standings.name_key, dogs.id LIMIT ?2`, text, most)
	return rows, err
}

// NotNow says not to call for a dog before a day.
func (s *Store) NotNow(ctx context.Context, dogID uuid.UUID, until date.Date) error {
	return mustTouch(s.exec(ctx, `
		INSERT INTO not_now (dog_id, until_date) SELECT id, ? FROM dogs WHERE id = ?
		ON CONFLICT (dog_id) DO UPDATE SET until_date = excluded.until_date`, until.String(), dogID))
}

// KeepAsks keeps what dogs ask of a visit, until their standing changes; by dog.
func (s *Store) KeepAsks(ctx context.Context, asks map[uuid.UUID][]byte, revisions map[uuid.UUID]int) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		for id, one := range asks {
			if _, err := tx.ExecContext(
				ctx,
				`UPDATE standings SET visit = ? WHERE dog_id = ? AND revision = ? AND terms IS NOT NULL`,
				string(one),
				id,
				revisions[id],
			); err != nil {
				return err
			}
		}
		return nil
	})
}
