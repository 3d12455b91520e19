package book

import (
	"errors"
	"testing"
	"time"
	_ "time/tzdata" // the zones that are asked about

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/round"
	"fribbet/internal/store"
	"fribbet/internal/words/wordstest"
)

// In the night in which the clocks change, some times come twice and some never: neither is given. The calendar
// tells the day's others at their hour, and drops the date of a dog that has a visit.
func TestATimeComesOnce(t *testing.T) {
	b := opened(t)
	berlin, err := time.LoadLocation("Europe/Berlin")
	require.NoError(t, err)
	b.now = func() time.Time { return time.Date(2026, time.March, 20, 10, 0, 0, 0, berlin) }
	require.NoError(t, b.ChangeSettings(ctx, chosen(Groomer)))
	d, err := b.AddDog(ctx, told("Moss", 4, 22))
	require.NoError(t, err)
	require.NoError(t, b.Record(ctx, d.ID, trimmed("LF3", kit.File, b.Today().AddDays(-10)), ""))
	keep := func(on string, at round.Clock) error {
		v := store.Visit{ID: uuid.New(), On: date.MustParse(on), Start: at, State: round.Agreed}
		v.Dog.DogID = d.ID
		_, err := b.KeepVisit(ctx, v, true)
		return err
	}
	var f fault.Fields
	for on, at := range map[string]round.Clock{"2026-03-29": round.At(2, 30), "2026-10-25": round.At(2, 30)} {
		require.True(t, errors.As(keep(on, at), &f), on)
		assert.Contains(t, wordstest.Of(f[0].Want), "comes once")
	}
	key, err := b.CalendarKey(ctx)
	require.NoError(t, err)
	read := func() string {
		text, _, err := b.Calendar(ctx, key)
		require.NoError(t, err)
		return string(text)
	}
	assert.Contains(t, read(), "UID:due-")
	require.NoError(t, keep("2026-03-29", round.At(10, 0)))
	text := read()
	assert.Contains(t, text, "DTSTART;TZID=Europe/Berlin:20260329T100000")
	assert.Contains(t, text, "TZOFFSETTO:+0200")
	assert.NotContains(t, text, "UID:due-", "it has a visit")
}
