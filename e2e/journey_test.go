package e2e

import (
	"path/filepath"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

const (
	day      = "2026-11-24"
	tomorrow = "2026-11-25"
	anywhere = "127.0.0.1:0"
)

// firstDog answers the first start as a nervous keeper would: a name, a size, an age.
func firstDog(p page) {
	p.t.Helper()
	p.sees("Who are you?")
	p.fill("name", "Moss")
	p.press(".sizes button", "15–30")
	p.fill("years", "4")
	p.press("button", "Show its nails")
	p.sees("Look at the feet now")
}

func TestFromFirstStartToTomorrowsDueList(t *testing.T) {
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	p := tab(t, browser(t), program.address)
	firstDog(p)
	p.press("a", "Record a sitting")
	p.sees("Every nail starts as planned")
	p.press("button", "Save the sitting")
	p.sees("Moss is done")
	p.sees("reach the floor")
	kept := program.dog(program.dogs()["Moss"])
	require.NotNil(t, kept.Next)
	assert.Equal(t, 18, kept.Sittings[0].Nails)

	program.kill()
	program = serve(t, data, tomorrow, anywhere)
	p.open(program.address)
	p.sees("Moss")
	p.sees(kept.Next.Reason)
	assert.Equal(t, kept.Next.Due, program.dog(program.dogs()["Moss"]).Next.Due)
}

func TestAGroomerCanStartWithAnEmptyBook(t *testing.T) {
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	p.press("label", "Groomer")
	p.press("button", "Start with an empty book")
	p.sees("No dogs in the book yet")
}

func TestARefusalStandsBesideItsField(t *testing.T) {
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	p.sees("Who are you?")
	p.fill("name", "Moss")
	p.fill("weight", "500")
	p.fill("years", "4")
	p.press("button", "Show its nails")
	p.sees("must be from 0.1 to 160 kg")
	refused := p.find(".refused", "500")
	field, err := p.Element("#weight")
	require.NoError(t, err)
	id, err := refused.Attribute("id")
	require.NoError(t, err)
	described, err := field.Attribute("aria-describedby")
	require.NoError(t, err)
	assert.Equal(t, *id, *described, "the message belongs to the field")
	assert.Empty(t, program.dogs(), "nothing was written")

	p.fill("weight", "22")
	p.press("button", "Show its nails")
	p.sees("Look at the feet now")
	assert.Len(t, program.dogs(), 1)
}

// A caliper that types like a keyboard, and single keys, are enough for a whole sitting.
func TestASittingByKeysAlone(t *testing.T) {
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	firstDog(p)
	p.press("a", "Record a sitting")
	p.sees("As planned")
	p.keys("1 2 . 5 Enter") // length after
	p.find(".code", "LF4")
	p.keys("Space")
	p.find(".code", "LF3")
	p.keys("s")
	p.find(".code", "LF2")
	p.keys("b")
	p.sees("It bled")
	p.sees("call a veterinarian")
	p.keys("n s u") // leaves the dewclaw out, and takes that back
	p.find(".code", "LF1")
	require.NoError(t, p.KeyActions().Press(input.ControlLeft).Type(input.Enter).Do()) // Ctrl+Enter
	p.sees("Moss is done")
	kept := program.dog(program.dogs()["Moss"])
	assert.Equal(t, 17, kept.Sittings[0].Nails, "one was left out")
	assert.Equal(t, []string{"LF2"}, kept.Sittings[0].Blood)
	assert.Equal(t, 12.5, kept.Rank.Bars[0].Length.MM)
	assert.Equal(t, "measured", kept.Rank.Bars[0].Length.Source)
}

func TestANailLongerAfterThanBeforeIsRefusedAtTheNail(t *testing.T) {
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	firstDog(p)
	p.press("a", "Record a sitting")
	p.keysAtNumber("before", "12")
	p.keys("p")
	p.find(".code", "LF5")
	p.keysAtNumber("length after", "13")
	p.press("button", "Save the sitting")
	p.sees("must not be more than the length before, 12 mm")
	p.find(".code", "LF5")
	assert.Empty(t, program.dog(program.dogs()["Moss"]).Sittings)
}

// keysAtNumber says what the number is, then types it.
func (p page) keysAtNumber(mode, number string) {
	p.t.Helper()
	p.press(".modes button", "^"+mode+"$")
	p.fill("number", number)
	p.keys("Enter")
}

// A power cut in mid-sitting, a closed tab: every tap is there once.
func TestTheServerKilledInMidSittingLosesNothing(t *testing.T) {
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	b := browser(t)
	p := tab(t, b, program.address)
	firstDog(p)
	p.press("a", "Record a sitting")
	p.sees("As planned")
	p.keys("s s")
	address, port := p.MustInfo().URL, program.port()
	program.kill()
	p.keys("s")
	p.press("button", "Save the sitting")
	p.sees("Kept here, not yet saved")

	program = serve(t, data, day, port)
	require.NoError(t, p.Close())
	p = tab(t, b, address)
	p.sees("Going on where you were")
	p.sees("15 trimmed")
	p.press("button", "Save the sitting")
	p.sees("Moss is done")
	kept := program.dog(program.dogs()["Moss"])
	assert.Len(t, kept.Sittings, 1)
	assert.Equal(t, 15, kept.Sittings[0].Nails)
}

func TestTheSecondTabIsTold(t *testing.T) {
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	b := browser(t)
	first := tab(t, b, program.address)
	firstDog(first)
	second := tab(t, b, first.MustInfo().URL)
	for _, p := range []page{first, second} {
		p.press(".section button", "^Change$")
		p.sees("Pavement walking")
	}
	first.fill("p-pavement", "20")
	first.press("button", "Save the profile")
	first.sees("20 km of pavement a week")
	second.fill("p-pavement", "3")
	second.press("button", "Save the profile")
	second.sees("Changed elsewhere since you opened it")
	assert.Equal(t, 20.0, program.dog(program.dogs()["Moss"]).Dog.Pavement)

	second.press("button", "Load it again")
	second.press("button", "Save the profile")
	second.sees("20 km of pavement a week")
}

func TestASittingCanBeTakenBack(t *testing.T) {
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	firstDog(p)
	p.press("a", "Record a sitting")
	p.press("button", "Save the sitting")
	p.press("button", "Take this sitting back")
	p.sees("Look at the feet now")
	assert.Empty(t, program.dog(program.dogs()["Moss"]).Sittings)
}

func TestInchesAndPounds(t *testing.T) {
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	firstDog(p)
	p.open(program.address + "/settings")
	p.sees("Lengths in")
	require.NoError(t, p.MustElement("#length").Select([]string{"inches"}, true, "text"))
	p.press("button", "Save settings")
	p.sees("Saved.")
	id := program.dogs()["Moss"]
	p.open(program.address + "/dogs/" + id + "/record")
	p.keysAtNumber("length after", "0.5") // half an inch is 12.7 mm exactly
	p.press("button", "Save the sitting")
	p.sees("Moss is done")
	assert.InDelta(t, 12.7, program.dog(id).Rank.Bars[0].Length.MM, 1e-9)
}

func TestNothingIsAskedOfAnyoneElse(t *testing.T) {
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), "about:blank")
	asked := map[string]bool{}
	wait := p.EachEvent(func(e *proto.NetworkRequestWillBeSent) { asked[e.Request.URL] = true },
		func(e *proto.PageLoadEventFired) bool { return true })
	require.NoError(t, p.Navigate(program.address))
	wait()
	p.sees("Demonstration")
	assert.NotEmpty(t, asked)
	for url := range asked {
		assert.Regexp(t, `^(`+program.address+`|data:)`, url)
	}
}

func TestSearchFindsADog(t *testing.T) {
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/settings")
	p.sees("Settings")
	p.keys("/")
	p.sees("13 dogs")
	p.fill("search", "плю")
	p.sees("Плюшка")
	gone, err := p.Timeout(patience).Eval(`() => !document.body.innerText.includes('Gantry')`)
	require.NoError(t, err)
	assert.True(t, gone.Value.Bool())
}
