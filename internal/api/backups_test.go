package api

import (
	"encoding/json"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"testing"
	"testing/fstest"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

func TestBackupsOnDemand(t *testing.T) {
	c := newClient(t)
	assert.Empty(t, ask[contract.Backups](c, "GET", "/api/backups", "", 200).Backups)
	all := ask[contract.Backups](c, "POST", "/api/backups", "", 200)
	require.Len(t, all.Backups, 1)
	assert.Equal(t, c.now, all.Backups[0].MadeAt.UTC())
	c.now = c.now.Add(time.Minute)
	all = ask[contract.Backups](c, "POST", "/api/backups", "", 200)
	require.Len(t, all.Backups, 2)
	newest, oldest := all.Backups[0].Name, all.Backups[1].Name

	status, _ := c.do("POST", "/api/backups/"+newest+"/restore", "")
	assert.Equal(t, http.StatusAccepted, status)
	assert.Equal(t, filepath.Join(all.Place, newest), c.restored)
	c.restored = ""
	require.NoError(t, os.WriteFile(filepath.Join(all.Place, oldest), []byte("spoilt"), 0o600))
	refused := ask[contract.Problem](c, "POST", "/api/backups/"+oldest+"/restore", "", 422)
	assert.Equal(t, "name", refused.Errors[0].Field)
	for _, none := range []string{"2020-01-01T00-00-00.000.db", "..%2Fa%20book.db", "x"} {
		ask[contract.Problem](c, "POST", "/api/backups/"+none+"/restore", "", 404)
	}
	assert.Empty(t, c.restored, "nothing is put in the book's place that is not a sound backup")
}

// While there is no book, pages are shown and every other answer says how far its opening is.
func TestAnOpeningBookSaysHowFarItIs(t *testing.T) {
	front := fstest.MapFS{"index.html": {Data: []byte("<title>front</title>")}}
	answer := func(h http.Handler, path string) (int, contract.Problem, http.Header) {
		to := httptest.NewRecorder()
		request := httptest.NewRequest("GET", path, nil)
		request.Host = "127.0.0.1"
		h.ServeHTTP(to, request)
		var p contract.Problem
		_ = json.Unmarshal(to.Body.Bytes(), &p) // a page is none
		return to.Code, p, to.Header()
	}
	opening := Opening(front, time.Now, func() (int, int) { return 3400, 72000 })
	status, p, header := answer(opening, "/api/due")
	assert.Equal(t, http.StatusServiceUnavailable, status)
	assert.Equal(t, &contract.Opening{Done: 3400, All: 72000}, p.Opening)
	assert.Contains(t, p.Detail, "3400 of 72000 trims")
	assert.Equal(t, "1", header.Get("Retry-After"))
	status, _, _ = answer(opening, "/dogs/new")
	assert.Equal(t, http.StatusOK, status)
	status, p, _ = answer(Shut(front, time.Now, os.ErrPermission), "/api/due")
	assert.Equal(t, http.StatusServiceUnavailable, status)
	assert.Nil(t, p.Opening)
	assert.Contains(t, p.Detail, "permission denied")
}
