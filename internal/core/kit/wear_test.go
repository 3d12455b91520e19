package kit

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/date"
)

func TestWearCountsFromTheLastService(t *testing.T) {
	morning := time.Date(2026, time.November, 24, 8, 0, 0, 0, time.UTC)
	at := func(day string, hours int) Moment {
		return Moment{date.MustParse(day), morning.Add(time.Duration(hours) * time.Hour)}
	}
	kit := []Owned{
		{ID: "blade", Item: Item{Kind: Kind(LargePlier)}, Serviced: at("2026-11-24", 2)},
		{ID: "old", Item: Item{Kind: Grinder}},
		{ID: "new", Item: Item{Kind: Grinder}},
		{ID: "band", Item: Item{Kind: Kind(GrinderBand)}},
		{ID: "bit", Item: Item{Kind: Kind(GrinderDiamond), On: "new"}},
	}
	stints := []Stint{
		{Moment: at("2026-11-23", 5), Item: "blade", Cuts: 7, TookForce: true},              // the day before
		{Moment: at("2026-11-24", 1), Item: "blade", Cuts: 11},                              // before it was sharpened
		{Moment: at("2026-11-24", 3), Item: "blade", Cuts: 13, Untimed: 6},                  // after it
		{Moment: at("2026-11-24", 4), Item: "band", Minutes: 10.0 / 3},                      // a third of ten minutes
		{Moment: at("2026-11-24", 5), Item: "bit", Untimed: 10},                             // nobody timed it
		{Moment: at("2026-11-24", 6), Item: "gone", Cuts: 99, Minutes: 10, TookForce: true}, // out of the kit
	}
	uses := Wear(kit, stints)
	assert.Equal(t, 13.0, uses["blade"].Cuts)
	assert.False(t, uses["blade"].TookForce, "it was sharpened since")
	assert.InDelta(t, 10.0/3, uses["band"].Minutes, 1e-9)
	assert.False(t, uses["band"].Assumed)
	assert.InDelta(t, 4.2, uses["bit"].Minutes, 1e-9)
	assert.True(t, uses["bit"].Assumed, "and says so")
	assert.InDelta(t, 10.0/3, uses["old"].Minutes, 1e-9, "a band that names no machine runs on the first")
	assert.InDelta(t, 4.2, uses["new"].Minutes, 1e-9)
}

func TestHowMuchAToolBears(t *testing.T) {
	assert.Equal(t, BandLimit, Lasts(GrinderBand))
	assert.Equal(t, BitLimit, Lasts(GrinderDiamond))
	assert.Equal(t, float64(CutsLimit), Lasts(LargePlier))
	assert.Equal(t, BoardLimit, Lasts(ScratchBoard))
}
