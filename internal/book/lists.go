package book

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"fmt"
	"maps"
	"slices"
	"strings"

	"github.com/google/uuid"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/roster"
	"fribbet/internal/core/say"
	"fribbet/internal/formats"
	"fribbet/internal/store"
)

// ListRead is a list as it would be taken.
type ListRead struct {
	formats.List
	Columns []roster.Column
	Rows    []roster.Row
	Brought store.Brought
	Asks    map[int]bool // by line: whether its owner is the one of that name in the book
}

// Whose is what somebody said of rows whose owner has a name that is there, by line.
type Whose map[int]roster.Answer

// ListToRead is a list as it comes, with what somebody said of it.
type ListToRead struct {
	Text    []byte
	Columns []roster.Column // nil: guessed
	Months  []string        // in the reader's language
	Whose   Whose
}

// ReadList reads a list, by columns as they were told or else guessed, and says of each row whether it can be taken.
func (b *Book) ReadList(ctx context.Context, in ListToRead) (ListRead, error) {
	list, err := formats.ReadList(in.Text)
	if err != nil {
		return ListRead{}, fault.Fields{{Name: "list", Value: "the file", Want: say.Plain(err.Error())}}
	}
	columns := in.Columns
	if columns == nil {
		columns = roster.Guess(list.Header)
	}
	if len(columns) != len(list.Header) {
		return ListRead{}, fault.Fields{
			{Name: "columns", Value: strings.Join(list.Header, ", "), Want: say.Of(mustTellEachColumnOf)},
		}
	}
	r := ListRead{
		List:    list,
		Columns: columns,
		Rows: roster.Read(
			roster.Table{Header: list.Header, Rows: list.Rows, Lines: list.Lines, Months: in.Months},
			columns,
			b.Today(),
		),
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return ListRead{}, err
	}
	owners, err := b.store.Owners(ctx, "")
	if err != nil {
		return ListRead{}, err
	}
	dogs, err := b.store.DogNames(ctx)
	if err != nil {
		return ListRead{}, err
	}
	r.bring(owners, dogs, dog.Usual(usualRhythm(settings.Role), settings.Workdays), in.Whose, b)
	return r, nil
}

// bring makes owners and dogs of the rows: an owner once, whether the book has it or the list, by what reaches it; a
// dog that its owner has already is refused.
func (r *ListRead) bring(owners []store.Owner, dogs []store.NamedDog, usual dog.Dog, whose Whose, b *Book) {
	r.Brought.OwnerOf, r.Asks = map[uuid.UUID]uuid.UUID{}, map[int]bool{}
	var known []roster.Known
	for _, o := range owners {
		known = append(known, roster.Known{ID: o.ID.String(), Owner: o.Owner})
	}
	there := map[store.NamedDog]bool{}
	for _, d := range dogs {
		there[store.NamedDog{Name: nameKey(d.Name), OwnerID: d.OwnerID}] = true
	}
	for i := range r.Rows {
		row := &r.Rows[i]
		if len(row.Refused) > 0 {
			continue
		}
		var owner uuid.UUID
		fresh := false
		if row.Owner.Name != "" {
			id, asks := row.Whose(known, whose[row.Line])
			r.Asks[row.Line] = asks ||
				whose[row.Line] != roster.Unanswered // what was answered can be answered otherwise
			switch {
			case asks:
				row.Refused.Add("owner", row.Owner.Name, say.Of(mustBeSaidToBe))
				continue
			case id == "":
				owner, fresh = uuid.New(), true
			default:
				owner = uuid.MustParse(id)
			}
		}
		if row.Dog != nil {
			key := store.NamedDog{Name: nameKey(*row.Dog.Name)}
			if owner != uuid.Nil {
				key.OwnerID = owner.String()
			}
			if there[key] {
				row.Refused.Add("dog", *row.Dog.Name, say.Of(mustBeANewOne))
				continue
			}
			made, faults := usual.With(*row.Dog, b.Today())
			if row.Refused = faults; len(faults) > 0 {
				continue
			}
			there[key] = true
			made.Entered = b.Today()
			kept := store.Dog{ID: uuid.New(), Version: 1, Dog: made}
			r.Brought.Dogs = append(r.Brought.Dogs, kept)
			r.Brought.OwnerOf[kept.ID] = owner
		} else if !fresh {
			row.Refused.Add("owner", row.Owner.Name, say.Of(mustBeANewOneThe))
			continue
		}
		if fresh {
			known = append(known, roster.Known{ID: owner.String(), Owner: row.Owner, InList: true})
			r.Brought.Owners = append(
				r.Brought.Owners,
				store.Owner{ID: owner, NameKey: nameKey(row.Owner.Name), Owner: row.Owner},
			)
		}
	}
}

// TakeList takes what of a list can be taken, all of it at once.
func (b *Book) TakeList(ctx context.Context, id uuid.UUID, in ListToRead) (ListRead, error) {
	r, err := b.ReadList(ctx, in)
	if err != nil {
		return ListRead{}, err
	}
	sum := sha256.New()
	sum.Write(in.Text)
	for _, c := range in.Columns {
		fmt.Fprintf(sum, "\x00%s", c)
	}
	for _, line := range slices.Sorted(maps.Keys(in.Whose)) {
		fmt.Fprintf(sum, "\x00%d %d", line, in.Whose[line])
	}
	return r, b.store.Take(ctx, id, hex.EncodeToString(sum.Sum(nil)), r.Brought, b.now())
}

// TakeListBack takes out of the book what a list brought; it returns how many dogs stay, since something was told of
// them.
func (b *Book) TakeListBack(ctx context.Context, id uuid.UUID) (int, error) {
	return b.store.TakeBack(ctx, id)
}
