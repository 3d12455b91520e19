package words_test

import (
	"fmt"
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"maps"
	"math/rand/v2"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/BurntSushi/toml"
	"github.com/getkin/kin-openapi/openapi3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/units"
	"fribbet/internal/core/virtual"
	"fribbet/internal/words"
)

// keys are the sentences that are said: the constants of the type say.Key.
func keys(t *testing.T) []string {
	t.Helper()
	var found []string
	err := filepath.WalkDir("..", func(path string, _ fs.DirEntry, err error) error {
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
			of, elsewhere := spec.Type.(*ast.SelectorExpr)
			here, own := spec.Type.(*ast.Ident) // in package say itself
			if elsewhere && of.Sel.Name == "Key" || own && here.Name == "Key" && file.Name.Name == "say" {
				for _, value := range spec.Values {
					if text, is := value.(*ast.BasicLit); is {
						key, err := strconv.Unquote(text.Value)
						require.NoError(t, err)
						if key != "" { // says nothing
							found = append(found, key)
						}
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

// made are the keys that are put together: of a kind, a state, a paw.
func made() (keys []string) {
	of := func(prefix string, names ...string) {
		for _, name := range names {
			keys = append(keys, prefix+name)
		}
	}
	for _, k := range kit.Kinds() {
		of("kit.kind_", string(k))
	}
	of("kit.service_", "sharpen", "charge", "change", "refill")
	of("kit.counts_", string(kit.CountsCuts), string(kit.CountsMinutes))
	of("kit.pass_", string(kit.OnUnderside), string(kit.OnTip), string(kit.OnSides))
	for _, s := range nail.States() {
		of("nail.state_", string(s))
	}
	for _, g := range nail.Groups() {
		of("nail.group_", string(g))
	}
	for _, c := range []nail.Colour{nail.Unknown, nail.Dark, nail.Light, nail.Mixed} {
		of("nail.colour_", string(c))
	}
	for _, s := range []nail.Shape{nail.Straight, nail.Usual, nail.Hooked, nail.Curled} {
		of("nail.shape_", string(s))
	}
	for _, p := range nail.Paws() {
		of("words.paw_", p.String())
		of("card.paw_", p.String())
	}
	of("words.toe_", "1", "1b", "2", "3", "4", "5")
	for _, r := range temper.Reactions() {
		of("temper.", string(r))
	}
	for _, r := range append(rhythm.Rhythms(), rhythm.SixWeeks) {
		of("rhythm.is_up_", string(r))
	}
	of("ladder.kind_", string(ladder.Clipper), string(ladder.Grinder), string(ladder.Muzzle), string(ladder.Board))
	for _, k := range round.MessageKinds() {
		of("message.", string(k))
	}
	return keys
}

// ofFields are the names of whatever a request may tell.
func ofFields(t *testing.T) (keys []string) {
	t.Helper()
	spec, err := contract.GetSwagger()
	require.NoError(t, err)
	there := map[*openapi3.Schema]bool{}
	var within func(*openapi3.SchemaRef)
	within = func(ref *openapi3.SchemaRef) {
		if ref == nil || there[ref.Value] {
			return
		}
		there[ref.Value] = true
		for name, of := range ref.Value.Properties {
			keys = append(keys, "field."+name)
			within(of)
		}
		within(ref.Value.Items)
		within(ref.Value.AdditionalProperties.Schema)
		for _, of := range slices.Concat(ref.Value.AllOf, ref.Value.OneOf, ref.Value.AnyOf) {
			within(of)
		}
	}
	for _, path := range spec.Paths.Map() {
		for _, does := range path.Operations() {
			if does.RequestBody == nil {
				continue
			}
			for _, media := range does.RequestBody.Value.Content {
				within(media.Schema)
			}
		}
	}
	require.NotEmpty(t, keys)
	return keys
}

// ofPages are the texts that the pages for strangers ask for by name.
func ofPages(t *testing.T) (keys []string) {
	t.Helper()
	files, err := filepath.Glob("../access/pages/*.html")
	require.NoError(t, err)
	require.NotEmpty(t, files)
	for _, file := range files {
		page, err := os.ReadFile(file)
		require.NoError(t, err)
		for _, asked := range regexp.MustCompile(`\.T "(\w+)"`).FindAllSubmatch(page, -1) {
			keys = append(keys, "access.page_"+string(asked[1]))
		}
		assert.NotRegexp(
			t,
			`>[^<{]*\pL{3,} \pL{2,}`,
			string(regexp.MustCompile(`<code>.*?</code>`).ReplaceAll(page, nil)),
			"%s: its texts stand in the catalogues",
			file,
		)
	}
	return keys
}

// Every sentence of the core has its text in every catalogue, with the same names in it, and no catalogue has another.
func TestEverySentenceHasItsText(t *testing.T) {
	want := keys(t)
	room := practice.Room{
		Chance: func(seed, stream uint64) virtual.Random { return rand.New(rand.NewPCG(seed, stream)) },
	}
	var scenes []practice.Scene
	for _, d := range practice.Drills() {
		scenes = append(scenes, room.Moments(d, 1)...)
	}
	for _, s := range scenes { // their keys are made of their names
		for _, key := range append(s.Choices, s.Sees().Key, s.Why().Key) {
			want = append(want, string(key))
		}
	}
	for of, ends := range map[string][2]int{"weekday": {0, 6}, "weekday_short": {0, 6}, "month": {1, 12}, "month_short": {1, 12}} {
		for n := ends[0]; n <= ends[1]; n++ { // as package time counts them
			want = append(want, fmt.Sprintf("words.%s_%d", of, n))
		}
	}
	want = append(want, made()...)
	want = append(want, ofPages(t)...)
	want = append(want, ofFields(t)...)
	slices.Sort(want)
	want = slices.Compact(want)
	require.NotEmpty(t, want)
	languages, err := os.ReadDir(".")
	require.NoError(t, err)
	named := regexp.MustCompile(`\{\{\.(\w+)\}\}`)
	names := map[string][]string{} // of what stands in each, by the first language that tells
	for _, language := range languages {
		if !language.IsDir() || language.Name() == "wordstest" {
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

var millimetres = words.Units{Length: units.Millimetre, Weight: units.Kilogram}

func TestSentencesStandInTheUsersUnits(t *testing.T) {
	l := hand.Learnt{
		Meant:  1,
		Times:  estimate.Estimate{Value: 1.3, Low: 1.2, High: 1.4},
		Spread: estimate.Estimate{Value: 0.2},
		Usual:  0.266,
	}
	lines := l.Says()
	assert.Equal(t, []say.Key{hand.Thicker, hand.Evener}, []say.Key{lines[0].Key, lines[1].Key})
	assert.Equal(
		t,
		"Where you mean 1.0 mm you cut about 1.3 mm (1.2 to 1.4). Plans now ask for thinner cuts.",
		words.In(millimetres, "en").Say(lines[0]),
	)
	assert.Equal(
		t,
		"Where you mean 0.039 in you cut about 0.051 in (0.047 to 0.055). Plans now ask for thinner cuts.",
		words.In(words.Units{Length: units.Inch}, "en").Say(lines[0]),
	)
	assert.Equal(t, "nothing.there", words.In(millimetres).Say(say.Line{Key: "nothing.there"}))
}
