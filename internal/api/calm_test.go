package api

import (
	"archive/zip"
	"bytes"
	"encoding/csv"
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/temper"
)

// Over the whole book each dog is compared with itself; what a sitting's start says of hold and hour is kept with it.
func TestWhatGoesWithCalmOverTheWholeBook(t *testing.T) {
	c := newClient(t)
	assert.Empty(t, ask[contract.Calm](c, "GET", "/api/calm", "", 200).Calmer, "of no trims nothing")
	for k := range 6 {
		d := c.addDog(fmt.Sprintf(`{"name":"Dog %d","weights":[{"kg":12}],"age_years":3}`, k))
		for i := range 9 {
			helped, mood := i%2 == 0, "uneasy"
			if helped {
				mood = "calm"
			}
			c.sit(
				d,
				fmt.Sprintf(`"kind":"started","tool":"large_plier","helper":%t`, helped),
				fmt.Sprintf(`"kind":"reaction","nail":"LH3","reaction":%q`, mood),
			)
		}
	}
	for _, row := range ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs {
		ask[contract.DogView](c, "GET", "/api/dogs/"+row.DogId.String(), "", 200)
	}
	found := ask[contract.Calm](c, "GET", "/api/calm", "", 200).Calmer
	require.Len(t, found, 1)
	assert.Equal(t, temper.WithHelper, found[0].What)
	assert.Equal(
		t,
		[]int{30, 30, 0, 24},
		[]int{found[0].With.Calm, found[0].With.Of, found[0].Without.Calm, found[0].Without.Of},
	)

	sittings := c.table("sittings")
	assert.Len(t, sittings, 54)
	for _, s := range sittings {
		assert.Equal(t, "standing", s["held"])
		assert.Equal(
			t,
			fmt.Sprint(time.Date(2026, 11, 24, 9, 0, 0, 0, time.UTC).In(c.now.Location()).Hour()),
			s["hour"],
		)
	}
}

// sit begins and ends a sitting at the bench, of one cut.
func (c *client) sit(d contract.Dog, start, more string) {
	ask[contract.Bench](
		c,
		"POST",
		"/api/dogs/"+d.Id.String()+"/sittings/"+uuid.NewString()+"/events",
		strings.ReplaceAll(
			told(start, `"kind":"cut","nail":"LH3","mm":0.2`, more, `"kind":"done","nail":"LH3"`, `"kind":"ended"`),
			`"id":"e`,
			`"id":"`+uuid.NewString(),
		),
		200,
	)
}

// table is a table of the export package, its rows by the names of their columns.
func (c *client) table(name string) []map[string]string {
	c.t.Helper()
	_, text := c.do("GET", "/api/export", "")
	all, err := zip.NewReader(bytes.NewReader(text), int64(len(text)))
	require.NoError(c.t, err)
	f, err := all.Open("data/" + name + ".csv")
	require.NoError(c.t, err)
	lines, err := csv.NewReader(f).ReadAll()
	require.NoError(c.t, err)
	var rows []map[string]string
	for _, line := range lines[1:] {
		row := map[string]string{}
		for i, value := range line {
			row[strings.TrimPrefix(lines[0][i], "\uFEFF")] = value
		}
		rows = append(rows, row)
	}
	return rows
}
