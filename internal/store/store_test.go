package store

import (
	"context"
	"fmt"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/units"
)

var ctx = context.Background()

func opened(t *testing.T, path string) *Store {
	t.Helper()
	s, err := Open(ctx, path)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	return s
}

func aDog() Dog {
	return Dog{ID: uuid.New(), Version: 1, Dog: dog.Dog{
		Name:  "Moss",
		Birth: dog.Birth{Date: date.MustParse("2022-02-28"), Estimated: true},
		Weights: []dog.Weight{
			{On: date.MustParse("2026-01-01"), Kg: 21},
			{On: date.MustParse("2026-06-01"), Kg: 22.5},
		},
		FootCoat:  dog.LongCoat,
		Pavement:  7.5,
		Rhythm:    rhythm.Weekly,
		Workdays:  date.WeekdaysOf(time.Monday, time.Sunday),
		WishedGap: 0.76,
		Nails:     dog.StandardNails(),
		Handling: dog.Handling{
			Order:       dog.OwnOrder,
			OwnOrder:    []nail.Paw{nail.RH, nail.LF, nail.LH, nail.RF},
			Position:    dog.OnSide,
			Helper:      dog.Needed,
			Muzzle:      true,
			Sore:        true,
			Noise:       kit.NoiseAfraid,
			MostNails:   of(5),
			MostMinutes: of(7.5),
		},
	}}
}

func of[T any](v T) *T { return &v }

func aSitting() Sitting {
	gap := measure.Paper.Number()
	return Sitting{ID: uuid.New(), Sitting: record.Sitting{
		On:      date.MustParse("2026-11-24"),
		Note:    "first",
		Minutes: of(9.5),
		Calm:    of(4.0),
		Helper:  true,
		Ticks:   []string{"styptic", "the blue mat"},
		Records: []record.NailRecord{
			{
				Code:     nail.MustParse("RF3"),
				GapAfter: &gap,
				Cuts:     []float64{1, 0.5},
				Tool:     kit.File,
				Reaction: temper.Calm,
				Blood:    true,
			},
			{
				Code:      nail.MustParse("LF3"),
				Tool:      kit.LargePlier,
				Reaction:  temper.Snapping,
				TookForce: true,
			}, // in the order of the work, not of the nails
		},
	}}
}

// add tells a sitting as a whole.
func add(s *Store, dogID uuid.UUID, told Sitting, at time.Time) error {
	return s.Append(ctx, Growth{Log: Log{told.ID, dogID, told.On, bench.LogOf(told.ID.String(), told.Sitting, at)}}, at)
}

// The lists are the log's: worked out again, they are the same to the byte.
func TestRebuildComesToTheSame(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "book.db"))
	d, kept, gone := aDog(), aSitting(), aSitting()
	require.NoError(t, s.AddDog(ctx, d))
	require.NoError(t, add(s, d.ID, kept, noon))
	require.NoError(t, add(s, d.ID, gone, noon))
	require.NoError(t, s.WithdrawSitting(ctx, d.ID, gone.ID, noon))
	dump := func() string {
		var all []string
		for _, table := range []string{"sittings", "records", "cuts", "readings", "landmarks", "stints", "worn"} {
			rows, err := s.db.Queryx(`SELECT * FROM ` + table + ` ORDER BY 1, 2, 3`)
			require.NoError(t, err)
			for rows.Next() {
				row, err := rows.SliceScan()
				require.NoError(t, err)
				all = append(all, fmt.Sprint(row...))
			}
			require.NoError(t, rows.Err())
		}
		return strings.Join(all, "\n")
	}
	before := dump()
	_, err := s.db.Exec(`DELETE FROM cuts`)
	require.NoError(t, err)
	require.NotEqual(t, before, dump())
	steps := 0
	n, err := s.Rebuild(ctx, func(done, all int) { steps = done * all })
	require.NoError(t, err)
	assert.Equal(t, []int{2, 4}, []int{n, steps})
	assert.Equal(t, before, dump())
}

func TestABookOpenedAgainIsTheSameBook(t *testing.T) {
	path := filepath.Join(t.TempDir(), "with a space & ü.db")
	s := opened(t, path)
	d, sitting := aDog(), aSitting()
	settings := Settings{
		Language:   "de",
		Role:       "keeper",
		LengthUnit: units.Inch,
		WeightUnit: units.Pound,
		Margin:     1.5,
		Workdays:   date.EveryDay,
		Hand:       kit.SomeHand,
		EndPoint:   quick.Full,
	}
	require.NoError(t, s.AddDog(ctx, d))
	require.NoError(t, add(s, d.ID, sitting, time.Now()))
	require.NoError(t, s.SaveSettings(ctx, settings))
	require.NoError(t, s.Close())

	s = opened(t, path)
	got, err := s.Dog(ctx, d.ID)
	require.NoError(t, err)
	assert.Equal(t, d, got)
	sittings, err := s.Sittings(ctx, d.ID)
	require.NoError(t, err)
	assert.Equal(t, []Sitting{sitting}, sittings)
	kept, err := s.Settings(ctx)
	require.NoError(t, err)
	settings.Version = new(1)
	assert.Equal(t, settings, kept)
}

func TestAWriteThatFailsLeavesNothing(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d, told := aDog(), aSitting()
	require.NoError(t, s.AddDog(ctx, d))
	log := bench.LogOf("one", told.Sitting, time.Now())
	twice := Log{told.ID, d.ID, told.On, append(log, log[1])} // the second breaks the events' own key
	require.Error(t, s.Append(ctx, Growth{Log: twice}, time.Now()))
	sittings, err := s.Sittings(ctx, d.ID)
	require.NoError(t, err)
	assert.Empty(t, sittings)

	broken := d
	broken.Name = "Half"
	broken.Nails = append(broken.Nails, broken.Nails[0])
	require.Error(t, s.ChangeDog(ctx, broken))
	got, err := s.Dog(ctx, d.ID)
	require.NoError(t, err)
	assert.Equal(t, d, got)
}

func TestAnOldVersionIsAConflict(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	d.Name = "First"
	require.NoError(t, s.ChangeDog(ctx, d))
	d.Name = "Second"
	assert.ErrorIs(t, s.ChangeDog(ctx, d), ErrConflict)
	got, err := s.Dog(ctx, d.ID)
	require.NoError(t, err)
	assert.Equal(t, "First", got.Name)
	assert.Equal(t, 2, got.Version)
	d.ID = uuid.New()
	assert.ErrorIs(t, s.ChangeDog(ctx, d), ErrNotFound)
}

func TestAWithdrawnSittingStaysInTheFile(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d, sitting := aDog(), aSitting()
	require.NoError(t, s.AddDog(ctx, d))
	require.NoError(t, add(s, d.ID, sitting, time.Now()))
	require.NoError(t, s.WithdrawSitting(ctx, d.ID, sitting.ID, time.Now()))
	require.NoError(t, s.WithdrawSitting(ctx, d.ID, sitting.ID, time.Now()), "twice is once")
	all, err := s.Sittings(ctx, d.ID)
	require.NoError(t, err)
	assert.Empty(t, all)
	var rows int
	require.NoError(t, s.db.Get(&rows, `SELECT COUNT(*) FROM cuts`))
	assert.Equal(t, 2, rows)
	assert.ErrorIs(t, s.WithdrawSitting(ctx, uuid.New(), sitting.ID, time.Now()), ErrNotFound, "another dog's")
}

// Two tabs at the same moment: exactly one change wins.
func TestOfManyChangesAtOnceOneWins(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	results := make(chan error, 8)
	for i := range 8 {
		mine := d
		mine.Pavement = float64(i)
		go func() { results <- s.ChangeDog(ctx, mine) }()
	}
	won := 0
	for range 8 {
		if err := <-results; err == nil {
			won++
		} else {
			assert.ErrorIs(t, err, ErrConflict)
		}
	}
	assert.Equal(t, 1, won)
	got, err := s.Dog(ctx, d.ID)
	require.NoError(t, err)
	assert.Equal(t, 2, got.Version)
}
