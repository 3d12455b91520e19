package feet

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/nail"
	"fribbet/internal/core/record"
)

// A dog that clicks has a nail on the floor; where somebody looked which touch, that says more.
func TestAClickCountsWhereNobodyLooked(t *testing.T) {
	after := func(a record.Arrival) []float64 {
		f := FeetAfter(plain(), nil, record.WalkRound{On: today})
		f.Arrive(a)
		var all []float64
		for i := range f.Nails {
			all = append(all, f.state.ToFloor(i).Mean)
		}
		return all
	}
	assert.NotEqual(t, after(record.Arrival{}), after(record.Arrival{Clicks: true}))
	assert.Equal(t,
		after(record.Arrival{Touching: record.Some}),
		after(record.Arrival{Touching: record.Some, Clicks: true}))
}

// What touches is asked of toes: a dewclaw and a nail that is a veterinarian's are none of it.
func TestWhatTouchesIsAskedOfToes(t *testing.T) {
	seen := func(a record.Arrival) Feet {
		f := FeetAfter(plain(), nil, record.WalkRound{On: today})
		f.Nails = slices.Clone(f.Nails)
		f.Nails[f.Index(nail.MustParse("RF3"))].State = nail.Torn
		f.Arrive(a)
		return f
	}
	before, after := seen(record.Arrival{}), seen(record.Arrival{Touching: record.Most})
	moved := func(code string) float64 {
		i := before.Index(nail.MustParse(code))
		return before.state.ToFloor(i).Mean - after.state.ToFloor(i).Mean
	}
	toe := moved("LF3")
	assert.Greater(t, toe, 0.3)
	assert.Less(t, moved("RF3"), toe, "it moves with the others, and is not counted among them")
	assert.Less(t, moved("LF1"), toe)
}

// A dog is done with more care at the two sittings after one at which it bled.
func TestBloodIsRememberedForTwoSittings(t *testing.T) {
	sat := func(week int, blood bool) record.Sitting {
		return record.Sitting{On: today.AddDays(7*week - 70), Records: []record.NailRecord{
			{Code: nail.MustParse("LF3"), Cuts: []float64{0.5}, Blood: blood},
		}}
	}
	sittings, want := []record.Sitting{}, []bool{false, true, true, false, true}
	for week, blood := range []bool{false, true, false, false, true} {
		sittings = append(sittings, sat(week, blood))
		assert.Equal(t, want[week], FeetAfter(plain(), sittings).Quicked(), "after %d", week)
	}
}
