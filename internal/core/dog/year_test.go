package dog

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/nail"
)

// Measured at every sitting, the reckoning is the measurement, whatever the rate.
func TestACaliperOverrulesTheRate(t *testing.T) {
	d := plain()
	var sittings []Sitting
	for i := range 10 {
		sittings = append(sittings, Sitting{On: today.AddDays(14 * (i - 10)), Records: []Record{
			{Code: nail.MustParse("LF3"), Cuts: []float64{1, 1}, LengthAfter: length(11), GapAfter: gap(1.5)}}})
	}
	r := reading(t, FeetAfter(d, sittings), "LF3", sittings[9].On)
	assert.InDelta(t, 11.0, r.Length.Value, 0.2)
	assert.InDelta(t, 1.5, r.Gap.Value, 0.2)
	assert.Less(t, r.Length.High-r.Length.Low, 2.0)
}

// A puppy's nails are reckoned by its size and age of the day, not of today.
func TestAGrowingPuppy(t *testing.T) {
	d := plain()
	d.Birth = Birth{Date: today.AddDays(-7 * 60)}
	d.Weights = []Weight{{today.AddDays(-300), 5}, {today, 22}}
	assert.Equal(t, 5.0, d.WeightOn(today.AddDays(-200)))
	assert.Equal(t, 5.0, d.WeightOn(today.AddDays(-400)), "before the first weighing, the first")
	assert.Equal(t, 22.0, d.WeightOn(today))
	code := nail.MustParse("LF1")
	assert.Greater(t, rateOn(d, code, today.AddDays(-100)).Mean, rateOn(d, code, today).Mean, "under one year they grow faster")
}

func TestDoubleHindDewclawsAreNailsOfTheirOwn(t *testing.T) {
	d := plain()
	for _, c := range []string{"LH1", "LH1b", "RH1", "RH1b"} {
		d.Nails = append(d.Nails, Nail{nail.MustParse(c), nail.Sound, nail.Dark, nail.Usual})
	}
	d, faults := d.With(Changes{}, today)
	require.Empty(t, faults)
	require.Len(t, d.Nails, 22)
	rank := RankOf(FeetAfter(d, nil).On(today))
	assert.Equal(t, "LF5", rank.Bars[0].Code.String())
	assert.Equal(t, []string{"LH1b", "LH1", "RH1", "RH1b"}, []string{
		rank.Bars[14].Code.String(), rank.Bars[15].Code.String(), rank.Bars[16].Code.String(), rank.Bars[17].Code.String()},
		"inner toes towards the middle")
	s := Sitting{On: today, Records: []Record{{Code: nail.MustParse("LH1b"), Cuts: []float64{1}}}}
	assert.Empty(t, s.Check(d, today))
	assert.NotEmpty(t, s.Check(plain(), today))
}
