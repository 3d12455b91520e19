package main

import (
	"context"
	"errors"
	"io"
	"net/http"
	"time"

	"fribbet/internal/api"
)

// pace is how long a guest may send or take nothing, and how long a request may take to come in at all that has no
// reason to be large.
type pace struct{ patient, briefly time.Duration }

var usualPace = pace{patient: 30 * time.Second, briefly: time.Minute}

// errBrokenOff ends what a guest sends or takes when the door is shut.
var errBrokenOff = errors.New("broken off: the book is being closed")

// guest is a request that goes on only as long as bytes do, and that can be shown out: neither a body that does not
// come nor an answer that is not read holds the door open.
type guest struct {
	http.ResponseWriter
	body    io.ReadCloser
	conn    *http.ResponseController
	until   time.Time       // by which the body is in; zero: as long as it takes
	leaving context.Context //nolint:containedctx // the server that leaves, not the request
	pace    pace
}

func newGuest(leaving context.Context, w http.ResponseWriter, r *http.Request, p pace) (*guest, *http.Request) {
	g := &guest{ResponseWriter: w, body: r.Body, conn: http.NewResponseController(w), leaving: leaving, pace: p}
	if !api.Large(r.URL.Path) { // what is large may take as long as bytes come
		g.until = time.Now().Add(p.briefly)
	}
	if r.Body != nil && r.Body != http.NoBody {
		r.Body = incoming{g}
	}
	return g, r
}

// showOut ends what is under way on the connection.
func (g *guest) showOut() {
	_ = g.conn.SetReadDeadline(time.Now())
	_ = g.conn.SetWriteDeadline(time.Now())
}

func (g *guest) Write(data []byte) (int, error) {
	if g.leaving.Err() != nil {
		return 0, errBrokenOff
	}
	_ = g.conn.SetWriteDeadline(time.Now().Add(g.pace.patient))
	if g.leaving.Err() != nil { // it was shown out meanwhile
		g.showOut()
	}
	return g.ResponseWriter.Write(data)
}

// Flush sends what was written so far: streams go as they come.
func (g *guest) Flush() {
	_ = g.conn.SetWriteDeadline(time.Now().Add(g.pace.patient))
	_ = g.conn.Flush()
}

// Unwrap is the writer behind it, as the standard library asks for it.
func (g *guest) Unwrap() http.ResponseWriter { return g.ResponseWriter }

// incoming is a guest's body.
type incoming struct{ g *guest }

func (b incoming) Read(into []byte) (int, error) {
	g := b.g
	if g.leaving.Err() != nil {
		return 0, errBrokenOff
	}
	by := time.Now().Add(g.pace.patient)
	if !g.until.IsZero() && g.until.Before(by) {
		by = g.until
	}
	_ = g.conn.SetReadDeadline(by)
	if g.leaving.Err() != nil {
		g.showOut()
	}
	n, err := g.body.Read(into)
	if err != nil { // in, or broken: what comes next on this connection has its own time
		_ = g.conn.SetReadDeadline(time.Time{})
	}
	return n, err
}

func (b incoming) Close() error { return b.g.body.Close() }
