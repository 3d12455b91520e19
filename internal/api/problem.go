package api

import (
	"cmp"
	"encoding/json"
	"errors"
	"log/slog"
	"net/http"
	"regexp"

	"github.com/gin-gonic/gin"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/say"
	"fribbet/internal/words"
)

// What is told of a request that is not answered as it wishes.
const (
	// it does not say that nothing was written: it may break after that, while the answer is worked out
	broke          say.Key = "api.broke"
	nothingWritten say.Key = "api.nothing_written"
	tooMuch        say.Key = "api.too_large"
	bookGone       say.Key = "api.book_gone"
	cannotWrite    say.Key = "api.cannot_write"
	damaged        say.Key = "api.damaged"
	unreckonable   say.Key = "api.cannot_be_worked_out"
	noSuchDog      say.Key = "api.no_such_dog"
	noSuchDevice   say.Key = "api.no_such_device"
	onThisMachine  say.Key = "api.on_this_machine"
	noCaliper      say.Key = "api.no_caliper"
	noCamera       say.Key = "api.no_camera"
	toldOtherwise  say.Key = "api.told_otherwise"
	changedSince   say.Key = "api.changed_since"
	mustBeContract say.Key = "api.must_be_contract"
	mustFit        say.Key = "api.must_fit"
	mustBeWritten  say.Key = "api.must_be_written"
	mustBeAtMost   say.Key = "api.must_be_at_most"
	mustBeNew      say.Key = "api.must_be_new"
	mustBeNewest   say.Key = "api.must_be_newest"
	somethingElse  say.Key = "api.something_else"
	moreGiven      say.Key = "api.more"
	oneInTheBook   say.Key = "api.one_in_the_book"
	anOlderOne     say.Key = "api.an_older_one"
	inTheAddress   say.Key = "api.in_the_address"
)

// mostProblems is how many fields one document names: whoever puts those right is told of the next.
const mostProblems = 20

// problem is an RFC 9457 problem document that names the fields at fault, in the words of whoever asked.
func problem(c *gin.Context, status int, detail say.Line, faults ...fault.Field) contract.Problem {
	w := speaks(c)
	p := contract.Problem{
		Type:   "about:blank",
		Title:  http.StatusText(status),
		Status: status,
		Detail: w.Say(detail),
		Key:    of(string(detail.Key)),
		Errors: []contract.FieldError{},
	}
	for _, f := range faults[:min(len(faults), mostProblems)] {
		p.Errors = append(p.Errors, fieldError(w, f))
	}
	return p
}

// fieldError is a refused field in somebody's words.
func fieldError(w words.Words, f fault.Field) contract.FieldError {
	out := contract.FieldError{Field: f.Name, Value: w.Given(f), Expected: w.Say(f.Want), Key: of(string(f.Want.Key))}
	if name := w.Field(f.Name); name != "" {
		out.Name = &name
	}
	return out
}

// deny ends the request with a problem.
func deny(c *gin.Context, status int, detail say.Line, faults ...fault.Field) {
	write(c, problem(c, status, detail, faults...))
}

// wrong ends the request with the fields that are.
func wrong(c *gin.Context, status int, faults fault.Fields) {
	deny(
		c,
		status,
		say.Of(nothingWritten, say.Args{"why": say.Name(speaks(c).Refused(faults))}),
		faults...) // it names the first ones
}

// write ends the request with a problem document.
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
	f := fault.Field{
		Name:  "body",
		Value: say.Of(somethingElse),
		Want:  say.Of(mustBeContract, say.Args{"err": say.Name(err.Error())}),
	}
	var unfit *json.UnmarshalTypeError
	if errors.As(err, &unfit) && unfit.Field != "" {
		f = fault.Field{
			Name:  unfit.Field,
			Value: unfit.Value,
			Want:  say.Of(mustFit, say.Args{"type": say.Name(unfit.Type.String())}),
		}
	}
	wrong(c, http.StatusBadRequest, fault.Fields{f})
}

// parameter finds its name in the words of the contract's generated code.
var parameter = regexp.MustCompile(`parameter (\w+)`)

// refuseAddress ends a request whose address keeps to the contract but cannot be read.
func refuseAddress(c *gin.Context, err error, status int) {
	f := fault.Field{Name: "address", Value: say.Of(inTheAddress), Want: say.Of(mustBeWritten)}
	if named := parameter.FindStringSubmatch(err.Error()); named != nil {
		f.Name = named[1]
	}
	wrong(c, status, fault.Fields{f})
}

// refuse ends the request with the problem that err is.
func refuse(c *gin.Context, err error) {
	var faults fault.Fields
	var tooLarge *http.MaxBytesError
	var told book.AlreadyTold
	var gone book.Gone
	var cannot book.Unreckonable
	err = book.InOwnWords(err)
	switch {
	case errors.As(err, &gone):
		slog.Error("the book is gone", "err", err)
		deny(
			c,
			http.StatusServiceUnavailable,
			say.Of(bookGone, say.Args{"how": say.Name(gone.How), "cure": say.Name(gone.Cure())}),
		)
	case errors.Is(err, book.ErrCannotWrite):
		slog.Error("cannot write", "err", err)
		deny(c, http.StatusInsufficientStorage, say.Of(cannotWrite))
	case errors.Is(err, book.ErrDamaged):
		slog.Error("damaged", "err", err)
		deny(c, http.StatusServiceUnavailable, say.Of(damaged))
	case errors.As(err, &cannot):
		deny(
			c,
			http.StatusUnprocessableEntity,
			say.Of(
				unreckonable,
				say.Args{"name": say.Name(cannot.Name), "why": say.Name(speaks(c).Refused(cannot.Why))},
			),
			cannot.Why...)
	case errors.As(err, &faults):
		wrong(c, http.StatusUnprocessableEntity, faults)
	case errors.As(err, &tooLarge):
		deny(
			c,
			http.StatusRequestEntityTooLarge,
			say.Of(tooMuch),
			fault.Field{
				Name:  "body",
				Value: say.Of(moreGiven),
				Want:  say.Of(mustBeAtMost, say.Args{"n": say.Count(tooLarge.Limit)}),
			},
		)
	case errors.Is(err, book.ErrNotFound):
		deny(c, http.StatusNotFound, say.Of(noSuchDog))
	case errors.Is(err, book.ErrNoSuchDevice):
		deny(c, http.StatusNotFound, say.Of(noSuchDevice))
	case errors.Is(err, book.ErrOnlyHost):
		deny(c, http.StatusForbidden, say.Of(onThisMachine))
	case errors.Is(err, book.ErrNoCaliper):
		deny(c, http.StatusNotFound, say.Of(noCaliper))
	case errors.Is(err, book.ErrNoCamera):
		deny(c, http.StatusNotFound, say.Of(noCamera))
	case errors.As(err, &told):
		there := say.Args{"there": say.Name(told.There)}
		deny(c, http.StatusConflict, say.Of(toldOtherwise, there),
			fault.Field{Name: cmp.Or(told.Field, "id"), Value: say.Of(oneInTheBook), Want: say.Of(mustBeNew, there)})
	case errors.Is(err, book.ErrConflict):
		deny(
			c,
			http.StatusConflict,
			say.Of(changedSince),
			fault.Field{Name: "version", Value: say.Of(anOlderOne), Want: say.Of(mustBeNewest)},
		)
	default:
		slog.Error("failed", "route", c.FullPath(), "err", err)
		deny(c, http.StatusInternalServerError, say.Of(broke))
	}
}
