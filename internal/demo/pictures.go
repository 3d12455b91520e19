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
// nails, drawn by the simulated camera.
const pictured = "Fig"

func fillPictures(ctx context.Context, b *book.Book, dogs map[string]uuid.UUID) error {
	v, err := b.View(ctx, dogs[pictured])
	if err != nil {
		return err
	}
	on := v.Sittings[len(v.Sittings)-1].On
	for i, grown := range []float64{3.2, 0} { // mm that were still there before
		paw := standin.Paw{Seed: uint64(i)}
		for _, r := range v.Readings {
			if r.Code.Paw != nail.LF || r.Code.Dewclaw() || len(paw.Nails) == 3 {
				continue
			}
			stance := r.Claw.Grown(grown).AtCoatHeight(r.Stance().CoatHeight())
			paw.Nails = append(paw.Nails, standin.PawNail{Stance: stance, Quick: r.Length.Value - r.Spare.Value, Clear: r.Colour == nail.Light})
		}
		look := photo.Looking{Point: photo.Point{X: 42, Y: 52}, Distance: 118 + 6*float64(i), Tilt: 14, About: 30 + 50*float64(i), Turned: 4 - 6*float64(i)}
		var data bytes.Buffer
		if err := jpeg.Encode(&data, paw.Take(look, 1600, 1200).Picture, nil); err != nil {
			return err
		}
		p := store.Picture{ID: uuid.NewSHA1(dogs[pictured], []byte{byte(i)}), DogID: dogs[pictured], Paw: nail.LF, On: on.AddDays(i - 1)}
		if _, err := b.AddPicture(ctx, p, data.Bytes()); err != nil {
			return err
		}
	}
	return nil
}
