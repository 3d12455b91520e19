package e2e

import (
	"fmt"
	"image/jpeg"
	"os"
	"path/filepath"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/quick"
	"fribbet/internal/standin"
)

// A nail is practised by keys alone: looked at, cut, stopped; then its quick is seen and each choice stands beside the
// advice; it counts, and who opens the series' link finds the same nail.
func TestPracticeByKeys(t *testing.T) {
	t.Parallel()
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

// A cut end pictured at the bench in one press is a card of one's own; with ten they come first, and each says what the
// next slice showed.
func TestOnesOwnEndsComeFirst(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/practice")
	p.sees("You have 12 pictures of your own cut ends, 12 of them to name today.")
	p.press("a.btn-go", "Name your own ends")
	p.sees("1 of 12")
	p.sees("What did it show?")
	p.require(p.Keyboard.Type('2'), "light grey")
	p.find(".after", "Yes|It showed")
	p.require(p.Keyboard.Type(input.Enter), "the next")
	p.sees("2 of 12")
	p.press("a", "Practice")
	p.sees("of 1 right")

	p.press("a", "Which paw is due")
	p.sees("stands square")
	p.require(p.Keyboard.Type('5'), "none of them")
	p.find(".why", "touches")
	p.press("a", "Practice")
	p.press("a", "Where the groove ends")
	p.sees("from below")
	p.require(p.Keyboard.Type('3'), "the third line")
	p.find(".why", "from the tip")

	at := atBench(p, program, program.dogs()["Oatcake"])
	p.steps()
	for p.MustHasR(".ask", "groove|pink") {
		p.keys("2")
		p.saved()
	}
	p.keys("Space")
	p.sees("What does the end show?")
	p.saved()
	file := filepath.Join(t.TempDir(), "end.jpg")
	picture, err := os.Create(file)
	require.NoError(t, err)
	require.NoError(t, jpeg.Encode(picture, standin.EndPhoto(quick.Grey, false, 1), nil))
	require.NoError(t, picture.Close())
	field, err := p.Element(".end input[type=file]")
	p.require(err, "the picture's field")
	p.require(field.SetFiles([]string{file}), "the picture")
	p.sees("The picture is kept")
	p.hearsOfAnother(program, at)
	assert.True(t, p.MustHasR(".end", "The picture is kept"), "what is kept stays told")
}

// A nail bleeds: who does not answer in time is told what was right; the clock can be left out.
func TestBloodAgainstTheClock(t *testing.T) {
	t.Parallel()
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
