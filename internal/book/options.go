package book

import (
	"context"
	"errors"
	"time"

	"fribbet/internal/core/round"
	"fribbet/internal/visitor"
)

// Options are the devices and services that a book is used with: what is nil is not there. A real one is one file that
// has these methods, given here where the program begins.
type Options struct {
	Caliper Caliper
	Gateway Gateway
	Camera  Camera
	House   House
}

// Caliper is a measuring device that sends bytes until its link breaks, which closes the channel.
type Caliper interface {
	Link() (bytes <-chan []byte, unlink func())
}

// StandInCaliper is a simulated one: the screen opens its jaw and presses its button.
type StandInCaliper interface {
	Caliper
	Send(mm float64) // a reading
	Half(mm float64) // the beginning of one, and nothing more
	Garble()         // what a loose plug makes of one
	Unplug()
}

// Gateway is a message service. It takes a message of an id once, however often it is sent.
type Gateway interface {
	Send(id, to, text string) error
	Reports(since int) ([]round.Report, error) // what it has to say since a number
}

// StandInGateway is a simulated one: the screen shows what owners got, and answers for them.
type StandInGateway interface {
	Gateway
	Taken() []round.Taken // the first first
	Answer(id, text string) error
}

// Camera takes a picture of slices that lie beside a card; the demonstration has a simulated one.
type Camera interface {
	Slices() (jpeg []byte, err error)
}

// House is the other devices that are answered, and by which addresses.
type House interface {
	Addresses() []string // https://… the best first
	Fingerprint() string // of the certificate; empty behind a proxy
	Code() (code string, until time.Time)
	Devices(ctx context.Context) ([]visitor.Device, error)
	NameDevice(ctx context.Context, id, name, who string) error // visitor.ErrNoSuchDevice
	Withdraw(ctx context.Context, id string) error              // visitor.ErrNoSuchDevice
}

// What is asked of a device that is not there, or of whom it does not answer.
var (
	ErrNoCaliper    = errors.New("no caliper")
	ErrNoCamera     = errors.New("no camera")
	ErrOnlyHost     = errors.New("only on the machine itself")
	ErrNoSuchDevice = visitor.ErrNoSuchDevice
)
