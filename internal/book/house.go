package book

import (
	"context"
	"time"

	"fribbet/internal/formats"
	"fribbet/internal/visitor"
)

// HouseView is the other devices, as whoever asks sees them.
type HouseView struct {
	Open        bool // others than this machine are answered
	Addresses   []string
	Fingerprint string
	Devices     []visitor.Device
	Asks        visitor.Visitor
}

// House is the other devices that are answered.
func (b *Book) House(ctx context.Context) (HouseView, error) {
	out := HouseView{Asks: visitor.Of(ctx)}
	if b.house == nil {
		return out, nil
	}
	out.Open, out.Addresses, out.Fingerprint = true, b.house.Addresses(), b.house.Fingerprint()
	var err error
	out.Devices, err = b.house.Devices(ctx)
	return out, err
}

// PrintedCode is an address as a two-dimensional code too: an SVG path in squares of 1, of which Size lie side by side.
type PrintedCode struct {
	URL  string
	Path string
	Size int
}

func printed(url string) (PrintedCode, error) {
	path, size, err := formats.Code(url)
	return PrintedCode{url, path, size}, err
}

// Pairing is where another device is let in once, and until when. Only this machine itself asks for it: ErrOnlyHost.
func (b *Book) Pairing(ctx context.Context) (PrintedCode, time.Time, error) {
	if b.house == nil {
		return PrintedCode{}, time.Time{}, ErrNotFound
	}
	if !visitor.Of(ctx).Host() {
		return PrintedCode{}, time.Time{}, ErrOnlyHost
	}
	code, until := b.house.Code()
	at, err := printed(b.house.Addresses()[0] + "access/pair?code=" + code)
	return at, until, err
}

// NameDevice gives a device another name and says who uses it. It returns ErrNoSuchDevice, or the fields at fault.
func (b *Book) NameDevice(ctx context.Context, id, name, who string) error {
	if b.house == nil {
		return ErrNoSuchDevice
	}
	return b.house.NameDevice(ctx, id, name, who)
}

// WithdrawDevice lets a device in no more, and gives the addresses that open without it, as the calendar's, new keys if
// that is wished.
func (b *Book) WithdrawDevice(ctx context.Context, id string, renew bool) error {
	if b.house == nil {
		return ErrNoSuchDevice
	}
	if err := b.house.Withdraw(ctx, id); err != nil || !renew {
		return err
	}
	return b.RenewKeys(ctx)
}

// who asks: a first name or sign; empty on this machine itself, or where nobody said.
func who(ctx context.Context) string { return visitor.Of(ctx).Who }
