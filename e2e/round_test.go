package e2e

import (
	"os"
	"path/filepath"
	"slices"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// roundDay is what the interface answers of a day.
type roundDay struct {
	Visits []roundVisit
}

type roundVisit struct {
	Start, Ends     int
	State, Standing string
	Dog             struct{ Name string }
}

// visit is one dog's that day.
func (d roundDay) visit(t *testing.T, name string) (start int, state string) {
	t.Helper()
	for _, v := range d.Visits {
		if v.Dog.Name == name {
			return v.Start, v.State
		}
	}
	t.Fatalf("%s does not come", name)
	return 0, ""
}

// Between two dogs: who is next, one moved with the keys, one dragged onto another and back, a gap given away.
func TestTheRound(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	today := func() (d roundDay) { program.get("/api/round/days/"+day, &d); return d }
	p := tab(t, browser(t), program.address)
	p.sees("Search a dog")
	p.keys("go")
	p.sees("Next")
	p.sees("the owner is waiting: tell them")
	p.sees("Get Teasel ready")
	p.sees("Take Quill before Teasel") // what would ease it; nothing of it happens by itself

	before, _ := today().visit(t, "Bobbin")
	bar := p.find(".visit", "Bobbin")
	p.require(bar.Focus(), "Bobbin chosen")
	p.require(p.Keyboard.Type(input.ArrowDown, input.ArrowDown, input.Enter), "ten minutes later")
	require.Eventually(
		t,
		func() bool { after, _ := today().visit(t, "Bobbin"); return after == before+10 },
		patience,
		100*time.Millisecond,
	)

	hatch, _ := today().visit(t, "Hatch")
	at, on := p.box(".visit", "Bobbin"), p.box(".visit", "Hatch")
	mouse := p.Mouse
	p.require(mouse.MoveTo(proto.Point{X: at.X + 60, Y: at.Y + 8}), "to Bobbin")
	p.require(mouse.Down(proto.InputMouseButtonLeft, 1), "taken")
	p.require(mouse.MoveLinear(proto.Point{X: at.X + 60, Y: on.Y + 10}, 6), "onto Hatch")
	p.sees("runs into Hatch") // before it is dropped
	p.require(mouse.Up(proto.InputMouseButtonLeft, 1), "dropped")
	p.press(".visit button", "Back")
	after, _ := today().visit(t, "Bobbin")
	assert.Equal(t, before+10, after, "a move that breaks something is not made")
	still, _ := today().visit(t, "Hatch")
	assert.Equal(t, hatch, still)

	many := len(today().Visits)
	p.press(".gap button", "Windlass")
	require.Eventually(t, func() bool { return len(today().Visits) == many+1 }, patience, 100*time.Millisecond)
	p.press("button", "It does not come")
	p.press("button", "Missed")
	require.Eventually(
		t,
		func() bool { _, state := today().visit(t, "Teasel"); return state == "missed" },
		patience,
		100*time.Millisecond,
	)
	p.sees("Cancelled: Teasel")
	p.sees("Get Nettle ready")
}

// A visit is dragged onto another day at its hour, and one press puts it back; by keys as well.
func TestAVisitGoesToAnotherDay(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	tuesday, thursday := day, "2026-11-26"
	on := func(day string) bool {
		var d roundDay
		program.get("/api/round/days/"+day, &d)
		return slices.ContainsFunc(d.Visits, func(v roundVisit) bool { return v.Dog.Name == "Bobbin" })
	}
	p := tab(t, browser(t), program.address+"/round")
	at, to := p.box(".visit", "Bobbin"), p.box(".week [data-day='"+thursday+"']", "")
	mouse := p.Mouse
	p.require(mouse.MoveTo(proto.Point{X: at.X + 60, Y: at.Y + 8}), "to Bobbin")
	p.require(mouse.Down(proto.InputMouseButtonLeft, 1), "taken")
	p.require(mouse.MoveLinear(proto.Point{X: to.X + 20, Y: to.Y + 20}, 6), "onto Thursday")
	p.sees("to Thu 26 Nov")
	p.require(mouse.Up(proto.InputMouseButtonLeft, 1), "dropped")
	p.sees("Bobbin comes Thu 26 Nov")
	assert.True(t, on(thursday))
	p.press(".undo-bar button", "Undo")
	require.Eventually(t, func() bool { return on(tuesday) && !on(thursday) }, patience, 100*time.Millisecond)
	p.require(p.find(".visit", "Bobbin").Focus(), "Bobbin chosen")
	p.require(p.Keyboard.Type(input.ArrowRight, input.ArrowRight, input.Enter), "two days later")
	require.Eventually(t, func() bool { return on(thursday) }, patience, 100*time.Millisecond)
}

// Today in one place: who is next, what the day asks, who waits for a place, whom to call.
func TestTodayInOnePlace(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), program.address)
	p.sees("Search a dog")
	p.keys("gn")
	p.sees("Get Teasel ready")
	p.sees("The day asks")
	p.sees("when you are tired: Nettle")
	p.sees("the green handles")
	p.sees("Waiting for a place")
	p.find("a", "All [0-9]+, with places to offer")
	p.press("button", "is free: book it")
	p.waits(rod.Eval(`() => !document.querySelector('.waiting')`), "nobody waits")
	p.sees("Barge")
	p.size(390, 844)
	p.sees("Get Teasel ready")
	assert.LessOrEqual(t, p.MustEval(`() => document.documentElement.scrollWidth`).Int(), 390)
}

// On the telephone: whom to call, a place agreed in one press, one that is not asked again yet; the next visit where
// a sitting was saved.
func TestCallingOwners(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/round/calls")
	p.size(390, 844)
	p.sees("Windlass")
	p.press(".call:first-child .btn-go", "")
	p.sees("Windlass comes")
	p.press(".call:first-child button", "Not now")
	p.press(".call:first-child button", "ask in 2 weeks")
	p.sees("Asked again in 2 weeks")
	p.open(
		program.address + "/dogs/" + program.dogs()["Fig"] + "/saved/" + program.dog(program.dogs()["Fig"]).Sittings[0].ID,
	)
	p.sees("The next visit")
	p.press(".next-visit .btn-go", "")
	p.sees("Next visit:")
}

// Hundreds of dogs are not typed: a spreadsheet is read, matched, taken, and taken back in one press.
func TestAListIsTakenAndTakenBack(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	file := filepath.Join(t.TempDir(), "clients.csv")
	require.NoError(
		t,
		os.WriteFile(file, []byte("Who;Hund;kg;Alter\nGreta Möll;Pippin;12,5;3\nGreta Möll;Basil;;4\n"), 0o600),
	)
	p := tab(t, browser(t), program.address+"/owners/list")
	p.sees("Choose the file")
	input, err := p.Element("#list-file")
	p.require(err, "the file field")
	p.require(input.SetFiles([]string{file}), "a file chosen")
	p.sees("1 row that cannot be taken")
	p.sees("weight must be told")
	p.require(
		p.find("label", "Who").MustElement("select").Select([]string{"owner"}, true, rod.SelectorTypeText),
		"the first column matched",
	)
	p.sees("1 new dog, 1 new owner")
	p.press("button", "Take them")
	p.sees("1 dog and 1 owner are in the book.")
	assert.Contains(t, program.dogs(), "Pippin")
	p.press("button", "Take them back")
	p.sees("Deleted.")
	assert.NotContains(t, program.dogs(), "Pippin")
}
