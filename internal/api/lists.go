package api

import (
	"context"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/roster"
	"fribbet/internal/words"
)

func (h handlers) ReadList(
	ctx context.Context,
	r contract.ReadListRequestObject,
) (contract.ReadListResponseObject, error) {
	w := speaks(ctx)
	read, err := h.book.ReadList(ctx, listOf(r.Body))
	return contract.ReadList200JSONResponse(listRead(w, read)), err
}

func (h handlers) TakeList(
	ctx context.Context,
	r contract.TakeListRequestObject,
) (contract.TakeListResponseObject, error) {
	w := speaks(ctx)
	taken, err := h.book.TakeList(ctx, r.ListId, listOf(r.Body))
	return contract.TakeList200JSONResponse(listRead(w, taken)), err
}

func (h handlers) TakeListBack(
	ctx context.Context,
	r contract.TakeListBackRequestObject,
) (contract.TakeListBackResponseObject, error) {
	stay, err := h.book.TakeListBack(ctx, r.ListId)
	return contract.TakeListBack200JSONResponse{Stay: stay}, err
}

func listOf(in *contract.ListInput) book.ListToRead {
	return book.ListToRead{Text: in.Text, Columns: in.Columns, Months: in.Months, Whose: whose(in)}
}

// whose is what was said of rows whose owner has a name that is there.
func whose(in *contract.ListInput) book.Whose {
	out := book.Whose{}
	for _, line := range in.Same {
		out[line] = roster.TheSame
	}
	for _, line := range in.Others {
		out[line] = roster.Another
	}
	return out
}

func listRead(w words.Words, r book.ListRead) contract.ListRead {
	out := contract.ListRead{
		Header:    list(r.Header),
		Separator: r.Separator,
		Encoding:  r.Encoding,
		Columns:   list(r.Columns),
		Rows:      []contract.ListRow{},
		Owners:    len(r.Brought.Owners),
		Dogs:      len(r.Brought.Dogs),
	}
	for _, row := range r.Rows {
		one := listRow(w, row)
		one.Asks = r.Asks[row.Line]
		if len(one.Refused) > 0 {
			out.Refused++
		}
		out.Rows = append(out.Rows, one)
	}
	return out
}

func listRow(w words.Words, r roster.Row) contract.ListRow {
	out := contract.ListRow{
		Line:    r.Line,
		Owner:   r.Owner.Name,
		Address: r.Owner.Address,
		Refused: []contract.FieldError{},
	}
	for _, f := range r.Refused {
		out.Refused = append(out.Refused, fieldError(w, f))
	}
	if d := r.Dog; d != nil {
		out.Dog, out.Born, out.AgeYears = d.Name, d.BirthDate, d.AgeYears
		for _, w := range d.Weights {
			out.Kg = &w.Kg
		}
	}
	return out
}
