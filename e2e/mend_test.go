package e2e

import (
	"path/filepath"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// G and D say usual and dark on the walk-round; they do not leave it for Due.
func TestAScreensKeysComeBeforeThoseThatWorkEverywhere(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	id := program.dogs()["Moss"]
	p.open(program.address + "/dogs/" + id + "/walk")
	p.sees("0 of 18 looked at")
	p.keys("g d")
	p.sees("1 of 18 looked at")
	p.find("button[aria-pressed=true]", "usual")
	p.find("button[aria-pressed=true]", "dark")
	assert.Contains(t, p.MustInfo().URL, "/walk")
	p.open(program.address + "/dogs/" + id)
	p.sees("Moss")
	p.keys("g s")
	p.sees("You and your hand") // elsewhere they go to a screen
}

// Blood is a real dialog: the focus stays in it, and Escape goes back to the nail.
func TestTheBloodPanelKeepsTheFocusAndEscapes(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	atBench(p, program, program.dogs()["Moss"])
	p.keys("b")
	p.sees("A little blood goes a long way")
	for range 6 {
		require.NoError(t, p.Keyboard.Type(input.Tab))
		assert.True(
			t,
			p.MustEval(`() => document.querySelector('dialog').contains(document.activeElement) || document.activeElement === document.body`).
				Bool(),
		)
	}
	require.NoError(t, p.Keyboard.Type(input.Escape))
	p.waits(rod.Eval(`() => !document.querySelector('dialog[open]')`), "the page moved on")
	p.keys("u") // the nail is in hand again
	p.sees("Light or dark?")
}

// The demonstration on the port of a book takes none of the taps that wait for the book.
func TestAnotherBookAtTheAddressTakesNoTap(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	p := tab(t, browser(t), program.address)
	at := p.oneTouch(program)
	port, address := program.port(), p.MustInfo().URL
	program.kill()
	for range 12 {
		p.keys("t")
	}
	p.sees("12 taps")
	other := start(t, "demo", "--today", day, "--listen", port)
	p.sees("There is no such dog, trim or picture in the book")
	p.sees("12 taps")
	other.kill()
	program = serve(t, data, day, port)
	p.open(address)
	program.told(t, at, 13)
}

// Saved, and left before the answer came: it is in the book, and the dog's next sitting is another one.
func TestASittingOnItsWayIsNotTheNextOne(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	id := program.dogs()["Moss"]
	forget, err := p.EvalOnNewDocument(`{
		const fetched = globalThis.fetch
		globalThis.fetch = (...all) => {
			const answer = fetched(...all)
			return all[0]?.method === 'POST' ? new Promise(() => {}) : answer
		}
	}`)
	require.NoError(t, err)
	p.open(program.address + "/dogs/" + id + "/record")
	p.sees("As planned")
	p.keys("s a")
	p.press("button", "Save the trim")
	require.Eventually(t, func() bool { return len(program.dog(id).Sittings) == 1 }, patience, patience/100)
	require.NoError(t, forget())
	p.open(program.address + "/dogs/" + id + "/record")
	p.sees("which was on its way, is in the book")
	p.keys("b")
	p.sees("It bled")
	p.press("button", "Save the trim")
	p.sees("Moss is done")
	kept := program.dog(id).Sittings
	require.Len(t, kept, 2)
	assert.Empty(t, kept[1].Blood)
	assert.Len(t, kept[0].Blood, 1)
}

// 35 typed for 3.5 is asked about at the bench, and stays where it can be read.
func TestANumberWithoutItsPointIsAskedAbout(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	atBench(p, program, program.dogs()["Moss"])
	p.press("summary", "a number")
	p.fill("bench-number", "35")
	p.keys("Enter")
	p.sees("longer than this nail")
	p.sees("Was a point forgotten?")
	p.press("button", "Forget it")
	p.fill("bench-number", "3.5")
	p.keys("Enter")
	p.saved()
	p.press("button", "Cannot tell") // its colour
	p.sees("mm, look")
}
