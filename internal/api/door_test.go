package api

import (
	"fmt"
	"net/http"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

// An address that leads upwards, a file of another version, a body that is too large and many faults: one shape, in
// our words, and short.
func TestErrorsHaveOneShapeEverywhere(t *testing.T) {
	c, dogs := groomers(t, 30)
	for path, status := range map[string]int{"/x/..%2f..%2fetc": 400, "/assets/gone-1234.js": 404, "/api/nothing": 404} {
		got, err := http.Get(c.server.URL + path)
		require.NoError(t, err)
		require.NoError(t, got.Body.Close())
		assert.Equal(t, status, got.StatusCode, path)
		assert.Contains(t, got.Header.Get("Content-Type"), "problem+json", path)
		assert.NotContains(t, got.Header.Get("Cache-Control"), "max-age", path)
	}
	got, err := http.Get(c.server.URL + "/api/due")
	require.NoError(t, err)
	require.NoError(t, got.Body.Close())
	assert.Equal(t, "no-store", got.Header.Get("Cache-Control"))

	at := "/api/dogs/" + dogs[0].Id.String()
	status, text := c.do("PATCH", at, `{"name":"`+strings.Repeat("x", 4<<20)+`"}`)
	assert.Equal(t, 413, status, string(text[:min(len(text), 200)]))
	status, text = c.do("PATCH", at, `{"version":1,"name":null}`)
	assert.Equal(t, 400, status)
	assert.NotContains(t, string(text), "nullable")
	many := strings.TrimSuffix(strings.Repeat(`{"code":"LF3","gap_mm":-1,"past_pad":"no"},`, 40), ",")
	status, text = c.do(
		"POST",
		at+"/checks",
		fmt.Sprintf(
			`{"id":"%s","clicks":false,"hair":false,"swelling":false,"limping":false,"breaking":false,"looks":[%s]}`,
			uuid.NewString(),
			many,
		),
	)
	assert.Equal(t, 400, status)
	assert.Less(t, len(text), 8<<10)
}

// An owner who was taken out and is put again is in the book again.
func TestAnOwnerWhoWasTakenOutComesBack(t *testing.T) {
	c, _ := groomers(t)
	at := "/api/owners/" + uuid.NewString()
	body := `{"name":"Ottoline Reed","reach":"hand","address":"","may_offer":true,"may_remind":true,"stopped":false,"note":""}`
	for range 2 {
		status, text := c.do("PUT", at, body)
		require.Equal(t, 200, status, string(text))
		status, text = c.do("DELETE", at, "")
		require.Equal(t, 204, status, string(text))
	}
	ask[contract.OwnerView](c, "PUT", at, body, 200)
}
