package verdict_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
)

// A trim to the first sign leaves more than one to the dot, both less on a thinner nail, and never less than the
// margin.
func TestWhatATrimLeaves(t *testing.T) {
	first, dot := verdict.Leaves(7, 0, quick.AtFirstSign), verdict.Leaves(7, 0, quick.Full)
	assert.InDelta(t, 1.5, first, 0.01, "where a dark centre shows")
	assert.InDelta(t, 0.6, dot, 0.01, "where the dot does")
	assert.InDelta(t, first/2, verdict.Leaves(3.5, 0, quick.AtFirstSign), 1e-9)
	assert.InDelta(t, 2, verdict.Leaves(7, 2, quick.Full), 1e-9, "the margin")
}

// known is a nail that was worked before, with plenty to take.
func known(last quick.Face) verdict.Worked {
	w := verdict.Worked{
		Belief: quick.NewBelief(18, 7, nail.Dark, quick.Gamma{Mean: 6, SD: 0.6}, quick.UsualScales()),
		Depth:  7,
		Known:  true,
	}
	if last != "" {
		w.Cuts, w.Last = 1, last
	}
	return w
}

// Only what is trimmed has a plan; on light grey a nail that nobody worked before gives a tip's cut, one that is known
// more.
func TestWhoIsKnownMayBeTakenMore(t *testing.T) {
	usual := verdict.For(quick.AtFirstSign, kit.PractisedHand, false, false)
	trim := verdict.Of(verdict.Case{Touches: true, Spare: 6, Worked: known("")}, 1, usual)
	assert.Equal(t, verdict.Trim, trim.Kind)
	assert.NotEmpty(t, trim.Plan.Cuts)
	left := verdict.Of(verdict.Case{Today: true, Spare: 6, Worked: known("")}, 1, usual)
	assert.Equal(t, verdict.Leave, left.Kind)

	fresh := known(quick.Grey)
	fresh.Known = false
	assert.Less(t, verdict.Next(fresh, usual).MM, verdict.Next(known(quick.Grey), usual).MM)
	assert.InDelta(t, verdict.Thin(7), verdict.Next(fresh, usual).MM, 1e-9)
}
