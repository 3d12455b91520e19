package book

import (
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/store"
)

func keptAt(at time.Time) store.KeptBackup {
	return store.KeptBackup{Name: at.Format(time.RFC3339), At: at}
}

// A hundred nights: there are always the last seven days and four whole weeks, and never many more.
func TestSevenDaysAndFourWeeksAreKept(t *testing.T) {
	var all []store.KeptBackup
	day := time.Date(2026, time.January, 1, 3, 10, 0, 0, time.UTC)
	for night := range 100 {
		all = append(all, keptAt(day))
		for _, k := range outlived(all, date.Of(day)) {
			for i := range all {
				if all[i] == k {
					all = append(all[:i], all[i+1:]...)
					break
				}
			}
		}
		ages := map[int]bool{}
		weeks := map[int]bool{}
		for _, k := range all {
			age := date.Of(day).Sub(date.Of(k.At))
			ages[age] = true
			_, week := k.At.ISOWeek()
			weeks[week] = true
		}
		for age := range min(night+1, daysKept) {
			assert.True(t, ages[age], "night %d, %d days ago", night, age)
		}
		if night > 7*(weeksKept+1) {
			assert.GreaterOrEqual(t, len(weeks), 1+weeksKept, "night %d", night)
		}
		assert.LessOrEqual(t, len(all), daysKept+weeksKept+1)
		day = day.AddDate(0, 0, 1)
	}
}

// A clock that is a year ahead for one night, or behind, makes no other backup old; what it made waits for its day.
func TestAClockThatJumpedPrunesNothing(t *testing.T) {
	at := func(year, day int) time.Time { return time.Date(year, time.November, day, 3, 10, 0, 0, time.UTC) }
	var week []store.KeptBackup
	for day := 20; day < 27; day++ {
		week = append(week, keptAt(at(2026, day)))
	}
	ahead := append(slices.Clone(week), keptAt(at(2027, 27)))
	gone := outlived(ahead, date.Of(at(2027, 27)))
	assert.LessOrEqual(t, len(gone), 1, "at most the eighth day's")
	assert.Empty(t, outlived(ahead, date.Of(at(2026, 26))), "the clock is right again")
	assert.Empty(
		t,
		outlived(append(slices.Clone(week[:6]), keptAt(at(2025, 1))), date.Of(at(2025, 1))),
		"what is ahead of a clock that is behind stays",
	)
}

// The backup that an import makes is the one that is put back, whatever sorts last beside it; an import that is
// refused takes away its own and no other.
func TestAnImportsOwnBackupIsTheOneItMade(t *testing.T) {
	b := opened(t)
	_, err := b.BackUp(ctx)
	require.NoError(t, err)
	all, err := b.Backups()
	require.NoError(t, err)
	real, later := filepath.Join(all.Place, all.Kept[0].Name), filepath.Join(all.Place, "2031-01-01T03-00-00.000.db")
	require.NoError(t, os.Rename(real, later))
	_, err = b.Import(ctx, strings.NewReader("no package"), 10, func(int, int) {})
	require.Error(t, err)
	assert.FileExists(t, later)
	made, err := b.BackUp(ctx)
	require.NoError(t, err)
	assert.NotEqual(t, filepath.Base(later), made.Name)
	assert.FileExists(t, filepath.Join(all.Place, made.Name))
}

func TestADaysBackupIsMadeOnceTheNightIsOver(t *testing.T) {
	at := func(day, hour int) time.Time { return time.Date(2026, time.November, day, hour, 0, 0, 0, time.UTC) }
	yesterday := []store.KeptBackup{keptAt(at(24, 3))}
	assert.True(t, nightDue(nil, at(25, 1)), "a book without any gets one at once")
	assert.False(t, nightDue(yesterday, at(25, 2)))
	assert.True(t, nightDue(yesterday, at(25, 3)))
	assert.True(t, nightDue(yesterday, at(25, 20)), "the machine was off at night")
	assert.False(t, nightDue([]store.KeptBackup{keptAt(at(25, 9))}, at(25, 20)), "one asked for by day is the day's")
	assert.True(t, nightDue([]store.KeptBackup{keptAt(at(29, 9))}, at(25, 20)), "the clock was put back")
	assert.True(
		t,
		nightDue([]store.KeptBackup{{At: at(25, 9), Replaced: true}}, at(25, 20)),
		"what a restore replaced is no backup of the book",
	)
}

// The nightly one is made, found sound and listed; when it cannot be made, that is said until it can.
func TestTheNightsBackup(t *testing.T) {
	b := opened(t)
	require.NoError(t, b.BackUpNightly(ctx))
	require.NoError(t, b.BackUpNightly(ctx))
	all, err := b.Backups()
	require.NoError(t, err)
	require.Len(t, all.Kept, 1, "once a day")
	assert.Empty(t, all.Trouble)
	path, err := b.SoundBackup(ctx, all.Kept[0].Name)
	require.NoError(t, err)
	assert.FileExists(t, path)
	_, err = b.SoundBackup(ctx, "../book.db")
	require.ErrorIs(t, err, store.ErrNotFound)

	require.NoError(t, os.WriteFile(filepath.Join(all.Place, "2026-11-24T03-00-00.000.db.part"), []byte("half"), 0o600))
	require.NoError(t, os.WriteFile(path, []byte("not any more"), 0o600))
	_, err = b.SoundBackup(ctx, all.Kept[0].Name)
	require.ErrorAs(t, err, new(store.Refused), "it was spoilt since")
	require.NoError(t, os.Remove(path))
	_, err = b.BackUp(ctx)
	require.NoError(t, err)
	left, err := filepath.Glob(filepath.Join(all.Place, "*.part"))
	require.NoError(t, err)
	assert.Empty(t, left, "what was broken off is cleared away")

	require.NoError(t, os.RemoveAll(all.Place))
	require.NoError(t, os.WriteFile(all.Place, nil, 0o600))
	require.Error(t, b.BackUpNightly(ctx))
	assert.NotEmpty(t, b.BackupTrouble())
}
