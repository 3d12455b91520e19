package api

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"

	"fribbet/internal/api/contract"
)

// Each refusal names the field, and nothing is written.
func TestBadInputIsRefusedByName(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	at := "/api/dogs/" + dog.Id.String()
	sit := func(record string) string {
		return fmt.Sprintf(
			`{"id":"%s","records":[{"code":"LF3","cuts_mm":[1],"tool":"file","reaction":"calm","blood":false%s}]}`,
			uuid.New(),
			record,
		)
	}
	for _, bad := range []struct{ name, method, path, body, field string }{
		{"weight 0", "POST", "/api/dogs", `{"name":"A","age_years":4,"weights":[{"kg":0}]}`, "weights[0].kg"},
		{"weight 500", "POST", "/api/dogs", `{"name":"A","age_years":4,"weights":[{"kg":500}]}`, "weights[0].kg"},
		{"no name", "POST", "/api/dogs", `{"age_years":4,"weights":[{"kg":22}]}`, "name"},
		{"no age", "POST", "/api/dogs", `{"name":"A","weights":[{"kg":22}]}`, "birth_date"},
		{"birth in the future", "POST", "/api/dogs", `{"name":"A","birth_date":"2027-01-01","weights":[{"kg":22}]}`, "birth_date"},
		{"no such day", "POST", "/api/dogs", `{"name":"A","birth_date":"2025-02-30","weights":[{"kg":22}]}`, "birth_date"},
		{"wrong type", "POST", "/api/dogs", `{"name":7,"age_years":4,"weights":[{"kg":22}]}`, "name"},
		{"unknown field", "POST", "/api/dogs", `{"name":"A","age_years":4,"weights":[{"kg":22,"stone":3}]}`, "weights[0].stone"},
		{"not JSON", "POST", "/api/dogs", `name=A`, "body"},
		{"nothing", "POST", "/api/dogs", ``, "body"},
		{"a version beyond counting", "PATCH", at, `{"version":1e300}`, "version"},
		{"no version", "PATCH", at, `{"name":"B"}`, "version"},
		{"weighed before birth", "PATCH", at, `{"version":1,"weights":[{"kg":22,"on":"2001-01-01"}]}`, "weights[0].on"},
		{"no weights", "PATCH", at, `{"version":1,"weights":[]}`, "weights"},
		{"no nails at all", "PATCH", at, `{"version":1,"nails":[]}`, "nails"},
		{"unknown rhythm", "PATCH", at, `{"version":1,"rhythm":"yearly"}`, "rhythm"},
		{"no working day", "PATCH", at, `{"version":1,"working_weekdays":[]}`, "working_weekdays"},
		{"the same nail twice", "PATCH", at, `{"version":1,"nails":[{"code":"LF3","state":"sound","colour":"dark","shape":"usual"},{"code":"LF3","state":"sound","colour":"dark","shape":"usual"}]}`, "nails[1].code"},
		{"a nail it does not have", "POST", at + "/sittings", strings.Replace(sit(""), "LF3", "LH1", 1), "records[0].code"},
		{"a nail no dog has", "POST", at + "/sittings", strings.Replace(sit(""), "LF3", "LF9", 1), "records[0].code"},
		{"longer after than before", "POST", at + "/sittings", sit(`,"length_before_mm":12,"length_after_mm":13`), "records[0].length_after_mm"},
		{"gap below 0", "POST", at + "/sittings", sit(`,"gap_after_mm":-1`), "records[0].gap_after_mm"},
		{"trim in the future", "POST", at + "/sittings", strings.Replace(sit(""), `"records"`, `"on":"2026-11-25","records"`, 1), "on"},
		{"trim before birth", "POST", at + "/sittings", strings.Replace(sit(""), `"records"`, `"on":"2001-11-25","records"`, 1), "on"},
		{"trim without an id", "POST", at + "/sittings", `{"records":[]}`, "id"},
		{"an id that is none", "GET", "/api/dogs/moss", ``, "dog_id"},
		{"margin too wide", "PUT", "/api/settings", `{"role":"keeper","length_unit":"mm","weight_unit":"kg","margin_mm":50,"working_weekdays":["mon"]}`, "margin_mm"},
		{"unknown unit", "PUT", "/api/settings", `{"role":"keeper","length_unit":"cubit","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon"]}`, "length_unit"},
		{"depth beyond the radius", "POST", "/api/calc/profile", `{"length_mm":14,"base_angle_deg":22,"radius_mm":6,"depth_mm":7,"taper":0.7,"gap_mm":0,"wished_gap_mm":0}`, "depth_mm"},
		{"no nails", "POST", "/api/calc/due", `{"last_sitting":"2026-11-24","rhythm":"weekly","working_weekdays":["mon"],"weight_kg":20,"nails":[]}`, "nails"},
		{"ten megabytes", "POST", "/api/dogs", `{"name":"` + strings.Repeat("A", 10<<20) + `"}`, "body"},
	} {
		t.Run(bad.name, func(t *testing.T) {
			before := c.view(dog)
			dogs := len(ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs)
			status, text := c.do(bad.method, bad.path, bad.body)
			assert.GreaterOrEqual(t, status, 400, string(text))
			assert.Less(t, status, 500, string(text))
			problem := contract.Problem{}
			assert.NoError(t, json.Unmarshal(text, &problem))
			if assert.NotEmpty(t, problem.Errors, string(text)) {
				assert.Equal(t, bad.field, problem.Errors[0].Field, string(text))
				assert.NotEmpty(t, problem.Errors[0].Expected)
			}
			assert.Equal(t, before, c.view(dog))
			assert.Len(t, ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs, dogs)
		})
	}
}

func TestADogThatIsNotThere(t *testing.T) {
	c := newClient(t)
	for _, path := range []string{"", "/plan"} {
		status, text := c.do("GET", "/api/dogs/"+uuid.NewString()+path, "")
		assert.Equal(t, 404, status, string(text))
	}
}

// Refusals are in words: no regular expressions, no Go values, and at most the beginning of what was given.
func TestRefusalsAreInWords(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	at := "/api/dogs/" + dog.Id.String()
	for _, bad := range []struct{ method, path, body, field, want string }{
		{"GET", "/api/due?limit=many", "", "limit", "a whole number"},
		{"GET", at + "/nails/LF9", "", "code", "must be one of LF5, LF4"},
		{"GET", at + "/nails/LF3?margin_mm=wide", "", "margin_mm", "must be a number"},
		{"GET", at + "/nails/LF3?slivers_mm=x", "", "slivers_mm", "must be numbers"},
		{"POST", "/api/dogs", moss + " and so on", "body", "nothing after it"},
		{"POST", "/api/dogs", `{"name":{"a":[]},"age_years":4,"weights":[{"kg":22}]}`, "name", "must be of type string"},
		{"POST", at + "/checks", check(`{"code":"LF9","gap_mm":1}`), "looks[0].code", "must be one of LF5, LF4"},
		{"POST", "/api/dogs", `{"name":"` + strings.Repeat("A", 200000) + `","age_years":4,"weights":[{"kg":22}]}`, "name", "letters"},
		{"POST", "/api/calc/cuts", `{"length_mm":-1e308,"base_angle_deg":22,"radius_mm":26,"depth_mm":7,"taper":0.7,"gap_mm":0,"quick_mm":10,"margin_mm":1,"sliver_mm":1}`, "length_mm", "must be from"},
	} {
		status, text := c.do(bad.method, bad.path, bad.body)
		assert.Contains(t, []int{400, 422}, status, string(text))
		p := contract.Problem{}
		assert.NoError(t, json.Unmarshal(text, &p), string(text))
		if assert.NotEmpty(t, p.Errors, "%s %s: %s", bad.method, bad.path, text) {
			assert.Equal(t, bad.field, p.Errors[0].Field, string(text))
			assert.Contains(t, p.Errors[0].Expected, bad.want)
		}
		assert.Less(t, len(text), 2000, "what was given is not said back")
		for _, strange := range []string{"map[", "^[", "to -1e", "got nil"} {
			assert.NotContains(t, string(text), strange)
		}
	}
}

// What nobody can see does not get into a name, a note or the calendar; joiners stay where a script needs them.
func TestWhatNobodySeesIsTakenOut(t *testing.T) {
	c := newClient(t)
	for given, kept := range map[string]string{
		"Mo\\u0000ss":           "Moss",
		"Mo\\u200bss\\u202egro": "Mossgro",
		"\\ufeff Moss\\u2066 ":  "Moss",
		"Line\\nbreak":          "Line break",
		"Zoe\\u0308":            "Zoë",
		"می\\u200cخواهم":        "می\u200cخواهم",
		"M\\u200doss":           "Moss",
	} {
		d := ask[contract.Dog](
			c,
			"POST",
			"/api/dogs",
			strings.Replace(moss, "Moss", strings.ReplaceAll(given, "\\\\", "\\"), 1),
			201,
		)
		assert.Equal(t, kept, d.Name)
	}
}
