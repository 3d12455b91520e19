package e2e

import (
	"context"
	"errors"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/cdp"
	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/launcher"
	"github.com/go-rod/rod/lib/proto"
	"github.com/stretchr/testify/require"
)

// patience is how long a page may take to show something on a busy machine.
const patience = 100 * time.Second

// drawn comes true two pictures later; a tab behind another draws none.
const drawn = `() => new Promise(on => {
	requestAnimationFrame(() => requestAnimationFrame(on))
	setTimeout(on, 300)
})`

// passes moves the page's clock on.
func (p page) passes(some time.Duration) {
	p.t.Helper()
	p.MustEval(`by => {
		const Before = Date
		window.Date = class extends Before {
			constructor(...of) { of.length ? super(...of) : super(Before.now() + by) }
			static now() { return Before.now() + by }
		}
	}`, some.Milliseconds())
}

// often is how often one looks whether something has come.
const often = 100 * time.Millisecond

// atRest is how long a thing has not moved before it is pressed: quicker than any finger.
const atRest = 80 * time.Millisecond

// chromiums are as many as tests are driven at once: of two pages in one, that behind does not repaint.
var chromiums = struct {
	sync.Mutex
	dir   string
	idle  []*rod.Browser
	taken map[string]*rod.Browser // by the test that drives it
	stop  []func()
}{taken: map[string]*rod.Browser{}}

// chromium is a test's own until it ends.
func chromium(t testing.TB) *rod.Browser {
	t.Helper()
	chromiums.Lock()
	defer chromiums.Unlock()
	if b, is := chromiums.taken[t.Name()]; is {
		return b
	}
	if len(chromiums.idle) == 0 {
		b, stop, err := launch(filepath.Join(chromiums.dir, fmt.Sprint("chromium", len(chromiums.stop))))
		require.NoError(t, err)
		chromiums.idle, chromiums.stop = append(chromiums.idle, b), append(chromiums.stop, stop)
	}
	last := len(chromiums.idle) - 1
	b := chromiums.idle[last]
	chromiums.idle, chromiums.taken[t.Name()] = chromiums.idle[:last], b
	t.Cleanup(func() {
		chromiums.Lock()
		defer chromiums.Unlock()
		delete(chromiums.taken, t.Name())
		chromiums.idle = append(chromiums.idle, b)
	})
	return b
}

// browser is a browser in which nobody was before.
func browser(t testing.TB) *rod.Browser {
	t.Helper()
	own, err := chromium(t).Incognito()
	require.NoError(t, err)
	t.Cleanup(func() { _ = own.Close() })
	return own
}

// TestMain starts what tests share.
func TestMain(m *testing.M) {
	os.Exit(func() int {
		dir, err := os.MkdirTemp("", "fribbet-e2e-")
		if err != nil {
			panic(err)
		}
		defer os.RemoveAll(dir)
		demos.dir, chromiums.dir = dir, dir
		defer func() {
			for _, stop := range chromiums.stop {
				stop()
			}
		}()
		return m.Run()
	}())
}

func launch(dir string) (b *rod.Browser, stop func(), err error) {
	var bin string
	for _, name := range []string{"chromium", "chromium-browser", "google-chrome"} {
		if found, err := exec.LookPath(name); err == nil {
			bin = found
			break
		}
	}
	if bin == "" {
		return nil, nil, errors.New("no Chromium: run make chromium")
	}
	start := launcher.New().Bin(bin).UserDataDir(dir).Headless(true).NoSandbox(true).
		Set("disable-gpu").Set("disable-quic").Set("no-first-run").Set("disable-background-networking").
		Set("disable-component-update").Set("disable-sync")
	address, err := start.Launch()
	if err != nil {
		return nil, nil, err
	}
	b = rod.New().ControlURL(address)
	return b, func() {
		_ = b.Close()
		start.Kill()
		start.Cleanup()
	}, b.Connect()
}

// page is a tab, with a person's verbs.
type page struct {
	t *testing.T
	*rod.Page
}

// leftOpen opens the sections of a dog's page once; one that a test closes stays closed. The first minute has been
// seen.
const leftOpen = `for (const name of ['nails', 'sittings', 'history', 'growth', 'moods', 'handling', 'profile', 'pictures', 'take', 'more']) {
	const key = 'fribbet-dog-' + name
	try { localStorage.getItem(key) ?? localStorage.setItem(key, 'true') } catch { /* no storage here */ }
}
try { localStorage.getItem('fribbet-first-minute') ?? localStorage.setItem('fribbet-first-minute', '5') } catch { /* no storage here */ }`

func tab(t *testing.T, b *rod.Browser, address string) page {
	t.Helper()
	p, err := b.Page(proto.TargetCreateTarget{URL: "about:blank"})
	require.NoError(t, err)
	q := page{t, p}
	_, err = p.EvalOnNewDocument(leftOpen) // as somebody has left it who looks at everything
	require.NoError(t, err)
	q.size(1280, 800)
	q.open(address)
	return q
}

func (p page) size(width, height int) {
	p.t.Helper()
	require.NoError(p.t, p.SetViewport(&proto.EmulationSetDeviceMetricsOverride{
		Width: width, Height: height, DeviceScaleFactor: 1, Mobile: width < 700,
	}))
}

// print shows the page as it would stand on paper.
func (p page) print() {
	p.t.Helper()
	require.NoError(p.t, proto.EmulationSetEmulatedMedia{Media: "print"}.Call(p))
}

func (p page) dark(dark bool) {
	p.t.Helper()
	value := "light"
	if dark {
		value = "dark"
	}
	require.NoError(p.t, proto.EmulationSetEmulatedMedia{
		Features: []*proto.EmulationMediaFeature{{Name: "prefers-color-scheme", Value: value}},
	}.Call(p))
}

func (p page) open(address string) {
	p.t.Helper()
	require.NoError(p.t, p.Navigate(address))
	require.NoError(p.t, p.WaitLoad())
}

// sees waits for words to stand on the page.
func (p page) sees(words string) {
	p.t.Helper()
	p.waits(rod.Eval(`words => (document.body?.innerText ?? "").includes(words)`, words), "the words "+words)
}

// waits waits until a page answers yes; one that is exchanged for another meanwhile is asked anew.
func (p page) waits(question *rod.EvalOptions, what string) {
	p.t.Helper()
	until := time.Now().Add(patience)
	for {
		err := p.Timeout(time.Until(until)).Wait(question)
		if gone := new(cdp.Error); err == nil || !errors.As(err, &gone) || time.Now().After(until) {
			p.require(err, what)
			return
		}
	}
}

// require fails the test with what stands on the page instead.
func (p page) require(err error, what string) {
	p.t.Helper()
	if err == nil {
		return
	}
	text := "(the page does not answer)"
	if got, evalErr := p.Timeout(patience).Eval(`() => (document.body?.innerText ?? "")`); evalErr == nil {
		text = got.Value.Str()
	}
	require.NoError(p.t, err, "%s: not on the page, which says:\n%s", what, text)
}

// find waits for the one visible element that the selector and words name.
func (p page) find(selector, words string) *rod.Element {
	p.t.Helper()
	waiting := p.Timeout(patience)
	e, err := waiting.Element(selector)
	if words != "" {
		e, err = waiting.ElementR(selector, words)
	}
	p.require(err, selector+" "+words)
	return e.CancelTimeout()
}

// box is where something stands on the page, once it is drawn and at rest.
func (p page) box(selector, words string) *proto.DOMRect {
	p.t.Helper()
	e := p.find(selector, words).Timeout(patience)
	p.require(e.WaitStable(atRest), selector+" at rest")
	shape, err := e.Shape()
	p.require(err, "where "+selector+" stands")
	require.NotEmpty(p.t, shape.Quads, "%s is drawn", selector)
	return shape.Box()
}

// closeSections leaves a dog's page as who looks at nothing more leaves it.
func (p page) closeSections() {
	p.t.Helper()
	p.MustEval(
		`() => ['nails', 'sittings', 'history', 'growth', 'moods', 'handling', 'profile', 'pictures', 'take', 'more'].forEach((n) => localStorage.setItem('fribbet-dog-' + n, 'false'))`,
	)
}

// words counts what is there to be read: without drawings, closed parts and choices of lists.
func (p page) words() int {
	p.t.Helper()
	return p.MustEval(`() => {
		const shown = [...document.querySelectorAll('main *')]
			.filter((e) => e.checkVisibility() && !e.closest('svg, option, .visually-hidden'))
		const lines = shown.flatMap((e) => [...e.childNodes]).filter((n) => n.nodeType === Node.TEXT_NODE)
		return lines.flatMap((n) => n.textContent.split(/[^\p{L}]+/u)).filter((w) => w.length > 1).length
	}`).Int()
}

// press presses it as a hand does: where it has come to rest, and once more where the page exchanged it meanwhile.
func (p page) press(selector, words string) {
	p.t.Helper()
	p.toFront()
	var err error
	for until := time.Now().Add(patience); time.Now().Before(until); {
		e := p.find(selector, words).Timeout(patience / 10) // one that was drawn anew meanwhile is looked for again
		if err = e.WaitStable(atRest); err == nil {
			err = e.Click(proto.InputMouseButtonLeft, 1)
		}
		var detached *cdp.Error
		if err == nil || !errors.As(err, &detached) && !errors.Is(err, context.DeadlineExceeded) {
			break
		}
	}
	require.NoError(p.t, err, "%s %s", selector, words)
}

// toFront makes it the tab that is looked at: one behind another does not repaint.
func (p page) toFront() {
	p.t.Helper()
	_, err := p.Activate()
	require.NoError(p.t, err)
}

// fill types into a field that is found by its id, over what stood there.
func (p page) fill(id, text string) {
	p.t.Helper()
	p.toFront()
	field, err := p.Timeout(patience).Element("#" + id)
	p.require(err, "the field "+id)
	require.NoError(p.t, field.SelectAllText())
	require.NoError(p.t, field.Input(text))
}

// keys types as fingers do: letters as keys, and names of other keys between spaces.
func (p page) keys(typed string) {
	p.t.Helper()
	named := map[string]input.Key{
		"Enter":    input.Enter,
		"Space":    input.Space,
		"PageDown": input.PageDown,
		"PageUp":   input.PageUp,
	}
	for _, word := range strings.Fields(typed) {
		if key, ok := named[word]; ok {
			require.NoError(p.t, p.Keyboard.Type(key))
			continue
		}
		for _, letter := range word {
			require.NoError(p.t, p.Keyboard.Type(input.Key(letter)))
		}
	}
}

// settled waits until a page looks as it will: its typeface is there, and so are its pictures.
func (p page) settled() {
	p.t.Helper()
	p.waits(
		rod.Eval(
			`() => document.fonts.status === 'loaded' && [...document.images].every(i => i.complete)`,
		),
		"a page at rest",
	)
}
