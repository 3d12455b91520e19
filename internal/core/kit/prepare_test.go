package kit

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/date"
	"fribbet/internal/words/wordstest"
)

// A day is held against what the kit bears: blades by all that is asked until then, a charge by the day alone.
func TestADayAgainstTheKit(t *testing.T) {
	piece := func(id string, kind Kind, used, limit float64) Piece {
		p := Piece{ID: id, Item: Item{Kind: kind, Limit: &limit}}
		p.State = p.Item.StateOn(date.MustParse("2026-11-23"), Use{Cuts: used, Minutes: used})
		return p
	}
	pieces := []Piece{
		piece("g", Grinder, 20, 60),
		piece("b", Kind(GrinderBand), 50, 300),
		piece("p", Kind(LargePlier), 800, 1000),
	}
	day := func(cuts, minutes float64) Needs {
		return Needs{LargePlier: {Cuts: cuts}, GrinderBand: {Minutes: minutes}}
	}

	assert.Empty(t, Prepare(pieces, nil, day(100, 30), true))
	assert.Equal(
		t,
		[]string{"charge the grinder: it holds about 40 minutes more, and about 50 are still to come"},
		wordstest.All(Prepare(pieces, nil, day(100, 50), true)),
	)
	assert.Empty(t, Prepare(pieces, nil, day(100, 50), false), "it is charged over night")
	assert.Equal(
		t,
		[]string{"a charge of the grinder lasts 60 minutes, the day asks for about 75: charge it in between"},
		wordstest.All(Prepare(pieces, nil, day(0, 75), false)),
	)
	assert.Equal(
		t,
		[]string{"sharpen the large plier before it: by then about 950 of 1000 cuts, and 90 that day"},
		wordstest.All(Prepare(pieces, day(150, 40), day(90, 10), false)),
	)
	assert.Equal(
		t,
		[]string{"change the grinder band before it: by then about 290 of 300 minutes, and 20 that day"},
		wordstest.All(Prepare(pieces, day(0, 240), day(0, 20), false)),
	)

	second := append(pieces, piece("q", Kind(LargePlier), 10, 1000))
	assert.Empty(t, Prepare(second, day(150, 0), day(90, 0), false), "there is a fresher one")
	assert.Empty(t, Prepare(nil, nil, day(90, 90), true), "nobody told the kit")
}
