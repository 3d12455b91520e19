// Mutate changes the core in small ways, one at a time, and tells which changes no test notices: a comparison turned, a
// sum made a difference, an "and" made an "or". It changes no file: the compiler is given the changed
// one in place of the kept one (go test -overlay).
//
//	go run ./scripts/mutate -n 12 ./internal/core/quick ./internal/core/due
package main

import (
	"bytes"
	"context"
	"encoding/json"
	"flag"
	"fmt"
	"go/ast"
	"go/format"
	"go/parser"
	"go/token"
	"math/rand/v2"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"time"
)

// turned is what each sign becomes.
var turned = map[token.Token]token.Token{
	token.LSS:  token.GEQ,
	token.GEQ:  token.LSS,
	token.GTR:  token.LEQ,
	token.LEQ:  token.GTR,
	token.EQL:  token.NEQ,
	token.NEQ:  token.EQL,
	token.ADD:  token.SUB,
	token.SUB:  token.ADD,
	token.MUL:  token.QUO,
	token.QUO:  token.MUL,
	token.LAND: token.LOR,
	token.LOR:  token.LAND,
}

// change is one place of a file and what stands there then.
type change struct {
	file string
	line int
	was  string
	text []byte // of the whole file
}

func main() {
	each := flag.Int("n", 12, "changes of each package, drawn by chance")
	seed := flag.Uint64("seed", 1, "of that chance")
	within := flag.Duration(
		"within",
		time.Minute,
		"that a package's tests may take: a change that makes them hang is noticed",
	)
	flag.Parse()
	survived, tried := 0, 0
	for _, dir := range flag.Args() {
		all, err := changes(dir)
		if err != nil {
			fmt.Fprintln(os.Stderr, err)
			os.Exit(1)
		}
		r := rand.New(rand.NewPCG(*seed, uint64(len(all))))
		r.Shuffle(len(all), func(i, k int) { all[i], all[k] = all[k], all[i] })
		lived, done := 0, 0
		for _, c := range all[:min(len(all), *each)] {
			noticed, compiles := c.tested(dir, *within)
			if !compiles {
				continue
			}
			if done++; !noticed {
				lived++
				fmt.Printf("survives: %s:%d %s\n", c.file, c.line, c.was)
			}
		}
		if done > 0 {
			fmt.Printf("%3.0f %% of %d noticed: %s\n", 100*float64(done-lived)/float64(done), done, dir)
		}
		survived, tried = survived+lived, tried+done
	}
	fmt.Printf("%.0f %% of %d noticed in all\n", 100*float64(tried-survived)/float64(max(1, tried)), tried)
}

// changes are all that can be made to a package, its tests and generated files left out.
func changes(dir string) (all []change, err error) {
	files, err := filepath.Glob(filepath.Join(dir, "*.go"))
	if err != nil {
		return nil, err
	}
	for _, file := range files {
		if strings.HasSuffix(file, "_test.go") || strings.HasSuffix(file, ".gen.go") ||
			strings.HasSuffix(file, "says.go") {
			continue
		}
		set := token.NewFileSet()
		tree, err := parser.ParseFile(set, file, nil, parser.ParseComments)
		if err != nil {
			return nil, err
		}
		ast.Inspect(tree, func(n ast.Node) bool {
			b, is := n.(*ast.BinaryExpr)
			if !is || turned[b.Op] == 0 {
				return true
			}
			was := b.Op
			b.Op = turned[was]
			var text bytes.Buffer
			if format.Node(&text, set, tree) == nil {
				all = append(
					all,
					change{file, set.Position(b.OpPos).Line, fmt.Sprintf("%s became %s", was, b.Op), text.Bytes()},
				)
			}
			b.Op = was
			return true
		})
	}
	return all, nil
}

// tested tells whether a package's tests notice the change, and whether it compiles at all.
func (c change) tested(dir string, within time.Duration) (noticed, compiles bool) {
	place, err := os.MkdirTemp("", "mutate")
	if err != nil {
		return false, false
	}
	defer os.RemoveAll(place) //nolint:errcheck // throw-away
	changed, overlay := filepath.Join(place, "changed.go"), filepath.Join(place, "overlay.json")
	kept, _ := filepath.Abs(c.file)
	what, _ := json.Marshal(map[string]map[string]string{"Replace": {kept: changed}})
	if os.WriteFile(changed, c.text, 0o600) != nil || os.WriteFile(overlay, what, 0o600) != nil {
		return false, false
	}
	ctx, cancel := context.WithTimeout(context.Background(), within)
	defer cancel()
	//nolint:gosec // our own arguments
	test := exec.CommandContext(ctx, "go", "test", "-short", "-vet=off", "-overlay", overlay, "./"+filepath.Clean(dir))
	out, err := test.CombinedOutput()

	return err != nil, !bytes.Contains(out, []byte("[build failed]"))
}
