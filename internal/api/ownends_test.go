package api

import (
	"bytes"
	"fmt"
	"image/jpeg"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/practice"
	"fribbet/internal/core/quick"
	"fribbet/internal/standin"
)

// keepsEnd keeps a picture of a cut end of the left fore third nail, after so many cuts at a trim.
func (c *client) keepsEnd(d contract.Dog, sitting string, cuts int, face quick.Face) {
	c.t.Helper()
	var data bytes.Buffer
	require.NoError(c.t, jpeg.Encode(&data, standin.EndPhoto(face, false, uint64(cuts)), nil))
	status, text := c.send(
		"PUT",
		fmt.Sprintf("/api/dogs/%s/pictures/%s?paw=LF&code=LF3&sitting_id=%s&cuts=%d", d.Id, uuid.New(), sitting, cuts),
		"application/octet-stream",
		data.String(),
	)
	require.Equal(c.t, 200, status, string(text))
}

// A picture of a cut end asks what the next slice showed; one whose next slice nobody told asks nothing. From ten on
// they come before drawn ones; what was known comes again later, what was not the next day.
func TestOnesOwnEndsAreNamed(t *testing.T) {
	c := newClient(t)
	d := c.addDog(`{"name":"Moss","age_years":4,"weights":[{"kg":22}],"nail_colour":"dark"}`)
	sat := uuid.NewString()
	told := []string{`"kind":"started","tool":"small_plier"`}
	for _, face := range []quick.Face{quick.White, quick.Grey, quick.DarkCentre} {
		told = append(
			told,
			`"kind":"cut","nail":"LF3","mm":0.5`,
			fmt.Sprintf(`"kind":"face","nail":"LF3","face":%q,"of":"%d"`, face, len(told)),
		)
	}
	told = append(told, `"kind":"done","nail":"LF3"`, `"kind":"ended"`)
	for i, e := range told {
		told[i] = fmt.Sprintf(`{"id":"%d","at":%q,%s}`, i, c.now.Format(time.RFC3339), e)
	}
	ask[contract.Bench](
		c,
		"POST",
		"/api/dogs/"+d.Id.String()+"/sittings/"+sat+"/events",
		`{"events":[`+strings.Join(told, ",")+`]}`,
		200,
	)
	for cuts, face := range map[int]quick.Face{1: quick.White, 2: quick.Grey, 3: quick.DarkCentre} {
		c.keepsEnd(d, sat, cuts, face)
	}
	so := ask[contract.Practice](c, "GET", "/api/practice", "", 200)
	assert.Equal(t, contract.OwnSoFar{All: 2, Now: 2}, so.Own, "after the last slice there was no other")
	own := ask[contract.OwnEnds](c, "GET", "/api/practice/own", "", 200)
	require.Len(t, own.Ends, 2)
	showed := map[quick.Face]bool{}
	for i, e := range own.Ends {
		assert.Equal(t, 0.5, e.Mm)
		assert.Equal(t, "Moss", e.Name)
		say := func(face quick.Face, want int) contract.OwnEndShowed {
			return ask[contract.OwnEndShowed](
				c,
				"POST",
				"/api/practice/own",
				fmt.Sprintf(
					`{"id":"7d1e1dd0-0000-4000-8000-00000000000%d","picture_id":%q,"said":%q}`,
					i,
					e.PictureId,
					face,
				),
				want,
			)
		}
		is := say(quick.Grey, 200).Showed
		showed[is] = true
		assert.Equal(t, is, say(quick.Grey, 200).Showed, "sent again")
		if i == 0 {
			status, text := c.do(
				"POST",
				"/api/practice/own",
				fmt.Sprintf(`{"id":%q,"picture_id":%q,"said":"pink_dot"}`, uuid.New(), e.PictureId),
			)
			assert.Equal(t, 422, status)
			assert.Contains(t, string(text), "said", "a light nail's")
		}
	}
	assert.Equal(t, map[quick.Face]bool{quick.Grey: true, quick.DarkCentre: true}, showed)
	so = ask[contract.Practice](c, "GET", "/api/practice", "", 200)
	assert.Equal(t, contract.OwnSoFar{All: 2, Asked: 2, Right: 1}, so.Own)
	c.now = c.now.AddDate(0, 0, 1)
	assert.Len(
		t,
		ask[contract.OwnEnds](c, "GET", "/api/practice/own", "", 200).Ends,
		2,
		"a new card comes the next day, known or not",
	)
	status, text := c.do(
		"POST",
		"/api/practice/own",
		fmt.Sprintf(`{"id":%q,"picture_id":%q,"said":"grey"}`, uuid.New(), uuid.New()),
	)
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), "picture_id")
	for query, wanted := range map[string]string{
		"paw=RF&code=LF3&sitting_id=" + sat + "&cuts=1": "code",
		"paw=LF&code=LF3&cuts=1":                        "sitting_id",
		"paw=LF&code=LF3&sitting_id=" + sat:             "cuts",
	} {
		status, text := c.send(
			"PUT",
			fmt.Sprintf("/api/dogs/%s/pictures/%s?%s", d.Id, uuid.New(), query),
			"application/octet-stream",
			"x",
		)
		assert.Equal(t, 422, status, query)
		assert.Contains(t, string(text), wanted)
	}
	pictures := ask[contract.Pictures](c, "GET", "/api/dogs/"+d.Id.String()+"/pictures", "", 200)
	assert.Len(t, pictures.Pictures, 3, "whoever took them sees them")
}

// How often somebody takes an end for a milder one sets the care at the bench only once they say so, and the bench says
// it.
func TestPracticeSetsTheCareAtTheBench(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	for seed := 1; seed <= 6; seed++ { // whoever takes every dark centre for grey
		var said []string
		for range practice.EndsAsked {
			drill := ask[contract.EndsDrill](
				c,
				"POST",
				"/api/practice/ends",
				fmt.Sprintf(`{"seed":%d,"said":[%s]}`, seed, join(said)),
				200,
			)
			said = append(said, string(drill.Ends[len(said)].Faces[0]))
		}
		ask[contract.EndsDrill](
			c,
			"POST",
			"/api/practice/ends",
			fmt.Sprintf(`{"id":%q,"seed":%d,"said":[%s]}`, uuid.New(), seed, join(said)),
			200,
		)
	}
	eye := ask[contract.Practice](c, "GET", "/api/practice", "", 200).Eye
	assert.False(t, eye.Cares)
	assert.GreaterOrEqual(t, eye.Asked, eye.Needed)
	assert.Equal(t, eye.Asked, eye.Milder, "who calls everything white")
	require.NotNil(t, eye.Of100)
	assert.Equal(t, 50, *eye.Of100)
	bench := func() contract.Bench {
		return ask[contract.Bench](
			c,
			"POST",
			fmt.Sprintf("/api/dogs/%s/sittings/%s/events", d.Id, uuid.New()),
			fmt.Sprintf(
				`{"events":[{"id":%q,"at":%q,"kind":"started","tool":"small_plier"}]}`,
				uuid.NewString(),
				c.now.Format(time.RFC3339),
			),
			200,
		)
	}
	assert.Nil(t, bench().Eye)
	plan := func() contract.Plan { return ask[contract.Plan](c, "GET", "/api/dogs/"+d.Id.String()+"/plan", "", 200) }
	assert.Nil(t, plan().Eye)
	c.do(
		"PUT",
		"/api/settings",
		`{"role":"keeper","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon"]}`,
	)
	status, _ := c.do("PUT", "/api/practice/eye", `{"cares":true}`)
	require.Equal(t, 204, status)
	after := bench()
	require.NotNil(t, after.Eye)
	assert.Contains(t, *after.Eye, "50 of 100")
	require.NotNil(t, plan().Eye)
	assert.Equal(t, *after.Eye, *plan().Eye, "on Ready as well: it is said where it acts")
	c.do("PUT", "/api/practice/eye", `{"cares":false}`)
	assert.Nil(t, bench().Eye, "and taken back")
}

func join(faces []string) string {
	out := ""
	for i, f := range faces {
		if i > 0 {
			out += ","
		}
		out += `"` + f + `"`
	}
	return out
}
