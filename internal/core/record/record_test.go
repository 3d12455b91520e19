package record

import (
	"fribbet/internal/core/dogtest"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/state"
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
	r := NailRecord{LengthBefore: length(15), LengthAfter: length(12.5), Cuts: []float64{1}}
	assert.Equal(t, 2.5, r.Removed())
}

func TestCheckOfASittingNamesWhatCannotBe(t *testing.T) {
	lf3 := nail.MustParse("LF3")
	for field, s := range map[string]Sitting{
		"on":                          {On: today.AddDays(1), Records: []NailRecord{{Code: lf3}}},
		"records":                     {On: today},
		"records[0].code":             {On: today, Records: []NailRecord{{Code: nail.MustParse("LH1")}}},
		"records[1].code":             {On: today, Records: []NailRecord{{Code: lf3}, {Code: lf3}}},
		"records[0].length_after_mm":  {On: today, Records: []NailRecord{{Code: lf3, LengthBefore: length(12), LengthAfter: length(13)}}},
		"records[0].gap_after_mm":     {On: today, Records: []NailRecord{{Code: lf3, GapAfter: gap(-1)}}},
		"records[0].cuts_mm":          {On: today, Records: []NailRecord{{Code: lf3, Blood: true}}},
		"records[0].cuts_mm[1]":       {On: today, Records: []NailRecord{{Code: lf3, Cuts: []float64{1, math.NaN()}}}},
		"records[0].length_before_mm": {On: today, Records: []NailRecord{{Code: lf3, LengthBefore: length(0)}}},
	} {
		assert.Equal(t, []string{field}, names(s.Check(plain(), today)), field)
	}
	early := Sitting{On: today.AddYears(-5), Records: []NailRecord{{Code: lf3}}}
	assert.Contains(t, wordstest.Of(early.Check(plain(), today)[0].Want), "birth")
}

func TestWhatASittingSaysOfItself(t *testing.T) {
	s := Sitting{Records: []NailRecord{
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
	sitting := func(r NailRecord) error {
		r.Code, r.Cuts = nail.MustParse("LF3"), []float64{1}
		return Sitting{On: today, Records: []NailRecord{r}}.Check(d, today).Err()
	}
	assert.NoError(t, sitting(NailRecord{LengthBefore: length(30)}))
	assert.Contains(
		t,
		wordstest.Err(sitting(NailRecord{LengthBefore: length(75)})),
		"records[0].length_before_mm: this is longer than this nail can well be. Was a point forgotten?",
	)
	assert.NoError(t, sitting(NailRecord{LengthBefore: length(75), Sure: true}))
	assert.Contains(
		t,
		wordstest.Err(sitting(NailRecord{GapAfter: gap(38)})),
		"records[0].gap_after_mm: this is more than",
	)

	walk := WalkRound{On: today, Looks: []Look{{Code: nail.MustParse("LF3"), Length: length(75), Gap: gap(38)}}}
	err := walk.Check(d, today).Err()
	assert.Contains(t, wordstest.Err(err), "looks[0].length_mm")
	assert.Contains(t, wordstest.Err(err), "looks[0].gap_mm")
	walk.Looks[0].Sure = true
	assert.NoError(t, walk.Check(d, today).Err())
}

// A clipper's cuts are as thick as its hand cuts, a grinder's touches are touches, and faces stand with their own cut.
func TestARecordAsTheStateTakesIt(t *testing.T) {
	r := NailRecord{
		Code:  nail.MustParse("LF3"),
		Tool:  kit.SmallPlier,
		Cuts:  []float64{1, 1},
		Faces: []quick.Face{quick.White},
		Hand:  hand.Slices{Times: 1.3, Milder: 0.2},
	}
	e := r.Event(today)
	assert.Equal(t, 0.2, e.Milder)
	for i, face := range []quick.Face{quick.White, ""} {
		assert.Equal(t, state.Slice{MM: 1.3, SD: r.Hand.SD(1), Face: face}, e.Cuts[i])
	}
	r.Tool = kit.GrinderBand
	assert.Equal(t, state.Slice{MM: 1, Touch: true, Face: quick.White}, r.Event(today).Cuts[0])
}

// The slice after so many is what a pictured end asks about: the last one's face is how the nail ended.
func TestASliceOfARecord(t *testing.T) {
	r := NailRecord{Cuts: []float64{1, 0.5, 0.3}, Faces: []quick.Face{quick.White}, EndFace: quick.Grey}
	for k, want := range []quick.Face{quick.White, "", quick.Grey, ""} {
		mm, face, is := r.Slice(k)
		assert.Equal(t, want, face, k)
		assert.Equal(t, want != "", is, k)
		if k < 3 {
			assert.Equal(t, r.Cuts[k], mm)
		}
	}
	r.Blood = true
	_, face, _ := r.Slice(2)
	assert.Equal(t, quick.Blood, face)
	_, _, is := r.Slice(-1)
	assert.False(t, is)
}

func TestARecordThatSaysNothingOfTheNail(t *testing.T) {
	assert.True(t, NailRecord{Code: nail.MustParse("LF3"), Reaction: temper.Calm}.LeftAlone())
	one := length(14)
	for name, r := range map[string]NailRecord{
		"a cut": {Cuts: []float64{1}}, "before": {LengthBefore: one}, "after": {LengthAfter: one},
		"gap before": {GapBefore: one}, "gap after": {GapAfter: one}, "spare": {SpareLeft: one}, "colour": {Colour: nail.Dark},
	} {
		assert.False(t, r.LeftAlone(), name)
	}
}

// A clipper's cut is ground round with a grinder, nothing else with anything else.
func TestWhatIsGroundRoundFollowsACut(t *testing.T) {
	for field, r := range map[string]NailRecord{
		"":            {Cuts: []float64{1}, Tool: kit.LargePlier, Ground: &Ground{Tool: kit.GrinderBand}},
		"ground.tool": {Cuts: []float64{1}, Tool: kit.LargePlier, Ground: &Ground{Tool: kit.SmallPlier}},
		"ground":      {Tool: kit.LargePlier, Ground: &Ground{Tool: kit.GrinderBand}},
	} {
		r.Code, r.Reaction = nail.MustParse("LF3"), temper.Calm
		s := Sitting{On: today, Records: []NailRecord{r}}
		var want []string
		if field != "" {
			want = []string{"records[0]." + field}
		}
		assert.Equal(t, want, names(s.Check(plain(), today)), field)
	}
}

// How far a whole trim went is said of each nail that was cut and whose end nobody told, and of no other.
func TestHowFarItWentIsSaidOfWhatNobodyTold(t *testing.T) {
	code := nail.MustParse("LF3")
	for what, c := range map[string]struct {
		told NailRecord
		want state.Ended
	}{
		"cut":                 {NailRecord{Cuts: []float64{1}}, state.AtSign},
		"left out":            {NailRecord{}, state.Untold},
		"bled":                {NailRecord{Cuts: []float64{1}, Blood: true}, state.Untold},
		"its end was told":    {NailRecord{Cuts: []float64{1}, EndFace: quick.White}, state.Untold},
		"every face was told": {NailRecord{Cuts: []float64{1}, Faces: []quick.Face{quick.White}}, state.Untold},
		"one of two was":      {NailRecord{Cuts: []float64{1, 1}, Faces: []quick.Face{quick.White}}, state.AtSign},
	} {
		c.told.Code = code
		s := Sitting{Records: []NailRecord{c.told}}.Went(AsFar, quick.AtFirstSign, hand.Slices{})
		assert.Equal(t, c.want, s.Records[0].Ended, what)
	}
}

// A piece's touch is learnt where lengths were measured before and after, of that piece alone.
func TestWhatSaysHowMuchATouchTakes(t *testing.T) {
	code := nail.MustParse("LF3")
	both := NailRecord{
		Code:         code,
		Item:         "band",
		Cuts:         []float64{0.2, 0.2},
		LengthBefore: length(15),
		LengthAfter:  length(14.5),
	}
	before, after, unnamed := both, both, both
	before.LengthAfter, after.LengthBefore, unnamed.Item = nil, nil, ""
	assert.Empty(t, Sitting{Records: []NailRecord{before, after, unnamed}}.Ground())
	ground := Sitting{Records: []NailRecord{before, both}}.Ground()
	assert.Equal(t, 1, ground["band"].Nails)
}
