package api

import (
	"bytes"
	"context"
	"strings"

	"fribbet/internal/api/contract"
)

func (h handlers) GetCalendar(
	ctx context.Context,
	_ contract.GetCalendarRequestObject,
) (contract.GetCalendarResponseObject, error) {
	key, err := h.book.CalendarKey(ctx)
	return contract.GetCalendar200JSONResponse{CalendarJSONResponse: calendar(key)}, err
}

func (h handlers) RenewCalendar(
	ctx context.Context,
	_ contract.RenewCalendarRequestObject,
) (contract.RenewCalendarResponseObject, error) {
	key, err := h.book.RenewCalendarKey(ctx)
	return contract.RenewCalendar200JSONResponse{CalendarJSONResponse: calendar(key)}, err
}

func calendar(key string) contract.CalendarJSONResponse {
	return contract.CalendarJSONResponse{Path: "/calendar/" + key + "/due.ics"}
}

func (h handlers) ReadCalendar(
	ctx context.Context,
	r contract.ReadCalendarRequestObject,
) (contract.ReadCalendarResponseObject, error) {
	text, mark, err := h.book.Calendar(ctx, r.CalendarKey)
	if err != nil {
		return nil, err
	}
	// weak: it is sent packed or not; and it may be kept, and is asked for again
	tag, keep := `W/"`+mark+`"`, "private, no-cache"
	if asked := orZero(r.Params.IfNoneMatch); strings.Contains(asked, `"`+mark+`"`) {
		return contract.ReadCalendar304Response{
			Headers: contract.ReadCalendar304ResponseHeaders{ETag: &tag, CacheControl: &keep},
		}, nil
	}
	return contract.ReadCalendar200TextcalendarResponse{
		Body: bytes.NewReader(text), ContentLength: int64(len(text)),
		Headers: contract.ReadCalendar200ResponseHeaders{ETag: &tag, CacheControl: &keep},
	}, nil
}
