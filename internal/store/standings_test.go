package store

import (
	"path/filepath"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/record"
	"fribbet/internal/core/rhythm"
)

// settled keeps a standing of the dog as it is now, due on a day.
func settled(t *testing.T, s *Store, d Dog, on string, at time.Time) {
	t.Helper()
	all, err := s.Standings(ctx, []uuid.UUID{d.ID})
	require.NoError(t, err)
	one := all[d.ID]
	one.Terms, one.Folded, one.Fold, one.Feet, one.NameKey = "terms", true, 1, []byte(`{}`), "moss"
	one.Due, one.DueOn, one.Turn, one.Standing = []byte(
		`{"Reason":"because"}`,
	), date.MustParse(on), date.MustParse(on), due.Later
	require.NoError(t, s.KeepStandings(ctx, []DogStanding{one}, at))
}

func stale(t *testing.T, s *Store) bool {
	t.Helper()
	ids, err := s.Stale(ctx, "terms")
	require.NoError(t, err)
	return len(ids) > 0
}

func feetKept(t *testing.T, s *Store, d Dog) bool {
	t.Helper()
	all, err := s.Standings(ctx, []uuid.UUID{d.ID})
	require.NoError(t, err)
	return all[d.ID].Feet != nil
}

// Nothing that is told of a dog may leave its old standing on the list.
func TestWhateverIsToldOfADogMakesItsStandingStale(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d, given := aDog(), aSitting()
	require.NoError(t, s.AddDog(ctx, d))
	assert.True(t, stale(t, s), "a new dog")
	l := Ladder{
		ID:     uuid.New(),
		DogID:  d.ID,
		Ladder: ladder.Ladder{Kind: ladder.Clipper, Started: date.MustParse("2026-11-01")},
	}
	try := Try{uuid.New(), ladder.Try{On: date.MustParse("2026-11-02"), Reaction: "calm"}}
	now := time.Now()
	for _, c := range []struct {
		what  string
		tell  func() error
		folds bool // the feet are to be folded anew, not only the date
	}{
		{"a changed profile", func() error { return s.ChangeDog(ctx, d) }, true},
		{"a sitting", func() error { return add(s, d.ID, given, now) }, true},
		{"a sitting taken back", func() error { return s.WithdrawSitting(ctx, d.ID, given.ID, now) }, true},
		{"a walk-round", func() error {
			d.Version = 2
			return s.AddCheck(ctx, d, WalkRound{uuid.New(), record.WalkRound{On: date.MustParse("2026-11-24")}}, now)
		}, true},
		{"a ladder", func() error { return s.AddLadder(ctx, l, now) }, false},
		{"a try", func() error { return s.AddTry(ctx, l.ID, try, try.On, now) }, false},
		{"a try taken back", func() error { return s.WithdrawTry(ctx, l.ID, try.ID, now) }, false},
		{"the ladder's end", func() error { return s.EndLadder(ctx, d.ID, l.ID, now) }, false},
	} {
		settled(t, s, d, "2026-12-05", now)
		require.False(t, stale(t, s))
		require.NoError(t, c.tell(), c.what)
		assert.True(t, stale(t, s), c.what)
		assert.Equal(t, !c.folds, feetKept(t, s, d), c.what)
	}
}

// While a standing was being worked out, a sitting came in: what was worked out is of the past.
func TestAStandingThatWasOvertakenIsNotKept(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	before, err := s.Standings(ctx, []uuid.UUID{d.ID})
	require.NoError(t, err)
	require.NoError(t, add(s, d.ID, aSitting(), time.Now()))
	old := before[d.ID]
	old.Terms, old.Folded, old.Feet = "terms", true, []byte(`{}`)
	require.NoError(t, s.KeepStandings(ctx, []DogStanding{old}, time.Now()))
	assert.True(t, stale(t, s))
	assert.False(t, feetKept(t, s, d))
}

// A calendar program moves an entry when its sequence goes up.
func TestTheCalendarCountsHowOftenADateMoved(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	first := time.Date(2026, 11, 24, 9, 0, 0, 0, time.UTC)
	for _, c := range []struct {
		on       string
		at       time.Time
		sequence int
		moved    time.Time
	}{
		{"2026-12-05", first, 0, first},
		{"2026-12-05", first.Add(time.Hour), 0, first},
		{"2026-12-03", first.Add(2 * time.Hour), 1, first.Add(2 * time.Hour)},
	} {
		settled(t, s, d, c.on, c.at)
		entries, err := s.Calendar(ctx, date.MustParse("2026-11-24"))
		require.NoError(t, err)
		require.Len(t, entries, 1)
		assert.Equal(t, c.on, entries[0].On.String())
		assert.Equal(t, c.sequence, entries[0].Sequence)
		assert.Equal(t, c.moved, entries[0].MovedAt)
	}
}

func TestAPlanAndItsRhythmAreKeptTogetherOrNotAtAll(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	day := date.MustParse("2026-11-24")
	p := QuickPlan{uuid.New(), d.ID, rhythm.Plan{Rhythm: rhythm.TwiceAWeek, Started: day, Goal: 0.76,
		Steps: []rhythm.Step{{On: day, Quick: 10.5, Gap: 0.2}, {On: day.AddDays(3), Quick: 10.25, Gap: 0.8}}}}
	changed := d
	changed.Rhythm = rhythm.TwiceAWeek
	require.NoError(t, s.StartQuickPlan(ctx, changed, p, time.Now()))
	got, err := s.QuickPlan(ctx, d.ID)
	require.NoError(t, err)
	assert.Equal(t, p, got)
	kept, err := s.Dog(ctx, d.ID)
	require.NoError(t, err)
	assert.Equal(t, rhythm.TwiceAWeek, kept.Rhythm)

	assert.NoError(t, s.StartQuickPlan(ctx, changed, p, time.Now()), "sent twice")
	other := p
	other.Rhythm = rhythm.Weekly
	assert.ErrorAs(t, s.StartQuickPlan(ctx, changed, other, time.Now()), new(AlreadyTold))

	p.ID = uuid.New()
	assert.ErrorIs(t, s.StartQuickPlan(ctx, changed, p, time.Now()), ErrConflict, "read before the first plan")
	got, err = s.QuickPlan(ctx, d.ID)
	require.NoError(t, err)
	assert.NotEqual(t, p.ID, got.ID)
	require.NoError(t, s.EndQuickPlan(ctx, d.ID, time.Now()))
	_, err = s.QuickPlan(ctx, d.ID)
	assert.ErrorIs(t, err, ErrNotFound)
	assert.ErrorIs(t, s.EndQuickPlan(ctx, d.ID, time.Now()), ErrNotFound)
}

func TestHolidaysWalksAndTheCalendarsAddressComeBack(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	assert.ErrorIs(t, s.SetCalendarKey(ctx, "k"), ErrNotFound, "before the first start there is nobody to give it to")
	given := Settings{
		Language:   "en",
		Role:       "groomer",
		LengthUnit: "mm",
		WeightUnit: "kg",
		Margin:     1,
		Workdays:   date.EveryDay,
		Hand:       "new",
		EndPoint:   "full",
		Holidays:   []date.Span{{From: date.MustParse("2026-12-24"), To: date.MustParse("2027-01-02")}},
	}
	require.NoError(t, s.SaveSettings(ctx, given))
	require.NoError(t, s.SetCalendarKey(ctx, "secret"))
	given.Margin = 2
	require.NoError(t, s.SaveSettings(ctx, given))
	got, err := s.Settings(ctx)
	require.NoError(t, err)
	given.Version = new(2)
	assert.Equal(t, given, got)
	given.Version = new(1)
	assert.ErrorIs(t, s.SaveSettings(ctx, given), ErrConflict)
	key, err := s.CalendarKey(ctx)
	require.NoError(t, err)
	assert.Equal(t, "secret", key, "other choices leave the address alone")

	d := aDog()
	d.Walked, d.Short = []dog.Walked{{Until: date.MustParse("2026-05-31"), Km: 3.5}}, true
	require.NoError(t, s.AddDog(ctx, d))
	kept, err := s.Dog(ctx, d.ID)
	require.NoError(t, err)
	assert.Equal(t, d, kept)
}

// Dates that only better rules moved are said once: what was told of the dog moves dates too, and
// says so in its own place.
func TestDatesThatTheRulesMovedAreSaidOnce(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "a.db"))
	d, now := aDog(), time.Now()
	require.NoError(t, s.AddDog(ctx, d))
	keep := func(rules int, on string) []Moved {
		all, err := s.Standings(ctx, []uuid.UUID{d.ID})
		require.NoError(t, err)
		one := all[d.ID]
		one.Terms, one.Fold, one.Due, one.DueOn, one.Turn = "terms", rules, []byte(
			`{}`,
		), date.MustParse(on), date.MustParse(on)
		require.NoError(t, s.KeepStandings(ctx, []DogStanding{one}, now))
		moved, err := s.MovedByRules(ctx)
		require.NoError(t, err)
		return moved
	}
	assert.Empty(t, keep(2, "2026-12-05"), "the first date of a dog")
	assert.Empty(t, keep(2, "2026-12-07"), "by something told")
	assert.Empty(t, keep(3, "2026-12-07"), "better rules, and the same date")
	assert.Equal(
		t,
		[]Moved{{d.ID, d.Name, date.MustParse("2026-12-07"), date.MustParse("2026-12-02"), "", []byte(`{}`), d.Rhythm}},
		keep(4, "2026-12-02"),
	)
	assert.Len(t, keep(4, "2026-12-03"), 1, "until it was seen")
	require.NoError(t, s.SeenMoved(ctx))
	assert.Empty(t, keep(4, "2026-12-03"))
}
