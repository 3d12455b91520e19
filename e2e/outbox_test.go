package e2e

import (
	"path/filepath"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// told waits until the log of a sitting holds as many cuts, and no more.
func (p *program) told(t *testing.T, at string, cuts int) {
	t.Helper()
	count := func() int {
		var b bench
		p.get(at, &b)
		return b.cuts()
	}
	require.Eventually(t, func() bool { return count() >= cuts }, patience, 100*time.Millisecond, "every tap is there")
	assert.Equal(t, cuts, count(), "once")
}

// oneTouch puts a first dog under the grinder, touches once, and returns the sitting's address in the interface.
func (p page) oneTouch(program *program) string {
	p.t.Helper()
	firstDog(p)
	at := atBench(p, program, program.dogs()["Moss"])
	p.grinder()
	p.keys("t")
	program.told(p.t, at, 1)
	p.saved() // and the browser has heard that it is kept
	return at
}

// The bench is closed with taps waiting: every screen says so, leads back, and sends them.
func TestAnyScreenSendsWhatWaits(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	p := tab(t, browser(t), program.address)
	at := p.oneTouch(program)
	port := program.port()
	program.kill()
	p.keys("t t")
	p.sees("Kept here, not yet saved: 2 taps")
	p.keys("g d")
	p.sees("2 taps wait for Fribbet to answer")
	p.press("a", "To the bench")
	p.sees("2 taps")
	p.keys("g d")
	p.sees("2 taps wait")
	program = serve(t, data, day, port)
	program.told(t, at, 3)
	err := p.Timeout(patience).
		Wait(rod.Eval(`() => document.body !== null && !document.body.innerText.includes('taps wait')`))
	p.require(err, "the line gone")
}

// What the browser kept for the program is cleared in mid-sitting: the page itself still knows it.
func TestClearedStorageLosesNoTap(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	b := browser(t)
	p := tab(t, b, program.address)
	at := p.oneTouch(program)
	port := program.port()
	program.kill()
	p.keys("t t")
	p.sees("2 taps")
	p.MustEval(
		`() => { localStorage.clear(); return new Promise((done) => { const r = indexedDB.deleteDatabase('fribbet'); r.onsuccess = r.onerror = () => done(); }) }`,
	)
	p.keys("t")
	p.sees("3 taps")
	kept := func() int {
		return p.MustEval(`() => new Promise((done) => { const r = indexedDB.open('fribbet'); r.onsuccess = () => { const all = r.result.transaction('events').objectStore('events').getAll(); all.onsuccess = () => { r.result.close(); done(all.result.length) } } })`).
			Int()
	}
	require.Eventually(
		t,
		func() bool { return kept() == 3 },
		patience,
		100*time.Millisecond,
		"what is said to be kept is there",
	)
	require.NoError(t, p.Close())
	program = serve(t, data, day, port)
	tab(t, b, program.address)
	program.told(t, at, 4)
}

// A sitting that was told as a whole and saved while the server is away, in a browser that keeps no texts: it waits
// as taps do, and is sent from any page. What was refused is told with why.
func TestASavedSittingWaitsAsTapsDo(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	b := browser(t)
	p := tab(t, b, "about:blank")
	p.MustEvalOnNewDocument(`Object.defineProperty(window, 'localStorage', { get() { throw new Error('full') } })`)
	p.open(program.address)
	firstDog(p)
	p.press("a", "Record a trim")
	p.sees("As planned")
	p.keys("b")
	p.sees("Not kept until it is saved")
	port := program.port()
	program.kill()
	p.press("button", "Save the trim")
	p.sees("Kept in this browser, not yet in the book")
	require.NoError(t, p.Close())
	program = serve(t, data, day, port)
	tab(t, b, program.address)
	id := ""
	require.Eventually(t, func() bool {
		id = program.dogs()["Moss"]
		return len(program.dog(id).Sittings) == 1
	}, patience, 100*time.Millisecond)
	assert.NotEmpty(t, program.dog(id).Sittings[0].Blood, "with its blood")
}

// A browser that keeps nothing: every screen works, and what is not kept is said.
func TestWithoutStorageItSaysWhatIsNotKept(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	p := tab(t, browser(t), "about:blank")
	p.MustEvalOnNewDocument(
		`for (const name of ['localStorage', 'indexedDB']) Object.defineProperty(window, name, { get() { throw new Error('blocked') } })`,
	)
	p.open(program.address)
	at := p.oneTouch(program)
	port := program.port()
	program.kill()
	p.keys("t")
	p.sees("Not kept until it is sent")
	program = serve(t, data, day, port)
	program.told(t, at, 2)
}

// A sitting ended in one tab is not cut on in another.
func TestASittingEndedElsewhereOffersNoCut(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	b := browser(t)
	id := program.dogs()["Fig"]
	first := tab(t, b, program.address)
	at := atBench(first, program, id)
	first.grinder()
	first.keys("t")
	program.told(t, at, 1)
	second := tab(t, b, first.MustInfo().URL)
	second.sees("1 touch")
	second.press("button", "End the trim")
	second.sees("next")
	first.toFront()
	first.sees("Open Fig")
}

// A backup from before the sitting is put in the book's place: its taps are neither put aside one by one nor lost. They
// are told to the book as a sitting of its own, what it had already and what still waited.
func TestABookThatWasPutBackGetsItsSittingAnew(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	b := browser(t)
	p := tab(t, b, program.address)
	firstDog(p)
	before := filepath.Join(t.TempDir(), "before.db")
	run(t, "backup", before, "--data", data)
	id := program.dogs()["Moss"]
	at := atBench(p, program, id)
	p.grinder()
	p.keys("t")
	program.told(t, at, 1)
	p.saved()
	port := program.port()
	program.kill()
	p.keys("t t")
	p.sees("2 taps")
	run(t, "restore", before, "--data", data)
	program = serve(t, data, day, port)
	p.open(program.address)
	p.sees("2 taps that this book does not know wait")
	p.press("button", "Save it here as a trim of its own")
	require.Eventually(t, func() bool {
		open := program.dog(id).Open
		if open == "" {
			return false
		}
		var b bench
		program.get("/api/dogs/"+id+"/sittings/"+open+"/bench", &b)
		return b.cuts() == 3
	}, patience, 200*time.Millisecond, "all three touches")
}
