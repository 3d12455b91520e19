package book

import (
	"database/sql"
	"fmt"
	"os"
	"path/filepath"
	"slices"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/date"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/store"
)

// The large book of the speed targets: 2,000 dogs, three years of a sitting about every four
// weeks, 1.5 million nail records. `make bench` builds it once, in the place that FRIBBET_LARGE names.
const (
	largeDogs     = 2000
	largeSittings = 41
)

var large = sync.OnceValues(func() (string, error) {
	path := filepath.Join(os.Getenv("FRIBBET_LARGE"), "large.db")
	if _, err := os.Stat(path); err == nil {
		return path, nil
	}
	return path, fillLarge(path, date.MustParse("2026-11-24"))
})

// fillLarge writes the tables in one go: told through the book, they would take an hour.
func fillLarge(path string, today date.Date) error {
	kept, err := store.Open(ctx, path)
	if err != nil {
		return err
	}
	b := New(kept, func() time.Time { return time.Date(2026, time.November, 24, 9, 0, 0, 0, time.UTC) })
	if err := b.ChangeSettings(ctx, chosen(Groomer)); err != nil {
		return err
	}
	for i := range largeDogs {
		if _, err := b.AddDog(ctx, told(fmt.Sprintf("Dog %04d", i), float64(2+i%10), float64(3+i%60))); err != nil {
			return err
		}
	}
	blade, band := uuid.New(), uuid.New()
	for id, item := range map[uuid.UUID]kit.Item{
		blade: {Kind: kit.Kind(kit.LargePlier), Name: "plier", Stock: kit.Full}, band: {Kind: kit.Kind(kit.GrinderBand), Name: "band", Grit: 120, Stock: kit.Full},
	} {
		if err := b.AddKitItem(ctx, store.KitItem{ID: id, Item: item}); err != nil {
			return err
		}
	}
	if err := kept.Close(); err != nil {
		return err
	}
	db, err := sql.Open("sqlite", path)
	if err != nil {
		return err
	}
	defer db.Close() //nolint:errcheck // throw-away
	db.SetMaxOpenConns(1)
	for _, text := range []string{
		`PRAGMA synchronous = OFF`, `BEGIN`,
		fmt.Sprintf(`WITH RECURSIVE n(i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM n WHERE i < %d)
			INSERT INTO sittings (id, dog_id, on_date, note, recorded_at, minutes, helper, ticks)
			SELECT printf('%%08x-0000-4000-8000-%%012x', row_number() OVER (ORDER BY dogs.id), i), dogs.id,
				date('%s', printf('-%%d days', 3 + 27 * (%d - i))), '', '2026-01-01T00:00:00.000Z', 6, 0, '' FROM dogs, n`,
			largeSittings-1, today, largeSittings-1),
		fmt.Sprintf(`INSERT INTO records (sitting_id, code, tool, reaction, blood, number, item_id)
			SELECT sittings.id, code, 'large_plier', 'calm', 0, row_number() OVER (PARTITION BY sittings.id), '%s' FROM sittings JOIN nails USING (dog_id)`, blade),
		fmt.Sprintf(`INSERT INTO stints (sitting_id, item_id, cuts, seconds, untimed, took_force) SELECT id, '%s', 30, 360, 0, 0 FROM sittings`, blade),
		`INSERT INTO cuts (sitting_id, code, number, mm) SELECT sitting_id, code, 1, 1.5 FROM records UNION ALL
			SELECT sitting_id, code, 2, 1.5 FROM records WHERE number % 3 > 0`,
		`COMMIT`, `ANALYZE`,
	} {
		if _, err := db.Exec(text); err != nil {
			return fmt.Errorf("%.60s: %w", text, err)
		}
	}
	return nil
}

func largeBook(b *testing.B) *Book {
	b.Helper()
	if os.Getenv("FRIBBET_LARGE") == "" {
		b.Skip("needs minutes: make bench gives FRIBBET_LARGE, a place for it")
	}
	path, err := large()
	require.NoError(b, err)
	kept, err := store.Open(ctx, path)
	require.NoError(b, err)
	b.Cleanup(func() { _ = kept.Close() })
	book := New(kept, func() time.Time { return time.Date(2026, time.November, 24, 9, 0, 0, 0, time.UTC) })
	settled(b, book)
	return book
}

// settled waits until every date is of today.
func settled(b *testing.B, book *Book) {
	b.Helper()
	for {
		progress, err := book.upToDate(ctx)
		require.NoError(b, err)
		if progress == nil {
			return
		}
		time.Sleep(5 * time.Millisecond)
	}
}

// Every date of the book anew, after a setting has changed.
func BenchmarkRecountAfterASetting(b *testing.B) {
	book := largeBook(b)
	for i := 0; b.Loop(); i++ {
		s := chosen(Groomer)
		s.Margin = 1 + 0.01*float64(i%2)
		require.NoError(b, book.ChangeSettings(ctx, s))
		settled(b, book)
	}
}

// Every dog folded anew, as after a change of the rules.
func BenchmarkFoldAnew(b *testing.B) {
	book := largeBook(b)
	path, err := large()
	require.NoError(b, err)
	db, err := sql.Open("sqlite", path)
	require.NoError(b, err)
	defer db.Close() //nolint:errcheck // throw-away
	for b.Loop() {
		b.StopTimer()
		_, err := db.Exec(`DELETE FROM feet; UPDATE standings SET terms = NULL`)
		require.NoError(b, err)
		b.StartTimer()
		settled(b, book)
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
	book := largeBook(b)
	byFour(b, func(client int) error {
		_, err := book.DueList(ctx, store.Find{Offset: 25 * client, Limit: 25})
		return err
	})
}

// One cut told at the bench, and the bench as it then stands.
func BenchmarkBenchEvent(b *testing.B) {
	book := largeBook(b)
	list, err := book.DueList(ctx, store.Find{Limit: 4})
	require.NoError(b, err)
	sittings := make([]uuid.UUID, 4)
	for i := range sittings {
		sittings[i] = uuid.New()
		start := bench.Event{ID: uuid.NewString(), Kind: bench.Started, Tool: kit.GrinderBand, At: book.now()}
		require.NoError(b, book.Tell(ctx, list.Rows[i].DogID, sittings[i], []bench.Event{start}))
	}
	n := make([]int, 4)
	codes := list.Rows[0].Glance.Bars
	byFour(b, func(client int) error {
		code := codes[n[client]%len(codes)].Code
		n[client]++
		if n[client]%200 == 0 { // a sitting of that many touches is over
			sittings[client] = uuid.New()
			if err := book.Tell(ctx, list.Rows[client].DogID, sittings[client], []bench.Event{{ID: uuid.NewString(), Kind: bench.Started, Tool: kit.GrinderBand, At: book.now()}}); err != nil {
				return err
			}
		}
		if err := book.Tell(ctx, list.Rows[client].DogID, sittings[client], []bench.Event{touch(code, book.now())}); err != nil {
			return err
		}
		_, err := book.Bench(ctx, list.Rows[client].DogID, sittings[client])
		return err
	})
}

func touch(code nail.Code, at time.Time) bench.Event {
	return bench.Event{ID: uuid.NewString(), Kind: bench.Touched, At: at, Nail: &code, MM: 0.2}
}
