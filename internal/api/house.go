package api

import (
	"context"
	"errors"

	"github.com/google/uuid"

	"fribbet/internal/access"
	"fribbet/internal/api/contract"
	"fribbet/internal/formats"
	"fribbet/internal/store"
)

// House is the other devices that are answered, and by which addresses.
type House struct {
	Access      *access.Access
	Addresses   []string      // https://… the best first
	Fingerprint func() string // of the certificate; empty behind a proxy
}

// errHostOnly refuses what is done on the machine itself alone.
var errHostOnly = errors.New("only on the machine itself")

func (h handlers) GetHouse(ctx context.Context, _ contract.GetHouseRequestObject) (contract.GetHouseResponseObject, error) {
	out, err := h.devices(ctx)
	return contract.GetHouse200JSONResponse{HouseJSONResponse: out}, err
}

func (h handlers) MakePairingCode(ctx context.Context, _ contract.MakePairingCodeRequestObject) (contract.MakePairingCodeResponseObject, error) {
	if h.house == nil {
		return nil, store.ErrNotFound
	}
	if !access.VisitorOf(ctx).Host() {
		return nil, errHostOnly
	}
	code, until := h.house.Access.Code()
	out := contract.MakePairingCode200JSONResponse{Until: until}
	out.Url = h.house.Addresses[0] + "access/pair?code=" + code
	var err error
	out.Picture.Path, out.Picture.Size, err = formats.Code(out.Url)
	return out, err
}

func (h handlers) NameDevice(ctx context.Context, r contract.NameDeviceRequestObject) (contract.NameDeviceResponseObject, error) {
	out, err := h.changed(ctx, func(a *access.Access) error { return a.NameDevice(ctx, r.DeviceId.String(), r.Body.Name, r.Body.Who) })
	return contract.NameDevice200JSONResponse{HouseJSONResponse: out}, err
}

func (h handlers) WithdrawDevice(ctx context.Context, r contract.WithdrawDeviceRequestObject) (contract.WithdrawDeviceResponseObject, error) {
	out, err := h.changed(ctx, func(a *access.Access) error {
		if err := a.Withdraw(ctx, r.DeviceId.String()); err != nil || r.Params.Renew != nil && !*r.Params.Renew {
			return err
		}
		return h.book.RenewKeys(ctx)
	})
	return contract.WithdrawDevice200JSONResponse{HouseJSONResponse: out}, err
}

func (h handlers) changed(ctx context.Context, change func(*access.Access) error) (contract.HouseJSONResponse, error) {
	if h.house == nil {
		return contract.HouseJSONResponse{}, access.ErrNotFound
	}
	if err := change(h.house.Access); err != nil {
		return contract.HouseJSONResponse{}, err
	}
	return h.devices(ctx)
}

func (h handlers) devices(ctx context.Context) (contract.HouseJSONResponse, error) {
	visitor := access.VisitorOf(ctx)
	out := contract.HouseJSONResponse{Host: visitor.Host(), Addresses: []string{}, Devices: []contract.Device{}}
	if h.house == nil {
		return out, nil
	}
	all, err := h.house.Access.Devices(ctx)
	out.Open, out.Addresses, out.Fingerprint = true, h.house.Addresses, given(h.house.Fingerprint())
	for _, d := range all {
		out.Devices = append(out.Devices, contract.Device{
			Id: uuid.MustParse(d.ID), Name: d.Name, Who: d.Who, PairedAt: d.PairedAt, SeenAt: d.SeenAt, Here: d.ID == visitor.Device,
		})
	}
	return out, err
}
