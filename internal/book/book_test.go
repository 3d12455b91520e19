package book

import (
	"context"
	"errors"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/units"
	"fribbet/internal/store"
	"fribbet/internal/store/storetest"
)

var ctx = context.Background()

// opened is an empty book on 24 November 2026, a Tuesday, late in the evening in a zone east of Greenwich.
func opened(t *testing.T) *Book {
	t.Helper()
	kept, err := store.Open(ctx, storetest.Empty(t))
	require.NoError(t, err)
	t.Cleanup(func() { _ = kept.Close() })
	east := time.FixedZone("east", 9*3600)
	return New(kept, func() time.Time { return time.Date(2026, time.November, 24, 23, 30, 0, 0, east) }, Options{})
}

func told(name string, years, kg float64) dog.Changes {
	return dog.Changes{Name: &name, AgeYears: &years, Weights: []dog.Weight{{Kg: kg}}}
}

func chosen(role string) store.Settings {
	return store.Settings{
		Role:       role,
		LengthUnit: units.Millimetre,
		WeightUnit: units.Kilogram,
		Margin:     1,
		Workdays:   date.EveryDay,
	}
}

func trimmed(code string, tool kit.Tool, on date.Date) store.Sitting {
	return store.Sitting{ID: uuid.New(), Sitting: record.Sitting{On: on, Records: []record.NailRecord{
		{Code: nail.MustParse(code), Cuts: []float64{1}, Tool: tool, Reaction: temper.Calm}}}}
}

func TestTodayIsTheUsersOwnDay(t *testing.T) {
	assert.Equal(t, "2026-11-24", opened(t).Today().String(), "it is still the 24th where the user is")
}

// Two weeks is the usual home advice, four the general ceiling (common practice, no source).
func TestWhoUsesItDecidesANewDogsRhythm(t *testing.T) {
	for role, rhythm := range map[string]rhythm.Rhythm{Keeper: rhythm.Fortnightly, Groomer: rhythm.FourWeeks} {
		b := opened(t)
		require.NoError(t, b.ChangeSettings(ctx, chosen(role)))
		d, err := b.AddDog(ctx, told("Moss", 4, 22))
		require.NoError(t, err)
		assert.Equal(t, rhythm, d.Rhythm, role)
	}
}

func TestSettingsThatCannotBeAreNotKept(t *testing.T) {
	b := opened(t)
	bad := chosen(Unset)
	bad.Margin, bad.Workdays = -1, 0
	err := b.ChangeSettings(ctx, bad)
	var faults fault.Fields
	require.True(t, errors.As(err, &faults))
	assert.Len(t, faults, 3)
	kept, err := b.Settings(ctx)
	require.NoError(t, err)
	assert.Equal(t, Unset, kept.Role)
	assert.Equal(t, 1.0, kept.Margin)
}

func TestTheDueListBeginsWithWhoIsLatest(t *testing.T) {
	b := opened(t)
	for name, ago := range map[string]int{"Late": 60, "Later": 90, "Soon": 1} {
		born := b.Today().AddYears(-5)
		c := told(name, 0, 22)
		c.AgeYears, c.BirthDate = nil, &born
		d, err := b.AddDog(ctx, c)
		require.NoError(t, err)
		require.NoError(t, b.Record(ctx, d.ID, trimmed("LF3", kit.File, b.Today().AddDays(-ago)), ""))
	}
	_, err := b.AddDog(ctx, told("New", 1, 8))
	require.NoError(t, err)
	list, err := b.DueList(ctx, store.Find{Limit: 50})
	require.NoError(t, err)
	var names []string
	for _, v := range list.Rows {
		names = append(names, v.Name)
	}
	assert.Equal(t, []string{"Later", "Late", "New", "Soon"}, names)
}

func TestThePlanBeginsWithTheToolOfLastTime(t *testing.T) {
	b := opened(t)
	small, err := b.AddDog(ctx, told("Small", 4, 6))
	require.NoError(t, err)
	plan, err := b.Plan(ctx, small.ID, false)
	require.NoError(t, err)
	assert.Equal(t, kit.SmallPlier, plan.Tool, "under 30 lb (common practice, no source)")

	require.NoError(t, b.Record(ctx, small.ID, trimmed("LF3", kit.GrinderDiamond, date.Date{}), ""))
	plan, err = b.Plan(ctx, small.ID, false)
	require.NoError(t, err)
	assert.Equal(t, kit.GrinderDiamond, plan.Tool)
	view, err := b.View(ctx, small.ID)
	require.NoError(t, err)
	assert.Equal(t, b.Today(), view.Sittings[0].On, "a trim without a date was today")
}

func TestTheMarginMovesTheDate(t *testing.T) {
	dates := map[float64]date.Date{}
	for _, margin := range []float64{1, 5} {
		b := opened(t)
		s := chosen(Keeper)
		s.Margin = margin
		require.NoError(t, b.ChangeSettings(ctx, s))
		d, err := b.AddDog(ctx, told("Moss", 4, 22))
		require.NoError(t, err)
		require.NoError(t, b.Record(ctx, d.ID, trimmed("LF3", kit.File, date.Date{}), ""))
		view, err := b.View(ctx, d.ID)
		require.NoError(t, err)
		dates[margin] = view.Next.Due
	}
	assert.True(t, dates[1].Before(dates[5]), "with more to be left, there is less to take so soon")
}
