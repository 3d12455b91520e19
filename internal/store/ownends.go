package store

import (
	"context"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"fribbet/internal/core/quick"
)

// SaidOfEnd is what somebody said that the slice after a pictured cut end showed.
type SaidOfEnd struct {
	ID      uuid.UUID
	Picture uuid.UUID
	Said    quick.Face
	Who     string
	At      time.Time
}

type saidRow struct {
	ID      uuid.UUID  `db:"id"`
	Picture uuid.UUID  `db:"picture_id"`
	Said    quick.Face `db:"said"`
	Who     string     `db:"who"`
	At      string     `db:"said_at"`
}

// EndPictures are the pictures of cut ends that one person took, the latest first.
func (s *Store) EndPictures(ctx context.Context, who string) ([]Picture, error) {
	var rows []pictureRow
	err := s.rows(
		ctx,
		&rows,
		`SELECT * FROM pictures WHERE code <> '' AND taken_by = ? ORDER BY added_at DESC, id`,
		who,
	)
	all := make([]Picture, len(rows))
	for i, r := range rows {
		all[i] = r.picture()
	}
	return all, err
}

// SittingsPictured are the sittings at which that person took pictures of cut ends, by the dog's id.
func (s *Store) SittingsPictured(ctx context.Context, who string) (map[uuid.UUID][]Sitting, error) {
	return s.sittings(ctx, ` AND id IN (SELECT sitting_id FROM pictures WHERE code <> '' AND taken_by = ?)`, who)
}

// SaidOfEnds are what one person said of cut ends, by the picture's id, the earliest first.
func (s *Store) SaidOfEnds(ctx context.Context, who string) (map[uuid.UUID][]SaidOfEnd, error) {
	var rows []saidRow
	err := s.rows(ctx, &rows, `SELECT * FROM own_ends WHERE who = ? ORDER BY said_at, id`, who)
	all := map[uuid.UUID][]SaidOfEnd{}
	for _, r := range rows {
		all[r.Picture] = append(all[r.Picture], SaidOfEnd{r.ID, r.Picture, r.Said, r.Who, moment(r.At)})
	}
	return all, err
}

// SayOfEnd keeps what was said of one. The same id once more changes nothing, another under it is AlreadyTold.
func (s *Store) SayOfEnd(ctx context.Context, said SaidOfEnd) error {
	row := saidRow{said.ID, said.Picture, said.Said, said.Who, instant(said.At)}
	told := row
	told.At, told.Who = "", ""
	return s.write(ctx, func(tx *sqlx.Tx) error {
		return once(ctx, tx, told, func(saidRow) string { return "what was said of a cut end" }, func() error {
			_, err := tx.NamedExecContext(
				ctx,
				`INSERT INTO own_ends (id, picture_id, said, who, said_at)
					VALUES (:id, :picture_id, :said, :who, :said_at)`,
				row,
			)
			return err
		}, `SELECT id, picture_id, said, '' AS who, '' AS said_at FROM own_ends WHERE id = ?`, said.ID)
	})
}
