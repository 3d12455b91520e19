package api

import (
	"cmp"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"net/http"
	"regexp"

	"github.com/gin-gonic/gin"

	"fribbet/internal/access"
	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/fault"
	"fribbet/internal/store"
)

// broke does not say that nothing was written: it may break after that, while the answer is worked out.
const broke = "Something broke in Fribbet. Look whether what you told is there before you tell it again."

var errNoCaliper = errors.New("no caliper")

// mostProblems is how many fields one document names: whoever puts those right is told of the next.
const mostProblems = 20

// problem is an RFC 9457 problem document that names the fields at fault.
func problem(status int, detail string, faults ...fault.Field) contract.Problem {
	p := contract.Problem{Type: "about:blank", Title: http.StatusText(status), Status: status, Detail: detail, Errors: []contract.FieldError{}}
	for _, f := range faults[:min(len(faults), mostProblems)] {
		p.Errors = append(p.Errors, contract.FieldError{Field: f.Name, Value: f.Value, Expected: f.Want})
	}
	return p
}

// write ends the request with a problem.
func write(c *gin.Context, p contract.Problem) {
	text, err := json.Marshal(p)
	if err != nil {
		panic(err) // a struct of texts always marshals
	}
	c.Abort()
	c.Data(p.Status, "application/problem+json", text)
}

// refuseUnread ends a request that keeps to the contract but cannot be read into it, such as a
// whole number too large to count with.
func refuseUnread(c *gin.Context, err error) {
	f := fault.Field{Name: "body", Value: "something else", Want: "must be what the contract says: " + err.Error()}
	var wrong *json.UnmarshalTypeError
	if errors.As(err, &wrong) && wrong.Field != "" {
		f = fault.Field{Name: wrong.Field, Value: wrong.Value, Want: "must fit into " + wrong.Type.String()}
	}
	write(c, problem(http.StatusBadRequest, "Nothing was written: "+f.Name+" "+f.Want, f))
}

// parameter finds its name in the words of the contract's generated code.
var parameter = regexp.MustCompile(`parameter (\w+)`)

// refuseAddress ends a request whose address keeps to the contract but cannot be read.
func refuseAddress(c *gin.Context, err error, status int) {
	f := fault.Field{Name: "address", Value: "what stands in the address", Want: "must be written as the contract says"}
	if named := parameter.FindStringSubmatch(err.Error()); named != nil {
		f.Name = named[1]
	}
	write(c, problem(status, "Nothing was written: "+f.Name+" "+f.Want, f))
}

// refuse ends the request with the problem that err is.
func refuse(c *gin.Context, err error) {
	var faults fault.Fields
	var tooLarge *http.MaxBytesError
	var told book.AlreadyTold
	var gone store.Gone
	var unreckonable book.Unreckonable
	err = store.InOwnWords(err)
	switch {
	case errors.As(err, &gone):
		slog.Error("the book is gone", "err", err)
		write(c, problem(http.StatusServiceUnavailable, fmt.Sprintf("The book’s file %s while Fribbet was running. Nothing more is kept. %s What you told since waits in this browser.", gone.How, gone.Cure())))
	case errors.Is(err, store.ErrCannotWrite):
		slog.Error("cannot write", "err", err)
		write(c, problem(http.StatusInsufficientStorage, "The book cannot be written to: the disk is full, or the file is read-only. Nothing was written. Make room or give it back its right to be written, then tell it again."))
	case errors.Is(err, store.ErrDamaged):
		slog.Error("damaged", "err", err)
		write(c, problem(http.StatusServiceUnavailable, "The book’s file is damaged: part of it cannot be read. Nothing was written. Stop Fribbet and put a backup in its place (Settings, or fribbet restore)."))
	case errors.As(err, &unreckonable):
		write(c, problem(http.StatusUnprocessableEntity, unreckonable.Error()+". Put that right on its profile, or delete what told it.", unreckonable.Why...))
	case errors.As(err, &faults):
		write(c, problem(http.StatusUnprocessableEntity, "Nothing was written: "+faults.Error(), faults...)) // Error names the first ones
	case errors.As(err, &tooLarge):
		want := fmt.Sprintf("must be at most %d bytes", tooLarge.Limit)
		write(c, problem(http.StatusRequestEntityTooLarge, "Nothing was written: the request is too large.",
			fault.Field{Name: "body", Value: "more", Want: want}))
	case errors.Is(err, store.ErrNotFound):
		write(c, problem(http.StatusNotFound, "There is no such dog, trim or picture in the book."))
	case errors.Is(err, access.ErrNotFound):
		write(c, problem(http.StatusNotFound, "There is no such device: it was withdrawn already."))
	case errors.Is(err, errHostOnly):
		write(c, problem(http.StatusForbidden, "This is done on the machine that Fribbet runs on."))
	case errors.Is(err, errNoCaliper):
		write(c, problem(http.StatusNotFound, "No caliper is linked: type the number instead."))
	case errors.Is(err, errNoCamera):
		write(c, problem(http.StatusNotFound, "There is no simulated camera here: take a picture of your own."))
	case errors.As(err, &told):
		write(c, problem(http.StatusConflict, "Nothing was written: this is in the book already, told otherwise: "+told.There+".",
			fault.Field{Name: cmp.Or(told.Field, "id"), Value: "one that is in the book", Want: "must be new, or come with what was told under it: " + told.There}))
	case errors.Is(err, store.ErrConflict):
		write(c, problem(http.StatusConflict, "Changed elsewhere since you opened it: nothing was written. Load it again, then make your change.",
			fault.Field{Name: "version", Value: "an older one", Want: "must be the newest version"}))
	default:
		slog.Error("failed", "route", c.FullPath(), "err", err)
		write(c, problem(http.StatusInternalServerError, broke))
	}
}
