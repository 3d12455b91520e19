package api

import (
	"encoding/json"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/photo"
	"fribbet/internal/standin"
)

// slicesOf is a picture of slices as somebody would mark it.
func slicesOf(meant float64, mm ...float64) (contract.SlicesInput, string) {
	taken := standin.Stick{
		Slices: mm,
		Seed:   1,
	}.Take(
		photo.Looking{Point: photo.Point{X: 43, Y: 38}, Distance: 128, Tilt: 11, About: 40},
		2048,
		1536,
	)
	in := contract.SlicesInput{
		Width:   2048,
		Height:  1536,
		MeantMm: meant,
		Handles: []contract.PicturePoint{},
		Slices:  [][]contract.PicturePoint{},
	}
	for _, c := range taken.Corners {
		in.Handles = append(in.Handles, xy(c))
	}
	for _, e := range taken.Ends {
		in.Slices = append(in.Slices, []contract.PicturePoint{xy(e[0]), xy(e[1])})
	}
	text, _ := json.Marshal(in)
	return in, string(text)
}

// A hand that cuts thicker than it means: plans ask for less, its cuts are believed as it cuts, and it is taken back.
func TestAHandThatCutsThickIsReckonedWith(t *testing.T) {
	c := newClient(t)
	dog := c.addDog(moss)
	c.cutOnce(dog)
	before := ask[contract.Plan](c, "GET", "/api/dogs/"+dog.Id.String()+"/plan", "", 200)
	assert.Nil(t, ask[contract.SlicesKnown](c, "GET", "/api/slices", "", 200).Learnt)

	_, body := slicesOf(1, 1.5, 1.4, 1.7, 1.5, 1.6, 1.3, 1.5, 1.6, 1.4, 1.5)
	read := ask[contract.SlicesRead](c, "POST", "/api/slices/reading", body, 200)
	require.Len(t, read.Slices, 10)
	assert.Equal(t, "hand.thicker", read.Learnt.Says[0].Key)
	assert.Contains(t, read.Learnt.Says[0].Says, "Where you mean 1.0 mm you cut about 1.5 mm")
	assert.Nil(t, ask[contract.SlicesKnown](c, "GET", "/api/slices", "", 200).Learnt, "a reading keeps nothing")

	at := "/api/slices/" + uuid.NewString()
	known := ask[contract.SlicesKnown](c, "PUT", at, body, 200)
	assert.InDelta(t, 1.5, known.Learnt.Times.Value, 0.06)
	assert.Equal(t, known, ask[contract.SlicesKnown](c, "PUT", at, body, 200), "the same again changes nothing")
	_, other := slicesOf(1, 1, 1, 1, 1, 1)
	c.do("PUT", at, other)
	assert.Equal(
		t,
		known,
		ask[contract.SlicesKnown](c, "GET", "/api/slices", "", 200),
		"another under its id is refused",
	)

	after := ask[contract.Plan](c, "GET", "/api/dogs/"+dog.Id.String()+"/plan", "", 200)
	assert.Less(t, planned(after), planned(before)-0.2, "the same nail, named in what this hand means")

	// What it cuts from now on is believed as it cuts: more than of any other hand.
	was := c.view(dog)
	c.cutOnce(dog)
	thick := lengthOf(was, "LF3") - lengthOf(c.view(dog), "LF3")
	plain := newClient(t)
	same := plain.addDog(moss)
	plain.cutOnce(same)
	was = plain.view(same)
	plain.cutOnce(same)
	assert.Greater(t, thick, lengthOf(was, "LF3")-lengthOf(plain.view(same), "LF3")+0.15)
	c.now = c.now.AddDate(0, 0, 7)
	_, thinner := slicesOf(0.5, 0.7, 0.6, 0.65, 0.55, 0.6, 0.6)
	again := ask[contract.SlicesKnown](c, "PUT", "/api/slices/"+uuid.NewString(), thinner, 200)
	require.Len(t, again.All, 2, "how it went over time")
	assert.Equal(t, 0.5, again.All[0].MeantMm, "the latest first: plans go by it")
	assert.Equal(t, known.All[0], again.All[1])
	for range 2 {
		known = ask[contract.SlicesKnown](c, "DELETE", "/api/slices/"+known.Id.String(), "", 200)
		if known.Learnt != nil {
			assert.Equal(t, again.Id, known.Id)
		}
	}
	assert.Nil(t, known.Learnt)
}

// planned is what the plan names for one nail, mm; another nail of that dog was cut today.
func planned(p contract.Plan) float64 {
	for _, n := range p.Nails {
		if n.Code.String() == "RF3" {
			return n.Plan.MostMm
		}
	}
	return 0
}

func lengthOf(v contract.DogView, code string) float64 {
	for _, b := range v.Rank.Bars {
		if b.Code.String() == code {
			return b.Length.Mm
		}
	}
	return 0
}

// cutOnce tells a sitting of today: 1 mm off LF3.
func (c *client) cutOnce(d contract.Dog) {
	c.t.Helper()
	ask[contract.DogView](
		c,
		"POST",
		"/api/dogs/"+d.Id.String()+"/sittings",
		`{"id":"`+uuid.NewString()+`","records":[{"code":"LF3","tool":"guillotine","cuts_mm":[1],"blood":false}]}`,
		201,
	)
}

func TestSlicesThatTellNothingAreRefused(t *testing.T) {
	c := newClient(t)
	_, four := slicesOf(1, 1, 1, 1, 1)
	for what, body := range map[string]string{`"field":"slices"`: four} {
		status, text := c.do("PUT", "/api/slices/"+uuid.NewString(), body)
		assert.Equal(t, 422, status)
		assert.Contains(t, string(text), what)
	}
	in, _ := slicesOf(1, 1, 1, 1, 1, 1)
	for what, break_ := range map[string]func(*contract.SlicesInput){
		`"field":"meant_mm"`: func(s *contract.SlicesInput) { s.MeantMm = 0 },
		`"field":"handles"`:  func(s *contract.SlicesInput) { s.Handles = s.Handles[:3] },
		`"field":"slices[2].`: func(s *contract.SlicesInput) {
			s.Slices = append([][]contract.PicturePoint{}, s.Slices...)
			s.Slices[2] = []contract.PicturePoint{{1, 1}, {1, 1}}
		},
	} {
		broken := in
		break_(&broken)
		text, err := json.Marshal(broken)
		require.NoError(t, err)
		status, told := c.do("POST", "/api/slices/reading", string(text))
		assert.Equal(t, 422, status, string(told))
		assert.Contains(t, string(told), what)
	}
	assert.Nil(t, ask[contract.SlicesKnown](c, "GET", "/api/slices", "", 200).Learnt, "nothing is kept")
	status, _ := c.do("GET", "/api/slices/stand-in", "")
	assert.Equal(t, 404, status, "no camera outside the demonstration")
}
