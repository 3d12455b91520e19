package book_test

import (
	"archive/zip"
	"bytes"
	"encoding/csv"
	"io/fs"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/store"
)

// rowsOf are the rows of a table of a package, by the names of its columns.
func rowsOf(t *testing.T, data []byte, file string) (all []map[string]string) {
	t.Helper()
	in, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	require.NoError(t, err)
	text, err := fs.ReadFile(in, file)
	require.NoError(t, err)
	rows, err := csv.NewReader(bytes.NewReader(text)).ReadAll()
	require.NoError(t, err)
	for _, row := range rows[1:] {
		one := map[string]string{}
		for i, name := range rows[0] {
			one[name] = row[i]
		}
		all = append(all, one)
	}
	return all
}

// Whoever has the package reads in it what the screens say on that day: each nail's length, spare and gap with their
// ranges, and each dog's date. One dog alone has its own.
func TestThePackageSaysWhatIsBelieved(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	b := filled(t)
	data := exportOf(t, b)
	nails, dates := rowsOf(t, data, "data/believed.csv"), rowsOf(t, data, "data/dates.csv")
	due, err := b.DueList(t.Context(), store.Find{Limit: 200})
	require.NoError(t, err)
	dated, told := 0, 0
	for _, row := range due.Rows {
		v, err := b.View(t.Context(), row.DogID)
		require.NoError(t, err)
		for _, r := range v.Readings {
			for _, n := range nails {
				if n["dog_id"] != row.DogID.String() || n["code"] != r.Code.String() {
					continue
				}
				told++
				assert.Equal(t, "2026-11-24", n["on_date"])
				for name, want := range map[string]float64{"length": r.Length.Value, "length_low": r.Length.Low, "length_high": r.Length.High, "spare": r.Spare.Value, "spare_low": r.Spare.Low, "rate": r.Rate.Mean} {
					got, err := strconv.ParseFloat(n[name], 64)
					require.NoError(t, err, name)
					assert.InDelta(t, want, got, 1e-9, "%s: %s %s", row.Name, r.Code, name)
				}
				assert.Equal(t, string(r.Length.Source), n["length_source"])
				assert.Equal(t, r.Code.Dewclaw(), n["gap"] == "", "a dewclaw stands over no floor")
				assert.Equal(t, strconv.FormatBool(r.OnFloor), n["on_floor"])
			}
		}
		for _, d := range dates {
			if d["dog_id"] == row.DogID.String() {
				dated++
				require.NotNil(t, v.Next, row.Name)
				assert.Equal(t, v.Next.Due.String(), d["due"], row.Name)
				assert.Equal(t, v.Next.Cautious.String(), d["cautious"], row.Name)
				assert.Equal(t, string(v.Next.Rule), d["rule"], row.Name)
			}
		}
	}
	assert.Equal(t, len(nails), told, "each nail once")
	assert.Equal(t, len(dates), dated, "each date once")
	assert.NotZero(t, dated)

	said := rowsOf(t, data, "data/foretold.csv")
	cuts := 0
	for _, row := range due.Rows {
		h, err := b.Hindsight(t.Context(), row.DogID)
		require.NoError(t, err)
		cuts += h.Cuts.All()
	}
	for _, one := range said {
		switch one["what"] {
		case "cut":
			cuts--
			assert.Contains(t, []string{"0", "1"}, one["was"])
		case "due":
			assert.Empty(t, one["said"])
		case "length":
			assert.NotEmpty(t, one["said_low"])
		}
	}
	assert.Zero(t, cuts, "each cut that is held against its chance is a row")

	var alone bytes.Buffer
	require.NoError(t, b.ExportDog(t.Context(), &alone, due.Rows[0].DogID))
	for _, n := range rowsOf(t, alone.Bytes(), "data/believed.csv") {
		assert.Equal(t, due.Rows[0].DogID.String(), n["dog_id"])
	}
}
