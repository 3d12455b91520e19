package store

import (
	"io/fs"
	"path/filepath"
	"testing"
	"time"

	"github.com/pressly/goose/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

// A book made before the lists held what each cut showed and where the quick was seen has it all
// again once it is opened: nothing that was typed is lost.
func TestAnOlderBooksListsAreWorkedOutFromItsLogs(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	s, err := Open(ctx, path)
	require.NoError(t, err)
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	told := aSitting()
	told.Records[0].Blood = false
	told.Records[0].Faces = []quick.Face{quick.White, quick.DarkCentre}
	told.Records[0].EndFace = quick.DarkCentre
	told.Records[0].Landmarks = []quick.Seen{{Mark: quick.Groove, Spare: 3.5}}
	require.NoError(t, add(s, d.ID, told, time.Now()))

	files, err := fs.Sub(migrations, "migrations")
	require.NoError(t, err)
	provider, err := goose.NewProvider(goose.DialectSQLite3, s.db.DB, files)
	require.NoError(t, err)
	_, err = provider.DownTo(ctx, projected-1)
	require.NoError(t, err)
	require.NoError(t, s.Close())

	again := opened(t, path)
	kept, err := again.Sittings(ctx, d.ID)
	require.NoError(t, err)
	require.Len(t, kept, 1)
	assert.Equal(t, told.Sitting, kept[0].Sitting)
	back, err := again.Dog(ctx, d.ID)
	require.NoError(t, err)
	assert.True(t, back.Entered.IsZero(), "an older book does not say when its dogs came")
	assert.Nil(t, back.LastDone)
	_, has := back.Nail(nail.MustParse("LF3"))
	assert.True(t, has)
}
