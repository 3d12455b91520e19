package demo

import (
	"bytes"
	"context"
	"image/jpeg"

	"github.com/google/uuid"

	"fribbet/internal/book"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/photo"
	"fribbet/internal/standin"
	"fribbet/internal/store"
)

// pictured is the dog of whose left fore paw there are pictures: before its last sitting and after it, with its own
// nails, drawn by the simulated camera; after it from the side as well.
const pictured = "Fig"

func fillPictures(ctx context.Context, b *book.Book, dogs map[string]uuid.UUID) error {
	v, err := b.View(ctx, dogs[pictured])
	if err != nil {
		return err
	}
	on := v.Sittings[len(v.Sittings)-1].On
	at := photo.Point{X: 42, Y: 52}
	for i, taken := range []struct {
		grown float64 // mm that were still there
		days  int     // beside that sitting
		look  photo.Looking
	}{
		{3.2, -1, photo.Looking{Point: at, Distance: 118, Tilt: 14, About: 30, Turned: 4}},
		{0, 0, photo.Looking{Point: at, Distance: 132, Tilt: 36, About: 210, Turned: -4}},
		{0, 0, photo.Looking{Point: at, Distance: 124, Tilt: 14, About: 80, Turned: -2}},
	} {
		paw := standin.Paw{Seed: uint64(min(i, 1))}
		for _, r := range v.Readings {
			if r.Code.Paw != nail.LF || r.Code.Dewclaw() || len(paw.Nails) == 3 {
				continue
			}
			stance := r.Claw.Grown(taken.grown).AtCoatHeight(r.Stance().CoatHeight())
			paw.Nails = append(
				paw.Nails,
				standin.PawNail{Stance: stance, Quick: r.Length.Value - r.Spare.Value, Clear: r.Colour == nail.Light},
			)
		}
		var data bytes.Buffer
		if err := jpeg.Encode(&data, paw.Take(taken.look, 1600, 1200).Picture, nil); err != nil {
			return err
		}
		p := store.Picture{
			ID:    uuid.NewSHA1(dogs[pictured], []byte{byte(i)}),
			DogID: dogs[pictured],
			Paw:   nail.LF,
			On:    on.AddDays(taken.days),
		}
		if _, err := b.AddPicture(ctx, p, data.Bytes()); err != nil {
			return err
		}
	}
	return nil
}
