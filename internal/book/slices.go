package book

import (
	"context"
	"slices"

	"github.com/google/uuid"

	"fribbet/internal/core/bench"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/hand"
	"fribbet/internal/core/photo"
	"fribbet/internal/core/say"
	"fribbet/internal/formats"
	"fribbet/internal/store"
)

// Measured is what a hand's slices off a stick said of it, and which they were.
type Measured struct {
	store.Stick
	hand.Learnt
}

// mostSticks is how many of the last measurements are told.
const mostSticks = 30

// Slices is how the user's slices come out by the last that were measured; false where none were, or nothing
// can be made of them.
func (b *Book) Slices(ctx context.Context) (Measured, bool, error) {
	all, err := b.sticks(ctx, 1)
	if err != nil || len(all) == 0 {
		return Measured{}, false, err
	}
	return all[0], true, nil
}

// SlicesSoFar are all that were measured, the latest first: it is the first by which plans go.
func (b *Book) SlicesSoFar(ctx context.Context) ([]Measured, error) { return b.sticks(ctx, mostSticks) }

func (b *Book) sticks(ctx context.Context, most int) (all []Measured, err error) {
	sticks, err := b.store.Sticks(ctx, most)
	for _, s := range sticks {
		if learnt, err := hand.Learn(
			s.Meant,
			s.Slices,
		); err == nil { // rows put there by hand tell nothing, and shut nothing
			all = append(all, Measured{s, learnt})
		}
	}
	return all, err
}

// hand is how the slices come out of whoever works today.
func (b *Book) hand(ctx context.Context) (hand.Slices, error) {
	m, _, err := b.Slices(ctx)
	return m.Learnt.Slices, err
}

// ReadSlices reads slices that were meant to be so many mm off a picture, and what they say of the hand; nothing is
// kept.
func (b *Book) ReadSlices(meant float64, s photo.Shot, ends []photo.Ends) (store.Stick, hand.Learnt, error) {
	read, err := s.Thicknesses(ends)
	if err != nil {
		return store.Stick{}, hand.Learnt{}, err
	}
	learnt, err := hand.Learn(meant, read)
	return store.Stick{On: b.Today(), Meant: meant, Slices: read}, learnt, err
}

// KeepSlices keeps them: from now on plans reckon with that hand, and cuts are believed as it cuts.
func (b *Book) KeepSlices(ctx context.Context, id uuid.UUID, meant float64, s photo.Shot, ends []photo.Ends) error {
	stick, _, err := b.ReadSlices(meant, s, ends)
	if err != nil {
		return err
	}
	stick.ID = id
	return b.store.AddStick(ctx, stick, b.now())
}

// ForgetSlices makes some count no more; what was cut meanwhile stays as it was believed.
func (b *Book) ForgetSlices(ctx context.Context, id uuid.UUID) error {
	return b.store.WithdrawStick(ctx, id, b.now())
}

// HasCamera tells whether a camera takes pictures of slices.
func (b *Book) HasCamera() bool { return b.camera != nil }

// TakeSlices is a picture of slices from the camera, a JPEG. Without one it returns ErrNoCamera.
func (b *Book) TakeSlices() ([]byte, error) {
	if b.camera == nil {
		return nil, ErrNoCamera
	}
	return b.camera.Slices()
}

// CardIn looks for a card in a picture that is not kept: how large it is once it is upright, and the corners where they
// were found.
func (b *Book) CardIn(data []byte) (width, height int, corners []photo.Point, err error) {
	b.pictures.Lock() // one at a time: a large one takes a few hundred megabytes
	defer b.pictures.Unlock()
	read, err := formats.ReadPicture(data)
	if err != nil {
		return 0, 0, nil, fault.Fields{{Name: "picture", Value: "what was sent", Want: say.Plain(err.Error())}}
	}
	corners, _ = photo.Guess(read.Pixels)
	return read.Width, read.Height, corners, nil
}

// byHand is what is told with what is known of the hand that cuts, said at the start: the sign at which it stops as
// Settings have it, and how its slices come out.
func (b *Book) byHand(ctx context.Context, events []bench.Event) ([]bench.Event, error) {
	i := slices.IndexFunc(events, func(e bench.Event) bool { return e.Kind == bench.Started && e.Stop == "" })
	if i < 0 {
		return events, nil
	}
	settings, err := b.Settings(ctx)
	if err != nil {
		return nil, err
	}
	events = slices.Clone(events)
	events[i].Stop = settings.EndPoint
	if settings.Slices.Known() {
		events[i].Hand = &settings.Slices
	}
	return events, nil
}
