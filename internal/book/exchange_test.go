package book_test

import (
	"archive/zip"
	"bytes"
	"context"
	"encoding/csv"
	"encoding/json"
	"fmt"
	"io"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/book"
	"fribbet/internal/demo"
	"fribbet/internal/store"
	"fribbet/internal/store/storetest"
)

var noon = time.Date(2026, 11, 24, 12, 0, 0, 0, time.UTC)

func aBook(t *testing.T) (*book.Book, *store.Store) {
	t.Helper()
	kept, err := store.Open(t.Context(), storetest.Empty(t), store.ThrowAway)
	require.NoError(t, err)
	t.Cleanup(func() { _ = kept.Close() })
	var asked atomic.Int64 // each backup has its own moment
	return book.New(
		kept,
		func() time.Time { return noon.Add(time.Duration(asked.Add(1)) * time.Millisecond) },
		book.Options{},
	), kept
}

func quietly(int, int) {}

// demos is the demonstration, filled once.
var demos struct {
	sync.Once
	book *book.Book
	kept *store.Store
}

func filled(t *testing.T) *book.Book {
	t.Helper()
	demos.Do(func() {
		dir, err := os.MkdirTemp("", "fribbet-exchange-")
		require.NoError(t, err)
		demos.kept, err = store.Open(t.Context(), filepath.Join(dir, "book.db"), store.ThrowAway)
		require.NoError(t, err)
		demos.book = book.New(demos.kept, func() time.Time { return noon }, book.Options{})
		require.NoError(t, demo.Fill(t.Context(), demos.book))
	})
	return demos.book
}

func exportOf(t *testing.T, b *book.Book) []byte {
	t.Helper()
	var out bytes.Buffer
	require.NoError(t, b.Export(t.Context(), &out, quietly))
	return out.Bytes()
}

// everything is every row of every table but those that a book has for itself.
func everything(t *testing.T, s *store.Store) map[string][]string {
	t.Helper()
	all := map[string][]string{}
	require.NoError(t, s.Snapshot(t.Context(), func(snap store.Snapshot) error {
		for _, table := range []string{
			"settings", "sticks", "practised", "holidays", "dogs", "weights", "nails", "walked", "kit_items", "kit_services", "owners", "owned", "working_week", "visits", "not_now", "waiting", "messages", "checks", "looks",
			"ladders", "tries", "plans", "pictures", "logs", "events", "sittings", "records", "cuts", "readings", "landmarks", "stints", "worn",
		} {
			err := snap.Rows(t.Context(), table, []string{"*"}, []string{"1", "2"}, "", nil, func(v []any) error {
				all[table] = append(all[table], fmt.Sprint(v))
				return nil
			})
			if err != nil {
				return err
			}
		}
		return nil
	}))
	return all
}

// The demonstration goes out, and comes into an empty book as the same: every table, every date.
func TestABookGoesOutAndComesInTheSame(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	from, kept := filled(t), demos.kept
	data := exportOf(t, from)
	to, other := aBook(t)
	took, err := to.Import(t.Context(), bytes.NewReader(data), int64(len(data)), quietly)
	require.NoError(t, err)
	assert.NotEmpty(t, took.Backup)
	want, got := everything(t, kept), everything(t, other)
	for table := range want {
		assert.Equal(t, len(want[table]), len(got[table]), table)
		for i := range want[table] {
			if i < len(got[table]) && want[table][i] != got[table][i] {
				t.Errorf("%s:\n%s\n%s", table, want[table][i], got[table][i])
				break
			}
		}
	}
	for _, b := range []*book.Book{from, to} {
		_, err := b.Rebuild(context.Background(), quietly)
		require.NoError(t, err)
	}
	assert.Equal(t, dates(t, from), dates(t, to), "every state comes to the same date")
	pictures, err := filepath.Glob(other.PicturePlace() + "/*")
	require.NoError(t, err)
	assert.Len(t, pictures, 30)

	again, err := to.Import(t.Context(), bytes.NewReader(data), int64(len(data)), quietly)
	require.NoError(t, err)
	assert.True(t, again.Nothing(), "taken in once more, nothing is new")
	for _, table := range again.Tables {
		assert.Zero(t, table.Different, table.Name)
	}
	assert.Equal(t, got, everything(t, other))
}

// A package of an earlier version lacks what there was not then: it comes in all the same, and its ladders stand where
// they stood.
func TestAnEarlierPackageComesIn(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	from := filled(t)
	data := exportOf(t, from)
	for file, names := range map[string][]string{"data/dogs.csv": {"tips_meanwhile", "by_paw", "dates"}, "data/ladders.csv": {"first_step"}} {
		data = changed(t, data, file, func(text string) []byte {
			rows, err := csv.NewReader(strings.NewReader(text)).ReadAll()
			require.NoError(t, err)
			for _, name := range names {
				at := slices.Index(rows[0], name)
				require.GreaterOrEqual(t, at, 0, name)
				for i := range rows {
					rows[i] = slices.Delete(rows[i], at, at+1)
				}
			}
			var out bytes.Buffer
			require.NoError(t, csv.NewWriter(&out).WriteAll(rows))
			return out.Bytes()
		})
	}
	data = changed(t, data, "data/sticks.csv", func(string) []byte { return nil })
	data = changed(t, data, "datapackage.json", func(text string) []byte {
		var d map[string]any
		require.NoError(t, json.Unmarshal([]byte(text), &d))
		d["resources"] = slices.DeleteFunc(
			d["resources"].([]any),
			func(r any) bool { return r.(map[string]any)["path"] == "data/sticks.csv" },
		)
		out, err := json.Marshal(d)
		require.NoError(t, err)
		return out
	})
	b, kept := aBook(t)
	_, err := b.Import(t.Context(), bytes.NewReader(data), int64(len(data)), quietly)
	require.NoError(t, err)
	assert.Equal(t, everything(t, demos.kept)["ladders"], everything(t, kept)["ladders"])
	_, err = b.DueList(t.Context(), store.Find{Limit: 5})
	assert.NoError(t, err)
}

func dates(t *testing.T, b *book.Book) (all []string) {
	t.Helper()
	found, err := b.DueList(t.Context(), store.Find{Limit: 200})
	require.NoError(t, err)
	for _, d := range found.Rows {
		all = append(all, string(d.Kept))
	}
	return all
}

// changed is a package with one file changed, or left out where what comes is nil.
func changed(t *testing.T, data []byte, name string, change func(string) []byte) []byte {
	t.Helper()
	in, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	require.NoError(t, err)
	var out bytes.Buffer
	w := zip.NewWriter(&out)
	for _, f := range in.File {
		r, err := f.Open()
		require.NoError(t, err)
		text, err := io.ReadAll(r)
		require.NoError(t, err)
		if f.Name == name {
			if text = change(string(text)); text == nil {
				continue
			}
		}
		to, err := w.Create(f.Name)
		require.NoError(t, err)
		_, err = to.Write(text)
		require.NoError(t, err)
	}
	if change != nil && name == "new" {
		to, err := w.Create(string(change("")))
		require.NoError(t, err)
		_, err = to.Write(bytes.Repeat([]byte{'0'}, 64<<20))
		require.NoError(t, err)
	}
	require.NoError(t, w.Close())
	return out.Bytes()
}

// A reader that is not ours reads the package: every table against its schema, every reference (Frictionless Data's own
// library for JavaScript).
func TestAnotherReadsThePackage(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	key, err := filled(t).CalendarKey(t.Context())
	require.NoError(t, err)
	require.NotEmpty(t, key)
	data, place := exportOf(t, filled(t)), t.TempDir()
	in, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	require.NoError(t, err)
	require.NoError(t, os.CopyFS(place, in))
	said, err := exec.Command("node", "../formats/testdata/package.cjs", place).CombinedOutput()
	require.NoError(t, err, string(said))
	var rows map[string]int
	require.NoError(t, json.Unmarshal(said, &rows))
	assert.Equal(t, 24, rows["dogs"])
	for table, n := range everything(t, demos.kept) {
		if told, is := rows[table]; is {
			assert.Equal(t, len(n), told, table)
		}
	}
	for _, f := range in.File {
		text, err := os.ReadFile(filepath.Join(place, f.Name))
		require.NoError(t, err)
		assert.NotContains(t, string(text), key, "no secret is in it: "+f.Name)
		assert.NotContains(t, string(text), "calendar_key", f.Name)
	}
}
