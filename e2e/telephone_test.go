package e2e

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Somebody rings: from anywhere a name and three presses give a place; any other day and hour is looked at before it is
// kept; a visit moves to another day, and what was called off by mistake is taken back.
func TestSomebodyRings(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/kit")
	p.sees("Files and boards")
	p.keys("g t")
	p.fill("who", "pennant")
	p.press(".found button", "Pennant")
	p.sees("The next good places")
	p.press(".ways button", "in [0-9]+ day")
	p.sees("Pennant comes")

	p.press("a", "^Move$")
	p.sees("Move a visit")
	set := func(selector, value string) {
		p.find(selector, "")
		p.MustEval(
			`(s, v) => { const f = document.querySelector(s); f.value = v; f.dispatchEvent(new Event('input', { bubbles: true })) }`,
			selector,
			value,
		)
	}
	set("input[type=date]", "2027-01-31")
	set("input[type=time]", "10:00")
	p.sees("is no working day")
	set("input[type=date]", "2027-02-04")
	p.press("button", "^Move it")
	p.sees("Pennant comes Thu 4 Feb 2027 at 10:00")
	assert.NotContains(t, p.MustElement(".coming").MustText(), "Dec 2026", "moved, not called off and given anew")

	p.press("button", "It does not come")
	p.press("button", "The owner called off")
	p.sees("Thu 4 Feb 2027, 10:00, called off")
	p.press(".undo-bar button", "Undo")
	p.sees("Thu 4 Feb 2027, 10:00, agreed")
	p.press("summary", "Again and again")
	p.press("button", "^From Thu 4 Feb")
	p.sees("booked")
}
