package api

import (
	"encoding/csv"
	"encoding/json"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

// bring sends a package.
func (c *client) bring(take string, data []byte) (int, contract.ImportResult, string) {
	c.t.Helper()
	c.now = c.now.Add(time.Second) // each backup has its own moment
	status, text := c.send("POST", "/api/import"+take, "application/octet-stream", string(data))
	var out contract.ImportResult
	if status == http.StatusOK {
		require.NoError(c.t, json.Unmarshal(text, &out))
	}
	return status, out, string(text)
}

// Out of one book and into another: first what that would be, then all of it; one dog alone; taken in twice it is
// nothing new; what differs stays.
func TestABookGoesToAnother(t *testing.T) {
	from, to := newClient(t), newClient(t)
	d := from.addDog(moss)
	ask[contract.DogView](from, "POST", "/api/dogs/"+d.Id.String()+"/sittings", from.planned(d), 201)
	from.addDog(`{"name":"Плюшка","age_years":2,"weights":[{"kg":4}]}`)
	status, all := from.do("GET", "/api/export", "")
	require.Equal(t, 200, status)
	status, one := from.do("GET", "/api/export?dog_id="+d.Id.String(), "")
	require.Equal(t, 200, status)

	_, tried, _ := to.bring("", one)
	assert.False(t, tried.Nothing)
	assert.Nil(t, tried.Backup)
	assert.Empty(t, ask[contract.DueList](to, "GET", "/api/due", "", 200).Dogs, "it was only tried")
	_, took, _ := to.bring("?take=true", one)
	require.NotNil(t, took.Backup)
	assert.Len(t, to.view(d).Sittings, 1)
	assert.Equal(t, from.view(d).Next, to.view(d).Next)

	renamed := ask[contract.Dog](to, "PATCH", "/api/dogs/"+d.Id.String(), `{"version":1,"name":"Mossy"}`, 200)
	assert.Equal(t, "Mossy", renamed.Name)
	_, took, text := to.bring("?take=true", all)
	for _, table := range took.Tables {
		if table.Name == "dogs" {
			assert.Equal(
				t,
				contract.ImportTable{Name: "dogs", New: 1, Different: 1, DifferentNames: []string{"Mossy"}},
				table,
				text,
			)
		}
	}
	assert.Equal(t, "Mossy", to.view(d).Dog.Name)
	status, _, text = to.bring("?take=true", []byte("no package"))
	assert.Equal(t, 422, status)
	assert.Contains(t, text, "must be a whole ZIP")
	status, _ = from.do("GET", "/api/export?dog_id=7b0e4bb5-3b1e-4b43-9c3a-0f0f4d0f0001", "")
	assert.Equal(t, 404, status)
}

// Any list opens in a spreadsheet, named by what it is, with a dog whose name is a formula.
func TestListsOpenInSpreadsheets(t *testing.T) {
	c := newClient(t)
	d := c.addDog(`{"name":"=HYPERLINK(1)","age_years":2,"weights":[{"kg":4}]}`)
	ask[contract.DogView](c, "POST", "/api/dogs/"+d.Id.String()+"/sittings", c.planned(d), 201)
	ask[contract.Kit](
		c,
		"POST",
		"/api/kit",
		`{"id":"7b0e4bb5-3b1e-4b43-9c3a-0f0f4d0f0001","kind":"large_plier","name":"@mine"}`,
		200,
	)
	ask[contract.OwnerView](
		c,
		"PUT",
		"/api/owners/7b0e4bb5-3b1e-4b43-9c3a-0f0f4d0f0002",
		`{"name":"-cmd","reach":"text","address":"+44 1632 960001"}`,
		200,
	)
	ask[contract.Visit](c, "PUT", visitAt(), visitBody(d, "2026-11-26", 600, "agreed"), 200)
	for path, want := range map[string]string{
		"/api/sheets/due": "'=HYPERLINK(1)", "/api/sheets/visits": "'=HYPERLINK(1)", "/api/sheets/kit": "'@mine", "/api/sheets/owners": "'+44 1632 960001", "/api/dogs/" + d.Id.String() + "/nails/LF3/sheet": "'=HYPERLINK(1)",
	} {
		status, text := c.do("GET", path, "")
		require.Equal(t, 200, status, path)
		rows, err := csv.NewReader(strings.NewReader(strings.TrimPrefix(string(text), "\uFEFF"))).ReadAll()
		require.NoError(t, err)
		assert.Greater(t, len(rows), 1, path)
		assert.Contains(t, rows[1], want, path)
	}
	status, _ := c.do("GET", "/api/sheets/messages", "")
	assert.Equal(t, 200, status, "nobody was written to")
	status, _ = c.do("GET", "/api/sheets/secrets", "")
	assert.Equal(t, 400, status)
}
