package outlook

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/dog"
	"fribbet/internal/core/due"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
	"fribbet/internal/core/verdict"
	"fribbet/internal/words/wordstest"
)

func TestATornNailIsLeftToAVeterinarian(t *testing.T) {
	d := plain()
	d.Nails[0].State = nail.Torn
	f := feet.FeetAfter(d, []record.Sitting{asPlanned(feet.FeetAfter(d, nil), today.AddDays(-7))})
	assert.Equal(t, verdict.Veterinarian, Plan(f, today, usually)[0].Kind)
	assert.Equal(t, dog.Veterinarian, Cautions(f, f.On(today), true)[0].Kind)
	next, has, err := NextOf(f, usually)
	require.NoError(t, err)
	assert.True(t, has)
	for _, n := range next.PerNail {
		assert.NotEqual(t, d.Nails[0].Code, n.Code)
	}
}

func TestACurledDewclawIsAVeterinariansMatter(t *testing.T) {
	at := func(long float64) []dog.Caution {
		f := feet.FeetAfter(
			plain(),
			[]record.Sitting{
				{On: today, Records: []record.NailRecord{{Code: nail.MustParse("LF1"), LengthAfter: length(long)}}},
			},
		)
		return Cautions(f, f.On(today), true)
	}
	assert.Empty(t, at(11))
	assert.Contains(t, wordstest.Of(at(18)[0].Words), "close to curling")
	assert.Contains(t, wordstest.Of(at(21)[0].Words), "dewclaw curling")
	assert.Equal(t, dog.Veterinarian, at(30)[0].Kind)
}

// Limping, swelling, several nails breaking: nothing is planned or dated until a later look says it is over.
func TestAFlagClosesTrimmingUntilALaterLook(t *testing.T) {
	d := plain()
	trims := []record.Sitting{asPlanned(feet.FeetAfter(d, nil), today.AddDays(-28))}
	for _, flagged := range []record.WalkRound{{Limping: true}, {Swelling: true}, {Breaking: true}} {
		flagged.On = today.AddDays(-2)
		f := feet.FeetAfter(d, trims, flagged)
		for _, p := range Plan(f, today, usually) {
			assert.Equal(t, verdict.Veterinarian, p.Kind)
			assert.Empty(t, p.Cuts())
			assert.Contains(t, wordstest.Of(p.Why), "a veterinarian looks first")
		}
		_, has, err := NextOf(f, usually)
		require.NoError(t, err)
		assert.False(t, has)
		assert.Contains(t, wordstest.Of(WhyNone(f)), "a veterinarian first")
		assert.Equal(t, dog.Veterinarian, Cautions(f, f.On(today), true)[0].Kind)

		over := feet.FeetAfter(d, trims, flagged, record.WalkRound{On: today})
		assert.NotEqual(t, verdict.Veterinarian, Plan(over, today, usually)[4].Kind)
	}
}

func TestPastItsPadIsDueNowUntilItIsTrimmed(t *testing.T) {
	d := plain()
	trims := []record.Sitting{asPlanned(feet.FeetAfter(d, nil), today.AddDays(-10))}
	check := record.WalkRound{
		On:    today,
		Looks: []record.Look{{Code: nail.MustParse("RF3"), PastPad: true, Gap: gap(1)}},
	}
	next, _, err := NextOf(feet.FeetAfter(d, trims, check), usually)
	require.NoError(t, err)
	assert.Equal(t, due.Pad, next.Rule)
	assert.Equal(t, "RF3 reaches past its pad", wordstest.Of(next.Reason))
	assert.Equal(t, today, next.Due)

	done := record.Sitting{On: today, Records: []record.NailRecord{{Code: nail.MustParse("RF3"), Cuts: []float64{1}}}}
	next, _, err = NextOf(feet.FeetAfter(d, append(trims, done), check), usually)
	require.NoError(t, err)
	assert.NotEqual(t, due.Pad, next.Rule, "one looks before one cuts on the same day")
}

// Swelling, limping, several nails breaking: a veterinarian (common practice, no source).
func TestRedFlagsAreAVeterinarians(t *testing.T) {
	f := feet.FeetAfter(
		plain(),
		nil,
		record.WalkRound{On: today, Swelling: true, Limping: true, Breaking: true, Hair: true},
	)
	words := Cautions(f, f.On(today), true)
	require.Len(t, words, 4)
	for _, w := range words[:3] {
		assert.Equal(t, dog.Veterinarian, w.Kind)
		assert.Contains(t, wordstest.Of(w.Words), "veterinarian")
	}
	assert.Equal(t, dog.Prepare, words[3].Kind, "hair between the pads is cleared first")
	later := feet.FeetAfter(
		plain(),
		nil,
		record.WalkRound{On: today.AddDays(-9), Limping: true},
		record.WalkRound{On: today},
	)
	assert.Empty(t, Cautions(later, later.On(today), true), "the last look counts")
}
