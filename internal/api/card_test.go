package api

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

// A card's page is opened by its key alone, shows that card, and goes when it is taken away.
func TestACardHasAPageOfItsOwn(t *testing.T) {
	c, dogs := groomers(t, 40)
	at := "/api/dogs/" + dogs[0].Id.String() + "/sittings/" + c.view(dogs[0]).Sittings[0].Id.String() + "/card"
	card := ask[contract.Card](c, "GET", at, "", 200)
	assert.Contains(t, card.Done, "trimmed")
	require.NotNil(t, card.Next)
	assert.Contains(t, *card.Next, "Due about Tuesday 24 November 2026", "a dog that is late is due today")
	assert.False(t, card.Reachable)
	status, _ := c.do("PUT", at, `{"open":true}`)
	assert.Equal(t, 404, status, "nobody could see it")

	c = clientOf(
		t,
		c.path+" copy",
		func(o *started) { o.around.House = house{addresses: []string{"https://desk.lan:8642/"}} },
	)
	settings := `{"role":"groomer","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon"]}`
	c.do("PUT", "/api/settings", settings)
	d := c.addDog(`{"name":"<b>Fig</b>","age_years":4,"weights":[{"kg":20}]}`)
	ask[contract.DogView](c, "POST", "/api/dogs/"+d.Id.String()+"/sittings", c.planned(d), 201)
	at = "/api/dogs/" + d.Id.String() + "/sittings/" + c.view(d).Sittings[0].Id.String() + "/card"
	opened := ask[contract.Card](c, "PUT", at, `{"open":true}`, 200)
	require.NotNil(t, opened.Page)
	assert.Equal(t, opened.Page.Url, ask[contract.Card](c, "PUT", at, `{"open":true}`, 200).Page.Url, "the key stays")
	path := strings.TrimPrefix(opened.Page.Url, "https://desk.lan:8642")
	status, page := c.do("GET", path, "")
	assert.Equal(t, 200, status)
	assert.Contains(t, string(page), "&lt;b&gt;Fig&lt;/b&gt;")
	assert.NotContains(t, string(page), d.Id.String(), "nothing that leads further")
	ask[contract.Card](c, "PUT", at, `{"open":false}`, 200)
	status, _ = c.do("GET", path, "")
	assert.Equal(t, 404, status)
}
