// Package web holds the built front end.
package web

import (
	"embed"
	"io/fs"
)

//go:embed all:dist
var dist embed.FS

// Dist is the built front end with index.html at its root; it is empty before the first build.
func Dist() fs.FS {
	files, err := fs.Sub(dist, "dist")
	if err != nil {
		panic(err) // the directory is named in the line above
	}
	return files
}
