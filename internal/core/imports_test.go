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
	worldly := []string{"database/sql", "net", "net/http", "os", "math/rand", "math/rand/v2", "log", "log/slog", "context"}
	for file, names := range imports(t, ".") {
		for _, name := range names {
			standard := !strings.Contains(strings.Split(name, "/")[0], ".") && !strings.HasPrefix(name, "fribbet/")
			ours := strings.HasPrefix(name, "fribbet/internal/core/") || strings.HasPrefix(name, "gonum.org/")
			assert.True(t, standard || ours, "%s imports %s", file, name)
			assert.NotContains(t, worldly, name, "%s reaches out of the core", file)
		}
	}
}

func TestArrowsPointOneWay(t *testing.T) {
	never := map[string][]string{
		"store":  {"api", "book", "demo"},
		"book":   {"api", "demo"},
		"demo":   {"api"},
		"access": {"api", "book", "demo", "store"},
	}
	for room, forbidden := range never {
		for file, names := range imports(t, filepath.Join("..", room)) {
			for _, name := range names {
				for _, f := range forbidden {
					assert.False(t, strings.HasPrefix(name, "fribbet/internal/"+f), "%s imports %s", file, name)
				}
			}
		}
	}
}

// A file that is longer is two.
func TestFilesAreShort(t *testing.T) {
	const most = 400 // lines
	for file := range imports(t, "..") {
		if strings.HasSuffix(file, ".gen.go") {
			continue
		}
		text, err := os.ReadFile(file)
		require.NoError(t, err)
		assert.LessOrEqual(t, strings.Count(string(text), "\n"), most, file)
	}
}
