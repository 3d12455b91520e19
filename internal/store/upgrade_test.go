package store

import (
	"context"
	"io/fs"
	"path/filepath"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/pressly/goose/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
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
	told.Records[0].Landmarks = []quick.Seen{{Mark: quick.Groove, Spare: 3.5, By: measure.Eye, SD: quick.GrooveSD}}
	require.NoError(t, add(s, d.ID, told, time.Now()))

	files, err := fs.Sub(migrations, "migrations")
	require.NoError(t, err)
	provider, err := goose.NewProvider(goose.DialectSQLite3, s.db.DB, files)
	require.NoError(t, err)
	_, err = provider.DownTo(ctx, 5)
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

// A book whose numbers do not say what they were read with, and one from before there were logs at that,
// has each with what is usual of it: nothing that was typed is lost.
func TestAnOlderBooksNumbersSayWhatTheyWereReadWith(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	s, err := Open(ctx, path)
	require.NoError(t, err)
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	told := aSitting()
	number := func(what measure.What, mm float64) *measure.Number { n := what.Told(mm, "", 0); return &n }
	told.Records[1].LengthBefore, told.Records[1].LengthAfter = number(measure.Length, 14), number(measure.Length, 13.5)
	told.Records[1].GapBefore, told.Records[1].SpareLeft = number(measure.Gap, 1.2), number(measure.Quick, 2)
	told.Records[1].Landmarks = []quick.Seen{{Mark: quick.Hook, Spare: 3, By: measure.Eye, SD: 1.5}}
	require.NoError(t, add(s, d.ID, told, time.Now()))
	look := WalkRound{ID: uuid.New(), WalkRound: record.WalkRound{On: told.On, Looks: []record.Look{
		{
			Code: nail.MustParse("LF3"),
			Gap:  number(measure.Gap, 0.76),
		},
		{Code: nail.MustParse("LF4"), Length: number(measure.Length, 12)},
	}}}
	require.NoError(t, s.AddCheck(ctx, d, look, time.Now()))

	files, err := fs.Sub(migrations, "migrations")
	require.NoError(t, err)
	provider, err := goose.NewProvider(goose.DialectSQLite3, s.db.DB, files)
	require.NoError(t, err)
	_, err = provider.DownTo(ctx, 7)
	require.NoError(t, err)
	_, err = s.db.ExecContext(ctx, `DELETE FROM events; DELETE FROM logs`)
	require.NoError(t, err)
	require.NoError(t, s.Close())

	again := opened(t, path)
	kept, err := again.Sittings(ctx, d.ID)
	require.NoError(t, err)
	require.Len(t, kept, 1)
	assert.Equal(t, told.Sitting, kept[0].Sitting)
	looks, err := again.Checks(ctx, d.ID)
	require.NoError(t, err)
	assert.Equal(t, look.WalkRound, looks[0].WalkRound)
}

// An upgrade that was broken off after the tables were changed is gone on with at the next opening.
func TestAnUpgradeThatWasBrokenOffIsFinished(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	s, err := Open(ctx, path)
	require.NoError(t, err)
	d, told := aDog(), aSitting()
	require.NoError(t, s.AddDog(ctx, d))
	require.NoError(t, add(s, d.ID, told, time.Now()))
	_, err = s.db.ExecContext(
		ctx,
		`INSERT INTO owed VALUES ('logs'), ('lists'); DELETE FROM cuts; DELETE FROM events; DELETE FROM logs`,
	)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	_, err = Open(gone(t), path)
	require.Error(t, err, "broken off")

	var said []int
	again, err := Open(ctx, path, Telling(func(done, all int) { said = append(said, done, all) }))
	require.NoError(t, err)
	t.Cleanup(func() { _ = again.Close() })
	assert.Equal(t, []int{0, 1, 1, 1}, said, "a log for it, then its lists")
	log, err := again.Log(ctx, d.ID, told.ID)
	require.NoError(t, err)
	assert.NotEmpty(t, log.Events)
}

// gone is a context that was ended.
func gone(t *testing.T) context.Context {
	t.Helper()
	ended, end := context.WithCancel(ctx)
	end()
	return ended
}
