package formats

import (
	"fmt"
	"strings"

	"rsc.io/qr"
)

// Code is a text as a two-dimensional code: an SVG path in squares of 1, and how many lie side by side.
func Code(text string) (path string, size int, err error) {
	picture, err := qr.Encode(text, qr.M)
	if err != nil {
		return "", 0, err
	}
	var p strings.Builder
	for y := range picture.Size {
		for x := range picture.Size {
			if picture.Black(x, y) {
				fmt.Fprintf(&p, "M%d %dh1v1h-1z", x, y)
			}
		}
	}
	return p.String(), picture.Size, nil
}
