package api

import (
	"bytes"
	"encoding/json"
	"fmt"
	"image/jpeg"
	"os"
	"path/filepath"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/claw"
	"fribbet/internal/core/measure"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/photo"
	"fribbet/internal/formats"
	"fribbet/internal/standin"
)

// taken is a picture of two nails of known length beside a card, and its bytes.
func taken(t *testing.T, light float64, card bool) (standin.Taken, string) {
	t.Helper()
	return takenFrom(
		t,
		photo.Looking{Point: photo.Point{X: 40, Y: 48}, Distance: 120, Tilt: 15, About: 30, Turned: 3},
		light,
		card,
	)
}

func takenFrom(t *testing.T, look photo.Looking, light float64, card bool) (standin.Taken, string) {
	t.Helper()
	code, err := nail.ParseCode("LF2")
	require.NoError(t, err)
	p := standin.Paw{Seed: 1, Light: light, NoCard: !card}
	for i, length := range []float64{17, 11} {
		c := claw.Assumed(code, nail.Usual, 22).WithLength(length)
		p.Nails = append(p.Nails, standin.PawNail{Stance: c.AtGap(0.5), Quick: length - 3, Clear: i == 1})
	}
	k := p.Take(look, 2048, 1536)
	var data bytes.Buffer
	require.NoError(t, jpeg.Encode(&data, k.Picture, &jpeg.Options{Quality: 90}))
	return k, data.String()
}

func (c *client) keepsPicture(d contract.Dog, data string) contract.Picture {
	c.t.Helper()
	status, text := c.send(
		"PUT",
		fmt.Sprintf("/api/dogs/%s/pictures/%s?paw=LF", d.Id, uuid.New()),
		"application/octet-stream",
		data,
	)
	require.Equal(c.t, 200, status, string(text))
	var out contract.Picture
	require.NoError(c.t, json.Unmarshal(text, &out))
	return out
}

func xy(p photo.Point) contract.PicturePoint { return contract.PicturePoint{p.X, p.Y} }

// A picture is kept, a nail read off it within its range, and what was read goes into the dog's state as less sure than
// a caliper's.
func TestANailIsReadOffAPicture(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	k, data := taken(t, 1, true)
	p := c.keepsPicture(d, data)
	require.Len(t, p.Corners, 4, "the card was found")
	in := contract.PhotoInput{
		Width:     p.Width,
		Height:    p.Height,
		Reference: "card",
		Held:      of(contract.PhotoInputHeld("beside")),
		PictureId: &p.Id,
		Handles:   p.Corners,
	}
	m := k.Nails[0].Marks
	in.Coat, in.Tip, in.Ridge, in.Floor, in.Low, in.Groove = xy(m.Coat), xy(m.Tip), of(xy(*m.Ridge)), of(
		xy(*m.Floor),
	), of(xy(*m.Low)), of(xy(*m.Groove))
	path := fmt.Sprintf("/api/dogs/%s/nails/LF2/photo", d.Id)
	read := ask[contract.PhotoRead](c, "POST", path, jsonOf(t, in), 200)
	assert.InDelta(t, 17, read.Length.Mm, 0.4, "by the corners that were guessed")
	assert.Less(t, read.Length.LowMm, 17.0)
	assert.Greater(t, read.Length.HighMm, 17.0)
	assert.InDelta(t, 0.5, read.Gap.Mm, 0.3)
	assert.InDelta(t, 3, read.Groove.Mm, 0.5)
	assert.Equal(t, nail.Usual, *read.Shape)
	assert.Equal(t, *read.TiltDeg >= 20, *read.Askew)
	assert.GreaterOrEqual(t, len(read.Grid), 6, "the card's plane is drawn through the nail")

	unsettled := in
	unsettled.Held = of(contract.PhotoInputHeld("unsure"))
	settled := unsettled // by a second picture from the side
	beside, shot := takenFrom(
		t,
		photo.Looking{Point: photo.Point{X: 40, Y: 52}, Distance: 135, Tilt: 42, About: 100, Turned: 5},
		1,
		true,
	)
	q, to := c.keepsPicture(d, shot), beside.Nails[0].Marks
	settled.Side = &contract.PhotoSide{
		Width:     q.Width,
		Height:    q.Height,
		Handles:   append(q.Corners[2:], q.Corners[:2]...),
		PictureId: &q.Id,
		Coat:      xy(to.Coat),
		Tip:       xy(to.Tip),
	}
	one, two := ask[contract.PhotoRead](
		c,
		"POST",
		path,
		jsonOf(t, unsettled),
		200,
	), ask[contract.PhotoRead](
		c,
		"POST",
		path,
		jsonOf(t, settled),
		200,
	)
	assert.Less(t, two.Length.SdMm, 0.5*one.Length.SdMm, "the range is half as wide")
	assert.InDelta(t, 17, two.Length.Mm, two.Length.HighMm-two.Length.Mm)
	assert.InDelta(t, 0, two.Stands.Depth.Mm, two.Stands.Depth.HighMm-two.Stands.Depth.Mm, "it is in the card's plane")
	assert.Less(t, two.Stands.LeanLowDeg, 0.0)
	assert.Greater(t, two.Stands.LeanHighDeg, 0.0)
	settled.Side.Coat, settled.Side.Tip = settled.Side.Tip, settled.Side.Coat
	status, refused := c.do("POST", path, jsonOf(t, settled))
	assert.Equal(t, 422, status)
	assert.Contains(t, string(refused), "put the circles anew")

	wrong := in // one corner on the wrong thing: the picture speaks against it, by name
	wrong.Handles = append([]contract.PicturePoint{{p.Corners[0][0] + 22, p.Corners[0][1] + 14}}, in.Handles[1:]...)
	status, refused = c.do("POST", path, jsonOf(t, wrong))
	assert.Equal(t, 422, status)
	assert.Contains(t, string(refused), "handles")
	unsure := in
	unsure.Held = nil
	loose := ask[contract.PhotoRead](c, "POST", path, jsonOf(t, unsure), 200)
	assert.Greater(t, loose.Length.SdMm, 1.2*read.Length.SdMm, "nobody said how the card was held")

	of := func(by string, sd float64) contract.Bar {
		dog := c.addDog(moss)
		check := fmt.Sprintf(
			`{"id":%q,"clicks":false,"hair":false,"swelling":false,"limping":false,"breaking":false,"looks":[{"code":"LF2","length_mm":%f,"means":{"length":{"by":%q,"sd_mm":%f}}}]}`,
			uuid.NewString(),
			read.Length.Mm,
			by,
			sd,
		)
		status, text := c.do("POST", "/api/dogs/"+dog.Id.String()+"/checks", check)
		require.Less(t, status, 300, string(text))
		for _, bar := range c.view(dog).Rank.Bars {
			if bar.Code.String() == "LF2" {
				return bar
			}
		}
		return contract.Bar{}
	}
	wide := func(b contract.Bar) float64 { return b.Length.HighMm - b.Length.LowMm }
	assert.InDelta(t, read.Length.Mm, of(string(measure.Photo), 0.4).Length.Mm, 0.5)
	assert.Greater(
		t,
		wide(of(string(measure.Photo), 0.9)),
		wide(of(string(measure.Photo), 0.3)),
		"each with its own range",
	)

	in.Handles[0], in.Handles[1] = in.Handles[1], in.Handles[0]
	status, text := c.do("POST", path, jsonOf(t, in))
	assert.Equal(t, 422, status)
	assert.Contains(t, string(text), "drag each to the corner")
}

// The same picture is kept once; deleted for good nothing of it is left, not beside the backups either.
func TestPicturesAreKeptAndDeletedForGood(t *testing.T) {
	place := t.TempDir()
	c := clientOf(t, filepath.Join(place, "book.db"))
	d := c.addDog(moss)
	_, data := taken(t, 1, true)
	first, again := c.keepsPicture(d, data), c.keepsPicture(d, data)
	assert.Equal(t, first, again)
	second := c.addDog(moss)
	other := c.keepsPicture(second, data)
	assert.Equal(t, first.Hash, other.Hash)
	kept := ask[contract.PicturesKept](c, "GET", "/api/pictures", "", 200)
	assert.Equal(t, 1, kept.Pictures)
	assert.Equal(t, first.Bytes, kept.Bytes)
	for _, small := range []string{"", "?small=true"} {
		status, file := c.do("GET", "/api/pictures/"+first.Hash+small, "")
		assert.Equal(t, 200, status)
		_, err := formats.ReadPicture(file)
		require.NoError(t, err)
	}
	ask[contract.Backups](c, "POST", "/api/backups", "", 200)
	files := func(ending string) (all []string) {
		all, err := filepath.Glob(filepath.Join(place, ending))
		require.NoError(t, err)
		return all
	}
	assert.Len(t, files("book.db.pictures/*"), 2)
	assert.Len(t, files("book.db.backups/pictures/*"), 2)

	remove := func(d contract.Dog, p contract.Picture) {
		status, text := c.do("DELETE", fmt.Sprintf("/api/dogs/%s/pictures/%s", d.Id, p.Id), "")
		require.Equal(t, 204, status, string(text))
	}
	remove(d, first)
	assert.Len(t, files("book.db.pictures/*"), 2, "another dog has the same")
	remove(second, other)
	assert.Empty(t, files("book.db.pictures/*"))
	assert.Empty(t, files("book.db.backups/pictures/*"))
	status, _ := c.do("GET", "/api/pictures/"+first.Hash, "")
	assert.Equal(t, 404, status)
	assert.Empty(t, ask[contract.Pictures](c, "GET", fmt.Sprintf("/api/dogs/%s/pictures", d.Id), "", 200).Pictures)
	c.keepsPicture(d, data)
	assert.Len(t, files("book.db.pictures/*"), 2, "sent again, it is kept again")
}

func TestPicturesThatCannotBe(t *testing.T) {
	c := newClient(t)
	d := c.addDog(moss)
	_, data := taken(t, 1, false)
	put := func(query, data string) (int, string) {
		status, text := c.send(
			"PUT",
			fmt.Sprintf("/api/dogs/%s/pictures/%s?%s", d.Id, uuid.New(), query),
			"application/octet-stream",
			data,
		)
		return status, string(text)
	}
	for _, one := range []struct {
		status            int
		query, data, want string
	}{
		{422, "paw=LF", "hello", "must be a picture: JPEG, PNG or WebP"}, {422, "paw=LF", data[:len(data)/2], "cut short or damaged"},
		{422, "paw=LF&on=2030-01-01", data, "must not lie in the future"}, {400, "paw=XX", data, "paw"}, {400, "", data, "paw"},
		{413, "paw=LF", string(make([]byte, formats.MostPictureBytes+1)), "must be at most"},
	} {
		status, text := put(one.query, one.data)
		assert.Equal(t, one.status, status, one.query+one.want)
		assert.Contains(t, text, one.want)
	}
	assert.Empty(t, ask[contract.Pictures](c, "GET", fmt.Sprintf("/api/dogs/%s/pictures", d.Id), "", 200).Pictures)
	bare := c.keepsPicture(d, data)
	assert.Empty(t, bare.Corners, "no card, no guess")
	_, dark := taken(t, 0.12, true)
	assert.NotZero(t, c.keepsPicture(d, dark).Width, "dark, and kept all the same")
	status, _ := c.send(
		"PUT",
		fmt.Sprintf("/api/dogs/%s/pictures/%s?paw=LF", uuid.New(), uuid.New()),
		"application/octet-stream",
		data,
	)
	assert.Equal(t, 404, status)
	for _, hash := range []string{"ab", string(bytes.Repeat([]byte("0"), 64))} {
		status, _ := c.do("GET", "/api/pictures/"+hash, "")
		assert.GreaterOrEqual(t, status, 400)
	}
	_, err := os.Stat(c.kept.PicturePlace())
	require.NoError(t, err)
}
