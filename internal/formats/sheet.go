package formats

import (
	"bufio"
	"io"
	"strings"
)

// Sheet is a list as a spreadsheet opens it.
type Sheet struct {
	Name   string // of the file, without its ending
	Header []string
	Rows   [][]string
}

// Write writes it as CSV (RFC 4180) with a byte order mark, by which spreadsheets know its letters. A cell that a
// spreadsheet would work out as a formula, or take a number's first zero off, is made words by an apostrophe before it.
func (s Sheet) Write(w io.Writer) error {
	out := csvWriter{bufio.NewWriter(w)}
	_, _ = out.WriteString("\uFEFF") // its error is told at the end
	for _, row := range append([][]string{s.Header}, s.Rows...) {
		cells := make([]string, len(row))
		for i, cell := range row {
			cells[i] = harmless(cell)
		}
		out.row(cells, "\r\n")
	}
	return out.Flush()
}

// csvWriter writes rows whose cells of words are quoted, each: at whatever sign a spreadsheet parts cells, a cell stays
// one.
type csvWriter struct{ *bufio.Writer }

// row writes one; errors are told by Flush.
func (w csvWriter) row(cells []string, end string) {
	for i, cell := range cells {
		if i > 0 {
			_ = w.WriteByte(',')
		}
		if strings.Trim(cell, "0123456789.-:TZabcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSUVWXY_") == "" {
			_, _ = w.WriteString(cell)
			continue
		}
		_ = w.WriteByte('"')
		_, _ = w.WriteString(strings.ReplaceAll(cell, `"`, `""`))
		_ = w.WriteByte('"')
	}
	_, _ = w.WriteString(end)
}

// formulas are the signs with which a spreadsheet begins to work a cell out.
const formulas = "=+-@\t\r"

// harmless is a cell that no spreadsheet takes for a formula or a number that it is not; a plain number is one.
func harmless(cell string) string {
	rest := strings.TrimLeft(cell, " \u00a0")
	if rest == "" || plainNumber(rest) || !strings.ContainsRune(formulas, rune(rest[0])) && !zeroFirst(rest) {
		return cell
	}
	return "'" + cell
}

// zeroFirst tells whether it is a number only to look at: a telephone's, that begins with a zero.
func zeroFirst(cell string) bool {
	return len(cell) > 1 && cell[0] == '0' && strings.Trim(cell, "0123456789 /()") == ""
}

func plainNumber(cell string) bool {
	rest := strings.TrimLeft(cell[:1], "-") + cell[1:]
	return strings.HasPrefix(cell, "-") && rest != "" && strings.Trim(rest, "0123456789.") == "" &&
		strings.Count(rest, ".") <= 1
}
