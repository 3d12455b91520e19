package book_test

import (
	"archive/zip"
	"bytes"
	"fmt"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/book"
	"fribbet/internal/store"
	"fribbet/internal/words/wordstest"
)

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
