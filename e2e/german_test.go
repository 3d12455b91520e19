package e2e

import (
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/proto"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var (
	word   = regexp.MustCompile(`\pL+`)
	braced = regexp.MustCompile(`\{\{?\.?\w+\}?\}`) // a name for programs
)

// wordsOf are the words of all texts in a language, in small letters.
func wordsOf(t *testing.T, language string) map[string]bool {
	t.Helper()
	var files []string
	for _, where := range []string{"../web/src/i18n/" + language + "/*.json", "../internal/words/" + language + "/*.toml"} {
		found, err := filepath.Glob(where)
		require.NoError(t, err)
		require.NotEmpty(t, found, where)
		files = append(files, found...)
	}
	all := map[string]bool{}
	for _, file := range files {
		text, err := os.ReadFile(file)
		require.NoError(t, err)
		for line := range strings.Lines(string(text)) {
			_, said, _ := strings.Cut(line, `": "`)
			if filepath.Ext(file) == ".toml" {
				_, said, _ = strings.Cut(line, " = ")
			}
			for _, w := range word.FindAllString(braced.ReplaceAllString(said, ""), -1) {
				all[strings.ToLower(w)] = true
			}
		}
	}
	return all
}

// foreign are the words of a line that English has and German has not.
func foreign(line string, english, german map[string]bool) (found []string) {
	for _, w := range word.FindAllString(braced.ReplaceAllString(line, ""), -1) {
		if w = strings.ToLower(w); len(w) > 2 && english[w] && !german[w] {
			found = append(found, w)
		}
	}
	return found
}

// speaks makes the tab ask for pages in that language, as a browser does whose owner speaks it.
func (p page) speaks(language string) {
	p.t.Helper()
	agent := p.MustEval(`() => navigator.userAgent`).Str()
	require.NoError(p.t, proto.EmulationSetUserAgentOverride{UserAgent: agent, AcceptLanguage: language}.Call(p))
}

// lines are the texts of a page, but for what somebody wrote and what is for an owner, in their language.
func (p page) lines() []string {
	p.t.Helper()
	got := p.MustEval(`() => {
		const all = []
		const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
		const others = 'bdi, [dir=auto], body [lang], code, script, style, noscript'
		while (walk.nextNode()) {
			if (!walk.currentNode.parentElement.closest(others)) all.push(walk.currentNode.textContent)
		}
		for (const a of ['aria-label', 'title', 'placeholder', 'alt']) {
			for (const e of document.querySelectorAll('[' + a + ']')) all.push(e.getAttribute(a))
		}
		return all.map((s) => s.replace(/\s+/g, ' ').trim()).filter(Boolean).join('\n')
	}`).Str()
	return strings.Split(got, "\n")
}

// Whoever's browser asks for German reads German on every screen, opened, without serious findings of axe-core; and it
// stays German when the browser asks for another language, once it was chosen.
func TestGermanIsWhole(t *testing.T) {
	t.Parallel()
	axe, err := os.ReadFile("../web/node_modules/axe-core/axe.min.js")
	require.NoError(t, err, "run make web first")
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), "about:blank")
	p.speaks("de-DE")
	english, german := wordsOf(t, "en"), wordsOf(t, "de")
	isGerman := func(name string) {
		for _, line := range p.lines() {
			if strings.HasPrefix(line, "http") {
				continue
			}
			assert.Empty(t, foreign(line, english, german), "%s: %s", name, line)
		}
	}
	for _, s := range screens {
		p.open(s.address(program))
		p.find("main h1, main .empty", "")
		p.opensAll()
		isGerman(s.name)
		assert.Empty(t, p.findings(string(axe)), s.name)
	}
	p.keys("?")
	p.sees("Bei der Pfotenkontrolle")
	isGerman("the keys")
	p.open(program.address + "/settings/units")
	p.MustElement("#language").MustSelect("English")
	p.sees("Light or dark, in this browser")
	assert.Equal(t, "en", p.MustEval(`() => document.documentElement.lang`).Str())
}

// A language whose words are half as long again, with marks above and below, on a phone: nothing is cut off.
func TestLongerWordsFitOnAPhone(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), "about:blank")
	p.speaks("de-DE") // the longest that there is
	p.size(390, 844)
	for _, s := range screens {
		p.open(s.address(program))
		p.find("main h1, main .empty", "")
		cut := p.MustEval(`() => {
			const walk = document.createTreeWalker(document.querySelector('main'), NodeFilter.SHOW_TEXT)
			const texts = []
			while (walk.nextNode()) {
				const n = walk.currentNode
				if (/\p{L}{3}/u.test(n.textContent) && !n.parentElement.closest('svg, code, option')) texts.push(n)
			}
			const longer = (w) => w + ' ' + 'ǟḝ'.repeat(Math.ceil(w.length / 4))
			for (const n of texts) n.textContent = n.textContent.replace(/\p{L}{3,}/gu, longer)
			const wider = document.documentElement.scrollWidth - document.documentElement.clientWidth
			const buttons = [...document.querySelectorAll('main .btn, main .choices button')]
				.filter((b) => b.checkVisibility() && b.scrollWidth > b.clientWidth + 1)
				.map((b) => b.textContent.trim())
			return (wider > 0 ? ['the page, by ' + wider] : []).concat(buttons).join('\n')
		}`).Str()
		assert.Empty(t, cut, s.name)
	}
}
