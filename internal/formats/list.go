package formats

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"regexp"
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
	Lines     []int  // of the file, on which each row stands
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
		if said := signSaid(decoded); said != 0 && said != s.sign {
			continue
		}
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
	case len(best.Rows) > MostRows:
		return List{}, errMany
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
			return l.headed(), nil
		}
		if err != nil {
			return l, err
		}
		switch {
		case filled(cells) == 0 || filled(cells) == 1 && sepLine.MatchString(cells[0]):
		case len(l.Rows) == MostRows+mostTitles+1:
			return l, errMany
		default:
			line, _ := r.FieldPos(0)
			l.Rows, l.Lines = append(l.Rows, cells), append(l.Lines, line)
		}
	}
}

// mostTitles is how many rows may stand above the heading: a title, a date, whose list it is.
const mostTitles = 8

// headed parts the heading from the rows: the first that fills at least half as many cells as the fullest row.
func (l List) headed() List {
	fullest := 0
	for _, cells := range l.Rows {
		fullest = max(fullest, filled(cells))
	}
	for i, cells := range l.Rows[:min(len(l.Rows), mostTitles+1)] {
		if 2*filled(cells) >= fullest {
			return List{Header: cells, Rows: l.Rows[i+1:], Lines: l.Lines[i+1:]}
		}
	}
	return List{}
}

func filled(cells []string) (n int) {
	for _, cell := range cells {
		if strings.TrimSpace(cell) != "" {
			n++
		}
	}
	return n
}

// sepLine is a first line by which some spreadsheets say what separates the cells.
var sepLine = regexp.MustCompile(`(?i)^sep=(.)?$`)

func signSaid(text []byte) rune {
	first, _, _ := bytes.Cut(text, []byte("\n"))
	m := sepLine.FindSubmatch(bytes.TrimRight(first, "\r"))
	if m == nil {
		return 0
	}
	sign, _ := utf8.DecodeRune(m[1])
	return sign
}

// decode is text as UTF-8: by its byte order mark, else as it is where that is sound, else as Windows writes Western
// European.
func decode(text []byte) (decoded []byte, encoding string, err error) {
	switch {
	case bytes.HasPrefix(text, []byte{0xFF, 0xFE}), bytes.HasPrefix(text, []byte{0xFE, 0xFF}):
		encoding = "UTF-16"
		text, err = unicode.UTF16(unicode.LittleEndian, unicode.UseBOM).NewDecoder().Bytes(text)
	case wide(text) != nil:
		encoding = "UTF-16"
		text, err = unicode.UTF16(*wide(text), unicode.IgnoreBOM).NewDecoder().Bytes(text)
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

// wide is how UTF-16 without its mark is put: of a table's separators, digits and ends of lines every second byte is 0,
// all on the same side; nil where it is not.
func wide(text []byte) *unicode.Endianness {
	const oneIn = 50
	var zeros [2]int
	for i, b := range text {
		if b == 0 {
			zeros[i%2]++
		}
	}
	big, little := unicode.BigEndian, unicode.LittleEndian
	switch {
	case len(text)%2 != 0 || oneIn*(zeros[0]+zeros[1]) < len(text):
	case zeros[1] == 0:
		return &big
	case zeros[0] == 0:
		return &little
	}
	return nil
}

// seen drops what nobody can see: control letters but for the table's own.
func seen(r rune) rune {
	if unicodes.IsControl(r) && r != '\n' && r != '\r' && r != '\t' || unicodes.Is(unicodes.Bidi_Control, r) {
		return -1
	}
	return r
}
