package api

import (
	"encoding/json"
	"net/http"

	"github.com/bytedance/sonic"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/date"
	"fribbet/internal/words"
)

// The answers that are asked for all day are encoded by a quicker encoder than the generated ones, and a row
// of the due list only once for as long as it says the same.

type dueAnswer struct {
	contract.DueList
	Dogs []json.RawMessage `json:"dogs"` // in place of the list's own
}

// VisitGetDueResponse writes it.
func (a dueAnswer) VisitGetDueResponse(w http.ResponseWriter) error { return answer(w, a) }

// sayable is all that a row of the due list says, on a day.
type sayable struct {
	row    book.DueRow
	today  date.Date
	manner string // in which language and units
}

// mostSaid is how many rows stay in memory as they are sent: about 3 kB each.
const mostSaid = 1000

// dueRows are rows as they are sent.
func (h handlers) dueRows(w words.Words, rows []book.DueRow) ([]json.RawMessage, error) {
	out := make([]json.RawMessage, len(rows))
	for i, row := range rows {
		one := sayable{row, h.book.Today(), w.Manner()}
		said, is := h.said.GetIfPresent(one)
		if !is {
			full, err := h.dueRow(w, row)
			if err == nil {
				said, err = sonic.ConfigStd.Marshal(full)
			}
			if err != nil {
				return nil, err
			}
			h.said.Set(one, said)
		}
		out[i] = said
	}
	return out, nil
}

type tellAnswer contract.Bench

// VisitTellEventsResponse writes it.
func (a tellAnswer) VisitTellEventsResponse(w http.ResponseWriter) error {
	return answer(w, contract.Bench(a))
}

func answer(w http.ResponseWriter, v any) error {
	text, err := sonic.ConfigStd.Marshal(v)
	if err != nil {
		return err
	}
	w.Header().Set("Content-Type", "application/json")
	_, err = w.Write(text)
	return err
}
