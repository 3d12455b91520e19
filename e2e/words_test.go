package e2e

import (
	"cmp"
	"encoding/json"
	"fmt"
	"os"
	"regexp"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The first minute of the demonstration: five steps through one dog's morning, and then never again.
func TestTheFirstMinute(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), program.address)
	p.sees("Search a dog")
	p.MustEval(`() => localStorage.setItem('fribbet-first-minute', '0')`)
	p.open(program.address)
	for _, words := range []string{"1 of 5", "2 of 5", "3 of 5", "4 of 5"} {
		p.sees(words)
		p.press(".minute .btn-go", "Next")
	}
	p.sees("5 of 5")
	p.press(".minute button", "Done")
	p.open(program.address)
	p.sees("Search a dog")
	assert.NotContains(t, p.MustElement("body").MustText(), "of 5")
}

// private are words of ours that a common one could stand for.
var private = regexp.MustCompile(
	`(?i)\b(spare|slivers?|walk-rounds?|reckon\w*|break-even|sittings?|whom|rank|keepers?)\b`,
)

var (
	aCode   = regexp.MustCompile(`\b[LR][FH][1-5]b?\b`)
	doubled = regexp.MustCompile(`(?i)\b(\pL+) (\pL+)\b`)
	oneMany = regexp.MustCompile(
		`(?:^|[^\d.,])1 (nails|dogs|trims|cuts|days|weeks|minutes|touches|visits|owners|tries|answers)\b`,
	)
	letters = regexp.MustCompile(`\pL+`)
	vowels  = regexp.MustCompile(`[aeiouy]+`)
)

// syllables are counted by groups of vowels, a silent e left out: within a twentieth of a dictionary's (our judgement).
func syllables(word string) int {
	word = strings.ToLower(word)
	n := len(vowels.FindAllString(word, -1))
	if strings.HasSuffix(word, "e") && !strings.HasSuffix(word, "le") && n > 1 {
		n--
	}
	return max(1, n)
}

// ease is how easily a text reads (Flesch 1948, A new readability yardstick, Journal of Applied Psychology 32).
func ease(sentence string) (ease float64, words int) {
	all := letters.FindAllString(sentence, -1)
	sounds := 0
	for _, w := range all {
		sounds += syllables(w)
	}
	if len(all) == 0 {
		return 100, 0
	}
	return 206.835 - 1.015*float64(len(all)) - 84.6*float64(sounds)/float64(len(all)), len(all)
}

// sentences are what a screen says in sentences, each once: texts of five words and more, without names and codes.
func (p page) sentences() []string {
	p.t.Helper()
	got, err := p.Eval(`() => {
		const all = new Set()
		const of = ['p', 'li', 'dd', 'figcaption', '.form-text', 'span', 'label'].map((s) => 'main ' + s).join(', ')
		const whole = 'p, li, dd, a, strong, button, input, select, table, svg'
		for (const e of document.querySelectorAll(of)) {
			if (e.querySelector(whole) || e.closest('.demo-line, svg, table, button, bdi')) continue
			for (const s of e.textContent.replace(/\s+/g, ' ').split(/(?<=[.!?:;])\s+/)) {
				if ((s.match(/[a-zA-Z]{2,}/g) ?? []).length >= 5 && !s.includes('@')) all.add(s.trim())
			}
		}
		return JSON.stringify([...all])
	}`)
	require.NoError(p.t, err)
	var all []string
	require.NoError(p.t, json.Unmarshal([]byte(got.Value.Str()), &all))
	return all
}

// Every sentence of every screen, at rest and opened: easy to read, in common words, no word twice, no "1 nails"; the
// figures and the hardest twenty stand in docs/words.md.
func TestScreensSpeakPlainly(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	p := tab(t, browser(t), "about:blank")
	type said struct {
		text string
		ease float64
	}
	seen, sum, words := map[string]bool{}, 0.0, 0
	var all []said
	for _, s := range screens {
		if s.name == "words" { // explains them
			continue
		}
		p.open(s.address(program))
		p.sees(s.words)
		p.opensAll()
		ours := map[string]bool{}
		for _, text := range p.sentences() {
			for _, w := range private.FindAllString(text, -1) {
				ours[strings.ToLower(w)] = true
			}
			for _, pair := range doubled.FindAllStringSubmatch(text, -1) {
				assert.False(
					t,
					pair[1] == pair[2] && !strings.Contains("bye that", pair[1]),
					"%s says a word twice: %s",
					s.name,
					text,
				)
			}
			assert.NotRegexp(t, oneMany, text, s.name)
			if seen[text] {
				continue
			}
			seen[text] = true
			e, n := ease(aCode.ReplaceAllString(text, "it"))
			sum, words = sum+e*float64(n), words+n
			all = append(all, said{text, e})
		}
		assert.LessOrEqual(t, len(ours), 3, "%s uses words of ours: %v", s.name, ours)
	}
	slices.SortFunc(all, func(a, b said) int { return cmp.Compare(a.ease, b.ease) })
	mean := sum / float64(words)
	t.Logf("%d sentences, %d words, ease %.1f", len(all), words, mean)
	for _, s := range all[:min(20, len(all))] {
		t.Logf("%.0f %s", s.ease, s.text)
	}
	assert.GreaterOrEqual(t, mean, 70.0)
	assert.GreaterOrEqual(t, all[0].ease, 40.0, "none is hard")
	page, err := os.ReadFile("../docs/words.md")
	require.NoError(t, err)
	var stated float64
	if at := strings.Index(string(page), "read with an ease of "); assert.GreaterOrEqual(t, at, 0) {
		_, err = fmt.Sscanf(string(page)[at:], "read with an ease of %f", &stated)
		require.NoError(t, err)
	}
	assert.InDelta(t, stated, mean, 1.5, "docs/words.md says what is so")
}
