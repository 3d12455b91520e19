package book

import (
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/store"
)

// A setting moves the dates of the whole book: in the background, with progress, and no dog is lost.
func TestAChangedSettingMovesEveryDate(t *testing.T) {
	b := opened(t)
	require.NoError(t, b.ChangeSettings(ctx, chosen(Groomer)))
	const dogs = 2*atOnce + 3
	for i := range dogs {
		d, err := b.AddDog(ctx, told(fmt.Sprintf("Dog %03d", i), 4, 22))
		require.NoError(t, err)
		require.NoError(t, b.Record(ctx, d.ID, trimmed("LF3", kit.File, b.Today()), ""))
	}
	whole := func() DueList {
		var list DueList
		require.Eventually(t, func() bool {
			var err error
			list, err = b.DueList(ctx, store.Find{Limit: 2 * dogs})
			require.NoError(t, err)
			if p := list.Recount; p != nil {
				assert.LessOrEqual(t, p.Done, p.All)
			}
			return list.Recount == nil
		}, 20*time.Second, 5*time.Millisecond)
		return list
	}
	before := whole()
	require.Len(t, before.Rows, dogs)
	away := chosen(Groomer)
	away.Holidays = []date.Span{{From: b.Today(), To: turn(t, before.Rows[0]).On.AddDays(5)}}
	require.NoError(t, b.ChangeSettings(ctx, away))
	first, err := b.DueList(ctx, store.Find{Limit: 1})
	require.NoError(t, err)
	require.NotNil(t, first.Recount, "it says that it is at work")
	assert.Equal(t, dogs, first.Recount.All)
	after := whole()
	require.Len(t, after.Rows, dogs)
	for _, row := range after.Rows {
		assert.Equal(t, away.Holidays[0].To.AddDays(1), turn(t, row).On)
	}
}

func TestTomorrowTheListIsOfTomorrow(t *testing.T) {
	b := opened(t)
	d, err := b.AddDog(ctx, told("Moss", 4, 22))
	require.NoError(t, err)
	require.NoError(t, b.Record(ctx, d.ID, trimmed("LF3", kit.File, b.Today()), ""))
	today, err := b.DueList(ctx, store.Find{Limit: 1})
	require.NoError(t, err)
	late := b.now().AddDate(0, 2, 0)
	b.now = func() time.Time { return late }
	later, err := b.DueList(ctx, store.Find{Limit: 1})
	require.NoError(t, err)
	before, after := turn(t, today.Rows[0]), turn(t, later.Rows[0])
	assert.Equal(t, before.On, after.On, "the date stays")
	assert.Equal(t, "late", string(after.Standing))
	assert.Greater(t, after.Glance.Bars[2].Length, before.Glance.Bars[2].Length, "and the nails have grown")
}

func turn(t *testing.T, row DueRow) Turn {
	t.Helper()
	turn, err := row.Turn()
	require.NoError(t, err)
	return turn
}

// A dog whose records break the reckoning says so in its own row; one that was told of while it was
// read is left for the next turn.
func TestOneDogsTroubleIsItsOwn(t *testing.T) {
	b := opened(t)
	d, err := b.AddDog(ctx, told("Moss", 4, 22))
	require.NoError(t, err)
	settings, err := b.Settings(ctx)
	require.NoError(t, err)
	f, err := b.known(ctx, d)
	require.NoError(t, err)
	kept, err := f.keep()
	require.NoError(t, err)

	broken := d
	broken.Weights = nil
	row, err := b.settleOne(store.DogStanding{DogID: d.ID, Terms: "now"}, broken, history{}, nil, settings)
	require.NoError(t, err)
	assert.Contains(t, string(row.Due), "book.cannot_be_worked_out")
	assert.Equal(t, "now", row.Terms)

	meanwhile := d
	meanwhile.Nails = d.Nails[1:]
	row, err = b.settleOne(
		store.DogStanding{DogID: d.ID, Terms: "now", Fold: feet.FoldVersion, Feet: kept},
		meanwhile,
		history{},
		nil,
		settings,
	)
	require.NoError(t, err)
	assert.Empty(t, row.Terms, "not kept")
}
