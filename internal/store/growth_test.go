package store

import (
	"path/filepath"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/bench"
)

// What was worked out from a log that has grown since is not written over what came in; asked anew, it is.
func TestALogThatGrewMeanwhileIsNotWrittenOver(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d, told := aDog(), aSitting()
	require.NoError(t, s.AddDog(ctx, d))
	all := bench.LogOf(told.ID.String(), told.Sitting, noon)
	grow := func(from int, log bench.Log) error {
		return s.Append(ctx, Growth{Log: Log{told.ID, d.ID, told.On, log}, From: from}, noon)
	}
	require.NoError(t, grow(0, all[:2]))
	for from := range 4 {
		if from != 2 {
			require.ErrorIs(t, grow(from, all), ErrGrown, "from %d", from)
		}
	}
	log, err := s.Log(ctx, d.ID, told.ID)
	require.NoError(t, err)
	assert.Len(t, log.Events, 2)
	require.NoError(t, grow(2, all))
	log, err = s.Log(ctx, d.ID, told.ID)
	require.NoError(t, err)
	assert.Len(t, log.Events, len(all))
}

// A log is not found where it is not this dog's, or was taken back, and says which; and takes no more.
func TestALogThatIsNotHereSaysWhy(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d, other, told := aDog(), aDog(), aSitting()
	require.NoError(t, s.AddDog(ctx, d))
	require.NoError(t, s.AddDog(ctx, other))
	require.NoError(t, add(s, d.ID, told, noon))
	_, err := s.Log(ctx, other.ID, told.ID)
	require.ErrorIs(t, err, ErrOtherDogs)
	require.ErrorIs(t, err, ErrNotFound)
	require.ErrorIs(t, add(s, other.ID, told, noon), ErrOtherDogs)
	require.NoError(t, s.WithdrawSitting(ctx, d.ID, told.ID, noon))
	_, err = s.Log(ctx, d.ID, told.ID)
	require.ErrorIs(t, err, ErrTakenBack)
	require.ErrorIs(t, err, ErrNotFound)
	require.ErrorIs(t, add(s, d.ID, told, noon), ErrTakenBack)
	_, err = s.Log(ctx, d.ID, uuid.New())
	require.ErrorIs(t, err, ErrNotFound)
	assert.NotErrorIs(t, err, ErrOtherDogs)
}

// What a dog's records come to is kept with the trim that it was worked out with, and not where something else was
// told of the dog meanwhile.
func TestFeetAreKeptWithTheTrimTheyAreOf(t *testing.T) {
	for moved, kept := range map[int]bool{0: true, -1: false} {
		s := opened(t, filepath.Join(t.TempDir(), "a.db"))
		d, told := aDog(), aSitting()
		require.NoError(t, s.AddDog(ctx, d))
		all, err := s.Standings(ctx, []uuid.UUID{d.ID})
		require.NoError(t, err)
		log := Log{told.ID, d.ID, told.On, bench.LogOf(told.ID.String(), told.Sitting, noon)}
		feet := FoldedFeet{all[d.ID].Revision + moved, 1, []byte(`{}`)}
		require.NoError(t, s.Append(ctx, Growth{Log: log, Feet: &feet}, noon))
		assert.Equal(t, kept, feetKept(t, s, d))
		now, err := s.Kept(ctx, d.ID, told.ID)
		require.NoError(t, err)
		assert.Equal(t, kept, now.Within, "an ended trim is in what is kept")
	}
}
