package bench

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

func (b *teller) now() Bench {
	return Of(questionOf(feet.FeetAfter(moss(), nil), nil), b.log.Fold(), quick.Touch)
}

func (b *teller) asks(code string) Ask { return nailOf(b.t, b.now(), code).Asks() }

// One question after the other, in the order in which a practised hand thinks, and no sliver before the
// end of the last one was told.
func TestOneQuestionAfterTheOther(t *testing.T) {
	b := newBench(t)
	assert.Equal(t, AskColour, b.asks("LF3"))
	b.tell(Event{Kind: Coloured, Nail: of("LF3"), Colour: nail.Dark})
	assert.Equal(t, AskLandmark, b.asks("LF3"))
	n := nailOf(t, b.now(), "LF3")
	assert.Equal(t, quick.Groove, n.Landmark())
	assert.Equal(t, quick.DarkCentre, quick.SignTo(quick.AtFirstSign, n.Colour))
	assert.Equal(t, quick.Dot, b.now().SignTo(n), "that hand goes as far as it goes")
	assert.Equal(t, quick.DarkCentre, n.PressTo(), "one press ends at the first sign all the same")
	assert.True(t, b.now().GoesOn(), "and may go on step by step")
	assert.Equal(t, quick.Faces(nail.Dark), n.Faces, "it was told to be dark")
	places := n.Pictures()
	assert.Greater(t, places[1], places[0])
	assert.Greater(t, places[2], places[1])
	b.tell(Event{Kind: Seen, Nail: of("LF3"), Landmark: quick.Groove, MM: places[1]})
	assert.Equal(t, AskSliver, b.asks("LF3"))
	cut := b.tell(Event{Kind: Cut, Nail: of("LF3"), MM: 0.3})
	assert.Equal(t, AskFace, b.asks("LF3"))
	b.tell(Event{Kind: Showed, Nail: of("LF3"), Of: cut, Face: quick.White})
	assert.Equal(t, AskSliver, b.asks("LF3"))
	cut = b.tell(Event{Kind: Cut, Nail: of("LF3"), MM: 0.5})
	b.tell(Event{Kind: Showed, Nail: of("LF3"), Of: cut, Face: quick.Dot})
	assert.Equal(t, AskSmooth, b.asks("LF3"))
	b.tell(Event{Kind: Done, Nail: of("LF3")})
	assert.Equal(t, AskNothing, b.asks("LF3"))
}

// Whatever cannot be told is passed, and not asked again.
func TestWhatNobodyCanTellIsPassed(t *testing.T) {
	b := newBench(t)
	b.tell(Event{Kind: Coloured, Nail: of("RF3"), Colour: nail.Unknown})
	assert.Equal(t, AskLandmark, b.asks("RF3"))
	b.tell(Event{Kind: Unclear, Nail: of("RF3")})
	assert.Equal(t, AskSliver, b.asks("RF3"))
	b.tell(Event{Kind: Bled, Nail: of("RF3")})
	assert.Equal(t, AskNothing, b.asks("RF3"))
	b.tell(Event{Kind: Coloured, Nail: of("LH3"), Colour: nail.Light})
	n := nailOf(t, b.now(), "LH3")
	assert.Equal(t, quick.SeenThrough, n.Landmark())
	assert.Equal(t, quick.Blush, quick.SignTo(quick.AtFirstSign, n.Colour))
	assert.Equal(t, quick.PinkDot, quick.SignTo(quick.Full, n.Colour))
	record := b.log.Fold().Sitting(today).Records[1]
	assert.Equal(t, nail.Light, record.Colour)
	f := feet.FeetAfter(moss(), nil).And(b.log.Fold().Sitting(today))
	for _, r := range f.On(today) {
		if r.Code == *of("LH3") {
			assert.Equal(t, nail.Light, r.Colour, "it is known from now on")
		}
	}
}

// A whole nail told in one press is undone in one.
func TestOnePressIsUndoneAsOne(t *testing.T) {
	b := newBench(t)
	before := b.log.Fold()
	first := b.tell(Event{Kind: Cut, Press: "p1", Nail: of("LF3"), MM: 0.5})
	second := b.tell(Event{Kind: Cut, Press: "p1", Nail: of("LF3"), MM: 0.5})
	b.tell(Event{Kind: Showed, Press: "p1", Nail: of("LF3"), Of: second, Face: quick.DarkCentre})
	b.tell(Event{Kind: Done, Press: "p1", Nail: of("LF3")})
	s := b.log.Fold()
	assert.Len(t, s.Nail(*of("LF3")).Cuts, 2)
	last, is := b.log.Last()
	assert.True(t, is)
	assert.Equal(t, "p1", last.UndoneBy())
	b.tell(Event{Kind: Undone, Of: last.UndoneBy()})
	assert.Equal(t, before.Nails, b.log.Fold().Nails)
	_, is = b.log.Last()
	assert.False(t, is, "nothing is left to undo")
	one := b.tell(Event{Kind: Cut, Nail: of("LF3"), MM: 0.5})
	last, _ = b.log.Last()
	assert.Equal(t, one, last.UndoneBy())
	assert.NotEqual(t, first, one)
	assert.Contains(t, b.refused(Event{Kind: Undone}), "of must be the id")
}

// Sides and top take the sharpness, not the length, with a cutter or a grinder; the log says which pass.
func TestSidesAndTopShortenNothing(t *testing.T) {
	b := newBench(t)
	b.tell(Event{Kind: Edged, Nail: of("LF3")})
	b.tell(Event{Kind: Took, Tool: kit.GrinderBand})
	b.tell(Event{Kind: Touched, Nail: of("RF3"), MM: 0.2, Pass: kit.OnUnderside})
	b.tell(Event{Kind: Touched, Nail: of("RF3"), MM: 0.2, Pass: kit.OnSides})
	lf := nail.LF
	b.tell(Event{Kind: Smoothed, Paw: &lf})
	b.tell(Event{Kind: Smoothed, Paw: &lf})
	s := b.log.Fold().Sitting(today)
	assert.Empty(t, s.Records[0].Cuts)
	assert.True(t, s.Records[0].Edged)
	assert.Equal(t, []float64{0.2}, s.Records[1].Cuts)
	assert.True(t, s.Records[1].Edged)
	assert.Equal(t, []nail.Paw{nail.LF}, s.Smooth)
	assert.Contains(t, b.refused(Event{Kind: Smoothed}), "must name a paw")
	assert.Contains(t, b.refused(Event{Kind: Coloured, Nail: of("LF3")}), "must name a colour")
}

// A new hand, a dog quicked last time and a nail with no history go step by step; else one press a nail.
func TestThePaceThatIsUsual(t *testing.T) {
	pace := func(q func(f feet.Feet) feet.Feet, hand kit.Hand) Pace {
		asked := questionOf(q(feet.FeetAfter(moss(), nil)), nil)
		asked.Hand = hand
		return nailOf(t, Of(asked, newBench(t).log.Fold(), quick.Touch), "LF3").Pace
	}
	fresh := func(f feet.Feet) feet.Feet { return f }
	done := func(bled bool) func(f feet.Feet) feet.Feet {
		return func(feet.Feet) feet.Feet {
			s := known().Feet
			if bled {
				q := newBench(t)
				q.tell(Event{Kind: Cut, Nail: of("LF3"), MM: 1})
				q.tell(Event{Kind: Bled, Nail: of("LF3")})
				return s.And(q.log.Fold().Sitting(today.AddDays(-1)))
			}
			return s
		}
	}
	assert.Equal(t, Steps, pace(fresh, kit.PractisedHand))
	assert.Equal(t, OnePress, pace(done(false), kit.PractisedHand))
	assert.Equal(t, Steps, pace(done(false), kit.NewHand))
	assert.Equal(t, Steps, pace(done(true), kit.PractisedHand))
}
