// Package api is the web interface of the book: it translates between the contract
// (openapi.yaml) and the use cases, and does nothing else.
package api

import (
	"encoding/json"
	"io/fs"
	"net/http"

	"github.com/gin-contrib/gzip"
	"github.com/gin-gonic/gin"
	"github.com/maypok86/otter/v2"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/date"
	"fribbet/internal/core/say"
)

// Options are what the program was started with.
type Options struct {
	Demo    bool                // the data is thrown away
	Front   fs.FS               // the built front end, index.html at its root
	Restore func(backup string) // puts a sound backup in the book's place, once the answer has gone out
	Trouble string              // why the last restore came to nothing
}

// handlers answer the contract's operations.
type handlers struct {
	book    *book.Book
	demo    bool
	restore func(backup string)
	trouble string
	said    *otter.Cache[sayable, json.RawMessage]
}

var _ contract.StrictServerInterface = handlers{}

// New returns the whole web interface: contract under /api, front end for the rest.
func New(b *book.Book, o Options) (http.Handler, error) {
	engine := newEngine(b.Today, speaking(b))
	check, err := validator()
	if err != nil {
		return nil, err
	}
	said := otter.Must(&otter.Options[sayable, json.RawMessage]{MaximumSize: mostSaid})
	strict := contract.NewStrictHandlerWithOptions(
		handlers{b, o.Demo, o.Restore, o.Trouble, said},
		[]contract.StrictMiddlewareFunc{ownContext},
		contract.StrictGinServerOptions{
			RequestErrorHandlerFunc:  refuseUnread,
			HandlerErrorFunc:         refuse,
			ResponseErrorHandlerFunc: refuse,
		},
	)
	pack := gzip.Gzip(
		gzip.BestSpeed,
		gzip.WithExcludedPathsRegexs([]string{`/(changes|readings|export)$`, `^/api/pictures/`}),
	) // streams go as they come, and what is packed is not packed again
	contract.RegisterHandlersWithOptions(
		engine.Group("", pack, there(b), cleanBody, check),
		strict,
		contract.GinServerOptions{ErrorHandler: refuseAddress},
	)
	spec, err := contract.GetSpecJSON()
	if err != nil {
		return nil, err
	}
	engine.GET("/api/openapi.json", pack, func(c *gin.Context) { c.Data(http.StatusOK, "application/json", spec) })
	engine.NoRoute(front(o.Front))
	engine.NoMethod(func(c *gin.Context) {
		deny(c, http.StatusMethodNotAllowed, say.Of(doesNotTake, say.Args{"method": say.Name(c.Request.Method)}))
	})
	return http.NewCrossOriginProtection().Handler(engine), nil
}

// newEngine is what every answer goes through first.
func newEngine(today func() date.Date, also ...gin.HandlerFunc) *gin.Engine {
	gin.SetMode(gin.ReleaseMode)
	engine := gin.New()
	engine.HandleMethodNotAllowed = true
	engine.ContextWithFallback = true // a request that ends, ends what it began
	engine.Use(
		append(also, logRequests, gin.CustomRecoveryWithWriter(nil, recovered), secure, tellDay(today), limitBody)...)
	return engine
}
