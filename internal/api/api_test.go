package api

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"os"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"github.com/getkin/kin-openapi/openapi3filter"
	"github.com/getkin/kin-openapi/routers"
	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/store"
	"fribbet/internal/store/storetest"
)

// client talks to the whole interface over HTTP, on a real SQLite file.
type client struct {
	t      *testing.T
	server *httptest.Server
	router routers.Router
	now    time.Time
	path   string // of the book
	kept   *store.Store

	unchecked bool   // the answers' shape: rows that no input lets in are shown as they are
	restored  string // the backup that was asked for last
	speaks    string // the language that answers are wanted in; empty: none
}

func newClient(t *testing.T) *client {
	t.Helper()
	return clientOf(t, storetest.Empty(t))
}

// started is what a program of the tests is started with.
type started struct {
	Options
	around book.Options
}

// clientOf is the same of the book in a file, with other options.
func clientOf(t *testing.T, path string, with ...func(*started)) *client {
	t.Helper()
	slog.SetDefault(slog.New(slog.DiscardHandler))
	c := &client{t: t, now: time.Date(2026, time.November, 24, 10, 0, 0, 0, time.UTC)}
	c.path = path
	kept, err := store.Open(context.Background(), c.path)
	require.NoError(t, err)
	c.kept = kept
	t.Cleanup(func() { assert.NoError(t, kept.Close()) })
	front := fstest.MapFS{
		"index.html":     {Data: []byte("<title>front</title>")},
		"assets/a.js":    {Data: []byte("1")},
		"assets/a.js.br": {Data: []byte("packed")},
	}
	options := started{Options: Options{Front: front, Restore: func(backup string) { c.restored = backup }}}
	for _, set := range with {
		set(&options)
	}
	handler, err := New(book.New(kept, func() time.Time { return c.now }, options.around), options.Options)
	require.NoError(t, err)
	c.server = httptest.NewServer(handler)
	t.Cleanup(c.server.Close)
	c.router, err = promised()
	require.NoError(t, err)
	return c
}

// do sends a request and returns the status and the body, which must keep to the contract.
func (c *client) do(method, path, body string) (int, []byte) {
	c.t.Helper()
	return c.send(method, path, "application/json", body)
}

func (c *client) send(method, path, kind, body string) (int, []byte) {
	c.t.Helper()
	request, err := http.NewRequest(method, c.server.URL+path, strings.NewReader(body))
	require.NoError(c.t, err)
	request.Header.Set("Content-Type", kind)
	request.Header.Set("Accept-Language", c.speaks)
	response, err := http.DefaultClient.Do(request)
	require.NoError(c.t, err)
	defer response.Body.Close()
	text, err := io.ReadAll(response.Body)
	require.NoError(c.t, err)
	route, params, err := c.router.FindRoute(request)
	if err == nil && !c.unchecked {
		err = openapi3filter.ValidateResponse(context.Background(), &openapi3filter.ResponseValidationInput{
			RequestValidationInput: &openapi3filter.RequestValidationInput{
				Request:    request,
				PathParams: params,
				Route:      route,
			},
			Status: response.StatusCode,
			Header: response.Header,
			Body:   io.NopCloser(bytes.NewReader(text)),
		})
		require.NoError(c.t, err, "the answer breaks the contract")
	}
	return response.StatusCode, text
}

func ask[T any](c *client, method, path, body string, want int) T {
	c.t.Helper()
	status, text := c.do(method, path, body)
	require.Equal(c.t, want, status, string(text))
	var out T
	require.NoError(c.t, json.Unmarshal(text, &out))
	return out
}

func (c *client) addDog(body string) contract.Dog {
	c.t.Helper()
	return ask[contract.Dog](c, "POST", "/api/dogs", body, 201)
}

func (c *client) view(d contract.Dog) contract.DogView {
	c.t.Helper()
	return ask[contract.DogView](c, "GET", "/api/dogs/"+d.Id.String(), "", 200)
}

const moss = `{"name":"Moss","age_years":4,"weights":[{"kg":22}]}`

// planned is a sitting of today's plan, as the tally sends it.
func (c *client) planned(d contract.Dog) string {
	c.t.Helper()
	plan := ask[contract.Plan](c, "GET", "/api/dogs/"+d.Id.String()+"/plan", "", 200)
	in := contract.SittingInput{Id: uuid.New()}
	for _, n := range plan.Nails {
		in.Records = append(
			in.Records,
			contract.RecordInput{Code: n.Code, CutsMm: n.Plan.CutsMm[:n.Plan.Likely], Tool: plan.Tool},
		)
	}
	text, err := json.Marshal(in)
	require.NoError(c.t, err)
	return string(text)
}

func TestFromFirstDogToNextDate(t *testing.T) {
	c := newClient(t)
	assert.Empty(t, ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs)

	dog := c.addDog(moss)
	assert.Len(t, dog.Nails, 18)
	assert.Equal(t, "fortnightly", string(dog.Rhythm), "the usual home advice until told otherwise")
	row := ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0]
	assert.Equal(t, contract.Unseen, row.Standing)

	after := ask[contract.DogView](c, "POST", "/api/dogs/"+dog.Id.String()+"/sittings", c.planned(dog), 201)
	require.NotNil(t, after.Next)
	assert.Equal(t, "floor", string(after.Next.Rule))
	assert.NotEmpty(t, after.Next.Reason)
	assert.False(t, after.Next.Cautious.After(after.Next.Due))

	c.now = c.now.AddDate(0, 0, 1)
	row = ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0]
	assert.Equal(t, after.Next.Due, *row.Due, "the date does not move with the day")
	assert.Equal(t, *after.NextInDays-1, *row.DueInDays)
	assert.Equal(t, after.Next.Reason, row.Reason)
}

func TestSendingASittingTwiceKeepsItOnce(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	sitting := c.planned(dog)
	path := "/api/dogs/" + dog.Id.String() + "/sittings"
	first := ask[contract.DogView](c, "POST", path, sitting, 201)
	second := ask[contract.DogView](c, "POST", path, sitting, 201)
	assert.Equal(t, first, second)
	assert.Len(t, second.Sittings, 1)

	other := c.addDog(`{"name":"Burr","age_years":2,"weights":[{"kg":8}]}`)
	status, _ := c.do("POST", "/api/dogs/"+other.Id.String()+"/sittings", sitting)
	assert.Equal(t, 409, status, "the id belongs to another dog's trim")
}

func TestASittingTakenBackCountsNoMore(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	before := c.view(dog)
	path := "/api/dogs/" + dog.Id.String() + "/sittings"
	kept := ask[contract.DogView](c, "POST", path, c.planned(dog), 201)
	gone := ask[contract.DogView](c, "DELETE", path+"/"+kept.Sittings[0].Id.String(), "", 200)
	assert.Equal(t, before, gone)
	status, _ := c.do("DELETE", path+"/"+uuid.NewString(), "")
	assert.Equal(t, 404, status)
}

func TestTheSecondOfTwoTabsIsToldOfTheConflict(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	path := "/api/dogs/" + dog.Id.String()
	ask[contract.Dog](c, "PATCH", path, `{"version":1,"pavement_km_week":20}`, 200)
	problem := ask[contract.Problem](c, "PATCH", path, `{"version":1,"pavement_km_week":3}`, 409)
	assert.Equal(t, "version", problem.Errors[0].Field)
	assert.Equal(t, 20.0, c.view(dog).Dog.PavementKmWeek, "the first change stands")
}

func TestANameInAnotherScriptComesBackAsTyped(t *testing.T) {
	c := newClient(t)
	for _, name := range []string{"Плюшка", "ポチ", "كلب", "Ñandú 🐾"} {
		dog := c.addDog(`{"name":"` + name + `","age_years":4,"weights":[{"kg":22}]}`)
		assert.Equal(t, name, c.view(dog).Dog.Name)
	}
}

func TestSettingsDecideHowNumbersAreShown(t *testing.T) {
	c := newClient(t)
	fresh := ask[contract.Settings](c, "GET", "/api/settings", "", 200)
	assert.Equal(t, contract.Unset, fresh.Choices.Role)
	assert.Equal(t, 0.76, fresh.GapFeelers[2].GapMm, "a bank card, ISO/IEC 7810")
	chosen := ask[contract.Settings](c, "PUT", "/api/settings",
		`{"role":"groomer","length_unit":"in","weight_unit":"lb","margin_mm":1,"working_weekdays":["sat","tue"]}`, 200)
	assert.InDelta(t, 1/25.4, chosen.Length.PerStored, 1e-15)
	assert.Equal(t, chosen, ask[contract.Settings](c, "GET", "/api/settings", "", 200))
	told := func(version, margin int) string {
		return fmt.Sprintf(
			`{"role":"keeper","length_unit":"mm","weight_unit":"kg","margin_mm":%d,"working_weekdays":["tue","sat"],"version":%d}`,
			margin,
			version,
		)
	}
	two := ask[contract.Settings](c, "PUT", "/api/settings", told(*chosen.Choices.Version, 2), 200)
	elsewhere := ask[contract.Problem](c, "PUT", "/api/settings", told(*chosen.Choices.Version, 3), 409)
	assert.Equal(t, "version", elsewhere.Errors[0].Field)
	assert.Equal(
		t,
		two,
		ask[contract.Settings](c, "GET", "/api/settings", "", 200),
		"the second of two tabs overwrites nothing",
	)
	assert.Equal(
		t,
		[]string{"tue", "sat"},
		c.addDog(moss).WorkingWeekdays.Names(),
		"a new dog starts with the user's days",
	)
}

// The worked example of docs/model.md, section A.
func TestCalcProfile(t *testing.T) {
	got := ask[contract.ProfileResult](
		newClient(t),
		"POST",
		"/api/calc/profile",
		`{"length_mm":14,"base_angle_deg":22,"radius_mm":26,"depth_mm":7,"taper":0.7,"gap_mm":0,"wished_gap_mm":0}`,
		200,
	)
	assert.InDelta(t, 9.67, got.CoatLineHeightMm, 0.01)
	assert.InDelta(t, 52.9, got.TipAngleDeg, 0.05)
	assert.InDelta(t, 10.98, got.ReachMm, 0.01)
	assert.Zero(t, *got.GrowthToFloorMm)
}

func TestAnotherSitesPageIsNotAnswered(t *testing.T) {
	c := newClient(t)
	request, err := http.NewRequest("POST", c.server.URL+"/api/dogs", strings.NewReader(moss))
	require.NoError(t, err)
	request.Header.Set("Sec-Fetch-Site", "cross-site")
	response, err := http.DefaultClient.Do(request)
	require.NoError(t, err)
	assert.Equal(t, 403, response.StatusCode, "another site's page")
	require.NoError(t, response.Body.Close())
}

func TestTheFrontEndIsServedWithAStrictPolicy(t *testing.T) {
	c := newClient(t)
	for path, want := range map[string]string{"/": "front", "/dogs/anything": "front", "/assets/a.js": "1"} {
		response, err := http.Get(c.server.URL + path)
		require.NoError(t, err)
		text, err := io.ReadAll(response.Body)
		require.NoError(t, err)
		require.NoError(t, response.Body.Close())
		assert.Equal(t, 200, response.StatusCode, path)
		assert.Contains(t, string(text), want)
		assert.Contains(t, response.Header.Get("Content-Security-Policy"), "default-src 'self'")
	}
	status, text := c.do("GET", "/api/nothing", "")
	assert.Equal(t, 404, status)
	assert.Contains(t, string(text), `"status":404`)
}

// A file is sent as the build packed it to whoever takes that, and kept by its hashed name; answers are packed
// as they go, streams are not.
func TestWhatIsSentIsPacked(t *testing.T) {
	c := newClient(t)
	get := func(path, takes string) (string, http.Header) {
		request, err := http.NewRequest("GET", c.server.URL+path, nil)
		require.NoError(t, err)
		request.Header.Set("Accept-Encoding", takes)
		response, err := http.DefaultTransport.RoundTrip(request)
		require.NoError(t, err)
		text, err := io.ReadAll(response.Body)
		require.NoError(t, err)
		require.NoError(t, response.Body.Close())
		return string(text), response.Header
	}
	text, header := get("/assets/a.js", "gzip, br")
	assert.Equal(t, "packed", text)
	assert.Equal(t, "br", header.Get("Content-Encoding"))
	assert.Equal(t, "Accept-Encoding", header.Get("Vary"))
	assert.Contains(t, header.Get("Content-Type"), "javascript")
	assert.Contains(t, header.Get("Cache-Control"), "immutable")
	text, header = get("/assets/a.js", "identity")
	assert.Equal(t, "1", text)
	assert.Empty(t, header.Get("Content-Encoding"))
	_, header = get("/", "br")
	assert.Equal(t, "no-cache", header.Get("Cache-Control"))
	_, header = get("/api/settings", "gzip")
	assert.Equal(t, "gzip", header.Get("Content-Encoding"))
}

// A book whose file was taken away answers nothing as if it were kept, and goes on once it is back.
func TestABookThatIsGoneSaysSo(t *testing.T) {
	c := newClient(t)
	c.addDog(moss)
	require.NoError(t, os.Rename(c.path, c.path+".moved"))
	for _, method := range []string{"GET", "POST"} {
		status, text := c.do(method, map[string]string{"GET": "/api/due", "POST": "/api/dogs"}[method], moss)
		assert.Equal(t, 503, status, string(text))
		assert.Contains(t, string(text), "was removed")
	}
	require.NoError(t, os.Rename(c.path+".moved", c.path))
	assert.Len(t, ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs, 1)
}
