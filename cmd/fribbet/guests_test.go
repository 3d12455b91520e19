package main

import (
	"fmt"
	"io"
	"net"
	"net/http"
	"net/http/httptest"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/access"
)

// behind is a house with some answers, and a connection to it on which something was said.
func behind(t *testing.T, answers http.HandlerFunc, says string) *server {
	t.Helper()
	h := newServer(program{}, time.Now, nil)
	came := make(chan bool, 1)
	h.answers = http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		came <- true
		answers(w, r)
	})
	server := httptest.NewServer(h)
	t.Cleanup(server.CloseClientConnections)
	conn, err := net.Dial("tcp", server.Listener.Addr().String())
	require.NoError(t, err)
	t.Cleanup(func() { _ = conn.Close() })
	_, err = fmt.Fprint(conn, says)
	require.NoError(t, err)
	<-came
	return h
}

// Whoever does not read an answer, or sends half a body, holds nothing up: the door waits two seconds for it.
func TestASlowGuestIsShownOut(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	large := make([]byte, 1<<20)
	for name, h := range map[string]*server{
		"reads nothing": behind(t, func(w http.ResponseWriter, _ *http.Request) {
			for range 64 {
				if _, err := w.Write(large); err != nil {
					return
				}
			}
		}, "GET /api/export HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n"),
		"sends half": behind(t, func(_ http.ResponseWriter, r *http.Request) {
			_, _ = io.ReadAll(r.Body)
		}, "POST /api/import HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 1000000\r\n\r\nhalf"),
	} {
		begun := time.Now()
		require.NoError(t, h.leave(), name)
		assert.Less(t, time.Since(begun), 5*farewell, name)
		answer := httptest.NewRecorder()
		h.ServeHTTP(answer, httptest.NewRequest(http.MethodGet, "/api/due", nil))
		assert.Equal(t, http.StatusServiceUnavailable, answer.Code, "others are answered: the book is being opened")
		assert.Contains(t, answer.Body.String(), `"opening"`)
	}
}

// As long as bytes come a package may take longer than anything else; what has no reason to be large may not, and
// who sends nothing for a while is broken off wherever.
func TestASlowUploadGoesOnAsLongAsBytesCome(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	p := pace{patient: 2 * time.Second, briefly: time.Second} // long beside what a busy machine holds up
	came := make(chan error, 1)
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		_, r = newGuest(t.Context(), w, r, p)
		_, err := io.ReadAll(r.Body)
		came <- err
	}))
	defer server.Close()
	send := func(path string, pauses ...time.Duration) error {
		conn, err := net.Dial("tcp", server.Listener.Addr().String())
		require.NoError(t, err)
		defer conn.Close()
		_, err = fmt.Fprintf(
			conn,
			"POST %s HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: %d\r\n\r\n",
			path,
			len(pauses),
		)
		require.NoError(t, err)
		for _, pause := range pauses {
			time.Sleep(pause)
			_, _ = conn.Write([]byte{'x'}) // it may have been broken off
		}
		return <-came
	}
	slowly := slices.Repeat([]time.Duration{100 * time.Millisecond}, 12)
	assert.NoError(t, send("/api/import", slowly...))
	assert.Error(t, send("/api/dogs", slowly...))
	assert.Error(t, send("/api/import", 0, 3*time.Second))
}

// A hundred and sixty connections that say nothing leave room for who does.
func TestWhoSaysNothingTakesNobodysPlace(t *testing.T) {
	server := httptest.NewUnstartedServer(
		http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) { w.WriteHeader(http.StatusNoContent) }),
	)
	step := &access.Doorstep{}
	server.Config.ConnState = step.State
	server.Start()
	defer server.Close()
	for range 160 {
		conn, err := net.Dial("tcp", server.Listener.Addr().String())
		require.NoError(t, err)
		defer conn.Close()
	}
	answer, err := http.Get(server.URL)
	require.NoError(t, err)
	assert.Equal(t, http.StatusNoContent, answer.StatusCode)
	require.NoError(t, answer.Body.Close())
}
