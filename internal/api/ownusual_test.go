package api

import (
	"fmt"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

// A book of enough trims is offered what its own record says is usual; used, it moves what is believed of a dog of that
// size, and taken back it is as it was.
func TestABookMayLetItsOwnRecordSayWhatIsUsual(t *testing.T) {
	c := newClient(t)
	refused, text := c.do("PUT", "/api/hindsight/own", `{"kind":"growth","class_under_kg":30,"use":true}`)
	assert.Equal(t, 422, refused)
	assert.Contains(t, string(text), "kind")
	c.now = c.now.AddDate(0, 0, -7*44)
	var dogs []contract.Dog
	for range 3 {
		dogs = append(dogs, c.addDog(moss))
	}
	for range 11 { // every four weeks, nails that grow 8 mm meanwhile
		for _, d := range dogs {
			ask[contract.DogView](c, "POST", "/api/dogs/"+d.Id.String()+"/sittings", fmt.Sprintf(`{"id":%q,"records":[
				{"code":"LF3","length_before_mm":20,"length_after_mm":12,"cuts_mm":[2,2,2,2],"sure":true,"tool":"small_plier","blood":false},
				{"code":"RF3","length_before_mm":20,"length_after_mm":12,"cuts_mm":[2,2,2,2],"sure":true,"tool":"small_plier","blood":false}]}`, uuid.NewString()), 201)
		}
		c.now = c.now.AddDate(0, 0, 28)
	}
	fresh := c.addDog(moss)
	rate := func() float64 { return c.view(fresh).Growth.Gross.MmWeek }
	before := rate()
	var growth *contract.OwnUsual
	require.Eventually(t, func() bool {
		for _, o := range ask[contract.WholeHindsight](c, "GET", "/api/hindsight?anew=true", "", 200).Own {
			if o.Kind == "growth" {
				growth = &o
			}
		}
		return growth != nil
	}, 20*time.Second, 50*time.Millisecond)
	assert.Equal(t, 33, growth.Sittings)
	assert.Equal(t, []float64{15, 30}, []float64{growth.ClassFromKg, growth.ClassUnderKg})
	assert.False(t, growth.Used)
	assert.Greater(t, growth.After, growth.Before)
	use := func(is bool) {
		status, text := c.do(
			"PUT",
			"/api/hindsight/own",
			fmt.Sprintf(`{"kind":"growth","class_under_kg":%g,"use":%t}`, growth.ClassUnderKg, is),
		)
		require.Equal(t, 204, status, string(text))
	}
	use(true)
	assert.Greater(t, rate(), before+0.05, "what is usual is usual of a dog of which nothing is known")
	for _, o := range ask[contract.WholeHindsight](c, "GET", "/api/hindsight", "", 200).Own {
		assert.Equal(t, o.Kind == "growth", o.Used)
	}
	ask[contract.DueList](c, "GET", "/api/due", "", 200)
	use(false)
	assert.InDelta(t, before, rate(), 1e-9, "taken back in one press")
}
