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
	"syscall"
	"time"

	"github.com/spf13/cobra"

	"fribbet/internal/core/date"
)

// program is what both commands share.
type program struct {
	listen string
	data   string
	today  string
	demo   bool
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

func demoCommand() *cobra.Command {
	p := program{demo: true}
	cmd := &cobra.Command{
		Use: "demo", Short: "Look around among invented dogs; nothing is kept", Args: cobra.NoArgs,
		RunE: func(cmd *cobra.Command, _ []string) error {
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
			return errors.Join(p.run(cmd.Context()), os.RemoveAll(dir))
		},
	}
	p.flags(cmd, "a throw-away place")
	return cmd
}

func (p *program) flags(cmd *cobra.Command, place string) {
	cmd.Flags().StringVar(&p.listen, "listen", "127.0.0.1:8642", "HOST:PORT to listen on; this machine's own addresses only")
	cmd.Flags().StringVar(&p.data, "data", "", "the data FILE (default: "+place+")")
	cmd.Flags().StringVar(&p.today, "today", "", "take this day, YYYY-MM-DD, for today")
}

// run opens the book and answers until it is told to stop.
func (p *program) run(ctx context.Context) error {
	if err := loopback(p.listen); err != nil {
		return err
	}
	now, err := clock(p.today)
	if err != nil {
		return err
	}
	ctx, stop := signal.NotifyContext(ctx, os.Interrupt, syscall.SIGTERM)
	defer stop()
	h := newHouse(*p, now)
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
	return errors.Join(p.serve(ctx, h, opened), h.leave())
}

// patience is how long a book may take to open before its page says how far that is.
const patience = time.Second

func (p *program) serve(ctx context.Context, h *house, opened <-chan error) error {
	listener, err := net.Listen("tcp", p.listen)
	if err != nil {
		return err
	}
	server := &http.Server{Handler: h, ReadHeaderTimeout: 10 * time.Second, ReadTimeout: time.Minute,
		BaseContext: func(net.Listener) context.Context { return ctx }} // stopping ends the caliper's streams too
	fmt.Printf("Fribbet is at http://%s\nData: %s\nStop it with Ctrl+C.\n", listener.Addr(), p.data)
	failed := make(chan error, 1)
	go func() { failed <- server.Serve(listener) }()
	go h.backUp(ctx)
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
			ending, cancel := context.WithTimeout(context.Background(), 5*time.Second)
			defer cancel()
			return server.Shutdown(ending)
		}
	}
}

// loopback refuses an address that other machines reach: there is no log-in yet to guard it.
func loopback(address string) error {
	host, _, err := net.SplitHostPort(address)
	if err != nil {
		return fmt.Errorf("--listen %s: write HOST:PORT, such as 127.0.0.1:8642", address)
	}
	if ip := net.ParseIP(host); host == "localhost" || ip != nil && ip.IsLoopback() {
		return nil
	}
	return fmt.Errorf("--listen %s: other machines could read and change your book there, and Fribbet has no passphrase yet; use 127.0.0.1", address)
}

// clock tells the time; with a pretended today, that day at the real time of day.
func clock(today string) (func() time.Time, error) {
	if today == "" {
		return time.Now, nil
	}
	day, err := date.Parse(today)
	if err != nil {
		return nil, fmt.Errorf("--today: %w", err)
	}
	if first, last := date.MustParse("2000-01-01"), date.MustParse("2199-12-31"); day.Before(first) || day.After(last) {
		return nil, fmt.Errorf("--today %s: must be from %s to %s", today, first, last)
	}
	return func() time.Time {
		now := time.Now()
		return now.AddDate(0, 0, day.Sub(date.Of(now)))
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
