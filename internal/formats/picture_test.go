package formats

import (
	"bytes"
	"encoding/binary"
	"fmt"
	"hash/crc32"
	"image"
	"image/color"
	"image/draw"
	"image/gif"
	"image/jpeg"
	"image/png"
	"testing"
	"time"

	"github.com/bep/imagemeta"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/worked"
)

// marked is a picture whose top left is red and whose top right is green, the rest grey.
func marked(w, h int) *image.RGBA {
	p := image.NewRGBA(image.Rect(0, 0, w, h))
	for _, one := range []struct {
		c color.RGBA
		r image.Rectangle
	}{
		{color.RGBA{128, 128, 128, 255}, p.Rect},
		{color.RGBA{255, 0, 0, 255}, image.Rect(0, 0, w/3, h/3)}, {color.RGBA{0, 255, 0, 255}, image.Rect(w-w/3, 0, w, h/3)},
	} {
		draw.Draw(p, one.r, image.NewUniform(one.c), image.Point{}, draw.Src)
	}
	return p
}

func jpegOf(p image.Image) []byte {
	var out bytes.Buffer
	_ = jpeg.Encode(&out, p, &jpeg.Options{Quality: 95})
	return out.Bytes()
}

func pngOf(p image.Image) []byte {
	var out bytes.Buffer
	_ = png.Encode(&out, p)
	return out.Bytes()
}

// exif says how a camera was held, and where it was (Exif 2.3, JEITA CP-3451C: big-endian TIFF in APP1).
func exif(held int) []byte {
	entry := func(tag, kind uint16, count, value uint32) []byte {
		return binary.BigEndian.AppendUint32(
			binary.BigEndian.AppendUint32(
				binary.BigEndian.AppendUint16(binary.BigEndian.AppendUint16(nil, tag), kind),
				count,
			),
			value,
		)
	}
	tiff := []byte("MM\x00\x2a\x00\x00\x00\x08\x00\x02")
	tiff = append(tiff, entry(0x0112, 3, 1, uint32(held)<<16)...)
	tiff = append(tiff, entry(0x8825, 4, 1, 38)...)                          // the place
	tiff = append(append(tiff, 0, 0, 0, 0), 0, 1)                            // no more; one of the place
	tiff = append(append(tiff, entry(0x0001, 2, 2, 'N'<<24)...), 0, 0, 0, 0) // north
	return append([]byte("Exif\x00\x00"), tiff...)
}

func withExif(picture []byte, held int) []byte {
	said := exif(held)
	out := append([]byte{}, picture[:2]...)
	out = append(binary.BigEndian.AppendUint16(append(out, 0xff, 0xe1), uint16(len(said)+2)), said...)
	return append(out, picture[2:]...)
}

// However a camera was held the picture stands upright, and of what the camera said of itself nothing is kept.
func TestPicturesStandUprightAndSayNothing(t *testing.T) {
	upright := marked(300, 200)
	for held := 1; held <= 8; held++ {
		// What a camera held so would have kept: turned back to what it was by the same numbers, 6 and 8 changing
		// places.
		stored := turned(upright, map[int]int{6: 8, 8: 6}[held]+map[bool]int{true: held}[held != 6 && held != 8])
		data := withExif(jpegOf(stored), held)
		p, err := ReadPicture(data)
		require.NoError(t, err, held)
		assert.Equal(t, []int{300, 200}, []int{p.Width, p.Height}, held)
		seen, err := jpeg.Decode(bytes.NewReader(p.JPEG))
		require.NoError(t, err)
		red, _, _, _ := seen.At(20, 20).RGBA()
		_, green, _, _ := seen.At(280, 20).RGBA()
		assert.Greater(t, red>>8, uint32(200), held)
		assert.Greater(t, green>>8, uint32(200), held)

		assert.True(t, bytes.Contains(data, []byte("Exif")))
		for _, kept := range [][]byte{p.JPEG, p.Small} {
			assert.False(t, bytes.Contains(kept, []byte("Exif")))
			tags := 0
			_, err = imagemeta.Decode(
				imagemeta.Options{
					R:           bytes.NewReader(kept),
					ImageFormat: imagemeta.JPEG,
					Sources:     imagemeta.EXIF | imagemeta.IPTC | imagemeta.XMP,
					HandleTag:   func(imagemeta.TagInfo) error { tags++; return nil },
				},
			)
			require.NoError(t, err)
			assert.Zero(t, tags, "no place, no time")
		}
	}
}

// A turn is named by what takes it back: Exif 6 is stored a quarter turn to the left, and so on (Exif 2.3, table of
// orientations).
func TestTurnsAreExifs(t *testing.T) {
	p := marked(30, 20)
	red := color.RGBA{255, 0, 0, 255}
	for held, corner := range map[int][2]int{
		1: {0, 0}, 2: {29, 0}, 3: {29, 19}, 4: {0, 19}, 5: {0, 0}, 6: {19, 0}, 7: {19, 29}, 8: {0, 29},
	} {
		assert.Equal(t, red, turned(p, held).RGBAAt(corner[0], corner[1]), held)
	}
}

// Of each kind a picture that is taken, and the same again comes to the same bytes.
func TestPicturesOfEveryKind(t *testing.T) {
	deep := image.NewNRGBA64(image.Rect(0, 0, 80, 80))
	cmyk := image.NewCMYK(image.Rect(0, 0, 80, 80))
	for name, data := range map[string][]byte{
		"jpeg": jpegOf(marked(400, 300)), "png": pngOf(marked(400, 300)), "16 bit": pngOf(deep), "cmyk": jpegOf(cmyk), "grey": pngOf(image.NewGray(image.Rect(0, 0, 64, 64))),
		"palette": pngOf(image.NewPaletted(image.Rect(0, 0, 99, 99), color.Palette{color.White, color.Black})), "webp": webp,
	} {
		p, err := ReadPicture(data)
		require.NoError(t, err, name)
		again, err := ReadPicture(data)
		require.NoError(t, err)
		assert.Equal(t, p.JPEG, again.JPEG, name)
		_, err = jpeg.Decode(bytes.NewReader(p.Small))
		require.NoError(t, err, name)
	}
	large, err := ReadPicture(jpegOf(marked(4000, 3000)))
	require.NoError(t, err)
	assert.Equal(t, []int{2048, 1536}, []int{large.Width, large.Height})
}

// webp is the smallest there is of 64 pixels a side, one colour (lossless VP8L, written by hand after RFC 9649).
var webp = func() []byte {
	body := []byte{0x2f, 0x3f, 0xc0, 0x0f, 0x00, 0x07, 0x10, 0xfd, 0x8f, 0xfe, 0x07, 0x22, 0xa2, 0xff, 0x01, 0x00}
	chunk := append([]byte("WEBPVP8L"), binary.LittleEndian.AppendUint32(nil, uint32(len(body)))...)
	chunk = append(chunk, body...)
	return append(binary.LittleEndian.AppendUint32([]byte("RIFF"), uint32(len(chunk))), chunk...)
}()

// chunk is one of a PNG.
func chunk(kind string, data []byte) []byte {
	out := append(binary.BigEndian.AppendUint32(nil, uint32(len(data))), kind...)
	out = append(out, data...)
	return binary.BigEndian.AppendUint32(out, crc32.ChecksumIEEE(out[4:]))
}

// claims is a PNG that says it is so large and holds next to nothing: a bomb.
func claims(w, h uint32) []byte {
	data := []byte("\x89PNG\r\n\x1a\n")
	data = append(
		data,
		chunk(
			"IHDR",
			append(binary.BigEndian.AppendUint32(binary.BigEndian.AppendUint32(nil, w), h), 8, 2, 0, 0, 0),
		)...)
	return append(data, chunk("IDAT", []byte{0x78, 0x9c, 1, 0, 0, 0xff, 0xff})...)
}

func TestPicturesThatAreNotTaken(t *testing.T) {
	whole := jpegOf(marked(400, 300))
	plain := pngOf(marked(100, 100))
	moving := append(append(append([]byte{}, plain[:33]...), chunk("acTL", make([]byte, 8))...), plain[33:]...)
	var animated bytes.Buffer
	_ = gif.EncodeAll(
		&animated,
		&gif.GIF{
			Image: []*image.Paletted{image.NewPaletted(image.Rect(0, 0, 99, 99), color.Palette{color.White})},
			Delay: []int{1},
		},
	)
	movingWebP := append(
		[]byte("RIFF\x40\x00\x00\x00WEBPVP8X\x0a\x00\x00\x00\x02\x00\x00\x00\x3f\x00\x00\x3f\x00\x00"),
		make([]byte, 40)...)
	for want, bad := range map[string][][]byte{
		"must be a picture: JPEG, PNG or WebP": {nil, []byte("hello"), animated.Bytes(), []byte("%PDF-1.7"), []byte("<svg xmlns='http://www.w3.org/2000/svg'/>")},
		"at most 50 million pixels":            {claims(8661, 5774), claims(20000, 20000)},
		"at most 20000 pixels wide and high":   {claims(600000, 64), claims(60000, 60000), claims(1<<31-1, 64)},
		"at least 64 pixels":                   {pngOf(marked(3, 300)), jpegOf(marked(300, 3))},
		"cut short or damaged":                 {whole[:len(whole)/2], plain[:len(plain)-30], claims(5000, 5000)},
		"must be a still picture":              {moving, movingWebP},
		"at most 20 MB":                        {make([]byte, MostPictureBytes+1)},
	} {
		for i, data := range bad {
			_, err := ReadPicture(data)
			if assert.Error(t, err, fmt.Sprint(want, i)) {
				assert.Contains(t, err.Error(), want, i)
			}
		}
	}
}

// A picture of twelve million pixels is ready in less than two seconds of the processor.
func TestALargePictureIsReadyAtOnce(t *testing.T) {
	data := jpegOf(marked(4000, 3000))
	took := worked.Time(t, func() {
		_, err := ReadPicture(data)
		require.NoError(t, err)
	})
	assert.Less(t, took, 2*time.Second)
}
