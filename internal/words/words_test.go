package words_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"maps"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/BurntSushi/toml"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/say"
	"fribbet/internal/core/units"
	"fribbet/internal/words"
)

// keys are the sentences that the core says: its constants of the type say.Key.
func keys(t *testing.T) []string {
	t.Helper()
	var found []string
	err := filepath.WalkDir("../core", func(path string, _ fs.DirEntry, err error) error {
		if err != nil || !strings.HasSuffix(path, ".go") {
			return err
		}
		file, err := parser.ParseFile(token.NewFileSet(), path, nil, 0)
		if err != nil {
			return err
		}
		ast.Inspect(file, func(n ast.Node) bool {
			spec, is := n.(*ast.ValueSpec)
			if !is {
				return true
			}
			if of, is := spec.Type.(*ast.SelectorExpr); is && of.Sel.Name == "Key" {
				for _, value := range spec.Values {
					if text, is := value.(*ast.BasicLit); is {
						key, err := strconv.Unquote(text.Value)
						require.NoError(t, err)
						found = append(found, key)
					}
				}
			}
			return true
		})
		return nil
	})
	require.NoError(t, err)
	slices.Sort(found)
	return found
}

// Every sentence of the core has its text in every catalogue, with the same names in it, and no catalogue has another.
func TestEverySentenceHasItsText(t *testing.T) {
	want := keys(t)
	for _, s := range practice.Scenes() { // their keys are made of their names
		for _, key := range append(s.Choices, s.Sees().Key, s.Why().Key) {
			want = append(want, string(key))
		}
	}
	slices.Sort(want)
	want = slices.Compact(want)
	require.NotEmpty(t, want)
	languages, err := os.ReadDir(".")
	require.NoError(t, err)
	named := regexp.MustCompile(`\{\{\.(\w+)\}\}`)
	names := map[string][]string{} // of what stands in each, by the first language that tells
	for _, language := range languages {
		if !language.IsDir() {
			continue
		}
		texts := map[string]any{}
		files, err := filepath.Glob(filepath.Join(language.Name(), "*.toml"))
		require.NoError(t, err)
		for _, file := range files {
			_, err := toml.DecodeFile(file, &texts)
			require.NoError(t, err, file)
		}
		assert.Equal(t, want, slices.Sorted(maps.Keys(texts)), language.Name())
		for key, text := range texts {
			var in []string
			forms, is := text.(map[string]any)
			if !is {
				forms = map[string]any{"other": text}
			}
			for _, form := range forms {
				for _, m := range named.FindAllStringSubmatch(form.(string), -1) {
					in = append(in, m[1])
				}
			}
			slices.Sort(in)
			in = slices.Compact(in)
			if names[key] == nil {
				names[key] = in
			}
			assert.Equal(t, names[key], in, "%s in %s", key, language.Name())
		}
	}
}

func TestSentencesStandInTheUsersUnits(t *testing.T) {
	l := hand.Learnt{Meant: 1, Times: estimate.Estimate{Value: 1.3, Low: 1.2, High: 1.4}, Spread: estimate.Estimate{Value: 0.2}, Usual: 0.266}
	lines := l.Says()
	assert.Equal(t, []say.Key{hand.Thicker, hand.Evener}, []say.Key{lines[0].Key, lines[1].Key})
	assert.Equal(t, "Where you mean 1.0 mm you cut about 1.3 mm (1.2 to 1.4). Plans now ask for thinner cuts.", words.In(units.Millimetre, "en").Say(lines[0]))
	assert.Equal(t, "Where you mean 0.039 in you cut about 0.051 in (0.047 to 0.055). Plans now ask for thinner cuts.", words.In(units.Inch, "en").Say(lines[0]))
	assert.Equal(t, "nothing.there", words.In(units.Millimetre).Say(say.Line{Key: "nothing.there"}))
}
