package dog

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
)

func looked(l Look) Reading {
	l.Code = nail.MustParse("LF3")
	for _, r := range FeetAfter(plain(), nil, Check{On: today, Looks: []Look{l}}).On(today) {
		if r.Code == l.Code {
			return r
		}
	}
	panic("no LF3")
}

// A caliper is believed more than the eye, and what somebody says of their own reading most of all.
func TestANumberCountsAsMuchAsWhatItWasReadWith(t *testing.T) {
	before := looked(Look{}).Length
	read := func(by measure.Means, sd float64) Reading {
		n := measure.Length.Told(20, by, sd)
		return looked(Look{Length: &n})
	}
	eye, caliper, exact := read(measure.Eye, 0).Length, read(measure.Caliper, 0).Length, read(measure.Caliper, 0.1).Length
	assert.Less(t, before.Value, eye.Value)
	assert.Less(t, eye.Value, caliper.Value)
	assert.Less(t, caliper.Value, exact.Value)
	assert.Greater(t, eye.High-eye.Low, 2*(caliper.High-caliper.Low))
	assert.Greater(t, caliper.High-caliper.Low, 2*(exact.High-exact.Low))
}

// A coin that passes says that the nail stands at least so high. It used to be taken for a gap of
// exactly the coin.
func TestACoinThatPassesSaysAtLeast(t *testing.T) {
	coin, gauge := measure.Gap.Told(1.5, measure.Feeler, 0), measure.Gap.Told(1.5, measure.Caliper, 0)
	felt, measured := looked(Look{Gap: &coin}), looked(Look{Gap: &gauge})
	assert.Greater(t, felt.Floor.Mean, measured.Floor.Mean)
	assert.Greater(t, felt.Floor.SD, 2*measured.Floor.SD)
}

// The last reading is told of a nail, less what came off after it, with what it was read with.
func TestTheLastReadingKeepsItsMeans(t *testing.T) {
	n := measure.Length.Told(15, measure.Eye, 0)
	f := FeetAfter(plain(), []Sitting{{On: today, Records: []Record{{Code: nail.MustParse("LF3"), LengthBefore: &n, Cuts: []float64{1, 1}}}}})
	s, has := f.Section(nail.MustParse("LF3"), today, 1, 0.5)
	require.True(t, has)
	assert.Equal(t, Measured{today, measure.Number{MM: 13, By: measure.Eye, SD: 1.5}}, s.Measured)
	s, _ = f.Section(nail.MustParse("RF3"), today, 1, 0.5)
	assert.True(t, s.Measured.On.IsZero(), "nobody read this one")
	text, err := f.Keep()
	require.NoError(t, err)
	kept, err := Kept(plain(), text)
	require.NoError(t, err)
	s, _ = kept.Section(nail.MustParse("LF3"), today, 1, 0.5)
	assert.Equal(t, measure.Eye, s.Measured.By, "and keeps it")
}
