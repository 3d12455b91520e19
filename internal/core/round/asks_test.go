package round

import (
	"fribbet/internal/words/wordstest"
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestWhatADayAsksOfPeople(t *testing.T) {
	sorrel := Visit{Dog: Dog{Name: "Sorrel", Help: Needed}, Start: At(11, 30), State: Agreed}
	bosun := Visit{Dog: Dog{Name: "Bosun", Hard: true}, Start: At(14, 0), State: Agreed}
	h := Hours{Helper: []Stretch{{At(11, 0), At(13, 0)}}}

	assert.Equal(
		t,
		[]string{"somebody to hold from 11:00: Sorrel at 11:30", "not when you are tired: Bosun at 14:00"},
		wordstest.All(h.Asks([]Visit{sorrel, bosun})),
	)
	assert.Equal(
		t,
		[]string{"somebody to hold from 11:30: Sorrel at 11:30"},
		wordstest.All(Hours{}.Asks([]Visit{sorrel})),
		"nobody is told to come earlier",
	)

	sorrel.State, bosun.State = Done, CalledOff
	assert.Empty(t, h.Asks([]Visit{sorrel, bosun}), "what is through asks nothing")
}
