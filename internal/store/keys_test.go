package store

import (
	"path/filepath"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
)

// What was renewed or withdrawn stays so when a book from before is put back: the calendar's address and a card's page.
func TestARestoreRevivesNoKey(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	s, err := Open(ctx, path)
	require.NoError(t, err)
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	require.NoError(t, s.SaveSettings(ctx, Settings{Role: "keeper", Workdays: date.EveryDay}))
	require.NoError(t, s.FirstCalendarKey(ctx, "calendar before"))
	shown, hidden := uuid.New(), uuid.New()
	require.NoError(t, s.OpenCard(ctx, d.ID, shown, "shown before"))
	require.NoError(t, s.OpenCard(ctx, d.ID, hidden, "hidden before"))
	backup := filepath.Join(t.TempDir(), "backup.db")
	require.NoError(t, s.Backup(ctx, backup))

	require.NoError(t, s.SetCalendarKey(ctx, "calendar since"))
	require.NoError(t, s.WithdrawCard(ctx, d.ID, hidden))
	require.NoError(t, s.RenewCards(ctx, func() string { return "shown since" }))
	require.NoError(t, s.Close())
	require.NoError(t, Restore(ctx, path, backup, ReplacedAt(path, time.Now())))
	s = opened(t, path)
	key, err := s.CalendarKey(ctx)
	require.NoError(t, err)
	assert.Equal(t, "calendar since", key)
	for _, old := range []string{"shown before", "hidden before"} {
		_, _, err := s.CardOf(ctx, old)
		assert.ErrorIs(t, err, ErrNotFound, old)
	}
	require.NoError(t, s.OpenCard(ctx, d.ID, hidden, "hidden again"))
	of, sitting, err := s.CardOf(ctx, "hidden again")
	require.NoError(t, err)
	assert.Equal(t, []uuid.UUID{d.ID, hidden}, []uuid.UUID{of, sitting})
}
