package access

import (
	"crypto/tls"
	"io"
	"net"
	"net/http"
	"net/http/httptest"
	"net/url"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/visitor"
)

const passphrase = "four plain words here"

// door is a gate with a book of one word behind it, and a clock.
type door struct {
	t    *testing.T
	gate *Gate
	now  time.Time
}

func newDoor(t *testing.T) *door {
	t.Helper()
	d := &door{t: t, now: time.Date(2026, time.November, 24, 9, 0, 0, 0, time.UTC)}
	a, err := Open(filepath.Join(t.TempDir(), "book.db"), func() time.Time { return d.now })
	require.NoError(t, err)
	t.Cleanup(func() { assert.NoError(t, a.Close()) })
	require.NoError(t, a.SetPassphrase(t.Context(), passphrase))
	d.gate = &Gate{
		Access: a,
		Names:  []string{"dogs.example"},
		Inside: http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			_, _ = io.WriteString(w, "the book, for "+visitor.Of(r.Context()).Who)
		}),
	}
	return d
}

// call is a request from an address in the house, over TLS, to a name that the gate was told.
type call struct {
	method, path, from, host string
	plain, html              bool
	form                     url.Values
	cookie                   *http.Cookie
	forwarded, wants         string
}

func (d *door) does(c call) *httptest.ResponseRecorder {
	d.t.Helper()
	if c.method == "" {
		c.method = "GET"
	}
	if c.host == "" {
		c.host = "dogs.example:8642"
	}
	if c.from == "" {
		c.from = "192.168.1.23:5000"
	}
	r := httptest.NewRequest(c.method, c.path, strings.NewReader(c.form.Encode()))
	r.Host, r.RemoteAddr = c.host, c.from
	if !c.plain {
		r.TLS = &tls.ConnectionState{}
	}
	if c.form != nil {
		r.Header.Set("Content-Type", "application/x-www-form-urlencoded")
	}
	if c.html {
		r.Header.Set("Accept", "text/html,*/*")
	}
	if c.cookie != nil {
		r.AddCookie(c.cookie)
	}
	if c.forwarded != "" {
		r.Header.Set("X-Forwarded-For", c.forwarded)
	}
	if c.wants != "" {
		r.Header.Set("Accept-Language", c.wants)
	}
	to := httptest.NewRecorder()
	d.gate.ServeHTTP(to, r)
	return to
}

func (d *door) login(said, from string) *httptest.ResponseRecorder {
	d.t.Helper()
	return d.does(
		call{
			method: "POST",
			path:   "/access/login",
			from:   from,
			form:   url.Values{"passphrase": {said}, "name": {" the \u202ephone "}, "who": {"Ann"}},
		},
	)
}

func cookieOf(t *testing.T, w *httptest.ResponseRecorder) *http.Cookie {
	t.Helper()
	all := w.Result().Cookies()
	require.Len(t, all, 1)
	return all[0]
}

func TestWhoIsAnswered(t *testing.T) {
	d := newDoor(t)
	for name, c := range map[string]struct {
		call
		status int
		says   string
	}{
		"this machine":               {call{path: "/api/due", from: "127.0.0.1:1", host: "127.0.0.1:8642", plain: true}, 200, "the book"},
		"by its name for itself":     {call{path: "/api/due", from: "[::1]:1", host: "localhost:8642", plain: true}, 200, "the book"},
		"a name pointed here":        {call{path: "/api/due", from: "127.0.0.1:1", host: "dogs.elsewhere", plain: true}, 403, "own names only"},
		"plainly from the house":     {call{path: "/", plain: true}, 426, `href="https://dogs.example:8642/"`},
		"plainly, by a foreign name": {call{path: "/", plain: true, host: "evil.example"}, 426, "https://</code>"},
		"a stranger's program":       {call{path: "/api/due"}, 401, ""},
		"a stranger's asset":         {call{path: "/assets/a.js"}, 401, ""},
		"a stranger's browser":       {call{path: "/", html: true}, 401, "Let this device in"},
		"a foreign name":             {call{path: "/", html: true, host: "evil.example"}, 403, "--name"},
		"a calendar":                 {call{path: "/calendar/KEY/due.ics"}, 200, "the book"},
		"an owner's card":            {call{path: "/card/KEY"}, 200, "the book"},
		"the door's own style":       {call{path: "/access/style.css"}, 200, "--paper"},
		"nothing":                    {call{path: "/access/nothing"}, 404, ""},
		"a made-up cookie":           {call{path: "/api/due", cookie: &http.Cookie{Name: "__Host-fribbet", Value: "made up"}}, 401, ""},
	} {
		t.Run(name, func(t *testing.T) {
			d.t = t
			got := d.does(c.call)
			assert.Equal(t, c.status, got.Code)
			if c.says == "" {
				assert.Empty(t, got.Body.String(), "nothing in it")
			}
			assert.Contains(t, got.Body.String(), c.says)
		})
	}
	d.gate.Access = nil
	assert.Equal(t, 403, d.does(call{path: "/"}).Code, "nobody else where no passphrase is")
}

// Who is not in yet is answered in the language of their browser.
func TestStrangersAreAnsweredInTheirLanguage(t *testing.T) {
	d := newDoor(t)
	for path, says := range map[string]string{
		"/access/login":         "Dieses Gerät einlassen",
		"/access/pair":          "Lieber die Passphrase tippen",
		"/access/pair?code=ABC": "Was ist das für ein Gerät?",
	} {
		got := d.does(call{path: path, wants: "de-CH,de;q=0.9"}).Body.String()
		assert.Contains(t, got, `<html lang="de">`)
		assert.Contains(t, got, says)
		assert.NotContains(t, got, "access.page_", "a text for each")
	}
	assert.Contains(t, d.does(call{path: "/", plain: true, wants: "de"}).Body.String(), "Diese Adresse spricht TLS")
	assert.Contains(t, d.does(call{path: "/", host: "evil.example", wants: "de"}).Body.String(), "Starte es mit --name")
	wrong := d.does(
		call{method: "POST", path: "/access/login", wants: "de", form: url.Values{"passphrase": {"wrong words here"}}},
	)
	assert.Contains(t, wrong.Body.String(), "Das ist nicht die Passphrase.")
	assert.Contains(t, d.does(call{path: "/access/login", wants: "fr"}).Body.String(), `<html lang="en">`)
}

func TestADeviceComesInByThePassphrase(t *testing.T) {
	d := newDoor(t)
	got := d.login(passphrase, "")
	assert.Equal(t, http.StatusSeeOther, got.Code)
	cookie := cookieOf(t, got)
	assert.True(
		t,
		cookie.HttpOnly && cookie.Secure && cookie.SameSite == http.SameSiteStrictMode && cookie.Path == "/" &&
			cookie.Domain == "",
	)
	in := func() *httptest.ResponseRecorder { return d.does(call{path: "/api/due", cookie: cookie}) }
	assert.Equal(t, "the book, for Ann", in().Body.String())

	all, err := d.gate.Access.Devices(t.Context())
	require.NoError(t, err)
	require.Len(t, all, 1)
	assert.Equal(t, "the phone", all[0].Name)
	require.NoError(t, d.gate.Access.NameDevice(t.Context(), all[0].ID, "tablet", "Ben"))
	assert.Equal(t, "the book, for Ben", in().Body.String())
	require.Error(t, d.gate.Access.NameDevice(t.Context(), all[0].ID, " ", strings.Repeat("x", 41)))

	d.now = d.now.AddDate(0, 0, 80)
	got = in()
	assert.Equal(t, 200, got.Code)
	cookieOf(t, got) // it gets its ninety days again
	d.now = d.now.AddDate(0, 0, 80)
	assert.Equal(t, 200, in().Code)

	require.NoError(t, d.gate.Access.Withdraw(t.Context(), all[0].ID))
	assert.Equal(t, 401, in().Code, "at once")
	require.ErrorIs(t, d.gate.Access.Withdraw(t.Context(), all[0].ID), visitor.ErrNoSuchDevice)

	other := cookieOf(t, d.login(passphrase, ""))
	d.now = d.now.AddDate(0, 0, 91)
	assert.Equal(t, 401, d.does(call{path: "/api/due", cookie: other}).Code, "it did not come for ninety days")

	var tokens []string
	require.NoError(t, d.gate.Access.db.Select(&tokens, `SELECT token FROM sessions`))
	assert.NotContains(t, tokens, other.Value, "what is kept lets nobody in")
}

// Five tries without waiting, then slower and slower; others are not kept waiting by it.
func TestGuessingIsSlow(t *testing.T) {
	d := newDoor(t)
	for range freeTries {
		assert.Equal(t, 401, d.login("some other words", "").Code)
	}
	waits := 0
	for range 4 {
		got := d.login(passphrase, "")
		require.Equal(t, 429, got.Code, "the right one waits too")
		wait, err := time.ParseDuration(got.Header().Get("Retry-After") + "s")
		require.NoError(t, err)
		assert.GreaterOrEqual(t, int(wait.Seconds()), waits)
		waits = int(wait.Seconds()) * 2
		d.now = d.now.Add(wait)
		assert.Equal(t, 401, d.login("some other words", "").Code)
	}
	assert.Equal(t, http.StatusSeeOther, d.login(passphrase, "192.168.1.99:1").Code)
	tried := 0
	for i := range 60 { // from everywhere at once
		if d.login("some other words", net.JoinHostPort(net.IPv4(10, 0, 0, byte(i)).String(), "1")).Code == 401 {
			tried++
		}
	}
	assert.LessOrEqual(t, tried, allAtOnce)
	code, _ := d.gate.Access.Code()
	paired := d.does(
		call{method: "POST", path: "/access/pair", from: "192.168.1.77:1", form: url.Values{"code": {code}}},
	)
	assert.Equal(t, http.StatusSeeOther, paired.Code, "a code nobody guesses waits for no guesser")
}

func TestAPairingCodeIsGoodOnceAndForTenMinutes(t *testing.T) {
	d := newDoor(t)
	pair := func(code string) *httptest.ResponseRecorder {
		return d.does(call{method: "POST", path: "/access/pair", form: url.Values{"code": {code}, "name": {"phone"}}})
	}
	code, until := d.gate.Access.Code()
	assert.Equal(t, d.now.Add(codeLife), until)
	assert.Len(t, code, 26, "five bits a letter: 130")
	for range 2 {
		assert.Contains(
			t,
			d.does(call{path: "/access/pair?code=" + code}).Body.String(),
			code,
			"looking does not use it up",
		)
	}
	got := pair(code)
	assert.Equal(t, http.StatusSeeOther, got.Code)
	assert.Equal(t, 200, d.does(call{path: "/api/due", cookie: cookieOf(t, got)}).Code)
	got = pair(code)
	assert.Equal(t, 401, got.Code)
	assert.Contains(t, got.Body.String(), "This code was used")
	late, _ := d.gate.Access.Code()
	d.now = d.now.Add(codeLife)
	assert.Equal(t, 401, pair(late).Code)
	assert.Equal(t, 401, pair("").Code)
	assert.NotContains(t, d.does(call{path: "/access/pair?code=%3Cscript%3E"}).Body.String(), "<script>")
}

func TestBehindAProxyNobodyIsThisMachine(t *testing.T) {
	d := newDoor(t)
	d.gate.Proxy = true
	local := "127.0.0.1:1"
	assert.Equal(t, 401, d.does(call{path: "/api/due", from: local, plain: true}).Code)
	assert.Equal(t, 403, d.does(call{path: "/api/due", plain: true}).Code, "past the proxy")
	for range freeTries {
		d.does(
			call{
				method:    "POST",
				path:      "/access/login",
				from:      local,
				plain:     true,
				forwarded: "1.2.3.4, 203.0.113.9",
				form:      url.Values{"passphrase": {"wrong words here"}},
			},
		)
	}
	again := call{
		method:    "POST",
		path:      "/access/login",
		from:      local,
		plain:     true,
		forwarded: "203.0.113.9",
		form:      url.Values{"passphrase": {passphrase}},
	}
	assert.Equal(t, 429, d.does(again).Code)
	again.forwarded = "203.0.113.10"
	assert.Equal(t, http.StatusSeeOther, d.does(again).Code)
}

func TestAnotherSitesFormIsNotTaken(t *testing.T) {
	d := newDoor(t)
	r := httptest.NewRequest(
		"POST",
		"/access/login",
		strings.NewReader(url.Values{"passphrase": {passphrase}}.Encode()),
	)
	r.Host, r.RemoteAddr, r.TLS = "dogs.example", "192.168.1.2:1", &tls.ConnectionState{}
	r.Header.Set("Sec-Fetch-Site", "cross-site")
	to := httptest.NewRecorder()
	d.gate.ServeHTTP(to, r)
	assert.Equal(t, 403, to.Code)
}

func TestPassphrasesThatAreNotTaken(t *testing.T) {
	d := newDoor(t)
	for bad, want := range map[string]string{"short": "at least 12", strings.Repeat("ab", 10): "too easy", strings.Repeat("abcdef", 30): "at most 128"} {
		require.ErrorContains(t, d.gate.Access.SetPassphrase(t.Context(), bad), want)
	}
	require.NoError(t, d.gate.Access.SetPassphrase(t.Context(), "vier einfache Wörter"))
	assert.Equal(
		t,
		http.StatusSeeOther,
		d.login("vier einfache Wo\u0308rter", "").Code,
		"however its letters are put together",
	)
	assert.Equal(t, 401, d.login(passphrase, "").Code, "the old one is none any more")
	assert.Equal(t, 401, d.login(strings.Repeat("long ", 1000), "").Code)
}
