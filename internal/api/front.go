package api

import (
	"io/fs"
	"net/http"
	"strings"

	"github.com/gin-gonic/gin"
)

// front serves the built front end; an address that is no file is one of its screens.
func front(files fs.FS) gin.HandlerFunc {
	serve := http.FileServerFS(files)
	return func(c *gin.Context) {
		path := strings.TrimPrefix(c.Request.URL.Path, "/")
		switch {
		case strings.HasPrefix(path, "api/"):
			write(c, problem(http.StatusNotFound, "There is nothing at this address."))
			return
		case c.Request.Method != http.MethodGet && c.Request.Method != http.MethodHead:
			write(c, problem(http.StatusMethodNotAllowed, "This address only shows the program."))
			return
		}
		if info, err := fs.Stat(files, path); err == nil && !info.IsDir() {
			if strings.HasPrefix(path, "assets/") { // named after their own contents
				c.Header("Cache-Control", "public, max-age=31536000, immutable")
			}
			c.Status(http.StatusOK)
			serve.ServeHTTP(c.Writer, c.Request)
			return
		}
		page, err := fs.ReadFile(files, "index.html")
		if err != nil {
			c.String(http.StatusServiceUnavailable, "The front end is not built into this program: run make build.\n")
			return
		}
		c.Header("Cache-Control", "no-cache")
		c.Data(http.StatusOK, "text/html; charset=utf-8", page)
	}
}
