package api

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/api/contract"
)

// The worked example of docs/model.md, through the contract.
func TestAllThatIsToldOfTheNails(t *testing.T) {
	c := newClient(t)
	got := ask[contract.NailsResult](
		c,
		"POST",
		"/api/calc/nails",
		`{"weight_kg":22,"age_weeks":200,"pavement_km_week":5,"first_on":"2026-01-05","last_done_weeks":null,
		"nails":[{"code":"LF3","colour":"dark","shape":"usual"},{"code":"LF1","colour":"dark","shape":"usual"},{"code":"RH3","colour":"light","shape":"usual"}],
		"events":[{"on":"2026-01-05","kind":"look","nail":"LF3","feeler":"touches"},{"on":"2026-01-05","kind":"look","nail":"RH3","feeler":"paper"},
			{"on":"2026-01-05","kind":"look","nail":"LF1","length_mm":19.4},{"on":"2026-01-05","kind":"trim","nail":"LF1","cuts":[{"mm":1}]}],"at":"2026-01-05"}`,
		200,
	)
	assert.InDelta(t, -1.05, got.Nails[0].GrowthToFloor.Mean, 0.006)
	assert.InDelta(t, 17.75, got.Nails[1].Length.Mean, 0.006)
	assert.InDelta(t, 0.55, got.Nails[1].Length.Sd, 0.006)
	assert.Nil(t, got.Nails[1].GrowthToFloor, "a dewclaw")
	assert.Len(t, got.FaceScale, 5)

	refused := ask[contract.Problem](
		c,
		"POST",
		"/api/calc/nails",
		`{"weight_kg":22,"age_weeks":200,"pavement_km_week":5,"first_on":"2026-01-05",
		"nails":[{"code":"LF3","colour":"dark","shape":"usual"}],"at":"2026-01-12",
		"events":[{"on":"2026-01-04","kind":"look","nail":"LF3"},{"on":"2026-01-05","kind":"look","nail":"RF3","length_mm":900},{"on":"2026-01-05","kind":"trim","nail":"LF3","blood":true}]}`,
		422,
	)
	var fields []string
	for _, e := range refused.Errors {
		fields = append(fields, e.Field)
	}
	assert.Equal(t, []string{"events[0].on", "events[1].length_mm", "events[1].nail", "events[2].cuts"}, fields)
}

// A gamma prior has no long tail towards the quick.
func TestAPriorMayBeAGamma(t *testing.T) {
	c := newClient(t)
	risk := func(shape string) float64 {
		got := ask[contract.QuickResult](
			c,
			"POST",
			"/api/calc/quick",
			`{"length_mm":14,"depth_mm":7,"colour":"dark","prior":{"mean_mm":3,"sd_mm":1.2`+shape+`},"landmarks":[],"steps":[],"stop":"full","risk_limit":0.005}`,
			200,
		)
		return got.Risks[0].Risk
	}
	assert.Equal(t, risk(""), risk(`,"shape":"normal"`))
	assert.Less(t, risk(`,"shape":"gamma"`), risk("")/10)
}
