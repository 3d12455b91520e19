package api

import (
	"fmt"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/round"
)

func placesBody(d contract.Dog, places string) string {
	return fmt.Sprintf(`{"dog_id":%q,"kind":"places","places":[%s]}`, d.Id, places)
}

// What is pressed is what is sent: the list's own places, each still free; one message a dog and kind and day, from
// however many devices.
func TestWhatIsPressedIsSent(t *testing.T) {
	c, dogs, _, _ := posted(t, 3)
	pressed := `{"on":"2026-12-03","start":840},{"on":"2026-12-04","start":615}`
	m := ask[contract.Message](c, "PUT", "/api/messages/"+uuid.NewString(), placesBody(dogs[0], pressed), 200)
	assert.Contains(t, m.Text, "1: Thu 3 Dec 14:00, 2: Fri 4 Dec 10:15")
	assert.Contains(t, m.Text, "first to answer", "several owners may have the same place")
	again := ask[contract.Message](
		c,
		"PUT",
		"/api/messages/"+uuid.NewString(),
		placesBody(dogs[0], `{"on":"2026-12-07","start":600}`),
		200,
	)
	assert.Equal(t, m.Id, again.Id, "another device, the same day")

	ask[contract.Visit](c, "PUT", visitAt(), visitBody(dogs[1], "2026-12-03", 840, "agreed"), 200)
	status, text := c.do("PUT", "/api/messages/"+uuid.NewString(), placesBody(dogs[2], pressed))
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), `"field":"places[0]"`)
	status, text = c.do(
		"PUT",
		"/api/messages/"+uuid.NewString(),
		placesBody(dogs[2], `{"on":"2026-12-06","start":600}`),
	)
	assert.Equal(t, 422, status, "no working day: %s", text)
}

// A message is looked at again before it goes out: a visit that was called off or moved meanwhile is told to nobody.
func TestWhatIsTrueNoMoreIsNotSent(t *testing.T) {
	c, dogs, g, post := posted(t, 2)
	for i, change := range []string{"called_off", "agreed"} {
		at := visitAt()
		ask[contract.Visit](c, "PUT", at, visitBody(dogs[i], "2026-12-03", round.Clock(600+60*i), "agreed"), 200)
		m := ask[contract.Message](
			c,
			"PUT",
			"/api/messages/"+uuid.NewString(),
			fmt.Sprintf(`{"dog_id":%q,"kind":"agreed"}`, dogs[i].Id),
			200,
		)
		v := ask[contract.DogVisits](c, "GET", "/api/dogs/"+dogs[i].Id.String()+"/visits", "", 200).Visits[0]
		start := 600 + 60*i
		if change == "agreed" {
			start += 15
		}
		ask[contract.Visit](
			c,
			"PUT",
			at,
			fmt.Sprintf(
				`{"dog_id":%q,"on":"2026-12-03","start":%d,"state":%q,"sequence":%d}`,
				dogs[i].Id,
				start,
				change,
				v.Sequence,
			),
			200,
		)
		post()
		assert.Equal(t, round.MessageFailed, c.message(m.Id).State)
		assert.Contains(
			t,
			c.message(m.Id).Said,
			map[string]string{"called_off": "called off since", "agreed": "moved since"}[change],
		)
	}
	sent := g.Taken()
	assert.Empty(t, sent)
}

// Stop holds for the number, whoever's it is, written however.
func TestStopHoldsForTheNumber(t *testing.T) {
	c, dogs, g, post := posted(t, 2)
	other := uuid.NewString()
	ask[contract.OwnerView](
		c,
		"PUT",
		"/api/owners/"+other,
		`{"name":"The same house","reach":"text","address":"+44-1632-96 0000","may_offer":true}`,
		200,
	)
	c.do("PUT", "/api/dogs/"+dogs[1].Id.String()+"/owner", fmt.Sprintf(`{"owner_id":%q}`, other))
	m := c.offers(dogs[0])
	post()
	require.NoError(t, g.Answer(m.Id.String(), "Please stop"))
	post()
	status, text := c.do(
		"PUT",
		"/api/messages/"+uuid.NewString(),
		fmt.Sprintf(`{"dog_id":%q,"kind":"places"}`, dogs[1].Id),
	)
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), "said stop")
}

// An answer that only a person can read waits with a guess; one press books it.
func TestAPersonReadsAnAnswer(t *testing.T) {
	c, dogs, g, post := posted(t, 1)
	m := c.offers(dogs[0])
	post()
	require.NoError(t, g.Answer(m.Id.String(), "I would like 2"))
	post()
	waits := c.message(m.Id)
	assert.Equal(t, round.MessagePerson, waits.State)
	require.NotNil(t, waits.Guess)
	assert.Equal(t, 2, *waits.Guess.Place)
	require.Len(t, waits.Places, 3)
	at := "/api/messages/" + m.Id.String()
	for _, bad := range []string{`{"place":9}`, `{}`} {
		status, text := c.do("PATCH", at, bad)
		assert.Equal(t, 422, status)
		assert.Contains(t, string(text), `"field":"place"`)
	}
	ask[contract.Messages](c, "PATCH", at, `{"place":2}`, 200)
	assert.Contains(t, c.message(m.Id).Said, "comes ")
	assert.Len(t, ask[contract.DogVisits](c, "GET", "/api/dogs/"+dogs[0].Id.String()+"/visits", "", 200).Visits, 1)
	status, _ := c.do("PATCH", at, `{"no":true}`)
	assert.Equal(t, 422, status, "it was read")
}
