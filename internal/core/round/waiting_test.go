package round

import (
	"fribbet/internal/words/wordstest"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestAPlaceThatFallsFreeIsNamedToOneWhoWaits(t *testing.T) {
	day := monday
	w := Week{Days: map[time.Weekday]Hours{day.Weekday(): {Stretch: Stretch{At(9, 0), At(10, 0)}}}}
	full := []Visit{{ID: "v", Dog: Dog{ID: "a", Minutes: 60}, On: day, Start: At(9, 0), State: Agreed}}
	first, second := Dog{ID: "b", Name: "Fig", Minutes: 60}, Dog{ID: "c", Name: "Nettle", Minutes: 60}

	assert.Equal(t, []*Offer{nil, nil}, w.Fallen([]Dog{first, second}, full, day), "the day is full")

	full[0].State = CalledOff
	places := w.Fallen([]Dog{first, second}, full, day)
	require.NotNil(t, places[0])
	assert.Equal(t, At(9, 0), places[0].Start)
	assert.Nil(t, places[1], "who came later waits on")

	short := Dog{ID: "d", Minutes: 30}
	places = w.Fallen([]Dog{short, {ID: "e", Minutes: 30}}, full, day)
	require.NotNil(t, places[0])
	require.NotNil(t, places[1])
	assert.NotEqual(t, places[0].Start, places[1].Start, "no place is named twice")
}

func TestWhoCannotWait(t *testing.T) {
	comes := []Visit{{Dog: Dog{Name: "Fig"}, On: monday, Start: At(9, 0), State: Agreed}}
	assert.Contains(t, wordstest.Err(CheckWait(monday, monday, comes).Err()), "Fig comes at 09:00")
	assert.Contains(t, wordstest.Err(CheckWait(monday.AddDays(-1), monday, comes).Err()), "must not have gone by")
	comes[0].State = CalledOff
	assert.NoError(t, CheckWait(monday, monday, comes).Err())
}
