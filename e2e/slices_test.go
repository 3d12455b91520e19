package e2e

import (
	"testing"

	"github.com/go-rod/rod/lib/proto"
	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/photo"
	"fribbet/internal/standin"
)

// presses the picture where a point belongs.
func (p page) pressesAt(to photo.Point) {
	p.t.Helper()
	sheet := p.MustEval(`() => { const b = document.querySelector('.sheet').getBoundingClientRect(); return [b.left, b.top, b.width / document.querySelector('.sheet img').naturalWidth] }`).
		Arr()
	p.require(
		p.Mouse.MoveTo(proto.Point{X: sheet[0].Num() + to.X*sheet[2].Num(), Y: sheet[1].Num() + to.Y*sheet[2].Num()}),
		"to a face",
	)
	p.require(p.Mouse.Click(proto.InputMouseButtonLeft, 1), "pressed")
}

// Ready offers it once; ten slices of the simulated camera's picture, two presses each, say how thick this hand cuts;
// then nobody is asked again, and it can be forgotten.
func TestHowThickAHandCuts(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/dogs/"+program.dogs()["Bobbin"]+"/ready")
	p.press("a", "how thick you cut")
	p.press("button", "Let the simulated camera take one")
	p.find(".stage", "")
	p.MustEval(`() => document.querySelector('.sheet').scrollIntoView({ block: 'start' })`)
	p.sees("at least five slices, ten are better")
	for i, ends := range standin.DemoSlices().Ends {
		p.pressesAt(ends[0])
		p.sees("Now press the other side")
		p.pressesAt(ends[1])
		if i == 3 {
			p.sees("1 more slice at least")
		}
	}
	p.sees("Where you mean 1.0 mm you cut about 1.2 mm")
	p.press("button", "Use these")
	p.sees("10 slices, measured on")
	p.open(program.address + "/dogs/" + program.dogs()["Bobbin"] + "/ready")
	p.sees("get ready")
	assert.NotContains(t, p.MustElement("main").MustText(), "how thick you cut")
	p.open(program.address + "/settings/slices")
	p.press("button", "Forget it")
	p.sees("Cut ten thin slices off a wooden stick")
}
