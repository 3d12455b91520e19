// Package visitor is who a request comes from, and the devices that may come in.
package visitor

import (
	"context"
	"errors"
	"time"
)

// Visitor is who is answered.
type Visitor struct {
	Device string // empty on this machine itself
	Who    string // a first name or sign; empty where nobody said
}

// Host tells whether it is this machine's own browser.
func (v Visitor) Host() bool { return v.Device == "" }

// Device is one that may come in.
type Device struct {
	ID       string
	Name     string
	Who      string // a first name or sign; empty where nobody said
	PairedAt time.Time
	SeenAt   time.Time
}

// ErrNoSuchDevice says that there is none of that id.
var ErrNoSuchDevice = errors.New("no such device")

type key struct{}

// With is a context of a request that comes from a visitor.
func With(ctx context.Context, v Visitor) context.Context { return context.WithValue(ctx, key{}, v) }

// Of is who a request comes from; this machine where nobody said otherwise.
func Of(ctx context.Context) Visitor {
	v, _ := ctx.Value(key{}).(Visitor)
	return v
}
