package api

import (
	"fmt"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

// Somebody rings: found by the dog's name or the owner's, with its time; given any day and hour in any week, with what
// that breaks said before; moved to another day; again every four weeks, and where that cannot be, it is told.
func TestTheTelephone(t *testing.T) {
	c, dogs, _, _ := posted(t, 2)
	find := func(text string) []contract.FoundDog {
		return ask[contract.FoundDogs](c, "GET", "/api/round/find?search="+text, "", 200).Dogs
	}
	require.Len(t, find("dog%201"), 1)
	require.Len(t, find("OWNER%201"), 1, "by the owner, whatever the case")
	assert.Nil(t, find("dog%201")[0].Next)

	at := visitAt()
	would := ask[contract.Visit](
		c,
		"PUT",
		at,
		fmt.Sprintf(`{"dog_id":%q,"on":"2027-01-14","start":750,"state":"agreed","ask":true}`, dogs[1].Id),
		200,
	)
	require.NotNil(t, would.Breaks)
	assert.Contains(t, *would.Breaks, "runs into the break")
	assert.Nil(t, find("dog%201")[0].Next, "asked, and not kept")
	v := ask[contract.Visit](
		c,
		"PUT",
		at,
		fmt.Sprintf(`{"dog_id":%q,"on":"2027-01-14","start":840,"state":"agreed","note":"rings before"}`, dogs[1].Id),
		200,
	)
	assert.Equal(t, "rings before", *v.Note)
	next := find("dog%201")[0].Next
	require.NotNil(t, next)
	assert.Equal(t, "2027-01-14", next.On.String())
	moved := ask[contract.Visit](
		c,
		"PUT",
		at,
		fmt.Sprintf(
			`{"dog_id":%q,"on":"2027-01-18","start":600,"state":"agreed","sequence":%d}`,
			dogs[1].Id,
			v.Sequence,
		),
		200,
	)
	assert.Equal(t, "2027-01-18", moved.On.String())

	ask[contract.Visit](c, "PUT", visitAt(), visitBody(dogs[0], "2027-03-15", 600, "agreed"), 200)
	again := ask[contract.Repeated](c, "POST", at+"/repeat", `{"every_weeks":4,"times":3}`, 200).Days
	require.Len(t, again, 3)
	assert.Equal(t, []bool{true, false, true}, []bool{again[0].Kept, again[1].Kept, again[2].Kept})
	assert.Contains(t, *again[1].Why, "runs into Dog 0")
	assert.Equal(
		t,
		again,
		ask[contract.Repeated](c, "POST", at+"/repeat", `{"every_weeks":4,"times":3}`, 200).Days,
		"the same again changes nothing",
	)
	for body, field := range map[string]string{`{"every_weeks":0,"times":3}`: "every_weeks", `{"every_weeks":4,"times":99}`: "times"} {
		status, text := c.do("POST", at+"/repeat", body)
		assert.Equal(t, 422, status)
		assert.Contains(t, string(text), `"field":"`+field+`"`)
	}
	status, _ := c.do("POST", visitAt()+"/repeat", `{"every_weeks":4,"times":3}`)
	assert.Equal(t, 404, status)
}

// Moving is no calling off; only the owner's own late calling off counts against them, and a press takes it back.
func TestOnlyAnOwnersLateCallingOffCounts(t *testing.T) {
	c, dogs, _, _ := posted(t, 1)
	owner := ask[contract.Owners](c, "GET", "/api/owners", "", 200).Owners[0].Id
	counts := func() int {
		return ask[contract.OwnerView](c, "GET", "/api/owners/"+owner.String(), "", 200).CalledOff
	}
	at, sequence := visitAt(), 0
	say := func(state, by, on string) {
		body := fmt.Sprintf(
			`{"dog_id":%q,"on":%q,"start":840,"state":%q,"sequence":%d%s}`,
			dogs[0].Id,
			on,
			state,
			sequence,
			by,
		)
		sequence = ask[contract.Visit](c, "PUT", at, body, 200).Sequence
	}
	today, soon := c.now.Format("2006-01-02"), c.now.AddDate(0, 0, 7).Format("2006-01-02")
	say("agreed", "", soon)
	say("called_off", `,"off_by":"owner"`, soon)
	assert.Zero(t, counts(), "in good time")
	say("agreed", "", soon) // taken back
	say("agreed", "", today)
	assert.Zero(t, counts(), "moved")
	say("called_off", `,"off_by":"us"`, today)
	assert.Zero(t, counts(), "by the groomer")
	say("agreed", "", today)
	say("called_off", `,"off_by":"owner"`, today)
	assert.Equal(t, 1, counts())
	status, _ := c.do(
		"PUT",
		"/api/round/visits/"+uuid.NewString(),
		fmt.Sprintf(`{"dog_id":%q,"on":%q,"start":840,"state":"called_off","off_by":"nobody"}`, dogs[0].Id, today),
	)
	assert.Equal(t, 400, status)
}
