package demo

import (
	"bytes"
	"context"
	"fmt"
	"image/jpeg"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/book"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
	"fribbet/internal/standin"
	"fribbet/internal/store"
)

// practised are the drawn nails that the demonstration's owner has done so far: by 1 mm slices that get thinner with
// the nails, and now and then one too many.
var practised = map[practice.Kind]int{practice.Light: 14, practice.Dark: 22, practice.Dewclaw: 6}

const practisedSeed = 271828

// fillOwnEnds are pictures of cut ends that the demonstration's owner took at a dog's last trims, each before the slice
// that its card asks about.
func fillOwnEnds(ctx context.Context, b *book.Book, dogID uuid.UUID) error {
	v, err := b.View(ctx, dogID)
	if err != nil {
		return err
	}
	kept := 0
	for n := len(v.Sittings) - 1; n >= 0 && kept < ownEnds; n-- {
		s := v.Sittings[n]
		told, err := b.Bench(ctx, dogID, s.ID)
		if err != nil {
			return err
		}
		for i, r := range told.State.Sitting(s.On).Records {
			last := len(r.Cuts) - 1
			if _, face, is := r.Slice(last); is && last > 0 && kept < ownEnds {
				faces := quick.Faces(quick.SeenColour(nail.Dark, face))
				before := faces[max(0, slices.Index(faces, face)-1)] // one step milder, as it goes
				var data bytes.Buffer
				if err := jpeg.Encode(
					&data,
					standin.EndPhoto(before, before == quick.Blush, uint64(kept)),
					nil,
				); err != nil {
					return err
				}
				p := store.Picture{
					ID:    uuid.NewSHA1(s.ID, []byte{byte(i)}),
					DogID: dogID,
					Paw:   r.Code.Paw,
					On:    s.On,
					End:   &store.CutEnd{Code: r.Code, Sitting: s.ID, Cuts: last},
				}
				if _, err := b.AddPicture(ctx, p, data.Bytes()); err != nil {
					return err
				}
				kept++
			}
		}
	}
	return nil
}

const ownEnds = 12

func fillPractice(ctx context.Context, b *book.Book) error {
	for _, kind := range practice.Kinds() {
		for number := 1; number <= practised[kind]; number++ {
			n := practice.Exercise{Kind: kind, Seed: practisedSeed, Number: number}
			id := uuid.NewSHA1(uuid.Nil, fmt.Append(nil, kind, number))
			moves, more := []practice.Move{{MM: 0.5}}, number%5 == 0
			for {
				g, err := b.Practise(ctx, id, n, moves)
				if err != nil {
					return err
				}
				if g.Over {
					break
				}
				last := g.Steps[len(g.Steps)-1].Face
				switch {
				case last.FirstSign() && more: // it goes on once against the sign
					more = false
					moves = append(moves, practice.Move{MM: 0.5})
				case last.FirstSign() || last.Ends() || len(moves) == practice.MostMoves-1:
					moves = append(moves, practice.Move{Stop: true})
				case number < 8:
					moves = append(moves, practice.Move{MM: 1})
				default:
					moves = append(moves, practice.Move{MM: 0.5})
				}
			}
		}
	}
	return nil
}
