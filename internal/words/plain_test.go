package words_test

import (
	"encoding/json"
	"fmt"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"

	"github.com/BurntSushi/toml"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var (
	holes       = regexp.MustCompile(`\{\{\.\w+\}\}|\{'?[^}]*'?\}`)
	between     = regexp.MustCompile(`[.!?:;|]\s+`)
	germanWord  = regexp.MustCompile(`\pL+`)
	germanSound = regexp.MustCompile(`(?i)[aeiouyäöü]+`)
)

// texts are those of the screens and of the catalogue in a language.
func texts(t *testing.T, language string) (all []string) {
	t.Helper()
	files, err := filepath.Glob("../../web/src/i18n/" + language + "/*.json")
	require.NoError(t, err)
	require.NotEmpty(t, files)
	for _, file := range files {
		text, err := os.ReadFile(file)
		require.NoError(t, err)
		var texts map[string]string
		require.NoError(t, json.Unmarshal(text, &texts))
		for _, one := range texts {
			all = append(all, one)
		}
	}
	files, err = filepath.Glob(language + "/*.toml")
	require.NoError(t, err)
	for _, file := range files {
		texts := map[string]any{}
		_, err := toml.DecodeFile(file, &texts)
		require.NoError(t, err)
		for _, one := range texts {
			if forms, is := one.(map[string]any); is {
				one = forms["other"]
			}
			all = append(all, one.(string))
		}
	}
	return all
}

// German reads as easily as English does: Flesch's formula for it (Amstad 1978, Wie verständlich sind unsere
// Zeitungen?): 180 less the words of a sentence, less 58.5 times the syllables of a word; 60 to 70 is plain.
// docs/words.md says how easily.
func TestGermanSpeaksPlainly(t *testing.T) {
	sentences, words, sounds := 0, 0, 0
	for _, text := range texts(t, "de") {
		for _, sentence := range between.Split(holes.ReplaceAllString(text, "es"), -1) {
			all := germanWord.FindAllString(sentence, -1)
			if len(all) < 5 {
				continue
			}
			sentences++
			words += len(all)
			for _, w := range all {
				sounds += max(1, len(germanSound.FindAllString(w, -1)))
			}
		}
	}
	ease := 180 - float64(words)/float64(sentences) - 58.5*float64(sounds)/float64(words)
	assert.GreaterOrEqual(t, ease, 60.0)
	page, err := os.ReadFile("../../docs/words.md")
	require.NoError(t, err)
	at := strings.Index(string(page), "German sentences read with an ease of ")
	require.GreaterOrEqual(t, at, 0)
	var stated float64
	_, err = fmt.Sscanf(string(page)[at:], "German sentences read with an ease of %f", &stated)
	require.NoError(t, err)
	assert.InDelta(t, stated, ease, 1, "%d sentences, %d words", sentences, words)
}

// ours are words of ours that a common one could stand for.
var ours = regexp.MustCompile(`(?i)\b(spare|slivers?|walk-rounds?|reckon\w*|break-even|sittings?|whom)\b`)

// English says nothing in words of ours, wherever it stands.
func TestEnglishUsesCommonWords(t *testing.T) {
	for _, text := range texts(t, "en") {
		assert.NotRegexp(t, ours, holes.ReplaceAllString(text, ""))
	}
}
