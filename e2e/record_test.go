package e2e

import (
	"path/filepath"
	"testing"
	"time"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A caliper that types like a keyboard, and single keys, are enough for a whole sitting.
func TestASittingByKeysAlone(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	p.press("a", "Record a trim")
	p.sees("As planned")
	p.keys("1 2 . 5 Enter") // length after
	p.find(".code", "LH3")
	p.keys("Space")
	p.find(".code", "LH4")
	p.keys("s")
	p.find(".code", "LH5")
	p.keys("b")
	p.sees("It bled")
	p.sees("call a veterinarian")
	p.keys("n s u") // leaves the next one out, and takes that back
	p.find(".code", "RH2")
	p.keys("a")
	p.sees("17 trimmed")
	require.NoError(t, p.KeyActions().Press(input.ControlLeft).Type(input.Enter).Do()) // Ctrl+Enter
	p.sees("Moss is done")
	kept := program.dog(program.dogs()["Moss"])
	assert.Equal(t, 17, kept.Sittings[0].Nails, "one was left out")
	assert.Equal(t, []string{"LH5"}, kept.Sittings[0].Blood)
	assert.InDelta(t, 12.5, kept.bar(t, "LH2").Length.MM, 0.2)
	assert.Equal(t, "measured", kept.bar(t, "LH2").Length.Source)
}

func TestANailLongerAfterThanBeforeIsRefusedAtTheNail(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	p.press("a", "Record a trim")
	p.keysAtNumber("length before", "12")
	p.keys("p")
	p.find(".code", "LH2")
	p.keysAtNumber("length after", "13")
	p.press("button", "Save the trim")
	p.sees("must not be more than the length before, 12.0 mm")
	p.find(".code", "LH2")
	assert.Empty(t, program.dog(program.dogs()["Moss"]).Sittings)
}

// keysAtNumber says what the number is, then types it.
func (p page) keysAtNumber(mode, number string) {
	p.t.Helper()
	p.press(".choices button", "^"+mode+"$")
	p.fill("number", number)
	p.keys("Enter")
}

func TestASittingCanBeTakenBack(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	p.press("a", "Record a trim")
	p.press("button", "All as planned")
	p.press("button", "Save the trim")
	p.press("button", "Delete this trim")
	p.sees("How to begin with")
	assert.Empty(t, program.dog(program.dogs()["Moss"]).Sittings)
}

// With wet hands on a propped phone there is only a thumb.
func TestASittingByThumbAlone(t *testing.T) {
	t.Parallel()
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	p.size(390, 844)
	firstDog(p)
	p.press("a", "Record a trim")
	p.press("button", "Leave out")
	p.find(".code", "LH3")
	p.press("button", "Blood")
	p.sees("It bled")
	p.press(".choices button", "gap after")
	p.press(".choices button", "bank card passes")
	p.find(".code", "LH4")
	require.NoError(t, p.MustElement("#tool").Select([]string{"grinder, diamond bit"}, true, "text"))
	p.press("button", "pulling")
	p.press("button", "As planned")
	p.press("button", "All as planned")
	p.press("button", "Save the trim")
	p.sees("Moss is done")
	kept := program.dog(program.dogs()["Moss"]).Sittings[0]
	assert.Equal(t, 17, kept.Nails)
	assert.Equal(t, []string{"LH3"}, kept.Blood)
	assert.Equal(t, "pulling", kept.WorstReaction)
	var plan struct{ Tool string }
	program.get("/api/dogs/"+program.dogs()["Moss"]+"/plan", &plan)
	assert.Equal(t, "grinder_diamond", plan.Tool, "next time begins with it")
}

// A caliper may send a space and a unit before its Enter: the space is no command then.
func TestACaliperThatTypesItsUnit(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	p.press("a", "Record a trim")
	p.sees("As planned")
	p.fill("number", "12.53")
	p.keys("Space m m Enter")
	p.find(".code", "LH3")
	p.fill("number", "twelve")
	p.keys("Enter")
	p.sees("is not a number of mm")
	p.fill("number", "12.1")
	p.press("button", "Save the trim") // a number still in the field belongs to its nail
	p.sees("Moss is done")
	kept := program.dog(program.dogs()["Moss"])
	assert.InDelta(t, 12.53, kept.bar(t, "LH2").Length.MM, 0.2)
	assert.InDelta(t, 12.1, kept.bar(t, "LH3").Length.MM, 0.2)
}

func TestPressingSaveTwiceKeepsOneSitting(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	p.press("a", "Record a trim")
	p.press("button", "All as planned")
	require.NoError(t, p.find("button", "Save the trim").Click(proto.InputMouseButtonLeft, 2))
	p.sees("Moss is done")
	assert.Len(t, program.dog(program.dogs()["Moss"]).Sittings, 1)
}

func TestAnUnsavedSittingWaitsUntilTomorrow(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	p := tab(t, browser(t), program.address)
	firstDog(p)
	p.press("a", "Record a trim")
	p.sees("As planned")
	p.keys("s")
	p.find(".code", "LH3")
	address, port := p.MustInfo().URL, program.port()
	program.kill()
	program = serve(t, data, tomorrow, port)
	p.open(address)
	p.sees("Going on where you were, on Tue 24 Nov")
	p.sees("17 not said")
	p.press("button", "Start over")
	p.sees("18 not said")
	p.press("button", "All as planned")
	p.press("button", "Save the trim")
	p.sees("Moss is done")
	assert.Equal(t, tomorrow, program.dog(program.dogs()["Moss"]).Sittings[0].On)
}

func TestAnOldSittingIsTakenBackOnTheDogsPage(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/dogs/"+program.dogs()["Kipper"])
	before := len(program.dog(program.dogs()["Kipper"]).Sittings)
	p.press(".take button", "Delete")
	p.sees("The trim is deleted")
	assert.Len(t, program.dog(program.dogs()["Kipper"]).Sittings, before-1)
	p.press(".undo-bar button", "Undo")
	require.Eventually(
		t,
		func() bool { return len(program.dog(program.dogs()["Kipper"]).Sittings) == before },
		patience,
		100*time.Millisecond,
	)
	p.press(".take button", "Delete")
	p.press("button", "All 49 trims")
}
