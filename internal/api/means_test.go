package api

import (
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/measure"
)

// What a number was read with is kept with it, told on a walk-round, in a tally or at the bench.
func TestWhatANumberWasReadWithIsKept(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	read := func() contract.MeasuredLength {
		s := ask[contract.Section](c, "GET", at+"/nails/LF3", "", 200)
		require.NotNil(t, s.Measured)
		return *s.Measured
	}
	assert.Nil(t, ask[contract.Section](c, "GET", at+"/nails/LF3", "", 200).Measured, "nobody read it yet")

	ask[contract.DogView](
		c,
		"POST",
		at+"/checks",
		check(`{"code":"LF3","length_mm":15,"means":{"length":{"by":"eye"}}}`),
		201,
	)
	assert.Equal(t, measure.Eye, read().By)
	assert.InDelta(t, 2*1.645*1.5, read().HighMm-read().LowMm, 0.01)

	tally := func(id, means string) string {
		return `{"id":"` + id + `","records":[{"code":"LF3","cuts_mm":[],"tool":"large_plier","reaction":"calm","blood":false,"length_after_mm":14.5` + means + `}]}`
	}
	id := uuid.NewString()
	ask[contract.DogView](
		c,
		"POST",
		at+"/sittings",
		tally(id, `,"means":{"length_after":{"by":"caliper","sd_mm":0.2}}`),
		201,
	)
	assert.Equal(t, measure.Caliper, read().By)
	assert.InDelta(t, 2*1.645*0.2, read().HighMm-read().LowMm, 0.01)
	ask[contract.DogView](
		c,
		"POST",
		at+"/sittings",
		tally(id, `,"means":{"length_after":{"by":"caliper","sd_mm":0.2}}`),
		201,
	) // the same again
	status, _ := c.do("POST", at+"/sittings", tally(id, ""))
	assert.Equal(t, 409, status, "the same number by other means is another record")

	sat := at + "/sittings/" + uuid.NewString() + "/events"
	ask[contract.Bench](
		c,
		"POST",
		sat,
		told(
			`"kind":"started","tool":"large_plier"`,
			`"kind":"measured","nail":"LF3","measure":"length_before","mm":14,"by":"eye","sd_mm":1`,
		),
		200,
	)
	assert.Equal(t, measure.Eye, read().By)

	for body, want := range map[string]string{
		`"kind":"measured","nail":"LF4","measure":"length_before","mm":14,"by":"feeler"`:       "by must be one of caliper, eye, photo for a length",
		`"kind":"measured","nail":"LF4","measure":"gap_before","mm":1,"by":"feeler","sd_mm":1`: "sd_mm must be left out: a feeler passes or does not",
		`"kind":"landmark","nail":"LF4","landmark":"groove","mm":3,"sd_mm":-1`:                 "sd_mm must be from 0.05 to 5 mm",
		`"kind":"measured","nail":"LF4","measure":"spare_left","mm":2,"by":"guess"`:            "by",
	} {
		status, text := c.do("POST", sat, told(`"id":"x1",`+body))
		assert.Contains(t, []int{400, 422}, status, string(text))
		assert.Contains(t, string(text), want)
	}
	status, text := c.do(
		"POST",
		at+"/checks",
		check(`{"code":"LF3","gap_mm":1,"means":{"gap":{"by":"caliper","sd_mm":9}}}`),
	)
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), `"field":"looks[0].means.gap.sd_mm"`)
}
