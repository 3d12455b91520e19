package store

import (
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
	"fribbet/internal/core/temper"
	"fribbet/internal/core/undo"
)

var noon = time.Date(2026, time.November, 24, 12, 0, 0, 0, time.UTC)

func TestAKitOpenedAgainIsTheSameKit(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	s := opened(t, path)
	machine := KitItem{ID: uuid.New(), Version: 1, Item: kit.Item{Kind: kit.Grinder, Name: "Щипчики"}}
	band := KitItem{ID: uuid.New(), Version: 1, Item: kit.Item{
		Kind: kit.Kind(kit.GrinderBand), Grit: 60, Tip: kit.FlatTip, On: machine.ID.String(), Limit: of(45.0),
	}}
	jar := KitItem{
		ID:      uuid.New(),
		Version: 1,
		Item:    kit.Item{Kind: kit.Styptic, Expires: date.MustParse("2027-01-01"), Stock: kit.Low},
	}
	for i, item := range []KitItem{machine, band, jar} {
		require.NoError(t, s.AddKitItem(ctx, item, noon.Add(time.Duration(i)*time.Second)))
		require.NoError(t, s.AddKitItem(ctx, item, noon), "sending it twice keeps it once")
	}
	require.NoError(t, s.Close())
	s = opened(t, path)
	got, err := s.Kit(ctx)
	require.NoError(t, err)
	assert.Equal(t, []KitItem{machine, band, jar}, got)

	jar.Item.Stock = kit.Full
	require.NoError(t, s.ChangeKitItem(ctx, jar))
	assert.ErrorIs(t, s.ChangeKitItem(ctx, jar), ErrConflict, "it was read before the change")
	require.NoError(t, s.RemoveKitItem(ctx, band.ID, noon))
	assert.ErrorIs(t, s.RemoveKitItem(ctx, uuid.New(), noon), ErrNotFound)
	assert.ErrorIs(t, s.ChangeKitItem(ctx, band), ErrNotFound, "it is out of the kit")
	got, err = s.Kit(ctx)
	require.NoError(t, err)
	assert.Len(t, got, 2)
	known, err := s.KnowsItem(ctx, band.ID.String())
	require.NoError(t, err)
	assert.True(t, known, "sittings may still name it")
}

func TestTheLastServiceCountsUntilItIsTakenBack(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "book.db"))
	item := KitItem{ID: uuid.New(), Item: kit.Item{Kind: kit.Kind(kit.LargePlier)}}
	require.NoError(t, s.AddKitItem(ctx, item, noon))
	serviced := func() date.Date {
		got, err := s.Kit(ctx)
		require.NoError(t, err)
		return got[0].Serviced.On
	}
	first, second := date.MustParse("2026-11-01"), date.MustParse("2026-11-20")
	require.NoError(t, s.ServiceKitItem(ctx, item.ID, kit.Moment{On: first, At: noon}))
	require.NoError(t, s.ServiceKitItem(ctx, item.ID, kit.Moment{On: second, At: noon.Add(time.Hour)}))
	assert.Equal(t, second, serviced())
	require.NoError(t, s.UndoKitService(ctx, item.ID, noon))
	assert.Equal(t, first, serviced())
	assert.ErrorIs(t, s.ServiceKitItem(ctx, uuid.New(), kit.Moment{On: first, At: noon}), ErrNotFound)
}

// What the sittings asked of each piece: cuts by number, minutes by the share of the nails.
func TestStintsComeFromTheSittings(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "book.db"))
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	cutter, bit := KitItem{
		ID:   uuid.New(),
		Item: kit.Item{Kind: kit.Kind(kit.LargePlier)},
	}, KitItem{
		ID:   uuid.New(),
		Item: kit.Item{Kind: kit.Kind(kit.GrinderBand)},
	}
	require.NoError(t, s.AddKitItem(ctx, cutter, noon))
	require.NoError(t, s.AddKitItem(ctx, bit, noon))
	one := func(code string, item KitItem, tool kit.Tool, cuts ...float64) record.NailRecord {
		return record.NailRecord{
			Code:     nail.MustParse(code),
			Cuts:     cuts,
			Tool:     tool,
			Item:     item.ID.String(),
			Reaction: temper.Calm,
		}
	}
	sitting := Sitting{
		ID: uuid.New(),
		Sitting: record.Sitting{On: date.MustParse("2026-11-20"), Minutes: of(9.0), Records: []record.NailRecord{
			one(
				"LF3",
				cutter,
				kit.LargePlier,
				1,
				1,
			),
			one("LF4", cutter, kit.LargePlier, 1),
			one("RF3", bit, kit.GrinderBand, 0.5),
			one("RF4", cutter, kit.LargePlier),
		}},
	}
	sitting.Records[0].TookForce = true
	require.NoError(t, add(s, d.ID, sitting, noon))
	stints, err := s.Stints(ctx, date.MustParse("2026-11-20"))
	require.NoError(t, err)
	on := kit.Moment{On: sitting.On}
	want := []kit.Stint{
		{
			Moment:    on,
			Item:      cutter.ID.String(),
			Cuts:      3,
			Minutes:   393.0 / 60,
			TookForce: true,
		}, // two nails and three cuts of 25.7 s in all
		{Moment: on, Item: bit.ID.String(), Cuts: 1, Minutes: 147.0 / 60},
	}
	assert.ElementsMatch(t, want, stints)

	// Sharpened at noon that day: what came before it is told apart.
	require.NoError(t, s.ServiceKitItem(ctx, cutter.ID, kit.Moment{On: sitting.On, At: noon.Add(time.Hour)}))
	for i := range want {
		want[i].At = noon
	}
	stints, err = s.Stints(ctx, date.MustParse("2026-11-20"))
	require.NoError(t, err)
	assert.ElementsMatch(t, want, stints)
	require.NoError(t, s.UndoKitService(ctx, cutter.ID, noon))

	again := sitting
	again.ID = uuid.New()
	require.NoError(t, add(s, d.ID, again, noon))
	_, err = s.Rebuild(ctx, func(int, int) {})
	require.NoError(t, err)
	stints, err = s.Stints(ctx, date.Date{})
	require.NoError(t, err)
	require.Len(t, stints, 2)
	assert.Equal(
		t,
		8.0,
		stints[0].Cuts+stints[1].Cuts,
		"two sittings of a day at once, and worked out again they are the same",
	)
	require.NoError(t, s.WithdrawSitting(ctx, d.ID, again.ID, noon))
	stints, err = s.Stints(ctx, date.MustParse("2026-11-21"))
	require.NoError(t, err)
	assert.Empty(t, stints)
	require.NoError(t, s.WithdrawSitting(ctx, d.ID, sitting.ID, noon))
	stints, err = s.Stints(ctx, date.Date{})
	require.NoError(t, err)
	assert.Empty(t, stints, "a sitting taken back wore nothing")
	require.NoError(t, s.GiveBack(ctx, undo.Sitting, sitting.ID, noon))
	stints, err = s.Stints(ctx, date.Date{})
	require.NoError(t, err)
	assert.Len(t, stints, 2, "and given back it wore them after all")
}

// What is worked out of rows, the core works out: a trigger marks what is no longer true, and reckons nothing.
func TestTriggersOnlyMark(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "book.db"))
	var triggers []string
	require.NoError(t, s.db.Select(&triggers, `SELECT sql FROM sqlite_master WHERE type = 'trigger'`))
	require.NotEmpty(t, triggers)
	for _, text := range triggers {
		for _, does := range strings.Split(text[strings.Index(text, "BEGIN")+len("BEGIN"):], ";") {
			does = strings.Join(strings.Fields(does), " ")
			marks := does == "END" || does == "" || does == "INSERT INTO standings (dog_id) VALUES (NEW.id)" ||
				strings.HasPrefix(
					does,
					"UPDATE standings SET revision = revision + 1, terms = NULL",
				) || strings.HasPrefix(does, "DELETE FROM feet")
			assert.True(t, marks, does)
		}
	}
}

// What a bit's touch takes is learnt from the last days on which it was at work, not from years.
func TestGroundIsOfTheLastDays(t *testing.T) {
	s := opened(t, filepath.Join(t.TempDir(), "book.db"))
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	band := KitItem{ID: uuid.New(), Item: kit.Item{Kind: kit.Kind(kit.GrinderBand), Grit: 120, Stock: kit.Full}}
	require.NoError(t, s.AddKitItem(ctx, band, noon))
	number := func(mm float64) *measure.Number { n := measure.Length.Told(mm, "", 0); return &n }
	var last uuid.UUID
	for day := range 4 {
		last = uuid.New()
		told := Sitting{
			ID: last,
			Sitting: record.Sitting{On: date.MustParse("2026-11-01").AddDays(day), Records: []record.NailRecord{{
				Code: nail.MustParse("LF3"), Tool: kit.GrinderBand, Item: band.ID.String(), Reaction: temper.Calm,
				LengthBefore: number(14), LengthAfter: number(13 - float64(day)), Cuts: []float64{0.2, 0.2},
			}}},
		}
		require.NoError(t, add(s, d.ID, told, noon))
	}
	ground, err := s.Ground(ctx, band.ID.String(), 2)
	require.NoError(t, err)
	assert.Equal(t, 2, ground.Nails)
	assert.InDelta(t, 1.75, ground.Sum/ground.Weight, 1e-9, "3 and 4 mm in two touches each")
	require.NoError(t, s.WithdrawSitting(ctx, d.ID, last, noon))
	ground, err = s.Ground(ctx, band.ID.String(), 2)
	require.NoError(t, err)
	assert.InDelta(t, 1.25, ground.Sum/ground.Weight, 1e-9, "the last was taken back: 2 and 3 mm")
}

func TestALadderOpenedAgainIsTheSameLadder(t *testing.T) {
	path := filepath.Join(t.TempDir(), "book.db")
	s := opened(t, path)
	d := aDog()
	require.NoError(t, s.AddDog(ctx, d))
	l := Ladder{
		ID:     uuid.New(),
		DogID:  d.ID,
		Ladder: ladder.Ladder{Kind: ladder.Clipper, Started: date.MustParse("2026-11-20"), Paw: of(nail.LH)},
	}
	require.NoError(t, s.AddLadder(ctx, l, noon))
	late := Try{ID: uuid.New(), Try: ladder.Try{On: date.MustParse("2026-11-22"), Reaction: temper.Uneasy, Note: "Ж"}}
	early := Try{
		ID:  uuid.New(),
		Try: ladder.Try{On: date.MustParse("2026-11-21"), Reaction: temper.Calm, Paw: of(nail.LH)},
	}
	for _, try := range []Try{late, early, early} {
		require.NoError(t, s.AddTry(ctx, l.ID, try, try.On, noon))
	}
	require.NoError(t, s.Close())
	s = opened(t, path)
	l.Tries = []Try{early, late}
	got, err := s.Ladders(ctx, d.ID)
	require.NoError(t, err)
	assert.Equal(t, []Ladder{l}, got, "by day, each once")
	require.NoError(t, s.WithdrawTry(ctx, l.ID, late.ID, noon))
	assert.ErrorIs(t, s.WithdrawTry(ctx, l.ID, uuid.New(), noon), ErrNotFound)
	got, _ = s.Ladders(ctx, d.ID)
	assert.Equal(t, []Try{early}, got[0].Tries)
	assert.ErrorIs(t, s.EndLadder(ctx, uuid.New(), l.ID, noon), ErrNotFound, "another dog's")
	require.NoError(t, s.EndLadder(ctx, d.ID, l.ID, noon))
	all, err := s.AllLadders(ctx)
	require.NoError(t, err)
	assert.Empty(t, all)
}
