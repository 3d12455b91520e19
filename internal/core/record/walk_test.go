package record

import (
	"fribbet/internal/core/dog"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A walk-round that is told late does not overrule what a later one saw, nail by nail and word by word.
func TestALateWalkRoundOverrulesNothingNewer(t *testing.T) {
	d := plain()
	torn, sound, dark, light := nail.Torn, nail.Sound, nail.Dark, nail.Light
	lf3 := nail.MustParse("LF3")
	newer := WalkRound{On: today, Looks: []Look{{Code: lf3, State: &torn}}}
	d = newer.Seen(d)
	late := WalkRound{On: today.AddDays(-3), Looks: []Look{{Code: lf3, State: &sound, Colour: &dark}}}.Seen(d, newer)
	got, _ := late.Nail(lf3)
	assert.Equal(t, torn, got.State)
	assert.Equal(t, dark, got.Colour, "of which nobody told later")
	again := WalkRound{
		On:    today.AddDays(1),
		Looks: []Look{{Code: lf3, State: &sound, Colour: &light}},
	}.Seen(
		late,
		newer,
	)
	got, _ = again.Nail(lf3)
	assert.Equal(t, sound, got.State)
	assert.Equal(t, light, got.Colour)
}

func TestSeenNailsBecomeTheDogs(t *testing.T) {
	dark, curled, torn := nail.Dark, nail.Curled, nail.Torn
	d := WalkRound{
		Looks: []Look{
			{Code: nail.MustParse("LF1"), Shape: &curled},
			{Code: nail.MustParse("LF3"), Colour: &dark, State: &torn},
		},
	}.Seen(plain())
	lf1, _ := d.Nail(nail.MustParse("LF1"))
	lf3, _ := d.Nail(nail.MustParse("LF3"))
	assert.Equal(t, nail.Curled, lf1.Shape)
	assert.Equal(t, dog.Nail{Code: lf3.Code, State: nail.Torn, Colour: nail.Dark, Shape: nail.Usual}, lf3)
	assert.Equal(t, nail.Usual, plain().Nails[0].Shape, "the dog itself is not changed under our hands")
}

func TestCheckOfAWalkNamesWhatCannotBe(t *testing.T) {
	bad := WalkRound{
		On: today.AddDays(1),
		Looks: []Look{
			{Code: nail.MustParse("LH1")},
			{Code: nail.MustParse("LF3"), Gap: gap(-1)},
			{Code: nail.MustParse("LF3"), Length: length(0)},
		},
	}
	assert.Equal(
		t,
		[]string{"on", "looks[0].code", "looks[1].gap_mm", "looks[2].code", "looks[2].length_mm"},
		names(bad.Check(plain(), today)),
	)
}

// Dewclaws may be there or not, none, one or two on a hind paw (common practice, no source).
func TestDewclawsAreSeenToBeThereOrNot(t *testing.T) {
	yes, no := true, false
	c := WalkRound{On: today, Looks: []Look{
		{
			Code:    nail.MustParse("LF1"),
			Present: &no,
		},
		{Code: nail.MustParse("LH1b"), Present: &yes},
		{Code: nail.MustParse("LH1"), Present: &yes},
	}}
	require.Empty(t, c.Check(plain(), today))
	d := c.Seen(plain())
	assert.Len(t, d.Nails, 19)
	_, has := d.Nail(nail.MustParse("LF1"))
	assert.False(t, has)
	assert.Equal(t, "LH1b", d.Nails[13].Code.String(), "in their place as the dog stands")
	twice := WalkRound{
		On:    today,
		Looks: []Look{{Code: nail.MustParse("LH1"), Present: &yes}, {Code: nail.MustParse("LH1"), Present: &yes}},
	}
	assert.NotEmpty(t, twice.Check(plain(), today))
}

// A round at which a nail was felt to touch, or seen past its pad, has one that touches; one that a card passes has
// none.
func TestWhatTouchesAtARound(t *testing.T) {
	touches, card := measure.Touches.Number(), measure.Card.Number()
	code := nail.MustParse("LF3")
	for name, c := range map[string]struct {
		look Look
		is   bool
	}{
		"felt":         {Look{Code: code, Gap: &touches}, true},
		"past its pad": {Look{Code: code, PastPad: true}, true},
		"a card":       {Look{Code: code, Gap: &card}, false},
		"nothing":      {Look{Code: code}, false},
	} {
		assert.Equal(
			t,
			c.is,
			WalkRound{Looks: []Look{{Code: nail.MustParse("RF3"), Gap: &card}, c.look}}.Touches(),
			name,
		)
	}
	assert.False(t, WalkRound{}.Touches())
}
