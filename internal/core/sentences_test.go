package core_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// wordy is text of three words and more, or with a unit after a number.
var wordy = regexp.MustCompile(`\pL{2,}[,;:.]? \pL+[,;:.]? \pL{2,}|%[.\d]*[fgd] (mm|kg|days|nails)\b`)

// speakOtherwise are files whose words are no sentences of ours: what owners answer, how lists write dates.
var speakOtherwise = map[string]bool{"round/answer.go": true, "roster/cells.go": true}

// The core says what, never how: no sentence stands in it, but in errors for programs.
func TestNoSentenceStandsInTheCore(t *testing.T) {
	err := filepath.WalkDir(".", func(path string, _ fs.DirEntry, err error) error {
		if err != nil || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") ||
			speakOtherwise[filepath.ToSlash(path)] {
			return err
		}
		set := token.NewFileSet()
		file, err := parser.ParseFile(set, path, nil, 0)
		if err != nil {
			return err
		}
		ast.Inspect(file, func(n ast.Node) bool {
			switch x := n.(type) {
			case *ast.FuncDecl:
				return x.Name.Name != "Error"
			case *ast.CallExpr:
				f, is := x.Fun.(*ast.SelectorExpr)
				return !is || f.Sel.Name != "Errorf" && f.Sel.Name != "New" && f.Sel.Name != "MustCompile"
			case *ast.BasicLit:
				if text, err := strconv.Unquote(x.Value); err == nil && x.Kind == token.STRING {
					assert.False(t, wordy.MatchString(text), "%s: %q is for package words", set.Position(x.Pos()), text)
				}
			}
			return true
		})
		return nil
	})
	require.NoError(t, err)
}
