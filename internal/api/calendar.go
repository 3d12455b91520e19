package api

import (
	"bytes"
	"context"

	"fribbet/internal/api/contract"
)

func (h handlers) GetCalendar(ctx context.Context, _ contract.GetCalendarRequestObject) (contract.GetCalendarResponseObject, error) {
	key, err := h.book.CalendarKey(ctx)
	return contract.GetCalendar200JSONResponse{CalendarJSONResponse: calendar(key)}, err
}

func (h handlers) RenewCalendar(ctx context.Context, _ contract.RenewCalendarRequestObject) (contract.RenewCalendarResponseObject, error) {
	key, err := h.book.RenewCalendarKey(ctx)
	return contract.RenewCalendar200JSONResponse{CalendarJSONResponse: calendar(key)}, err
}

func calendar(key string) contract.CalendarJSONResponse {
	return contract.CalendarJSONResponse{Path: "/calendar/" + key + "/due.ics"}
}

func (h handlers) ReadCalendar(ctx context.Context, r contract.ReadCalendarRequestObject) (contract.ReadCalendarResponseObject, error) {
	var text bytes.Buffer
	if err := h.book.Calendar(ctx, r.CalendarKey, &text); err != nil {
		return nil, err
	}
	return contract.ReadCalendar200TextcalendarResponse{Body: &text, ContentLength: int64(text.Len())}, nil
}
