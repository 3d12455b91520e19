package core_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// telling is a number of three digits and more that count: 365.25 is the same thing wherever it stands, 0.5 and 250 are
// not.
func telling(number string) bool {
	digits := strings.Trim(strings.ReplaceAll(number, ".", ""), "0")
	return len(digits) >= 3 && !strings.ContainsAny(number, "eExXob_")
}

// parsed are the core's files by their paths, tests left out.
func parsed(t *testing.T) (*token.FileSet, map[string]*ast.File) {
	t.Helper()
	set, files := token.NewFileSet(), map[string]*ast.File{}
	err := filepath.WalkDir(".", func(path string, _ fs.DirEntry, err error) error {
		if err != nil || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
			return err
		}
		file, err := parser.ParseFile(set, path, nil, 0)
		files[filepath.ToSlash(path)] = file
		return err
	})
	require.NoError(t, err)
	require.Greater(t, len(files), 100)
	return set, files
}

// isNumber tells a number written out, with its sign.
func isNumber(e ast.Expr) bool {
	switch x := e.(type) {
	case *ast.BasicLit:
		return x.Kind == token.INT || x.Kind == token.FLOAT
	case *ast.UnaryExpr:
		return isNumber(x.X)
	}
	return false
}

// What a package may be tuned by stands in its params.go, with where it comes from, and nowhere else.
func TestNumbersWithNamesStandInParams(t *testing.T) {
	set, files := parsed(t)
	seen := 0
	for path, file := range files {
		for _, d := range file.Decls {
			consts, is := d.(*ast.GenDecl)
			if !is || consts.Tok != token.CONST {
				continue
			}
			for _, spec := range consts.Specs {
				named := spec.(*ast.ValueSpec)
				for i, value := range named.Values {
					if !isNumber(value) {
						continue
					}
					seen++
					assert.Equal(
						t,
						"params.go",
						filepath.Base(path),
						"%s: %s",
						set.Position(named.Pos()),
						named.Names[i],
					)
				}
			}
		}
	}
	assert.Greater(t, seen, 100)
}

// A number that says something is written once: whoever changes it changes it everywhere.
func TestTellingNumbersAreWrittenOnce(t *testing.T) {
	set, files := parsed(t)
	first := map[string]token.Position{}
	for _, file := range files {
		ast.Inspect(file, func(n ast.Node) bool {
			if _, table := n.(*ast.CompositeLit); table {
				return false // rows of a table may be alike
			}
			number, is := n.(*ast.BasicLit)
			if !is || number.Kind != token.INT && number.Kind != token.FLOAT || !telling(number.Value) {
				return true
			}
			here := set.Position(number.Pos())
			there, again := first[number.Value]
			assert.False(t, again, "%s: %s stands at %s too", here, number.Value, there)
			first[number.Value] = here
			return true
		})
	}
	assert.Greater(t, len(first), 20)
}
