package api

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/api/contract"
)

// The worked example of docs/model.md, section C, through the contract.
func TestCalcQuick(t *testing.T) {
	c := newClient(t)
	got := ask[contract.QuickResult](
		c,
		"POST",
		"/api/calc/quick",
		`{"length_mm":15,"depth_mm":7,"colour":"dark","prior":null,"landmarks":[{"kind":"groove","spare_mm":3.5}],"steps":[{"removed_mm":1,"face":"white"},{"removed_mm":1,"face":"grey"}],"stop":"full","risk_limit":0.005,"face_scale":null}`,
		200,
	)
	assert.Equal(t, 2.0, got.RemovedMm)
	risks := map[float64]float64{}
	for _, r := range got.Risks {
		risks[r.CutMm] = r.Risk
	}
	assert.InDelta(t, 0.0041, risks[0.5], 5e-5)
	assert.InDelta(t, 0.0396, risks[1], 5e-5)
	assert.Equal(t, contract.QuickAdviceActionCut, got.Advice.Action)
	assert.Equal(t, 0.3, got.Advice.CutMm, "light grey: a thin slice with a tip in reserve would be above the limit")
	assert.LessOrEqual(t, got.Advice.Risk, 0.005)
	assert.Equal(t, got.Advice.CutMm, got.Advice.Plan.CutsMm[0])
	assert.Len(t, got.FaceScale, 5)
}

func TestCalcQuickRefusesByName(t *testing.T) {
	c := newClient(t)
	for field, body := range map[string]string{
		"steps[0].face":         `{"length_mm":15,"depth_mm":7,"colour":"dark","landmarks":[],"steps":[{"removed_mm":1,"face":"blush"}],"stop":"full","risk_limit":0.01}`,
		"steps[1].removed_mm":   `{"length_mm":5,"depth_mm":7,"colour":"dark","landmarks":[],"steps":[{"removed_mm":4,"face":"white"},{"removed_mm":4,"face":"white"}],"stop":"full","risk_limit":0.01}`,
		"landmarks[0].spare_mm": `{"length_mm":15,"depth_mm":7,"colour":"light","landmarks":[{"kind":"seen","spare_mm":16}],"steps":[],"stop":"full","risk_limit":0.01}`,
		"risk_limit":            `{"length_mm":15,"depth_mm":7,"colour":"light","landmarks":[],"steps":[],"stop":"full","risk_limit":1}`,
		"largest_cut_mm":        `{"length_mm":15,"depth_mm":7,"colour":"light","landmarks":[],"steps":[],"stop":"full","risk_limit":0.01,"largest_cut_mm":4}`,
		"face_scale":            `{"length_mm":15,"depth_mm":7,"colour":"light","landmarks":[],"steps":[],"stop":"full","risk_limit":0.01,"face_scale":[1]}`,
		"prior.sd_mm":           `{"length_mm":15,"depth_mm":7,"colour":"light","prior":{"mean_mm":3,"sd_mm":0},"landmarks":[],"steps":[],"stop":"full","risk_limit":0.01}`,
	} {
		p := ask[contract.Problem](c, "POST", "/api/calc/quick", body, 422)
		assert.Equal(t, field, p.Errors[0].Field)
	}
}
