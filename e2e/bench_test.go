package e2e

import (
	"fmt"
	"math/rand/v2"
	"path/filepath"
	"strconv"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// bench is what the tests read of a sitting under the hands.
type bench struct {
	Ended bool
	Nails []struct {
		Code   string
		Cuts   []struct{ MM float64 }
		Blood  bool
		Ground bool
	}
	Arrival struct{ Touching string }
}

// toFloor is what a dog's nails are believed to have left to the floor, mm together.
func (p *program) toFloor(id string) (sum float64) {
	p.t.Helper()
	var view struct {
		Rank struct {
			Bars []struct {
				ToFloor float64 `json:"to_floor_mm"`
			}
		}
	}
	p.get("/api/dogs/"+id, &view)
	for _, bar := range view.Rank.Bars {
		sum += bar.ToFloor
	}
	return sum
}

func (b bench) cuts() int {
	n := 0
	for _, nail := range b.Nails {
		n += len(nail.Cuts)
	}
	return n
}

// atBench starts a sitting with a dog and returns its address in the interface.
func atBench(p page, program *program, id string) string {
	p.t.Helper()
	p.open(program.address + "/dogs/" + id + "/ready")
	p.press("button", "^Start")
	p.sees("to go today")
	where, err := p.Eval(`() => location.pathname`)
	require.NoError(p.t, err)
	at := where.Value.Str() // /dogs/DOG/bench/SITTING
	return "/api/dogs/" + id + "/sittings/" + at[len("/dogs/"+id+"/bench/"):] + "/bench"
}

// toGo is how many nails are still to be done today.
func (p page) toGo() int {
	p.t.Helper()
	n, err := strconv.Atoi(p.MustElement(".tally strong:nth-of-type(2)").MustText())
	require.NoError(p.t, err)
	return n
}

// saved waits until nothing waits in the browser any more: a tap goes into its own database first, and waits there.
func (p page) saved() {
	p.t.Helper()
	_, _ = p.Timeout(patience).
		Eval(drawn)
		// what was pressed has arrived by then; a page that was left meanwhile is gone
	p.waits(
		rod.Eval(`() => document.body !== null && !document.querySelector('[aria-busy=true]') &&
			!document.body.innerText.includes('not yet saved')`),
		"everything saved",
	)
}

// One press a nail is enough for a whole dog, by keys, by a two-button pedal, and by thumb: as planned, or
// what the end shows.
func TestAWholeDogIsAPressANail(t *testing.T) {
	t.Parallel()
	for way, told := range map[string]func(p page, nail int){
		"keys": func(p page, nail int) {
			if nail%3 == 0 {
				p.keys("+ 3") // one cut more than was likely, and the dark centre
			} else {
				p.keys("3")
			}
		},
		"pedal": func(p page, nail int) { p.keys([]string{"PageDown", "PageUp"}[nail%2]) },
		"thumb": func(p page, nail int) { p.press(".faces button", "light grey|pinkish") },
	} {
		t.Run(way, func(t *testing.T) {
			program := start(t, "demo", "--today", day, "--listen", anywhere)
			id := program.dogs()["Lantern"]
			p := tab(t, browser(t), program.address)
			if way == "thumb" {
				p.size(390, 844)
			}
			at := atBench(p, program, id)
			today, presses := p.toGo(), 0
			require.Greater(t, today, 3)
			for left := today - 1; left >= 0; left-- {
				p.sees("Look after each")
				told(p, presses)
				presses++
				p.sees(fmt.Sprintf("%d to go today", left))
			}
			assert.Equal(t, today, presses)
			p.keys("PageDown") // the pedal ends the sitting
			p.sees("Lantern is done")
			var b bench
			program.get(at, &b)
			assert.True(t, b.Ended)
			assert.Equal(t, today, program.dog(id).Sittings[0].Nails)
		})
	}
}

// At the first nail, beneath the note of last time, the press that tells most nails is in sight on a telephone.
func TestTheUsualPressIsInSight(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address)
	p.size(390, 844)
	atBench(p, program, program.dogs()["Windlass"])
	p.press(".arrival button", "none")
	p.saved()
	p.sees("Last time:")
	p.sees("Look after each")
	p.MustEval(`() => window.scrollTo(0, 0)`)
	done, bar := p.box(".press .next", "Done, no sign seen"), p.box(".reach", "")
	assert.LessOrEqual(t, done.Y+done.Height, bar.Y)
}

// However fast one presses, each press is the next nail's; and a calm dog's eighteen nails are eighteen presses.
func TestEighteenNailsInEighteenPresses(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Clove"]
	p := tab(t, browser(t), program.address)
	at := atBench(p, program, id)
	require.Equal(t, 18, p.toGo())
	p.sees("Look after each")
	p.keys("3 3 3")
	p.sees("15 to go today")
	for left := 14; left >= 0; left-- {
		p.sees("Look after each")
		p.keys("3")
		p.sees(fmt.Sprintf("%d to go today", left))
	}
	p.saved()
	var b bench
	program.get(at, &b)
	done := 0
	for _, n := range b.Nails {
		if len(n.Cuts) > 0 && len(n.Cuts) < 12 {
			done++
		}
	}
	assert.Equal(t, 18, done)
	p.find("#tool", "").MustSelect("sanding band, 60 grit") // and then it is ground round: one press a paw
	p.sees("Shorten it with the grinder too")
	p.saved()
	for _, paw := range []string{"LH", "RH", "LF", "RF"} {
		p.press("button", "Ground round, all of "+paw)
		p.find(".second button[disabled]", paw)
	}
	p.saved()
	program.get(at, &b)
	ground := 0
	for _, n := range b.Nails {
		if n.Ground {
			ground++
		}
	}
	assert.Equal(t, 18, ground)
}

// A nail told in one press is taken back in one.
func TestAPressIsUndoneAsOne(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address)
	at := atBench(p, program, program.dogs()["Gantry"])
	p.keys("3")
	p.sees("1 done")
	p.saved()
	p.keys("u")
	p.sees("0 done")
	p.sees("Look after each")
	p.saved()
	var b bench
	program.get(at, &b)
	assert.Zero(t, b.cuts())
}

// A new hand is asked one thing at a time, and no cut can be pressed before the last face is told. What
// the eye sees overrules the number, and undo takes any of it back.
func TestStepByStep(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	atBench(p, program, program.dogs()["Moss"])
	p.sees("4 to go today") // a new hand and a new dog
	p.sees("Light or dark?")
	p.press("button", "Cannot tell")
	p.sees("Where does the groove end")
	p.saved()
	p.press(".under", "") // the mark goes where it is pressed
	p.find("button", "Here: .* from the tip")
	p.keys("2")
	p.sees("Cut 0.5 mm, look")
	p.sees("to bleed. Stop at")
	p.saved()
	p.keys("Space")
	p.sees("What does the end show?")
	p.saved()
	p.keys("Space Space t") // no cut before the face is told, however fast one presses
	p.sees("1 cut")
	p.keys("2")
	p.sees("mm, look")
	p.saved()
	p.keys("Space")
	p.sees("2 cuts")
	p.saved()
	p.keys("6") // of the seven that a nail of unknown colour may show
	p.sees("dot: the quick is right behind it")
	p.sees("Smooth: done")
	p.keys("u")
	p.sees("What does the end show?")
	p.keys("s")
	p.find(".code", "LH3")
}

// steps chooses one question at a time.
func (p page) steps() {
	p.t.Helper()
	if offered, _, err := p.HasR(".pace", "Step by step"); err == nil && offered {
		p.press(".pace", "Step by step")
	}
	p.find(".pace", "One press a nail")
}

// grinder takes a grinder in the hand.
func (p page) grinder() {
	p.t.Helper()
	require.NoError(p.t, p.find("#tool", "").Select([]string{"sanding band"}, true, rod.SelectorTypeText))
	p.sees("at most 3 s on the nail")
	p.saved()
}

func TestBloodStopsTheNailAndIsNotLost(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Oatcake"]
	p := tab(t, browser(t), program.address)
	p.size(390, 844)
	at := atBench(p, program, id)
	p.keys("b")
	p.sees("A little blood goes a long way")
	p.sees("Hold it, do not look yet")
	p.press("button", "Still bleeding")
	p.sees("Call a veterinarian now")
	p.press("dialog button", "End the trim")
	p.sees("Oatcake: enough for today")
	p.sees("Bled:")
	var b bench
	program.get(at, &b)
	bled := 0
	for _, n := range b.Nails {
		if n.Blood {
			bled++
		}
	}
	assert.Equal(t, 1, bled)
	p.open(program.address + "/dogs/" + id)
	p.sees("bled last time")
}

func TestTheGrinderHasItsClock(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address)
	at := atBench(p, program, program.dogs()["Kipper"])
	p.sees("at most 3 s on the nail")
	p.keys("t")
	p.sees("1 touch")
	p.sees("lift, look, let it cool")
	p.saved()
	var b bench
	program.get(at, &b)
	assert.Equal(t, 1, b.cuts())
}

// A dead server, ten times, at any moment: every tap is there, once.
func TestKillingTheServerTenTimesLosesNoTap(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	p := tab(t, browser(t), program.address)
	firstDog(p)
	at := atBench(p, program, program.dogs()["Moss"])
	p.grinder()
	port := program.port()
	moment := rand.New(rand.NewPCG(4, 2))
	taps := 0
	tap := func() {
		p.keys("t")
		taps++
	}
	for range 10 {
		for range moment.IntN(4) {
			tap()
		}
		time.Sleep(time.Duration(moment.IntN(40)) * time.Millisecond)
		program.kill()
		tap()
		p.sees("Kept here, not yet saved")
		p.sees("look at the cut end after each, stop at any dark centre")
		program = serve(t, data, day, port)
		if moment.IntN(2) == 0 { // the tab was closed meanwhile, and is opened again
			p.open(p.MustInfo().URL)
			p.sees("to go today")
		}
	}
	count := func() int {
		var b bench
		program.get(at, &b)
		return b.cuts()
	}
	require.Eventually(t, func() bool { return count() >= taps }, patience, 100*time.Millisecond, "every tap is there")
	p.saved()
	assert.Equal(t, taps, count(), "once")
}

func TestTwoBrowsersOnOneSitting(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Fig"]
	first := tab(t, browser(t), program.address)
	at := atBench(first, program, id)
	first.grinder()
	first.keys("t t")
	first.sees("2 touches")
	first.saved()
	second := tab(t, browser(t), program.address+"/dogs/"+id)
	second.press("a", "Go on at the bench")
	second.sees("2 touches") // told by the other
	second.keys("t")
	second.saved()
	first.sees("3 touches")
	second.open(program.address + "/dogs/" + id + "/ready")
	second.sees("Go on at the bench") // no second sitting beside the one under way
	second.keys("g b")
	second.sees("3 touches")
	var b bench
	program.get(at, &b)
	assert.Equal(t, 3, b.cuts())
}
