package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
)

// Sitting is a sitting in the book.
type Sitting struct {
	ID uuid.UUID // made by whoever records it, so that sending it twice keeps it once
	record.Sitting
}

// SittingsOf returns some dogs' sittings that count, oldest first, by the dog's id.
func (s *Store) SittingsOf(ctx context.Context, dogIDs []uuid.UUID) (map[uuid.UUID][]Sitting, error) {
	return s.sittings(ctx, ` AND dog_id IN (SELECT value FROM json_each(?))`, listOf(dogIDs))
}

// OpenOf returns some dogs' sittings that are under way and at which something was done, oldest
// first, by the dog's id.
func (s *Store) OpenOf(ctx context.Context, dogIDs []uuid.UUID) (map[uuid.UUID][]Sitting, error) {
	return s.sittings(
		ctx,
		` AND dog_id IN (SELECT value FROM json_each(?)) AND id IN (SELECT sitting_id FROM logs WHERE ended = 0)`,
		listOf(dogIDs),
	)
}

// OthersOpen tells whether a dog has a sitting under way but one.
func (s *Store) OthersOpen(ctx context.Context, dogID, but uuid.UUID) (bool, error) {
	var others bool
	err := s.row(
		ctx,
		&others,
		`SELECT EXISTS (SELECT 1 FROM logs WHERE ended = 0 AND withdrawn_at IS NULL AND dog_id = ?
			AND sitting_id <> ?)`,
		dogID,
		but,
	)
	return others, err
}

// Sittings returns one dog's sittings that count, oldest first.
func (s *Store) Sittings(ctx context.Context, dogID uuid.UUID) ([]Sitting, error) {
	all, err := s.sittings(ctx, ` AND dog_id = ?`, dogID)
	return all[dogID], err
}

func (s *Store) sittings(ctx context.Context, and string, args ...any) (all map[uuid.UUID][]Sitting, err error) {
	err = s.read(ctx, func(tx *sqlx.Tx) error {
		all, err = s.readSittings(ctx, tx, ` WHERE withdrawn_at IS NULL`+and, args...)
		return err
	})
	return all, err
}

// readSittings reads the sittings that a WHERE picks, oldest first, by the dog's id.
func (s *Store) readSittings(
	ctx context.Context,
	tx *sqlx.Tx,
	where string,
	args ...any,
) (map[uuid.UUID][]Sitting, error) {
	var rows []sittingRow
	var records []recordRow
	var cuts []cutRow
	var marks []landmarkRow
	var readings []readingRow
	picked := ` WHERE sitting_id IN (SELECT id FROM sittings` + where + `)`
	err := s.selectAll(
		ctx,
		tx,
		args,
		query{
			&rows,
			`SELECT id, dog_id, on_date, note, minutes, calm_minutes, helper, ticks, smooth, touching, signs, held,
				hour, recorded_at FROM sittings` + where + ` ORDER BY on_date, recorded_at`,
		},
		query{&records, `SELECT * FROM records` + picked + ` ORDER BY sitting_id, number`},
		query{&readings, `SELECT * FROM readings` + picked},
		query{&marks, `SELECT * FROM landmarks` + picked + ` ORDER BY sitting_id, code, number`},
		query{&cuts, `SELECT * FROM cuts` + picked + ` ORDER BY sitting_id, code, number`},
	)
	if err != nil {
		return nil, err
	}
	type nailOf struct {
		sitting uuid.UUID
		code    codeColumn
	}
	cutsOf, facesOf, marksOf := map[nailOf][]float64{}, map[nailOf][]quick.Face{}, map[nailOf][]quick.Seen{}
	touchesOf := map[nailOf][]float64{} // of a second pass
	for _, c := range cuts {
		key := nailOf{c.SittingID, c.Code}
		if c.Second {
			touchesOf[key] = append(touchesOf[key], c.MM)
			continue
		}
		cutsOf[key] = append(cutsOf[key], c.MM)
		if c.Face != "" {
			facesOf[key] = append(
				append(facesOf[key], make([]quick.Face, len(cutsOf[key])-1-len(facesOf[key]))...),
				c.Face,
			)
		}
	}
	for _, m := range marks {
		key := nailOf{m.SittingID, m.Code}
		marksOf[key] = append(marksOf[key], quick.Seen{Mark: m.Kind, Spare: m.Spare, By: m.By, SD: m.SD})
	}
	readOf := map[nailOf]map[bench.Measure]*measure.Number{}
	for _, r := range readings {
		key := nailOf{r.SittingID, r.Code}
		if readOf[key] == nil {
			readOf[key] = map[bench.Measure]*measure.Number{}
		}
		readOf[key][r.Measure] = &measure.Number{MM: r.MM, By: r.By, SD: r.SD}
	}
	recordsOf := map[uuid.UUID][]record.NailRecord{}
	for _, r := range records {
		key := nailOf{r.SittingID, r.Code}
		read := readOf[key]
		var ground *record.Ground
		if r.Second != "" {
			ground = &record.Ground{Tool: r.Second, Item: orEmpty(r.SecondBy), Touches: touchesOf[key]}
		}
		recordsOf[r.SittingID] = append(recordsOf[r.SittingID], record.NailRecord{
			Code:         r.Code.Code,
			LengthBefore: read[bench.LengthBefore],
			LengthAfter:  read[bench.LengthAfter],
			GapBefore:    read[bench.GapBefore],
			GapAfter:     read[bench.GapAfter],
			SpareLeft:    read[bench.SpareLeft],
			Cuts:         cutsOf[key],
			Faces:        facesOf[key],
			Landmarks:    marksOf[key],
			Tool:         r.Tool,
			Reaction:     r.Reaction,
			Blood:        r.Blood,
			Item:         orEmpty(r.Item),
			TookForce:    r.TookForce,
			EndFace:      r.EndFace,
			Colour:       r.Colour,
			Edged:        r.Edged,
			Ended:        r.Ended,
			Stop:         r.Stop,
			Assumed:      r.Assumed,
			Ground:       ground,
			Hand:         hand.Slices{Times: r.Times, Spread: r.Spread, Milder: r.Milder},
		})
	}
	all := map[uuid.UUID][]Sitting{}
	for _, row := range rows {
		all[row.DogID] = append(all[row.DogID], Sitting{
			row.ID,
			record.Sitting{
				On:      row.On.Date,
				Note:    row.Note,
				Minutes: row.Minutes,
				Calm:    row.Calm,
				Helper:  row.Helper,
				Ticks:   row.Ticks,
				Smooth:  row.Smooth,
				Held:    row.Held,
				Hour:    row.Hour,
				Arrival: row.arrival(),
				Records: recordsOf[row.ID],
			},
		})
	}
	return all, nil
}

// addSitting writes what the lists read of a sitting.
func addSitting(ctx context.Context, tx *sqlx.Tx, log logRow, s Sitting) error {
	_, err := tx.NamedExecContext(
		ctx,
		`
		INSERT INTO sittings (id, dog_id, on_date, note, minutes, calm_minutes, helper, ticks, smooth, touching, signs,
			held, hour, recorded_at, withdrawn_at)
		VALUES (:id, :dog_id, :on_date, :note, :minutes, :calm_minutes, :helper, :ticks, :smooth, :touching, :signs,
			:held, :hour, :recorded_at, :withdrawn_at)`,
		sittingRow{
			s.ID,
			log.DogID,
			dateColumn{s.On},
			s.Note,
			s.Minutes,
			s.Calm,
			s.Helper,
			s.Ticks,
			s.Smooth,
			touchingOf(s.Arrival),
			signsOf(s.Arrival),
			s.Held,
			s.Hour,
			log.BegunAt,
			log.Withdrawn,
		},
	)
	if err != nil {
		return err
	}
	var records []recordRow
	var cuts []cutRow
	var marks []landmarkRow
	var readings []readingRow
	for i, r := range s.Records {
		second := record.Ground{}
		if r.Ground != nil {
			second = *r.Ground
		}
		records = append(
			records,
			recordRow{
				s.ID,
				codeColumn{r.Code},
				r.Tool,
				r.Reaction,
				r.Blood,
				i,
				orNull(r.Item),
				r.TookForce,
				r.EndFace,
				r.Colour,
				r.Edged,
				r.Ended,
				r.Stop,
				r.Assumed,
				second.Tool,
				orNull(second.Item),
				r.Hand.Times,
				r.Hand.Spread,
				r.Hand.Milder,
			},
		)
		for m, n := range map[bench.Measure]*measure.Number{
			bench.LengthBefore: r.LengthBefore, bench.LengthAfter: r.LengthAfter,
			bench.GapBefore: r.GapBefore, bench.GapAfter: r.GapAfter, bench.SpareLeft: r.SpareLeft,
		} {
			if n != nil {
				readings = append(readings, readingRow{s.ID, codeColumn{r.Code}, m, n.MM, n.By, n.SD})
			}
		}
		for n, mm := range r.Cuts {
			row := cutRow{s.ID, codeColumn{r.Code}, n + 1, mm, "", false}
			if n < len(r.Faces) {
				row.Face = r.Faces[n]
			}
			cuts = append(cuts, row)
		}
		for n, mm := range second.Touches {
			cuts = append(cuts, cutRow{s.ID, codeColumn{r.Code}, len(r.Cuts) + n + 1, mm, "", true})
		}
		for n, l := range r.Landmarks {
			marks = append(marks, landmarkRow{s.ID, codeColumn{r.Code}, n + 1, l.Mark, l.Spare, l.By, l.SD})
		}
	}
	if err := insertAll(ctx, tx, `
		INSERT INTO records (sitting_id, code, tool, reaction, blood, number, item_id, took_force, end_face, colour,
			edged, ended, stop, assumed, ground_tool, ground_item, hand_times, hand_spread, eye_milder)
		VALUES (:sitting_id, :code, :tool, :reaction, :blood, :number, :item_id, :took_force, :end_face, :colour,
			:edged, :ended, :stop, :assumed, :ground_tool, :ground_item, :hand_times, :hand_spread, :eye_milder)`,
		records); err != nil {
		return err
	}
	if err := insertAll(ctx, tx, `
		INSERT INTO readings (sitting_id, code, measure, mm, by_means, sd_mm)
		VALUES (:sitting_id, :code, :measure, :mm, :by_means, :sd_mm)`, readings); err != nil {
		return err
	}
	if err := insertAll(
		ctx,
		tx,
		`INSERT INTO cuts (sitting_id, code, number, mm, face, second_pass)
			VALUES (:sitting_id, :code, :number, :mm, :face, :second_pass)`,
		cuts,
	); err != nil {
		return err
	}
	if err := insertAll(ctx, tx, `
		INSERT INTO landmarks (sitting_id, code, number, kind, spare_mm, by_means, sd_mm)
		VALUES (:sitting_id, :code, :number, :kind, :spare_mm, :by_means, :sd_mm)`, marks); err != nil {
		return err
	}
	return addStints(ctx, tx, []Sitting{s})
}

// WithdrawSitting makes a dog's sitting count no more. Doing it twice changes nothing.
func (s *Store) WithdrawSitting(ctx context.Context, dogID, sittingID uuid.UUID, at time.Time) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		logged := mustTouch(tx.ExecContext(ctx, `
			UPDATE logs SET withdrawn_at = COALESCE(withdrawn_at, ?) WHERE sitting_id = ?
				AND dog_id = ?`, instant(at), sittingID, dogID))
		if logged != nil && logged != ErrNotFound {
			return logged
		}
		listed := mustTouch(tx.ExecContext(ctx, `
			UPDATE sittings SET withdrawn_at = COALESCE(withdrawn_at, ?) WHERE id = ?
				AND dog_id = ?`, instant(at), sittingID, dogID))
		if listed == ErrNotFound { // nothing was done at it yet
			return logged
		}
		if listed != nil {
			return listed
		}
		return s.wearOf(ctx, tx, sittingID)
	})
}
