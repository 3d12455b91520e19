package api

import (
	"fribbet/internal/core/say"
	"io/fs"
	"mime"
	"net/http"
	"path"
	"strings"

	"github.com/gin-gonic/gin"
)

// packings are how the build packs a file beside itself, the smallest first.
var packings = []struct{ name, ending string }{{"br", ".br"}, {"gzip", ".gz"}}

// front serves the built front end; an address that is no file is one of its screens.
func front(files fs.FS) gin.HandlerFunc {
	return func(c *gin.Context) {
		name := strings.TrimPrefix(path.Clean(c.Request.URL.Path), "/")
		switch {
		case strings.HasPrefix(name, "api/"):
			deny(c, http.StatusNotFound, say.Of(nothingHere))
			return
		case strings.Contains(c.Request.URL.Path, ".."):
			deny(c, http.StatusBadRequest, say.Of(notUpwards))
			return
		case c.Request.Method != http.MethodGet && c.Request.Method != http.MethodHead:
			deny(c, http.StatusMethodNotAllowed, say.Of(onlyShows))
			return
		}
		if name == "api" {
			name = "api-docs/index.html"
		}
		keep := "no-cache"
		if strings.HasPrefix(name, "assets/") { // named after their own contents
			keep = "public, max-age=31536000, immutable"
			if !is(files, name) { // of another build: no screen, and nothing to be kept
				c.Header("Cache-Control", "no-store")
				deny(c, http.StatusNotFound, say.Of(noSuchFile))
				return
			}
		}
		if !is(files, name) {
			name = "index.html"
			if !is(files, name) {
				c.String(
					http.StatusServiceUnavailable,
					"The front end is not built into this program: run make build.\n",
				)
				return
			}
		}
		c.Header("Cache-Control", keep)
		c.Status(http.StatusOK)
		if packed(c, files, name) {
			return
		}
		c.Header("Content-Type", typeOf(name))
		http.ServeFileFS(c.Writer, c.Request, files, name)
	}
}

func is(files fs.FS, name string) bool {
	info, err := fs.Stat(files, name)
	return err == nil && !info.IsDir()
}

// packed answers with a file as the build packed it, where the browser takes that.
func packed(c *gin.Context, files fs.FS, name string) bool {
	takes := c.GetHeader("Accept-Encoding")
	for _, p := range packings {
		if !strings.Contains(takes, p.name) {
			continue
		}
		text, err := fs.ReadFile(files, name+p.ending)
		if err != nil {
			continue
		}
		c.Header("Content-Encoding", p.name)
		c.Header("Vary", "Accept-Encoding")
		c.Data(http.StatusOK, typeOf(name), text)
		return true
	}
	return false
}

func typeOf(name string) string {
	if strings.HasSuffix(name, ".webmanifest") { // not known everywhere
		return "application/manifest+json"
	}
	return mime.TypeByExtension(path.Ext(name))
}
