package e2e

import (
	"io"
	"net/http"
	"path/filepath"
	"testing"
	"time"

	"github.com/go-rod/rod"
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
	p.sees("How to begin with")
}

// keeper is a program just begun with, and its first dog's page.
func keeper(t *testing.T) (*program, page) {
	t.Helper()
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	firstDog(p)
	return program, p
}

func TestFromFirstStartToTomorrowsDueList(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	p := tab(t, browser(t), program.address)
	firstDog(p)
	p.press("a", "Record a trim")
	p.sees("0 trimmed · 18 not said") // nothing that nobody told is told as done
	p.press("button", "All as planned")
	p.press("button", "Save the trim")
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
	t.Parallel()
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	p.press("label", "Groomer")
	p.press("button", "Start with an empty book")
	p.sees("No dogs in the book yet")
}

func TestARefusalStandsBesideItsField(t *testing.T) {
	t.Parallel()
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	p := tab(t, browser(t), program.address)
	p.sees("Who are you?")
	p.fill("name", "")
	p.fill("weight", "500")
	p.find(".refused", "Name is still missing") // before anything is sent
	p.fill("name", "Moss")
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
	p.sees("How to begin with")
	assert.Len(t, program.dogs(), 1)
}

// A power cut in mid-sitting, a closed tab: every tap is there once.
func TestTheServerKilledInMidSittingLosesNothing(t *testing.T) {
	t.Parallel()
	data := filepath.Join(t.TempDir(), "book.db")
	program := serve(t, data, day, anywhere)
	b := browser(t)
	p := tab(t, b, program.address)
	firstDog(p)
	p.press("a", "Record a trim")
	p.sees("As planned")
	p.keys("s s")
	address, port := p.MustInfo().URL, program.port()
	program.kill()
	p.keys("s")
	require.NoError(t, p.Close())
	program = serve(t, data, day, port)
	p = tab(t, b, address)
	p.sees("Going on where you were")
	p.sees("15 not said")
	p.press("button", "All as planned")
	program.kill()
	p.press("button", "Save the trim")
	p.sees("Kept in this browser, not yet in the book")
	require.NoError(t, p.Close())

	program = serve(t, data, day, port)
	p = tab(t, b, program.address+"/") // any screen sends it, once, and whoever comes back is told
	require.Eventually(
		t,
		func() bool { return len(program.dog(program.dogs()["Moss"]).Sittings) == 1 },
		patience,
		100*time.Millisecond,
	)
	p.open(address)
	p.sees("which was on its way, is in the book")
	kept := program.dog(program.dogs()["Moss"])
	assert.Len(t, kept.Sittings, 1)
	assert.Equal(t, 15, kept.Sittings[0].Nails)
}

func TestTheSecondTabIsTold(t *testing.T) {
	t.Parallel()
	program := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	b := browser(t)
	first := tab(t, b, program.address)
	firstDog(first)
	second := tab(t, b, first.MustInfo().URL)
	for _, p := range []page{first, second} {
		p.press(".fold button", "^Change$")
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

func TestInchesAndPounds(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	p.open(program.address + "/settings/units")
	p.sees("Lengths in")
	require.NoError(t, p.MustElement("#length").Select([]string{"inches"}, true, "text"))
	p.press("button", "Save settings")
	p.sees("Saved.")
	id := program.dogs()["Moss"]
	p.open(program.address + "/dogs/" + id + "/record")
	p.keysAtNumber("length after", "0.5") // half an inch is 12.7 mm exactly
	p.press("button", "Save the trim")
	p.sees("Moss is done")
	assert.InDelta(t, 12.7, program.dog(id).bar(t, "LH2").Length.MM, 0.2)
}

func TestNothingIsAskedOfAnyoneElse(t *testing.T) {
	t.Parallel()
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

// What others made goes along with its licence.
func TestTheLicencesOfWhatIsShippedGoAlong(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	response, err := http.Get(program.address + "/licences.txt")
	require.NoError(t, err)
	defer response.Body.Close()
	text, err := io.ReadAll(response.Body)
	require.NoError(t, err)
	for _, name := range []string{"Go go1", "github.com/gin-gonic/gin ", "modernc.org/sqlite ", "vue 3", "bootstrap 5", "chart.js ", "@fontsource-variable/atkinson-hyperlegible-next ", "swagger-ui-dist "} {
		assert.Contains(t, string(text), "======== "+name)
	}
}

func TestSearchFindsADog(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/settings")
	p.sees("Settings")
	p.keys("/")
	p.sees("24 dogs")
	p.fill("search", "плю")
	p.sees("Плюшка")
	p.waits(
		rod.Eval(`() => document.body !== null && !document.body.innerText.includes('Gantry')`),
		"the page moved on",
	)
}

func TestATornNailIsLeftToAVeterinarian(t *testing.T) {
	t.Parallel()
	_, p := keeper(t)
	p.press(".fold button", "^Change$")
	p.press(".nail", "left fore, third toe")
	p.sees("state")
	require.NoError(t, p.MustElement(".looks label:nth-child(3) select").Select([]string{"torn"}, true, "text"))
	p.press("button", "Save the profile")
	p.sees("The left fore third toe: torn into the quick. Do not trim; call a veterinarian.")
	p.press("a", "Record a trim")
	p.press(".pick[aria-label^='LF3']", "")
	p.sees("torn: a veterinarian looks first")
	p.sees("Left out")
}

func TestKeysLeadThroughTheProgram(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address)
	p.sees("Windlass")
	p.keys("g s")
	p.press("a", "Your days")
	p.sees("Save settings")
	p.keys("g d")
	p.sees("24 dogs")
	p.keys("?")
	p.sees("While recording a trim")
}

// The first screen's scripts stay within 150 kB gzipped.
func TestTheFirstScreenIsLight(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address)
	p.sees("24 dogs")
	got, err := p.Eval(`async () => {
		const scripts = performance.getEntriesByType('resource').filter((r) => r.name.endsWith('.js'))
		const sizes = await Promise.all(scripts.map(async (s) => {
			const packed = (await fetch(s.name)).body.pipeThrough(new CompressionStream('gzip'))
			return (await new Response(packed).arrayBuffer()).byteLength
		}))
		return sizes.reduce((a, b) => a + b, 0)
	}`)
	require.NoError(t, err)
	assert.Greater(t, got.Value.Int(), 20_000)
	assert.Less(t, got.Value.Int(), 150_000)
}

func TestAProfileIsRefusedBesideItsField(t *testing.T) {
	t.Parallel()
	program, p := keeper(t)
	p.press(".fold button", "^Change$")
	p.fill("p-gap", "-2")
	p.fill("p-pavement", "far")
	p.press("button", "Save the profile")
	p.find(".refused", "Wished gap.*must be from 0 to 10 mm")
	p.find(".refused", "Pavement.*must be from 0 to 200 km a week")
	p.press(".feelers button", "bank card passes")
	p.fill("p-pavement", "12,5") // a comma is a point
	p.press("button", "Save the profile")
	p.sees("12.5 km of pavement a week")
	assert.Equal(t, 0.76, program.dog(program.dogs()["Moss"]).Dog.WishedGap, "a bank card: ISO/IEC 7810")
}

func TestTheThemeIsRemembered(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/settings/units")
	p.sees("Light or dark")
	require.NoError(t, p.MustElement("#theme").Select([]string{"dark"}, true, "text"))
	p.open(program.address)
	p.sees("24 dogs")
	theme, err := p.Eval(`() => document.documentElement.dataset.bsTheme`)
	require.NoError(t, err)
	assert.Equal(t, "dark", theme.Value.Str())

	// A browser that keeps nothing shows it for as long as the page is open.
	p = tab(t, browser(t), "about:blank")
	p.MustEvalOnNewDocument(`Object.defineProperty(window, 'localStorage', { get() { throw new Error('blocked') } })`)
	p.open(program.address + "/settings/units")
	p.sees("Light or dark")
	require.NoError(t, p.MustElement("#theme").Select([]string{"dark"}, true, "text"))
	theme, err = p.Eval(`() => document.documentElement.dataset.bsTheme`)
	require.NoError(t, err)
	assert.Equal(t, "dark", theme.Value.Str())
}

// Some breeds have double hind dewclaws; a nail may be missing (common practice, no source).
func TestNailsAreToldToBeThereOrNot(t *testing.T) {
	t.Parallel()
	_, p := keeper(t)
	p.press(".fold button", "^Change$")
	for _, toe := range []string{"left hind, dewclaw", "left hind, second dewclaw", "right hind, dewclaw", "right hind, second dewclaw"} {
		p.press(".nail", toe)
	}
	p.press("button", "LH1 LH1b RH1 RH1b: is there")
	p.press("button", "Save the profile")
	p.sees("22 nails")
	p.press(".fold button", "^Change$")
	p.press(".nail", "right fore, fifth toe")
	p.press("button", "^Not there$")
	p.press("button", "Save the profile")
	p.sees("21 nails")
	p.press("a", "Record a trim")
	p.sees("21 not said")
}

// A dog's page is calm at first: paws, date and reason, and each section in one line; what was opened stays open, on
// every dog.
func TestADogsPageIsCalmAndRemembers(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	dogs := program.dogs()
	p := tab(t, browser(t), program.address+"/")
	p.closeSections()
	p.open(program.address + "/dogs/" + dogs["Oatcake"])
	p.sees("Each nail")
	words := p.words()
	t.Logf("%d words at rest", words)
	assert.LessOrEqual(t, words, 150)
	p.press("summary", "How it is held")
	p.sees("Change the hold")
	p.open(program.address + "/dogs/" + dogs["Windlass"])
	p.sees("Change the hold")
	p.press("summary", "How it is held")
	p.open(program.address + "/dogs/" + dogs["Oatcake"])
	p.sees("Each nail")
	assert.NotContains(t, p.MustElement("main").MustText(), "Change the hold")
}
