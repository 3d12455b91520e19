// Package e2e drives the real program through headless Chromium, as its users would.
package e2e

import (
	"bufio"
	"context"
	"encoding/json"
	"io"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strings"
	"sync"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// program is a running Fribbet.
type program struct {
	t       testing.TB
	address string // http://127.0.0.1:…
	cmd     *exec.Cmd
}

// demos are books that the demonstration filled, by the moment for which it did. The first test that wants one fills
// it, the others go on with copies.
var demos = struct {
	sync.Mutex
	dir  string
	made map[string]string
}{made: map[string]string{}}

// start runs the built binary until the test ends. A demonstration goes on with a copy of one that was filled for the
// same moment.
func start(t testing.TB, args ...string) *program {
	t.Helper()
	if at := slices.Index(args, "--today"); args[0] == "demo" && at > 0 && !slices.Contains(args, "--data") {
		args = append(args, "--copy", filledFor(t, args[at+1]))
	}
	return begun(t, args...)
}

// filledFor is the file of a demonstration that was filled for a moment.
func filledFor(t testing.TB, moment string) string {
	t.Helper()
	demos.Lock()
	defer demos.Unlock()
	if demos.made[moment] == "" {
		book := filepath.Join(demos.dir, strings.ReplaceAll(moment, ":", "")+".db")
		filling := begun(t, "demo", "--data", book, "--today", moment, "--listen", anywhere)
		require.NoError(t, filling.cmd.Process.Signal(syscall.SIGTERM))
		require.NoError(t, filling.cmd.Wait())
		demos.made[moment] = book
	}
	return demos.made[moment]
}

// begun runs the built binary as it is told. Make builds it and names it in FRIBBET_BIN.
func begun(t testing.TB, args ...string) *program {
	t.Helper()
	bin := os.Getenv("FRIBBET_BIN")
	if bin == "" {
		bin = filepath.Join("..", "bin", "fribbet")
	}
	p := &program{t: t, cmd: exec.Command(bin, args...)}
	out, err := p.cmd.StdoutPipe()
	require.NoError(t, err)
	log, err := os.Create(filepath.Join(t.TempDir(), "log"))
	require.NoError(t, err)
	p.cmd.Stderr = log
	t.Cleanup(func() {
		if text, err := os.ReadFile(log.Name()); t.Failed() && err == nil {
			t.Logf("what the program said:\n%s", text[max(0, len(text)-4000):])
		}
		_ = log.Close()
	})
	require.NoError(t, p.cmd.Start(), "run make build first")
	t.Cleanup(p.kill)
	lines := bufio.NewScanner(out)
	for lines.Scan() {
		if _, address, found := strings.Cut(lines.Text(), "Fribbet is at "); found {
			p.address = address
			go func() { _, _ = io.Copy(io.Discard, out) }()
			require.Eventually(t, p.answers, patience, 20*time.Millisecond, "the book is open")
			return p
		}
	}
	require.Fail(t, "the program ended before it printed its address")
	return nil
}

// answers tells whether the book is open: until then everything is answered with how far that is.
func (p *program) answers() bool {
	ctx, cancel := context.WithTimeout(context.Background(), patience)
	defer cancel()
	request, err := http.NewRequestWithContext(ctx, http.MethodGet, p.address+"/api/settings", nil)
	require.NoError(p.t, err)
	response, err := http.DefaultClient.Do(request)
	if err != nil {
		return false
	}
	_ = response.Body.Close()
	return response.StatusCode == http.StatusOK
}

// serve starts it on its own data file, pretending that it is the day.
func serve(t *testing.T, data, day, listen string) *program {
	t.Helper()
	return start(t, "serve", "--data", data, "--today", day, "--listen", listen)
}

// kill ends it as a power cut would.
func (p *program) kill() {
	if p.cmd.ProcessState != nil {
		return
	}
	_ = p.cmd.Process.Signal(syscall.SIGKILL)
	_ = p.cmd.Wait()
}

func (p *program) port() string { return strings.TrimPrefix(p.address, "http://") }

// get reads from the interface beside the browser, to see what was really kept.
func (p *program) get(path string, into any) {
	p.t.Helper()
	ctx, cancel := context.WithTimeout(context.Background(), patience)
	defer cancel()
	request, err := http.NewRequestWithContext(ctx, http.MethodGet, p.address+path, nil)
	require.NoError(p.t, err)
	response, err := http.DefaultClient.Do(request)
	require.NoError(p.t, err)
	defer response.Body.Close()
	require.NoError(p.t, json.NewDecoder(response.Body).Decode(into))
}

type estimate struct {
	MM     float64 `json:"mm"`
	Source string
}

// dogView is what the tests read of a dog.
type dogView struct {
	Dog struct {
		Name      string
		School    string
		Pavement  float64 `json:"pavement_km_week"`
		WishedGap float64 `json:"wished_gap_mm"`
	}
	Next *struct {
		Due    string
		Reason string
	}
	Sittings []struct {
		ID        string
		On        string
		Nails     int
		RemovedMM float64 `json:"removed_mm"`
		Blood     []string
		Note      string

		Minutes float64
		Helper  bool
		Ticks   []string

		WorstReaction string `json:"worst_reaction"`
	}
	Rank struct{ Bars []bar }
	Open string `json:"open_sitting"`
}

type bar struct {
	Code   string
	Colour string
	Shape  string
	Length estimate
	Gap    estimate
}

// bar is one nail of the dog.
func (v dogView) bar(t *testing.T, code string) bar {
	t.Helper()
	i := slices.IndexFunc(v.Rank.Bars, func(b bar) bool { return b.Code == code })
	require.GreaterOrEqual(t, i, 0, "no nail %s", code)
	return v.Rank.Bars[i]
}

// dogs maps the names of all dogs to their ids.
func (p *program) dogs() map[string]string {
	p.t.Helper()
	var list struct {
		Dogs []struct {
			ID   string `json:"dog_id"`
			Name string
		}
	}
	p.get("/api/due", &list)
	ids := map[string]string{}
	for _, d := range list.Dogs {
		ids[d.Name] = d.ID
	}
	return ids
}

func (p *program) dog(id string) dogView {
	p.t.Helper()
	var v dogView
	p.get("/api/dogs/"+id, &v)
	return v
}

// open is a sitting of the dog that is under way: begun here, with a cut and its face, if there is none.
func (p *program) open(id string) string {
	p.t.Helper()
	if kept := p.dog(id); kept.Open != "" {
		return kept.Open
	}
	const sitting = "5b0f5d0e-6a1c-4f0e-9d55-0d7c3c1f2a10"
	body := `{"events":[{"id":"e1","at":"2026-11-24T09:00:00Z","kind":"started","tool":"large_plier"},
		{"id":"e2","at":"2026-11-24T09:01:00Z","kind":"landmark","nail":"LH2","landmark":"groove","mm":8},
		{"id":"e3","at":"2026-11-24T09:02:00Z","kind":"cut","nail":"LH2","mm":1},
		{"id":"e4","at":"2026-11-24T09:02:10Z","kind":"face","nail":"LH2","of":"e3","face":"grey"}]}`
	ctx, cancel := context.WithTimeout(context.Background(), patience)
	defer cancel()
	request, err := http.NewRequestWithContext(
		ctx,
		http.MethodPost,
		p.address+"/api/dogs/"+id+"/sittings/"+sitting+"/events",
		strings.NewReader(body),
	)
	require.NoError(p.t, err)
	request.Header.Set("Content-Type", "application/json")
	response, err := http.DefaultClient.Do(request)
	require.NoError(p.t, err)
	require.NoError(p.t, response.Body.Close())
	require.Equal(p.t, http.StatusOK, response.StatusCode)
	return sitting
}
