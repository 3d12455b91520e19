package demo

import (
	"context"
	"math"
	"os"
	"path/filepath"
	"slices"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/book"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
	"fribbet/internal/store"
)

// november is the day of the book that most tests look at.
var november = time.Date(2026, time.November, 24, 9, 0, 0, 0, time.UTC)

// shared is the demonstration of that day, filled once: who looks at it changes nothing.
var shared struct {
	sync.Once
	place string
	book  *book.Book
	rows  []book.DueRow
}

func TestMain(m *testing.M) {
	os.Exit(func() int {
		var err error
		if shared.place, err = os.MkdirTemp("", "fribbet-demo-"); err != nil {
			panic(err)
		}
		defer os.RemoveAll(shared.place)
		return m.Run()
	}())
}

func inNovember(t *testing.T) (*book.Book, []book.DueRow) {
	t.Helper()
	shared.Do(func() { shared.book, shared.rows = filledAt(t, november, shared.place, Fill) })
	return shared.book, shared.rows
}

// withDogs are the demonstration's dogs on a day, without what hangs on them: pictures, practice, the round.
func withDogs(t *testing.T, day time.Time) []book.DueRow {
	t.Helper()
	_, rows := filledAt(t, day, t.TempDir(), func(ctx context.Context, b *book.Book) error {
		_, err := fillDogs(ctx, b)
		return err
	})
	return rows
}

func filledAt(
	t *testing.T,
	day time.Time,
	place string,
	fill func(context.Context, *book.Book) error,
) (*book.Book, []book.DueRow) {
	t.Helper()
	ctx := context.Background()
	kept, err := store.Open(ctx, filepath.Join(place, "demo.db"), store.ThrowAway)
	require.NoError(t, err)
	if place != shared.place {
		t.Cleanup(func() { _ = kept.Close() })
	}
	b := book.New(kept, func() time.Time { return day }, book.Options{})
	require.NoError(t, fill(ctx, b))
	list, err := b.DueList(ctx, store.Find{Limit: 100})
	require.NoError(t, err)
	require.Nil(t, list.Recount)
	return b, list.Rows
}

// The demonstration must show every state of the Due list on whatever day it is started.
func TestTheDemoShowsEveryStanding(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	for day := range 7 {
		on := time.Date(2026, time.February, 26+day, 9, 0, 0, 0, time.UTC)
		standings := map[due.Standing]int{}
		curling, veterinary, trained := 0, 0, 0
		rows := withDogs(t, on)
		for _, row := range rows {
			v, err := row.Turn()
			require.NoError(t, err)
			if v.Train {
				trained++
				continue
			}
			standings[v.Standing]++
			for _, r := range v.Glance.Bars {
				if r.Curling {
					curling++
				}
			}
			for _, c := range v.Cautions {
				if c.Kind == dog.Veterinarian {
					veterinary++
				}
			}
		}
		assert.Len(t, rows, 24)
		assert.Equal(t, 1, standings[due.Unseen])
		assert.GreaterOrEqual(t, standings[due.Late], 1, "%v", on)
		assert.LessOrEqual(t, standings[due.Late], 4, "a morning's work, not a pile of arrears")
		assert.GreaterOrEqual(t, standings[due.Today]+standings[due.ThisWeek], 1, "%v", on)
		assert.GreaterOrEqual(t, standings[due.Later], 2, "%v", on)
		assert.Equal(t, 1, trained, "a puppy on the ladder")
		assert.GreaterOrEqual(t, curling, 1, "a dewclaw that was missed, %v", on)
		assert.Equal(t, 1, veterinary, "one torn nail, %v", on)
		assert.Equal(t, "Marl", rows[0].Name, "what is a veterinarian's matter stands first")
	}
}

func TestTheDemoIsTheSameEveryTime(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	_, a := inNovember(t)
	b := withDogs(t, november)
	for i := range a {
		assert.Equal(t, a[i].Name, b[i].Name)
		assert.Equal(t, a[i].Kept, b[i].Kept)
	}
}

// What the program learns must be what the generator used: the gross rate within two standard
// deviations for six dogs in seven, and better than what was assumed.
func TestTheDemosTrueRatesAreFound(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	b, rows := inNovember(t)
	found, dogs := 0, 0
	learnt, assumed := 0.0, 0.0
	for _, row := range rows {
		view, err := b.View(context.Background(), row.DogID)
		require.NoError(t, err)
		if view.Growth.Source != estimate.Learnt {
			continue
		}
		i := slices.IndexFunc(scenarios, func(s scenario) bool { return s.name == row.Name })
		noise := scenarios[i].chance()
		first := scenarios[i].days(b.Today(), noise)[0]
		truth := scenarios[i].draw(view.Dog.Dog, first, noise).
			Gross() -
			growth.Usual(view.Dog.Where(first)) + view.Growth.Usual.Mean
		off := math.Abs(view.Growth.Gross.Mean - truth)
		t.Logf(
			"%-9s true %.2f, learnt %.2f ± %.2f, assumed %.2f ± %.2f, %s",
			row.Name,
			truth,
			view.Growth.Gross.Mean,
			view.Growth.Gross.SD,
			view.Growth.Usual.Mean,
			view.Growth.Usual.SD,
			view.Growth.Words,
		)
		dogs++
		if off <= 2*view.Growth.Gross.SD {
			found++
		}
		learnt += off
		assumed += math.Abs(view.Growth.Usual.Mean - truth)
	}
	assert.GreaterOrEqual(t, dogs, 20)
	assert.GreaterOrEqual(t, float64(found), 0.85*float64(dogs))
	assert.Less(t, learnt, assumed, "all together nearer than what was assumed")
}

// A year that shows recession, a dog growing out at six weeks, and one whose own habit is known.
func TestTheDemoShowsWhatTheQuickDoes(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	b, rows := inNovember(t)
	quick := func(p feet.Point) float64 { return p.Quick.Value }
	for _, row := range rows {
		switch row.Name {
		case "Sedge":
			h, err := b.History(context.Background(), row.DogID, []nail.Code{nail.MustParse("LF3")})
			require.NoError(t, err)
			assert.Less(t, quick(h.Past[len(h.Past)-1]), quick(h.Past[20])-1, "drawn back since the plan began")
			view, err := b.View(context.Background(), row.DogID)
			require.NoError(t, err)
			require.NotNil(t, view.Plan)
			assert.Contains(
				t,
				[]rhythm.Track{rhythm.OnTrack, rhythm.Reached},
				view.Plan.Progress.Track,
				view.Plan.Progress.Words,
			)
		case "Oatcake":
			view, err := b.View(context.Background(), row.DogID)
			require.NoError(t, err)
			assert.Equal(t, estimate.Learnt, view.Growth.Source)
		case "Windlass":
			r, err := b.Rhythms(context.Background(), row.DogID, nil, nil)
			require.NoError(t, err)
			assert.Positive(t, r.Outlooks[len(r.Outlooks)-1].QuickMove, "six weeks let it grow out")
		}
	}
}

// Of dogs of which only the amounts are told, the ranges of what is believed hold the generator's own truth.
func TestTheTallyDogsHoldTheirRanges(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	b, rows := inNovember(t)
	for _, row := range rows {
		i := slices.IndexFunc(scenarios, func(s scenario) bool { return s.name == row.Name })
		if !scenarios[i].tally {
			continue
		}
		view, err := b.View(context.Background(), row.DogID)
		require.NoError(t, err)
		noise := scenarios[i].chance()
		days := scenarios[i].days(b.Today(), noise)
		hands := scenarios[i].begin(view.Dog.Dog, days[0], noise)
		for k, day := range days {
			hands.sit(k, day)
		}
		last := days[len(days)-1]
		held := 0
		for k, r := range hands.feet.On(last) {
			truth := hands.truth.Nails[k].Spare
			if r.Spare.Low <= truth && truth <= r.Spare.High {
				held++
			}
		}
		assert.GreaterOrEqual(t, held, 14, "%s: of 18", row.Name)
	}
}

// One dog was calm whenever somebody helped: that is found, and of the others nothing is said that is only chance.
func TestTheDemoShowsWhatMadeADogCalm(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	b, rows := inNovember(t)
	for _, row := range rows {
		view, err := b.View(context.Background(), row.DogID)
		require.NoError(t, err)
		if row.Name != "Rudder" {
			assert.Empty(t, view.Calmer, row.Name)
			continue
		}
		require.Len(t, view.Calmer, 1)
		assert.Equal(t, temper.WithHelper, view.Calmer[0].What)
		assert.True(t, view.Calmer[0].More)
		assert.Equal(t, view.Calmer[0].With.Of, view.Calmer[0].With.Calm)
	}
}
