package store

import (
	"context"
	"errors"
	"reflect"

	"github.com/jmoiron/sqlx"
)

// AlreadyTold refuses something told under an id that is in the book already with other content: neither is thrown
// away, and whoever told it is told what is there.
type AlreadyTold struct {
	Field string // whose id it is, as the contract writes it; empty: id
	There string
}

func (a AlreadyTold) Error() string { return "already in the book under this id: " + a.There }

// once keeps what is told under an id of its own. find asks for what is there under it, in the form of told: the same
// changes nothing, anything else is AlreadyTold. It belongs into the transaction that keeps it.
func once[T any](
	ctx context.Context,
	tx *sqlx.Tx,
	told T,
	there func(T) string,
	keep func() error,
	find string,
	args ...any,
) error {
	var before T
	switch err := orNotFound(tx.GetContext(ctx, &before, find, args...)); {
	case errors.Is(err, ErrNotFound):
		return keep()
	case err != nil:
		return err
	case !reflect.DeepEqual(before, told):
		return AlreadyTold{There: there(before)}
	}
	return nil
}
