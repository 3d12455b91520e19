package book

import (
	"context"
	"errors"
	"image"
	"slices"
	"sync"

	"github.com/google/uuid"

	"fribbet/internal/core/fault"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/photo"
	"fribbet/internal/core/record"
	"fribbet/internal/core/say"
	"fribbet/internal/formats"
	"fribbet/internal/store"
)

// AddPicture keeps a picture of a paw: upright, without any other data, with a guess at a card's corners. Without a day
// it is today's, and it is of whoever asks. The same once more changes nothing.
func (b *Book) AddPicture(ctx context.Context, p store.Picture, data []byte) (store.Picture, error) {
	if p.On.IsZero() {
		p.On = b.Today()
	}
	p.By = who(ctx)
	var f fault.Fields
	if p.On.After(b.Today()) {
		f.Add("on", p.On, say.Of(mustNotLieInThe))
	}
	f = append(f, checkEnd(p.Paw, p.End)...)
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
		return p, fault.Fields{{Name: "picture", Value: "what was sent", Want: say.Plain(err.Error())}}
	}
	p.Width, p.Height = read.Width, read.Height
	if p.End == nil { // beside a cut end lies no card
		p.Corners, _ = photo.Guess(read.Pixels)
	}
	return b.store.AddPicture(ctx, p, read.JPEG, read.Small, b.now())
}

// checkEnd refuses what is no cut end of a paw.
func checkEnd(paw nail.Paw, end *store.CutEnd) (f fault.Fields) {
	if end == nil {
		return nil
	}
	if !slices.Contains(nail.All(), end.Code) || end.Code.Paw != paw {
		f.Add("code", end.Code.String(), say.Of(mustBeANailOfThePaw))
	}
	if end.Sitting == uuid.Nil {
		f.Add("sitting_id", "", say.Of(mustBeTheIdOfItsTrim))
	}
	f.Range("cuts", float64(end.Cuts), 1, record.MostCuts, fault.None)
	return f
}

// Pictures are a dog's, the latest first: those of paws, and of cut ends those that whoever asks took.
func (b *Book) Pictures(ctx context.Context, dogID uuid.UUID) ([]store.Picture, error) {
	if _, err := b.store.Dog(ctx, dogID); err != nil {
		return nil, err
	}
	all, err := b.store.Pictures(ctx, dogID)
	return slices.DeleteFunc(all, func(p store.Picture) bool { return p.End != nil && p.By != who(ctx) }), err
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
	last [2]struct { // a nail is read off two at most
		hash   string
		pixels *image.RGBA
	}
}

// at are a picture's pixels, from the last two that were looked at or by reading it.
func (l *lookedAt) at(hash string, read func() (*image.RGBA, error)) (*image.RGBA, error) {
	l.Lock()
	defer l.Unlock()
	for _, one := range l.last {
		if one.hash == hash {
			return one.pixels, nil
		}
	}
	pixels, err := read()
	if err == nil {
		l.last[1] = l.last[0]
		l.last[0].hash, l.last[0].pixels = hash, pixels
	}
	return pixels, err
}

// checkOutline holds a card's corners to what a kept picture shows.
func (b *Book) checkOutline(ctx context.Context, dogID, pictureID uuid.UUID, s photo.Shot) error {
	all, err := b.store.Pictures(ctx, dogID)
	if err != nil {
		return err
	}
	at := slices.IndexFunc(all, func(p store.Picture) bool { return p.ID == pictureID })
	if at < 0 {
		return fault.Fields{{Name: "picture_id", Value: pictureID.String(), Want: say.Of(mustBeOneOfThis)}}
	}
	pixels, err := b.looked.at(all[at].Hash, func() (*image.RGBA, error) {
		data, err := b.store.PictureFile(ctx, all[at].Hash, false)
		if err != nil {
			return nil, err
		}
		return formats.PixelsOf(data)
	})
	if err != nil {
		return err
	}
	return s.CheckOutline(photo.OutlineOf(pixels, s.Handles))
}

// PhotoRead is what a picture says of a nail, the shape that its bend is, and how it stands to the card.
type PhotoRead struct {
	photo.Read
	Shape  *nail.Shape   // nil where no bend was told
	Stands *photo.Stands // nil where there was no second picture
}

// PhotoAsked is a picture that a nail is to be read off, and where things are in it.
type PhotoAsked struct {
	photo.Shot
	photo.Marks
	PictureID uuid.UUID // the card's corners are held to what it shows; uuid.Nil: they are not
	Side      *photo.Side
	SideID    uuid.UUID
}

// ReadPhoto reads a dog's nail off a picture, or two; nothing is kept.
func (b *Book) ReadPhoto(
	ctx context.Context,
	dogID uuid.UUID,
	code nail.Code,
	in PhotoAsked,
) (out PhotoRead, err error) {
	d, err := b.store.Dog(ctx, dogID)
	if err != nil {
		return out, err
	}
	if in.Side != nil {
		settled, stands, err := in.With(*in.Side, in.Marks)
		if err == nil && in.SideID != uuid.Nil {
			err = ofSide(b.checkOutline(ctx, dogID, in.SideID, in.Side.Shot))
		}
		if err != nil {
			return out, err
		}
		in.Shot, out.Stands = settled, &stands
	}
	if out.Read, err = in.Read(in.Marks); err != nil {
		return out, err
	}
	if in.PictureID != uuid.Nil && in.Reference == photo.Card {
		if err := b.checkOutline(ctx, dogID, in.PictureID, in.Shot); err != nil {
			return out, err
		}
	}
	if in.Ridge != nil {
		shape := out.Read.Shape(code, d.WeightOn(b.Today()))
		out.Shape = &shape
	}
	return out, nil
}

// ofSide says of what is wrong that it is of the second picture.
func ofSide(err error) error {
	var wrong, named fault.Fields
	if !errors.As(err, &wrong) {
		return err
	}
	named.Under("side", wrong)
	return named
}
