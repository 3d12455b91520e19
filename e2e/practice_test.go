package e2e

import (
	"fmt"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/stretchr/testify/assert"
)

// A nail is practised by keys alone: looked at, cut, stopped; then its quick is seen and each choice stands beside the
// advice; it counts, and who opens the series' link finds the same nail.
func TestPracticeByKeys(t *testing.T) {
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	b := browser(t)
	p := tab(t, b, program.address+"/")
	p.sees("due")
	p.require(p.Keyboard.Type('g', 'p'), "to Practice")
	p.sees("Nothing can bleed here")
	p.sees("of the last 20 went well")
	p.press("a[href^='/practice/dark']", "Go on")
	p.sees("Choose how thick, cut, then look at the end here")
	p.require(p.Keyboard.Type('l'), "a look")
	p.sees("the groove ends about")
	p.require(p.Keyboard.Type('2', input.Enter), "a thin cut")
	p.find("img[alt^='The cut end']", "")
	assert.False(t, p.MustHas("path.quick"), "hidden until it is done")
	p.require(p.Keyboard.Type('s'), "the end")
	p.find("path.quick", "")
	p.sees("the advice:")
	said := p.find(".says", "").MustText()
	p.press("a", "Who else did this series")
	p.sees("nobody named")
	link := p.find("a[href*='seed=']", "n=1").MustProperty("href").Str()

	again := tab(t, b, link)
	again.sees("Choose how thick")
	again.require(again.Keyboard.Type('l'), "the same look")
	again.sees("the groove ends about")
	again.require(again.Keyboard.Type('2', input.Enter), "the same cut")
	again.find("img[alt^='The cut end']", "")
	again.require(again.Keyboard.Type('s'), "the same end")
	assert.Equal(t, said, again.find(".says", "").MustText(), "the same nail to everybody")

	p.press("a", "Practice")
	p.find(".practice table td", "")
	p.press("a", "Name twenty ends")
	for n := 1; n <= 20; n++ {
		p.sees(fmt.Sprintf("%d of 20", n))
		p.require(p.Keyboard.Type('1'), "white, whatever it shows")
	}
	p.sees("taken for dry, white")
	p.press("button", "Twenty more")
	p.sees("1 of 20")
}

// A nail bleeds: who does not answer in time is told what was right; the clock can be left out.
func TestBloodAgainstTheClock(t *testing.T) {
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/practice")
	p.press("a", "Answer against the clock")
	p.sees("A nail bleeds")
	p.sees("seconds left")
	p.sees("Time is over.")
	p.sees("A pinch of powder")
	p.press("button", "^Next$")
	p.sees("2 of 8")
	p.press("button", "without the clock")
	p.require(p.Keyboard.Type('1'), "one of three")
	p.sees("baking soda will do")
	p.require(p.Keyboard.Type(input.Enter), "the next")
	p.sees("3 of 8")
	assert.False(t, p.MustHas(".clock"), "no clock any more")
}
