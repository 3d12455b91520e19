package store

import (
	"context"
	"slices"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/hindsight"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
)

// Dog is a dog in the book.
type Dog struct {
	ID      uuid.UUID
	Version int // goes up with every change
	dog.Dog
}

type dogRow struct {
	ID        uuid.UUID      `db:"id"`
	Version   int            `db:"version"`
	Name      string         `db:"name"`
	Birth     dateColumn     `db:"birth_date"`
	Estimated bool           `db:"birth_estimated"`
	FootCoat  dog.Coat       `db:"foot_coat"`
	Pavement  float64        `db:"pavement_km_week"`
	Rhythm    rhythm.Rhythm  `db:"rhythm"`
	Workdays  weekdaysColumn `db:"working_weekdays"`
	WishedGap float64        `db:"wished_gap_mm"`
	School    claw.School    `db:"school"`
	Short     bool           `db:"short_quicks"`
	Entered   *string        `db:"entered_on"`
	LastDone  *float64       `db:"last_done_weeks"`
	Takes     dog.TakesIt    `db:"takes"`
	Dates     rhythm.Dates   `db:"dates"`
	Once      *string        `db:"come_once"`
	handlingRow
}

type handlingRow struct {
	Order       dog.Order    `db:"paw_order"`
	OwnOrder    pawsColumn   `db:"own_order"`
	Position    dog.Position `db:"position"`
	ByPaw       heldColumn   `db:"by_paw"`
	Helper      dog.Helping  `db:"helper"`
	Muzzle      bool         `db:"muzzle"`
	Sore        bool         `db:"sore"`
	SoreTold    bool         `db:"sore_told"`
	Noise       kit.Noise    `db:"noise"`
	MostNails   *int         `db:"most_nails"`
	LargestCut  *float64     `db:"largest_cut_mm"`
	Way         kit.Way      `db:"way"`
	MostMinutes *float64     `db:"most_minutes"`
	Tips        bool         `db:"tips_meanwhile"`
}

func (r handlingRow) handling() dog.Handling {
	return dog.Handling{
		Order:         r.Order,
		OwnOrder:      r.OwnOrder,
		Position:      r.Position,
		ByPaw:         r.ByPaw,
		Helper:        r.Helper,
		Muzzle:        r.Muzzle,
		Sore:          r.Sore,
		SoreTold:      r.SoreTold,
		Noise:         r.Noise,
		MostNails:     r.MostNails,
		MostMinutes:   r.MostMinutes,
		LargestCut:    r.LargestCut,
		Way:           r.Way,
		TipsMeanwhile: r.Tips,
	}
}

func rowOf(d Dog) dogRow {
	h := d.Handling
	return dogRow{
		d.ID,
		d.Version,
		d.Name,
		dateColumn{d.Birth.Date},
		d.Birth.Estimated,
		d.FootCoat,
		d.Pavement,
		d.Rhythm,
		weekdaysColumn{d.Workdays},
		d.WishedGap,
		d.School,
		d.Short,
		orNull(d.Entered.String()),
		d.LastDone,
		d.Takes,
		d.Dates,
		orNull(d.Once.String()),
		handlingRow{
			h.Order,
			h.OwnOrder,
			h.Position,
			h.ByPaw,
			h.Helper,
			h.Muzzle,
			h.Sore,
			h.SoreTold,
			h.Noise,
			h.MostNails,
			h.LargestCut,
			h.Way,
			h.MostMinutes,
			h.TipsMeanwhile,
		},
	}
}

func (r dogRow) dog() Dog {
	d := Dog{
		r.ID,
		r.Version,
		dog.Dog{
			Name:      r.Name,
			Birth:     dog.Birth{Date: r.Birth.Date, Estimated: r.Estimated},
			FootCoat:  r.FootCoat,
			Pavement:  r.Pavement,
			Rhythm:    r.Rhythm,
			Workdays:  r.Workdays.Weekdays,
			WishedGap: r.WishedGap,
			School:    r.School,
			Short:     r.Short,
			Handling:  r.handling(),
			LastDone:  r.LastDone,
			Takes:     r.Takes,
			Dates:     r.Dates,
		},
	}
	if r.Entered != nil {
		d.Entered, _ = date.Parse(*r.Entered)
	}
	if r.Once != nil {
		d.Once, _ = date.Parse(*r.Once)
	}
	return d
}

type weightRow struct {
	DogID uuid.UUID  `db:"dog_id"`
	On    dateColumn `db:"on_date"`
	Kg    float64    `db:"kg"`
}

type walkedRow struct {
	DogID uuid.UUID  `db:"dog_id"`
	Until dateColumn `db:"until_date"`
	Km    float64    `db:"km_week"`
}

type nailRow struct {
	DogID  uuid.UUID      `db:"dog_id"`
	Code   codeColumn     `db:"code"`
	State  nail.Condition `db:"state"`
	Colour nail.Colour    `db:"colour"`
	Shape  nail.Shape     `db:"shape"`
}

// Dogs returns every dog, by name.
func (s *Store) Dogs(ctx context.Context) ([]Dog, error) { return s.dogs(ctx, "") }

// Dog returns one dog, or ErrNotFound.
func (s *Store) Dog(ctx context.Context, id uuid.UUID) (Dog, error) {
	dogs, err := s.dogs(ctx, `WHERE id = ?`, id)
	if err == nil && len(dogs) == 0 {
		err = ErrNotFound
	}
	if err != nil {
		return Dog{}, err
	}
	return dogs[0], nil
}

// DogsOf returns some dogs, by their ids.
func (s *Store) DogsOf(ctx context.Context, ids []uuid.UUID) (map[uuid.UUID]Dog, error) {
	dogs, err := s.dogs(ctx, `WHERE id IN (SELECT value FROM json_each(?))`, listOf(ids))
	all := make(map[uuid.UUID]Dog, len(dogs))
	for _, d := range dogs {
		all[d.ID] = d
	}
	return all, err
}

// Names are some dogs' names.
func (s *Store) Names(ctx context.Context, ids []uuid.UUID) (map[uuid.UUID]string, error) {
	var rows []struct {
		ID   uuid.UUID `db:"id"`
		Name string    `db:"name"`
	}
	err := s.rows(ctx, &rows, `SELECT id, name FROM dogs WHERE id IN (SELECT value FROM json_each(?))`, listOf(ids))
	names := make(map[uuid.UUID]string, len(rows))
	for _, r := range rows {
		names[r.ID] = r.Name
	}
	return names, err
}

// dogs reads the dogs that where picks, with their weights and nails, all as of one moment.
func (s *Store) dogs(ctx context.Context, where string, args ...any) (dogs []Dog, err error) {
	err = s.read(ctx, func(tx *sqlx.Tx) error {
		dogs, err = s.dogsIn(ctx, tx, where, args...)
		return err
	})
	return dogs, err
}

func (s *Store) dogsIn(ctx context.Context, tx *sqlx.Tx, where string, args ...any) ([]Dog, error) {
	var rows []dogRow
	var weights []weightRow
	var nails []nailRow
	var walked []walkedRow
	var own []ownUsualRow
	picked := `(SELECT id FROM dogs ` + where + `)`
	err := s.selectAll(ctx, tx, args,
		query{&rows, `SELECT * FROM dogs ` + where + ` ORDER BY name COLLATE NOCASE, id`},
		query{&weights, `SELECT * FROM weights WHERE dog_id IN ` + picked + ` ORDER BY on_date`},
		query{&walked, `SELECT * FROM walked WHERE dog_id IN ` + picked + ` ORDER BY until_date`},
		query{&nails, `SELECT * FROM nails WHERE dog_id IN ` + picked})
	if err == nil {
		err = s.selectAll(ctx, tx, nil, query{&own, `SELECT kind, class, value, set_at FROM own_usual`})
	}
	if err != nil {
		return nil, err
	}
	dogs := make([]Dog, len(rows))
	at := make(map[uuid.UUID]*Dog, len(rows))
	for i, row := range rows {
		dogs[i] = row.dog()
		at[row.ID] = &dogs[i]
	}
	for _, w := range weights {
		at[w.DogID].Weights = append(at[w.DogID].Weights, dog.Weight{On: w.On.Date, Kg: w.Kg})
	}
	for _, w := range walked {
		at[w.DogID].Walked = append(at[w.DogID].Walked, dog.Walked{Until: w.Until.Date, Km: w.Km})
	}
	for _, n := range nails {
		at[n.DogID].Nails = append(
			at[n.DogID].Nails,
			dog.Nail{Code: n.Code.Code, State: n.State, Colour: n.Colour, Shape: n.Shape},
		)
	}
	for i := range dogs {
		dogs[i].Own = hindsight.OwnOf(dogs[i].Dog, offersOf(own))
		slices.SortFunc(dogs[i].Nails, func(a, b dog.Nail) int { return a.Code.Compare(b.Code) })
	}
	return dogs, nil
}

// AddDog keeps a new dog as version 1.
func (s *Store) AddDog(ctx context.Context, d Dog) error {
	return s.write(ctx, func(tx *sqlx.Tx) error { return addDog(ctx, tx, d) })
}

func addDog(ctx context.Context, tx *sqlx.Tx, d Dog) error {
	_, err := tx.NamedExecContext(ctx, `
			INSERT INTO dogs (id, version, name, birth_date, birth_estimated, foot_coat,
				pavement_km_week, rhythm, working_weekdays, wished_gap_mm, school, short_quicks, entered_on,
					last_done_weeks, takes, dates, come_once,
				paw_order, own_order, position, by_paw, helper, muzzle, sore, sore_told, noise, most_nails,
					most_minutes, largest_cut_mm, way, tips_meanwhile)
			VALUES (:id, 1, :name, :birth_date, :birth_estimated, :foot_coat,
				:pavement_km_week, :rhythm, :working_weekdays, :wished_gap_mm, :school, :short_quicks, :entered_on,
					:last_done_weeks, :takes, :dates, :come_once,
				:paw_order, :own_order, :position, :by_paw, :helper, :muzzle, :sore, :sore_told, :noise, :most_nails,
					:most_minutes, :largest_cut_mm, :way, :tips_meanwhile)`, rowOf(d))
	if err != nil {
		return err
	}
	return addParts(ctx, tx, d)
}

// ChangeDog keeps a changed dog as the next version. It returns ErrConflict when d.Version is
// not the newest, and ErrNotFound when there is no such dog.
func (s *Store) ChangeDog(ctx context.Context, d Dog) error {
	return s.write(ctx, func(tx *sqlx.Tx) error { return changeDog(ctx, tx, d) })
}

func changeDog(ctx context.Context, tx *sqlx.Tx, d Dog) error {
	var version int
	if err := tx.GetContext(ctx, &version, `SELECT version FROM dogs WHERE id = ?`, d.ID); err != nil {
		return orNotFound(err)
	}
	if version != d.Version {
		return ErrConflict
	}
	_, err := tx.NamedExecContext(ctx, `
		UPDATE dogs SET version = version + 1, name = :name, birth_date = :birth_date,
			birth_estimated = :birth_estimated, foot_coat = :foot_coat, pavement_km_week = :pavement_km_week,
			rhythm = :rhythm, working_weekdays = :working_weekdays, wished_gap_mm = :wished_gap_mm, school = :school,
				short_quicks = :short_quicks, last_done_weeks = :last_done_weeks, takes = :takes, dates = :dates,
				come_once = :come_once,
			paw_order = :paw_order, own_order = :own_order, position = :position, by_paw = :by_paw, helper = :helper,
				muzzle = :muzzle,
			sore = :sore, sore_told = :sore_told, noise = :noise, most_nails = :most_nails,
				most_minutes = :most_minutes, largest_cut_mm = :largest_cut_mm, way = :way,
				tips_meanwhile = :tips_meanwhile
		WHERE id = :id`, rowOf(d))
	if err != nil {
		return err
	}
	for _, table := range []string{"weights", "walked", "nails"} {
		if _, err := tx.ExecContext(ctx, `DELETE FROM `+table+` WHERE dog_id = ?`, d.ID); err != nil {
			return err
		}
	}
	return addParts(ctx, tx, d)
}

// addParts keeps the dog's weights, walks and nails.
func addParts(ctx context.Context, tx *sqlx.Tx, d Dog) error {
	for _, w := range d.Weights {
		_, err := tx.NamedExecContext(ctx, `INSERT INTO weights (dog_id, on_date, kg) VALUES (:dog_id, :on_date, :kg)`,
			weightRow{d.ID, dateColumn{w.On}, w.Kg})
		if err != nil {
			return err
		}
	}
	for _, w := range d.Walked {
		_, err := tx.NamedExecContext(
			ctx,
			`INSERT INTO walked (dog_id, until_date, km_week) VALUES (:dog_id, :until_date, :km_week)`,
			walkedRow{d.ID, dateColumn{w.Until}, w.Km},
		)
		if err != nil {
			return err
		}
	}
	for _, n := range d.Nails {
		_, err := tx.NamedExecContext(ctx, `
			INSERT INTO nails (dog_id, code, state, colour, shape) VALUES (:dog_id, :code, :state, :colour, :shape)`,
			nailRow{d.ID, codeColumn{n.Code}, n.State, n.Colour, n.Shape})
		if err != nil {
			return err
		}
	}
	return nil
}
