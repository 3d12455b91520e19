package api

import (
	"go/ast"
	"go/parser"
	"go/token"
	"path/filepath"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

// namesOf are the constants of a core package by their type: what may be said there.
func namesOf(t *testing.T, of string) map[string][]string {
	t.Helper()
	files, err := filepath.Glob(filepath.Join("..", "core", of, "*.go"))
	require.NoError(t, err)
	names := map[string][]string{}
	for _, path := range files {
		if strings.HasSuffix(path, "_test.go") {
			continue
		}
		file, err := parser.ParseFile(token.NewFileSet(), path, nil, 0)
		require.NoError(t, err)
		for _, d := range file.Decls {
			block, is := d.(*ast.GenDecl)
			if !is || block.Tok != token.CONST {
				continue
			}
			for _, s := range block.Specs {
				one := s.(*ast.ValueSpec)
				kind, typed := one.Type.(*ast.Ident)
				for _, v := range one.Values {
					literal, plain := v.(*ast.BasicLit)
					if !typed || !plain || literal.Kind != token.STRING {
						continue
					}
					text, err := strconv.Unquote(literal.Value)
					require.NoError(t, err)
					names[kind.Name] = append(names[kind.Name], text)
				}
			}
		}
	}
	return names
}

// What may be said stands in the core, once: the contract's lists are the same, and from them come the screens' types.
func TestTheContractsListsAreTheCores(t *testing.T) {
	spec, err := contract.GetSpec()
	require.NoError(t, err)
	looked := 0
	for name, schema := range spec.Components.Schemas {
		of, typed := schema.Value.Extensions["x-go-type"].(string)
		if !typed || len(schema.Value.Enum) == 0 {
			continue
		}
		pack, kind, _ := strings.Cut(of, ".")
		names := namesOf(t, pack)
		core := names[kind]
		if of == "kit.Kind" { // every tool is a piece too
			core = append(core, names["Tool"]...)
		}
		if len(core) == 0 { // such as a nail's code, which is put together
			continue
		}
		var said []string
		for _, v := range schema.Value.Enum {
			said = append(said, v.(string))
		}
		for _, v := range core {
			if v != "" { // what nobody said is left out
				assert.Contains(t, said, v, "%s says not all of %s", name, of)
			}
		}
		for _, v := range said {
			if v != "" {
				assert.Contains(t, core, v, "%s says more than %s", name, of)
			}
		}
		looked++
	}
	assert.Greater(t, looked, 35)
}
