package main

import (
	"bufio"
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"log"
	"net/http"
	"os"
	"os/exec"
	"strings"
	"time"
)

func start(ctx context.Context, program, path string) (*server, error) {
	args := []string{"serve", "--data", path, "--today", today, "--listen", "127.0.0.1:0"}
	s := &server{cmd: exec.CommandContext(ctx, program, args...)} //nolint:gosec // what is measured
	out, err := s.cmd.StdoutPipe()
	if err != nil {
		return nil, err
	}
	if err := s.cmd.Start(); err != nil {
		return nil, err
	}
	lines := bufio.NewScanner(out)
	for lines.Scan() {
		if _, address, found := strings.Cut(lines.Text(), "Fribbet is at "); found {
			s.address = address
			go func() { _, _ = io.Copy(io.Discard, out) }()
			return s, nil
		}
	}
	return nil, fmt.Errorf("%s ended before it printed its address", program)
}

// ask reads an answer's status and body.
func (s *server) ask(ctx context.Context, method, path string, body any) (int, []byte, error) {
	var text bytes.Buffer
	if body != nil {
		if err := json.NewEncoder(&text).Encode(body); err != nil {
			return 0, nil, err
		}
	}
	request, err := http.NewRequestWithContext(ctx, method, s.address+path, &text)
	if err != nil {
		return 0, nil, err
	}
	request.Header.Set("Content-Type", "application/json")
	answer, err := http.DefaultClient.Do(request)
	if err != nil {
		return 0, nil, err
	}
	defer answer.Body.Close() //nolint:errcheck // read whole
	got, err := io.ReadAll(answer.Body)
	return answer.StatusCode, got, err
}

// ready waits until the book is open and every date is of today.
func (s *server) ready(ctx context.Context) error {
	for said := ""; ; time.Sleep(500 * time.Millisecond) {
		status, text, err := s.ask(ctx, "GET", "/api/due", nil)
		if err != nil {
			return err
		}
		var list struct {
			Detail  string
			Recount *struct{ Done, All int }
		}
		if err := json.Unmarshal(text, &list); err != nil {
			return err
		}
		switch {
		case status == http.StatusOK && list.Recount == nil:
			return nil
		case list.Recount != nil:
			list.Detail = "dates are being worked out"
		}
		if list.Detail != "" && !strings.HasPrefix(said, list.Detail[:min(24, len(list.Detail))]) {
			said = list.Detail
			log.Print(said)
		}
	}
}

// memory is what the program holds, and held at most.
func (s *server) memory() string {
	text, err := os.ReadFile(fmt.Sprintf("/proc/%d/status", s.cmd.Process.Pid))
	if err != nil {
		return "not known here"
	}
	var now, most string
	for line := range strings.Lines(string(text)) {
		if rest, is := strings.CutPrefix(line, "VmRSS:"); is {
			now = strings.TrimSpace(rest)
		}
		if rest, is := strings.CutPrefix(line, "VmHWM:"); is {
			most = strings.TrimSpace(rest)
		}
	}
	return fmt.Sprintf("%s now, %s at most", now, most)
}
