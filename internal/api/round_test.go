package api

import (
	"encoding/json"
	"fmt"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/round"
)

// groomers is a groomer's book with dogs that were done so many days ago, on Tuesday 24 November 2026 at ten.
func groomers(t *testing.T, ago ...int) (*client, []contract.Dog) {
	t.Helper()
	c := newClient(t)
	settings := `{"role":"groomer","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon","tue","wed","thu","fri"]}`
	status, text := c.do("PUT", "/api/settings", settings)
	require.Equal(t, 200, status, string(text))
	var dogs []contract.Dog
	today := c.now
	for i, days := range ago {
		d := c.addDog(fmt.Sprintf(`{"name":"Dog %d","age_years":4,"weights":[{"kg":%d}]}`, i, 8+4*i))
		c.now = today.AddDate(0, 0, -days)
		ask[contract.DogView](c, "POST", "/api/dogs/"+d.Id.String()+"/sittings", c.planned(d), 201)
		dogs = append(dogs, d)
	}
	c.now = today
	return c, dogs
}

func visitBody(d contract.Dog, on string, at round.Clock, state string) string {
	return fmt.Sprintf(`{"dog_id":"%s","on":"%s","start":%d,"state":"%s"}`, d.Id, on, at, state)
}

func visitAt() string { return "/api/round/visits/" + uuid.NewString() }

func TestTheRoundCallsWhoIsDue(t *testing.T) {
	c, dogs := groomers(t, 60, 2, 30)
	calls := ask[contract.Calls](c, "GET", "/api/round/calls", "", 200)
	require.Len(t, calls.Calls, 2, "one was done two days ago")
	assert.Equal(t, dogs[0].Id, calls.Calls[0].Dog.DogId, "the longest on the floor first")
	offer := calls.Calls[0].Offers[0]
	assert.GreaterOrEqual(
		t,
		calls.Calls[0].Dog.Minutes,
		int(calls.Calls[0].Dog.Takes.Minutes),
		"four days in five it is done by then",
	)

	agreed := ask[contract.Visit](
		c,
		"PUT",
		visitAt(),
		visitBody(dogs[0], offer.On.String(), offer.Start, "agreed"),
		200,
	)
	assert.Empty(t, agreed.Breaks)
	calls = ask[contract.Calls](c, "GET", "/api/round/calls", "", 200)
	require.Len(t, calls.Calls, 1, "who has a place is called no more")
	status, _ := c.do("PUT", "/api/dogs/"+dogs[2].Id.String()+"/not-now", `{"weeks":2}`)
	assert.Equal(t, 204, status)
	assert.Empty(t, ask[contract.Calls](c, "GET", "/api/round/calls", "", 200).Calls)
	c.now = c.now.AddDate(0, 0, 16)
	assert.NotEmpty(t, ask[contract.Calls](c, "GET", "/api/round/calls", "", 200).Calls, "then it is asked again")
}

// A sitting that is begun belongs to the visit of its dog that day.
func TestASittingBelongsToItsVisit(t *testing.T) {
	c, dogs := groomers(t, 60, 50)
	first := ask[contract.Visit](c, "PUT", visitAt(), visitBody(dogs[0], "2026-11-24", round.At(10, 0), "agreed"), 200)
	ask[contract.Visit](c, "PUT", visitAt(), visitBody(dogs[1], "2026-11-24", round.At(11, 0), "agreed"), 200)
	day := ask[contract.RoundDay](c, "GET", "/api/round/days/2026-11-24", "", 200)
	assert.Equal(
		t,
		[]contract.VisitStanding{"next", "to_come"},
		[]contract.VisitStanding{day.Visits[0].Standing, day.Visits[1].Standing},
	)
	sitting := c.planned(dogs[0])
	ask[contract.DogView](c, "POST", "/api/dogs/"+dogs[0].Id.String()+"/sittings", sitting, 201)
	day = ask[contract.RoundDay](c, "GET", "/api/round/days/2026-11-24", "", 200)
	assert.Equal(t, first.Id, day.Visits[0].Id)
	assert.Equal(t, round.Done, day.Visits[0].State)
	assert.NotNil(t, day.Visits[0].SittingId)
	assert.Equal(t, contract.VisitStanding("next"), day.Visits[1].Standing)
	require.NotNil(t, day.Visits[1].Starts)
	assert.Equal(t, int(round.At(11, 0)), day.Visits[1].Starts.Likely)
	assert.Equal(t, 2, day.Load.Dogs)
	require.Len(t, day.Week, 7)
	assert.Equal(t, "2026-11-23", day.Week[0].On.String(), "a Monday")
	require.NotEmpty(t, day.Gaps)

	c.now = c.now.AddDate(0, 0, 1)
	day = ask[contract.RoundDay](c, "GET", "/api/round/days/2026-11-24", "", 200)
	assert.Equal(t, contract.VisitStanding("waits"), day.Visits[1].Standing, "nobody has said what became of it")
}

func TestAVisitThatCannotBe(t *testing.T) {
	c, dogs := groomers(t, 60, 50)
	there := ask[contract.Visit](c, "PUT", visitAt(), visitBody(dogs[0], "2026-11-25", round.At(10, 0), "agreed"), 200)
	week := ask[contract.WorkingWeek](c, "GET", "/api/round/week", "", 200)
	week.Exceptions = []contract.WorkingException{{On: there.On.AddDays(1)}}
	ask[contract.WorkingWeek](c, "PUT", "/api/round/week", jsonOf(t, week), 200)
	for name, one := range map[string]struct {
		on    string
		start round.Clock
		more  string
		want  string
	}{
		"in the past":         {"2026-11-23", round.At(10, 0), "", "must not have gone by"},
		"earlier today":       {"2026-11-24", round.At(9, 0), "", "must not have gone by"},
		"outside hours":       {"2026-11-25", round.At(19, 0), "", "outside the hours, 09:00 to 17:00"},
		"in the break":        {"2026-11-25", round.At(12, 30), "", "runs into the break"},
		"on a closed day":     {"2026-11-26", round.At(10, 0), "", "no working day"},
		"two at once":         {"2026-11-25", round.At(10, 5), "", "runs into Dog 0"},
		"longer than the day": {"2026-11-25", round.At(23, 0), `,"minutes":120`, "must end on the same day"},
		"far away":            {"2036-11-25", round.At(10, 0), "", "within two years"},
	} {
		body := visitBody(dogs[1], one.on, one.start, "agreed")
		status, text := c.do("PUT", visitAt(), body[:len(body)-1]+one.more+"}")
		assert.Equal(t, 422, status, name)
		assert.Contains(t, string(text), one.want, name)
	}
	body := visitBody(dogs[1], "2026-11-25", round.At(10, 5), "agreed")
	tried := ask[contract.Visit](c, "PUT", visitAt(), body[:len(body)-1]+`,"ask":true}`, 200)
	require.NotNil(t, tried.Breaks, "a move says what it breaks before it is dropped")
	assert.Contains(t, *tried.Breaks, "runs into Dog 0")
	body = visitBody(dogs[1], "2026-11-25", round.At(19, 0), "agreed")
	late := ask[contract.Visit](c, "PUT", visitAt(), body[:len(body)-1]+`,"anyway":true}`, 200)
	assert.Equal(t, round.At(19, 0), late.Start, "told to stand all the same")
	status, text := c.do("PUT", visitAt(), visitBody(dogs[1], "2026-11-25", round.At(15, 0), "agreed"))
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), "comes that day already")
}

// Two devices that give one place at once: one of them gets it.
func TestOnePlaceIsGivenOnce(t *testing.T) {
	c, dogs := groomers(t, 60, 50, 40, 35)
	got := make([]int, len(dogs))
	var all sync.WaitGroup
	for i, d := range dogs {
		all.Go(func() { got[i], _ = c.do("PUT", visitAt(), visitBody(d, "2026-11-25", round.At(10, 0), "agreed")) })
	}
	all.Wait()
	assert.ElementsMatch(t, []int{200, 422, 422, 422}, got)
}

func TestOwnersAndTheirDogs(t *testing.T) {
	c, dogs := groomers(t, 60, 50)
	at := "/api/owners/" + uuid.NewString()
	owner := `{"name":"Perrin Slate","reach":"text","address":"+44 1632 960001","may_offer":true,"suits":[{"weekday":"wed","hours":[{"from":540,"to":720}]}]}`
	made := ask[contract.OwnerView](c, "PUT", at, owner, 200)
	assert.Equal(t, 1, made.Owner.Version)
	status, _ := c.do("PUT", at, owner)
	assert.Equal(t, 409, status, "not read before it was changed")
	for _, d := range dogs {
		status, _ := c.do("PUT", "/api/dogs/"+d.Id.String()+"/owner", fmt.Sprintf(`{"owner_id":%q}`, made.Owner.Id))
		assert.Equal(t, 204, status)
	}
	assert.Len(t, ask[contract.Owners](c, "GET", "/api/owners?search=SLATE", "", 200).Owners[0].Dogs, 2)
	visits := ask[contract.DogVisits](c, "GET", "/api/dogs/"+dogs[0].Id.String()+"/visits", "", 200)
	require.NotEmpty(t, visits.Offers)
	for _, o := range visits.Offers {
		assert.Equal(t, time.Wednesday, o.On.Weekday(), "the owner's hours")
	}
	agreed := ask[contract.Visit](
		c,
		"PUT",
		visitAt(),
		visitBody(dogs[0], visits.Offers[0].On.String(), visits.Offers[0].Start, "agreed"),
		200,
	)
	second := ask[contract.DogVisits](c, "GET", "/api/dogs/"+dogs[1].Id.String()+"/visits", "", 200)
	assert.Equal(t, agreed.On, second.Offers[0].On)
	assert.Contains(t, second.Offers[0].Reasons, "with the owner's other dog")

	status, _ = c.do("DELETE", at, "")
	assert.Equal(t, 204, status)
	assert.Empty(t, ask[contract.Owners](c, "GET", "/api/owners", "", 200).Owners)
	assert.Nil(
		t,
		ask[contract.DogVisits](c, "GET", "/api/dogs/"+dogs[0].Id.String()+"/visits", "", 200).Dog.OwnerId,
		"the dogs stay",
	)
	for body, want := range map[string]string{
		`{"name":"","reach":"hand"}`:                         "name",
		`{"name":"A","reach":"text","address":"call me"}`:    "address",
		`{"name":"A","reach":"mail","address":"a b@c"}`:      "address",
		`{"name":"A","reach":"hand","address":"0123456789"}`: "address",
	} {
		status, text := c.do("PUT", "/api/owners/"+uuid.NewString(), body)
		assert.Equal(t, 422, status, body)
		assert.Contains(t, string(text), want)
	}
}

func jsonOf(t *testing.T, v any) string {
	t.Helper()
	text, err := json.Marshal(v)
	require.NoError(t, err)
	return string(text)
}

// Another week is another week's.
func TestCallsOfAnotherWeek(t *testing.T) {
	c, _ := groomers(t, 60)
	calls := ask[contract.Calls](c, "GET", "/api/round/calls?from=2026-12-01", "", 200)
	assert.Equal(t, "2026-12-01", calls.From.String())
	require.Len(t, calls.Calls, 1)
	for _, o := range calls.Calls[0].Offers {
		assert.False(t, o.On.Before(calls.From))
	}
}

// Whom to call comes by pages, each dog once and in one order.
func TestCallsComeByPages(t *testing.T) {
	c, _ := groomers(t, 60, 50, 40, 30, 45)
	whole := ask[contract.Calls](c, "GET", "/api/round/calls", "", 200)
	require.Len(t, whole.Calls, 5)
	var paged []contract.CallRow
	for offset := 0; offset < whole.All; offset += 2 {
		page := ask[contract.Calls](c, "GET", fmt.Sprintf("/api/round/calls?limit=2&offset=%d", offset), "", 200)
		assert.LessOrEqual(t, len(page.Calls), 2)
		paged = append(paged, page.Calls...)
	}
	assert.Equal(t, whole.Calls, paged)
	status, _ := c.do("GET", "/api/round/calls?offset=-1", "")
	assert.Equal(t, 400, status)
}

// A day is held against the kit: what is blunt by then is said, and what other days ask before it counts.
func TestADayIsHeldAgainstTheKit(t *testing.T) {
	c, dogs := groomers(t, 60, 50)
	ask[contract.Kit](
		c,
		"POST",
		"/api/kit",
		fmt.Sprintf(`{"id":%q,"kind":"large_plier","limit":150}`, uuid.NewString()),
		200,
	)
	for i, on := range []string{"2026-11-25", "2026-11-26"} {
		ask[contract.Visit](c, "PUT", visitAt(), visitBody(dogs[i], on, round.At(10, 0), "agreed"), 200)
	}
	week := ask[contract.RoundDay](c, "GET", "/api/round/days/2026-11-26", "", 200)
	assert.Empty(t, week.Week[1].Prepare)
	assert.Empty(t, week.Week[2].Prepare)
	require.Len(t, week.Load.Prepare, 1)
	assert.Regexp(
		t,
		`^sharpen the large plier before it: by then about \d+ of 150 cuts, and \d+ that day$`,
		week.Load.Prepare[0],
	)
}
