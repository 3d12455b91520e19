package large

import (
	"context"
	"database/sql"
	"os"
	"path/filepath"
	"slices"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/require"

	"fribbet/internal/book"
	"fribbet/internal/core/bench"
	"fribbet/internal/core/date"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/store"
)

var (
	ctx = context.Background()
	now = time.Date(2026, time.November, 24, 9, 0, 0, 0, time.UTC)
)

// `make bench` builds the large book once, in the place that FRIBBET_LARGE names.
var theLarge = sync.OnceValues(func() (string, error) {
	path := filepath.Join(os.Getenv("FRIBBET_LARGE"), "large.db")
	if _, err := os.Stat(path); err == nil {
		return path, nil
	}
	return path, Fill(ctx, path, date.MustParse("2026-11-24"))
})

func largeBook(b *testing.B) *book.Book {
	b.Helper()
	if os.Getenv("FRIBBET_LARGE") == "" {
		b.Skip("needs minutes: make bench gives FRIBBET_LARGE, a place for it")
	}
	path, err := theLarge()
	require.NoError(b, err)
	kept, err := store.Open(ctx, path)
	require.NoError(b, err)
	b.Cleanup(func() { _ = kept.Close() })
	large := book.New(kept, func() time.Time { return now }, book.Options{})
	settled(b, large)
	return large
}

// settled waits until every date is of today.
func settled(b *testing.B, large *book.Book) {
	b.Helper()
	for {
		list, err := large.DueList(ctx, store.Find{Limit: 1})
		require.NoError(b, err)
		if list.Recount == nil {
			return
		}
		time.Sleep(5 * time.Millisecond)
	}
}

// Every date of the book anew, after a setting has changed.
func BenchmarkRecountAfterASetting(b *testing.B) {
	large := largeBook(b)
	for i := 0; b.Loop(); i++ {
		s := choices
		s.Margin = 1 + 0.01*float64(i%2)
		require.NoError(b, large.ChangeSettings(ctx, s))
		settled(b, large)
	}
}

// Every dog folded anew, as after a change of the rules.
func BenchmarkFoldAnew(b *testing.B) {
	large := largeBook(b)
	path, err := theLarge()
	require.NoError(b, err)
	db, err := sql.Open("sqlite", path)
	require.NoError(b, err)
	defer db.Close()
	for b.Loop() {
		b.StopTimer()
		_, err := db.Exec(`DELETE FROM feet; UPDATE standings SET terms = NULL`)
		require.NoError(b, err)
		b.StartTimer()
		settled(b, large)
	}
}

// byFour asks with four clients at once and reports the 99th percentile.
func byFour(b *testing.B, ask func(client int) error) {
	b.Helper()
	var mu sync.Mutex
	var took []time.Duration
	var clients sync.WaitGroup
	b.ResetTimer()
	for client := range 4 {
		clients.Go(func() {
			for range (b.N + 3) / 4 {
				start := time.Now()
				if err := ask(client); err != nil {
					b.Error(err)
					return
				}
				mu.Lock()
				took = append(took, time.Since(start))
				mu.Unlock()
			}
		})
	}
	clients.Wait()
	slices.Sort(took)
	b.ReportMetric(float64(took[len(took)*99/100].Microseconds())/1000, "ms/99%")
	b.ReportMetric(float64(took[len(took)/2].Microseconds())/1000, "ms/50%")
}

func BenchmarkDueList(b *testing.B) {
	large := largeBook(b)
	byFour(b, func(client int) error {
		_, err := large.DueList(ctx, store.Find{Offset: 25 * client, Limit: 25})
		return err
	})
}

// One cut told at the bench, and the bench as it then stands.
func BenchmarkBenchEvent(b *testing.B) {
	large := largeBook(b)
	list, err := large.DueList(ctx, store.Find{Limit: 4})
	require.NoError(b, err)
	sittings := make([]uuid.UUID, 4)
	for i := range sittings {
		sittings[i] = uuid.New()
		start := bench.Event{ID: uuid.NewString(), Kind: bench.Started, Tool: kit.GrinderBand, At: now}
		_, err := large.Tell(ctx, list.Rows[i].DogID, sittings[i], []bench.Event{start})
		require.NoError(b, err)
	}
	n := make([]int, 4)
	first, err := list.Rows[0].Turn()
	require.NoError(b, err)
	codes := first.Glance.Bars
	byFour(b, func(client int) error {
		code := codes[n[client]%len(codes)].Code
		n[client]++
		if n[client]%200 == 0 { // a sitting of that many touches is over
			sittings[client] = uuid.New()
			if _, err := large.Tell(
				ctx,
				list.Rows[client].DogID,
				sittings[client],
				[]bench.Event{{ID: uuid.NewString(), Kind: bench.Started, Tool: kit.GrinderBand, At: now}},
			); err != nil {
				return err
			}
		}
		_, err := large.Tell(ctx, list.Rows[client].DogID, sittings[client], []bench.Event{touch(code, now)})
		return err
	})
}

func touch(code nail.Code, at time.Time) bench.Event {
	return bench.Event{ID: uuid.NewString(), Kind: bench.Touched, At: at, Nail: &code, MM: 0.2}
}
