package due

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/rhythm"
)

func TestAMovedDateTellsWhatMovedIt(t *testing.T) {
	for _, rule := range Rules() {
		want := movedNails
		switch rule {
		case Refused:
			want = movedNo
		case Ceiling, Agreed:
			want = movedCalendar
		}
		assert.Equal(t, want, MovedBy(rule, rhythm.FourWeeks).Key, rule)
	}
	assert.Equal(t, movedHalfWeek, MovedBy(Ceiling, rhythm.TwiceAWeek).Key)
}
