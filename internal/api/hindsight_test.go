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

// What was said before each trim stands beside what was told of it; what nobody told is counted as left out, and of few
// cases nothing is said.
func TestHowRightItWas(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	empty := ask[contract.Hindsight](c, "GET", at+"/hindsight", "", 200)
	assert.Empty(t, empty.Quarters)
	assert.True(t, empty.Cuts.Few)
	c.now = c.now.AddDate(0, 0, -90)
	for k := range 4 {
		arrival := []string{`,"arrival":{"touching":"some"}`, ""}[k%2]
		ask[contract.DogView](c, "POST", at+"/sittings", fmt.Sprintf(`{"id":%q,"records":[
			{"code":"LF3","length_before_mm":12.5,"cuts_mm":[0.5,0.5],"tool":"small_plier","blood":false},
			{"code":"RF3","cuts_mm":[0.5,0.5,0.5],"tool":"small_plier","blood":false}]%s}`, uuid.NewString(), arrival), 201)
		c.now = c.now.AddDate(0, 0, 30)
	}
	got := ask[contract.Hindsight](c, "GET", at+"/hindsight", "", 200)
	assert.Equal(t, 20, got.Cuts.All)
	assert.False(t, got.Cuts.Few)
	assert.Equal(t, 4, got.Lengths.Seen)
	assert.True(t, got.Lengths.Few, "four lengths say nothing")
	assert.Equal(t, 4, got.LeftOut.Trims)
	assert.Equal(t, 2, got.LeftOut.Unlooked)
	trims := 0
	for _, q := range got.Quarters {
		trims += q.Trims
	}
	assert.Equal(t, 4, trims)
	require.NotEmpty(t, got.Cuts.Bins)
	for _, b := range got.Cuts.Bins {
		assert.NotEmpty(t, b.Called)
		assert.LessOrEqual(t, b.Said, b.UpTo)
	}
	var whole contract.WholeHindsight
	require.Eventually(t, func() bool {
		whole = ask[contract.WholeHindsight](c, "GET", "/api/hindsight", "", 200)
		return whole.Said != nil
	}, 10*time.Second, 20*time.Millisecond)
	assert.Equal(t, 1, whole.Dogs)
	assert.Equal(t, got.Cuts, whole.Said.Cuts, "one dog together is that dog")
	assert.Equal(t, got.Quarters, whole.Said.Quarters)
	c.addDog(moss)
	assert.Equal(
		t,
		1,
		ask[contract.WholeHindsight](c, "GET", "/api/hindsight", "", 200).Dogs,
		"kept until it is asked for anew",
	)
	ask[contract.WholeHindsight](c, "GET", "/api/hindsight?anew=true", "", 200)
	require.Eventually(t, func() bool {
		return ask[contract.WholeHindsight](c, "GET", "/api/hindsight", "", 200).Dogs == 2
	}, 10*time.Second, 20*time.Millisecond)
	anew := func() contract.WholeHindsight {
		before := ask[contract.WholeHindsight](c, "GET", "/api/hindsight", "", 200)
		ask[contract.WholeHindsight](c, "GET", "/api/hindsight?anew=true", "", 200)
		require.Eventually(t, func() bool {
			whole = ask[contract.WholeHindsight](c, "GET", "/api/hindsight", "", 200)
			return whole.Progress == nil && !whole.At.Equal(*before.At)
		}, 10*time.Second, 20*time.Millisecond)
		return whole
	}
	c.now = c.now.Add(time.Minute)
	told := *anew().Said
	c.now = c.now.Add(time.Minute)
	assert.Equal(t, told, *anew().Said, "what is kept of each dog comes to the same")
	ask[contract.DogView](
		c,
		"POST",
		at+"/sittings",
		fmt.Sprintf(
			`{"id":%q,"records":[{"code":"LF3","cuts_mm":[0.5],"tool":"small_plier","blood":false}]}`,
			uuid.NewString(),
		),
		201,
	)
	c.now = c.now.Add(time.Minute)
	assert.Equal(t, told.Cuts.All+1, anew().Said.Cuts.All, "and what was told since is added")
	status, _ := c.do("GET", "/api/dogs/"+uuid.NewString()+"/hindsight", "")
	assert.Equal(t, 404, status)
	assert.Empty(t, got.Trends, "eight nails are few")
	assert.NotEmpty(t, got.Teaches, "what one press more would bring")
	owner := uuid.NewString()
	at = "/api/owners/" + owner
	ask[contract.OwnerView](c, "PUT", at, `{"name":"Ada Reed","reach":"hand"}`, 200)
	assert.Empty(t, ask[contract.Hindsight](c, "GET", at+"/hindsight", "", 200).Quarters, "no dog yet")
	status, text := c.do("PUT", "/api/dogs/"+d.Id.String()+"/owner", fmt.Sprintf(`{"owner_id":%q}`, owner))
	require.Less(t, status, 300, string(text))
	theirs := ask[contract.Hindsight](c, "GET", at+"/hindsight", "", 200)
	assert.Equal(t, "Ada Reed", theirs.Name)
	assert.Equal(
		t,
		ask[contract.Hindsight](c, "GET", "/api/dogs/"+d.Id.String()+"/hindsight", "", 200).Quarters,
		theirs.Quarters,
	)
}
