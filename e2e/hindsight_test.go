package e2e

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
)

// All dogs together are worked out while one waits; what the book's own record says is usual is used by one press, and
// taken back by another.
func TestABooksOwnRecordIsUsedAndTakenBack(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	p := tab(t, browser(t), program.address+"/hindsight")
	p.sees("Dates kept, of 100")
	p.sees("What your own record says is usual")
	used := func() (own []bool) {
		var whole struct{ Own []struct{ Used bool } }
		program.get("/api/hindsight", &whole)
		for _, o := range whole.Own {
			own = append(own, o.Used)
		}
		return own
	}
	assert.NotContains(t, used(), true, "nothing before somebody says so")
	p.press("section button", "^Use it$")
	p.find("section button", "Take it back")
	is := func(want bool) func() bool { return func() bool { return slices.Contains(used(), true) == want } }
	assert.Eventually(t, is(true), patience, often)
	p.open(program.address + "/")
	p.sees("dogs") // every date is worked out anew by it
	p.open(program.address + "/hindsight")
	p.press("section button", "Take it back")
	assert.Eventually(t, is(false), patience, often)
}
