package e2e

import (
	"bytes"
	"fmt"
	"image"
	"image/draw"
	"image/jpeg"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/go-rod/rod/lib/proto"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/photo"
	"fribbet/internal/standin"
)

// pictured is a file with a picture of two nails, 17 and 11 mm long, and where they are in it.
func pictured(t *testing.T, paw standin.Paw, change func(*image.RGBA) image.Image) (string, standin.Taken) {
	t.Helper()
	return picturedFrom(
		t,
		photo.Looking{Point: photo.Point{X: 40, Y: 48}, Distance: 120, Tilt: 12, About: 40, Turned: 3},
		paw,
		change,
	)
}

func picturedFrom(
	t *testing.T,
	look photo.Looking,
	paw standin.Paw,
	change func(*image.RGBA) image.Image,
) (string, standin.Taken) {
	t.Helper()
	code, err := nail.ParseCode("LF3")
	require.NoError(t, err)
	for _, length := range []float64{17, 11} {
		paw.Nails = append(
			paw.Nails,
			standin.PawNail{Stance: claw.Assumed(code, nail.Usual, 20).WithLength(length).AtGap(1), Quick: length - 3},
		)
	}
	taken := paw.Take(look, 2048, 1536)
	var data bytes.Buffer
	require.NoError(t, jpeg.Encode(&data, change(taken.Picture), nil))
	file := filepath.Join(t.TempDir(), "paw.jpg")
	require.NoError(t, os.WriteFile(file, data.Bytes(), 0o600))
	return file, taken
}

func asItIs(p *image.RGBA) image.Image { return p }

// upload chooses a file as the picture.
func (p page) upload(file string) {
	p.t.Helper()
	input, err := p.Element("#photo-file")
	p.require(err, "the file field")
	p.require(input.SetFiles([]string{file}), "a picture chosen")
	p.find(".stage", "")
}

// drags takes a point of the picture to where it belongs.
func (p page) drags(label string, to photo.Point) {
	p.t.Helper()
	sheet := p.MustEval(`async () => { // once the picture is there and nothing moves any more: nobody takes hold of what still moves
		const s = document.querySelector('.sheet'), frame = () => new Promise((on) => requestAnimationFrame(on))
		s.scrollIntoView({ block: 'start' })
		let was = '', still = 0
		while (still < 10) {
			await frame()
			const all = JSON.stringify([s, ...s.querySelectorAll('.grip')].map((e) => e.getBoundingClientRect()))
			still = s.querySelector('img').complete && all === was ? still + 1 : 0
			was = all
		}
		const b = s.getBoundingClientRect()
		return [b.left, b.top, b.width / s.querySelector('img').naturalWidth]
	}`).
		Arr()
	left, top, scale := sheet[0].Num(), sheet[1].Num(), sheet[2].Num()
	at := p.box(fmt.Sprintf(".grip[aria-label^=%q]", label), "")
	mouse := p.Mouse
	p.require(mouse.MoveTo(proto.Point{X: at.X + at.Width/2, Y: at.Y + at.Height/2}), "to "+label)
	p.require(mouse.Down(proto.InputMouseButtonLeft, 1), "taken")
	p.require(mouse.MoveLinear(proto.Point{X: left + to.X*scale, Y: top + to.Y*scale}, 5), "dragged")
	p.require(mouse.Up(proto.InputMouseButtonLeft, 1), "let go")
}

// takes what is read of a nail, once it is read.
func (p page) takes(code string) {
	p.t.Helper()
	button := p.find("button", "Use these for "+code)
	p.require(button.Timeout(patience).WaitEnabled(), "it is read")
	p.press("button", "Use these for "+code)
	p.sees("Taken for " + code)
}

// A picture of a known nail: chosen, points dragged, its length within its range of the truth, taken into the
// walk-round; the next nail on the same picture by keys alone, the corners stay.
func TestANailFromAPicture(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Bobbin"]
	file, taken := pictured(t, standin.Paw{Seed: 3}, asItIs)
	p := tab(t, browser(t), program.address+"/dogs/"+id+"/walk")
	p.press("a", "from a picture")
	p.upload(file)
	p.sees("where the card seems to be")
	p.sees("Say how the card was held")
	p.press(".held button", "beside the nail")
	p.sees("Drag the two circles to the coat line and the tip of LF5")
	first := taken.Nails[0]
	p.drags("tip", first.Tip)
	p.drags("coat line", first.Coat)
	p.press("button", "bend of the ridge")
	p.drags("bend of the ridge", *first.Ridge)
	p.sees("pixels a millimetre")
	p.takes("LF5")

	second := taken.Nails[1]
	p.press(".aside button", "^LF4$")
	p.sees("coat line and the tip of LF4")
	for _, one := range []struct {
		label string
		at    photo.Point
	}{{"coat line", second.Coat}, {"tip", second.Tip}, {"bend of the ridge", *second.Ridge}} {
		p.drags(one.label, one.at)
	}
	p.require(p.find(".grip[aria-label^=tip]", "").Focus(), "the tip by keys")
	p.require(p.Keyboard.Type(input.ArrowLeft, input.ArrowRight, input.ArrowUp, input.ArrowDown), "there and back")
	p.takes("LF4")
	p.press("a", "Back to Check the feet")
	p.sees("2 of 18 looked at")
	p.press(".finish button", "^Save")
	p.sees("Each nail")
	for code, truth := range map[string]float64{"LF5": 17, "LF4": 11} {
		bar := program.dog(id).bar(t, code)
		assert.InDelta(t, truth, bar.Length.MM, 2.5, code) // believed with what was believed before
		assert.Equal(t, "measured", bar.Length.Source)
	}
	p.sees("left fore · 1")
}

// How the nail stands to the card is settled by a second picture instead of being asked, and the range is narrower; the
// next nail on the same two needs its four circles only.
func TestASecondPictureFromTheSide(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Bobbin"]
	file, first := pictured(t, standin.Paw{Seed: 3}, asItIs)
	beside, second := picturedFrom(
		t,
		photo.Looking{Point: photo.Point{X: 40, Y: 52}, Distance: 135, Tilt: 42, About: 100, Turned: 5},
		standin.Paw{Seed: 3},
		asItIs,
	)
	p := tab(t, browser(t), program.address+"/dogs/"+id+"/photo/LF3")
	p.upload(file)
	p.press(".held button", "not sure")
	p.drags("tip", first.Nails[0].Tip)
	p.drags("coat line", first.Nails[0].Coat)
	wide := p.width(".numbers dd strong")
	p.press("summary", "second picture from the side")
	input, err := p.Element("#side-file")
	p.require(err, "the second file's field")
	p.require(input.SetFiles([]string{beside}), "a second picture chosen")
	p.sees("From the side: drag the two circles")
	p.find("img[alt*='from the side']", "")
	p.drags("tip", second.Nails[0].Tip)
	p.drags("coat line", second.Nails[0].Coat)
	p.sees("tip leaning towards the camera")
	assert.Less(t, p.width(".numbers dd strong"), 0.6*wide)
	p.takes("LF3")
	p.press(".aside button", "^LF2$")
	p.press("button", "first picture")
	p.find("img[alt*='card beside it']", "")
	p.drags("tip", first.Nails[1].Tip)
	p.drags("coat line", first.Nails[1].Coat)
	p.sees("From the side: drag the two circles")
	p.press("button", "without it")
	p.sees("under the paw")
}

// width is how wide a range is that stands as "17.0 (16.4–17.6 mm)".
func (p page) width(selector string) float64 {
	p.t.Helper()
	var mm, low, high float64
	_, err := fmt.Sscanf(
		strings.ReplaceAll(p.find(selector, "\\(").MustText(), "–", " "),
		"%f (%f %f",
		&mm,
		&low,
		&high,
	)
	require.NoError(p.t, err)
	return high - low
}

// One that the telephone kept lying on its side stands upright; a dark one and one without a card say what to do, and
// a damaged file is refused.
func TestPicturesAsTheyCome(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Bobbin"]
	p := tab(t, browser(t), program.address+"/dogs/"+id+"/photo/LF3")
	lying, _ := pictured(t, standin.Paw{Seed: 3}, func(up *image.RGBA) image.Image {
		side := image.NewRGBA(image.Rect(0, 0, up.Rect.Dy(), up.Rect.Dx()))
		for y := range side.Rect.Dy() { // as a telephone held upright keeps it: Exif 6 turns it back
			for x := range side.Rect.Dx() {
				side.SetRGBA(x, y, up.RGBAAt(y, side.Rect.Dx()-1-x))
			}
		}
		return side
	})
	data, err := os.ReadFile(lying)
	require.NoError(t, err)
	exif := "\xff\xe1\x00\x22Exif\x00\x00MM\x00\x2a\x00\x00\x00\x08\x00\x01\x01\x12\x00\x03\x00\x00\x00\x01\x00\x08\x00\x00\x00\x00\x00\x00"
	require.NoError(t, os.WriteFile(lying, append([]byte("\xff\xd8"+exif), data[2:]...), 0o600))
	p.upload(lying)
	p.sees("where the card seems to be")
	assert.Equal(
		t,
		2048,
		p.MustEval(`() => document.querySelector('.sheet img').naturalWidth`).Int(),
		"it stands upright",
	)

	p.press("button", "Another picture")
	bare, _ := pictured(t, standin.Paw{Seed: 4, NoCard: true}, asItIs)
	p.upload(bare)
	p.sees("No card was found: drag the four squares to its corners")
	p.press("button", "two points")
	p.sees("Drag the two squares to points that are a known distance apart")

	p.press("button", "Another picture")
	dark, _ := pictured(t, standin.Paw{Seed: 5, Light: 0.1}, func(up *image.RGBA) image.Image {
		draw.Draw(up, image.Rect(0, 0, 1, 1), image.Black, image.Point{}, draw.Src)
		return up
	})
	p.upload(dark)
	p.sees("card") // found or not: it says which
	p.press("button", "Another picture")

	broken := filepath.Join(t.TempDir(), "broken.jpg")
	require.NoError(t, os.WriteFile(broken, data[:len(data)/3], 0o600))
	input, err := p.Element("#photo-file")
	p.require(err, "the file field")
	p.require(input.SetFiles([]string{broken}), "a broken file chosen")
	p.sees("must be a whole picture: it is cut short or damaged")

	// What a stranger's page sends is no picture of ours.
	request, err := http.NewRequest(
		http.MethodPut,
		program.address+"/api/dogs/"+id+"/pictures/7b0e4bb5-3b1e-4b43-9c3a-0f0f4d0f0001?paw=LF",
		strings.NewReader("x"),
	)
	require.NoError(t, err)
	request.Header.Set("Content-Type", "application/octet-stream")
	request.Header.Set("Sec-Fetch-Site", "cross-site")
	response, err := http.DefaultClient.Do(request)
	require.NoError(t, err)
	defer response.Body.Close()
	assert.Equal(t, http.StatusForbidden, response.StatusCode)
}

// Two of a paw under one slider; one is deleted for good.
func TestBeforeAndAfter(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day, "--listen", anywhere)
	id := program.dogs()["Fig"]
	p := tab(t, browser(t), program.address+"/dogs/"+id)
	p.press("button.latest", "")
	p.sees("Before (")
	share := func() string { return p.MustEval(`() => document.querySelector('.two .over').style.clipPath`).Str() }
	before := share()
	p.MustEval(
		`() => { const s = document.getElementById('before-after'); s.value = 80; s.dispatchEvent(new Event('input')) }`,
	)
	require.Eventually(t, func() bool { return share() != before }, patience, 50_000_000)
	p.press(".all button", "Delete…")
	p.press("button", "Delete it for good")
	p.sees("left fore · 2")
	var kept struct{ Pictures []struct{ Code string } }
	program.get("/api/dogs/"+id+"/pictures", &kept)
	paws := 0
	for _, one := range kept.Pictures {
		if one.Code == "" { // the others are of cut ends
			paws++
		}
	}
	assert.Equal(t, 2, paws)
}
