package book

import (
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/store"
)

// Whatever is told of a dog and taken back, in any order, what is kept comes to what all of it does:
// before a sitting that is under way, and with it.
func TestWhatIsKeptIsWhatAllOfItComesTo(t *testing.T) {
	b := opened(t)
	lf3 := nail.MustParse("LF3")
	rapid.Check(t, func(t *rapid.T) {
		d, err := b.AddDog(ctx, told("Moss", 4, 22))
		require.NoError(t, err)
		var under []uuid.UUID // sittings told tap by tap
		ends := map[uuid.UUID]string{}
		tell := func(id uuid.UUID, e bench.Event) string {
			e.ID, e.At = uuid.NewString(), b.now()
			_, _ = b.Tell(ctx, d.ID, id, []bench.Event{e}) // refused where it cannot have happened
			return e.ID
		}
		pick := func() uuid.UUID {
			if len(under) == 0 {
				return uuid.New()
			}
			return rapid.SampledFrom(under).Draw(t, "sitting")
		}
		for range rapid.IntRange(1, 12).Draw(t, "steps") {
			day := b.Today().AddDays(-rapid.IntRange(0, 2).Draw(t, "ago"))
			switch rapid.IntRange(0, 7).Draw(t, "what") {
			case 0:
				s := record.Sitting{On: day, Records: []record.Nail{{Code: lf3, Cuts: []float64{0.5}, EndFace: quick.DarkCentre, Tool: kit.LargePlier, Reaction: "calm"}}}
				_ = b.Record(ctx, d.ID, store.Sitting{ID: uuid.New(), Sitting: s}, "", "")
			case 1:
				gap := measure.Card.Number()
				_ = b.Look(ctx, d.ID, store.Check{ID: uuid.New(), Check: record.Check{On: day, Looks: []record.Look{{Code: lf3, Gap: &gap}}}})
			case 2:
				id := uuid.New()
				under = append(under, id)
				tell(id, bench.Event{Kind: bench.Started, Tool: kit.LargePlier})
			case 3, 4:
				id := pick()
				cut := tell(id, bench.Event{Kind: bench.Cut, Nail: &lf3, MM: 0.5})
				tell(id, bench.Event{Kind: bench.Showed, Nail: &lf3, Of: cut, Face: quick.Grey})
			case 5:
				id := pick()
				ends[id] = tell(id, bench.Event{Kind: bench.Ended})
			case 6:
				id := pick()
				tell(id, bench.Event{Kind: bench.Undone, Of: ends[id]})
			case 7:
				_ = b.Withdraw(ctx, d.ID, pick())
			}
			if rapid.Bool().Draw(t, "looked at") {
				_, err = b.DueList(ctx, store.Find{Limit: 1})
				require.NoError(t, err)
			}
			same(t, b, d, uuid.Nil)
			for _, id := range under {
				if log, err := b.store.Log(ctx, d.ID, id); err == nil && !log.Events.Fold().Ended {
					same(t, b, d, id)
				}
			}
		}
	})
}

func same(t *rapid.T, b *Book, d store.Dog, but uuid.UUID) {
	kept, err := b.knownBut(ctx, d, but)
	require.NoError(t, err)
	all, err := b.foldBut(ctx, d, []uuid.UUID{but})
	require.NoError(t, err)
	k, err := kept.keep()
	require.NoError(t, err)
	a, err := all.keep()
	require.NoError(t, err)
	if string(k) != string(a) {
		t.Fatalf("without %s:\n%s\n%s", but, k, a)
	}
}
