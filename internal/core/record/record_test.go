package record

import (
	"fribbet/internal/core/dogtest"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
	"fribbet/internal/words/wordstest"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
)

var (
	today  = dogtest.Today
	plain  = dogtest.Plain
	length = dogtest.Length
	gap    = dogtest.Gap
	names  = dogtest.Names
)

func TestTwoMeasuredLengthsOverruleThePlannedCuts(t *testing.T) {
	r := Nail{LengthBefore: length(15), LengthAfter: length(12.5), Cuts: []float64{1}}
	assert.Equal(t, 2.5, r.Removed())
}

func TestCheckOfASittingNamesWhatCannotBe(t *testing.T) {
	lf3 := nail.MustParse("LF3")
	for field, s := range map[string]Sitting{
		"on":                          {On: today.AddDays(1), Records: []Nail{{Code: lf3}}},
		"records":                     {On: today},
		"records[0].code":             {On: today, Records: []Nail{{Code: nail.MustParse("LH1")}}},
		"records[1].code":             {On: today, Records: []Nail{{Code: lf3}, {Code: lf3}}},
		"records[0].length_after_mm":  {On: today, Records: []Nail{{Code: lf3, LengthBefore: length(12), LengthAfter: length(13)}}},
		"records[0].gap_after_mm":     {On: today, Records: []Nail{{Code: lf3, GapAfter: gap(-1)}}},
		"records[0].cuts_mm":          {On: today, Records: []Nail{{Code: lf3, Blood: true}}},
		"records[0].cuts_mm[1]":       {On: today, Records: []Nail{{Code: lf3, Cuts: []float64{1, math.NaN()}}}},
		"records[0].length_before_mm": {On: today, Records: []Nail{{Code: lf3, LengthBefore: length(0)}}},
	} {
		assert.Equal(t, []string{field}, names(s.Check(plain(), today)), field)
	}
	early := Sitting{On: today.AddYears(-5), Records: []Nail{{Code: lf3}}}
	assert.Contains(t, wordstest.Of(early.Check(plain(), today)[0].Want), "birth")
}

func TestWhatASittingSaysOfItself(t *testing.T) {
	s := Sitting{Records: []Nail{
		{Code: nail.MustParse("LF3"), Cuts: []float64{1, 0.5}, Reaction: temper.Uneasy},
		{Code: nail.MustParse("RF3"), Cuts: []float64{1}, Reaction: temper.Pulling, Blood: true},
		{Code: nail.MustParse("LH3"), Reaction: temper.Calm},
	}}
	nails, most := s.Cut()
	assert.Equal(t, 2, nails)
	assert.Equal(t, 1.5, most)
	assert.Equal(t, []nail.Code{nail.MustParse("RF3")}, s.Bled())
	assert.Equal(t, temper.Pulling, s.Worst())
}

// Three times the usual length, and a gap as wide as the nail is long, are asked for again, and
// stand when they are told as sure.
func TestANumberThatCannotWellBeIsAskedForAgain(t *testing.T) {
	d := plain()
	sitting := func(r Nail) error {
		r.Code, r.Cuts = nail.MustParse("LF3"), []float64{1}
		return Sitting{On: today, Records: []Nail{r}}.Check(d, today).Err()
	}
	assert.NoError(t, sitting(Nail{LengthBefore: length(30)}))
	assert.Contains(t, wordstest.Err(sitting(Nail{LengthBefore: length(75)})), "records[0].length_before_mm: this is longer than this nail can well be. Was a point forgotten?")
	assert.NoError(t, sitting(Nail{LengthBefore: length(75), Sure: true}))
	assert.Contains(t, wordstest.Err(sitting(Nail{GapAfter: gap(38)})), "records[0].gap_after_mm: this is more than")

	walk := Check{On: today, Looks: []Look{{Code: nail.MustParse("LF3"), Length: length(75), Gap: gap(38)}}}
	err := walk.Check(d, today).Err()
	assert.Contains(t, wordstest.Err(err), "looks[0].length_mm")
	assert.Contains(t, wordstest.Err(err), "looks[0].gap_mm")
	walk.Looks[0].Sure = true
	assert.NoError(t, walk.Check(d, today).Err())
}
