package formats

import (
	"bytes"
	"encoding/json"
	"os/exec"
	"testing"
	"time"
	_ "time/tzdata" // the zones that are asked about

	"github.com/emersion/go-ical"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func visitIn(zone *time.Location, id, name, at string, status VisitStatus) Visit {
	begins, err := time.ParseInLocation("2006-01-02 15:04", at, zone)
	if err != nil {
		panic(err)
	}
	return Visit{
		ID:        id,
		Name:      name,
		Place:     "Cabin, lock 9",
		Begins:    begins,
		Minutes:   25,
		Words:     "18 nails",
		Status:    status,
		Sequence:  3,
		ChangedAt: time.Date(2026, 3, 1, 9, 0, 0, 0, time.UTC),
	}
}

// Before, on and after the days on which the clocks change, in zones of either half of the world and one of half an
// hour, read by two others: emersion/go-ical with the zone's name, ical.js with nothing but the rules in the file.
func TestVisitsKeepTheirHourAcrossChangesOfTheClocks(t *testing.T) {
	for _, name := range []string{"Europe/Berlin", "America/New_York", "Australia/Lord_Howe", "Asia/Kolkata"} {
		zone, err := time.LoadLocation(name)
		require.NoError(t, err)
		visits := []Visit{
			visitIn(
				zone,
				"a",
				"Плюшка; Fig, Nettle",
				"2026-03-28 10:00",
				Confirmed,
			),
			visitIn(zone, "b", "Fig", "2026-03-29 10:00", Tentative),
			visitIn(
				zone,
				"c",
				"Fig",
				"2026-10-24 23:45",
				Cancelled,
			),
			visitIn(zone, "d", "Fig", "2026-10-25 09:30", Confirmed),
			visitIn(zone, "e", "Fig", "2027-04-05 08:00", Confirmed),
		}
		var out bytes.Buffer
		require.NoError(t, Calendar(&out, "Nails", nil, visits, zone))
		text := out.String()

		read, err := ical.NewDecoder(bytes.NewReader(out.Bytes())).Decode()
		require.NoError(t, err)
		require.Len(t, read.Events(), len(visits))
		for i, event := range read.Events() {
			begins, err := event.DateTimeStart(nil)
			require.NoError(t, err)
			assert.True(t, visits[i].Begins.Equal(begins), "%s: %s is read as %s", name, visits[i].Begins, begins)
			assert.Equal(t, string(visits[i].Status), event.Props.Get(ical.PropStatus).Value)
		}

		node := exec.Command("node", "testdata/read.mjs")
		node.Stdin = bytes.NewReader([]byte(text))
		told, err := node.Output()
		require.NoError(t, err, "run make web first")
		var events []struct {
			UID, Summary, Status string
			Sequence             int
			Begins, Ends         time.Time
		}
		require.NoError(t, json.Unmarshal(told, &events))
		require.Len(t, events, len(visits))
		for i, e := range events {
			assert.Equal(t, "visit-"+visits[i].ID+"@fribbet", e.UID)
			assert.Equal(t, visits[i].Name, e.Summary)
			assert.Equal(t, 3, e.Sequence)
			assert.True(t, visits[i].Begins.Equal(e.Begins), "%s: %s is read as %s", name, visits[i].Begins, e.Begins)
			assert.Equal(t, 25*time.Minute, e.Ends.Sub(e.Begins))
		}
	}
}
