package book

import (
	"context"
	"time"

	"fribbet/internal/core/caliper"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
)

// patience is how long a caliper may take over one line before what came counts as half of it.
const patience = 1500 * time.Millisecond

// Readings gives what the caliper sends until ctx ends or its link breaks: the last reading then says so, and the
// channel is closed. Without a caliper it returns ErrNoCaliper.
func (b *Book) Readings(ctx context.Context) (<-chan caliper.Reading, error) {
	if b.caliper == nil {
		return nil, ErrNoCaliper
	}
	return readings(ctx, b.caliper), nil
}

// StandInMove is what is done to a simulated caliper.
type StandInMove string

// What is done to it, one by one.
const (
	SendsLength  StandInMove = "length"
	SendsGarbage StandInMove = "garbage"
	SendsHalf    StandInMove = "half"
	IsUnplugged  StandInMove = "unplug"
)

// MoveCaliper opens the jaw of the simulated caliper, mm, and presses its button. Without one it returns ErrNoCaliper.
func (b *Book) MoveCaliper(jaw float64, move StandInMove) error {
	device, is := b.caliper.(StandInCaliper)
	if !is {
		return ErrNoCaliper
	}
	var f fault.Fields
	f.Range("jaw_mm", jaw, 0, caliper.Most, fault.MM)
	if err := f.Err(); err != nil {
		return err
	}
	switch move {
	case SendsLength:
		device.Send(jaw)
	case SendsGarbage:
		device.Garble()
	case SendsHalf:
		device.Half(jaw)
	case IsUnplugged:
		device.Unplug()
	}
	return nil
}

func readings(ctx context.Context, device Caliper) <-chan caliper.Reading {
	readings := make(chan caliper.Reading)
	pieces, unlink := device.Link()
	give := func(r caliper.Reading) {
		select {
		case readings <- r:
		case <-ctx.Done():
		}
	}
	go func() {
		defer close(readings)
		defer unlink()
		var reader caliper.Reader
		for {
			select {
			case <-ctx.Done():
				return
			case piece, linked := <-pieces:
				if !linked {
					give(caliper.Reading{Trouble: say.Of(theLinkToTheCaliper)})
					return
				}
				for _, r := range reader.Feed(piece) {
					give(r)
				}
			case <-time.After(patience):
				if r, half := reader.Silent(); half {
					give(r)
				}
			}
		}
	}()
	return readings
}
