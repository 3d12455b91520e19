package demo

import (
	"context"
	"fmt"

	"github.com/google/uuid"

	"fribbet/internal/book"
	"fribbet/internal/core/practice"
)

// practised are the drawn nails that the demonstration's owner has done so far: by 1 mm slices that get thinner with the
// nails, and now and then one too many.
var practised = map[practice.Kind]int{practice.Light: 14, practice.Dark: 22, practice.Dewclaw: 6}

const practisedSeed = 271828

func fillPractice(ctx context.Context, b *book.Book) error {
	for _, kind := range practice.Kinds() {
		for number := 1; number <= practised[kind]; number++ {
			n := practice.Nail{Kind: kind, Seed: practisedSeed, Number: number}
			id := uuid.NewSHA1(uuid.Nil, fmt.Append(nil, kind, number))
			moves, more := []practice.Move{{MM: 0.5}}, number%5 == 0
			for {
				g, err := b.Practise(ctx, id, "", n, moves)
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
