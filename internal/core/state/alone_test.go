package state_test

import (
	"fmt"
	"math/rand/v2"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/growth"
	"fribbet/internal/core/state"
	"fribbet/internal/core/virtual"
	"fribbet/internal/sampled"
)

// left is how a dog's nails are left alone: from what on, and what is known of it.
type left struct {
	name   string
	done   *float64 // weeks before they came into the book that somebody trimmed them
	worked bool     // trimmed once, each end told, and then left
	breaks bool     // one in six breaks on the way, and is seen to be broken
}

var twoWeeks = 2.0

var leftAlone = []left{
	{name: "nobody knows when they were done"},
	{name: "done two weeks before", done: &twoWeeks},
	{name: "trimmed once to the sign, then left", done: &twoWeeks, worked: true},
	{name: "trimmed once, then left, and one nail in six broke", done: &twoWeeks, worked: true, breaks: true},
}

// after lets dogs be left alone for so many weeks and counts what holds then.
func (l left) after(weeks float64) (length, floor, spare held, most float64) {
	r := rand.New(rand.NewPCG(28, uint64(weeks)))
	for k := range coveredDogs {
		where := growth.Where{Age: 80 + 3*float64(k), Weight: 3 + 0.44*float64(k), Pavement: float64(k % 12)}
		d, s := virtual.Draw(r, virtual.World{}, where, eighteen(), l.done), state.Prior(where, eighteen(), l.done)
		if l.worked {
			for i, n := range d.Nails {
				s.Take(i, n.Form, habits[1].trim(d, &s, i))
			}
		}
		d.Grow(weeks)
		s.Live(where, weeks)
		for i := range d.Nails {
			n := &d.Nails[i]
			if l.breaks && i%6 == 0 {
				off := min(n.Length/3, 1+3*r.Float64())
				n.Length, n.Spare = n.Length-off, max(0, n.Spare-off)
				s.Forget(i, d.Where)
			}
			if !n.Code.Dewclaw() || l.worked { // of a dewclaw nobody can tell: it breaks, or is seen to
				length.count(n.Length, s.Length(i))
				spare.count(n.Spare, s.Spare(i))
			}
			if !n.Code.Dewclaw() {
				floor.count(n.Floor-n.Length, s.ToFloor(i))
			}
			most = max(most, s.Spare(i).Mean/s.Length(i).Mean)
		}
	}
	return length, floor, spare, most
}

// A nail that nobody works or looks at does not grow for ever: what is believed of it after months is what such
// nails are, and the page in docs tells how often that holds.
func TestNailsLeftAlone(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	page, err := os.ReadFile("../../../docs/coverage.md")
	require.NoError(t, err)
	for i, l := range leftAlone {
		for j, weeks := range []float64{8, 16, 26} {
			t.Run(fmt.Sprintf("%s, %g weeks", l.name, weeks), func(t *testing.T) {
				t.Parallel()
				sampled.Row(t, i+j)
				length, floor, spare, most := l.after(weeks)
				assert.LessOrEqual(t, most, state.MostSpare+1e-9)
				for name, got := range map[string]held{"length": length, "floor": floor, "spare": spare} {
					assert.GreaterOrEqual(t, got.share(), 80.0, name)
				}
				row := fmt.Sprintf(
					"| %s | %g weeks | %.1f | %.1f | %.1f |",
					l.name,
					weeks,
					length.share(),
					floor.share(),
					spare.share(),
				)
				assert.True(t, strings.Contains(string(page), row), "docs/coverage.md lacks %s", row)
			})
		}
	}
}

// Whatever a dog lived through, no nail is believed to have more spare than its share of the length.
func TestSpareIsNeverMoreThanItsShareOfTheLength(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		where := growth.Where{
			Age:      rapid.Float64Range(8, 700).Draw(t, "age"),
			Weight:   rapid.Float64Range(1, 90).Draw(t, "kg"),
			Pavement: rapid.Float64Range(0, 60).Draw(t, "km"),
		}
		s := state.Prior(where, eighteen(), nil)
		for range rapid.IntRange(1, 8).Draw(t, "sittings") {
			for i, n := range s.Nails {
				if !rapid.Bool().Draw(t, "worked") {
					continue
				}
				cuts := make([]state.Slice, rapid.IntRange(1, 4).Draw(t, "cuts"))
				for k := range cuts {
					cuts[k] = state.Slice{MM: rapid.Float64Range(0.1, 1).Draw(t, "mm")}
				}
				s.Take(
					i,
					claw.Assumed(n.Code, n.Shape, where.Weight),
					state.Event{Nail: n.Code, Trim: true, Work: state.Work{Cuts: cuts}},
				)
			}
			s.Live(where, rapid.Float64Range(0.1, 60).Draw(t, "weeks"))
			for i := range s.Nails {
				if most := state.MostSpare * max(0, s.Length(i).Mean); s.Spare(i).Mean > most+1e-9 {
					t.Fatalf("%v: %.2f mm of %.2f is spare", s.Nails[i].Code, s.Spare(i).Mean, s.Length(i).Mean)
				}
				if l := s.Length(i); !(l.SD < 1000) { // a hard walker's wear is no more than it walks
					t.Fatalf("%v: %.2f ± %.2f mm", s.Nails[i].Code, l.Mean, l.SD)
				}
			}
		}
	})
}
