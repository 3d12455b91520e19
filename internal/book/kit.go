package book

import (
	"context"
	"fmt"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
)

// KitPiece is a piece of kit as it stands today.
type KitPiece struct {
	store.KitItem
	State kit.Condition
	Use   kit.Use
}

// Kit returns the kit as it stands today.
func (b *Book) Kit(ctx context.Context) ([]KitPiece, error) {
	items, err := b.store.Kit(ctx)
	if err != nil {
		return nil, err
	}
	if len(items) == 0 {
		return nil, nil
	}
	owned := make([]kit.Owned, len(items))
	var since date.Date // the oldest service: what a piece never serviced bore, counts from the beginning
	for i, item := range items {
		owned[i] = kit.Owned{ID: item.ID.String(), Item: item.Item, Serviced: item.Serviced}
		if i == 0 || item.Serviced.On.Before(since) {
			since = item.Serviced.On
		}
	}
	stints, err := b.store.Stints(ctx, since)
	if err != nil {
		return nil, err
	}
	uses := kit.Wear(owned, stints)
	pieces := make([]KitPiece, len(items))
	for i, item := range items {
		use := uses[item.ID.String()]
		pieces[i] = KitPiece{item, item.Item.StateOn(b.Today(), use), use}
	}
	return pieces, nil
}

// pieces is the kit as the core knows it.
func (b *Book) pieces(ctx context.Context) ([]kit.Piece, error) {
	all, err := b.Kit(ctx)
	if err != nil {
		return nil, err
	}
	pieces := make([]kit.Piece, len(all))
	for i, p := range all {
		pieces[i] = kit.Piece{ID: p.ID.String(), Item: p.Item, State: p.State}
	}
	return pieces, nil
}

// AddKitItem adds a piece of kit. Sending the same id again changes nothing.
func (b *Book) AddKitItem(ctx context.Context, i store.KitItem) error {
	if err := b.checkKitItem(ctx, i); err != nil {
		return err
	}
	return b.store.AddKitItem(ctx, i, b.now())
}

// ChangeKitItem changes a piece, read as i.Version. It returns store.ErrConflict when another
// change came first.
func (b *Book) ChangeKitItem(ctx context.Context, i store.KitItem) error {
	if err := b.checkKitItem(ctx, i); err != nil {
		return err
	}
	return b.store.ChangeKitItem(ctx, i)
}

func (b *Book) checkKitItem(ctx context.Context, i store.KitItem) error {
	f := i.Item.Check()
	if i.Item.On != "" {
		known, err := b.store.KnowsItem(ctx, i.Item.On)
		if err != nil {
			return err
		}
		if !known || i.Item.On == i.ID.String() {
			f.Add("on_item_id", i.Item.On, say.Of(mustBeTheIdOfA))
		}
	}
	return f.Err()
}

// RemoveKitItem takes a piece out of the kit.
func (b *Book) RemoveKitItem(ctx context.Context, id uuid.UUID) error {
	return b.store.RemoveKitItem(ctx, id, b.now())
}

// ServiceKitItem notes that a piece was sharpened, changed, charged or refilled on a day.
func (b *Book) ServiceKitItem(ctx context.Context, id uuid.UUID, on date.Date) error {
	return b.store.ServiceKitItem(ctx, id, kit.Moment{On: on, At: b.now()})
}

// UndoKitService takes a piece's last service back.
func (b *Book) UndoKitService(ctx context.Context, id uuid.UUID) error {
	return b.store.UndoKitService(ctx, id, b.now())
}

// checkItems notes records that name a piece of kit that never was.
func (b *Book) checkItems(ctx context.Context, s store.Sitting) (fault.Fields, error) {
	var f fault.Fields
	known := map[string]bool{"": true}
	for i, r := range s.Records {
		named := map[string]string{"item_id": r.Item}
		if r.Ground != nil {
			named["ground.item_id"] = r.Ground.Item
		}
		for field, item := range named {
			if _, asked := known[item]; !asked {
				is, err := b.store.KnowsItem(ctx, item)
				if err != nil {
					return nil, err
				}
				known[item] = is
			}
			if !known[item] {
				f.Add(fmt.Sprintf("records[%d].%s", i, field), item, say.Of(mustBeTheIdOf))
			}
		}
	}
	return f, nil
}
