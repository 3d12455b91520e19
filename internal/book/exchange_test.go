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
	"fribbet/internal/words/wordstest"
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

// What is not as it was written is refused by file, line and column, and nothing of it is in the book.
func TestPackagesThatAreNotTakenIn(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	from := filled(t)
	fig, err := from.DueList(t.Context(), store.Find{Name: "Fig", Limit: 1})
	require.NoError(t, err)
	var one bytes.Buffer
	require.NoError(t, from.ExportDog(t.Context(), &one, fig.Rows[0].DogID))
	data := one.Bytes()
	b, kept := aBook(t)
	before := everything(t, kept)
	line := func(n int, old, fresh string) func(string) []byte {
		return func(text string) []byte {
			lines := strings.SplitAfter(text, "\n")
			require.Contains(t, lines[n-1], old)
			lines[n-1] = strings.Replace(lines[n-1], old, fresh, 1)
			return []byte(strings.Join(lines, ""))
		}
	}
	gone := func(string) []byte { return nil }
	named := func(name string) func(string) []byte { return func(string) []byte { return []byte(name) } }
	picture := ""
	in, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	require.NoError(t, err)
	for _, f := range in.File {
		if strings.HasPrefix(f.Name, "pictures/") && !strings.Contains(f.Name, "small") {
			picture = f.Name
		}
	}
	for want, bad := range map[string][]byte{
		"must be a whole ZIP":                                    data[:len(data)/2],
		"must be a whole ZIP, as Fribbet exports it":             []byte("hello"),
		"data/dogs.csv: must be there: the package is not whole": changed(t, data, "data/dogs.csv", gone),
		"datapackage.json: must be there":                        changed(t, data, "datapackage.json", gone),
		"datapackage.json, version: must be 1": changed(t, data, "datapackage.json", func(s string) []byte {
			return []byte(strings.Replace(s, `"version": "1.1.0"`, `"version": "2.0.0"`, 1))
		}),
		"data/weights.csv, line 2, kg: must be a number": changed(t, data, "data/weights.csv", func(s string) []byte {
			return []byte("dog_id,on_date,kg\n7b0e4bb5-3b1e-4b43-9c3a-0f0f4d0f0001,2026-01-01,heavy\n")
		}),
		"data/weights.csv, line 2, on_date: must be a day": changed(t, data, "data/weights.csv", func(s string) []byte {
			return []byte("dog_id,on_date,kg\n7b0e4bb5-3b1e-4b43-9c3a-0f0f4d0f0001,soon,5\n")
		}),
		"data/weights.csv, line 2, kg: must be told": changed(t, data, "data/weights.csv", func(s string) []byte {
			return []byte("dog_id,on_date,kg\n7b0e4bb5-3b1e-4b43-9c3a-0f0f4d0f0001,2026-01-01,\n")
		}),
		"data/weights.csv, line 1, kg: must be there":      changed(t, data, "data/weights.csv", func(s string) []byte { return []byte("dog_id,on_date\n") }),
		"data/weights.csv, line 1, pounds: must be one of": changed(t, data, "data/weights.csv", line(1, "kg", "pounds")),
		"data/weights.csv, line 2: must have 3 cells":      changed(t, data, "data/weights.csv", line(2, ",", ",,")),
		"data/weights.csv, line 2, dog_id: must be an id":  changed(t, data, "data/weights.csv", func(s string) []byte { return []byte("dog_id,on_date,kg\nme,2026-01-01,5\n") }),
		"weights: a row belongs to one of dogs": changed(t, data, "data/weights.csv", func(s string) []byte {
			return []byte(s + "7b0e4bb5-3b1e-4b43-9c3a-0f0f4d0f0001,2026-01-01,5\n")
		}),
		"data/nails.csv, line 2, colour: must be one of":   changed(t, data, "data/nails.csv", func(s string) []byte { return []byte(strings.Replace(s, ",dark,", ",purple,", 1)) }),
		"data/logs.jsonl: must be as it was written":       changed(t, data, "data/logs.jsonl", func(s string) []byte { return []byte(strings.Replace(s, `"kind":"ended"`, `"kind":"done"`, 1)) }),
		"data/logs.jsonl, line 2, number: must be 1":       changed(t, data, "data/logs.jsonl", func(s string) []byte { l := strings.SplitAfter(s, "\n"); return []byte(l[0] + strings.Join(l[2:], "")) }),
		"data/logs.jsonl, line 1: must be one event":       changed(t, data, "data/logs.jsonl", func(s string) []byte { return []byte("{}{\n" + s) }),
		"sitting_id: must be a trim of logs.csv":           changed(t, data, "data/logs.csv", func(s string) []byte { l := strings.SplitAfter(s, "\n"); return []byte(l[0] + strings.Join(l[2:], "")) }),
		"must be the picture that its name says":           changed(t, data, picture, func(s string) []byte { return []byte(s + "x") }),
		"hash: must name a picture that is in the package": changed(t, data, picture, gone),
		"../../etc/passwd: must be no part of it":          changed(t, data, "new", named("../../etc/passwd")),
		"must not unpack to so much more than it is":       changed(t, data, "new", named("data/bomb.csv")),
	} {
		_, err := b.Import(t.Context(), bytes.NewReader(bad), int64(len(bad)), quietly)
		if assert.Error(t, err, want) {
			assert.Contains(t, wordstest.Err(err), want)
		}
	}
	assert.Empty(t, before)
	assert.Empty(t, everything(t, kept), "nothing by halves")
	left, err := filepath.Glob(kept.PicturePlace() + "/*")
	require.NoError(t, err)
	assert.Empty(t, left, "nor a picture")
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

// Every row passes the checks that the interface's own input passes, for dogs that are new and for those that are
// there; a package of which one row cannot be changes nothing.
func TestRowsOfAPackageAreBelievedNoMoreThanAnybodys(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	from := filled(t)
	whole := exportOf(t, from)
	fresh, kept := aBook(t)
	before := everything(t, kept)
	there, keptThere := aBook(t)
	fig, err := from.DueList(t.Context(), store.Find{Name: "Fig", Limit: 1})
	require.NoError(t, err)
	dog, id := fig.Rows[0].DogID.String(), "7b0e4bb5-3b1e-4b43-9c3a-0f0f4d0f0001"
	var alone bytes.Buffer
	require.NoError(t, from.ExportDog(t.Context(), &alone, fig.Rows[0].DogID))
	data := alone.Bytes()
	_, err = there.Import(t.Context(), bytes.NewReader(data), int64(len(data)), quietly)
	require.NoError(t, err)
	full := everything(t, keptThere)
	const noted = "2026-11-20T10:00:00.000Z"
	for _, c := range []struct{ file, row, names string }{
		{"weights", dog + ",2026-11-01,1e11", "kg"},
		{"weights", dog + ",2026-11-01,0", "kg"},
		{"weights", dog + ",2026-11-01,-5", "kg"},
		{"weights", dog + ",9999-01-01,20", "on_date"},
		{"weights", dog + ",1981-01-01,20", "weights[0].on"},
		{"nails", dog + ",ZZ9,sound,dark,usual", "code"},
		{"nails", dog + ",lf3,sound,dark,usual", "code"},
		{"walked", dog + ",2026-11-01,1e9", "km_week"},
		{"visits", id + "," + dog + ",2026-11-30,600,100000,agreed,0," + noted + ",,", "minutes"},
		{"visits", id + "," + dog + ",2026-11-30,5000,30,agreed,0," + noted + ",,", "start"},
		{"visits", id + "," + dog + ",2026-11-30,600,30,agreed,0,0001-01-01T00:00:00Z,,", "changed_at"},
		{"checks", id + "," + dog + ",9999-11-30,false,false,false,false,false," + noted, "on_date"},
		{"not_now", dog + ",9999-12-31", "until_date"},
		{"plans", id + "," + dog + ",2026-11-01,weekly,-4,[]," + noted + ",", "goal_mm"},
		{"ladders", id + "," + dog + ",clipper,,2090-11-01," + noted + ",,0", "started_on"},
	} {
		bad := changed(t, data, "data/"+c.file+".csv", func(s string) []byte { return []byte(s + c.row + "\n") })
		for name, b := range map[string]*book.Book{"empty": fresh, "there": there} {
			_, err := b.Import(t.Context(), bytes.NewReader(bad), int64(len(bad)), quietly)
			if assert.Error(t, err, c.row) {
				assert.Contains(t, wordstest.Err(err), "data/", "%s: %s", name, c.row)
				assert.Contains(t, wordstest.Err(err), c.names, "%s: %s", name, c.row)
			}
		}
	}
	walked := changed(t, data, "data/checks.csv", func(s string) []byte {
		return []byte(s + id + "," + dog + ",2026-11-20,false,false,false,false,false," + noted + "\n")
	})
	for row, names := range map[string]string{
		"LF3,1,,false,,,,,,,,":            "gap_mm",
		"LF3,1,,false,,,,,feeler,5,,":     "gap_sd_mm",
		"LF3,9999,,false,,,,,photo,0.5,,": "gap_mm",
		"LF3,,12,false,,,,,,,guess,0.5":   "length_by",
		"LF3,,12,false,,,,,,,caliper,1e9": "length_sd_mm",
		"ZZ9,,12,false,,,,,,,caliper,0.5": "code",
		"LF3,,12,false,,,,,,,caliper,0.5": "",
	} {
		bad := changed(t, walked, "data/looks.csv", func(s string) []byte { return []byte(s + id + "," + row + "\n") })
		_, err := fresh.TryImport(t.Context(), bytes.NewReader(bad), int64(len(bad)), quietly)
		if names == "" {
			assert.NoError(t, err, row)
		} else if assert.Error(t, err, row) {
			assert.Contains(t, wordstest.Err(err), names, row)
		}
	}
	for what, in := range map[string]struct{ file, old, now, names string }{
		"weekdays of settings":     {"settings", "tue", "foo", "working_weekdays"},
		"margin":                   {"settings", ",kg,1,", ",kg,-4,", "margin_mm"},
		"a holiday of 2,000 years": {"holidays", "\n", "\n0026-11-01,2026-11-01\n", "from_date"},
		"a holiday of ten years":   {"holidays", "\n", "\n2026-11-01,2036-11-01\n", "to"},
		"corners that are none":    {"pictures", `[{""X"":`, `[null,{""X"":`, "corners"},
		"a row of 2 MB":            {"owners", "\n", "\n" + long(), "1048576 bytes"},
		"a message without places": {"messages", "\n", "\n" + id + "," + id + "," + dog + ",places,,Hello,[],sent,0," + noted + ",," + noted + "," + noted + ",,0,\n", "places"},
		"a place of year 9999":     {"messages", "\n", "\n" + id + "," + id + "," + dog + `,late,,Hello,"[{""On"":""9999-01-01"",""Start"":600,""Minutes"":30}]",sent,0,` + noted + ",," + noted + "," + noted + ",,0,\n", "places"},
		"null for a place":         {"messages", "\n", "\n" + id + "," + id + "," + dog + `,late,,Hello,[null],sent,0,` + noted + ",," + noted + "," + noted + ",,0,\n", "places"},
	} {
		at := "data/" + in.file + ".csv"
		bad := changed(t, whole, at, func(s string) []byte {
			require.Contains(t, s, in.old, what)
			return []byte(strings.Replace(s, in.old, in.now, 1))
		})
		_, err := fresh.Import(t.Context(), bytes.NewReader(bad), int64(len(bad)), quietly)
		if assert.Error(t, err, what) {
			assert.Contains(t, wordstest.Err(err), at, what)
			assert.Contains(t, wordstest.Err(err), in.names, what)
		}
	}
	assert.Equal(t, before, everything(t, kept))
	assert.Equal(t, full, everything(t, keptThere))
}

// long is two megabytes of words that cannot be packed much.
func long() string {
	var words strings.Builder
	for n := uint64(1); words.Len() < 2<<20; n++ {
		fmt.Fprintf(&words, "%x ", n*0x9E3779B97F4A7C15)
	}
	return words.String()
}
