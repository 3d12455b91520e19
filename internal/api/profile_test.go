package api

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

// Everything that can be told of a dog comes back as it was told.
func TestAWholeProfileComesBackAsTold(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	told := `{"version":1,"name":" Burr ","birth_date":"2020-02-29","birth_estimated":true,
		"weights":[{"kg":31.5,"on":"2026-11-01"},{"kg":30,"on":"2025-11-01"}],
		"foot_coat":"long","pavement_km_week":12.5,"rhythm":"weekly","working_weekdays":["sat","mon"],"wished_gap_mm":0.76,
		"nails":[{"code":"RH1b","state":"split","colour":"mixed","shape":"hooked"},{"code":"LF3","state":"sound","colour":"light","shape":"straight"}]}`
	changed := ask[contract.Dog](c, "PATCH", "/api/dogs/"+dog.Id.String(), told, 200)
	assert.Equal(t, changed, c.view(dog).Dog)
	assert.Equal(t, 2, changed.Version)
	assert.Equal(t, "Burr", changed.Name)
	assert.Equal(t, "2020-02-29", changed.BirthDate.String())
	assert.True(t, changed.BirthEstimated)
	assert.InDelta(t, 6.74, changed.AgeYears, 0.01)
	assert.Equal(t, 30.0, changed.Weights[0].Kg, "oldest first")
	assert.Equal(t, []string{"mon", "sat"}, changed.WorkingWeekdays.Names())
	assert.Equal(t, "LF3", changed.Nails[0].Code.String(), "as the dog stands")
	assert.Equal(t, "hooked", string(changed.Nails[1].Shape))

	plan := ask[contract.Plan](c, "GET", "/api/dogs/"+dog.Id.String()+"/plan", "", 200)
	require.Len(t, plan.Nails, 2)
	assert.Nil(t, plan.Rank.Bars[1].Gap, "a dewclaw has no floor")
	assert.Equal(t, "large_plier", string(plan.Tool), "over 30 lb (common practice, no source)")
}

// Every number on the screen carries its range and where it came from.
func TestEveryEstimateHasItsRangeAndSource(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	ask[contract.DogView](c, "POST", "/api/dogs/"+dog.Id.String()+"/sittings", c.planned(dog), 201)
	for _, bar := range c.view(dog).Rank.Bars {
		for name, e := range map[string]*contract.Estimate{"length": &bar.Length, "spare": &bar.Spare, "gap": bar.Gap} {
			if e == nil {
				continue
			}
			assert.LessOrEqual(t, e.LowMm, e.Mm, "%s %s", bar.Code, name)
			assert.GreaterOrEqual(t, e.HighMm, e.Mm, "%s %s", bar.Code, name)
			assert.Less(t, e.LowMm, e.HighMm, "%s %s is not certain", bar.Code, name)
			assert.NotEmpty(t, e.Source)
		}
		assert.Positive(t, bar.SdMmWeek)
	}
}
