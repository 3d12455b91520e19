package api

import (
	"context"
	"encoding/json"
	"fmt"
	"io"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/caliper"
	"fribbet/internal/words"
)

// StreamReadings hands the caliper's readings on as server-sent events until either side goes.
func (h handlers) StreamReadings(
	ctx context.Context,
	_ contract.StreamReadingsRequestObject,
) (contract.StreamReadingsResponseObject, error) {
	w := speaks(ctx)
	readings, err := h.book.Readings(ctx)
	if err != nil {
		return nil, err
	}
	body, events := io.Pipe()
	go func() {
		_, err := fmt.Fprint(events, ": linked\n\n")
		for r := range readings {
			if err == nil {
				err = writeEvent(w, events, r)
			}
		}
		_ = events.CloseWithError(err)
	}()
	return contract.StreamReadings200TexteventStreamResponse{Body: body}, nil
}

func writeEvent(w words.Words, to io.Writer, r caliper.Reading) error {
	reading := contract.CaliperReading{Mm: &r.MM}
	if !r.Trouble.Nothing() {
		reading = contract.CaliperReading{Trouble: of(w.Say(r.Trouble))}
	}
	text, err := json.Marshal(reading)
	if err == nil {
		_, err = fmt.Fprintf(to, "data: %s\n\n", text)
	}
	return err
}

// MoveStandIn presses the button of the simulated caliper.
func (h handlers) MoveStandIn(
	_ context.Context,
	r contract.MoveStandInRequestObject,
) (contract.MoveStandInResponseObject, error) {
	return contract.MoveStandIn204Response{}, h.book.MoveCaliper(r.Body.JawMm, book.StandInMove(r.Body.Sends))
}
