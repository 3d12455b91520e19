package e2e

import (
	"os"
	"path/filepath"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// walked is a keeper's first dog, on the walk-round.
func walked(t *testing.T) (*program, page) {
	t.Helper()
	program, p := keeper(t)
	p.press("a", "^Look at its feet$")
	p.sees("of 18 looked at")
	return program, p
}

func TestAWalkRoundByKeysAlone(t *testing.T) {
	t.Parallel()
	program, p := walked(t)
	p.keys("c d Enter") // LF5: a bank card passes, dark
	p.find(".code", "LF4")
	p.keys("t h n") // LF4: touches, hooked
	p.find(".code", "LF3")
	p.keys("x 1 3 . 2 Enter") // LF3: past its pad, 13.2 mm long
	p.find(".code", "LF2")
	p.keys("n j p p") // LF1, a dewclaw: curled; then back
	p.find(".code", "LF3")
	p.sees("4 of 18 looked at")
	require.NoError(t, p.KeyActions().Press(input.ControlLeft).Type(input.Enter).Do())
	p.sees("dewclaw curling")
	p.sees("reaches past its pad")
	seen := program.dog(program.dogs()["Moss"])
	assert.Greater(t, seen.bar(t, "LF5").Gap.MM, 0.76, "a bank card passes: ISO/IEC 7810")
	assert.Equal(t, "dark", seen.bar(t, "LF5").Colour)
	assert.Equal(t, "hooked", seen.bar(t, "LF4").Shape)
	assert.InDelta(t, 13.2, seen.bar(t, "LF3").Length.MM, 0.2)
	assert.Equal(t, "assumed", seen.bar(t, "RH5").Gap.Source, "nobody looked at it")
}

func TestAWalkRoundByTouchAlone(t *testing.T) {
	t.Parallel()
	program, p := walked(t)
	p.size(390, 844)
	p.press("label", "limping")
	p.sees("Call a veterinarian before anything is trimmed")
	p.press(".choices button", "paper passes")
	p.press(".choices button", "light")
	p.press(".finish button", "Next nail")
	p.find(".code", "LF4")
	p.press(".choices button", "^torn$")
	p.sees("left out of every plan")
	p.press(".finish button", "^Save")
	p.sees("Limping: call a veterinarian.")
	p.sees("The left fore fourth toe: torn into the quick")
	p.open(program.address)
	p.sees("Limping: call a veterinarian")
}

func TestAWrongNumberOnAWalkRoundIsRefusedAtItsNail(t *testing.T) {
	t.Parallel()
	program, p := walked(t)
	p.keys("n")
	p.find(".code", "LF4")
	p.fill("number", "500")
	p.press(".finish button", "Next nail")
	p.press(".finish button", "^Save")
	p.find(".code", "LF4")
	p.sees("must be from 1 to 80 mm")
	assert.Nil(t, program.dog(program.dogs()["Moss"]).Next, "nothing was written")
}

// The simulated caliper of the demonstration, with a good link and a bad one.
func TestTheCaliperTypesForTheUser(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Bobbin"]
	p := tab(t, browser(t), program.address+"/dogs/"+id+"/walk")
	p.press("summary", "Simulated caliper")
	p.sees("linked")
	p.press(".device button", "^garbage$")
	p.sees("Nothing was taken")
	p.find(".code", "LF5")
	p.press(".device button", "half a reading")
	p.sees("Half a reading came")
	p.sees("0 of 18 looked at")
	p.press(".device button", "^Send$")
	p.find(".code", "LF4")
	p.sees("1 of 18 looked at")
	p.press(".device button", "unplug")
	p.sees("link to the caliper is broken")
	p.press(".finish button", "^Save")
	p.sees("Each nail")
	assert.InDelta(t, 12.5, program.dog(id).Rank.Bars[0].Length.MM, 0.5)
	assert.Equal(t, "measured", program.dog(id).Rank.Bars[0].Length.Source)

	p.open(program.address + "/dogs/" + id + "/record")
	p.press("summary", "Simulated caliper")
	p.sees("linked")
	p.press(".device button", "^Send$")
	p.find(".code", "LH3")
	p.sees("As planned")
}

// Dragging forward asks the server for nothing: the core handed over what is needed once.
func TestDraggingTheDayForwardGrowsTheNails(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/dogs/"+program.dogs()["Gantry"])
	p.sees("touches at") // its history too
	flat := func() int { return p.MustEval(`() => document.querySelectorAll('.rank.large .touch').length`).Int() }
	before := flat()
	asked := 0
	stop := p.EachEvent(func(*proto.NetworkRequestWillBeSent) { asked++ })
	go stop()
	for _, to := range []int{7, 14, 30, 60} {
		p.MustEval(
			`day => { const slider = document.getElementById('day'); slider.value = day; slider.dispatchEvent(new Event('input')) }`,
			to,
		)
		p.sees("in " + map[int]string{7: "7", 14: "14", 30: "30", 60: "60"}[to] + " days")
	}
	assert.Greater(t, flat(), before)
	assert.Zero(t, asked)
	require.NoError(t, p.MustElement("#day").Focus())
	require.NoError(t, p.Keyboard.Type(input.ArrowLeft))
	p.sees("in 59 days")
}

func TestANailInSectionAndItsSchools(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Oatcake"]
	p := tab(t, browser(t), program.address+"/dogs/"+id)
	p.press("td a", "^LF3$")
	p.sees("Four schools of cut")
	p.sees("cut square")
	p.keys("3")
	p.press("button", "nails steep")
	p.sees("nails are cut steep")
	assert.Equal(t, "steep", program.dog(id).Dog.School)
	ridge := func() string {
		return p.MustEval(`() => document.querySelector('.school.chosen .numbers b')?.innerText ?? 'nothing'`).Str()
	}
	before := ridge()
	p.MustEval(
		`() => { const m = document.getElementById('margin'); m.value = 0.5; m.dispatchEvent(new Event('input')) }`,
	)
	p.sees("Safety margin: 0.5 mm")
	p.waits(
		rod.Eval(
			`before => (document.querySelector('.school.chosen .numbers b')?.innerText ?? 'nothing') !== before`,
			before,
		),
		"the page moved on",
	)
	p.keys("n")
	p.sees("LF2")
	into := t.TempDir()
	require.NoError(
		t,
		proto.BrowserSetDownloadBehavior{
			Behavior:         proto.BrowserSetDownloadBehaviorBehaviorAllow,
			BrowserContextID: p.Browser().BrowserContextID,
			DownloadPath:     into,
		}.Call(p.Browser()),
	)
	p.press("button", "Save the drawing")
	var drawing []byte
	require.Eventually(t, func() bool {
		var err error
		drawing, err = os.ReadFile(filepath.Join(into, "Oatcake LF2.svg"))
		return err == nil && len(drawing) > 0
	}, patience, patience/100)
	assert.Contains(t, string(drawing), "<svg")
	assert.NotContains(t, string(drawing), "var(--", "its colours are written into it")
}

func TestATornNailIsDrawnButNoCutIsAdvised(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/dogs/"+program.dogs()["Marl"]+"/nails/RF3")
	p.sees("No cut is advised for this nail: a veterinarian first.")
	assert.False(t, p.MustHas(".school"))
}

// Per paw, then per nail: a whole dog in a few taps.
func TestAWholePawIsToldAtOnce(t *testing.T) {
	t.Parallel()
	program, p := walked(t)
	p.press(".scope button", "the whole paw LF")
	for range 4 {
		p.press(".choices button", "bank card passes")
		p.press(".choices button", "^dark")
		if found, _, err := p.HasR("button", "Next paw"); err == nil && found {
			p.press("button", "Next paw")
		}
	}
	p.sees("18 of 18 looked at")
	p.press(".finish button", "^Save")
	p.sees("Each nail")
	for _, bar := range program.dog(program.dogs()["Moss"]).Rank.Bars {
		assert.Equal(t, "dark", bar.Colour, bar.Code)
		if bar.Code[2] != '1' {
			assert.Equal(t, "measured", bar.Gap.Source, bar.Code)
		}
	}
}

func TestAnUnsavedWalkRoundIsKept(t *testing.T) {
	t.Parallel()
	program, p := walked(t)
	p.press(".more button", "^LH1b$")
	p.keys("c n n n n")
	p.find(".code", "LF1")
	p.press(".choices button", "not there")
	p.open(p.MustInfo().URL) // the tab was closed and opened again
	p.sees("2 of 18 looked at")
	p.press(".finish button", "^Save")
	p.sees("18 nails") // one more, one less
	bars := program.dog(program.dogs()["Moss"]).Rank.Bars
	assert.Equal(t, "RF1", bars[4].Code)
	assert.Equal(t, "LH1b", bars[13].Code)
}
