// Package sampled is for tests alone: which rows of a page of figures one run works out.
package sampled

import (
	"os"
	"testing"
)

// every is how many rows there are to one that `make test` works out.
const every = 5

// Whole tells whether everything is worked out, as `make simulate` does.
func Whole() bool { return os.Getenv("FRIBBET_ROWS") == "all" }

// Row skips all rows but every fifth, by their number on the page; `make simulate` works out all of them. A row is
// worked out in whole or not at all: the page is held to the digit either way.
func Row(t *testing.T, number int) {
	t.Helper()
	if number%every != 0 && !Whole() {
		t.Skip("make simulate works it out")
	}
}
