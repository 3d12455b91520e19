package api

import (
	"encoding/json"
	"fmt"
	"regexp"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/nail"
)

// stated is what a book in which nobody told it must not state: a mood, a floor, a curl, an amount.
var stated = map[string]*regexp.Regexp{
	"a mood": regexp.MustCompile(
		`(?i)"worst_reaction"|"reaction":"|calm throughout|took it (calmly|well)|thank .* calm`,
	),
	"a floor": regexp.MustCompile(
		`(?i)\b[LR][FH][1-5] (reaches|reach|touches|touch|on) the floor|: touches the floor|"touches the floor"`,
	),
	"a curl":    regexp.MustCompile(`(?i)[LR][FH]1 (starts? to )?curls?\b|dewclaw curling|"curls:|a curling dewclaw`),
	"an amount": regexp.MustCompile(`"removed_mm":(0\.\d*[1-9]|[1-9])`),
}

// Half a year of trims of which nobody told a mood, looked at a floor or counted a cut: no answer states one. What is
// believed is told as probable.
func TestOnlyWhatWasToldIsStated(t *testing.T) {
	c := newClient(t)
	for i, kg := range []float64{3, 12, 34} {
		d := c.addDog(fmt.Sprintf(`{"name":"Moss %d","age_years":5,"weights":[{"kg":%g}]}`, i, kg))
		today, at := c.now, "/api/dogs/"+d.Id.String()
		var last uuid.UUID
		for ago := 168; ago > 0; ago -= 28 {
			c.now, last = today.AddDate(0, 0, -ago), uuid.New()
			var in contract.SittingInput
			assert.NoError(t, json.Unmarshal([]byte(c.planned(d)), &in))
			in.Id = last
			for k := range in.Records {
				in.Records[k].Assumed = new(true)
			}
			text, err := json.Marshal(in)
			assert.NoError(t, err)
			ask[contract.DogView](c, "POST", at+"/sittings", string(text), 201)
		}
		c.now = today
		for _, path := range []string{at, at + "/plan", at + "/history?of=LF3", at + "/history?of=fore", at + "/sittings/" + last.String() + "/card", "/api/due", at + "/visits"} {
			status, text := c.do("GET", path, "")
			assert.Less(t, status, 400, "%s: %s", path, text)
			for what, wrong := range stated {
				assert.Empty(t, wrong.FindAllString(string(text), 3), "%s states %s", path, what)
			}
		}
		view := c.view(d)
		assert.Zero(t, view.Sittings[0].RemovedMm, "nobody counted")
		for _, m := range view.Moods {
			for _, p := range m.Paws {
				assert.Nil(t, p.Worst, "nobody told how it took %s", nail.Paw(p.Paw))
			}
		}
	}
}
