package demo

import (
	"context"
	"strconv"

	"github.com/google/uuid"

	"fribbet/internal/book"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
	"fribbet/internal/store"
)

// training is a ladder of one dog: a word a day up to today or yesterday, a letter a try.
type training struct {
	kind  ladder.Kind
	paw   string   // the one that it is about; empty for the whole dog
	days  []string // oldest first; c calm, u uneasy, p pulling, f fighting; empty when nothing was done
	ago   int      // days from the last word to today
	notes map[string]string
}

var letters = map[rune]temper.Reaction{'c': temper.Calm, 'u': temper.Uneasy, 'p': temper.Pulling, 'f': temper.Fighting}

// fill writes the ladder with its journal into the book as it stands at the end.
func (t training) fill(ctx context.Context, b *book.Book, dogID uuid.UUID) error {
	l := store.Ladder{
		ID:     uuid.NewSHA1(dogID, []byte(t.kind)),
		Ladder: ladder.Ladder{Kind: t.kind, Started: b.Today().AddDays(-t.ago - len(t.days) + 1)},
	}
	if t.kind == ladder.Clipper { // it knew the tool
		l.First = ladder.HandledFirst
	}
	if t.paw != "" {
		paw := nail.MustParse(t.paw + "3").Paw
		l.Paw = &paw
	}
	if err := b.ResumeLadder(ctx, dogID, l); err != nil {
		return err
	}
	for day, word := range t.days {
		for i, letter := range word {
			key := strconv.Itoa(day) + string(letter) + strconv.Itoa(i)
			try := store.Try{ID: uuid.NewSHA1(l.ID, []byte(key)), Try: ladder.Try{
				On: l.Started.AddDays(day), Reaction: letters[letter], Paw: l.Paw, Note: t.notes[key],
			}}
			if err := b.RecordTry(ctx, dogID, l.ID, try); err != nil {
				return err
			}
		}
	}
	return nil
}
