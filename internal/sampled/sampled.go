// Package sampled is for tests alone: which rows of a page of figures one run works out.
package sampled

import (
	"os"
	"testing"
)

// every is how many rows there are to one that `make test` works out.
const every = 3

// Row skips all rows but every third, by their number on the page; `make simulate` works out all of them. A row is
// worked out in whole or not at all: the page is held to the digit either way.
func Row(t *testing.T, number int) {
	t.Helper()
	if number%every != 0 && os.Getenv("FRIBBET_ROWS") != "all" {
		t.Skip("make simulate works it out")
	}
}
