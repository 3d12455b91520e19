package sitting

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
	"fribbet/internal/core/temper"
)

// A grinder was used where something was ground, or cut away by one; not where one was only named.
func TestByGrinderIsWhatWasGround(t *testing.T) {
	code := nail.MustParse("LF3")
	for what, c := range map[string]struct {
		told record.NailRecord
		want bool
	}{
		"clipped":             {record.NailRecord{Code: code, Cuts: []float64{1}, Tool: kit.LargePlier}, false},
		"ground":              {record.NailRecord{Code: code, Cuts: []float64{1}, Tool: kit.GrinderBand}, true},
		"looked at":           {record.NailRecord{Code: code, Tool: kit.GrinderBand}, false},
		"clipped and rounded": {record.NailRecord{Code: code, Cuts: []float64{1}, Tool: kit.LargePlier, Ground: &record.Ground{}}, true},
	} {
		assert.Equal(t, c.want, SummaryOf(record.Sitting{Records: []record.NailRecord{c.told}}).Ground, what)
	}
}

// Only sittings of which somebody told the mood say what goes with calm, and each what was so at it.
func TestDaysAreWhatWasSoAtEach(t *testing.T) {
	hour := 9
	days := Days([]Summary{
		{Worst: temper.Untold, Helper: true},
		{Worst: temper.Calm, Helper: true, Ticks: []string{string(temper.AfterWalk)}, Hour: &hour},
		{Worst: temper.Pulling, Ground: true},
	})
	assert.Len(t, days, 2)
	assert.True(t, days[0].Calm)
	assert.False(t, days[1].Calm)
	for was, want := range map[temper.Circumstance][2]bool{
		temper.WithHelper: {true, false},
		temper.ByGrinder:  {false, true},
		temper.AfterWalk:  {true, false},
		temper.WithTreats: {false, false},
	} {
		assert.Equal(t, want, [2]bool{days[0].Was[was], days[1].Was[was]}, was)
	}
	_, told := days[1].Was[temper.BeforeNoon]
	assert.True(t, days[0].Was[temper.BeforeNoon])
	assert.False(t, told, "nobody knows at what hour")
}
