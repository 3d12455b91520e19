package api

import (
	"fmt"
	"net/http"
	"strings"
	"sync"
	"testing"

	"github.com/stretchr/testify/assert"
)

// Many clients at once while dates are stale and sittings come in: everyone is answered.
func TestManyClientsAtOnce(t *testing.T) {
	c := newClient(t)
	for i := range 8 {
		d := c.addDog(fmt.Sprintf(`{"name":"Dog %d","age_years":4,"weights":[{"kg":22}]}`, i))
		c.done(d, 20, "1,1")
		c.done(d, 5, "1,1")
	}
	var clients sync.WaitGroup
	for i := range 6 {
		clients.Go(func() {
			for round := range 10 {
				for _, path := range []string{"/api/due", "/api/settings", "/api/due?search=dog", "/api/kit"} {
					response, err := http.Get(c.server.URL + path)
					if assert.NoError(t, err) {
						assert.Equal(t, 200, response.StatusCode, path)
						_ = response.Body.Close()
					}
				}
				if i == 0 { // every date is stale again
					margin := fmt.Sprintf(
						`{"role":"groomer","length_unit":"mm","weight_unit":"kg","margin_mm":1.%d,"working_weekdays":["mon","fri"]}`,
						round,
					)
					request, err := http.NewRequest(
						http.MethodPut,
						c.server.URL+"/api/settings",
						strings.NewReader(margin),
					)
					assert.NoError(t, err)
					request.Header.Set("Content-Type", "application/json")
					response, err := http.DefaultClient.Do(request)
					if assert.NoError(t, err) {
						assert.Equal(t, 200, response.StatusCode)
						_ = response.Body.Close()
					}
				}
			}
		})
	}
	clients.Wait()
}
