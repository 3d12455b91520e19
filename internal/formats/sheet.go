package formats

import (
	"encoding/csv"
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
// spreadsheet would work out as a formula is made words by an apostrophe before it.
func (s Sheet) Write(w io.Writer) error {
	if _, err := io.WriteString(w, "\uFEFF"); err != nil {
		return err
	}
	out := csv.NewWriter(w)
	out.UseCRLF = true
	for _, row := range append([][]string{s.Header}, s.Rows...) {
		cells := make([]string, len(row))
		for i, cell := range row {
			cells[i] = harmless(cell)
		}
		if err := out.Write(cells); err != nil {
			return err
		}
	}
	out.Flush()
	return out.Error()
}

// harmless is a cell that no spreadsheet takes for a formula; a plain number is none.
func harmless(cell string) string {
	if cell == "" || !strings.ContainsRune("=+-@\t\r", rune(cell[0])) || plainNumber(cell) {
		return cell
	}
	return "'" + cell
}

func plainNumber(cell string) bool {
	rest := strings.TrimLeft(cell[:1], "-") + cell[1:]
	return strings.HasPrefix(cell, "-") && rest != "" && strings.Trim(rest, "0123456789.") == "" && strings.Count(rest, ".") <= 1
}
