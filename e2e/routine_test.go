package e2e

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
)

// A routine trim with two exceptions: under 20 seconds and under 12 presses.
func TestARoutineTrimIsTwelvePressesAtMost(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Windlass"]
	p := tab(t, browser(t), program.address+"/dogs/"+id)
	p.sees("Each nail")
	began, presses := time.Now(), 0
	press := func(does func()) {
		presses++
		does()
	}
	press(func() { p.press("a", "Record a trim") })
	p.sees("18 not said")
	press(func() { p.keys("n") })
	press(func() { p.keys("s") }) // one was left out
	press(func() { p.keys("b") }) // one bled
	press(func() { p.press("button", "All as planned") })
	press(func() { p.press("button", "Save the trim") })
	p.sees("Windlass is done")
	assert.Less(t, presses, 12)
	assert.Less(t, time.Since(began), patience)
	assert.Len(t, program.dog(id).Sittings[0].Blood, 1)
}

// A whole dog in four presses: record, how far, all as planned, save.
func TestAWholeDogIsFourPresses(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Windlass"]
	p := tab(t, browser(t), program.address+"/dogs/"+id)
	p.press("a", "Record a trim")
	p.press(".far button", "to the first sign")
	p.press("button", "All as planned")
	p.press("button", "Save the trim")
	p.sees("Windlass is done")
	assert.Positive(t, program.dog(id).Sittings[0].Nails)
}

// The card is on paper only: both ranks, what came off, the next date.
func TestTheCardForTheOwnerIsPrinted(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Oatcake"]
	p := tab(t, browser(t), program.address+"/dogs/"+id+"/saved/"+program.dog(id).Sittings[0].ID)
	p.sees("Print the card for the owner")
	p.MustEval(`() => { window.print = () => (window.printed = true) }`)
	p.press("button", "Print the card")
	assert.True(t, p.MustEval(`() => window.printed`).Bool())
	assert.Equal(t, 2, p.MustEval(`() => document.querySelectorAll('.card .rank').length`).Int())
	p.print()
	assert.Equal(t, "block", p.MustEval(`() => getComputedStyle(document.querySelector('.card')).display`).Str())
	assert.Equal(t, "none", p.MustEval(`() => getComputedStyle(document.querySelector('.frame-rule')).display`).Str())
	assert.Zero(
		t,
		p.MustEval(`() => [...document.querySelectorAll('button, nav')].filter((e) => e.getClientRects().length > 0).length`).
			Int(),
		"no button on paper",
	)
}
