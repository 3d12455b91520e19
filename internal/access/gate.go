package access

import (
	"context"
	"embed"
	"errors"
	"html/template"
	"log/slog"
	"net"
	"net/http"
	"strings"
	"time"

	"fribbet/internal/core/say"
	"fribbet/internal/visitor"
	"fribbet/internal/words"
)

//go:embed pages
var files embed.FS

var pages = template.Must(template.ParseFS(files, "pages/*.html"))

// Gate lets in whoever may, and answers everybody else with nothing of the book.
type Gate struct {
	Access      *Access      // nil where only this machine's own browser comes
	Certificate *Certificate // the program's own; nil where the user's is shown, or none
	Names       []string     // told, besides this machine's own
	Proxy       bool         // in front of it stands a proxy that speaks TLS: nobody is this machine's own browser
	Inside      http.Handler
}

// mostForm is the largest form taken, bytes.
const mostForm = 8 << 10

func (g *Gate) ServeHTTP(w http.ResponseWriter, r *http.Request) {
	from, host := hostOf(r.RemoteAddr), hostOf(r.Host)
	here := loopback(from) && !g.Proxy
	switch {
	case here && own(host):
		g.Inside.ServeHTTP(w, r)
	// another name, which whoever answers for it may have pointed here
	case here && (g.Access == nil || !known(host, g.Names)):
		refuse(w, r, http.StatusForbidden, byThePrinted)
	case g.Access == nil:
		refuse(w, r, http.StatusForbidden, thisMachine)
	case r.TLS == nil && !g.Proxy:
		g.elsewhere(w, r)
	case g.Proxy && !loopback(from):
		refuse(w, r, http.StatusForbidden, theProxy)
	case !known(host, g.Names):
		refuse(w, r, http.StatusForbidden, unknownName)
	default:
		g.strangers(w, r)
	}
}

// strangers are answered once they are known.
func (g *Gate) strangers(w http.ResponseWriter, r *http.Request) {
	w.Header().Set("Strict-Transport-Security", "max-age=31536000")
	if path, is := strings.CutPrefix(r.URL.Path, "/access/"); is {
		if _, _, err := g.known(w, r); errors.Is(err, errWithdrawn) && r.Method == http.MethodGet {
			dropAll(w, r)
		}
		http.NewCrossOriginProtection().
			Handler(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) { g.door(w, r, path) })).
			ServeHTTP(w, r)
		return
	}
	if strings.HasPrefix(r.URL.Path, "/calendar/") ||
		strings.HasPrefix(r.URL.Path, "/card/") { // they have keys of their own
		g.Inside.ServeHTTP(w, r)
		return
	}
	who, is, err := g.known(w, r)
	switch {
	case errors.Is(err, errWithdrawn):
		dropAll(w, r)
		g.turnedAway(w, r)
	case err != nil:
		slog.Error("who comes", "err", err)
		refuse(w, r, http.StatusInternalServerError, broke)
	case is:
		ctx, done := g.Access.inside(visitor.With(r.Context(), who), who.Device)
		defer done()
		g.Inside.ServeHTTP(w, r.WithContext(ctx))
	default:
		g.turnedAway(w, r)
	}
}

// dropAll tells the browser of a withdrawn device to drop what it kept: the page by itself, which then comes to the
// door, and the browser there. Told of a request that its own worker passes on, the browser would end the worker and
// the page would wait for its answer for ever.
func dropAll(w http.ResponseWriter, r *http.Request) {
	w.Header().Set("Fribbet-Withdrawn", "1")
	if forPerson(r) {
		w.Header().Set("Clear-Site-Data", `"cache", "cookies", "storage"`)
	}
}

// forPerson tells whether a request is for a page that somebody looks at.
func forPerson(r *http.Request) bool {
	return r.Method == http.MethodGet && strings.Contains(r.Header.Get("Accept"), "text/html")
}

// turnedAway answers who is not let in: with the page that asks for the passphrase, or nothing.
func (g *Gate) turnedAway(w http.ResponseWriter, r *http.Request) {
	switch {
	case forPerson(r):
		g.show(w, r, http.StatusUnauthorized, "login.html", page{})
	default:
		w.WriteHeader(http.StatusUnauthorized)
	}
}

// renewed is when a cookie that is used gets its ninety days again.
const renewed = 24 * time.Hour

// known is the device of a request's cookie.
func (g *Gate) known(w http.ResponseWriter, r *http.Request) (visitor.Visitor, bool, error) {
	sessions := g.Access.sessions
	cookie, err := r.Cookie(sessions.Cookie.Name)
	if err != nil {
		return visitor.Visitor{}, false, nil //nolint:nilerr // without a cookie nobody is known
	}
	ctx, err := sessions.Load(r.Context(), cookie.Value)
	if err != nil {
		return visitor.Visitor{}, false, err
	}
	id := sessions.GetString(ctx, "device")
	if id == "" {
		return visitor.Visitor{}, false, nil
	}
	device, is, err := g.Access.device(ctx, id)
	if err == nil && !is { // its session is good still: it was let in once
		err = errWithdrawn
	}
	if err != nil {
		return visitor.Visitor{}, false, err
	}
	if full := g.Access.now().Add(sessions.Lifetime); full.Sub(sessions.Deadline(ctx)) > renewed {
		sessions.SetDeadline(ctx, full)
		if err := g.commit(ctx, w); err != nil {
			return visitor.Visitor{}, false, err
		}
	}
	return visitor.Visitor{Device: device.ID, Who: device.Who}, true, nil
}

func (g *Gate) commit(ctx context.Context, w http.ResponseWriter) error {
	token, until, err := g.Access.sessions.Commit(ctx)
	if err == nil {
		g.Access.sessions.WriteSessionCookie(ctx, w, token, until)
	}
	return err
}

// errWithdrawn says that a device was let in and is no more.
var errWithdrawn = errors.New("a device that was withdrawn")

// page is what a page of the door says.
type page struct {
	words.Words
	Trouble string
	Code    string
	To      string
}

// T is a text of the page by its name.
func (p page) T(name string) string {
	return p.Say(say.Of(say.Key("access.page_" + name)))
}

// door is what somebody sees who is not in.
func (g *Gate) door(w http.ResponseWriter, r *http.Request, path string) {
	r.Body = http.MaxBytesReader(w, r.Body, mostForm)
	switch r.Method + " " + path {
	case "GET style.css":
		headers(w)
		w.Header().Set("Cache-Control", "max-age=86400")
		http.ServeFileFS(w, r, files, "pages/style.css")
	case "GET ", "GET login":
		g.show(w, r, http.StatusOK, "login.html", page{})
	case "GET pair":
		g.show(
			w,
			r,
			http.StatusOK,
			"pair.html",
			page{Code: r.URL.Query().Get("code")},
		) // a preview of the link does not use it up
	case "GET root.crt":
		if g.Certificate == nil {
			w.WriteHeader(http.StatusNotFound)
			return
		}
		headers(w)
		w.Header().Set("Content-Type", "application/x-x509-ca-cert")
		w.Header().Set("Content-Disposition", `attachment; filename="fribbet-root.crt"`)
		_, _ = w.Write(g.Certificate.Root())
	case "POST login", "POST pair":
		g.enter(w, r, path)
	default:
		w.WriteHeader(http.StatusNotFound)
	}
}

// enter pairs a device by passphrase or code.
func (g *Gate) enter(w http.ResponseWriter, r *http.Request, way string) {
	from := g.address(r)
	if wait := g.Access.throttle.begin(from, way == "login"); wait > 0 {
		w.Header().Set("Retry-After", seconds(wait))
		g.show(
			w,
			r,
			http.StatusTooManyRequests,
			way+".html",
			page{Trouble: speaks(r).Say(say.Of(tooMany)), Code: r.PostFormValue("code")},
		)
		return
	}
	var is bool
	var err error
	trouble := notIt
	if way == "login" {
		is, err = g.Access.right(r.Context(), r.PostFormValue("passphrase"))
	} else {
		trouble = codeIsOver
		is = g.Access.takes(r.PostFormValue("code"))
	}
	if err == nil && !is {
		slog.Warn("not let in", "by", way, "from", from, "tries", g.Access.throttle.of(from))
		g.show(w, r, http.StatusUnauthorized, way+".html", page{Trouble: speaks(r).Say(say.Of(trouble))})
		return
	}
	if err == nil {
		g.Access.throttle.right(from)
		err = g.welcome(w, r)
	}
	if err != nil {
		slog.Error("letting in", "err", err)
		refuse(w, r, http.StatusInternalServerError, broke)
		return
	}
	http.Redirect(w, r, "/", http.StatusSeeOther)
}

func (g *Gate) welcome(w http.ResponseWriter, r *http.Request) error {
	device, err := g.Access.pair(r.Context(), r.PostFormValue("name"), r.PostFormValue("who"))
	if err != nil {
		return err
	}
	slog.Info("let in", "device", device.ID, "from", g.address(r))
	ctx, err := g.Access.sessions.Load(r.Context(), "") // a new one, whatever came
	if err != nil {
		return err
	}
	g.Access.sessions.Put(ctx, "device", device.ID)
	g.Access.sessions.SetDeadline(ctx, g.Access.now().Add(g.Access.sessions.Lifetime))
	return g.commit(ctx, w)
}

// address is where a request comes from; behind a proxy, what the proxy says last.
func (g *Gate) address(r *http.Request) string {
	if all := r.Header.Values("X-Forwarded-For"); g.Proxy && len(all) > 0 {
		parts := strings.Split(all[len(all)-1], ",")
		if ip := net.ParseIP(strings.TrimSpace(parts[len(parts)-1])); ip != nil {
			return ip.String()
		}
	}
	return hostOf(r.RemoteAddr)
}

// elsewhere tells whoever came plainly where to go.
func (g *Gate) elsewhere(w http.ResponseWriter, r *http.Request) {
	to := ""
	if known(hostOf(r.Host), g.Names) {
		to = "https://" + r.Host + "/"
	}
	g.show(w, r, http.StatusUpgradeRequired, "elsewhere.html", page{To: to})
}

func (g *Gate) show(w http.ResponseWriter, r *http.Request, status int, name string, p page) {
	headers(w)
	w.Header().Set("Cache-Control", "no-store")
	w.Header().Set("Content-Type", "text/html; charset=utf-8")
	w.Header().Set("Vary", "Accept-Language")
	w.WriteHeader(status)
	p.Words = speaks(r)
	if err := pages.ExecuteTemplate(w, name, p); err != nil {
		slog.Warn("showing a page", "page", name, "err", err)
	}
}

func refuse(w http.ResponseWriter, r *http.Request, status int, why say.Key) {
	headers(w)
	http.Error(w, speaks(r).Say(say.Of(why)), status)
}

// speaks are the words of whoever comes: as the browser wants them, for the book is not open to strangers.
func speaks(r *http.Request) words.Words {
	return words.In(words.Units{}, r.Header.Get("Accept-Language"))
}

func headers(w http.ResponseWriter) {
	h := w.Header()
	h.Set(
		"Content-Security-Policy",
		"default-src 'none'; style-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'",
	)
	h.Set("X-Content-Type-Options", "nosniff")
	h.Set("Referrer-Policy", "no-referrer")
}
