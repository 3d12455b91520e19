package api

import (
	"context"

	"github.com/google/uuid"

	"fribbet/internal/api/contract"
)

func (h handlers) GetHouse(
	ctx context.Context,
	_ contract.GetHouseRequestObject,
) (contract.GetHouseResponseObject, error) {
	out, err := h.devices(ctx)
	return contract.GetHouse200JSONResponse{HouseJSONResponse: out}, err
}

func (h handlers) MakePairingCode(
	ctx context.Context,
	_ contract.MakePairingCodeRequestObject,
) (contract.MakePairingCodeResponseObject, error) {
	at, until, err := h.book.Pairing(ctx)
	out := contract.MakePairingCode200JSONResponse{Until: until, Url: at.URL}
	out.Picture.Path, out.Picture.Size = at.Path, at.Size
	return out, err
}

func (h handlers) NameDevice(
	ctx context.Context,
	r contract.NameDeviceRequestObject,
) (contract.NameDeviceResponseObject, error) {
	if err := h.book.NameDevice(ctx, r.DeviceId.String(), r.Body.Name, r.Body.Who); err != nil {
		return nil, err
	}
	out, err := h.devices(ctx)
	return contract.NameDevice200JSONResponse{HouseJSONResponse: out}, err
}

func (h handlers) WithdrawDevice(
	ctx context.Context,
	r contract.WithdrawDeviceRequestObject,
) (contract.WithdrawDeviceResponseObject, error) {
	if err := h.book.WithdrawDevice(ctx, r.DeviceId.String(), r.Params.Renew == nil || *r.Params.Renew); err != nil {
		return nil, err
	}
	out, err := h.devices(ctx)
	return contract.WithdrawDevice200JSONResponse{HouseJSONResponse: out}, err
}

func (h handlers) devices(ctx context.Context) (contract.HouseJSONResponse, error) {
	house, err := h.book.House(ctx)
	out := contract.HouseJSONResponse{
		Host:        house.Asks.Host(),
		Open:        house.Open,
		Addresses:   list(house.Addresses),
		Fingerprint: given(house.Fingerprint),
		Devices:     []contract.Device{},
	}
	for _, d := range house.Devices {
		out.Devices = append(out.Devices, contract.Device{
			Id:       uuid.MustParse(d.ID),
			Name:     d.Name,
			Who:      d.Who,
			PairedAt: d.PairedAt,
			SeenAt:   d.SeenAt,
			Here:     d.ID == house.Asks.Device,
		})
	}
	return out, err
}
