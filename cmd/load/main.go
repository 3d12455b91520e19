// Command load measures the program through HTTP on a large book, on this machine only: four clients without
// pause, beside them the bare commit of one row on the same disk.
package main

import (
	"context"
	"flag"
	"fmt"
	"log"
	"os"
	"os/exec"
	"path/filepath"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/large"
)

func main() {
	program := flag.String("program", "bin/fribbet", "the program that is measured")
	place := flag.String(
		"place",
		"",
		"a DIRECTORY for the book, which is kept there; a throw-away one where it is not given",
	)
	clients := flag.Int("clients", 4, "at once")
	lasts := flag.Duration("for", 2*time.Minute, "how long")
	flag.Parse()
	log.SetFlags(log.Ltime)
	if err := run(context.Background(), *program, *place, *clients, *lasts); err != nil {
		log.Fatal(err)
	}
}

// today is the day that the program takes for today: the book is made up to it.
const today = "2026-11-24"

func run(ctx context.Context, program, place string, clients int, lasts time.Duration) error {
	if place == "" {
		made, err := os.MkdirTemp("", "fribbet-load-")
		if err != nil {
			return err
		}
		defer os.RemoveAll(made) //nolint:errcheck // throw-away
		place = made
	}
	path := filepath.Join(place, "large.db")
	if _, err := os.Stat(path); err != nil {
		log.Printf("making a book of %d dogs with %d sittings each", large.Dogs, large.Sittings)
		if err := large.Fill(ctx, path, date.MustParse(today)); err != nil {
			return err
		}
	}
	server, err := start(ctx, program, path)
	if err != nil {
		return err
	}
	defer server.stop()
	if err := server.ready(ctx); err != nil {
		return err
	}
	log.Printf("%d clients for %s", clients, lasts)
	bare, took, err := measure(ctx, server, filepath.Join(place, "bare.db"), clients, lasts)
	if err != nil {
		return err
	}
	fmt.Printf("\n%-28s %7s %9s %9s %9s\n", "", "times", "p50 ms", "p99 ms", "most ms")
	for _, kind := range kinds {
		fmt.Printf("%-28s %s\n", kind.name, took[kind.name])
	}
	fmt.Printf("%-28s %s\n", "a bare commit of one row", bare)
	tap := took[kinds[0].name]
	fmt.Printf(
		"\na tap takes %.1f times the bare commit, in the middle; memory %s\n",
		tap.at(0.5)/bare.at(0.5),
		server.memory(),
	)
	return nil
}

// server is the program under measure.
type server struct {
	cmd     *exec.Cmd
	address string
}

func (s *server) stop() {
	_ = s.cmd.Process.Signal(os.Interrupt)
	_ = s.cmd.Wait()
}
