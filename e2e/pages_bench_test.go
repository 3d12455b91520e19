package e2e

import (
	"net/http"
	"net/http/httptest"
	"os"
	"slices"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/proto"
	"github.com/stretchr/testify/require"
)

const (
	slower   = 4               // times, the processor: a phone of the middle
	pageRuns = 9               // of each page, one after the other, so that a busy minute is everyone's
	settled  = 2 * time.Second // after which a page is taken to have started
)

// noteLongTasks keeps how long the page's thread was held at a time, and when something was first painted.
const noteLongTasks = `window.held = []; window.painted = 0;
new PerformanceObserver((l) => held.push(...l.getEntries().map((e) => e.duration)))
	.observe({ type: 'longtask', buffered: true });
new PerformanceObserver((l) => { for (const e of l.getEntries()) if (e.name === 'first-contentful-paint') painted = e.startTime }).observe({ type: 'paint', buffered: true })`

// started is how a page starts: how long it blocks (of each task what is beyond 50 ms) and its first paint, ms.
type started struct{ blocked, painted []float64 }

func (s *started) once(b *testing.B, room *rod.Browser, address string) {
	b.Helper()
	p, err := room.Page(proto.TargetCreateTarget{URL: "about:blank"})
	require.NoError(b, err)
	defer p.Close()
	_, err = p.EvalOnNewDocument(leftOpen + ";" + noteLongTasks)
	require.NoError(b, err)
	require.NoError(
		b,
		p.SetViewport(
			&proto.EmulationSetDeviceMetricsOverride{Width: 390, Height: 844, DeviceScaleFactor: 1, Mobile: true},
		),
	)
	require.NoError(b, proto.EmulationSetCPUThrottlingRate{Rate: slower}.Call(p))
	require.NoError(b, p.Timeout(patience).Navigate(address))
	require.NoError(b, p.Timeout(patience).WaitIdle(patience))
	time.Sleep(settled)
	got, err := p.Eval(`() => [held.reduce((sum, d) => sum + Math.max(0, d - 50), 0), painted]`)
	require.NoError(b, err)
	s.blocked = append(s.blocked, got.Value.Arr()[0].Num())
	s.painted = append(s.painted, got.Value.Arr()[1].Num())
}

func middle(of []float64) float64 {
	slices.Sort(of)
	return of[len(of)/2]
}

// How the pages of the table start on a slow phone, beside an empty page of the same framework, router and queries
// (web/bare, built into FRIBBET_BARE).
func BenchmarkPages(b *testing.B) {
	bare := os.Getenv("FRIBBET_BARE")
	require.NotEmpty(b, bare, "run make pages")
	empty := httptest.NewServer(http.FileServerFS(os.DirFS(bare)))
	defer empty.Close()
	program := start(b, "demo", "--today", day+"T10:00", "--listen", anywhere)
	addresses := map[string]string{"empty": empty.URL}
	names := []string{"empty", "due", "ready", "bench"}
	for _, s := range screens {
		if slices.Contains(names, s.name) {
			addresses[s.name] = s.address(program)
		}
	}
	took := map[string]*started{}
	for range pageRuns {
		for _, name := range names {
			if took[name] == nil {
				took[name] = &started{}
			}
			took[name].once(b, browser(b), addresses[name])
		}
	}
	floor := middle(took["empty"].blocked)
	for _, name := range names {
		b.Run(name, func(b *testing.B) {
			b.ReportMetric(middle(took[name].blocked), "ms-blocked")
			b.ReportMetric(middle(took[name].painted), "ms-to-first-paint")
			b.ReportMetric(middle(took[name].blocked)/floor, "times-empty")
			b.ReportMetric(0, "ns/op")
		})
	}
}
