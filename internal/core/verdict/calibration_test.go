package verdict_test

import (
	"fmt"
	"math/rand/v2"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/growth"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
	"fribbet/internal/core/virtual"
	"fribbet/internal/sampled"
)

var (
	careful = verdict.Terms{Stop: quick.AtFirstSign, Limit: verdict.Careful, Most: 2}
	usual   = verdict.Terms{Stop: quick.AtFirstSign, Limit: verdict.Usual, Most: 2}
	full    = verdict.Terms{Stop: quick.Full, Limit: verdict.Usual, Most: 2} // a groomer's
)

// Beside the program: what a hand does by the eye alone, in the same worlds.
func TestAHandAloneBleedsMore(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	t.Parallel()
	for _, mm := range []float64{1, 0.5} {
		var first, later tally
		r := rand.New(rand.NewPCG(40, 3))
		for range 50 {
			where, nails := somewhere(r), standard(r)
			d := virtual.Draw(r, hands(virtual.World{}), where, nails, nil)
			for week := 0; week < 40; week += 2 {
				for i := range nails {
					one := alone(d, i, mm)
					if week == 0 {
						first.add(one)
					}
					later.add(one)
				}
				d.Grow(2)
			}
		}
		assert.Greater(t, later.perThousand(), 10.0)
		told(
			t,
			fmt.Sprintf(
				"| %g mm slivers until the first sign | %.0f | %.0f | %.2f |",
				mm,
				first.perThousand(),
				later.perThousand(),
				later.median(),
			),
		)
	}
}

func TestFirstSittingsRarelyBleed(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	week := 1.0
	for _, c := range []struct {
		name    string
		world   virtual.World
		trimmed *float64
		most    float64
	}{
		{"nothing known but the size", virtual.World{}, nil, 6},
		{"trimmed a week ago, and nobody said so", virtual.World{}, &week, 20},
		{"spares 30 % shorter than is usual", virtual.World{Shorter: 0.7}, nil, 20},
		{"faces show 30 % later", virtual.World{Later: 0.7}, nil, 15},
	} {
		t.Run(c.name, func(t *testing.T) {
			t.Parallel()
			got := firstSittings(c.world, c.trimmed, way{terms: careful})
			assert.LessOrEqual(t, got.perThousand(), c.most)
			got.useful(t)
			told(
				t,
				fmt.Sprintf(
					"| %s | %.1f | %.1f | %.2f | %.0f %% |",
					c.name,
					got.perThousand(),
					got.toldPerThousand(),
					got.median(),
					100*float64(got.much)/float64(max(1, got.long)),
				),
			)
		})
	}
}

// kind is some hands and dogs over forty weeks, and what is asked of them.
type kind struct {
	name    string
	as      way
	world   virtual.World
	draw    func(*rand.Rand) growth.Where
	caliper bool
	weeks   []int
	most    float64 // nails of 1000 that may bleed
	within  float64 // times what was told, or 1.5 of 1000
	cuts    map[int]float64
	nine    int // cuts at most, on nine nails in ten
}

// ofSize is those terms with that largest cut, mm.
func ofSize(t verdict.Terms, mm float64) verdict.Terms {
	t.Most = mm
	return t
}

func TestFortyWeeksRarelyBleed(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	all, late := []int{1, 2, 4}, virtual.World{Later: 0.7}
	thick := virtual.World{CutTimes: 1.4, CutShare: 0.35}
	press, steps := map[int]float64{1: 3.2, 2: 4.4, 4: 5.6}, map[int]float64{1: 3.6, 2: 4.9, 4: 6.3}
	onePress, oneStep := map[int]float64{1: 3.6, 2: 5.2, 4: 7}, map[int]float64{1: 3.6, 2: 5.2, 4: 7}
	two, milder := []int{2, 4}, virtual.World{Milder: 0.3}
	toys := map[int]float64{1: 5, 2: 7, 4: 10}
	any := map[int]float64{1: 5, 2: 8, 4: 12}
	for i, k := range []kind{
		{"careful, step by step", way{terms: careful}, virtual.World{}, somewhere, false, all, 3, 2, steps, 11},
		{"careful, one press a nail", way{terms: careful, press: true}, virtual.World{}, somewhere, false, all, 3, 2, press, 8},
		{"usual, step by step", way{terms: usual}, virtual.World{}, somewhere, false, all, 5, 2, steps, 11},
		{"usual, one press a nail", way{terms: usual, press: true}, virtual.World{}, somewhere, false, all, 5, 2, press, 8},
		{"as far as it goes, step by step", way{terms: full}, virtual.World{}, somewhere, false, all, 5, 2, steps, 11},
		{"as far as it goes, one press a nail", way{terms: full, press: true}, virtual.World{}, somewhere, false, all, 5, 2, press, 8},
		// lengths make the spare too sure,
		{"usual, step by step, caliper", way{terms: usual}, virtual.World{}, somewhere, true, all, 5, 2.5, steps, 11},
		{"usual, one press a nail, caliper", way{terms: usual, press: true}, virtual.World{}, somewhere, true, all, 5, 2.5, press, 8},
		{"careful, step by step, largest cut 1 mm", way{terms: ofSize(careful, 1)}, virtual.World{}, somewhere, false, all, 3, 2, oneStep, 12},
		{"careful, one press a nail, largest cut 1 mm", way{terms: ofSize(careful, 1), press: true}, virtual.World{}, somewhere, false, all, 3, 2, onePress, 11},
		{"1.5 to 6 kg: careful, step by step", way{terms: careful}, virtual.World{}, toy, false, all, 4.5, 2, toys, 20},
		{"1.5 to 6 kg: usual, step by step", way{terms: usual}, virtual.World{}, toy, false, all, 6, 2, toys, 20},
		{"1.5 to 6 kg: usual, one press a nail", way{terms: usual, press: true}, virtual.World{}, toy, false, all, 4.5, 2, map[int]float64{1: 4.2, 2: 5.6, 4: 7}, 12},
		{"its millimetre is 1.4 and uneven, nobody knows: usual, step by step", way{terms: usual}, thick, somewhere, false, all, 13, 6, steps, 11},
		{"its millimetre is 1.4 and uneven, measured: usual, step by step", way{terms: usual, stick: true}, thick, somewhere, false, all, 5, 2, steps, 11},
		{"its millimetre is 1.4 and uneven, nobody knows: usual, one press a nail", way{terms: usual, press: true}, thick, somewhere, false, all, 13, 6, press, 9},
		{"its millimetre is 1.4 and uneven, measured: usual, one press a nail", way{terms: usual, press: true, stick: true}, thick, somewhere, false, all, 5, 2, press, 8},
		{"three ends in ten taken for milder, nobody knows: careful, step by step", way{terms: careful}, milder, somewhere, false, two, 7, 4, toys, 12},
		{"three ends in ten taken for milder, practised: careful, step by step", way{terms: careful, eye: true}, milder, somewhere, false, two, 4, 2, toys, 12},
		{"three ends in ten taken for milder, nobody knows: usual, one press a nail", way{terms: usual, press: true}, milder, somewhere, false, two, 10, 6, onePress, 9},
		{"three ends in ten taken for milder, practised: usual, one press a nail", way{terms: usual, press: true, eye: true}, milder, somewhere, false, two, 5, 2, onePress, 9},
		{"signs 30 % later: usual, step by step", way{terms: usual}, late, somewhere, false, []int{2, 4}, 10, 5, any, 20},
		{"signs 30 % later: usual, one press a nail", way{terms: usual, press: true}, late, somewhere, false, []int{2, 4}, 10, 6, any, 12},
		{"signs 30 % later: as far as it goes, one press a nail", way{terms: full, press: true}, late, somewhere, false, []int{2, 4}, 10, 5, any, 12},
		{"signs 30 % later, 5 to 8 kg: usual, one press a nail", way{terms: usual, press: true}, late, smaller, false, []int{2, 4}, 12, 4, any, 20},
		{"signs 30 % later, 5 to 8 kg: as far as it goes, one press a nail", way{terms: full, press: true}, late, smaller, false, []int{2, 4}, 12, 4, any, 20},
		{"signs 30 % later, 5 to 8 kg: as far as it goes, step by step", way{terms: full}, late, smaller, false, []int{2, 4}, 15, 4, any, 25},
	} {
		for j, weeks := range k.weeks {
			name := fmt.Sprintf("%s | %d weeks", k.name, weeks)
			t.Run(name, func(t *testing.T) {
				t.Parallel()
				sampled.Row(t, i+j)
				all, early, late := fortyWeeks(t, k.world, k.draw, weeks, k.caliper, 2*(6+8*weeks), k.as)
				cuts, nine := all.perNail()
				assert.LessOrEqual(t, all.perThousand(), k.most)
				assert.LessOrEqual(t, all.perThousand(), k.within*max(1.5, all.toldPerThousand()), "what was told")
				assert.LessOrEqual(
					t,
					late.perThousand(),
					early.perThousand()+max(3, 3*early.offBeside(late)),
					"no more in the last ten weeks than in the first, give or take what chance makes of so many nails",
				)
				assert.LessOrEqual(t, cuts, k.cuts[weeks])
				assert.LessOrEqual(t, nine, k.nine)
				if !k.as.press {
					all.useful(t)
				}
				told(
					t,
					fmt.Sprintf(
						"| %s | %.1f | %.1f | %.1f | %.1f | %.1f | %d | %.2f | %.0f %% |",
						name,
						all.perThousand(),
						all.toldPerThousand(),
						early.perThousand(),
						late.perThousand(),
						cuts,
						nine,
						all.median(),
						100*float64(all.much)/float64(max(1, all.long)),
					),
				)
			})
		}
	}
}

// told wants a row to stand on the page in docs, to the digit.
func told(t *testing.T, row string) {
	t.Helper()
	page, err := os.ReadFile("../../../docs/calibration.md")
	require.NoError(t, err)
	assert.True(t, strings.Contains(string(page), row), "docs/calibration.md lacks %s", row)
}
