package api

import (
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

// Answers are in the language of whoever asks, with the key for programs; the same row, asked for in another, is in
// that.
func TestAnswersSpeakTheLanguageOfWhoeverAsks(t *testing.T) {
	c, _ := groomers(t, 40)
	c.speaks = "de-DE,de;q=0.9,en;q=0.5"
	german := ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0]
	c.speaks = "en-GB"
	english := ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0]
	assert.Contains(t, english.Reason, "four weeks are up")
	assert.Contains(t, german.Reason, "vier Wochen sind um")
	c.speaks = "de"
	problem := ask[contract.Problem](
		c,
		"POST",
		"/api/dogs",
		`{"name":"Moss","age_years":4,"weights":[{"kg":2000}]}`,
		422,
	)
	assert.Contains(t, problem.Detail, "Nichts wurde geschrieben: weights[0].kg: muss von")
	assert.Equal(t, "muss von 0,1 bis 160 kg sein", problem.Errors[0].Expected)
	assert.Equal(t, "weights[0].kg", problem.Errors[0].Field, "for programs")
	assert.Equal(t, "Gewicht", *problem.Errors[0].Name, "for people")
	assert.Equal(t, "fault.from_to", *problem.Errors[0].Key)
	c.speaks = "tlh, fr" // there are no words for either: the book's own
	assert.Equal(t, english.Reason, ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0].Reason)
}

// An owner reads their own language, whatever is spoken at the table: on the card, in messages; the calendar is the
// book's.
func TestOwnersReadTheirOwnLanguage(t *testing.T) {
	c, dogs, _, _ := posted(t, 2)
	owners := ask[contract.Owners](c, "GET", "/api/owners", "", 200).Owners
	theirs := owners[0]
	body := `{"version":1,"name":"Owner 0","reach":"text","address":"+44 1632 960000","may_offer":true,"language":"de"}`
	assert.Equal(
		t,
		contract.Language("de"),
		*ask[contract.OwnerView](c, "PUT", "/api/owners/"+theirs.Id.String(), body, 200).Owner.Language,
	)
	c.speaks = "en"
	assert.Contains(t, c.offers(dogs[0]).Text, "Die Krallen von Dog 0 sind fällig")
	assert.Contains(t, c.offers(dogs[1]).Text, "Dog 1's nails are due")
	card := ask[contract.Card](
		c,
		"GET",
		"/api/dogs/"+dogs[0].Id.String()+"/sittings/"+c.view(dogs[0]).Sittings[0].Id.String()+"/card",
		"",
		200,
	)
	assert.Equal(t, contract.Language("de"), card.Language)
	assert.Contains(t, card.Done, "Krallen gekürzt.")
	assert.Equal(t, "Daheim", card.Headings.Home)
	assert.Contains(t, *card.Next, "Fällig etwa am")

	calendar := func() string {
		_, feed := c.do("GET", ask[contract.Calendar](c, "GET", "/api/calendar", "", 200).Path, "")
		return strings.ReplaceAll(string(feed), "\r\n ", "")
	}
	assert.Contains(t, calendar(), "SUMMARY:Nails: Dog 0")
	settings := `{"role":"groomer","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon"],"language":"de"}`
	status, text := c.do("PUT", "/api/settings", settings)
	require.Equal(t, 200, status, string(text))
	assert.Contains(t, calendar(), "SUMMARY:Krallen: Dog 0")
	problem := ask[contract.Problem](
		c,
		"PUT",
		"/api/owners/"+uuid.NewString(),
		`{"name":"A","reach":"hand","language":"fr"}`,
		400,
	)
	assert.Equal(t, "language", problem.Errors[0].Field)
}

// Who has a dog at home reads nails in words, a groomer by code.
func TestNailsAreNamedAsWhoReadsThemDoes(t *testing.T) {
	for role, want := range map[string]string{"keeper": "The left fore third toe: torn into the quick", "groomer": "LF3: torn into the quick"} {
		c := newClient(t)
		c.do(
			"PUT",
			"/api/settings",
			`{"role":"`+role+`","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon"]}`,
		)
		d := c.addDog(
			`{"name":"Moss","age_years":4,"weights":[{"kg":20}],"nails":[{"code":"LF3","state":"torn","colour":"dark","shape":"usual"},{"code":"LF4","state":"sound","colour":"dark","shape":"usual"}]}`,
		)
		var all []string
		for _, caution := range c.view(d).Cautions {
			all = append(all, caution.Words)
		}
		assert.Contains(t, strings.Join(all, "\n"), want)
	}
}
