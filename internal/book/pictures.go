package book

import (
	"context"
	"image"
	"slices"
	"sync"

	"github.com/google/uuid"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/photo"
	"fribbet/internal/formats"
	"fribbet/internal/store"
)

// AddPicture keeps a picture of a paw: upright, without any other data, with a guess at a card's corners. Without a day
// it is today's. The same once more changes nothing.
func (b *Book) AddPicture(ctx context.Context, p store.Picture, data []byte) (store.Picture, error) {
	if p.On.IsZero() {
		p.On = b.Today()
	}
	var f fault.Fields
	if p.On.After(b.Today()) {
		f.Add("on", p.On, "must not lie in the future")
	}
	if err := f.Err(); err != nil {
		return p, err
	}
	if _, err := b.store.Dog(ctx, p.DogID); err != nil {
		return p, err
	}
	b.pictures.Lock() // one at a time: a large one takes a few hundred megabytes
	defer b.pictures.Unlock()
	read, err := formats.ReadPicture(data)
	if err != nil {
		return p, fault.Fields{{Name: "picture", Value: "what was sent", Want: err.Error()}}
	}
	p.Width, p.Height = read.Width, read.Height
	if corners, is := photo.Guess(read.Pixels); is {
		p.Corners = corners
	}
	return b.store.AddPicture(ctx, p, read.JPEG, read.Small, b.now())
}

// Pictures are a dog's, the latest first.
func (b *Book) Pictures(ctx context.Context, dogID uuid.UUID) ([]store.Picture, error) {
	if _, err := b.store.Dog(ctx, dogID); err != nil {
		return nil, err
	}
	return b.store.Pictures(ctx, dogID)
}

// PictureFile is a kept picture, whole or small.
func (b *Book) PictureFile(ctx context.Context, hash string, small bool) ([]byte, error) {
	return b.store.PictureFile(ctx, hash, small)
}

// RemovePicture deletes one for good.
func (b *Book) RemovePicture(ctx context.Context, dogID, id uuid.UUID) error {
	return b.store.RemovePicture(ctx, dogID, id)
}

// PicturesKept is how many pictures there are, what they take, and where.
type PicturesKept struct {
	Pictures int
	Bytes    int64
	Place    string
}

// PicturesKept tells it.
func (b *Book) PicturesKept(ctx context.Context) (k PicturesKept, err error) {
	k.Place = b.store.PicturePlace()
	k.Pictures, k.Bytes, err = b.store.PictureSizes(ctx)
	return k, err
}

// lookedAt is the picture that was looked at last: its points are moved many times, and it is decoded once.
type lookedAt struct {
	sync.Mutex
	hash   string
	pixels *image.RGBA
}

// checkOutline holds a card's corners to what a kept picture shows.
func (b *Book) checkOutline(ctx context.Context, dogID, pictureID uuid.UUID, s photo.Shot) error {
	all, err := b.store.Pictures(ctx, dogID)
	if err != nil {
		return err
	}
	at := slices.IndexFunc(all, func(p store.Picture) bool { return p.ID == pictureID })
	if at < 0 {
		return fault.Fields{{Name: "picture_id", Value: pictureID.String(), Want: "must be one of this dog's pictures"}}
	}
	b.looked.Lock()
	defer b.looked.Unlock()
	if b.looked.hash != all[at].Hash {
		data, err := b.store.PictureFile(ctx, all[at].Hash, false)
		if err != nil {
			return err
		}
		if b.looked.pixels, err = formats.PixelsOf(data); err != nil {
			return err
		}
		b.looked.hash = all[at].Hash
	}
	return s.CheckOutline(photo.OutlineOf(b.looked.pixels, s.Handles))
}

// PhotoRead is what a picture says of a nail, and the shape that its bend is.
type PhotoRead struct {
	photo.Read
	Shape *nail.Shape // nil where no bend was told
}

// ReadPhoto reads a dog's nail off a picture; nothing is kept. Where the picture is told, the card's corners are held to
// what it shows; uuid.Nil: it is not.
func (b *Book) ReadPhoto(ctx context.Context, dogID uuid.UUID, code nail.Code, pictureID uuid.UUID, s photo.Shot, m photo.Marks) (PhotoRead, error) {
	d, err := b.store.Dog(ctx, dogID)
	if err != nil {
		return PhotoRead{}, err
	}
	read, err := s.Read(m)
	if err == nil && pictureID != uuid.Nil && s.Reference == photo.Card {
		err = b.checkOutline(ctx, dogID, pictureID, s)
	}
	out := PhotoRead{Read: read}
	if err == nil && m.Ridge != nil {
		shape := read.Shape(code, d.WeightOn(b.Today()))
		out.Shape = &shape
	}
	return out, err
}
