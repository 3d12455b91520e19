package demo

import (
	"context"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/book"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/store"
)

func filled(t *testing.T, day time.Time) []book.View {
	t.Helper()
	ctx := context.Background()
	kept, err := store.Open(ctx, filepath.Join(t.TempDir(), "demo.db"))
	require.NoError(t, err)
	t.Cleanup(func() { _ = kept.Close() })
	b := book.New(kept, func() time.Time { return day })
	require.NoError(t, Fill(ctx, b))
	views, err := b.DueList(ctx)
	require.NoError(t, err)
	return views
}

// The demonstration must show every state of the Due list on whatever day it is started.
func TestTheDemoShowsEveryStanding(t *testing.T) {
	for day := range 7 {
		on := time.Date(2026, time.February, 26+day, 9, 0, 0, 0, time.UTC)
		standings := map[due.Standing]int{}
		curling, veterinary, trained := 0, 0, 0
		views := filled(t, on)
		for _, v := range views {
			if v.Training.Whole() {
				trained++
				continue
			}
			if v.Next == nil {
				standings[due.Unseen]++
				continue
			}
			standings[v.Next.StandingOn(date.Of(on))]++
			for _, r := range v.Readings {
				if r.Curling() {
					curling++
				}
			}
			for _, c := range v.Cautions {
				if c.Kind == dog.Veterinarian {
					veterinary++
				}
			}
		}
		assert.GreaterOrEqual(t, len(views), 8)
		assert.Equal(t, 1, standings[due.Unseen])
		assert.GreaterOrEqual(t, standings[due.Late], 1, "%v", on)
		assert.GreaterOrEqual(t, standings[due.Today]+standings[due.ThisWeek], 3, "%v", on)
		assert.GreaterOrEqual(t, standings[due.Later], 2, "%v", on)
		assert.Equal(t, 1, trained, "a puppy on the ladder")
		assert.Equal(t, 1, curling, "one dewclaw curls, %v", on)
		assert.Equal(t, 1, veterinary, "one torn nail, %v", on)
		assert.Equal(t, "Marl", views[0].Dog.Name, "what is a veterinarian's matter stands first")
	}
}

func TestTheDemoIsTheSameEveryTime(t *testing.T) {
	on := time.Date(2026, time.November, 24, 9, 0, 0, 0, time.UTC)
	a, b := filled(t, on), filled(t, on)
	for i := range a {
		assert.Equal(t, a[i].Dog.Name, b[i].Dog.Name)
		assert.Equal(t, a[i].Readings, b[i].Readings)
	}
}
