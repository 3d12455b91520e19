package api

import (
	"context"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"os"
	"strings"

	"github.com/google/uuid"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
)

// packageAnswer is a package that is written as it is read.
type packageAnswer struct {
	name  string
	write func(io.Writer) error
}

func (a packageAnswer) VisitExportBookResponse(w http.ResponseWriter) error {
	w.Header().Set("Content-Type", "application/zip")
	w.Header().Set("Content-Disposition", fmt.Sprintf("attachment; filename=%q", a.name))
	if err := a.write(
		w,
	); err != nil { // it has begun: what is cut short is no whole ZIP, and says so where it is opened
		slog.Warn("an export was broken off", "err", err)
	}
	return nil
}

func (h handlers) ExportBook(
	ctx context.Context,
	r contract.ExportBookRequestObject,
) (contract.ExportBookResponseObject, error) {
	if r.Params.DogId == nil {
		return packageAnswer{
			"fribbet-" + h.book.Today().String() + ".zip",
			func(w io.Writer) error { return h.book.Export(ctx, w, func(int, int) {}) },
		}, nil
	}
	id := *r.Params.DogId
	if _, err := h.book.View(ctx, id); err != nil {
		return nil, err
	}
	return packageAnswer{
		"fribbet-dog-" + strings.Split(id.String(), "-")[0] + ".zip",
		func(w io.Writer) error { return h.book.ExportDog(ctx, w, id) },
	}, nil
}

func (h handlers) GetImport(
	_ context.Context,
	_ contract.GetImportRequestObject,
) (contract.GetImportResponseObject, error) {
	running, done, all := h.book.ImportProgress()
	return contract.GetImport200JSONResponse{Running: running, Done: done, All: all}, nil
}

func (h handlers) ImportBook(
	ctx context.Context,
	r contract.ImportBookRequestObject,
) (contract.ImportBookResponseObject, error) {
	file, err := os.CreateTemp("", "fribbet-"+uuid.NewString())
	if err != nil {
		return nil, err
	}
	defer os.Remove(file.Name()) //nolint:errcheck // it is in the place for what is thrown away
	defer file.Close()           //nolint:errcheck // it was only read
	size, err := io.Copy(file, r.Body)
	if err != nil {
		return nil, err
	}
	take := h.book.TryImport
	if orZero(r.Params.Take) {
		take = h.book.Import
	}
	took, err := take(ctx, file, size, func(int, int) {})
	if err != nil {
		return nil, err
	}
	return contract.ImportBook200JSONResponse(intake(took)), nil
}

func intake(in book.ImportResult) contract.ImportResult {
	out := contract.ImportResult{
		Tables:   []contract.ImportTable{},
		Pictures: in.Picture,
		Nothing:  in.Nothing(),
		Backup:   given(in.Backup),
	}
	for _, t := range append(in.Tables, in.Logs) {
		out.Tables = append(
			out.Tables,
			contract.ImportTable{
				Name:           t.Name,
				New:            t.New,
				Same:           t.Same,
				Different:      t.Different,
				DifferentNames: list(t.DifferentNames),
			},
		)
	}
	return out
}
