package api

import (
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/due"
)

// The same under the same id is fine; something else is said to be there already, and what.
func TestAnIdIsToldOnce(t *testing.T) {
	c := newClient(t)
	at := "/api/dogs/" + c.addDog(moss).Id.String()
	sat := `{"id":"7d9f2c6e-3d0f-4a51-9a84-0f6f8c1c9a01","on":"2026-11-20","records":[{"code":"LF3","cuts_mm":[1],"tool":"file","reaction":"calm","blood":%s}]}`
	ask[contract.DogView](c, "POST", at+"/sittings", fmt.Sprintf(sat, "false"), 201)
	ask[contract.DogView](c, "POST", at+"/sittings", fmt.Sprintf(sat, "false"), 201)
	refused := ask[contract.Problem](c, "POST", at+"/sittings", fmt.Sprintf(sat, "true"), 409)
	assert.Contains(t, refused.Detail, "a trim of 2026-11-20 in which something came off 1 nails and 0 bled")
	assert.Equal(t, "id", refused.Errors[0].Field)

	walk := `{"id":"7d9f2c6e-3d0f-4a51-9a84-0f6f8c1c9a02","on":"2026-11-20","clicks":false,"hair":%s,"swelling":false,"limping":false,"breaking":false,"looks":[{"code":"RF4","gap_mm":1},{"code":"LF1","present":false}]}`
	ask[contract.DogView](c, "POST", at+"/checks", fmt.Sprintf(walk, "false"), 201)
	ask[contract.DogView](c, "POST", at+"/checks", fmt.Sprintf(walk, "false"), 201) // though LF1 is gone since
	refused = ask[contract.Problem](c, "POST", at+"/checks", fmt.Sprintf(walk, "true"), 409)
	assert.Contains(t, refused.Detail, "a check of the feet of 2026-11-20 that looked at 2 nails")
}

func TestAnEventsIdIsOneSittingsOwn(t *testing.T) {
	c := newClient(t)
	at := "/api/dogs/" + c.addDog(moss).Id.String() + "/sittings/"
	begun := func() string { return told(`"kind":"started","tool":"file"`, `"kind":"cut","nail":"LF3","mm":1`) }
	ask[contract.Bench](c, "POST", at+uuid.NewString()+"/events", begun(), 200)
	refused := ask[contract.Problem](c, "POST", at+uuid.NewString()+"/events", begun(), 422)
	require.Len(t, refused.Errors, 2)
	assert.Equal(t, "events[0].id", refused.Errors[0].Field)
}

func TestAPlanSentTwiceIsOnePlan(t *testing.T) {
	c := newClient(t)
	at := "/api/dogs/" + c.addDog(moss).Id.String() + "/quick-plan"
	body := `{"id":"` + uuid.NewString() + `","rhythm":"weekly"}`
	first := ask[contract.DogView](c, "POST", at, body, 200)
	again := ask[contract.DogView](c, "POST", at, body, 200)
	assert.Equal(t, first.Plan.Plan, again.Plan.Plan)
	assert.Equal(t, first.Dog.Version, again.Dog.Version)
}

// Worked on the 20th without a connection, sent on the 24th: kept under the 20th. A clock that cannot be right counts
// for nothing.
func TestATapIsKeptUnderItsOwnDay(t *testing.T) {
	for at, day := range map[string]string{
		"2026-11-20T15:00:00Z": "2026-11-20", "2020-01-01T00:00:00Z": "2026-11-24", "2026-11-30T00:00:00Z": "2026-11-24",
	} {
		c := newClient(t)
		sat := "/api/dogs/" + c.addDog(moss).Id.String() + "/sittings/" + uuid.NewString() + "/events"
		body := strings.ReplaceAll(told(`"kind":"started","tool":"file"`), "2026-11-24T09:00:00Z", at)
		assert.Equal(t, day, ask[contract.Bench](c, "POST", sat, body, 200).On.String(), at)
	}
}

// So it is too where somebody looked at the feet in between, and the sitting comes into the past of what is known.
func TestATapIsKeptUnderItsOwnDayWhateverWasToldSince(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	look := `{"id":"` + uuid.NewString() + `","on":"2026-11-22","clicks":false,"hair":false,"swelling":false,"limping":false,"breaking":false,"looks":[]}`
	ask[contract.DogView](c, "POST", at+"/checks", look, 201)
	sat := at + "/sittings/" + uuid.NewString() + "/events"
	body := strings.ReplaceAll(
		told(`"kind":"started","tool":"file"`, `"kind":"cut","nail":"LF3","mm":1`, `"kind":"ended"`),
		"2026-11-24T",
		"2026-11-20T",
	)
	assert.Equal(t, "2026-11-20", ask[contract.Bench](c, "POST", sat, body, 200).On.String())
	assert.Equal(t, "2026-11-20", c.view(d).Sittings[0].On.String())
}

// Five hundred notes a request do not make a long sitting slow, and it ends somewhere.
func TestALongLogStaysQuickAndEnds(t *testing.T) {
	c := newClient(t)
	sat := "/api/dogs/" + c.addDog(moss).Id.String() + "/sittings/" + uuid.NewString() + "/events"
	ask[contract.Bench](c, "POST", sat, told(`"kind":"started","id":"s","tool":"file"`), 200)
	var slowest time.Duration
	for batch := range 9 {
		notes := make([]string, 500)
		for i := range notes {
			notes[i] = fmt.Sprintf(
				`{"id":"n%d.%d","at":"2026-11-24T09:00:00Z","kind":"note","note":"half asleep"}`,
				batch,
				i,
			)
		}
		from := time.Now()
		ask[contract.Bench](c, "POST", sat, `{"events":[`+strings.Join(notes, ",")+`]}`, 200)
		slowest = max(slowest, time.Since(from))
	}
	t.Log("the slowest request took", slowest)
	notes := make([]string, 500)
	for i := range notes {
		notes[i] = fmt.Sprintf(`{"id":"m%d","at":"2026-11-24T09:00:00Z","kind":"note","note":"half asleep"}`, i)
	}
	refused := ask[contract.Problem](c, "POST", sat, `{"events":[`+strings.Join(notes, ",")+`]}`, 422)
	assert.Contains(t, refused.Detail, "at most 5000 events")
	ask[contract.Bench](c, "POST", sat, told(`"kind":"ended","id":"end"`), 200)
}

// A landmark typed without its point is asked for again, at the bench and in the tally; told as sure, it stands.
func TestANumberFarFromWhatIsKnownIsAskedForAgain(t *testing.T) {
	c := newClient(t)
	at := "/api/dogs/" + c.addDog(moss).Id.String() + "/sittings"
	sat := at + "/" + uuid.NewString() + "/events"
	groove := func(mm, more string) string {
		return told(
			`"kind":"started","tool":"file"`,
			`"kind":"landmark","nail":"LF3","landmark":"groove","mm":`+mm+more,
		)
	}
	refused := ask[contract.Problem](c, "POST", sat, groove("35", ""), 422)
	assert.Equal(t, "events[1]", refused.Errors[0].Field)
	assert.Contains(t, refused.Detail, "Was a point forgotten?")
	ask[contract.Problem](c, "POST", sat, groove("35", `,"sure":true`), 422)
	ask[contract.Bench](c, "POST", sat, groove("12.5", `,"sure":true`), 200)

	record := `{"id":"` + uuid.NewString() + `","records":[{"code":"RF3","cuts_mm":[1],"tool":"file","reaction":"calm","blood":false,"spare_left_mm":%s}]}`
	refused = ask[contract.Problem](c, "POST", at, fmt.Sprintf(record, "30"), 422)
	assert.Equal(t, "records[0].spare_left_mm", refused.Errors[0].Field)
	ask[contract.DogView](c, "POST", at, fmt.Sprintf(record, "2"), 201)
}

// While a dog limps, no screen plans a nail; a look that no longer shows it opens the work again.
func TestALimpingDogIsOnNoScreensPlan(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	look := `{"id":"%s","clicks":true,"hair":false,"swelling":false,"limping":%s,"breaking":false,"looks":[]}`
	view := ask[contract.DogView](c, "POST", at+"/checks", fmt.Sprintf(look, uuid.New(), "true"), 201)
	assert.Nil(t, view.Next)
	assert.Contains(t, view.WhyNone, "limping: a veterinarian first")
	plan := ask[contract.Plan](c, "GET", at+"/plan", "", 200)
	assert.Empty(t, plan.Days)
	for _, n := range plan.Nails {
		assert.Empty(t, n.Plan.CutsMm)
	}
	row := ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0]
	assert.Equal(t, string(due.Unseen), string(row.Standing))
	assert.Contains(t, row.Reason, "limping")

	c.now = c.now.AddDate(0, 0, 1)
	ask[contract.DogView](c, "POST", at+"/checks", fmt.Sprintf(look, uuid.New(), "false"), 201)
	assert.NotEmpty(t, ask[contract.Plan](c, "GET", at+"/plan", "", 200).Days)
}

// The try that ends a ladder, and those after it, are answered like any other.
func TestAFinishedLadderAnswers(t *testing.T) {
	c := newClient(t)
	at := "/api/dogs/" + c.addDog(moss).Id.String() + "/ladders"
	id := uuid.NewString()
	ask[contract.DogLadders](c, "POST", at, `{"id":"`+id+`","kind":"clipper"}`, 200)
	var last contract.DogLadders
	for range 40 {
		for range 3 {
			last = ask[contract.DogLadders](
				c,
				"POST",
				at+"/"+id+"/tries",
				`{"id":"`+uuid.NewString()+`","reaction":"calm"}`,
				200,
			)
		}
		c.now = c.now.AddDate(0, 0, 1)
	}
	require.True(t, last.Ladders[0].Done)
	assert.Equal(t, "clipper ladder: through", last.Ladders[0].Reason)
}

func TestEveryAnswerTellsTheDay(t *testing.T) {
	c := newClient(t)
	for _, path := range []string{"/api/due", "/api/dogs/none", "/"} {
		answer, err := http.Get(c.server.URL + path)
		require.NoError(t, err)
		require.NoError(t, answer.Body.Close())
		assert.Equal(t, "2026-11-24", answer.Header.Get("Fribbet-Today"))
	}
	c.now = c.now.Add(24 * time.Hour)
	answer, err := http.Get(c.server.URL + "/api/due")
	require.NoError(t, err)
	require.NoError(t, answer.Body.Close())
	assert.Equal(t, "2026-11-25", answer.Header.Get("Fribbet-Today"))
}
