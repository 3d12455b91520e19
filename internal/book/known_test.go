package book

import (
	"archive/zip"
	"bytes"
	"fmt"
	"io/fs"
	"math/rand/v2"
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

// teller tells anything of a dog and takes it back, as choose has it: one of so many, 0 the first.
type teller struct {
	b      *Book
	d      store.Dog
	choose func(n int) int
	under  []uuid.UUID // sittings told tap by tap
	ends   map[uuid.UUID]string
}

func (t *teller) tell(id uuid.UUID, e bench.Event) string {
	e.ID, e.At = uuid.NewString(), t.b.now()
	_, _ = t.b.Tell(ctx, t.d.ID, id, []bench.Event{e}) // refused where it cannot have happened
	return e.ID
}

func (t *teller) pick() uuid.UUID {
	if len(t.under) == 0 {
		return uuid.New()
	}
	return t.under[t.choose(len(t.under))]
}

func (t *teller) step() {
	lf3 := nail.MustParse("LF3")
	day := t.b.Today().AddDays(-t.choose(3))
	switch t.choose(8) {
	case 0:
		s := record.Sitting{
			On: day,
			Records: []record.NailRecord{
				{Code: lf3, Cuts: []float64{0.5}, EndFace: quick.DarkCentre, Tool: kit.LargePlier, Reaction: "calm"},
			},
		}
		_ = t.b.Record(ctx, t.d.ID, store.Sitting{ID: uuid.New(), Sitting: s}, "")
	case 1:
		gap := measure.Card.Number()
		_ = t.b.Look(
			ctx,
			t.d.ID,
			store.WalkRound{
				ID:        uuid.New(),
				WalkRound: record.WalkRound{On: day, Looks: []record.Look{{Code: lf3, Gap: &gap}}},
			},
		)
	case 2:
		id := uuid.New()
		t.under = append(t.under, id)
		t.tell(id, bench.Event{Kind: bench.Started, Tool: kit.LargePlier})
	case 3, 4:
		id := t.pick()
		cut := t.tell(id, bench.Event{Kind: bench.Cut, Nail: &lf3, MM: 0.5})
		t.tell(id, bench.Event{Kind: bench.Showed, Nail: &lf3, Of: cut, Face: quick.Grey})
	case 5:
		id := t.pick()
		t.ends[id] = t.tell(id, bench.Event{Kind: bench.Ended})
	case 6:
		id := t.pick()
		t.tell(id, bench.Event{Kind: bench.Undone, Of: t.ends[id]})
	case 7:
		_ = t.b.Withdraw(ctx, t.d.ID, t.pick())
	}
}

// Whatever is told of a dog and taken back, in any order, what is kept comes to what all of it does:
// before a sitting that is under way, and with it.
func TestWhatIsKeptIsWhatAllOfItComesTo(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	b := opened(t)
	rapid.Check(t, func(t *rapid.T) {
		d, err := b.AddDog(ctx, told("Moss", 4, 22))
		require.NoError(t, err)
		anything := teller{
			b:      b,
			d:      d,
			ends:   map[uuid.UUID]string{},
			choose: func(n int) int { return rapid.IntRange(0, n-1).Draw(t, "what") },
		}
		for range rapid.IntRange(1, 12).Draw(t, "steps") {
			anything.step()
			if rapid.Bool().Draw(t, "looked at") {
				_, err = b.DueList(ctx, store.Find{Limit: 1})
				require.NoError(t, err)
			}
			same(t, b, d, uuid.Nil)
			for _, id := range anything.under {
				if log, err := b.store.Log(ctx, d.ID, id); err == nil && !log.Events.Fold().Ended {
					same(t, b, d, id)
				}
			}
		}
	})
}

// A random book goes out, comes into an empty one, and goes out of that to the byte.
func TestRandomBooksGoOutAndComeInTheSame(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	for seed := range uint64(12) {
		r := rand.New(rand.NewPCG(seed, 5))
		from, to := opened(t), opened(t)
		for i := range 1 + r.IntN(4) {
			d, err := from.AddDog(ctx, told(fmt.Sprint("Dog ", i), float64(1+r.IntN(12)), float64(3+r.IntN(60))))
			require.NoError(t, err)
			anything := teller{b: from, d: d, ends: map[uuid.UUID]string{}, choose: r.IntN}
			for range r.IntN(25) {
				anything.step()
			}
		}
		quietly := func(int, int) {}
		var first, second bytes.Buffer
		require.NoError(t, from.Export(ctx, &first, quietly))
		_, err := to.Import(ctx, bytes.NewReader(first.Bytes()), int64(first.Len()), quietly)
		require.NoError(t, err, seed)
		require.NoError(t, to.Export(ctx, &second, quietly))
		require.Equal(t, unpacked(t, first.Bytes()), unpacked(t, second.Bytes()), "book %d", seed)
	}
}

// unpacked is every file of a package.
func unpacked(t *testing.T, data []byte) map[string]string {
	t.Helper()
	in, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	require.NoError(t, err)
	all := map[string]string{}
	for _, f := range in.File {
		text, err := fs.ReadFile(in, f.Name)
		require.NoError(t, err)
		all[f.Name] = string(text)
	}
	return all
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
