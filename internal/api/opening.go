package api

import (
	"io/fs"
	"net/http"
	"strings"
	"time"

	"github.com/gin-gonic/gin"

	"fribbet/internal/api/contract"
	"fribbet/internal/core/date"
	"fribbet/internal/core/say"
)

// Opening answers while there is no book yet: the front end says how many sittings of an older book are
// worked out again, of all; both are 0 as long as there is nothing to count.
func Opening(files fs.FS, now func() time.Time, progress func() (done, all int)) http.Handler {
	return without(files, now, func(c *gin.Context) {
		done, all := progress()
		says := say.Of(openingBook)
		if all > 0 {
			says = say.Of(openingOlder, say.Args{"done": say.Whole(done), "all": say.Whole(all)})
		}
		c.Header("Retry-After", "1")
		p := problem(c, http.StatusServiceUnavailable, says)
		p.Opening = &contract.Opening{Done: done, All: all}
		write(c, p)
	})
}

// Shut answers where the book cannot be opened any more.
func Shut(files fs.FS, now func() time.Time, why error) http.Handler {
	return without(files, now, func(c *gin.Context) {
		deny(c, http.StatusServiceUnavailable, say.Of(cannotBeOpened, say.Args{"why": say.Name(why.Error())}))
	})
}

func without(files fs.FS, now func() time.Time, answer gin.HandlerFunc) http.Handler {
	engine := newEngine(func() date.Date { return date.Of(now()) })
	pages := front(files)
	engine.NoRoute(func(c *gin.Context) {
		if strings.HasPrefix(c.Request.URL.Path, "/api/") {
			answer(c)
			return
		}
		pages(c)
	})
	return http.NewCrossOriginProtection().Handler(engine)
}
