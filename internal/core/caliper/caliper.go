// Package caliper reads what a caliper sends: lines of text, each a number of millimetres.
// A caliper's link garbles, breaks off and falls silent; nothing but a whole, sensible line counts.
package caliper

import (
	"bytes"
	"fribbet/internal/core/say"
	"strconv"
	"strings"
)

// Reading is one line: a length in mm, or why it is none.
type Reading struct {
	MM      float64
	Trouble say.Line // empty for a good reading
}

// Reader puts lines together from whatever pieces arrive. The zero value is ready.
type Reader struct{ pending []byte }

// Feed takes the next bytes and returns the readings that they complete.
func (r *Reader) Feed(piece []byte) []Reading {
	r.pending = append(r.pending, piece...)
	var readings []Reading
	for {
		line, rest, whole := bytes.Cut(r.pending, []byte("\n"))
		if !whole {
			break
		}
		r.pending = append([]byte(nil), rest...)
		if text := strings.TrimSpace(string(line)); text != "" {
			readings = append(readings, parse(text))
		}
	}
	if len(r.pending) > mostLine {
		r.pending = nil
		readings = append(readings, Reading{Trouble: say.Of(theCaliperSendsSomethingElse)})
	}
	return readings
}

// Silent tells that nothing more came for a while: what is pending was half a reading.
func (r *Reader) Silent() (Reading, bool) {
	if len(strings.TrimSpace(string(r.pending))) == 0 {
		return Reading{}, false
	}
	half := string(r.pending)
	r.pending = nil
	return Reading{Trouble: say.Of(halfAReadingCameNothing, say.Args{"half": say.Name(half)})}, true
}

// parse reads a line such as "+012.53 mm".
func parse(line string) Reading {
	number := strings.TrimSpace(strings.TrimSuffix(strings.ToLower(line), "mm"))
	mm, err := strconv.ParseFloat(number, 64)
	switch {
	case err != nil || len(line) > mostLine:
		return Reading{Trouble: say.Of(isNoReadingNothingWas, say.Args{"line": say.Name(short(line))})}
	case !(mm > 0 && mm <= Most):
		return Reading{
			Trouble: say.Of(isNoLengthOfA, say.Args{"line": say.Name(short(line)), "most": say.Number(Most)}),
		}
	}
	return Reading{MM: mm}
}

func short(line string) string {
	if len(line) > mostLine {
		return line[:mostLine] + "…"
	}
	return line
}
