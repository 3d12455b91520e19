package api

import (
	"io"
	"log/slog"
	"net/http"
	"regexp"
	"strings"
	"time"

	"fribbet/internal/api/contract"
	"fribbet/internal/book"
	"fribbet/internal/core/date"
	"fribbet/internal/core/say"

	"github.com/gin-gonic/gin"
)

// mostBody is the largest request taken, bytes: a sitting of all nails is about 6 kB.
const mostBody = 1 << 20

// logRequests writes one line a request, without personal data: the route, not the address.
func logRequests(c *gin.Context) {
	start := time.Now()
	c.Next()
	slog.Info("request", "method", c.Request.Method, "route", c.FullPath(),
		"status", c.Writer.Status(), "ms", time.Since(start).Milliseconds())
}

func recovered(c *gin.Context, what any) {
	slog.Error("panic", "route", c.FullPath(), "what", what)
	deny(c, http.StatusInternalServerError, say.Of(broke))
}

// secure lets a page load nothing from anywhere else.
func secure(c *gin.Context) {
	h := c.Writer.Header()
	h.Set("Content-Security-Policy", "default-src 'self'; img-src 'self' data: blob:; style-src 'self'; "+
		"object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'")
	h.Set("X-Content-Type-Options", "nosniff")
	h.Set("Referrer-Policy", "no-referrer")
	for _, own := range []string{"/api/", "/calendar/", "/card/"} {
		if strings.HasPrefix(c.Request.URL.Path, own) { // what it says of the book is nobody's to keep on the way
			h.Set("Cache-Control", "no-store")
		}
	}
}

// dayHeader tells with each answer what day the book takes for today: a page that was opened
// yesterday, or on a machine whose clock is wrong, keeps what it is told under the right day.
const dayHeader = "Fribbet-Today"

func tellDay(today func() date.Date) gin.HandlerFunc {
	return func(c *gin.Context) { c.Header(dayHeader, today().String()) }
}

// there answers nothing from a book whose file was removed or replaced: what it said would not be kept.
func there(b *book.Book) gin.HandlerFunc {
	return func(c *gin.Context) {
		if err := b.There(); err != nil {
			refuse(c, err)
		}
	}
}

// ownContext gives what a request does a context of its own: gin uses its contexts again for other
// requests, while the database may still be looking at one after the answer has gone out.
func ownContext(next contract.StrictHandlerFunc, _ string) contract.StrictHandlerFunc {
	return func(c *gin.Context, request any) (any, error) { return next(c.Copy(), request) }
}

// A package is read as it comes, and never held as a whole.
const (
	importPath  = "/api/import"
	mostPackage = 4 << 30
)

// picturePath is where a picture is put, or looked at.
var picturePath = regexp.MustCompile(`^/api/(dogs/[^/]+/pictures/[^/]+|slices/picture)$`)

// Large tells whether what is sent to an address may be large: a package, a picture.
func Large(path string) bool { return path == importPath || picturePath.MatchString(path) }

// mostHeardOut is how much of a body that is too large is read all the same, bytes, before that is said.
const mostHeardOut = 64 << 20

func limitBody(c *gin.Context) {
	most := int64(mostBody)
	switch path := c.Request.URL.Path; {
	case path == importPath:
		most = mostPackage
	case picturePath.MatchString(path):
		most = book.MostPictureBytes
	}
	if c.Request.ContentLength > most { // answered once most of it came: whoever still sends would not hear it
		_, _ = io.CopyN(io.Discard, c.Request.Body, min(c.Request.ContentLength, mostHeardOut))
		refuse(c, &http.MaxBytesError{Limit: most})
		return
	}
	c.Request.Body = http.MaxBytesReader(c.Writer, c.Request.Body, most)
}
