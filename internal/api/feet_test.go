package api

import (
	"bufio"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/standin"
)

func check(looks string) string {
	return `{"id":"` + uuid.NewString() + `","clicks":false,"hair":false,"swelling":false,"limping":false,"breaking":false,"looks":[` + looks + `]}`
}

func TestAWalkRoundIsKeptOnceAndChangesTheNails(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	path := "/api/dogs/" + dog.Id.String() + "/checks"
	body := check(
		`{"code":"LF3","gap_mm":0.76,"colour":"light","shape":"hooked"},{"code":"RF1","shape":"curled"},{"code":"LH4","state":"torn"}`,
	)
	seen := ask[contract.DogView](c, "POST", path, body, 201)
	assert.Equal(t, 2, seen.Dog.Version)
	assert.Equal(t, "light", string(seen.Rank.Bars[2].Colour))
	assert.Greater(t, seen.Rank.Bars[2].Gap.Mm, 0.76, "a card passes: it stands at least so high")
	assert.Equal(t, "veterinarian", string(seen.Cautions[0].Kind))
	require.NotNil(t, seen.Next)
	assert.Equal(t, seen, ask[contract.DogView](c, "POST", path, body, 201), "sent again, nothing changes")

	row := ask[contract.DueList](c, "GET", "/api/due", "", 200)
	assert.Equal(t, "Moss", row.Dogs[0].Name)
	for _, bad := range []struct{ looks, field string }{
		{`{"code":"LF3","gap_mm":-1}`, "looks[0].gap_mm"},
		{`{"code":"LH1","gap_mm":1}`, "looks[0].code"},
		{`{"code":"LF3","smell":true}`, "looks[0].smell"},
		{`{"code":"LF3","shape":"wavy"}`, "looks[0].shape"},
	} {
		_, text := c.do("POST", path, check(bad.looks))
		assert.Contains(t, string(text), `"field":"`+bad.field+`"`)
	}
	assert.Equal(t, seen, c.view(dog))
}

func TestANailInSection(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	at := "/api/dogs/" + dog.Id.String() + "/nails/"
	section := ask[contract.Section](c, "GET", at+"LF3", "", 200)
	assert.Equal(t, 1.0, section.MarginMm)
	assert.Len(t, section.Schools, 4)
	assert.Positive(t, section.TurnDegDay)
	wide := ask[contract.Section](c, "GET", at+"LF3?margin_mm=3", "", 200)
	for i := range wide.Schools {
		assert.LessOrEqual(t, wide.Schools[i].RemovedAreaMm2, section.Schools[i].RemovedAreaMm2+1e-9)
	}
	dew := ask[contract.Section](c, "GET", at+"LF1", "", 200)
	assert.Nil(t, dew.DaysToFloor)
	for path, status := range map[string]int{"LH1": 404, "LF9": 400, "LF3?margin_mm=99": 422, "LF3?margin_mm=wide": 400} {
		got, text := c.do("GET", at+path, "")
		assert.Equal(t, status, got, string(text))
	}
}

// The worked example of docs/model.md, section B.
func TestCalcCuts(t *testing.T) {
	c := newClient(t)
	body := `{"length_mm":14,"base_angle_deg":22,"radius_mm":26,"depth_mm":7,"taper":0.7,"gap_mm":0,"quick_mm":10.5,"margin_mm":1,"sliver_mm":1}`
	got := ask[contract.CutsResult](c, "POST", "/api/calc/cuts", body, 200)
	square := got.Schools[1]
	assert.Equal(t, "square", string(square.School))
	assert.InDelta(t, 2.39, square.RemovedRidgeMm, 0.01)
	assert.InDelta(t, 5.54, square.RemovedAreaMm2, 0.01)
	assert.InDelta(t, 1.57, *square.GrowthToFloorMm, 0.01)
	for field, bad := range map[string]string{"quick_mm": `"quick_mm":20`, "sliver_mm": `"sliver_mm":0`} {
		old := map[string]string{"quick_mm": `"quick_mm":10.5`, "sliver_mm": `"sliver_mm":1`}[field]
		problem := ask[contract.Problem](c, "POST", "/api/calc/cuts", strings.Replace(body, old, bad, 1), 422)
		assert.Equal(t, field, problem.Errors[0].Field)
	}
}

func TestTheForecastNamesTheFirstToTouch(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	ask[contract.DogView](c, "POST", "/api/dogs/"+dog.Id.String()+"/sittings", c.planned(dog), 201)
	f := ask[contract.Forecast](c, "GET", "/api/dogs/"+dog.Id.String()+"/forecast", "", 200)
	assert.Len(t, f.Dates, 61)
	assert.Len(t, f.Bars, 18)
	require.NotNil(t, f.TouchInDays)
	assert.NotEmpty(t, f.Touching)
	for _, b := range f.Bars {
		assert.Len(t, b.LengthMm, len(f.Days))
		assert.Greater(t, b.LengthMm[len(b.LengthMm)-1], b.LengthMm[0])
	}
}

func TestTheCaliperStreams(t *testing.T) {
	c := newClient(t)
	status, text := c.do("POST", "/api/caliper/stand-in", `{"jaw_mm":12.5,"sends":"length"}`)
	assert.Equal(t, 404, status, string(text)) // a book of one's own has no simulated caliper

	handler, err := New(book.New(c.kept, time.Now, book.Options{Caliper: &standin.Caliper{}}), Options{})
	require.NoError(t, err)
	server := httptest.NewServer(handler)
	defer server.Close()
	stream, err := http.Get(server.URL + "/api/caliper/readings")
	require.NoError(t, err)
	defer stream.Body.Close()
	lines := bufio.NewScanner(stream.Body)
	require.True(t, lines.Scan(), "it says that it is linked")
	for _, sends := range []string{"length", "garbage", "unplug"} {
		answer, err := http.Post(
			server.URL+"/api/caliper/stand-in",
			"application/json",
			strings.NewReader(`{"jaw_mm":12.53,"sends":"`+sends+`"}`),
		)
		require.NoError(t, err)
		assert.Equal(t, 204, answer.StatusCode)
		require.NoError(t, answer.Body.Close())
	}
	var events []string
	for lines.Scan() {
		if text, is := strings.CutPrefix(lines.Text(), "data: "); is {
			events = append(events, text)
		}
	}
	require.Len(t, events, 3)
	assert.JSONEq(t, `{"mm":12.53}`, events[0])
	assert.Contains(t, events[1], "no reading")
	assert.Contains(t, events[2], "broken")
}
