package api

import (
	"fmt"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/round"
)

// What one press takes away another gives back, for a minute; after that, and of what was never taken away, it is
// refused by name.
func TestWhatAPressTakesAwayComesBackWithinAMinute(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	kept := ask[contract.DogView](c, "POST", at+"/sittings", c.planned(d), 201)
	sitting := kept.Sittings[0].Id.String()
	ladder, try, owner := uuid.NewString(), uuid.NewString(), uuid.NewString()
	item, stick := uuid.NewString(), uuid.NewString()
	c.do("POST", at+"/ladders", fmt.Sprintf(`{"id":%q,"kind":"grinder"}`, ladder))
	c.do("POST", at+"/ladders/"+ladder+"/tries", fmt.Sprintf(`{"id":%q,"reaction":"calm"}`, try))
	c.do("POST", "/api/kit", fmt.Sprintf(`{"id":%q,"kind":"grinder"}`, item))
	c.do("PUT", "/api/owners/"+owner, `{"name":"Ada","reach":"hand"}`)
	c.do("PUT", at+"/owner", fmt.Sprintf(`{"owner_id":%q}`, owner))
	_, slices := slicesOf(1, 1.5, 1.4, 1.7, 1.5, 1.6)
	status, text := c.do("PUT", "/api/slices/"+stick, slices)
	require.Equal(t, 200, status, string(text))

	for what, one := range map[string]struct {
		id, path string
		look     string
	}{
		"sitting":  {sitting, at + "/sittings/" + sitting, at},
		"try":      {try, at + "/ladders/" + ladder + "/tries/" + try, at + "/ladders"},
		"ladder":   {ladder, at + "/ladders/" + ladder, at + "/ladders"},
		"kit_item": {item, "/api/kit/" + item, "/api/kit"},
		"owner":    {owner, "/api/owners/" + owner, "/api/owners"},
		"slices":   {stick, "/api/slices/" + stick, "/api/slices"},
	} {
		t.Run(what, func(t *testing.T) {
			look := func() string { _, text := c.do("GET", one.look, ""); return string(text) }
			back := fmt.Sprintf(`{"what":%q,"id":%q}`, what, one.id)
			before := look()
			remove := func() {
				status, text := c.do("DELETE", one.path, "")
				require.Less(t, status, 300, string(text))
			}
			remove()
			require.NotEqual(t, before, look())
			status, text := c.do("POST", "/api/undo", back)
			require.Equal(t, 204, status, string(text))
			assert.Equal(t, before, look(), "all of it is there again")
			status, _ = c.do("POST", "/api/undo", back)
			assert.Equal(t, 204, status, "twice changes nothing")

			remove()
			c.now = c.now.Add(2 * time.Minute)
			status, text = c.do("POST", "/api/undo", back)
			assert.Equal(t, 422, status)
			assert.Contains(t, string(text), `"field":"id"`)
			c.now = c.now.Add(-2 * time.Minute)
			status, _ = c.do("POST", "/api/undo", back)
			assert.Equal(t, 204, status)
		})
	}
	status, text = c.do("POST", "/api/undo", fmt.Sprintf(`{"what":"sitting","id":%q}`, uuid.NewString()))
	assert.Equal(t, 422, status, string(text))
	status, _ = c.do("POST", "/api/undo", fmt.Sprintf(`{"what":"picture","id":%q}`, uuid.NewString()))
	assert.Equal(t, 400, status, "who deletes a picture wants it gone")
}

// What a sitting asked of the kit is taken off with it, and comes back with it.
func TestASittingGivenBackWearsTheBladesAgain(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	item := uuid.NewString()
	c.do("POST", "/api/kit", fmt.Sprintf(`{"id":%q,"kind":"small_plier"}`, item))
	sitting := uuid.NewString()
	ask[contract.DogView](
		c,
		"POST",
		"/api/dogs/"+d.Id.String()+"/sittings",
		fmt.Sprintf(
			`{"id":%q,"records":[{"code":"LF2","tool":"small_plier","item_id":%q,"cuts_mm":[1,0.5],"blood":false,"reaction":"calm"}]}`,
			sitting,
			item,
		),
		201,
	)
	used := func() float64 {
		for _, i := range ask[contract.Kit](c, "GET", "/api/kit", "", 200).Items {
			if i.Id.String() == item {
				return i.Used
			}
		}
		return -1
	}
	require.Equal(t, 2.0, used())
	c.do("DELETE", "/api/dogs/"+d.Id.String()+"/sittings/"+sitting, "")
	require.Equal(t, 0.0, used())
	c.do("POST", "/api/undo", fmt.Sprintf(`{"what":"sitting","id":%q}`, sitting))
	assert.Equal(t, 2.0, used())
}

// A plan that was ended goes on, but not beside another that was begun since.
func TestAQuickPlanGoesOnUnlessAnotherIsOn(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	for ago := 120; ago > 0; ago -= 30 {
		c.done(d, ago, "2,1,1")
	}
	at := "/api/dogs/" + d.Id.String() + "/quick-plan"
	start := func() {
		ask[contract.DogView](
			c,
			"POST",
			at,
			fmt.Sprintf(`{"id":%q,"rhythm":"weekly","goal_gap_mm":0.76}`, uuid.NewString()),
			200,
		)
	}
	back := fmt.Sprintf(`{"what":"quick_plan","id":%q}`, d.Id)
	start()
	on := func() bool {
		return ask[contract.Rhythms](c, "GET", "/api/dogs/"+d.Id.String()+"/rhythms", "", 200).Plan != nil
	}
	require.True(t, on())
	c.do("DELETE", at, "")
	require.False(t, on())
	status, text := c.do("POST", "/api/undo", back)
	assert.Equal(t, 204, status, string(text))
	assert.True(t, on())
}

// Who waits for a full day is named the place that falls free, first come first, and waits no more once it has one.
func TestAWaitingListIsToldOfAPlaceThatFallsFree(t *testing.T) {
	c, dogs, _, _ := posted(t, 3)
	day := "2027-01-14"
	week := ask[contract.WorkingWeek](c, "GET", "/api/round/week", "", 200)
	for i := range week.Days {
		week.Days[i].Hours = contract.WorkingHours{From: round.At(9, 0), To: round.At(9, 25)}
	}
	ask[contract.WorkingWeek](c, "PUT", "/api/round/week", jsonOf(t, week), 200)
	first := visitAt()
	v := ask[contract.Visit](
		c,
		"PUT",
		first,
		fmt.Sprintf(`{"dog_id":%q,"on":%q,"start":540,"minutes":15,"state":"agreed"}`, dogs[0].Id, day),
		200,
	)
	waits := func(i int) string { return "/api/dogs/" + dogs[i].Id.String() + "/waits/" + day }
	for i := 1; i < 3; i++ {
		status, text := c.do("PUT", waits(i), `{"note":"any hour"}`)
		require.Equal(t, 204, status, string(text))
		c.now = c.now.Add(time.Minute)
	}
	list := func() []contract.WaitingDog {
		return ask[contract.WaitingList](c, "GET", "/api/round/waiting", "", 200).Waiting
	}
	require.Len(t, list(), 2)
	assert.Nil(t, list()[0].Place, "the day is full")
	assert.Equal(t, "any hour", list()[0].Note)

	ask[contract.Visit](
		c,
		"PUT",
		first,
		fmt.Sprintf(
			`{"dog_id":%q,"on":%q,"start":540,"minutes":15,"state":"called_off","off_by":"owner","sequence":%d}`,
			dogs[0].Id,
			day,
			v.Sequence,
		),
		200,
	)
	require.NotNil(t, list()[0].Place)
	assert.Equal(t, dogs[1].Id, list()[0].Dog.DogId)
	assert.Nil(t, list()[1].Place, "one place is named to one")

	ask[contract.Visit](
		c,
		"PUT",
		visitAt(),
		fmt.Sprintf(`{"dog_id":%q,"on":%q,"start":%d,"state":"agreed"}`, dogs[1].Id, day, list()[0].Place.Start),
		200,
	)
	require.Len(t, list(), 1, "it has its place")
	c.do("DELETE", waits(2), "")
	assert.Empty(t, list())

	for path, field := range map[string]string{waits(1): "on", "/api/dogs/" + dogs[2].Id.String() + "/waits/2020-01-01": "on"} {
		status, text := c.do("PUT", path, `{}`)
		assert.Equal(t, 422, status, string(text))
		assert.Contains(t, string(text), `"field":"`+field+`"`)
	}
}
