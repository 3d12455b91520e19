package demo

import (
	"context"

	"github.com/google/uuid"

	"fribbet/internal/book"
	"fribbet/internal/core/kit"
	"fribbet/internal/store"
)

// item is one piece of the demonstration's kit.
type item struct {
	key      string // its name here
	kit      kit.Item
	serviced int // days ago; 0 when it never was
	expires  int // in days; 0 when it does not
}

// items covers what a kit can come to: sharp, worn, blunt, flat, empty, near its date.
var items = []item{
	{key: "large", kit: kit.Item{Kind: kit.Kind(kit.LargePlier), Name: "black handles"}, serviced: 60},
	{key: "small", kit: kit.Item{Kind: kit.Kind(kit.SmallPlier), Name: "green handles"}, serviced: 130},
	{key: "scissor", kit: kit.Item{Kind: kit.Kind(kit.SmallScissor), Guard: true}, serviced: 200},
	{key: "guillotine", kit: kit.Item{Kind: kit.Kind(kit.Guillotine)}, serviced: 300},
	{key: "grinder", kit: kit.Item{Kind: kit.Grinder, Name: "cordless"}, serviced: 5},
	{key: "band", kit: kit.Item{Kind: kit.Kind(kit.GrinderBand), Grit: 60}, serviced: 38},
	{key: "fine", kit: kit.Item{Kind: kit.Kind(kit.GrinderBand), Grit: 120}, serviced: 38},
	{key: "diamond", kit: kit.Item{Kind: kit.Kind(kit.GrinderDiamond), Grit: 120, Tip: kit.FlatTip}},
	{key: "file", kit: kit.Item{Kind: kit.Kind(kit.File), Grit: 120}},
	{key: "board", kit: kit.Item{Kind: kit.Kind(kit.ScratchBoard), Grit: 80}},
	{key: "jar", kit: kit.Item{Kind: kit.Styptic, Name: "jar on the shelf", Stock: kit.Empty}},
	{key: "stick", kit: kit.Item{Kind: kit.SilverNitrate, Stock: kit.Full}, expires: 21},
	{key: "starch", kit: kit.Item{Kind: kit.Starch, Name: "from the galley", Stock: kit.Full}},
	{key: "treats", kit: kit.Item{Kind: kit.Treats, Name: "dried fish", Stock: kit.Low}},
	{key: "light", kit: kit.Item{Kind: kit.Light, Stock: kit.Full}},
	{key: "mesh", kit: kit.Item{Kind: kit.Mesh}},
	{key: "mat", kit: kit.Item{Kind: kit.Mat}},
	{key: "muzzle", kit: kit.Item{Kind: kit.Muzzle, Name: "basket, two sizes"}},
	{key: "glasses", kit: kit.Item{Kind: kit.Glasses}},
	{key: "mask", kit: kit.Item{Kind: kit.Mask}},
}

// id of a piece, the same in every demonstration.
func (i item) id() uuid.UUID { return uuid.NewSHA1(uuid.NameSpaceOID, []byte("kit "+i.key)) }

func fillKit(ctx context.Context, b *book.Book) error {
	for _, i := range items {
		piece := store.KitItem{ID: i.id(), Item: i.kit}
		if i.expires > 0 {
			piece.Item.Expires = b.Today().AddDays(i.expires)
		}
		if err := b.AddKitItem(ctx, piece); err != nil {
			return err
		}
		if i.serviced > 0 {
			if err := b.ServiceKitItem(ctx, i.id(), b.Today().AddDays(-i.serviced)); err != nil {
				return err
			}
		}
	}
	return nil
}

// pieceFor is the piece that a tool is taken from, by its id.
func pieceFor(tool kit.Tool) string {
	for _, i := range items {
		if i.kit.Kind == kit.Kind(tool) {
			return i.id().String()
		}
	}
	return ""
}
