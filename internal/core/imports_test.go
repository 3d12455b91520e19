package core_test

import (
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// imports returns what the Go files below dir import, tests left out, as file → import paths.
func imports(t *testing.T, dir string) map[string][]string {
	t.Helper()
	found := map[string][]string{}
	err := filepath.WalkDir(dir, func(path string, entry fs.DirEntry, err error) error {
		if err != nil || entry.IsDir() || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
			return err
		}
		file, err := parser.ParseFile(token.NewFileSet(), path, nil, parser.ImportsOnly)
		if err != nil {
			return err
		}
		for _, i := range file.Imports {
			name, err := strconv.Unquote(i.Path.Value)
			if err != nil {
				return err
			}
			found[path] = append(found[path], name)
		}
		return nil
	})
	require.NoError(t, err)
	require.NotEmpty(t, found)
	return found
}

func TestTheCoreKnowsNobody(t *testing.T) {
	worldly := []string{
		"database/sql",
		"net",
		"net/http",
		"os",
		"math/rand",
		"math/rand/v2",
		"log",
		"log/slog",
		"context",
	}
	for file, names := range imports(t, ".") {
		for _, name := range names {
			standard := !strings.Contains(strings.Split(name, "/")[0], ".") && !strings.HasPrefix(name, "fribbet/")
			ours := strings.HasPrefix(name, "fribbet/internal/core/") || strings.HasPrefix(name, "gonum.org/")
			assert.True(t, standard || ours, "%s imports %s", file, name)
			assert.NotContains(t, worldly, name, "%s reaches out of the core", file)
		}
	}
}

// Each room knows those that docs/architecture.md draws below it, and no other.
func TestArrowsPointOneWay(t *testing.T) {
	const here = "fribbet/internal/"
	knows := map[string][]string{
		"core": {
			"core",
		},
		"words":     {"core", "words"},
		"drawn":     {"core"},
		"standin":   {"core"},
		"store":     {"core", "store"},
		"formats":   {"core"},
		"visitor":   {},
		"sampled":   {},
		"worked":    {},
		"access":    {"core", "visitor", "words"},
		"book":      {"core", "formats", "store", "visitor", "words"},
		"demo":      {"book", "core", "standin", "store"},
		"large":     {"book", "core", "store"},
		"phototest": {"core"},
		"api":       {"api", "book", "core", "drawn", "words"},
	}
	rooms, err := os.ReadDir("..")
	require.NoError(t, err)
	for _, room := range rooms {
		known, is := knows[room.Name()]
		require.True(t, is, "%s: draw what it knows in docs/architecture.md, and here", room.Name())
		if room.Name() == "phototest" {
			continue // tests alone
		}
		for file, names := range imports(t, filepath.Join("..", room.Name())) {
			for _, name := range names {
				if of, ours := strings.CutPrefix(name, here); ours {
					of, _, _ = strings.Cut(of, "/")
					assert.Contains(t, known, of, "%s imports %s", file, name)
				}
			}
		}
	}
}

// A file that is longer is two, a test as well.
func TestFilesAreShort(t *testing.T) {
	const most = 400 // lines
	looked := 0
	for _, room := range []string{"..", "../../cmd", "../../e2e", "../../scripts"} {
		require.NoError(t, filepath.WalkDir(room, func(path string, entry fs.DirEntry, err error) error {
			if err != nil || filepath.Ext(path) != ".go" || strings.HasSuffix(path, ".gen.go") {
				return err
			}
			text, err := os.ReadFile(path)
			assert.LessOrEqual(t, strings.Count(string(text), "\n"), most, path)
			looked++
			return err
		}))
	}
	assert.Greater(t, looked, 400)
}
