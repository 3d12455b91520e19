package book

import (
	"context"
	"errors"
	"fmt"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
	"fribbet/internal/core/undo"
	"fribbet/internal/store"
)

// GiveBack gives back what a press took away, for as long as it can be.
func (b *Book) GiveBack(ctx context.Context, what undo.What, id uuid.UUID) error {
	if !slices.Contains(undo.Whats(), what) {
		return fault.Fields{
			{
				Name:  "what",
				Value: string(what),
				Want:  say.Of(mustBeOneOf2, say.Args{"undo": say.Name(fmt.Sprint(undo.Whats()))}),
			},
		}
	}
	err := b.store.GiveBack(ctx, what, id, undo.Since(b.now()))
	if errors.Is(err, store.ErrNotFound) {
		return fault.Fields{{Name: "id", Value: id.String(), Want: say.Of(mustBeOfSomethingThat)}}
	}
	if err == nil && what == undo.Sitting {
		b.changed(id)
	}
	return err
}
