package dog

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/due"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
)

// A dog that nobody looks at has a look of its own before its date; one look settles it.
func TestALookIsWantedWhereTheDecidingNailIsBadlyKnown(t *testing.T) {
	d := plain()
	d.Entered = today.AddDays(-200)
	lf3 := nail.MustParse("LF3")
	paper := measure.Paper.Number()
	tally := Sitting{On: today, Records: []Record{{Code: lf3, Cuts: []float64{1, 1, 1, 1}, Tool: kit.LargePlier, Reaction: temper.Calm}}}
	f := FeetAfter(d, []Sitting{tally})
	next := due.Next{Rule: due.Floor, Nails: []nail.Code{lf3}, Due: today.AddDays(14), Earliest: today.AddDays(14)}
	look, wanted := f.wanted(next)
	require.True(t, wanted)
	assert.Equal(t, today.AddDays(7), look.On)
	assert.Contains(t, look.Words, "LF3")
	assert.Greater(t, look.Off, 2.0)

	looked := FeetAfter(d, []Sitting{tally}, Check{On: today.AddDays(1), Looks: []Look{{Code: lf3, Gap: &paper}}})
	settled, wanted := looked.wanted(next)
	assert.Less(t, settled.Off, look.Off)
	assert.False(t, wanted)
	next.Rule = due.Ceiling
	_, wanted = f.wanted(next)
	assert.False(t, wanted, "the rhythm decides, whatever the floor")
}
