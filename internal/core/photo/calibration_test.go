package photo

import (
	"fmt"
	"math"
	"math/rand/v2"
	"os"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestCalibrationPage holds docs/photo.md to what 500 random cameras give, worked out anew at each run.
func TestCalibrationPage(t *testing.T) {
	if testing.Short() {
		t.Skip("long: make test runs it")
	}
	type seen struct{ off, range90, tilt, px float64 }
	var all []seen
	r := rand.New(rand.NewPCG(11, 12))
	for range 500 {
		got, truth := randomlySeen(r, 50, Beside, holdings[Beside])
		all = append(all, seen{math.Abs(got.Length.MM - truth), 1.6449 * got.Length.SD, got.View.Tilt, got.PxPerMM})
	}
	row := func(name string, is func(seen) bool) string {
		var off, wide []float64
		held := 0
		for _, s := range all {
			if !is(s) {
				continue
			}
			off, wide = append(off, s.off), append(wide, s.range90)
			if s.off <= s.range90 {
				held++
			}
		}
		slices.Sort(off)
		slices.Sort(wide)
		return fmt.Sprintf(
			"| %s | %d | %.2f | ± %.2f | %.0f %% |",
			name,
			len(off),
			off[len(off)/2],
			wide[len(wide)/2],
			100*float64(held)/float64(len(off)),
		)
	}
	page, err := os.ReadFile("../../../docs/photo.md")
	require.NoError(t, err)
	lines := []string{
		row("all", func(seen) bool { return true }),
		row("tilted by under 15°", func(s seen) bool { return s.tilt < 15 }),
		row("15° to 30°", func(s seen) bool { return s.tilt >= 15 && s.tilt < 30 }),
		row("30° to 60°", func(s seen) bool { return s.tilt >= 30 }),
		row("8 to 10 pixels a millimetre", func(s seen) bool { return s.px < 10 }),
		row("10 to 12", func(s seen) bool { return s.px >= 10 && s.px < 12 }),
		row("12 and more", func(s seen) bool { return s.px >= 12 }),
	}
	for _, off := range []struct {
		name        string
		depth, lean float64
	}{{"in the card's plane", 0, 0}, {"5 mm before it", 5, 0}, {"5 mm behind it", -5, 0}, {"10 mm before it", 10, 0}, {"leaning 10°", 0, 10}, {"leaning 20°", 0, 20}, {"leaning 30°", 0, 30}} {
		line := "| " + off.name
		for _, held := range Holdings() {
			inside, off90 := 0, 0.0
			const all = 200
			for i := range all {
				from := stands{depth: off.depth, leanOff: 0}
				got, truth := randomlyLeaning(r, 30, held, from, off.lean*float64(1-2*(i%2)))
				if math.Abs(got.Length.MM-truth) <= 1.6449*got.Length.SD {
					inside++
				}
				off90 += 1.6449 * got.Length.SD / all
			}
			line += fmt.Sprintf(" | %.0f %%, ± %.1f", 100*float64(inside)/all, off90)
		}
		inside, off90 := 0, 0.0
		const pairs = 60
		for i := range pairs {
			got, truth, _ := randomlyTwice(r, off.depth, off.lean*float64(1-2*(i%2)))
			if math.Abs(got.Length.MM-truth) <= 1.6449*got.Length.SD {
				inside++
			}
			off90 += 1.6449 * got.Length.SD / pairs
		}
		line += fmt.Sprintf(" | %.0f %%, ± %.1f", 100*float64(inside)/pairs, off90)
		lines = append(lines, line+" |")
	}
	for _, line := range lines {
		assert.True(t, strings.Contains(string(page), line), "docs/photo.md must say: %s", line)
	}
}
