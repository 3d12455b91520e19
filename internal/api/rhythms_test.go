package api

import (
	"encoding/json"
	"fmt"
	"net/http"
	"strconv"
	"strings"
	"testing"
	"time"

	"github.com/emersion/go-ical"
	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/date"
)

// The worked example of docs/model.md, section D, over the open endpoint.
func TestCalcGrowth(t *testing.T) {
	c := newClient(t)
	got := ask[contract.GrowthResult](
		c,
		"POST",
		"/api/calc/growth",
		`{"weight_kg":22,"age_weeks":200,"pavement_km_week":15,"observations":[
		{"group":"fore","weeks":2,"grown_mm":1.6,"pavement_km_week":15},{"group":"dewclaw","weeks":2,"grown_mm":2.4,"pavement_km_week":15},
		{"group":"hind_outer","weeks":4,"grown_mm":1.0,"pavement_km_week":15}]}`,
		200,
	)
	assert.InDelta(t, 1.108, got.Gross.Mean, 0.0005)
	assert.InDelta(t, 0.201, got.Gross.Sd, 0.0005)
	for i, net := range []float64{0.799, 0.643, 0.276, 1.108} {
		assert.InDelta(t, net, got.Groups[i].NetMmWeek, 0.0005)
	}
	assert.Empty(t, got.Outliers)
	none := ask[contract.GrowthResult](
		c,
		"POST",
		"/api/calc/growth",
		`{"weight_kg":22,"age_weeks":200,"pavement_km_week":0,"observations":[]}`,
		200,
	)
	assert.InDelta(t, 1.1, none.Gross.Mean, 1e-9)
	assert.InDelta(t, 0.35, none.Gross.Sd, 1e-9)
	_, text := c.do(
		"POST",
		"/api/calc/growth",
		`{"weight_kg":0,"age_weeks":200,"pavement_km_week":0,"observations":[{"group":"fore","weeks":0,"grown_mm":1,"pavement_km_week":0}]}`,
	)
	assert.Contains(t, string(text), `"field":"weight_kg"`)
	assert.Contains(t, string(text), `"field":"observations[0].weeks"`)
}

// The worked example of docs/model.md, section E.
func TestCalcRhythm(t *testing.T) {
	c := newClient(t)
	at := func(weeks, left float64) map[string]any {
		return ask[map[string]any](c, "POST", "/api/calc/rhythm", fmt.Sprintf(
			`{"net_mm_week":1,"spare_after_trim_mm":%v,"weight_kg":20,"interval_weeks":%v}`, left, weeks), 200)
	}
	for weeks, move := range map[float64]float64{1: -0.142, 2: -0.175, 4: 0.044} {
		got := at(weeks, 1)
		assert.InDelta(t, move, got["quick_move_mm"], 0.0005)
		assert.InDelta(t, move/weeks, got["quick_move_mm_week"], 0.0005)
		assert.InDelta(t, 1+weeks-move, got["spare_before_mm"], 0.0005, "what grew, less the quick's move")
		assert.InDelta(t, 3.76, got["break_even_weeks"], 0.005)
	}
	never, told := at(1, 5)["break_even_weeks"]
	assert.True(t, told)
	assert.Nil(t, never, "with so much left the quick grows whatever the interval")
}

// done records a routine trim of every nail on so many days ago, by its cuts, each nail to its first sign.
func (c *client) done(d contract.Dog, ago int, mm string) {
	c.t.Helper()
	in := contract.SittingInput{
		Id:     uuid.New(),
		HowFar: new(contract.SittingInputHowFar("first_sign")),
		On:     of(date.Of(c.now).AddDays(-ago)),
	}
	for _, n := range d.Nails {
		in.Records = append(in.Records, contract.RecordInput{Code: n.Code, Tool: "large_plier"})
	}
	text, err := json.Marshal(in)
	require.NoError(c.t, err)
	body := strings.ReplaceAll(string(text), `"cuts_mm":null`, `"cuts_mm":[`+mm+`]`)
	ask[contract.DogView](c, "POST", "/api/dogs/"+d.Id.String()+"/sittings", body, 201)
}

func TestADogsOwnRatesHistoryAndRhythms(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(`{"name":"Moss","age_years":4,"weights":[{"kg":22}]}`)
	assert.Equal(t, "assumed", string(c.view(dog).Growth.Source))
	for ago := 140; ago > 0; ago -= 14 {
		c.done(dog, ago, "1,1")
	}
	view := c.view(dog)
	assert.Equal(t, "assumed", string(view.Growth.Source), "how far a trim went is no sign seen: it teaches no growth")
	assert.Zero(t, view.Growth.Measured)
	assert.Contains(t, view.Growth.Words, "telling the end of a few nails")
	require.NotNil(t, view.Next)
	assert.NotEmpty(t, view.Next.Why.Sentence)
	assert.Len(t, view.Next.Why.Rows, 6)

	path := "/api/dogs/" + dog.Id.String()
	history := ask[contract.History](c, "GET", path+"/history?of=LF3", "", 200)
	assert.Len(t, history.Past, 20, "until today")
	assert.InDelta(t, 2, history.Past[2].RemovedMm, 1e-9)
	group := ask[contract.History](c, "GET", path+"/history?of=dewclaw", "", 200)
	assert.Len(t, group.Codes, 2)
	assert.Nil(t, group.Forecast[0].FloorMm)
	for _, wrong := range []string{"", "?of=LF9", "?of=claws"} {
		_, text := c.do("GET", path+"/history"+wrong, "")
		assert.Contains(t, string(text), `"field":"of"`, wrong)
	}

	rhythms := ask[contract.Rhythms](c, "GET", path+"/rhythms", "", 200)
	require.Len(t, rhythms.Outlooks, 7)
	assert.Equal(t, "six_weeks", string(rhythms.Outlooks[6].Rhythm))
	assert.False(t, rhythms.Outlooks[6].Choosable)
	assert.Less(t, rhythms.Outlooks[2].QuickMoveMm, rhythms.Outlooks[6].QuickMoveMm)
	require.NotNil(t, rhythms.BreakEven)
	walked := ask[contract.Rhythms](c, "GET", path+"/rhythms?pavement_km_week=40", "", 200)
	assert.Greater(t, walked.GroundShare, rhythms.GroundShare)
	_, text := c.do("GET", path+"/rhythms?pavement_km_week=-1", "")
	assert.Contains(t, string(text), `"field":"pavement_km_week"`)
}

func TestAPlanBecomesTheDogsRhythmAndIsFollowed(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	for ago := 120; ago > 0; ago -= 30 {
		c.done(dog, ago, "2,1,1")
	}
	path := "/api/dogs/" + dog.Id.String() + "/quick-plan"
	plan := func(rhythm string) string {
		return `{"id":"` + uuid.NewString() + `","rhythm":"` + rhythm + `","goal_gap_mm":0.76}`
	}
	_, text := c.do("POST", path, plan("six_weeks"))
	assert.Contains(t, string(text), `"field":"rhythm"`)
	assert.Equal(t, "fortnightly", string(c.view(dog).Dog.Rhythm), "nothing was kept")

	view := ask[contract.DogView](c, "POST", path, plan("weekly"), 200)
	require.NotNil(t, view.Plan)
	assert.Equal(t, "weekly", string(view.Dog.Rhythm))
	assert.NotEmpty(t, view.Plan.Words)
	assert.Equal(t, date.Of(c.now), view.Plan.Plan.Started)
	again := ask[contract.DogView](c, "POST", path, plan("twice_a_week"), 200)
	assert.Equal(t, "twice_a_week", string(again.Plan.Plan.Rhythm), "the newer one")
	ended := ask[contract.DogView](c, "DELETE", path, "", 200)
	assert.Nil(t, ended.Plan)
	assert.Equal(t, "twice_a_week", string(ended.Dog.Rhythm))
	status, _ := c.do("DELETE", path, "")
	assert.Equal(t, 404, status)
}

func TestTheDueListIsSearchedAndTurnedOver(t *testing.T) {
	c := newClient(t)
	for i := range 5 {
		c.addDog(fmt.Sprintf(`{"name":"Dog %d","age_years":4,"weights":[{"kg":22}]}`, i))
	}
	c.addDog(`{"name":"Плюшка","age_years":4,"weights":[{"kg":22}]}`)
	page := ask[contract.DueList](c, "GET", "/api/due?limit=2&offset=1", "", 200)
	assert.Equal(t, []string{"Dog 1", "Dog 2"}, []string{page.Dogs[0].Name, page.Dogs[1].Name})
	assert.Equal(t, 6, page.Found)
	found := ask[contract.DueList](c, "GET", "/api/due?search=%D0%9F%D0%9B%D0%AE%D0%A8", "", 200)
	require.Len(t, found.Dogs, 1, "in capital letters of another script")
	assert.Equal(t, 6, found.All)
	assert.Empty(t, ask[contract.DueList](c, "GET", "/api/due?open=true", "", 200).Dogs)
	status, _ := c.do("GET", "/api/due?limit=0", "")
	assert.Equal(t, 400, status)
}

func TestHolidaysMoveEveryDate(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	c.done(dog, 5, "1,1")
	before := c.view(dog).Next.Due
	settings := func(holidays string) string {
		return `{"role":"groomer","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon","tue","wed","thu","fri","sat","sun"],"holidays":[` + holidays + `]}`
	}
	span := func(from, to string) string { return `{"from":"` + from + `","to":"` + to + `"}` }
	ask[contract.Settings](
		c,
		"PUT",
		"/api/settings",
		settings(span(before.AddDays(-1).String(), before.AddDays(3).String())),
		200,
	)
	assert.Equal(t, before.AddDays(-2), c.view(dog).Next.Due)
	assert.Equal(
		t,
		before.AddDays(-2),
		*ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0].Due,
		"in the list too",
	)
	for _, bad := range []struct{ spans, field string }{
		{span("2026-12-02", "2026-12-01"), "holidays[0].to"},
		{span("2026-12-01", "2026-12-05") + "," + span("2026-12-03", "2026-12-09"), "holidays[1].from"},
	} {
		_, text := c.do("PUT", "/api/settings", settings(bad.spans))
		assert.Contains(t, string(text), `"field":"`+bad.field+`"`)
	}
}

// A calendar program's view: the address is secret, the event stays the same when the date moves.
func TestTheCalendarFollowsTheDates(t *testing.T) {
	c := newClient(t)
	ask[contract.Settings](
		c,
		"PUT",
		"/api/settings",
		`{"role":"groomer","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon","tue","wed","thu","fri","sat","sun"]}`,
		200,
	)
	dog := c.addDog(`{"name":"Плюшка; Moss","age_years":4,"weights":[{"kg":22}]}`)
	c.done(dog, 5, "1,1")
	path := ask[contract.Calendar](c, "GET", "/api/calendar", "", 200).Path
	read := func() ical.Event {
		status, text := c.do("GET", path, "")
		require.Equal(t, 200, status)
		calendar, err := ical.NewDecoder(strings.NewReader(string(text))).Decode()
		require.NoError(t, err)
		require.Len(t, calendar.Events(), 1)
		return calendar.Events()[0]
	}
	first := read()
	assert.Equal(
		t,
		strings.ReplaceAll(c.view(dog).Next.Due.String(), "-", ""),
		first.Props.Get(ical.PropDateTimeStart).Value,
	)
	words, err := first.Props.Text(ical.PropDescription)
	require.NoError(t, err)
	assert.Equal(t, c.view(dog).Next.Why.Sentence, words)

	c.now = c.now.Add(time.Hour)
	ask[contract.Dog](c, "PATCH", "/api/dogs/"+dog.Id.String(), `{"version":1,"rhythm":"every_other_day"}`, 200)
	moved := read()
	assert.Equal(t, first.Props.Get(ical.PropUID).Value, moved.Props.Get(ical.PropUID).Value)
	assert.NotEqual(t, first.Props.Get(ical.PropDateTimeStart).Value, moved.Props.Get(ical.PropDateTimeStart).Value)
	assert.Equal(t, "0", first.Props.Get(ical.PropSequence).Value)
	assert.Equal(t, "1003", moved.Props.Get(ical.PropSequence).Value, "moved once, and three days late")
	assert.Equal(t, "20261124T110000Z", moved.Props.Get(ical.PropDateTimeStamp).Value)

	c.now = c.now.AddDate(0, 0, 60)
	late := read()
	assert.Equal(
		t,
		c.now.Format("20060102"),
		late.Props.Get(ical.PropDateTimeStart).Value,
		"a dog that is late is due today",
	)
	words, err = late.Props.Text(ical.PropDescription)
	require.NoError(t, err)
	assert.Contains(t, words, "Late since 2026-")
	number, err := strconv.Atoi(late.Props.Get(ical.PropSequence).Value)
	require.NoError(t, err)
	assert.Greater(t, number, 1000, "so that a calendar program follows")

	assert.Equal(t, path, ask[contract.Calendar](c, "GET", "/api/calendar", "", 200).Path, "the address stays")
	renewed := ask[contract.Calendar](c, "POST", "/api/calendar", "", 200).Path
	assert.NotEqual(t, path, renewed)
	for _, old := range []string{path, "/calendar/guess/due.ics"} {
		status, text := c.do("GET", old, "")
		assert.Equal(t, 404, status)
		assert.NotContains(t, string(text), "Moss")
	}
}

// A calendar program asks every few hours: as long as nothing has moved it is told so, and nothing else.
func TestACalendarThatStaysIsNotSentAgain(t *testing.T) {
	c := newClient(t)
	ask[contract.Settings](
		c,
		"PUT",
		"/api/settings",
		`{"role":"groomer","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon","tue","wed","thu","fri"]}`,
		200,
	)
	dog := c.addDog(moss)
	ask[contract.DogView](c, "POST", "/api/dogs/"+dog.Id.String()+"/sittings", c.planned(dog), 201)
	path := ask[contract.Calendar](c, "GET", "/api/calendar", "", 200).Path
	read := func(known string) (status int, tag string) {
		request, err := http.NewRequest("GET", c.server.URL+path, nil)
		require.NoError(t, err)
		request.Header.Set("If-None-Match", known)
		answer, err := http.DefaultClient.Do(request)
		require.NoError(t, err)
		defer answer.Body.Close()
		return answer.StatusCode, answer.Header.Get("ETag")
	}
	status, first := read("")
	assert.Equal(t, 200, status)
	require.NotEmpty(t, first)
	status, tag := read(first)
	assert.Equal(t, 304, status)
	assert.Equal(t, first, tag)

	ask[contract.Dog](c, "PATCH", "/api/dogs/"+dog.Id.String(), `{"version":1,"name":"Bracken"}`, 200)
	status, renamed := read(first)
	assert.Equal(t, 200, status, "another dog's name")
	assert.NotEqual(t, first, renamed)
	ask[contract.Dog](c, "PATCH", "/api/dogs/"+dog.Id.String(), `{"version":2,"name":"Moss"}`, 200)
	status, _ = read(first)
	assert.Equal(t, 304, status, "something was written, but it says the same")
	c.now = c.now.AddDate(0, 0, 90)
	status, _ = read(first)
	assert.Equal(t, 200, status, "it is late by now")
}

// What was walked before stays, so that growth is learnt from each time's own walking.
func TestChangedWalkingIsTold(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(`{"name":"Moss","age_years":4,"weights":[{"kg":22}],"pavement_km_week":8}`)
	assert.Empty(t, dog.Walked, "a new dog has no other past")
	changed := ask[contract.Dog](
		c,
		"PATCH",
		"/api/dogs/"+dog.Id.String(),
		`{"version":1,"pavement_km_week":20,"pavement_since":"2026-11-01","short_quicks":true}`,
		200,
	)
	assert.Equal(t, changed, c.view(dog).Dog)
	assert.Equal(t, []contract.Walked{{KmWeek: 8, Until: date.Of(c.now).AddDays(-24)}}, changed.Walked)
	assert.True(t, changed.ShortQuicks)
	_, text := c.do(
		"PATCH",
		"/api/dogs/"+dog.Id.String(),
		`{"version":2,"pavement_km_week":20,"pavement_since":"2027-01-01"}`,
	)
	assert.Contains(t, string(text), `"field":"pavement_since"`)
}
