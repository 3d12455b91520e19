package formats

import (
	"bytes"
	"errors"
	"fmt"
	"image"
	"image/color"
	"image/draw"
	"image/jpeg"
	_ "image/png" // is read
	"runtime"
	"sync"

	"github.com/bep/imagemeta"
	xdraw "golang.org/x/image/draw"
	_ "golang.org/x/image/webp" // is read

	"fribbet/internal/core/photo"
)

// Picture is a picture turned upright, made anew as a JPEG without any other data: no place, no time of the camera.
type Picture struct {
	Width, Height int
	JPEG          []byte
	Small         []byte // the same, to be listed
	Pixels        *image.RGBA
}

// What of pictures is taken.
const (
	MostPictureBytes = 20 << 20
	mostPixels       = 50_000_000
	mostDeepPixels   = 20_000_000 // with 16 bits a colour
	leastSide        = 64         // pixels
	mostSide         = 20_000
	smallSide        = 320
	quality          = 88
)

var kinds = map[string]imagemeta.ImageFormat{"jpeg": imagemeta.JPEG, "png": imagemeta.PNG, "webp": imagemeta.WebP}

// ReadPicture reads a JPEG, PNG or WebP, whatever its name says it is. The error says what would be right.
func ReadPicture(data []byte) (Picture, error) {
	if len(data) > MostPictureBytes {
		return Picture{}, fmt.Errorf("must have at most %d MB", MostPictureBytes>>20)
	}
	config, kind, err := image.DecodeConfig(bytes.NewReader(data))
	if _, known := kinds[kind]; err != nil || !known {
		return Picture{}, errors.New("must be a picture: JPEG, PNG or WebP")
	}
	pixels, most := config.Width*config.Height, mostPixels
	if config.ColorModel == color.NRGBA64Model || config.ColorModel == color.RGBA64Model ||
		config.ColorModel == color.Gray16Model {
		most = mostDeepPixels
	}
	switch {
	case config.Width < leastSide || config.Height < leastSide:
		return Picture{}, fmt.Errorf("must be at least %d pixels wide and high", leastSide)
	case config.Width > mostSide || config.Height > mostSide:
		return Picture{}, fmt.Errorf("must be at most %d pixels wide and high", mostSide)
	case pixels > most:
		return Picture{}, fmt.Errorf("must have at most %d million pixels", most/1_000_000)
	case moves(kind, data):
		return Picture{}, errors.New("must be a still picture: this one moves")
	}
	read, _, err := image.Decode(bytes.NewReader(data))
	if err != nil {
		return Picture{}, errors.New("must be a whole picture: it is cut short or damaged")
	}
	upright := turned(scaled(read, photo.MostSide), orientation(kind, data))
	p := Picture{Width: upright.Rect.Dx(), Height: upright.Rect.Dy(), Pixels: upright}
	if p.JPEG, err = asJPEG(upright); err != nil {
		return Picture{}, err
	}
	p.Small, err = asJPEG(scaled(upright, smallSide))
	return p, err
}

// PixelsOf are a kept picture's.
func PixelsOf(kept []byte) (*image.RGBA, error) {
	read, err := jpeg.Decode(bytes.NewReader(kept))
	if err != nil {
		return nil, err
	}
	out := image.NewRGBA(read.Bounds())
	draw.Draw(out, out.Rect, read, image.Point{}, draw.Src)
	return out, nil
}

func asJPEG(p image.Image) ([]byte, error) {
	var out bytes.Buffer
	err := jpeg.Encode(&out, p, &jpeg.Options{Quality: quality})
	return out.Bytes(), err
}

// moves tells whether a picture has more than one frame.
func moves(kind string, data []byte) bool {
	switch kind {
	case "png":
		head, _, _ := bytes.Cut(data, []byte("IDAT"))
		return bytes.Contains(head, []byte("acTL"))
	case "webp":
		return len(data) > 21 && string(data[12:16]) == "VP8X" && data[20]&0x02 != 0
	}
	return false
}

// orientation is how the camera was held, 1 to 8 as Exif has it; 1 where nothing says so.
func orientation(kind string, data []byte) int {
	held := 1
	_, err := imagemeta.Decode(imagemeta.Options{
		R: bytes.NewReader(data), ImageFormat: kinds[kind], Sources: imagemeta.EXIF,
		ShouldHandleTag: func(tag imagemeta.TagInfo) bool { return tag.Tag == "Orientation" },
		HandleTag: func(tag imagemeta.TagInfo) error {
			if n, is := tag.Value.(uint16); is && n >= 1 && n <= 8 && tag.Namespace == "IFD0" {
				held = int(n)
			}
			return nil
		},
	})
	if err != nil { // what it says of itself is damaged: then it is taken as it is
		return 1
	}
	return held
}

// scaled is a picture on white, its longer side at most so long; at most halved in one step, so that every pixel of it
// counts.
func scaled(p image.Image, most int) *image.RGBA {
	b := p.Bounds()
	w, h := b.Dx(), b.Dy()
	if long := max(w, h); long > 2*most {
		w, h = max(1, w/2), max(1, h/2)
	} else if long > most {
		w, h = max(1, w*most/long), max(1, h*most/long)
	}
	out := image.NewRGBA(image.Rect(0, 0, w, h))
	draw.Draw(out, out.Rect, image.White, image.Point{}, draw.Src)
	var all sync.WaitGroup
	parts := runtime.GOMAXPROCS(0)
	for part := range parts { // each a band of it
		band, _ := out.SubImage(image.Rect(0, h*part/parts, w, h*(part+1)/parts)).(*image.RGBA)
		all.Go(func() { xdraw.ApproxBiLinear.Scale(band, out.Rect, p, b, draw.Over, nil) })
	}
	all.Wait()
	if max(w, h) > most {
		return scaled(out, most)
	}
	return out
}

// turned is a picture upright that was taken so held.
func turned(p *image.RGBA, held int) *image.RGBA {
	if held == 1 {
		return p
	}
	w, h := p.Rect.Dx(), p.Rect.Dy()
	out := image.NewRGBA(image.Rect(0, 0, w, h))
	if held >= 5 {
		out = image.NewRGBA(image.Rect(0, 0, h, w))
	}
	for y := range out.Rect.Dy() {
		for x := range out.Rect.Dx() {
			u, v := x, y
			switch held {
			case 2:
				u = w - 1 - x
			case 3:
				u, v = w-1-x, h-1-y
			case 4:
				v = h - 1 - y
			case 5:
				u, v = y, x
			case 6:
				u, v = y, h-1-x
			case 7:
				u, v = w-1-y, h-1-x
			case 8:
				u, v = w-1-y, x
			}
			copy(out.Pix[out.PixOffset(x, y):][:4], p.Pix[p.PixOffset(u, v):][:4])
		}
	}
	return out
}
