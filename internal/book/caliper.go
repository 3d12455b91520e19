package book

import (
	"context"
	"time"

	"fribbet/internal/core/caliper"
	"fribbet/internal/core/say"
)

// Caliper is a measuring device that sends bytes until its link breaks, which closes the channel.
type Caliper interface {
	Link() (bytes <-chan []byte, unlink func())
}

// patience is how long a caliper may take over one line before what came counts as half of it.
const patience = 1500 * time.Millisecond

// Readings gives what a caliper sends until ctx ends or its link breaks: the last reading then
// says so, and the channel is closed.
func Readings(ctx context.Context, device Caliper) <-chan caliper.Reading {
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
