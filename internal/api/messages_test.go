package api

import (
	"fmt"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/round"
	"fribbet/internal/standin"
	"fribbet/internal/store/storetest"
)

// posted is a groomer's book with dogs of owners, its message service, and a round of the post, some seconds later.
func posted(t *testing.T, dogs int) (c *client, all []contract.Dog, g *standin.Gateway, post func()) {
	t.Helper()
	var err error
	c = clientOf(t, storetest.Empty(t), func(o *started) {
		g, err = standin.OpenGateway(filepath.Join(t.TempDir(), "gateway.jsonl"), func() time.Time { return c.now })
		require.NoError(t, err)
		o.around.Gateway = g
	})
	settings := `{"role":"groomer","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon","tue","wed","thu","fri"]}`
	c.do("PUT", "/api/settings", settings)
	for i := range dogs {
		d := c.addDog(fmt.Sprintf(`{"name":"Dog %d","age_years":4,"weights":[{"kg":20}]}`, i))
		c.now = c.now.AddDate(0, 0, -40)
		ask[contract.DogView](c, "POST", "/api/dogs/"+d.Id.String()+"/sittings", c.planned(d), 201)
		c.now = c.now.AddDate(0, 0, 40)
		owner := uuid.NewString()
		ask[contract.OwnerView](
			c,
			"PUT",
			"/api/owners/"+owner,
			fmt.Sprintf(`{"name":"Owner %d","reach":"text","address":"+44 1632 96%04d","may_offer":true}`, i, i),
			200,
		)
		c.do("PUT", "/api/dogs/"+d.Id.String()+"/owner", fmt.Sprintf(`{"owner_id":%q}`, owner))
		all = append(all, d)
	}
	b := book.New(c.kept, func() time.Time { return c.now }, book.Options{Gateway: g})
	return c, all, g, func() {
		for range 8 { // failures wait longer and longer
			require.NoError(t, b.Post(t.Context()))
			c.now = c.now.Add(time.Minute)
		}
	}
}

func (c *client) offers(d contract.Dog) contract.Message {
	c.t.Helper()
	return ask[contract.Message](
		c,
		"PUT",
		"/api/messages/"+uuid.NewString(),
		fmt.Sprintf(`{"dog_id":%q,"kind":"places"}`, d.Id),
		200,
	)
}

func (c *client) message(id uuid.UUID) contract.Message {
	c.t.Helper()
	for _, m := range ask[contract.Messages](c, "GET", "/api/messages", "", 200).Messages {
		if m.Id == id {
			return m
		}
	}
	c.t.Fatal("no such message")
	return contract.Message{}
}

// An owner chooses a place; another chooses one that is gone by then and is offered others; one says no, one stop.
func TestOwnersAnswer(t *testing.T) {
	c, dogs, g, post := posted(t, 4)
	first, second, third, fourth := c.offers(dogs[0]), c.offers(dogs[1]), c.offers(dogs[2]), c.offers(dogs[3])
	assert.Contains(t, first.Text, "1: ")
	post()
	sent := g.Taken()
	require.Len(t, sent, 4, "each once, whatever failed")
	assert.Equal(t, round.MessageDelivered, c.message(first.Id).State)

	for id, text := range map[uuid.UUID]string{first.Id: "1", third.Id: "no, thank you", fourth.Id: "Stop"} {
		require.NoError(t, g.Answer(id.String(), text))
	}
	post()
	assert.Contains(t, c.message(first.Id).Said, "comes ")
	visits := ask[contract.DogVisits](c, "GET", "/api/dogs/"+dogs[0].Id.String()+"/visits", "", 200).Visits
	require.Len(t, visits, 1)
	assert.Equal(t, round.Agreed, visits[0].State)
	assert.Contains(t, c.message(third.Id).Said, "asked again in 2 weeks")
	status, text := c.do(
		"PUT",
		"/api/messages/"+uuid.NewString(),
		fmt.Sprintf(`{"dog_id":%q,"kind":"places"}`, dogs[3].Id),
	)
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), "said stop")

	require.NoError(t, g.Answer(second.Id.String(), "1")) // the same place, late
	post()
	assert.Contains(t, c.message(second.Id).Said, "others are offered")
	sent = g.Taken()
	require.Len(t, sent, 5)
	require.NoError(t, g.Answer(sent[4].ID, "1"))
	post()
	assert.Len(t, ask[contract.DogVisits](c, "GET", "/api/dogs/"+dogs[1].Id.String()+"/visits", "", 200).Visits, 1)
	require.NoError(t, g.Answer(sent[4].ID, "1")) // twice
	post()
	assert.Len(
		t,
		ask[contract.DogVisits](c, "GET", "/api/dogs/"+dogs[1].Id.String()+"/visits", "", 200).Visits,
		1,
		"one place, whatever comes twice",
	)
	require.NoError(t, g.Answer(first.Id.String(), "who is this?"))
	post()
	assert.Equal(t, round.MessagePerson, c.message(first.Id).State)
}

// A list's dog whose owner was written to stays, and so does the owner.
func TestWhoWasWrittenToStays(t *testing.T) {
	c, _, _, _ := posted(t, 0)
	at := "/api/lists/" + uuid.NewString()
	ask[contract.ListRead](
		c,
		"PUT",
		at,
		listBody(t, "Owner,Phone,Dog,Weight,Age\nOttoline Reed,+44 1632 960011,Fig,21,5\nTobin Marsh,,Sedge,9,4\n"),
		200,
	)
	owner := ask[contract.Owners](c, "GET", "/api/owners?search=Ottoline", "", 200).Owners[0]
	fig := owner.Dogs[0].DogId.String()
	ask[contract.OwnerView](
		c,
		"PUT",
		"/api/owners/"+owner.Id.String(),
		`{"version":1,"name":"Ottoline Reed","reach":"text","address":"+44 1632 960011","may_offer":true}`,
		200,
	)
	ask[contract.Message](
		c,
		"PUT",
		"/api/messages/"+uuid.NewString(),
		fmt.Sprintf(`{"dog_id":%q,"kind":"places"}`, fig),
		200,
	)
	assert.Equal(t, 1, ask[contract.ListBack](c, "DELETE", at, "", 200).Stay)
	assert.Len(t, ask[contract.Owners](c, "GET", "/api/owners", "", 200).Owners, 1)
}

// In the user's own words; whoever may be reminded is, the evening before, once; the owner's page has all of it.
func TestTomorrowsOwnersAreReminded(t *testing.T) {
	c, dogs, g, post := posted(t, 1)
	owner := ask[contract.Owners](c, "GET", "/api/owners", "", 200).Owners[0]
	ask[contract.OwnerView](
		c,
		"PUT",
		"/api/owners/"+owner.Id.String(),
		`{"version":1,"name":"Owner","reach":"text","address":"+44 1632 960000","may_remind":true}`,
		200,
	)
	ask[contract.Visit](c, "PUT", visitAt(), visitBody(dogs[0], "2026-11-25", round.At(10, 0), "agreed"), 200)
	week := ask[contract.WorkingWeek](c, "GET", "/api/round/week", "", 200)
	assert.Len(t, week.Texts, 7)
	week.Remind = &[]bool{true}[0]
	for i, text := range week.Texts {
		if text.Kind == round.TellTomorrow {
			week.Texts[i].Text = "Till tomorrow, {dog}: {at}!"
		}
	}
	ask[contract.WorkingWeek](c, "PUT", "/api/round/week", jsonOf(t, week), 200)
	post()
	sent := g.Taken()
	assert.Empty(t, sent, "it is not five yet")
	c.now = c.now.Add(7 * time.Hour)
	post()
	post()
	sent = g.Taken()
	require.Len(t, sent, 1)
	assert.Equal(t, "Till tomorrow, Dog 0: Wed 25 Nov 10:00!", sent[0].Text)
	assert.Len(t, ask[contract.OwnerView](c, "GET", "/api/owners/"+owner.Id.String(), "", 200).Messages, 1)
	week = ask[contract.WorkingWeek](c, "GET", "/api/round/week", "", 200)
	week.Texts[0].Text = "{dog} has a sore paw"
	status, text := c.do("PUT", "/api/round/week", jsonOf(t, week))
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), "must hold {places}")
}

func TestNothingGoesOutAtNight(t *testing.T) {
	c, dogs, g, post := posted(t, 1)
	c.now = c.now.Add(12 * time.Hour)
	m := c.offers(dogs[0])
	post()
	sent := g.Taken()
	assert.Empty(t, sent)
	assert.Equal(t, round.MessageWaiting, c.message(m.Id).State)
	assert.True(t, ask[contract.Messages](c, "GET", "/api/messages", "", 200).Quiet)
	c.now = c.now.Add(11 * time.Hour)
	post()
	sent = g.Taken()
	assert.Len(t, sent, 1)
}

func TestAMessageThatCannotBe(t *testing.T) {
	c, dogs, _, _ := posted(t, 1)
	stray := c.addDog(moss)
	for want, body := range map[string]string{
		"must have an owner":         fmt.Sprintf(`{"dog_id":%q,"kind":"places"}`, stray.Id),
		"a visit that this is about": fmt.Sprintf(`{"dog_id":%q,"kind":"agreed"}`, dogs[0].Id),
		"allow to be reminded":       fmt.Sprintf(`{"dog_id":%q,"kind":"tomorrow"}`, dogs[0].Id),
	} {
		status, text := c.do("PUT", "/api/messages/"+uuid.NewString(), body)
		assert.Equal(t, 422, status, want)
		assert.Contains(t, strings.ReplaceAll(string(text), "\\", ""), want)
	}
}

// An owner is told of a time once, and again when it has moved; one who chose it knows it.
func TestAMovedVisitIsToldAgain(t *testing.T) {
	c, dogs, g, post := posted(t, 2)
	day := func(on string) contract.Visit {
		return ask[contract.RoundDay](c, "GET", "/api/round/days/"+on, "", 200).Visits[0]
	}
	at := visitAt()
	ask[contract.Visit](c, "PUT", at, visitBody(dogs[0], "2026-11-26", round.At(10, 0), "agreed"), 200)
	require.NotNil(t, day("2026-11-26").Tell)
	assert.Equal(t, round.TellAgreed, *day("2026-11-26").Tell)
	tell := func(kind string) contract.Message {
		return ask[contract.Message](
			c,
			"PUT",
			"/api/messages/"+uuid.NewString(),
			fmt.Sprintf(`{"dog_id":%q,"kind":%q}`, dogs[0].Id, kind),
			200,
		)
	}
	tell("agreed")
	c.now = c.now.Add(time.Minute)
	assert.Nil(t, day("2026-11-26").Tell)
	ask[contract.Visit](c, "PUT", at, visitBody(dogs[0], "2026-11-27", round.At(11, 0), "agreed"), 200)
	assert.Equal(t, round.TellMoved, *day("2026-11-27").Tell)
	assert.Contains(t, tell("moved").Text, "moved: Fri 27 Nov 11:00")
	assert.Nil(t, day("2026-11-27").Tell)

	offer := c.offers(dogs[1])
	post()
	require.NoError(t, g.Answer(offer.Id.String(), "1"))
	post()
	visits := ask[contract.DogVisits](c, "GET", "/api/dogs/"+dogs[1].Id.String()+"/visits", "", 200).Visits
	require.Len(t, visits, 1)
	for _, v := range ask[contract.RoundDay](c, "GET", "/api/round/days/"+visits[0].On.String(), "", 200).Visits {
		if v.Id == visits[0].Id {
			assert.Nil(t, v.Tell, "who chose it knows it")
		}
	}
}

func TestDueAndNothingAgreed(t *testing.T) {
	c, dogs, _, _ := posted(t, 1)
	path, body := "/api/messages/"+uuid.NewString(), fmt.Sprintf(`{"dog_id":%q,"kind":"due"}`, dogs[0].Id)
	assert.Regexp(
		t,
		`^Dog 0's nails are due \w+ \d+ \w+, and no time is agreed yet`,
		ask[contract.Message](c, "PUT", path, body, 200).Text,
	)
	ask[contract.Visit](c, "PUT", visitAt(), visitBody(dogs[0], "2026-11-26", round.At(10, 0), "agreed"), 200)
	status, text := c.do("PUT", "/api/messages/"+uuid.NewString(), body)
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), "no visit to come")
}
