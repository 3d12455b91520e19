package bench

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/record"
	"fribbet/internal/core/temper"
	"fribbet/internal/words/wordstest"
)

func TestALogComesToASitting(t *testing.T) {
	b := newBench(t)
	b.tell(Event{Kind: Measured, Nail: of("LH3"), Measure: LengthBefore, MM: 13})
	b.tell(Event{Kind: Seen, Nail: of("LH3"), Landmark: quick.Groove, MM: 3.5})
	cut := b.tell(Event{Kind: Cut, Nail: of("LH3"), MM: 1})
	b.tell(Event{Kind: Showed, Nail: of("LH3"), Of: cut, Face: quick.Grey})
	b.tell(Event{Kind: Took, Tool: kit.GrinderBand, Item: "band"})
	b.tell(Event{Kind: Touched, Nail: of("LF3"), MM: 0.2})
	b.tell(Event{Kind: Reacted, Nail: of("LF3"), Reaction: temper.Pulling}) // in the seventh minute
	b.tell(Event{Kind: Skipped, Nail: of("LF1")})
	b.tell(Event{Kind: Noted, Note: "half asleep"})
	b.tell(Event{Kind: Ended})
	s := b.log.Fold()
	assert.True(t, s.Ended)
	got := s.Sitting(today)
	minutes, calm := 10.0, 7.0
	assert.Equal(t, record.Sitting{
		On: today, Note: "half asleep", Minutes: &minutes, Calm: &calm, Ticks: []string{"styptic"},
		Records: []record.NailRecord{
			{
				Code:         *of("LH3"),
				LengthBefore: read(measure.Length, 13),
				Cuts:         []float64{1},
				EndFace:      quick.Grey,
				Faces:        []quick.Face{quick.Grey},
				Landmarks: []quick.Seen{
					{Mark: quick.Groove, Spare: 3.5, By: measure.Eye, SD: quick.GrooveSD},
				},
				Tool: kit.LargePlier,
			},
			{Code: *of("LF3"), Cuts: []float64{0.2}, Tool: kit.GrinderBand, Item: "band", Reaction: temper.Pulling},
			{Code: *of("LF1"), Tool: kit.GrinderBand, Item: "band"},
		},
	}, got)
	assert.Empty(t, got.Check(b.d, today))
}

func TestUndoIsAnEventToo(t *testing.T) {
	b := newBench(t)
	first := b.tell(Event{Kind: Cut, Nail: of("LH3"), MM: 1})
	b.tell(Event{Kind: Showed, Nail: of("LH3"), Of: first, Face: quick.White})
	second := b.tell(Event{Kind: Cut, Nail: of("LH3"), MM: 0.5})
	b.tell(Event{Kind: Showed, Nail: of("LH3"), Of: second, Face: quick.Blood})
	assert.Contains(t, b.refused(Event{Kind: Cut, Nail: of("LH3"), MM: 1}), "it is done for today")
	b.tell(Event{Kind: Undone, Of: second})
	n := b.log.Fold()
	assert.Equal(t, []Slice{{ID: first, MM: 1, Face: quick.White}}, n.Nails[0].Cuts, "with the cut goes what it showed")
	assert.False(t, n.Nails[0].Blood)
	end := b.tell(Event{Kind: Ended})
	assert.Contains(t, b.refused(Event{Kind: Cut, Nail: of("LH3"), MM: 1}), "undo its end")
	b.tell(Event{Kind: Undone, Of: end})
	b.tell(Event{Kind: Cut, Nail: of("LH3"), MM: 1})
}

func TestWhatCannotHaveHappenedIsRefusedWithAReason(t *testing.T) {
	b := newBench(t)
	cut := b.tell(Event{Kind: Cut, Nail: of("LH3"), MM: 1})
	for want, e := range map[string]Event{
		"started already":               {Kind: Started},
		"must name a tool":              {Kind: Took},
		"must name a nail":              {Kind: Cut, MM: 1},
		"does not have the nail LH1":    {Kind: Cut, Nail: of("LH1"), MM: 1},
		"must be from 0.05 to 80 mm":    {Kind: Cut, Nail: of("LH3")},
		"face must be one of":           {Kind: Showed, Nail: of("LH3"), Of: cut, Face: "purple"},
		"the cut that showed it":        {Kind: Showed, Nail: of("LH3"), Of: "9", Face: quick.White},
		"did not bleed":                 {Kind: Stopped, Nail: of("LH3")},
		"not itself an undoing":         {Kind: Undone, Of: "0"},
		"must have a grinder":           {Kind: Touched, Nail: of("LH3"), MM: 0.2},
		"must have a grinder or a file": {Kind: Rounded, Paw: &nail.Paws()[0]},
		"must be from 1 to 80 mm":       {Kind: Measured, Measure: LengthBefore, Nail: of("LH3"), MM: 99, Sure: true},
	} {
		assert.Contains(t, b.refused(e), want)
	}
	empty := Log{}
	_, _, err := b.added(empty, Event{ID: "x", Kind: Cut, Nail: of("LH3"), MM: 1})
	assert.Contains(t, wordstest.Err(err), "the first event must be started")
}

// Clip, then grind: the first pass stays told as cuts, the second as touches, with its own tool; a paw is ground
// round in one press, which shortens nothing.
func TestANailThatWasClippedIsGroundAtTheSameSitting(t *testing.T) {
	b := newBench(t)
	for _, code := range []string{"LH3", "LH4"} {
		cut := b.tell(Event{Kind: Cut, Nail: of(code), MM: 1})
		b.tell(Event{Kind: Showed, Nail: of(code), Of: cut, Face: quick.White})
		b.tell(Event{Kind: Done, Nail: of(code)})
	}
	lh, rf := nail.LH, nail.RF
	b.tell(Event{Kind: Took, Tool: kit.GrinderBand, Item: "band"})
	assert.Contains(t, b.refused(Event{Kind: Rounded, Paw: &rf}), "that was clipped at this trim")
	b.tell(Event{Kind: Rounded, Paw: &lh})
	b.tell(Event{Kind: Touched, Nail: of("LH3"), MM: 0.2})
	now := b.log.Fold()
	assert.False(t, now.Nail(*of("LH3")).Done, "taken up again")
	b.tell(Event{Kind: Done, Nail: of("LH3")})

	s := b.log.Fold().Sitting(today)
	require.Len(t, s.Records, 2)
	first := s.Records[0]
	assert.Equal(t, []float64{1}, first.Cuts)
	assert.NotEqual(t, kit.GrinderBand, first.Tool)
	assert.Equal(t, &record.Ground{Tool: kit.GrinderBand, Item: "band", Touches: []float64{0.2}}, first.Ground)
	assert.Equal(t, &record.Ground{Tool: kit.GrinderBand, Item: "band"}, s.Records[1].Ground)
	assert.True(t, first.Event(today).Cuts[1].Touch)
	again := LogOf("again", s, b.log[0].At).Fold().Sitting(today)
	assert.Equal(t, s.Records, again.Records, "told as a whole it is the same")
	assert.Contains(t, wordstest.Of(now.CardOf("Moss", today, nil, 5, nil).Done), "2 nails trimmed and ground round")
}

// A tool that has ground something stays taken up, or its touches would be a clipper's.
func TestAToolThatGroundIsNotUndoneBeforeItsTouches(t *testing.T) {
	b := newBench(t)
	took := b.tell(Event{Kind: Took, Tool: kit.GrinderBand})
	touch := b.tell(Event{Kind: Touched, Nail: of("LH3"), MM: 0.2})
	_, _, err := b.added(b.log, b.next(Event{Kind: Undone, Of: took}))
	assert.Contains(t, wordstest.Err(err), "undo what it ground first")
	b.tell(Event{Kind: Undone, Of: touch})
	b.tell(Event{Kind: Undone, Of: took})
	assert.NotEqual(t, kit.GrinderBand, b.log.Fold().Tool)
}

// Whatever is told: telling it twice changes nothing, and replaying comes to the same as living it.
func TestReplayEqualsLive(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		b := newBench(t)
		var live []Progress
		for range rapid.IntRange(0, 30).Draw(t, "events") {
			code := of(rapid.SampledFrom([]string{"LH3", "LF1", "RF4", "LH1"}).Draw(t, "nail"))
			e := b.next(Event{
				Kind: rapid.SampledFrom([]Kind{
					Took, Measured, Seen, Cut, Touched, Showed, Forced, Bled, Stopped, Bleeding, Reacted, Skipped, Done,
					Noted, Ended, Undone,
				}).
					Draw(t, "kind"),
				Nail:     code,
				MM:       rapid.Float64Range(0, 3).Draw(t, "mm"),
				Measure:  LengthBefore,
				Landmark: quick.Hook,
				Face: rapid.SampledFrom(quick.Faces(nail.Dark)).
					Draw(t, "face"),
				Of:       fmt.Sprint(rapid.IntRange(0, 30).Draw(t, "of")),
				Reaction: rapid.SampledFrom(temper.Reactions()).Draw(t, "reaction"),
				Tool:     kit.File,
			})
			log, added, err := b.added(b.log, e)
			if err != nil {
				continue // refused: nothing changes
			}
			assert.True(t, added)
			b.log = log
			live = append(live, log.Fold())
			again, added, err := b.added(log, e)
			assert.NoError(t, err)
			assert.False(t, added, "told twice")
			assert.Equal(t, log, again)
		}
		for i, s := range live {
			assert.Equal(t, s, b.log[:i+2].Fold())
		}
		if s := b.log.Fold().Sitting(today); len(s.Records) > 0 {
			assert.Empty(t, s.Check(b.d, today))
		}
	})
}

// A nail that bled before anybody told the cut is not lost from the record.
func TestBloodWithoutACutIsKept(t *testing.T) {
	b := newBench(t)
	b.tell(Event{Kind: Bled, Nail: of("LH3")})
	r := b.log.Fold().Sitting(today).Records[0]
	assert.True(t, r.Blood)
	assert.Equal(t, []float64{record.Sliver}, r.Cuts)
	assert.Empty(t, r.Check())
}

// What was told as a whole comes back from its log as it was told.
func TestASittingToldAfterwardsIsItsLog(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		q := questionOf(feet.FeetAfter(moss(), nil), nil)
		s := record.Sitting{
			On:     today,
			Note:   rapid.StringN(0, 9, -1).Draw(t, "note"),
			Helper: rapid.Bool().Draw(t, "helper"),
		}
		some := func(label string, low, high float64) *float64 {
			if v := rapid.Float64Range(low, high).Draw(t, label); rapid.Bool().Draw(t, "told") {
				return &v
			}
			return nil
		}
		number := func(label string, what measure.What, low, high float64) *measure.Number {
			mm := some(label, low, high)
			if mm == nil {
				return nil
			}
			n := what.Told(*mm, measure.Eye, rapid.SampledFrom([]float64{0, 0.3, 2}).Draw(t, "off"))
			return &n
		}
		if s.Minutes = some("minutes", 5, 50); s.Minutes != nil {
			s.Calm = some("calm", 0, 5)
		}
		for _, n := range q.Dog.Nails[:rapid.IntRange(1, 18).Draw(t, "nails")] {
			r := record.NailRecord{
				Code:         n.Code,
				LengthBefore: number("before", measure.Length, 20, 30),
				LengthAfter:  number("after", measure.Length, 1, 9),
				GapAfter:     number("gap", measure.Gap, 0, 3),
				SpareLeft:    number("spare", measure.Quick, 0, 3),
				Tool: rapid.SampledFrom(kit.Tools()).
					Draw(t, "tool"),
				Item: rapid.SampledFrom([]string{"", "band"}).Draw(t, "item"),
				Reaction: rapid.SampledFrom(temper.Reactions()).
					Draw(t, "reaction"),
				TookForce: rapid.Bool().Draw(t, "force"),
			}
			for range rapid.IntRange(0, 3).Draw(t, "cuts") {
				r.Cuts = append(r.Cuts, rapid.Float64Range(0.1, 2).Draw(t, "mm"))
			}
			r.Blood = len(r.Cuts) > 0 && rapid.Bool().Draw(t, "blood")
			if len(r.Cuts) > 0 && !r.Blood && rapid.Bool().Draw(t, "end") {
				r.EndFace = quick.DarkCentre
				r.Faces = append(make([]quick.Face, len(r.Cuts)-1), quick.DarkCentre)
			}
			s.Records = append(s.Records, r)
		}
		assert.Equal(t, s, LogOf("id", s, nine).Fold().Sitting(today))
	})
}

// Praise is for what somebody said: of a mood that nobody told the page says nothing.
func TestPraiseIsForWhatWasSaid(t *testing.T) {
	b := newBench(t)
	assert.Empty(t, wordstest.Of(b.log.Fold().Praise()), "nothing was done yet")
	b.tell(Event{Kind: Cut, Nail: of("LH3"), MM: 1})
	assert.Empty(t, wordstest.Of(b.log.Fold().Praise()), "nobody said how it took it")
	b.tell(Event{Kind: Reacted, Nail: of("LH3"), Reaction: temper.Calm})
	assert.Contains(t, wordstest.Of(b.log.Fold().Praise()), "Calm throughout")
	b.tell(Event{Kind: Cut, Nail: of("RF3"), MM: 1})
	b.tell(Event{Kind: Reacted, Nail: of("RF3"), Reaction: temper.Pulling})
	assert.Contains(t, wordstest.Of(b.log.Fold().Praise()), "Calm on LH")
	b.tell(Event{Kind: Reacted, Nail: of("LH3"), Reaction: temper.Uneasy})
	assert.Contains(t, wordstest.Of(b.log.Fold().Praise()), "fewer nails next time")
}

// Calm throughout is one press at the end, if it was: then it holds for every nail of which nothing was said.
func TestCalmThroughoutIsToldAtTheEnd(t *testing.T) {
	b := newBench(t)
	b.tell(Event{Kind: Cut, Nail: of("LH3"), MM: 1})
	b.tell(Event{Kind: Ended})
	assert.Equal(t, temper.Untold, b.log.Fold().Sitting(today).Worst(), "nobody said so")
	assert.NotContains(t, wordstest.Of(b.log.Fold().CardOf("Moss", today, nil, 9, nil).How), "calm")
	c := newBench(t)
	c.tell(Event{Kind: Cut, Nail: of("LH3"), MM: 1})
	c.tell(Event{Kind: Ended, Reaction: temper.Calm})
	assert.Equal(t, temper.Calm, c.log.Fold().Sitting(today).Worst())
	assert.Contains(t, wordstest.Of(c.log.Fold().Praise()), "Calm throughout")
	d := newBench(t)
	d.tell(Event{Kind: Cut, Nail: of("LH3"), MM: 1})
	d.tell(Event{Kind: Reacted, Nail: of("LH3"), Reaction: temper.Snapping})
	assert.Contains(t, d.refused(Event{Kind: Ended, Reaction: temper.Calm}), "reaction")
}

// The arrival is told once, before the first cut, and it comes to the sitting.
func TestTheArrivalIsToldOnceAndFirst(t *testing.T) {
	b := newBench(t)
	some := &record.Arrival{Touching: record.Some, Clicks: true}
	for _, bad := range []*record.Arrival{nil, {}, {Touching: "many"}} {
		assert.Contains(t, b.refused(Event{Kind: Arrived, Arrival: bad}), "arrival")
	}
	b.tell(Event{Kind: Arrived, Arrival: some})
	assert.Contains(t, b.refused(Event{Kind: Arrived, Arrival: some}), "already")
	assert.Equal(t, some, b.log.Fold().Sitting(today).Arrival)
	c := newBench(t)
	c.tell(Event{Kind: Cut, Nail: of("LH3"), MM: 1})
	assert.Contains(t, c.refused(Event{Kind: Arrived, Arrival: some}), "before the first cut")
	again := LogOf("id", record.Sitting{On: today, Arrival: some}, nine).Fold().Sitting(today)
	assert.Equal(t, some, again.Arrival)
}

// What was not told as sure is not, and only the nails that were cut are praised.
func TestOnlyWhatWasToldCounts(t *testing.T) {
	r := record.NailRecord{
		Code:         *of("LF3"),
		LengthBefore: read(measure.Length, 12),
		Landmarks:    []quick.Seen{{Mark: quick.Groove, Spare: 3}},
		Cuts:         []float64{0.5},
		Tool:         kit.LargePlier,
		Reaction:     temper.Calm,
	}
	for _, sure := range []bool{false, true} {
		r.Sure = sure
		said := 0
		for _, e := range LogOf("a", record.Sitting{On: today, Records: []record.NailRecord{r}}, nine) {
			if e.Sure {
				said++
			}
		}
		assert.Equal(t, map[bool]int{false: 0, true: 2}[sure], said, "the length and the landmark")
	}
	s := Progress{Nails: []NailState{
		{Code: *of("LF3"), Cuts: []Slice{{MM: 0.5}}, Reaction: temper.Calm},
		{Code: *of("RF3"), Reaction: temper.Snapping}, // it was only touched
	}}
	assert.Equal(t, "Calm throughout: the best treat of the day.", wordstest.Of(s.Praise()))
}

// A log ends somewhere, wherever it comes from; its end comes on top.
func TestALogHoldsSoMuch(t *testing.T) {
	note := func(i int) Event { return Event{Kind: Noted, ID: fmt.Sprint(i), At: nine, Note: "half asleep"} }
	var log Log
	for i := range mostEvents + 1 {
		log = append(log, note(i))
	}
	assert.Empty(t, log.Check())
	faults := append(log, note(mostEvents+1)).Check()
	require.Len(t, faults, 1)
	assert.Equal(t, "events", faults[0].Name)
}
