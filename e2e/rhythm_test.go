package e2e

import (
	"io"
	"net/http"
	"strings"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/input"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The history by keys, by touch, and as a table: the same numbers.
func TestAHistoryIsReadOff(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/dogs/"+program.dogs()["Sedge"])
	p.sees("touches at")
	reading := func() string { return p.MustElement("figcaption").MustText() }
	today := reading()
	assert.Contains(t, today, "today")
	require.NoError(t, p.MustElement(".plot").Focus())
	require.NoError(t, p.Keyboard.Type(input.ArrowLeft))
	p.sees("after a trim")
	last := reading()
	assert.Contains(t, last, "23 Nov 2026")
	require.NoError(t, p.Keyboard.Type(input.End))
	p.sees("if nobody trims")
	require.NoError(t, p.Keyboard.Type(input.Home))
	first := reading()
	assert.NotEqual(t, last, first)

	p.MustEval(`() => document.querySelector('section[aria-label="History"]').scrollIntoView()`)
	box := p.box(".plot canvas", "")
	require.NoError(t, p.Touch.Tap(box.X+box.Width*0.5, box.Y+box.Height/2))
	p.sees("after a trim")
	assert.NotEqual(t, first, reading())

	p.press("button", "dewclaws")
	p.sees("dewclaws")
	p.press("button", "As a table")
	p.sees("never")
	p.press("button", "fore nails")
	nail := strings.Fields(last[strings.Index(last, "nail "):])[1]
	cell := p.find(".table tbody tr", "23 Nov 2026").MustText()
	assert.Contains(t, cell, nail, "the table tells what the picture told")
}

func TestRhythmsSideBySideAndThePlan(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Windlass"]
	p := tab(t, browser(t), program.address+"/dogs/"+id)
	p.sees("Each nail")
	p.keys("g")
	p.keys("r")
	p.sees("The quick stops growing")
	p.sees("only to compare")
	floor := func() string { return p.find("tbody tr", "every six weeks").MustText() }
	before := floor()
	p.MustEval(
		`() => { const km = document.getElementById('km'); km.value = 40; km.dispatchEvent(new Event('input')) }`,
	)
	p.sees("40 km a week")
	p.sees("As it walks now")
	require.NoError(
		t,
		p.Timeout(patience).Wait(rowChanged("every six weeks", before)),
		"more pavement, another half year",
	)
	more := floor()
	p.press("button", "As it walks now")
	require.NoError(t, p.Timeout(patience).Wait(rowChanged("every six weeks", more)), "and back")

	p.press("button", "every six weeks")
	p.sees("Bring the quicks back, every six weeks")
	p.press("button", "until 2.0 mm clear")
	p.sees("Never, this often")
	p.press("button", "until paper passes")
	p.press("button", "twice a week")
	p.sees("trims: the quick of the mean toe draws back")
	p.press("button", "Make it this dog")
	p.sees("bringing the quicks back, twice a week")
	p.sees("Now: twice a week")
	p.open(program.address + "/dogs/" + id)
	p.sees("bringing the quicks back, twice a week")
	p.open(program.address + "/dogs/" + id + "/rhythm")
	p.press("button", "End the plan that is on")
	p.waits(
		rod.Eval(`() => document.body !== null && !document.body.innerText.includes('bringing the quicks back')`),
		"the page moved on",
	)
	p.sees("Now: twice a week")
}

// rowChanged waits until a row of the table says something else.
func rowChanged(row, before string) *rod.EvalOptions {
	return rod.Eval(`(row, before) => {
		const now = [...document.querySelectorAll('tbody tr')].find((tr) => tr.innerText.includes(row))
		return now !== undefined && now.innerText !== before
	}`, row, before)
}

func TestWhyThisDateIsToldTheSameEverywhere(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Windlass"]
	p := tab(t, browser(t), program.address+"/")
	p.find("li.due-grid", "Windlass").MustElement("summary").MustClick()
	p.sees("alone would say")
	due := p.MustElement(".sentence").MustText()
	p.open(program.address + "/dogs/" + id)
	p.press("summary", "Why this date")
	p.sees("alone would say")
	assert.Equal(t, due, p.MustElement(".sentence").MustText())
}

// Days off move the dates, and the calendar program at the other end sees it.
func TestDaysOffAndTheCalendar(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/settings/days")
	p.sees("due.ics")
	address := p.MustElement(".address code").MustText()
	read := func() string {
		response, err := http.Get(address)
		require.NoError(t, err)
		defer response.Body.Close()
		assert.Equal(t, 200, response.StatusCode)
		text, err := io.ReadAll(response.Body)
		require.NoError(t, err)
		return string(text)
	}
	before := read()
	assert.Contains(t, before, "SUMMARY:Nails: Плюшка")
	assert.Contains(t, before, "DTSTART;VALUE=DATE:20261208\r\n", "Fig")
	p.MustEval(`() => {
		for (const [label, value] of [['First day off', '2026-12-05'], ['Last day off', '2026-12-31']]) {
			const field = document.querySelector('[aria-label="' + label + '"]')
			field.value = value
			field.dispatchEvent(new Event('input'))
		}
	}`)
	p.press("button", "^Add$")
	p.sees("Sat 5 Dec 2026 to Thu 31 Dec 2026")
	p.press("button", "Save settings")
	p.sees("Saved.")
	after := read()
	assert.NotContains(t, after, "DTSTART;VALUE=DATE:20261208")
	assert.Contains(t, after, "DTSTART;VALUE=DATE:20261204\r\n")
	assert.Contains(t, after, "SEQUENCE:1")
	p.open(program.address + "/")
	p.fill("search", "Fig") // what lies below the first view is drawn once it is scrolled to
	p.sees("Fri 4 Dec")
}
