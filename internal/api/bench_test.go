package api

import (
	"fmt"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/bench"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
)

// told is events as JSON; each is its kind and what else it needs.
func told(events ...string) string {
	for i, e := range events {
		id := fmt.Sprintf(`"id":"e%d",`, i)
		if strings.Contains(e, `"id"`) {
			id = ""
		}
		events[i] = fmt.Sprintf(`{%s"at":"2026-11-24T09:%02d:00Z",%s}`, id, i, e)
	}
	return `{"events":[` + strings.Join(events, ",") + `]}`
}

func TestASittingAtTheBench(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	at := "/api/dogs/" + d.Id.String()
	sat := at + "/sittings/" + uuid.NewString()
	begun := told(
		`"kind":"started","tool":"large_plier","ticks":["styptic"]`,
		`"kind":"landmark","nail":"LH3","landmark":"groove","mm":3.5`,
	)
	b := ask[contract.Bench](c, "POST", sat+"/events", begun, 200)
	assert.Equal(t, 2, b.Events)
	find := func(b contract.Bench, code string) contract.BenchNail {
		for _, n := range b.Nails {
			if n.Code.String() == code {
				return n
			}
		}
		require.Fail(t, "no nail "+code)
		return contract.BenchNail{}
	}
	first := find(b, "LH3")
	assert.Equal(t, contract.BenchAdviceActionSliver, first.Advice.Action)
	assert.LessOrEqual(t, first.Advice.Risk, b.RiskLimit)
	assert.Contains(t, find(b, "RF3").Advice.Because, "the tip", "the first nail is no refusal")
	assert.Equal(
		t,
		[]float64{60, 240, 3},
		[]float64{b.HoldSeconds, b.StopsSeconds, b.CoolingSeconds},
		"a minute, four minutes (common practice, no source)",
	)
	assert.Contains(t, b.Remedy, "styptic", "whatever was laid out")

	more := told(
		`"kind":"note","id":"x0"`,
		`"kind":"cut","id":"c1","nail":"LH3","mm":1`,
		`"kind":"face","id":"f1","nail":"LH3","of":"c1","face":"dot"`,
	)
	b = ask[contract.Bench](c, "POST", sat+"/events", more, 200)
	after := find(b, "LH3")
	assert.Equal(t, contract.BenchAdviceActionStop, after.Advice.Action)
	assert.True(t, after.Advice.Eye)
	assert.Equal(t, bench.Showed, b.Last.Kind)
	assert.Equal(t, 5, ask[contract.Bench](c, "POST", sat+"/events", more, 200).Events, "told twice")

	view := ask[contract.DogView](c, "GET", at, "", 200)
	require.NotNil(t, view.OpenSitting)
	assert.Equal(t, 1, view.Sittings[0].Nails, "every tap is in the lists at once")
	ended := ask[contract.Bench](c, "POST", sat+"/events", told(`"kind":"ended","id":"end"`), 200)
	assert.True(t, ended.Ended)
	assert.Empty(t, ended.Praise, "nobody said how it took it")
	assert.Equal(
		t,
		ended.Nails,
		ask[contract.Bench](c, "GET", sat+"/bench", "", 200).Nails,
		"read again it is the same",
	)
	assert.Equal(
		t,
		ended.Nails,
		ask[contract.Bench](c, "POST", sat+"/events", told(`"kind":"ended","id":"end"`), 200).Nails,
		"and told again",
	)
	view = ask[contract.DogView](c, "GET", at, "", 200)
	assert.Nil(t, view.OpenSitting)
	length := func(r contract.Rank) float64 {
		for _, bar := range r.Bars {
			if bar.Code.String() == "LH3" {
				return bar.Length.Mm
			}
		}
		return 0
	}
	assert.Nil(t, ended.RankBefore, "a tap's answer is small")
	whole := ask[contract.Bench](c, "GET", sat+"/bench", "", 200)
	assert.InDelta(
		t,
		1,
		length(*whole.RankBefore)-length(*whole.RankAfter),
		0.6,
		"one thin slice shorter, and what its dot says of the rest",
	)
}

// One event that cannot have happened is refused by its place, and then none of the batch is kept.
func TestAnImpossibleEventIsRefusedByItsPlace(t *testing.T) {
	c := newClient(t)
	at := "/api/dogs/" + c.addDog(moss).Id.String()
	sat := at + "/sittings/" + uuid.NewString()
	p := ask[contract.Problem](
		c,
		"POST",
		sat+"/events",
		told(`"kind":"started","tool":"file"`, `"kind":"cut","nail":"LH1","mm":1`),
		422,
	)
	assert.Equal(t, "events[1]", p.Errors[0].Field)
	assert.Contains(t, p.Errors[0].Expected, "does not have the nail LH1")
	ask[contract.Problem](c, "GET", sat+"/bench", "", 404)
	p = ask[contract.Problem](
		c,
		"POST",
		sat+"/events",
		told(`"kind":"started","tool":"file","item_id":"`+uuid.NewString()+`"`),
		422,
	)
	assert.Equal(t, "events[0].item_id", p.Errors[0].Field)
}

// A dog that bled at one of its last two sittings is done with more care, whoever does it.
func TestBloodTightensTheTolerance(t *testing.T) {
	c := newClient(t)
	ask[contract.Settings](
		c,
		"PUT",
		"/api/settings",
		`{"role":"groomer","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon"]}`,
		200,
	)
	at := "/api/dogs/" + c.addDog(moss).Id.String()
	limit := func() float64 {
		return ask[contract.Bench](
			c,
			"POST",
			at+"/sittings/"+uuid.NewString()+"/events",
			told(`"kind":"started","tool":"file","id":"`+uuid.NewString()+`"`),
			200,
		).RiskLimit
	}
	assert.Equal(t, float64(verdict.Usual), limit())
	bled := told(
		`"kind":"started","tool":"file","id":"a"`,
		`"kind":"cut","id":"b","nail":"LH3","mm":1`,
		`"kind":"blood","id":"c","nail":"LH3"`,
		`"kind":"blood_stopped","id":"d","nail":"LH3"`,
		`"kind":"ended","id":"e"`,
	)
	ask[contract.Bench](c, "POST", at+"/sittings/"+uuid.NewString()+"/events", bled, 200)
	assert.Equal(t, float64(verdict.Careful), limit())
}

// A bit whose touches were measured tells how much the next one takes.
func TestTouchesAreLearntPerBit(t *testing.T) {
	c := newClient(t)
	at := "/api/dogs/" + c.addDog(moss).Id.String()
	bit := c.addPiece(`"kind":"grinder_band","grit":60`)
	sat := at + "/sittings/" + uuid.NewString()
	events := []string{
		fmt.Sprintf(`"kind":"started","tool":"grinder_band","item_id":%q`, bit.Id),
		`"kind":"measured","nail":"LH3","measure":"length_before","mm":15`,
	}
	for range 10 {
		events = append(events, `"kind":"touch","nail":"LH3","mm":0.2`)
	}
	before := ask[contract.Bench](c, "POST", sat+"/events", told(events...), 200)
	assert.Equal(t, quick.Touch, before.TouchMm)
	after := ask[contract.Bench](
		c,
		"POST",
		sat+"/events",
		told(`"kind":"measured","id":"m","nail":"LH3","measure":"length_after","mm":11`),
		200,
	)
	assert.Greater(t, after.TouchMm, quick.Touch, "four millimetres in ten touches")
}

// Clip, then grind: the setting is the dog's, the plan says so, and a paw is ground round in one press.
func TestADogThatIsClippedAndThenGround(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	at := "/api/dogs/" + dog.Id.String()
	grinder, band := uuid.NewString(), uuid.NewString()
	ask[contract.Kit](c, "POST", "/api/kit", fmt.Sprintf(`{"id":%q,"kind":"grinder"}`, grinder), 200)
	ask[contract.Kit](c, "POST", "/api/kit", fmt.Sprintf(`{"id":%q,"kind":"grinder_band"}`, band), 200)
	ask[contract.Kit](c, "POST", "/api/kit", fmt.Sprintf(`{"id":%q,"kind":"large_plier"}`, uuid.NewString()), 200)
	_, text := c.do(
		"PATCH",
		at,
		`{"version":1,"handling":{"order":"hind_first","own_order":[],"position":"standing","helper":"alone","muzzle":false,"sore":false,"noise":"fine","largest_cut_mm":4}}`,
	)
	assert.Contains(t, string(text), `"field":"handling.largest_cut_mm"`)
	before := ask[contract.Plan](c, "GET", at+"/plan", "", 200)
	ask[contract.Dog](
		c,
		"PATCH",
		at,
		`{"version":1,"handling":{"order":"hind_first","own_order":[],"position":"standing","helper":"alone","muzzle":false,"sore":false,"noise":"fine","way":"clip_then_grind","largest_cut_mm":0.5}}`,
		200,
	)
	plan := ask[contract.Plan](c, "GET", at+"/plan", "", 200)
	require.NotNil(t, plan.Days[0].Stops[0].ThenTool)
	assert.Equal(t, "grinder_band", string(*plan.Days[0].Stops[0].ThenTool))
	assert.Greater(t, plan.Days[0].Minutes.Minutes, before.Days[0].Minutes.Minutes, "the second pass takes its time")
	for _, n := range plan.Nails {
		for _, mm := range n.Plan.CutsMm {
			assert.LessOrEqual(t, mm, 0.5, "the dog's own largest cut")
		}
	}

	sat := at + "/sittings/" + uuid.NewString()
	ask[contract.Problem](
		c,
		"POST",
		sat+"/events",
		told(`"kind":"started","tool":"large_plier"`, `"kind":"touch","nail":"LH3","mm":0.2`),
		422,
	)
	now := ask[contract.Bench](c, "POST", sat+"/events", told(
		`"kind":"started","id":"s","tool":"large_plier"`,
		`"kind":"cut","id":"c","nail":"LH3","mm":1`,
		`"kind":"face","id":"f","nail":"LH3","of":"c","face":"white"`,
		`"kind":"done","id":"d","nail":"LH3"`,
		`"kind":"tool","id":"t","tool":"grinder_band","item_id":"`+band+`"`,
		`"kind":"ground","id":"g","paw":"LH"`,
		`"kind":"ended","id":"e","minutes":6`,
	), 200)
	for _, n := range now.Nails {
		if n.Code.String() == "LH3" {
			assert.True(t, n.Ground)
			assert.Len(t, n.Cuts, 1)
		}
	}
	for _, i := range ask[contract.Kit](c, "GET", "/api/kit", "", 200).Items {
		if i.Id.String() == band {
			assert.Positive(t, i.Used, "its minutes wear the band")
		}
	}
}

// A tally of a nail's second pass, and what cannot be one.
func TestASecondPassIsToldAfterwards(t *testing.T) {
	c := newClient(t)
	at := "/api/dogs/" + c.addDog(moss).Id.String() + "/sittings"
	body := func(cuts, ground string) string {
		return `{"id":"` + uuid.NewString() + `","how_far":"first_sign","records":[{"code":"LF3","cuts_mm":[` + cuts + `],"assumed":true,"tool":"large_plier","reaction":"calm","blood":false,"ground":` + ground + `}]}`
	}
	ask[contract.DogView](c, "POST", at, body("1,0.5", `{"tool":"grinder_band","touches_mm":[0.2]}`), 201)
	for want, bad := range map[string]string{
		"records[0].ground.tool":          body("1", `{"tool":"large_plier","touches_mm":[]}`),
		"records[0].ground":               body("", `{"tool":"grinder_band","touches_mm":[]}`),
		"records[0].ground ":              strings.Replace(body("0.2", `{"tool":"grinder_band","touches_mm":[]}`), "large_plier", "grinder_band", 1),
		"records[0].ground.touches_mm[0]": body("1", `{"tool":"grinder_band","touches_mm":[-1]}`),
		"records[0].ground.item_id":       body("1", `{"tool":"grinder_band","item_id":"`+uuid.NewString()+`","touches_mm":[]}`),
	} {
		p := ask[contract.Problem](c, "POST", at, bad, 422)
		assert.Equal(t, strings.TrimSpace(want), p.Errors[0].Field)
	}
}
