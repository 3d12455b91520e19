package main

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"net/http"
	"sync"
	"sync/atomic"
	"time"

	"fribbet/internal/api"
	"fribbet/internal/book"
	"fribbet/internal/demo"
	"fribbet/internal/standin"
	"fribbet/internal/store"
	"fribbet/web"
)

// server is a book with its door: while the book is opened the door says how far that is, and a restore shuts
// the book, swaps it and opens it again behind the same door.
type server struct {
	program
	now       func() time.Time
	devices   *devices     // nil where only this machine is answered
	done, all atomic.Int64 // sittings worked out again, while the book is opened

	door    sync.RWMutex // held by whoever is answered
	answers http.Handler
	guests  context.Context //nolint:containedctx // lives as long as the book is open; ends when the door is shut
	shut    context.CancelFunc
	kept    *store.Store // nil while it is opened
	book    *book.Book
	filled  bool             // with the demonstration's dogs
	service *standin.Gateway // nil where messages go nowhere

	swaps    atomic.Int32 // restores that were asked for and are not done: nobody else comes in to the old book
	swapping sync.Mutex
	trouble  string // of the last restore
}

func newServer(p program, now func() time.Time, devices *devices) *server {
	h := &server{program: p, now: now, devices: devices}
	h.answers = h.opening()
	h.guests, h.shut = context.WithCancel(context.Background())
	return h
}

// opening is what the door says while there is no book behind it.
func (h *server) opening() http.Handler {
	return api.Opening(web.Dist(), h.now, func() (int, int) { return int(h.done.Load()), int(h.all.Load()) })
}

func (h *server) ServeHTTP(w http.ResponseWriter, r *http.Request) {
	h.door.RLock()
	defer h.door.RUnlock()
	ctx, cancel := context.WithCancel(r.Context())
	defer cancel()
	g, r := newGuest(h.guests, w, r.WithContext(ctx), usualPace)
	defer context.AfterFunc(h.guests, func() {
		cancel()
		g.showOut()
	})()
	answers := h.answers
	if h.swaps.Load() > 0 {
		answers = h.opening()
	}
	answers.ServeHTTP(g, r)
}

// enter opens the book and answers for it.
func (h *server) enter(ctx context.Context) error {
	how := []store.Option{store.Telling(func(done, all int) {
		h.all.Store(int64(all))
		h.done.Store(int64(done))
	})}
	if h.demo {
		how = append(how, store.ThrowAway)
	}
	kept, err := store.Open(ctx, h.data, how...)
	if err != nil {
		return err
	}
	b := book.New(kept, h.now, h.around())
	options := api.Options{Demo: h.demo, Front: web.Dist(), Restore: h.restore, Trouble: h.trouble}
	if h.demo && !h.filled && !h.copies { // not again after a restore
		err = demo.Fill(ctx, b)
		h.filled = true
	}
	var handler http.Handler
	if err == nil {
		handler, err = api.New(b, options)
	}
	if err != nil {
		return errors.Join(fmt.Errorf("begin with %s: %w", h.data, err), kept.Close())
	}
	h.door.Lock()
	defer h.door.Unlock()
	h.kept, h.book, h.answers = kept, b, handler
	return nil
}

// around are the devices and services that the book is used with: of devices there are only simulated ones, in the
// demonstration.
func (h *server) around() (o book.Options) {
	if h.devices != nil {
		o.House = h.devices
	}
	if h.service != nil {
		o.Gateway = h.service
	}
	if h.demo {
		o.Caliper, o.Camera = &standin.Caliper{}, standin.Camera{}
	}
	return o
}

const (
	farewell = 2 * time.Second // for answers under way when the door is to be shut; then they are broken off
	watch    = time.Minute     // from one look whether a backup is due to the next
)

// leave shuts the door, waits for those who are inside, and closes the book.
func (h *server) leave() error {
	h.door.RLock()
	shut := time.AfterFunc(farewell, h.shut)
	h.door.RUnlock()
	h.door.Lock()
	defer h.door.Unlock()
	shut.Stop()
	h.shut()
	if h.book != nil {
		h.book.Close()
	}
	kept := h.kept
	h.done.Store(0)
	h.all.Store(0)
	h.answers, h.kept, h.book = h.opening(), nil, nil
	h.guests, h.shut = context.WithCancel(context.Background()) // who comes now is told that the book is being opened
	if kept == nil {
		return nil
	}
	return kept.Close()
}

// restore puts a sound backup in the book's place. It returns at once, since whoever asks is inside.
func (h *server) restore(backup string) {
	h.swaps.Add(1)
	go func() {
		defer h.swaps.Add(-1)
		h.swapping.Lock()
		defer h.swapping.Unlock()
		h.trouble = ""
		if err := h.leave(); err != nil {
			slog.Error("closing the book", "err", err)
		}
		ctx := context.Background()
		if err := store.Restore(ctx, h.data, backup, store.ReplacedAt(h.data, h.now())); err != nil {
			slog.Error("restoring", "backup", backup, "err", err)
			h.trouble = "Nothing was restored, and the book is as it was: " + err.Error()
		}
		if err := h.enter(ctx); err != nil {
			slog.Error("opening the book", "err", err)
			h.door.Lock()
			h.answers = api.Shut(web.Dist(), h.now, err)
			h.door.Unlock()
		}
	}()
}

// posting is from one round of the post to the next.
const posting = time.Second

// post sends what owners are told, until the program ends.
func (h *server) post(ctx context.Context) {
	if h.service != nil {
		h.every(ctx, posting, "the post", func(b *book.Book) error { return b.Post(ctx) })
	}
}

// backUp sees to it that the night's backup is made, until the program ends.
func (h *server) backUp(ctx context.Context) {
	if !h.demo { // nothing of it is kept
		h.every(ctx, watch, "the night's backup", func(b *book.Book) error { return b.BackUpNightly(ctx) })
	}
}

// every does something with the book again and again, whenever there is one, until the program ends.
func (h *server) every(ctx context.Context, pause time.Duration, what string, do func(*book.Book) error) {
	tick := time.NewTicker(pause)
	defer tick.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
		h.door.RLock()
		if h.book != nil {
			if err := do(h.book); err != nil && ctx.Err() == nil {
				slog.Error(what, "err", err)
			}
		}
		h.door.RUnlock()
	}
}
