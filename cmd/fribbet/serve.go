package main

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"os"
	"os/signal"
	"path/filepath"
	"strings"
	"syscall"
	"time"

	"github.com/spf13/cobra"

	"fribbet/internal/access"
	"fribbet/internal/core/date"
	"fribbet/internal/standin"
	"fribbet/internal/store"
)

// program is what both commands share.
type program struct {
	listen string
	data   string
	today  string
	demo   bool
	copies bool // of somebody's book, instead of invented dogs
	network
	gateway string // the memory of the simulated message service; empty: none
}

func serveCommand() *cobra.Command {
	var p program
	cmd := &cobra.Command{
		Use: "serve", Short: "Keep your own dogs", Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			path, err := named(p.data)
			if err != nil {
				return err
			}
			p.data = path
			return p.run(cmd.Context())
		},
	}
	p.flags(cmd, "under your data directory")
	return cmd
}

// demoHour is when the demonstration begins, whatever hour it is: so that its day is one.
const demoHour = "T10:00"

func demoCommand() *cobra.Command {
	p, of := program{demo: true}, ""
	cmd := &cobra.Command{
		Use: "demo", Short: "Look around among invented dogs; nothing is kept", Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
			p.copies = of != ""
			if p.today == "" && !p.copies {
				p.today = date.Of(time.Now()).String() + demoHour
			}
			if p.data != "" {
				if _, err := os.Stat(p.data); err == nil {
					return fmt.Errorf("%s is there already: the demo writes only into a new file", p.data)
				}
				return p.run(cmd.Context())
			}
			dir, err := os.MkdirTemp("", "fribbet-demo-")
			if err != nil {
				return err
			}
			p.data = filepath.Join(dir, "demo.db")
			if p.gateway == "" {
				p.gateway = filepath.Join(dir, "gateway.jsonl")
			}
			if p.copies {
				err = store.BackupFile(cmd.Context(), of, p.data)
			}
			if err == nil {
				err = p.run(cmd.Context())
			}
			return errors.Join(err, os.RemoveAll(dir))
		},
	}
	p.flags(cmd, "a throw-away place")
	cmd.Flags().
		StringVar(&of, "copy", "",
			"a throw-away copy of the BOOK in a file instead of invented dogs: to try things out on your own")
	cmd.MarkFlagsMutuallyExclusive("copy", "data")
	return cmd
}

func (p *program) flags(cmd *cobra.Command, place string) {
	cmd.Flags().
		StringVar(&p.listen, "listen", "127.0.0.1:8642",
			"HOST:PORT to listen on; 0.0.0.0:8642 lets the house in, with a passphrase and over TLS")
	cmd.Flags().StringVar(&p.data, "data", "", "the data FILE (default: "+place+")")
	cmd.Flags().StringVar(&p.today, "today", "", "take this day, YYYY-MM-DD, for today; with THH:MM, from that hour on")
	cmd.Flags().
		StringVar(&p.gateway, "stand-in-gateway", "",
			"send messages to a simulated service that remembers them in FILE (default: of the demo only)")
	p.network.flags(cmd)
}

// run opens the book and answers until it is told to stop.
func (p *program) run(ctx context.Context) error {
	now, err := clock(p.today)
	if err != nil {
		return err
	}
	gate, devices, err := p.gate(ctx, p.listen, p.data)
	if err != nil {
		return err
	}
	if gate.Access != nil {
		defer gate.Access.Close() //nolint:errcheck // every write is committed by then
	}
	ctx, stop := signal.NotifyContext(ctx, os.Interrupt, syscall.SIGTERM)
	defer stop()
	h := newServer(*p, now, devices)
	if p.gateway != "" {
		if h.service, err = standin.OpenGateway(p.gateway, now); err != nil {
			return err
		}
		defer h.service.Close() //nolint:errcheck // every line is kept by then
	}
	gate.Inside = h
	opened := make(chan error, 1)
	go func() { opened <- h.enter(ctx) }()
	wait := time.After(patience)
	if p.demo { // nobody wants to see it half filled
		wait = nil
	}
	select {
	case err := <-opened:
		if err != nil {
			return err
		}
		opened <- nil
	case <-wait:
	}
	return errors.Join(p.serve(ctx, h, gate, opened), h.leave())
}

// latest is how long an end may take at most.
const latest = 9 * time.Second

// patience is how long a book may take to open before its page says how far that is.
const patience = time.Second

func (p *program) serve(ctx context.Context, h *server, gate *access.Gate, opened <-chan error) error {
	listener, err := new(net.ListenConfig).Listen(ctx, "tcp", p.listen)
	if err != nil {
		return err
	}
	port := listener.Addr().(*net.TCPAddr).Port
	listener, err = p.sealed(listener, gate)
	if err != nil {
		return err
	}
	server := &http.Server{
		Handler: gate,
		ErrorLog: slog.NewLogLogger(
			slog.Default().Handler(),
			slog.LevelWarn,
		), // panics and TLS outside the router
		ReadHeaderTimeout: 10 * time.Second,
		IdleTimeout:       2 * time.Minute,
		ConnState:         (&access.Doorstep{}).State,
		BaseContext:       func(net.Listener) context.Context { return ctx }, // stopping ends the caliper's streams too
	}
	fmt.Printf("Fribbet is at http://%s\nData: %s\n", p.shown(port), p.data)
	if h.devices != nil {
		h.devices.addresses = p.addresses(port)
		fmt.Printf("Other devices: %s\n", h.devices.addresses[0])
		if print := h.devices.Fingerprint(); print != "" {
			fmt.Printf("Certificate, SHA-256: %s\n", print)
		}
	}
	fmt.Println("Stop it with Ctrl+C.")
	failed := make(chan error, 1)
	go func() { failed <- server.Serve(listener) }()
	go h.backUp(ctx)
	go h.post(ctx)
	for {
		select {
		case err := <-opened:
			if err != nil {
				return err
			}
			opened = nil
		case err := <-failed:
			return err
		case <-ctx.Done():
			slog.Info("stopping")
			time.AfterFunc(latest, func() { // nothing of the book is lost by it: it is as after a kill
				slog.Error("ended without waiting any longer")
				os.Exit(1)
			})
			ending, cancel := context.WithTimeout(context.Background(), farewell)
			defer cancel()
			if err := server.Shutdown(ending); err != nil { // somebody is still inside
				return server.Close()
			}
			return nil
		}
	}
}

// clock tells the time; with a pretended today, that day at the real time of day, or from the hour on that is told
// with it.
func clock(today string) (func() time.Time, error) {
	if today == "" {
		return time.Now, nil
	}
	text, hour, told := strings.Cut(today, "T")
	day, err := date.Parse(text)
	if err != nil {
		return nil, fmt.Errorf("--today: %w", err)
	}
	since := time.Now()
	ahead := time.Duration(0) // of the real time of day
	if told {
		at, err := time.Parse("15:04", hour)
		if err != nil {
			return nil, fmt.Errorf("--today %s: the hour must be as in %sT10:00", today, day)
		}
		ahead = day.At(at.Hour(), at.Minute(), since.Location()).
			Sub(day.At(since.Hour(), since.Minute(), since.Location()))
	}
	if first, last := date.MustParse("2000-01-01"), date.MustParse("2199-12-31"); day.Before(first) || day.After(last) {
		return nil, fmt.Errorf("--today %s: must be from %s to %s", today, first, last)
	}
	return func() time.Time {
		now, from := time.Now(), since // with an hour, time runs on from it, over midnight too
		if !told {
			from = now
		}
		return now.AddDate(0, 0, day.Sub(date.Of(from))).Add(ahead)
	}, nil
}

// dataFile is where serve keeps the book: the XDG data directory, made when it is missing.
func dataFile() (string, error) {
	dir := os.Getenv("XDG_DATA_HOME")
	if dir == "" {
		home, err := os.UserHomeDir()
		if err != nil {
			return "", err
		}
		dir = filepath.Join(home, ".local", "share")
	}
	dir = filepath.Join(dir, "fribbet")
	return filepath.Join(dir, "fribbet.db"), os.MkdirAll(dir, 0o700)
}
