package book

import (
	"context"
	"fmt"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/store"
)

// candidates are the dogs that are due by a day and have no place yet.
func (b *Book) candidates(ctx context.Context, until date.Date) ([]round.Dog, map[string]store.RoundDog, error) {
	if _, err := b.upToDate(ctx); err != nil {
		return nil, nil, err
	}
	rows, err := b.store.Candidates(ctx, b.Today(), until, mostCandidates)
	if err != nil {
		return nil, nil, err
	}
	asked, err := b.asked(ctx, rows)
	if err != nil {
		return nil, nil, err
	}
	dogs, byID := []round.Dog{}, map[string]store.RoundDog{}
	for _, r := range rows {
		if d := asked[r.DogID]; d.Minutes > 0 {
			dogs, byID[d.ID] = append(dogs, d), r
		}
	}
	return dogs, byID, nil
}

// Call is a dog to call for a week, with places to offer.
type Call struct {
	Dog    round.Dog
	Row    store.RoundDog
	Owner  *store.Owner // nil: none told, or it waits
	Offers []round.Offer
}

// Calls are whom to call for some days, in order, with places for each; and who waits for a later week.
type Calls struct {
	Recount     *Progress // while dates are being worked out; the list may then lack some
	From, Until date.Date
	All         int // to call, on this page or not
	Now, Later  []Call
}

// Calls says whom to call for the seven days from one on, or from today; of those to call, limit after the first
// offset.
func (b *Book) Calls(ctx context.Context, from date.Date, offset, limit int) (out Calls, err error) {
	if from.Before(b.Today()) {
		from = b.Today()
	}
	if err := b.within(from); err != nil {
		return Calls{}, err
	}
	until := from.AddDays(6)
	out.From, out.Until = from, until
	if out.Recount, err = b.upToDate(ctx); err != nil {
		return Calls{}, err
	}
	dogs, rows, err := b.candidates(ctx, until.AddDays(1))
	if err != nil {
		return Calls{}, err
	}
	w, others, err := b.taken(ctx, from.AddDays(-1), until.AddDays(7))
	if err != nil {
		return Calls{}, err
	}
	f := w.Fill(dogs, others, from, until)
	slices.SortStableFunc(f.Visits, func(x, y round.Visit) int { return x.Dog.Window.Compare(y.Dog.Window, until) })
	out.All = len(f.Visits)
	for i := min(offset, out.All); i < min(offset+limit, out.All); i++ {
		others := append(slices.Clone(others), f.Visits[:i]...) // what is best for another is not offered
		others = append(others, f.Visits[i+1:]...)
		d := f.Visits[i].Dog
		out.Now = append(out.Now, Call{Dog: d, Row: rows[d.ID], Offers: w.Offers(d, others, from, until, offersEach)})
	}
	if offset == 0 {
		for _, d := range f.Left {
			out.Later = append(out.Later, Call{Dog: d, Row: rows[d.ID]})
		}
	}
	for i := range out.Now {
		if id := out.Now[i].Row.OwnerID; id != nil {
			o, err := b.store.Owner(ctx, *id)
			if err != nil {
				return Calls{}, err
			}
			out.Now[i].Owner = &o
		}
	}
	return out, nil
}

// NotNow says not to call for a dog for some weeks; 0: to call for it again.
func (b *Book) NotNow(ctx context.Context, dogID uuid.UUID, weeks int) error {
	const most = 52
	if weeks < 0 || weeks > most {
		return fault.Fields{
			{Name: "weeks", Value: fmt.Sprint(weeks), Want: say.Of(mustBeFrom0To, say.Args{"most": say.Count(most)})},
		}
	}
	return b.store.NotNow(ctx, dogID, b.Today().AddDays(7*weeks))
}
