package api

import (
	"net/http"

	"github.com/bytedance/sonic"

	"fribbet/internal/api/contract"
)

// The answers that are asked for all day are encoded by a quicker encoder than the generated ones.

type dueAnswer contract.DueList

// VisitGetDueResponse writes it.
func (a dueAnswer) VisitGetDueResponse(w http.ResponseWriter) error {
	return answer(w, contract.DueList(a))
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
