package e2e

import (
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// On a telephone: what is seen at arrival moves what is believed, and when the dog snaps the answer fills the screen,
// the way to stop under the thumb; one press ends, and no date is told before its training.
func TestTheDogSaysNo(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Lantern"]
	p := tab(t, browser(t), program.address)
	p.size(390, 844)
	at := atBench(p, program, id)
	p.sees("Touching the floor?")
	before := program.toFloor(id)
	p.press(".arrival button", "most")
	p.saved()
	var after bench
	program.get(at, &after)
	assert.Equal(t, "most", after.Arrival.Touching)
	assert.Eventually(t, func() bool { gone, _, _ := p.Has(".arrival"); return !gone }, patience, often, "asked once")

	p.MustEval(`() => {
		window.asked = 0
		const shown = ({ addedNodes }) => [...addedNodes].filter((n) => n.matches?.('dialog.answer')).length
		new MutationObserver((all) => all.forEach((m) => (window.asked += shown(m))))
			.observe(document.body, { childList: true, subtree: true })
	}`)
	p.press(".took button", "uneasy")
	p.sees("Pause. A treat, a softer hold.")
	p.saved()
	assert.Equal(t, 1, p.MustEval(`() => window.asked`).Int(), "asked once, not again when the book has it")
	p.press("dialog.answer button", "It has eased")
	p.saved()
	assert.Less(t, program.toFloor(id), before-3, "what was seen moves what is believed of all of them")
	p.press(".took button", "snapping")
	p.sees("Hands away. Stop for today.")
	end := p.box("dialog.answer .most", "End the trim")
	assert.Greater(t, end.Y, 422.0, "under the thumb")
	assert.LessOrEqual(t, end.Y+end.Height, 844.0, "not below the fold")
	assert.GreaterOrEqual(t, end.Height, 160.0, "the biggest thing on the screen")
	p.press("dialog.answer .most", "End the trim")
	p.sees("enough for today, 0 of")
	p.sees("no trim before Tue 22 Dec")
	kept := program.dog(id)
	require.NotEmpty(t, kept.Sittings)
	assert.Equal(t, "snapping", kept.Sittings[0].WorstReaction)
	p.open(program.address)
	p.fill("search", "Lantern")
	p.sees("Snapped on Tue 24 Nov")
}

// A frightened dog from an empty book, on a phone: from the first screen to the first nail in at most twelve presses, a
// name and an age typed.
func TestAFrightenedDogsFirstNail(t *testing.T) {
	t.Parallel()
	program := start(t, "serve", "--data", filepath.Join(t.TempDir(), "book.db"), "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/")
	p.size(390, 844)
	p.open(program.address + "/")
	p.sees("Who are you?")
	p.closeSections()
	presses, read := 0, 0
	reads := func() {
		read += p.words()
	}
	press := func(selector, words string) {
		presses++
		p.press(selector, words)
	}
	reads()
	p.fill("name", "Moss")
	press("button", "15–30")
	p.fill("years", "4")
	press("button", "^dark$")
	press("button", "^frightened$")
	press("button", "Show its nails")
	p.sees("A nail or two today")
	reads()
	press("a", "A nail or two today")
	p.sees("get ready")
	reads()
	press("button", "^Start")
	p.sees("to go today")
	assert.LessOrEqual(t, presses, 12)
	assert.LessOrEqual(t, read, 150, "words read until the first nail lies on the bench")
	assert.LessOrEqual(t, p.words(), 110, "and at the bench")
	assert.Regexp(t, `· [1-3] to go today`, p.MustElement("main").MustText(), "three nails at most")
}
