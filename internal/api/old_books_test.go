package api

import (
	"compress/gzip"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/record"
)

// oldBook is a client of a copy of a book that an earlier revision made (testdata/books).
func oldBook(t *testing.T, name string) *client {
	t.Helper()
	packed, err := os.Open(filepath.Join("testdata", "books", name+".db.gz"))
	require.NoError(t, err)
	defer packed.Close()
	unpacked, err := gzip.NewReader(packed)
	require.NoError(t, err)
	path := filepath.Join(t.TempDir(), "book.db")
	made, err := os.Create(path)
	require.NoError(t, err)
	_, err = io.Copy(made, unpacked)
	require.NoError(t, err)
	require.NoError(t, made.Close())
	return clientOf(t, path)
}

func numbered(n int) string { return fmt.Sprintf("00000000-0000-4000-8000-%012d", n) }

// What the fixtures hold of Moss, sitting by sitting.
var fixed = []struct {
	id, nails, cuts int
	mm              float64
}{{21, 18, 24, 21}, {22, 18, 24, 21}, {23, 18, 24, 21}, {24, 18, 24, 21}, {25, 18, 108, 21.6}}

func TestABookOfAnEarlierRevisionHasEverythingStill(t *testing.T) {
	for name, atBench := range map[string]bool{"before-logs": false, "before-logs-opened-since": false, "learning": true, "one-state": true, "checkpoint": true} {
		t.Run(name, func(t *testing.T) {
			c := oldBook(t, name)
			due := ask[contract.DueList](c, "GET", "/api/due", "", 200)
			require.Len(t, due.Dogs, 2)
			var moss contract.DueRow
			for _, row := range due.Dogs {
				assert.NotEmpty(t, row.Reason, row.Name)
				if row.Name == "Moss" {
					moss = row
				}
			}
			view := ask[contract.DogView](c, "GET", "/api/dogs/"+moss.DogId.String(), "", 200)
			require.NotNil(t, view.Next)
			assert.NotEmpty(t, view.Next.Why, "every date is explained")

			everything := func() {
				kept, err := c.kept.Sittings(t.Context(), moss.DogId)
				require.NoError(t, err)
				if atBench {
					require.Len(t, kept, 6)
					assert.Equal(t, "half asleep", kept[5].Note)
				} else {
					require.Len(t, kept, 5)
				}
				for i, want := range fixed {
					assert.Equal(t, numbered(want.id), kept[i].ID.String())
					cuts, mm := 0, 0.0
					for _, r := range kept[i].Records {
						cuts += len(r.Cuts)
						mm += record.NailRecord{Cuts: r.Cuts}.Removed()
					}
					assert.Equal(t, []int{want.nails, want.cuts}, []int{len(kept[i].Records), cuts})
					assert.InDelta(t, want.mm, mm, 1e-9)
				}
				first, second := kept[0], kept[1]
				assert.Equal(t, []float64{9.5, 4}, []float64{*first.Minutes, *first.Calm})
				assert.Equal(t, "the 1th", first.Note)
				assert.True(t, first.Helper)
				assert.Equal(t, []string{"styptic"}, first.Ticks)
				assert.True(t, first.Records[2].Blood)
				assert.True(t, first.Records[3].TookForce)
				assert.Equal(t, []float64{14, 12.5, 0.76, 2}, []float64{
					second.Records[8].LengthBefore.MM,
					second.Records[8].LengthAfter.MM,
					second.Records[8].GapAfter.MM,
					second.Records[9].SpareLeft.MM,
				})
				used := map[string]float64{}
				for _, item := range ask[contract.Kit](c, "GET", "/api/kit", "", 200).Items {
					used[item.Name] = item.Used
				}
				plier := 96.0
				if atBench {
					plier++
				}
				assert.Equal(t, map[string]float64{"the big one": plier, "the grinder": 12, "fine bands": 12}, used)
			}
			everything()

			at := "/api/dogs/" + moss.DogId.String() + "/sittings"
			bench := ask[contract.Bench](c, "GET", at+"/"+numbered(21)+"/bench", "", 200)
			assert.True(t, bench.Ended)
			assert.Equal(t, "2026-06-01", bench.On.String())
			told := told(`"kind":"note","id":"later","note":"the 1th"`)
			ask[contract.Bench](c, "POST", at+"/"+numbered(21)+"/events", told, 200)
			other := `{"id":"` + numbered(
				21,
			) + `","records":[{"code":"LF3","cuts_mm":[1],"tool":"file","reaction":"calm","blood":false}]}`
			refused := ask[contract.Problem](c, "POST", at, other, 409)
			assert.Contains(t, refused.Detail, "2026-06-01")
			c.do("GET", at+"/"+numbered(26)+"/bench", "") // taken back: it stays so
			status, _ := c.do("GET", at+"/"+numbered(26)+"/bench", "")
			assert.Equal(t, 404, status)
			everything()

			_, err := c.kept.Rebuild(t.Context(), func(int, int) {})
			require.NoError(t, err)
			everything()
		})
	}
}

// Sending a sitting of a book from before the logs again, as it was sent then, changes nothing.
func TestAnOldSittingSentAgainIsThatSitting(t *testing.T) {
	c := oldBook(t, "before-logs")
	idOf := func(name string) string {
		return ask[contract.DueList](c, "GET", "/api/due?search="+name, "", 200).Dogs[0].DogId.String()
	}
	id := idOf("%D0%B6%D1%83%D1%87")
	body := `{"id":"` + numbered(
		27,
	) + `","on":"2026-10-10","records":[{"code":"LH3","cuts_mm":[0.5],"tool":"small_scissor","reaction":"fighting","blood":false}]}`
	ask[contract.DogView](c, "POST", "/api/dogs/"+id+"/sittings", body, 201)
	ask[contract.Problem](c, "POST", "/api/dogs/"+id+"/sittings", strings.Replace(body, "0.5", "0.7", 1), 409)
	assert.Contains(
		t,
		ask[contract.Problem](c, "POST", "/api/dogs/"+idOf("moss")+"/sittings", body, 409).Detail,
		"a trim of another dog",
	)
	kept, err := c.kept.Sittings(t.Context(), uuid.MustParse(id))
	require.NoError(t, err)
	require.Len(t, kept, 1)
	assert.Equal(t, []float64{0.5}, kept[0].Records[0].Cuts)
}
