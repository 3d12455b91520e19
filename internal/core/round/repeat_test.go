package round

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/date"
)

func TestAVisitIsRepeatedOnItsWeekday(t *testing.T) {
	r := Repeat{EveryWeeks: 4, Times: 3}
	assert.Empty(t, r.Check())
	assert.Equal(t, []date.Date{monday.AddDays(28), monday.AddDays(56), monday.AddDays(84)}, r.After(monday))
	for _, bad := range []Repeat{{0, 1}, {1, 0}, {27, 1}, {1, 27}} {
		assert.Len(t, bad.Check(), 1, "%+v", bad)
	}
}

// Only the owner's own late calling off counts against them.
func TestWhatCountsAgainstAnOwner(t *testing.T) {
	starts := time.Date(2026, 12, 3, 14, 0, 0, 0, time.UTC)
	assert.True(t, CountsAgainst(TheOwner, starts, starts.Add(-2*time.Hour)))
	assert.False(t, CountsAgainst(TheOwner, starts, starts.Add(-25*time.Hour)), "in good time")
	assert.False(t, CountsAgainst(Us, starts, starts.Add(-2*time.Hour)))
	assert.False(t, CountsAgainst("", starts, starts.Add(-2*time.Hour)), "nobody said who")
}
