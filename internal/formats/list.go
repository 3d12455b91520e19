package formats

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"strings"
	unicodes "unicode"
	"unicode/utf8"

	"golang.org/x/text/encoding/charmap"
	"golang.org/x/text/encoding/unicode"
	"golang.org/x/text/unicode/norm"
)

// List is a spreadsheet's table as comma-separated values (RFC 4180), or separated by anything else.
type List struct {
	Header    []string
	Rows      [][]string
	Separator string // comma, semicolon, tab or bar
	Encoding  string
}

// MostRows is how many rows a list may have besides its heading.
const MostRows = 2000

var separators = []struct {
	name string
	sign rune
}{{"comma", ','}, {"semicolon", ';'}, {"tab", '\t'}, {"bar", '|'}}

// ReadList reads a list, whatever separates its cells and however its letters are written.
func ReadList(text []byte) (List, error) {
	decoded, encoding, err := decode(text)
	if err != nil {
		return List{}, err
	}
	var best List
	for _, s := range separators { // the one by which its heading has most cells
		list, err := parse(decoded, s.sign)
		if err == nil && len(list.Header) > len(best.Header) {
			best = list
			best.Separator = s.name
		} else if errors.Is(err, errMany) {
			return List{}, err
		}
	}
	best.Encoding = encoding
	switch {
	case len(best.Header) == 0:
		return List{}, errors.New("must be a table: a heading in its first row, a row a dog, saved as CSV")
	case len(best.Rows) == 0:
		return List{}, errors.New("must have rows below its heading")
	}
	return best, nil
}

var errMany = fmt.Errorf("must have at most %d rows: divide it", MostRows)

func parse(text []byte, sign rune) (List, error) {
	r := csv.NewReader(bytes.NewReader(text))
	r.Comma, r.LazyQuotes, r.FieldsPerRecord, r.TrimLeadingSpace = sign, true, -1, sign != '\t'
	var l List
	for {
		cells, err := r.Read()
		if errors.Is(err, io.EOF) {
			return l, nil
		}
		if err != nil {
			return l, err
		}
		switch {
		case strings.TrimSpace(strings.Join(cells, "")) == "":
		case l.Header == nil:
			l.Header = cells
		case len(l.Rows) == MostRows:
			return l, errMany
		default:
			l.Rows = append(l.Rows, cells)
		}
	}
}

// decode is text as UTF-8: by its byte order mark, else as it is where that is sound, else as Windows writes Western
// European.
func decode(text []byte) (decoded []byte, encoding string, err error) {
	switch {
	case bytes.HasPrefix(text, []byte{0xFF, 0xFE}), bytes.HasPrefix(text, []byte{0xFE, 0xFF}):
		encoding = "UTF-16"
		text, err = unicode.UTF16(unicode.LittleEndian, unicode.UseBOM).NewDecoder().Bytes(text)
	case utf8.Valid(text):
		encoding, text = "UTF-8", bytes.TrimPrefix(text, []byte{0xEF, 0xBB, 0xBF})
	default:
		encoding = "Windows-1252"
		text, err = charmap.Windows1252.NewDecoder().Bytes(text)
	}
	if bytes.ContainsRune(text, 0) {
		return nil, "", errors.New("must be text, saved as CSV, not a spreadsheet's own file")
	}
	return norm.NFC.Bytes(bytes.Map(seen, text)), encoding, err
}

// seen drops what nobody can see: control letters but for the table's own.
func seen(r rune) rune {
	if unicodes.IsControl(r) && r != '\n' && r != '\r' && r != '\t' || unicodes.Is(unicodes.Bidi_Control, r) {
		return -1
	}
	return r
}
