package api

import (
	"encoding/base64"
	"fmt"
	"os"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/roster"
)

func listBody(t *testing.T, text string, columns ...roster.Column) string {
	t.Helper()
	return jsonOf(t, contract.ListInput{Text: []byte(text), Columns: columns})
}

const someList = "Owner,Phone,Dog,Weight,Age\nOttoline Reed,+44 1632 960011,Fig,21,5\nOttoline Reed,+44 1632 960011,Nettle,5.2,6\n,,=cmd(),4,4\nTobin Marsh,,Sedge,,11\n"

// A list is read before it is taken, each refused row with its reason; taken it is all there, twice changes nothing,
// and one press takes it back.
func TestAListIsReadTakenAndTakenBack(t *testing.T) {
	c, _ := groomers(t)
	read := ask[contract.ListRead](c, "POST", "/api/lists/read", listBody(t, someList), 200)
	assert.Equal(t, []roster.Column{roster.Owner, roster.Phone, roster.Dog, roster.Weight, roster.Age}, read.Columns)
	assert.Equal(t, []int{1, 2, 2}, []int{read.Owners, read.Dogs, read.Refused})
	assert.Equal(t, 4, read.Rows[2].Line)
	assert.Equal(t, "must be words, not a formula", read.Rows[2].Refused[0].Expected)
	assert.Equal(t, "weight", read.Rows[3].Refused[0].Field)
	assert.Zero(t, ask[contract.DueList](c, "GET", "/api/due", "", 200).All, "nothing until it is taken")

	at := "/api/lists/" + uuid.NewString()
	ask[contract.ListRead](c, "PUT", at, listBody(t, someList), 200)
	ask[contract.ListRead](c, "PUT", at, listBody(t, someList), 200)
	due := ask[contract.DueList](c, "GET", "/api/due", "", 200)
	assert.Equal(t, 2, due.All)
	owners := ask[contract.Owners](c, "GET", "/api/owners", "", 200).Owners
	require.Len(t, owners, 1)
	assert.Len(t, owners[0].Dogs, 2)
	again := ask[contract.ListRead](c, "POST", "/api/lists/read", listBody(t, someList), 200)
	assert.Zero(t, again.Dogs, "they are in the book")
	assert.Contains(t, again.Rows[0].Refused[0].Expected, "has a dog of that name already")

	var fig contract.Dog
	for _, d := range due.Dogs {
		if d.Name == "Fig" {
			fig.Id = d.DogId
		}
	}
	ask[contract.DogView](c, "POST", "/api/dogs/"+fig.Id.String()+"/sittings", c.planned(fig), 201)
	back := ask[contract.ListBack](c, "DELETE", at, "", 200)
	assert.Equal(t, 1, back.Stay, "something was saved of Fig")
	assert.Equal(t, 1, ask[contract.DueList](c, "GET", "/api/due", "", 200).All)
	status, _ := c.do("DELETE", at, "")
	assert.Equal(t, 404, status)
}

// Hundreds of dogs at once; columns matched by hand; what is no list says so.
func TestLongListsAndNoLists(t *testing.T) {
	c, _ := groomers(t)
	var text strings.Builder
	text.WriteString("a;b;c;d\n")
	for i := range 600 {
		fmt.Fprintf(&text, "Owner %d;Dog %d;%d lb;%d months\n", i/2, i, 9+i%80, 5+i%100)
	}
	columns := []roster.Column{roster.Owner, roster.Dog, roster.Weight, roster.Age}
	took := ask[contract.ListRead](
		c,
		"PUT",
		"/api/lists/"+uuid.NewString(),
		listBody(t, text.String(), columns...),
		200,
	)
	assert.Equal(t, []int{300, 600, 0}, []int{took.Owners, took.Dogs, took.Refused})
	for text, want := range map[string]string{
		"":                                      "must be a table",
		"a,b\n" + strings.Repeat("1,2\n", 5000): "at most 2000 rows",
		"PK\x03\x04\x00\x00\x00":                "not a spreadsheet's own file",
	} {
		status, body := c.do("POST", "/api/lists/read", listBody(t, text))
		assert.Equal(t, 422, status)
		assert.Contains(t, string(body), want)
	}
	status, body := c.do(
		"POST",
		"/api/lists/read",
		fmt.Sprintf(`{"text":%q,"columns":["dog"]}`, base64.StdEncoding.EncodeToString([]byte("a,b\n1,2\n"))),
	)
	assert.Equal(t, 422, status)
	assert.Contains(t, string(body), "columns")
}

// Owners are joined by number or mail, never by name alone: a second owner of the same name is asked for, row by row.
func TestASecondOwnerOfANameIsAskedFor(t *testing.T) {
	c := newClient(t)
	ask[contract.OwnerView](
		c,
		"PUT",
		"/api/owners/"+uuid.NewString(),
		`{"name":"Ottoline Reed","reach":"text","address":"+44 1632 960011"}`,
		200,
	)
	text := "Owner,Phone,Dog,Weight,Age\nottoline  reed,+44-1632-960011,Fig,21,5\nOttoline Reed,+44 1632 960099,Sedge,9,4\n"
	read := ask[contract.ListRead](c, "POST", "/api/lists/read", listBody(t, text), 200)
	assert.Zero(t, read.Owners)
	assert.Equal(t, 1, read.Dogs)
	assert.False(t, read.Rows[0].Asks, "the number agrees")
	assert.True(t, read.Rows[1].Asks)
	assert.Equal(t, "owner", read.Rows[1].Refused[0].Field)
	for answer, owners := range map[string]int{`,"same":[3]}`: 0, `,"others":[3]}`: 1} {
		body := strings.TrimSuffix(listBody(t, text), "}") + answer
		read = ask[contract.ListRead](c, "POST", "/api/lists/read", body, 200)
		assert.Equal(t, 2, read.Dogs, answer)
		assert.Equal(t, owners, read.Owners, answer)
		assert.True(t, read.Rows[1].Asks, "it can be answered otherwise")
	}
	ask[contract.ListRead](
		c,
		"PUT",
		"/api/lists/"+uuid.NewString(),
		strings.TrimSuffix(listBody(t, text), "}")+`,"others":[3]}`,
		200,
	)
	assert.Len(t, ask[contract.Owners](c, "GET", "/api/owners?search=ottoline", "", 200).Owners, 2)
}

// The example that is offered for download is taken whole; months are read in the browser's language.
func TestTheExampleListIsTaken(t *testing.T) {
	c, _ := groomers(t)
	example, err := os.ReadFile("../../web/public/example-list.csv")
	require.NoError(t, err)
	read := ask[contract.ListRead](c, "POST", "/api/lists/read", listBody(t, string(example)), 200)
	assert.Equal(t, []int{2, 3, 0}, []int{read.Owners, read.Dogs, read.Refused})

	body := jsonOf(
		t,
		contract.ListInput{
			Text:   []byte("sep=;\nDogs of spring\nHund;Gewicht;geb.\nFig;20,5;3. März 2021\n"),
			Months: []string{"Januar", "Februar", "März"},
		},
	)
	read = ask[contract.ListRead](c, "POST", "/api/lists/read", body, 200)
	require.Len(t, read.Rows, 1)
	assert.Equal(t, 4, read.Rows[0].Line)
	assert.Equal(t, "2021-03-03", read.Rows[0].Born.String())
}
