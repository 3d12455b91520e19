package api

import (
	"fmt"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/sitting"
)

func (c *client) addPiece(fields string) contract.KitItem {
	c.t.Helper()
	c.now = c.now.Add(time.Second)
	items := ask[contract.Kit](c, "POST", "/api/kit", fmt.Sprintf(`{"id":%q,%s}`, uuid.NewString(), fields), 200).Items
	return items[len(items)-1]
}

// Cuts and minutes are counted from the sittings, and what is due stands on the plan too.
func TestTheKitWearsWithTheSittings(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	cutter := c.addPiece(`"kind":"large_plier","name":"black","limit":3`)
	c.addPiece(`"kind":"styptic_powder","stock":"empty"`)
	assert.Equal(t, kit.Fine, cutter.Level)

	plan := ask[contract.Plan](c, "GET", at+"/plan", "", 200)
	assert.Equal(t, cutter.Id, *plan.Days[0].Stops[0].ItemId)
	assert.Equal(t, "styptic powder: empty: refill it", plan.Checklist[0].Trouble)
	assert.Equal(t, []contract.SeeTo{{Kind: kit.Styptic, Words: "empty: refill it"}}, plan.SeeTo)
	sat := fmt.Sprintf(
		`{"id":%q,"records":[{"code":"LF3","cuts_mm":[1,1],"tool":"large_plier","item_id":%q,"reaction":"calm","blood":false},
		{"code":"LF4","cuts_mm":[1],"tool":"large_plier","item_id":%q,"reaction":"calm","blood":false}]}`,
		uuid.NewString(),
		cutter.Id,
		cutter.Id,
	)
	c.now = c.now.Add(time.Minute)
	ask[contract.DogView](c, "POST", at+"/sittings", sat, 201)
	worn := ask[contract.Kit](c, "GET", "/api/kit", "", 200)
	assert.Equal(t, 3.0, worn.Items[0].Used)
	assert.Equal(t, kit.Overdue, worn.Items[0].Level)
	assert.Equal(t, 2, worn.Due, "the cutter and the jar")
	advice := ask[contract.Advice](c, "GET", at+"/nails/RF3/advice?purpose=length", "", 200)
	assert.NotEqual(t, kit.LargePlier, advice.Options[0].Tool, "a blade that is due is ruled out")

	c.now = c.now.Add(time.Minute)
	one := "/api/kit/" + cutter.Id.String()
	assert.Zero(t, ask[contract.Kit](c, "POST", one+"/services", "", 200).Items[0].Used)
	assert.Equal(t, 3.0, ask[contract.Kit](c, "DELETE", one+"/services", "", 200).Items[0].Used, "deleted")
	changed := ask[contract.Kit](c, "PUT", one, `{"version":1,"kind":"large_plier","guard":true}`, 200).Items[0]
	assert.True(t, changed.Guard)
	assert.False(t, changed.Told, "the usual limit again")
	ask[contract.Problem](c, "PUT", one, `{"version":1,"kind":"large_plier"}`, 409)
	assert.Len(t, ask[contract.Kit](c, "DELETE", one, "", 200).Items, 1)
}

func TestKitThatCannotBeIsRefusedByName(t *testing.T) {
	c := newClient(t)
	for field, body := range map[string]string{
		"grit":       `{"id":"` + uuid.NewString() + `","kind":"file","grit":75}`,
		"guard":      `{"id":"` + uuid.NewString() + `","kind":"muzzle","guard":true}`,
		"on_item_id": `{"id":"` + uuid.NewString() + `","kind":"grinder_band","on_item_id":"` + uuid.NewString() + `"}`,
		"id":         `{"kind":"file"}`,
	} {
		p := ask[contract.Problem](c, "POST", "/api/kit", body, 422)
		assert.Equal(t, field, p.Errors[0].Field)
	}
	d := c.addDog(moss)
	p := ask[contract.Problem](c, "POST", "/api/dogs/"+d.Id.String()+"/sittings", fmt.Sprintf(
		`{"id":%q,"records":[{"code":"LF3","cuts_mm":[1],"tool":"file","item_id":%q,"reaction":"calm","blood":false}]}`,
		uuid.NewString(),
		uuid.NewString(),
	), 422)
	assert.Equal(t, "records[0].item_id", p.Errors[0].Field)
	assert.Empty(t, ask[contract.Kit](c, "GET", "/api/kit", "", 200).Items, "nothing was written")
}

func TestAPlanFollowsHowTheDogIsHeld(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	ask[contract.Dog](
		c,
		"PATCH",
		at,
		`{"version":1,"handling":{"order":"own","own_order":["RF","LF","RH","LH"],"position":"on_side","helper":"needed","muzzle":true,"sore":true,"noise":"afraid","most_nails":5}}`,
		200,
	)
	alone := ask[contract.Plan](c, "GET", at+"/plan", "", 200)
	assert.Contains(t, alone.Blocked, "not done without a helper")
	assert.Empty(t, alone.Days)
	plan := ask[contract.Plan](c, "GET", at+"/plan?helper=true", "", 200)
	require.NotEmpty(t, plan.Days)
	assert.Len(t, plan.Days[0].Stops, 5)
	assert.Equal(t, nail.RF, plan.Holds[0].Paw)
	assert.Equal(t, dog.OnSide, plan.Holds[0].Position)
	assert.Equal(t, dog.Handle, plan.Cautions[0].Kind)
	assert.Len(t, plan.ToolCautions, len(kit.Tools()))
	p := ask[contract.Problem](
		c,
		"PATCH",
		at,
		`{"version":2,"handling":{"order":"own","own_order":["RF"],"position":"lap","helper":"alone","muzzle":false,"sore":false,"noise":"fine"}}`,
		422,
	)
	assert.Equal(t, "handling.own_order", p.Errors[0].Field)
}

// A dog on the ladder gets its steps on Due, not trims; one paw on a ladder leaves the other three.
func TestALadderStandsOnDue(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	id := uuid.NewString()
	begun := ask[contract.DogLadders](c, "POST", at+"/ladders", fmt.Sprintf(`{"id":%q,"kind":"clipper"}`, id), 200)
	require.Len(t, begun.Ladders, 1)
	p := ask[contract.Problem](
		c,
		"POST",
		at+"/ladders",
		fmt.Sprintf(`{"id":%q,"kind":"clipper"}`, uuid.NewString()),
		422,
	)
	assert.Equal(t, "kind", p.Errors[0].Field, "one at a time")
	row := ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0]
	assert.Equal(t, contract.DueRowTaskLadder, row.Task)
	assert.Equal(t, 0, *row.DueInDays)

	tries := at + "/ladders/" + id + "/tries"
	var last string
	var now contract.DogLadders
	for range 3 {
		last = uuid.NewString()
		now = ask[contract.DogLadders](c, "POST", tries, fmt.Sprintf(`{"id":%q,"reaction":"calm"}`, last), 200)
	}
	assert.Equal(t, 1, now.Ladders[0].Step)
	assert.Equal(t, ladder.Up, now.Ladders[0].Journal[0].Move)
	assert.Equal(t, 1, *ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0].DueInDays, "enough for today")
	assert.Equal(t, 0, ask[contract.DogLadders](c, "DELETE", tries+"/"+last, "", 200).Ladders[0].Step, "deleted")
	ask[contract.Problem](
		c,
		"POST",
		tries,
		fmt.Sprintf(`{"id":%q,"reaction":"calm","on":"2026-11-25"}`, uuid.NewString()),
		422,
	)
	assert.Len(t, ask[contract.LadderList](c, "GET", "/api/ladders", "", 200).Ladders, 1)
	for _, left := range ask[contract.Plan](c, "GET", at+"/plan", "", 200).Left {
		assert.Contains(t, []sitting.Whose{sitting.Trainer, sitting.Professional}, left.Whose)
	}

	assert.Empty(t, ask[contract.DogLadders](c, "DELETE", at+"/ladders/"+id, "", 200).Ladders)
	ask[contract.DogLadders](
		c,
		"POST",
		at+"/ladders",
		fmt.Sprintf(`{"id":%q,"kind":"clipper","paw":"LH"}`, uuid.NewString()),
		200,
	)
	assert.Equal(t, contract.DueRowTaskTrim, ask[contract.DueList](c, "GET", "/api/due", "", 200).Dogs[0].Task)
	view := ask[contract.DogView](c, "GET", at, "", 200)
	assert.Equal(t, []nail.Paw{nail.LH}, view.TrainingPaws)
	planned := 0
	for _, day := range ask[contract.Plan](c, "GET", at+"/plan", "", 200).Days {
		assert.LessOrEqual(t, len(day.Stops), 4, "a new hand and a new dog: a few nails a day")
		planned += len(day.Stops)
	}
	assert.Equal(t, 14, planned)
}
