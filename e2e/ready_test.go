package e2e

import (
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A biter: nothing without a helper; then as many nails as it takes, and what was laid out goes with the sitting.
func TestGettingReadyForABiter(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Barge"]
	p := tab(t, browser(t), program.address)
	p.open(program.address + "/dogs/" + id + "/ready")
	p.sees("is not done without a helper")
	p.sees("it keeps everybody safe")
	p.sees("empty: refill it") // the jar
	p.press("button", "A helper is here")
	p.sees("18 nails today")
	p.press("summary", "How it is held")
	p.sees("a flat hand in front of the knee")
	p.press("[role=checkbox]", "muzzle")
	p.press("[role=checkbox]", "treats")
	p.open(p.MustInfo().URL) // the tab was closed and opened again
	p.sees("18 nails today")
	p.keys("Enter")
	p.sees("18 to go today")
	p.sees("protect your eyes") // where the clippings fly
	p.steps()
	p.keys("2") // where the groove ends, in between
	p.saved()
	p.sees("mm, look")
	p.keys("PageDown") // the first cut
	p.sees("What does the end show?")
	p.saved()
	p.keys("2")
	p.saved()
	p.keys("PageUp") // this nail is finished
	p.sees("17 to go today")
	p.press("button", "Enough for today")
	p.sees("Barge: enough for today, 1 of 18")
	p.sees("They wait for the next visit")
	kept := program.dog(id).Sittings[0]
	assert.Equal(t, 1, kept.Nails)
	assert.True(t, kept.Helper)
	assert.ElementsMatch(t, []string{"muzzle", "treats"}, kept.Ticks)
	p.open(program.address + "/dogs/" + id + "/ready")
	p.sees("not laid out last time")
}

func TestWhyThisTool(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/dogs/"+program.dogs()["Windlass"]+"/ready")
	p.press(".tool", "clipper")
	p.sees("the size for a dog of 13.6 kg and over")
	p.sees("blunt: it took force")
	p.sees("Where practitioners disagree")
	p.press("button", "for smoothing")
	p.sees("a cutter does not smooth")
	p.sees("120 grit")
}

// The clock of a sitting runs from Start; the first sign stops the calm minutes.
func TestTheClockRunsFromStart(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	p.press("a", "^Straight to the first nail$")
	p.sees("4 nails today") // a new hand and a new dog
	p.press("button", "^Start")
	p.sees("4 to go today")
	p.press(".took button", "uneasy")
	p.press("dialog.answer button", "It has eased")
	p.saved()
	p.passes(4 * time.Second) // less than three seconds are no minutes at all
	p.press("button", "End the trim")
	p.sees("Moss: enough for today")
	p.sees("They are for Wed 25 Nov")
	var view struct {
		Moods []struct {
			Minutes float64
			Calm    *float64 `json:"calm_minutes"`
		}
	}
	program.get("/api/dogs/"+program.dogs()["Moss"], &view)
	require.Len(t, view.Moods, 1)
	require.NotNil(t, view.Moods[0].Calm)
	assert.LessOrEqual(t, *view.Moods[0].Calm, view.Moods[0].Minutes)
	assert.Less(t, view.Moods[0].Minutes, 2.0)
}

func TestTheKitIsCountedAndServed(t *testing.T) {
	t.Parallel()
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	firstDog(p)
	p.keys("g k")
	p.sees("Nothing in the kit yet")
	p.press("button", "Add a piece")
	limit := p.find("label", "Due after, cuts")
	field, err := limit.Attribute("for")
	require.NoError(t, err)
	p.fill(*field, "many")
	p.press("button", "Add it to the kit")
	p.sees("must be from 1 to 100000 cuts or minutes")
	p.fill(*field, "20")
	p.press("button", "Add it to the kit")
	p.sees("0 of 20 cuts")
	p.sees("your limit")

	p.open(program.address + "/dogs/" + program.dogs()["Moss"] + "/record")
	p.sees("18 not said")
	p.keys("f a") // it took force
	p.press("button", "Save the trim")
	p.sees("Moss is done")
	p.keys("g k")
	p.sees("of 20 cuts")
	p.sees("blunt: it took force")
	p.press("button", "Sharpened")
	p.sees("0 of 20 cuts")
	p.press("button", "^Undo")
	p.sees("of 20 cuts")
	p.press("button", "^Edit")
	p.press("button", "Take it out")
	p.sees("Nothing in the kit yet")
	p.press(".undo-bar button", "Undo")
	p.sees("of 20 cuts")
}

func TestALadderByKeysAlone(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	p.press("a", "Begin a ladder")
	p.press("button", "Begin the clipper ladder")
	p.sees("Step 1 of 13")
	// once the one before is in the book: until then a key is taken for one key pressed twice
	told := func(key string) {
		p.find(".reactions button:not([disabled])", "")
		p.keys(key)
	}
	told("1")
	p.sees("Calm: 1 of 3")
	told("2")
	p.sees("stay on this step")
	told("u") // a wrong key
	p.sees("Calm: 1 of 3")
	told("1")
	p.sees("Calm: 2 of 3")
	told("1")
	p.sees("Tomorrow: step 2 of 13")
	p.sees("Enough for today")
	p.press("button", "one more try all the same")
	told("4")
	p.sees("Never force it")
	p.sees("Tomorrow: step 1 of 13")
	p.press("button", "one more try all the same")
	p.keys("t")
	p.sees("Stop")

	p.open(program.address)
	p.sees("clipper ladder, tomorrow step 1 of 13")
	p.keys("g l")
	p.sees("Through about")
	p.press("a", "^Train")
	p.press("button", "End this ladder")
	p.sees("is on no ladder")
	p.press(".undo-bar button", "Undo")
	p.sees("step 1 of 13")
}

// One paw on the ladder, the other three trimmed.
func TestOnePawInTraining(t *testing.T) {
	t.Parallel()
	_, p := keeper(t)
	p.press("a", "Begin a ladder")
	p.press(".one button", "^LH$")
	p.sees("Step 1 of 13, clipper, LH ladder")
	p.press("a", "Open Moss")
	p.sees("on the ladder")
	p.press("a", "^Get ready$")
	p.sees("4 nails today")
	p.sees("train, do not trim")
}

func TestHowADogIsHeld(t *testing.T) {
	t.Parallel()
	_, p := keeper(t)
	p.press("button", "Change the hold")
	require.NoError(t, p.MustElement("#h-order").Select([]string{"my own order"}, true, "text"))
	p.press(".own button", "4. RF")
	p.fill("h-nails", "99")
	p.press("button", "Save how it is held")
	p.sees("must be from 1 to 22 nails")
	p.fill("h-nails", "5")
	p.press("button", "Save how it is held")
	p.sees("LH RH RF LF")
	p.sees("at most 5 nails")
	p.press("a", "^Straight to the first nail$")
	p.sees("5 nails today")
	p.sees("5 nails, as you said")
}
