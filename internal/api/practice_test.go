package api

import (
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/worked"
)

// A drawn nail is played move by move: what its ends showed and where its quick is come only once it is over; then it
// is kept, counted beside the advice, and everybody of the same series stands side by side.
func TestADrawnNailIsPractisedOn(t *testing.T) {
	c := newClient(t)
	play := func(id, moves string) contract.PracticeGame {
		return ask[contract.PracticeGame](
			c,
			"POST",
			"/api/practice/nail",
			fmt.Sprintf(`{%s"kind":"dark","seed":12,"number":3,"moves":[%s]}`, id, moves),
			200,
		)
	}
	var g contract.PracticeGame
	took := worked.Time(t, func() { g = play("", `{"look":"groove"},{"mm":0.5}`) })
	assert.Less(t, took, 500*time.Millisecond)
	assert.False(t, g.Over)
	assert.Nil(t, g.Quick)
	assert.Nil(t, g.LeftMm)
	assert.NotNil(t, g.Steps[0].SeenMm)
	assert.Nil(t, g.Steps[1].Face, "the picture says it, to who can read it")
	assert.True(t, strings.HasPrefix(*g.Steps[1].Picture, "<svg"))
	assert.Less(t, len(*g.Steps[1].Picture), 20_000)
	assert.Less(t, g.LengthMm, play("", "").LengthMm)

	id := uuid.NewString()
	done := play(fmt.Sprintf(`"id":%q,`, id), `{"look":"groove"},{"mm":0.5},{"stop":true}`)
	assert.True(t, done.Over)
	assert.NotEmpty(t, done.Quick)
	assert.NotEmpty(t, done.Says[0].Says)
	assert.NotNil(t, done.Steps[1].Face)
	assert.NotNil(t, done.Steps[1].Advice)
	assert.NotNil(t, done.Steps[1].BestMm)
	assert.Nil(t, g.Steps[1].BestMm, "not before it is over")
	play(fmt.Sprintf(`"id":%q,`, id), `{"look":"groove"},{"mm":0.5},{"stop":true}`) // sent again
	so := ask[contract.Practice](c, "GET", "/api/practice", "", 200)
	require.Len(t, so.Kinds, 6)
	dark := so.Kinds[1]
	assert.Equal(t, contract.PracticeKind("dark"), dark.Kind)
	for _, tally := range []contract.PracticeTally{dark.Mine, dark.Advised, dark.Unasked} {
		assert.Equal(t, 1, tally.Nails, "kept once, and the same nail by the others")
	}
	assert.Zero(t, so.Kinds[0].Mine.Nails)
	together := ask[contract.PracticeTogether](c, "GET", "/api/practice/together?kind=dark&seed=12", "", 200)
	require.Len(t, together.Nails, 1)
	assert.Equal(t, 3, together.Nails[0].Number)
	assert.Equal(t, done.Says, together.Nails[0].Says)

	for body, wanted := range map[string]string{
		`{"kind":"dark","seed":0,"number":1,"moves":[]}`:                            "seed",
		`{"kind":"dark","seed":1,"number":0,"moves":[]}`:                            "number",
		`{"kind":"glass","seed":1,"number":1,"moves":[]}`:                           "kind",
		`{"kind":"dark","seed":1,"number":1,"moves":[{"mm":9}]}`:                    "moves[0].mm",
		`{"kind":"dark","seed":1,"number":1,"moves":[{"look":"torch"}]}`:            "shines through",
		`{"kind":"dark","seed":1,"number":1,"moves":[{"stop":true},{"stop":true}]}`: "moves[1]",
	} {
		status, text := c.do("POST", "/api/practice/nail", body)
		assert.Contains(t, []int{http.StatusUnprocessableEntity, http.StatusBadRequest}, status)
		assert.Contains(t, string(text), wanted)
	}
	status, text := c.do("GET", "/api/practice/together?kind=dark&seed=1000000", "")
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), "seed")
}

// A drill shows the ends one after the other, says what each was once it is named, and which were mixed up.
func TestCutEndsAreNamed(t *testing.T) {
	c := newClient(t)
	name := func(id string, said ...string) contract.EndsDrill {
		return ask[contract.EndsDrill](
			c,
			"POST",
			"/api/practice/ends",
			fmt.Sprintf(`{%s"seed":7,"said":%s}`, id, jsonOf(t, append([]string{}, said...))),
			200,
		)
	}
	drill := name("")
	require.Len(t, drill.Ends, 1)
	assert.Nil(t, drill.Ends[0].Face)
	var said []string
	for len(said) < drill.Of {
		now := name("", said...)
		said = append(said, string(now.Ends[len(said)].Faces[0])) // always white
	}
	done := name(fmt.Sprintf(`"id":%q,`, uuid.NewString()), said...)
	assert.Len(t, done.Ends, drill.Of)
	assert.Equal(t, drill.Of, done.Named.Asked)
	wrong := 0
	for _, m := range done.Named.Mixed {
		assert.EqualValues(t, "white", m.Said)
		wrong += m.Times
	}
	assert.Equal(t, drill.Of-done.Named.Right, wrong)
	assert.Equal(t, done.Named, ask[contract.Practice](c, "GET", "/api/practice", "", 200).Ends)
	status, text := c.do("POST", "/api/practice/ends", `{"seed":7,"said":["blush","blush","blush"]}`)
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), "said[")
}

// A drill of moments says what is right, and why, once each is answered; what cannot be chosen is refused by name.
func TestMomentsAtTheTable(t *testing.T) {
	c := newClient(t)
	answer := func(chosen ...int) contract.ScenesDrill {
		return ask[contract.ScenesDrill](
			c,
			"POST",
			"/api/practice/scenes",
			fmt.Sprintf(`{"drill":"dog","seed":9,"chosen":%s}`, jsonOf(t, append([]int{}, chosen...))),
			200,
		)
	}
	drill := answer()
	require.Len(t, drill.Scenes, 1)
	assert.Nil(t, drill.Scenes[0].Right)
	assert.Nil(t, drill.Scenes[0].Why)
	var chosen []int
	for len(chosen) < drill.Of {
		now := answer(append(chosen, 0)...)
		scene := now.Scenes[len(chosen)]
		assert.NotContains(t, scene.Sees.Says+scene.Why.Says, "practice.", "words, not keys")
		chosen = append(chosen, *scene.Right)
	}
	assert.Equal(t, drill.Of, answer(chosen...).Right)
	status, text := c.do("POST", "/api/practice/scenes", `{"drill":"dog","seed":9,"chosen":[7]}`)
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), "chosen[0]")
	assert.Nil(t, drill.WithinS, "a dog is read in its own time")
	blood := ask[contract.ScenesDrill](
		c,
		"POST",
		"/api/practice/scenes",
		`{"drill":"blood","seed":9,"chosen":[-1]}`,
		200,
	)
	require.NotNil(t, blood.WithinS)
	assert.Equal(t, 12, *blood.WithinS)
	assert.Zero(t, blood.Right, "who is late was not right")
	require.Len(t, blood.Scenes, 2)
	assert.Contains(t, blood.Scenes[0].Why.Says, "about a minute before you look")
}
