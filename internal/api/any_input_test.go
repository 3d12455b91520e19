package api

import (
	"encoding/json"
	"maps"
	"slices"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Whatever stands in a field, the program answers, and what is refused is refused by name.
func TestNoInputBreaksTheProgram(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	at := "/api/dogs/" + dog.Id.String()
	item, climb := uuid.NewString(), uuid.NewString()
	c.do("POST", "/api/kit", `{"id":"`+item+`","kind":"grinder"}`)
	c.do("POST", at+"/ladders", `{"id":"`+climb+`","kind":"grinder"}`)
	valid := []struct{ method, path, body string }{
		{
			"POST",
			"/api/dogs",
			`{"name":"A","birth_date":"2022-01-01","weights":[{"kg":22,"on":"2026-01-01"}],"pavement_km_week":5,"wished_gap_mm":0,"rhythm":"weekly","working_weekdays":["mon"],"handling":{"order":"own","own_order":["LF","RF","LH","RH"],"position":"lap","helper":"needed","muzzle":true,"sore":false,"noise":"fine","most_nails":4,"most_minutes":9},"nails":[{"code":"LF3","state":"sound","colour":"dark","shape":"usual"}]}`,
		},
		{"PATCH", at, `{"version":1,"name":"B","age_years":3}`},
		{
			"POST",
			at + "/sittings",
			`{"id":"` + uuid.NewString() + `","on":"2026-11-01","note":"n","minutes":9,"calm_minutes":4,"helper":true,"ticks":["styptic"],"records":[{"code":"LF3","item_id":"` + item + `","took_force":true,"cuts_mm":[1,0.5],"tool":"file","reaction":"calm","blood":true,"length_before_mm":14,"length_after_mm":12,"gap_before_mm":0,"gap_after_mm":1,"spare_left_mm":1}]}`,
		},
		{
			"POST",
			at + "/sittings/" + uuid.NewString() + "/events",
			`{"events":[{"id":"a","at":"2026-11-24T09:00:00Z","kind":"started","tool":"file","item_id":"` + item + `","helper":true,"ticks":["x"]},{"id":"b","at":"2026-11-24T09:01:00Z","kind":"cut","nail":"LF3","mm":1},{"id":"c","at":"2026-11-24T09:02:00Z","kind":"face","nail":"LF3","of":"b","face":"white"},{"id":"d","at":"2026-11-24T09:03:00Z","kind":"ended","minutes":3,"calm_minutes":1,"note":"n","measure":"gap_after","landmark":"hook","reaction":"calm"}]}`,
		},
		{
			"POST",
			at + "/checks",
			`{"id":"` + uuid.NewString() + `","on":"2026-11-01","clicks":true,"hair":false,"swelling":false,"limping":false,"breaking":false,"looks":[{"code":"LF3","gap_mm":1,"length_mm":12,"past_pad":true,"colour":"dark","shape":"curled","state":"sound"}]}`,
		},
		{
			"POST",
			"/api/calc/cuts",
			`{"length_mm":14,"base_angle_deg":22,"radius_mm":26,"depth_mm":7,"taper":0.7,"gap_mm":0,"quick_mm":10,"margin_mm":1,"sliver_mm":1}`,
		},
		{
			"POST",
			"/api/kit",
			`{"id":"` + uuid.NewString() + `","kind":"grinder_band","name":"n","grit":60,"tip":"flat","on_item_id":"` + item + `","limit":60}`,
		},
		{
			"PUT",
			"/api/kit/" + item,
			`{"version":1,"kind":"styptic_powder","name":"jar","expires":"2027-01-01","stock":"low"}`,
		},
		{"POST", at + "/ladders", `{"id":"` + uuid.NewString() + `","kind":"clipper","paw":"LH"}`},
		{
			"POST",
			at + "/ladders/" + climb + "/tries",
			`{"id":"` + uuid.NewString() + `","on":"2026-11-24","reaction":"calm","paw":"LF","note":"n"}`,
		},
		{
			"PUT",
			"/api/settings",
			`{"role":"keeper","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon"]}`,
		},
		{
			"POST",
			"/api/calc/quick",
			`{"length_mm":15,"depth_mm":7,"colour":"dark","prior":{"mean_mm":3,"sd_mm":1},"landmarks":[{"kind":"groove","spare_mm":3.5}],"steps":[{"removed_mm":1,"face":"white"},{"removed_mm":0.5,"face":"dark_centre"}],"stop":"full","risk_limit":0.01,"face_scale":[0.1,0.2,0.4,0.2,0.1]}`,
		},
		{
			"POST",
			"/api/calc/profile",
			`{"length_mm":14,"base_angle_deg":22,"radius_mm":26,"depth_mm":7,"taper":0.7,"gap_mm":0,"wished_gap_mm":0}`,
		},
		{
			"POST",
			"/api/calc/due",
			`{"last_sitting":"2026-11-24","rhythm":"weekly","working_weekdays":["mon"],"weight_kg":20,"nails":[{"code":"LF3","length_mm":14,"base_angle_deg":22,"radius_mm":26,"depth_mm":7,"taper":0.7,"gap_mm":1,"wished_gap_mm":0,"net_mm_week":0.8,"sd_mm_week":0.2,"spare_mm":1}]}`,
		},
	}
	rapid.Check(t, func(rt *rapid.T) {
		one := rapid.SampledFrom(valid).Draw(rt, "request")
		var body any
		require.NoError(t, json.Unmarshal([]byte(one.body), &body))
		text, err := json.Marshal(spoil(rt, body))
		require.NoError(t, err)
		status, answer := c.do(one.method, one.path, string(text))
		if status >= 500 {
			rt.Fatalf("%s %s %s: %d %s", one.method, one.path, text, status, answer)
		}
		if status == 400 || status == 422 {
			var p struct {
				Errors []struct{ Field, Expected string }
			}
			if json.Unmarshal(answer, &p) != nil || len(p.Errors) == 0 || p.Errors[0].Field == "" ||
				p.Errors[0].Expected == "" {
				rt.Fatalf("refused without a name: %s", answer)
			}
		}
	})

}

// spoil puts something strange in one place of a JSON value.
func spoil(t *rapid.T, value any) any {
	strange := []any{
		nil,
		true,
		"",
		"x",
		"2026-02-31",
		"9999-12-31",
		"0001-01-01",
		-1.0,
		0.0,
		1e300,
		-1e-300,
		5e-324,
		[]any{},
		map[string]any{},
		[]any{nil},
	}
	switch v := value.(type) {
	case map[string]any:
		if key := rapid.SampledFrom(append(slices.Sorted(maps.Keys(v)), "unknown")).
			Draw(t, "key"); rapid.IntRange(0, 3).Draw(t, "deeper") > 0 &&
			v[key] != nil {
			v[key] = spoil(t, v[key])
		} else {
			v[key] = rapid.SampledFrom(strange).Draw(t, "strange")
		}
		return v
	case []any:
		if len(v) > 0 && rapid.Bool().Draw(t, "inside") {
			v[0] = spoil(t, v[0])
			return v
		}
	}
	return rapid.SampledFrom(strange).Draw(t, "strange")
}
