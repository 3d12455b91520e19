package store

import (
	"context"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"
)

// SaidBefore is what was said of a dog beforehand, as it was last worked out.
type SaidBefore struct {
	DogID    uuid.UUID `db:"dog_id"`
	Revision int       `db:"revision"` // of its records
	Terms    string    `db:"terms"`
	Body     []byte    `db:"body"`
}

// SaidBefore is that of a dog where it is still of its records and those terms; and the revision of its records. What
// is kept of others, or of what was told since, is nothing.
func (s *Store) SaidBefore(ctx context.Context, dogID uuid.UUID, terms string) (kept []byte, revision int, err error) {
	var row struct {
		Revision int     `db:"revision"`
		Body     *string `db:"body"`
	}
	err = s.row(
		ctx,
		&row,
		`SELECT n.revision, k.body FROM standings AS n LEFT JOIN said_before AS k ON k.dog_id = n.dog_id
			AND k.revision = n.revision AND k.terms = ?2
		WHERE n.dog_id = ?1`,
		dogID,
		terms,
	)
	if err == nil && row.Body != nil {
		kept = []byte(*row.Body)
	}
	return kept, row.Revision, err
}

// KeepSaidBefore keeps it for the next time.
func (s *Store) KeepSaidBefore(ctx context.Context, b SaidBefore) error {
	return s.write(ctx, func(tx *sqlx.Tx) error {
		_, err := tx.ExecContext(ctx, `INSERT INTO said_before (dog_id, revision, terms, body) VALUES (?, ?, ?, ?)
			ON CONFLICT (dog_id) DO UPDATE SET revision = excluded.revision, terms = excluded.terms,
				body = excluded.body`, b.DogID, b.Revision, b.Terms, string(b.Body))
		return err
	})
}
