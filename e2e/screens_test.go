package e2e

import (
	"encoding/json"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/go-rod/rod/lib/proto"
	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/photo"
)

// screen is a main view, how it is reached in the demo, and words that show it is there.
type screen struct{ name, dog, path, words string }

// unpictured are the lesser ones, of which the README shows no picture.
var unpictured = []string{
	"new-dog",
	"start",
	"ladders",
	"settings",
	"settings-page",
	"more",
	"words",
	"chart",
	"slices",
	"lost",
	"owners",
	"owner",
	"hours",
	"list",
	"calls",
	"book",
	"messages",
	"practice",
	"ends",
	"scenes",
	"blood-drill",
	"groove-drill",
	"feet-drill",
	"own-ends",
	"together",
	"hindsight",
	"owners-hindsight",
	"whole-hindsight",
}

var screens = []screen{
	{"due", "", "/", "Start"},
	{"dog", "Oatcake", "/dogs/DOG", "Each nail"},
	{"record", "Teasel", "/dogs/DOG/record", "As planned"},
	{"ready", "Windlass", "/dogs/DOG/ready", "In this order"},
	{"bench", "Windlass", "/dogs/DOG/bench/OPEN", "to go today"},
	{"ladder", "Thimble", "/dogs/DOG/ladder", "Journal"},
	{"ladders", "", "/ladder", "a step at a time"},
	{"rhythm", "Sedge", "/dogs/DOG/rhythm", "Bring the quicks back"},
	{"kit", "", "/kit", "Files and boards"},
	{"walk", "Bobbin", "/dogs/DOG/walk", "looked at"},
	{"nail", "Gantry", "/dogs/DOG/nails/RF3", "Four schools"},
	{"photo", "Fig", "/dogs/DOG/photo/LF3?picture=PICTURE", "Say how the card was held"},
	{"saved", "Oatcake", "/dogs/DOG/saved/SITTING", "is done"},
	{"new-dog", "", "/dogs/new", "Add this dog"},
	{"settings", "", "/settings", "Your days"},
	{"settings-page", "", "/settings/you", "Save settings"},
	{"more", "", "/more", "What the words mean"},
	{"words", "", "/words", "First sign"},
	{"chart", "", "/chart", "To print and hang"},
	{"slices", "", "/settings/slices", "Cut ten thin slices"},
	{"practice", "", "/practice", "How it goes"},
	{"practice-nail", "", "/practice/dark?seed=77&n=1", "Choose how thick"},
	{"ends", "", "/practice/ends?seed=5", "1 of 20"},
	{"scenes", "", "/practice/dog?seed=3", "1 of 17"},
	{"blood-drill", "", "/practice/blood?seed=3", "1 of 8"},
	{"groove-drill", "", "/practice/groove?seed=3", "1 of 8"},
	{"feet-drill", "", "/practice/feet?seed=3", "1 of 8"},
	{"own-ends", "", "/practice/own", "1 of 12"},
	{"together", "", "/practice/dark/together?seed=271828", "nobody named"},
	{"hindsight", "Winch", "/dogs/DOG/hindsight", "lay in the range"},
	{"owners-hindsight", "", "/owners/OWNER/hindsight", "What was said beforehand"},
	{"whole-hindsight", "", "/hindsight", "Work it out anew"},
	{"today", "", "/today", "Then"},
	{"round", "", "/round", "Next"},
	{"calls", "", "/round/calls", "the most urgent first"},
	{"book", "", "/round/book", "Book a visit"},
	{"owners", "", "/owners", "Petra Lund"},
	{"owner", "", "/owners/NEW?new", "A new owner"},
	{"messages", "", "/messages", "The other side"},
	{"list", "", "/owners/list", "Choose the file"},
	{"hours", "", "/round/week", "Save the hours"},
	{"start", "", "/start", "Who are you?"},
	{"lost", "", "/nowhere", "Nothing here"},
}

func (s screen) address(p *program) string {
	if s.dog == "" {
		var owners struct{ Owners []struct{ ID string } }
		if strings.Contains(s.path, "OWNER") {
			p.get("/api/owners", &owners)
			return p.address + strings.Replace(s.path, "OWNER", owners.Owners[0].ID, 1)
		}
		return p.address + strings.Replace(s.path, "NEW", uuid.NewString(), 1)
	}
	id := p.dogs()[s.dog]
	sitting, open, picture := "", "", ""
	if strings.Contains(s.path, "PICTURE") {
		var kept struct{ Pictures []struct{ ID, Code string } }
		p.get("/api/dogs/"+id+"/pictures", &kept)
		for i := len(kept.Pictures) - 1; i >= 0; i-- { // the latest of a paw
			if kept.Pictures[i].Code == "" {
				picture = kept.Pictures[i].ID
			}
		}
	}
	if strings.Contains(s.path, "OPEN") {
		open = p.open(id)
	}
	if kept := p.dog(id).Sittings; len(kept) > 0 {
		sitting = kept[0].ID
	}
	return p.address + strings.NewReplacer("DOG", id, "SITTING", sitting, "OPEN", open, "PICTURE", picture).
		Replace(s.path)
}

// Every screen, light and dark, on a table and on a phone, without serious findings of axe-core.
func TestScreensAreAccessible(t *testing.T) {
	t.Parallel()
	axe, err := os.ReadFile("../web/node_modules/axe-core/axe.min.js")
	require.NoError(t, err, "run make web first")
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), "about:blank")
	complaints := p.complaints()
	defer func() { assert.Empty(t, *complaints, "the pages complain in the console") }()
	for _, s := range screens {
		for _, dark := range []bool{false, true} {
			for _, width := range []int{1280, 390} {
				if dark && width == 390 { // its colours are those of the wide one, its shape that of the light one
					continue
				}
				p.size(width, 844)
				p.dark(dark)
				p.open(s.address(program))
				p.sees(s.words)
				p.opensAll()
				assert.Empty(t, p.findings(string(axe)), "%s, dark %v, %d wide", s.name, dark, width)
				wider, err := p.Eval(
					`() => document.documentElement.scrollWidth - document.documentElement.clientWidth`,
				)
				require.NoError(t, err)
				assert.Zero(t, wider.Value.Int(), "%s is wider than %d", s.name, width)
			}
		}
	}
}

// At twice the size, or with the system's own colours, nothing is cut off and nothing that can be pressed lacks an
// outline.
func TestScreensAtTwiceTheSizeAndInForcedColours(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), "about:blank")
	p.size(640, 400) // 1280 by 800 at 200 %
	p.require(
		proto.EmulationSetEmulatedMedia{
			Features: []*proto.EmulationMediaFeature{
				{Name: "forced-colors", Value: "active"},
				{Name: "prefers-reduced-motion", Value: "reduce"},
			},
		}.Call(p),
		"forced colours",
	)
	for _, s := range screens {
		p.open(s.address(program))
		p.sees(s.words)
		wider, err := p.Eval(`() => document.documentElement.scrollWidth - document.documentElement.clientWidth`)
		require.NoError(t, err)
		assert.Zero(t, wider.Value.Int(), "%s is wider than the page", s.name)
		moving, err := p.Eval(`() => document.getAnimations().filter((a) => a.playState === 'running').length`)
		require.NoError(t, err)
		assert.Zero(t, moving.Value.Int(), "%s moves", s.name)
	}
}

// A trim from Ready to Saved for somebody who hears the page: every control in reading order with its role and a name
// of its own, by the browser's accessibility tree.
func TestEveryControlOfATrimSaysWhatItIs(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), "about:blank")
	for _, name := range []string{"ready", "bench", "record", "saved"} {
		s := screens[slices.IndexFunc(screens, func(s screen) bool { return s.name == name })]
		p.open(s.address(program))
		p.sees(s.words)
		tree, err := proto.AccessibilityGetFullAXTree{}.Call(p)
		require.NoError(t, err)
		controls := 0
		for _, n := range tree.Nodes {
			if n.Ignored || n.Role == nil ||
				!slices.Contains(
					[]string{
						"button",
						"link",
						"textbox",
						"combobox",
						"checkbox",
						"switch",
						"slider",
						"radio",
						"spinbutton",
						"searchbox",
					},
					n.Role.Value.Str(),
				) {
				continue
			}
			controls++
			if assert.NotNil(t, n.Name, "%s: a %s without a name", name, n.Role.Value) {
				assert.NotEmpty(t, strings.TrimSpace(n.Name.Value.Str()), "%s: a %s without a name", name, n.Role.Value)
			}
		}
		assert.Greater(t, controls, 8, name)
	}
}

// complaints gathers what the pages throw, or write to the console as an error or a warning.
func (p page) complaints() *[]string {
	var all []string
	wait := p.EachEvent(
		func(e *proto.RuntimeExceptionThrown) { all = append(all, e.ExceptionDetails.Text) },
		func(e *proto.RuntimeConsoleAPICalled) {
			if e.Type == proto.RuntimeConsoleAPICalledTypeError || e.Type == proto.RuntimeConsoleAPICalledTypeWarning {
				for _, a := range e.Args {
					all = append(all, a.Value.String()+a.Description)
				}
			}
		},
		func(e *proto.LogEntryAdded) {
			if e.Entry.Level == proto.LogLogEntryLevelError {
				all = append(all, e.Entry.Text+" "+e.Entry.URL)
			}
		},
	)
	go wait()
	return &all
}

// opensAll opens what is folded, so that it is looked at too.
func (p page) opensAll() {
	p.t.Helper()
	_, err := p.Eval(`() => {
		document.querySelectorAll('details').forEach((d) => (d.open = true));
		[...document.querySelectorAll('button')].filter((b) => b.innerText.startsWith('Change')).forEach((b) => b.click());
	}`)
	require.NoError(p.t, err)
}

// findings runs axe-core and returns its serious findings, a line each.
func (p page) findings(axe string) []string {
	p.t.Helper()
	_, err := proto.RuntimeEvaluate{Expression: axe}.Call(p) // as the debugger may: the page's policy forbids eval
	require.NoError(p.t, err)
	got, err := p.Timeout(time.Minute).
		Eval(`async () => JSON.stringify((await axe.run({ resultTypes: ['violations'] })).violations
		.filter((v) => ['serious', 'critical'].includes(v.impact))
		.map((v) => v.id + ': ' + v.nodes.slice(0, 3).map((n) => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).join(' | ')))`)
	require.NoError(p.t, err)
	var lines []string
	require.NoError(p.t, json.Unmarshal([]byte(got.Value.Str()), &lines))
	return lines
}

// Pictures of the main views for the README; make screenshots asks for them.
func TestScreenshots(t *testing.T) {
	t.Parallel()
	into := os.Getenv("FRIBBET_SCREENSHOTS")
	if into == "" {
		t.Skip("only for make screenshots")
	}
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), "about:blank")
	keep := func(file string) {
		picture, err := p.Screenshot(false, nil)
		require.NoError(t, err)
		require.NoError(t, os.WriteFile(filepath.Join(into, file+".png"), picture, 0o600))
	}
	shoot := func(file string, s screen, width, height int, dark bool) {
		p.size(width, height)
		p.dark(dark)
		p.open(s.address(program))
		p.sees(s.words)
		p.settled()
		keep(file)
	}
	for _, s := range screens {
		if !slices.Contains(unpictured, s.name) && s.name != "photo" {
			shoot(s.name, s, 1280, 800, false)
		}
	}
	named := func(name string) screen {
		return screens[slices.IndexFunc(screens, func(s screen) bool { return s.name == name })]
	}
	p.open(named("practice-nail").address(program))
	p.sees(named("practice-nail").words)
	p.press(".ways button", "^Cut")
	p.sees("What does it show?")
	keep("practice-nail")
	for _, name := range []string{"today", "bench"} {
		shoot(name+"-phone", named(name), 390, 844, false)
	}
	p.keys("b") // over the bench that was just shown
	p.sees("A little blood goes a long way")
	keep("blood-phone")
	p.size(1280, 800)
	p.open(named("photo").address(program))
	p.sees(named("photo").words)
	p.press(".held button", "beside the nail")
	p.press("button", "bend of the ridge")
	for _, one := range []struct {
		label string
		at    photo.Point
	}{{"tip", photo.Point{X: 1077, Y: 991}}, {"coat line", photo.Point{X: 946, Y: 884}}, {"bend of the ridge", photo.Point{X: 1020, Y: 927}}} {
		p.drags(one.label, one.at)
	}
	p.sees("pixels a millimetre")
	p.MustEval(`() => scrollTo(0, 0)`)
	p.settled()
	keep("photo")
	p.size(700, 1000)
	p.open(named("saved").address(program))
	p.sees("Print the card")
	p.print()
	keep("card")
}
