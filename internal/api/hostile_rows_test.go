package api

import (
	"database/sql"
	"fmt"
	"os"
	"path/filepath"
	"runtime"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	_ "modernc.org/sqlite" // rows are put into the tables by hand

	"fribbet/internal/api/contract"
)

// hostile are rows that no input lets in, put into the tables by hand; ? is the dog.
var hostile = []string{
	`UPDATE weights SET kg = 1e11 WHERE dog_id = ?`,
	`UPDATE weights SET kg = 0 WHERE dog_id = ?`,
	`UPDATE weights SET kg = -5 WHERE dog_id = ?`,
	`UPDATE weights SET kg = 9e999 WHERE dog_id = ?`,
	`UPDATE weights SET on_date = '9999-01-01' WHERE dog_id = ?`,
	`UPDATE weights SET on_date = 'soon' WHERE dog_id = ?`,
	`DELETE FROM weights WHERE dog_id = ?`,
	`UPDATE nails SET code = 'ZZ9' WHERE dog_id = ? AND code = 'LF3'`,
	`UPDATE nails SET code = 'lf3' WHERE dog_id = ? AND code = 'LF3'`,
	`UPDATE nails SET shape = 'round' WHERE dog_id = ?`,
	`UPDATE nails SET colour = 'puce' WHERE dog_id = ?`,
	`DELETE FROM nails WHERE dog_id = ?`,
	`UPDATE dogs SET working_weekdays = 'foo' WHERE id = ?`,
	`UPDATE dogs SET rhythm = 'never' WHERE id = ?`,
	`UPDATE dogs SET birth_date = '0001-01-01' WHERE id = ?`,
	`UPDATE dogs SET birth_date = '9999-01-01' WHERE id = ?`,
	`UPDATE dogs SET pavement_km_week = 1e300 WHERE id = ?`,
	`UPDATE dogs SET wished_gap_mm = -1e9 WHERE id = ?`,
	`UPDATE dogs SET most_nails = 0 WHERE id = ?`,
	`UPDATE dogs SET largest_cut_mm = 1e300, way = 'chop' WHERE id = ?`,
	`UPDATE settings SET largest_cut_mm = -1e300, way = 'chop' WHERE ? IS NOT NULL`,
	`UPDATE records SET ended = 'never', stop = 'whenever', ground_tool = 'axe' WHERE sitting_id IN (SELECT id FROM sittings WHERE dog_id = ?)`,
	`UPDATE dogs SET most_minutes = 1e-300 WHERE id = ?`,
	`UPDATE dogs SET last_done_weeks = 1e12 WHERE id = ?`,
	`UPDATE dogs SET entered_on = '0001-01-01' WHERE id = ?`,
	`UPDATE cuts SET mm = 1e300 WHERE sitting_id IN (SELECT id FROM sittings WHERE dog_id = ?)`,
	`UPDATE cuts SET mm = -5 WHERE sitting_id IN (SELECT id FROM sittings WHERE dog_id = ?)`,
	`UPDATE records SET code = 'ZZ9' WHERE code = 'LF3' AND sitting_id IN (SELECT id FROM sittings WHERE dog_id = ?)`,
	`UPDATE sittings SET on_date = '9999-12-31' WHERE dog_id = ?`,
	`UPDATE sittings SET on_date = '0000-00-00' WHERE dog_id = ?`,
	`UPDATE sittings SET minutes = -1e12 WHERE dog_id = ?`,
	`UPDATE looks SET gap_mm = 1, gap_by = NULL, gap_sd_mm = NULL WHERE check_id IN (SELECT id FROM checks WHERE dog_id = ?)`,
	`UPDATE looks SET length_mm = 1e9, length_by = 'caliper', length_sd_mm = 0.5 WHERE check_id IN (SELECT id FROM checks WHERE dog_id = ?)`,
	`UPDATE looks SET length_mm = 12, length_by = 'caliper', length_sd_mm = -1 WHERE check_id IN (SELECT id FROM checks WHERE dog_id = ?)`,
	`UPDATE checks SET on_date = '9999-01-01' WHERE dog_id = ?`,
	`INSERT INTO walked (dog_id, until_date, km_week) VALUES (?, '9999-01-01', 1e300)`,
	`UPDATE visits SET start = 1000000000 WHERE dog_id = ?`,
	`UPDATE visits SET minutes = 1000000000 WHERE dog_id = ?`,
	`UPDATE visits SET minutes = -7 WHERE dog_id = ?`,
	`UPDATE visits SET changed_at = '2026-11-24T10:00:00+14:00' WHERE dog_id = ?`,
	`UPDATE visits SET changed_at = '0001-01-01T00:00:00Z' WHERE dog_id = ?`,
	`UPDATE settings SET margin_mm = -4 WHERE ? IS NOT NULL`,
	`UPDATE settings SET working_weekdays = 'foo' WHERE ? IS NOT NULL`,
	`INSERT INTO holidays SELECT '0001-01-01', '2026-11-01' WHERE ? IS NOT NULL`,
	`INSERT INTO holidays SELECT '2026-11-01', '4026-11-01' WHERE ? IS NOT NULL`,
	`INSERT INTO working_week SELECT 1, 1, '[null]' WHERE ? IS NOT NULL`,
	`INSERT INTO working_week SELECT 1, 1, '{"Week":{"Around":-100000000,"Days":{"1":{"From":0,"To":1000000000}}}}' WHERE ? IS NOT NULL`,
	`UPDATE events SET recorded_at = '0001-01-01T00:00:00Z' WHERE sitting_id IN (SELECT id FROM sittings WHERE dog_id = ?)`,
	`UPDATE logs SET begun_at = '2026-11-24T10:00:00+14:00' WHERE dog_id = ?`,
	`INSERT INTO not_now (dog_id, until_date) VALUES (?, 'never')`,
	`UPDATE kit_items SET most = -1e300 WHERE ? IS NOT NULL`,
	`UPDATE tries SET on_date = '0001-01-01' WHERE ladder_id IN (SELECT id FROM ladders WHERE dog_id = ?)`,
	`UPDATE ladders SET started_on = '0001-01-01' WHERE dog_id = ?`,
}

// unhurried is a bound for a machine that is busy with other tests; alone each answer takes below a second.
const unhurried = 20 * time.Second

// Whatever stands in the book, no reckoning runs or takes memory without bound: every screen answers,
// the other dog's as ever, and of the dog itself it is said that it cannot be worked out.
func TestWhateverTheBookHoldsEveryScreenAnswers(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	c, dogs := groomers(t, 60, 30)
	one, other := "/api/dogs/"+dogs[0].Id.String(), "/api/dogs/"+dogs[1].Id.String()
	ask[contract.DogView](
		c,
		"POST",
		one+"/checks",
		fmt.Sprintf(
			`{"id":"%s","clicks":false,"hair":false,"swelling":false,"limping":false,"breaking":false,"looks":[{"code":"LF3","gap_mm":1.5,"length_mm":14,"past_pad":false}]}`,
			uuid.NewString(),
		),
		201,
	)
	ask[contract.Visit](c, "PUT", visitAt(), visitBody(dogs[0], "2026-11-25", 600, "agreed"), 200)
	ask[contract.DogLadders](
		c,
		"POST",
		one+"/ladders",
		fmt.Sprintf(`{"id":"%s","kind":"grinder"}`, uuid.NewString()),
		200,
	)
	sound := filepath.Join(t.TempDir(), "sound.db")
	require.NoError(t, c.kept.Backup(t.Context(), sound))
	book, err := os.ReadFile(sound)
	require.NoError(t, err)

	lists := []string{
		"/api/due",
		"/api/settings",
		"/api/calendar",
		"/api/kit",
		"/api/ladders",
		"/api/round/week",
		"/api/round/days/2026-11-25",
		"/api/round/calls",
		"/api/owners",
	}
	ofDog := []string{"", "/plan", "/history?of=LF3", "/rhythms", "/forecast", "/nails/LF3", "/visits"}
	for _, statement := range hostile {
		t.Run(statement, func(t *testing.T) {
			path := filepath.Join(t.TempDir(), "book.db")
			require.NoError(t, os.WriteFile(path, book, 0o600))
			db, err := sql.Open("sqlite", path)
			require.NoError(t, err)
			_, err = db.Exec(statement, dogs[0].Id.String())
			require.NoError(t, err)
			require.NoError(t, db.Close())
			h := clientOf(t, path)
			h.unchecked = true
			get := func(at string) (int, string) {
				var before, after runtime.MemStats
				runtime.ReadMemStats(&before)
				begun := time.Now()
				status, text := h.do("GET", at, "")
				runtime.ReadMemStats(&after)
				assert.Less(t, time.Since(begun), unhurried, at)
				assert.Less(t, after.TotalAlloc-before.TotalAlloc, uint64(200<<20), at)
				return status, string(text)
			}
			for _, at := range lists {
				status, text := get(at)
				assert.Equal(t, 200, status, "%s: %s", at, text)
			}
			status, text := get(other + "/plan")
			assert.Equal(t, 200, status, text)
			for _, at := range ofDog {
				if status, text = get(one + at); status == 422 {
					assert.Contains(t, text, "cannot be worked out", at)
				} else {
					assert.Contains(t, []int{200, 404}, status, "%s: %s", at, text)
				}
			}
		})
	}
}
