package book

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/outlook"
	"fribbet/internal/core/round"
	"fribbet/internal/store"
)

// asked fills in what dogs ask of a visit, where it is not kept.
func (b *Book) asked(ctx context.Context, dogs []store.RoundDog) (map[uuid.UUID]round.Dog, error) {
	all := map[uuid.UUID]round.Dog{}
	var missing []uuid.UUID
	for _, d := range dogs {
		if d.Asks == nil && !slices.Contains(missing, d.DogID) {
			missing = append(missing, d.DogID)
		}
	}
	worked, err := b.ask(ctx, missing)
	if err != nil {
		return nil, err
	}
	for _, d := range dogs {
		one := worked[d.DogID]
		if d.Asks != nil {
			if err := json.Unmarshal([]byte(*d.Asks), &one); err != nil {
				return nil, fmt.Errorf("visit of %s: %w", d.DogID, err)
			}
		}
		one.ID, one.Name = d.DogID.String(), d.Name
		if d.OwnerID != nil {
			one.Owner = d.OwnerID.String()
			_ = json.Unmarshal([]byte(*d.Suits), &one.Suits) // what cannot be read: any hour suits
		}
		all[d.DogID] = one
	}
	return all, nil
}

// ask works out what dogs ask of a visit on the day on which each is due, or today where that has gone by, and
// keeps it.
func (b *Book) ask(ctx context.Context, ids []uuid.UUID) (map[uuid.UUID]round.Dog, error) {
	if len(ids) == 0 {
		return nil, nil //nolint:nilnil // of no dogs nothing
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return nil, err
	}
	pieces, err := b.pieces(ctx)
	if err != nil {
		return nil, err
	}
	standings, err := b.store.Standings(ctx, ids)
	if err != nil {
		return nil, err
	}
	dogs, err := b.store.DogsOf(ctx, ids)
	if err != nil {
		return nil, err
	}
	ladders, err := b.store.LaddersOf(ctx, ids)
	if err != nil {
		return nil, err
	}
	worked, kept := make([]round.Dog, len(ids)), make([][]byte, len(ids))
	err = each(len(ids), func(i int) error {
		d := dogs[ids[i]]
		k, err := b.known(ctx, d)
		if errors.As(err, new(Unreckonable)) ||
			err == nil && reckonable(d, nil, nil) != nil { // its place is kept for it all the same
			worked[i] = round.Unreckoned(d.ID.String(), d.Name)
			kept[i], err = json.Marshal(worked[i])
			return err
		}
		if err != nil {
			return err
		}
		training := b.training(ladders[d.ID])
		next, has, err := outlook.NextOf(k.feet, terms(settings, training, k.feet))
		if err != nil {
			return err
		}
		day := b.Today()
		if has && next.Due.After(day) {
			day = next.Due
		}
		worked[i] = question(d, k, day, training, settings, pieces).Visit()
		if has {
			worked[i].Window = next.Window(k.feet)
		}
		kept[i], err = json.Marshal(worked[i])
		return err
	})
	if err != nil {
		return nil, err
	}
	all, text, revisions := map[uuid.UUID]round.Dog{}, map[uuid.UUID][]byte{}, map[uuid.UUID]int{}
	for i, id := range ids {
		all[id], text[id], revisions[id] = worked[i], kept[i], standings[id].Revision
	}
	err = store.InOwnWords(b.store.KeepAsks(ctx, text, revisions))
	if errors.Is(err, store.ErrCannotWrite) { // then it is worked out once more the next time
		slog.Warn("what dogs ask of a visit cannot be kept", "err", err)
		err = nil
	}
	return all, err
}
