package api

import (
	"bufio"
	"context"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/access"
	"fribbet/internal/api/contract"
	"fribbet/internal/store/storetest"
)

func TestAHouseThatIsClosedSaysSo(t *testing.T) {
	c := newClient(t)
	house := ask[contract.House](c, "GET", "/api/house", "", 200)
	assert.False(t, house.Open)
	assert.True(t, house.Host)
	ask[contract.Problem](c, "POST", "/api/house/code", "", 404)
	ask[contract.Problem](c, "DELETE", "/api/house/devices/"+uuid.NewString(), "", 404)
}

// house is other devices at some addresses.
type house struct {
	*access.Access
	addresses []string
}

func (h house) Addresses() []string { return h.addresses }
func (h house) Fingerprint() string { return "AB:CD" }

func TestACodeIsShownOnTheMachineItself(t *testing.T) {
	path := storetest.Empty(t)
	a, err := access.Open(path, time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { assert.NoError(t, a.Close()) })
	c := clientOf(t, path, func(o *started) {
		o.around.House = house{a, []string{"https://192.168.1.5:8642/"}}
	})
	code := ask[contract.PairingCode](c, "POST", "/api/house/code", "", 200)
	assert.True(t, strings.HasPrefix(code.Url, "https://192.168.1.5:8642/access/pair?code="))
	assert.Greater(t, code.Picture.Size, 20)
	assert.True(t, strings.HasPrefix(code.Picture.Path, "M0 0h1v1h-1z"), "the corner of the finder")
	house := ask[contract.House](c, "GET", "/api/house", "", 200)
	assert.True(t, house.Open)
	assert.Equal(t, "AB:CD", *house.Fingerprint)
	refused := ask[contract.Problem](c, "PATCH", "/api/house/devices/"+uuid.NewString(), `{"name":"","who":""}`, 422)
	assert.Equal(t, "name", refused.Errors[0].Field)
	ask[contract.Problem](c, "PATCH", "/api/house/devices/"+uuid.NewString(), `{"name":"phone","who":""}`, 404)
}

// What one device tells, another that watches hears of within a second.
func TestAChangeIsHeardOfAtOnce(t *testing.T) {
	c := newClient(t)
	at := "/api/dogs/" + c.addDog(moss).Id.String() + "/sittings/" + uuid.NewString()
	ctx, cancel := context.WithTimeout(t.Context(), 10*time.Second)
	defer cancel()
	request, err := http.NewRequestWithContext(ctx, "GET", c.server.URL+at+"/changes", nil)
	require.NoError(t, err)
	stream, err := http.DefaultClient.Do(request)
	require.NoError(t, err)
	defer stream.Body.Close()
	lines := bufio.NewScanner(stream.Body)
	require.True(t, lines.Scan())
	assert.Equal(t, ": linked", lines.Text())
	from := time.Now()
	go c.do("POST", at+"/events", told(`"kind":"started","tool":"file"`))
	for lines.Scan() && lines.Text() != "data: changed" {
	}
	require.NoError(t, lines.Err())
	assert.Less(t, time.Since(from), 5*time.Second, "told of, not asked for")
}
