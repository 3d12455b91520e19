package roster

import (
	"fmt"
	"regexp"
	"strconv"
	"strings"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/core/round"
	"fribbet/internal/core/units"
)

func number(text string) (float64, error) {
	return strconv.ParseFloat(strings.Replace(decimal.FindString(text), ",", ".", 1), 64)
}

func kilograms(text string) (float64, error) {
	n, err := number(text)
	if pounds.MatchString(text) {
		n *= units.KilogramsPerPound
	}
	return n, err
}

// between parts several numbers or addresses in one cell; a slash does only where whole numbers stand on both sides.
var between = regexp.MustCompile(`[;,\n|]+|\s+(?:or|oder|und|and|ou|o|y|u)\s+|\s+/\s+`)

// reached is how an owner is reached by what the cells for telephone and mail hold, in whichever of them it stands: the
// first number, or else the first address; and what else there was.
func reached(phone, mail string) (by round.Reach, address string, others []string) {
	var numbers, addresses []string
	for _, cell := range []string{phone, mail} {
		for _, part := range between.Split(cell, -1) {
			part = strings.TrimSpace(part)
			switch {
			case part == "":
			case strings.Contains(part, "@"):
				addresses = append(addresses, part)
			default:
				numbers = append(numbers, slashed(part)...)
			}
		}
	}
	all := append(numbers, addresses...)
	switch {
	case len(all) == 0:
		return round.ByHand, "", nil
	case len(numbers) > 0:
		by = round.ByText
	default:
		by = round.ByMail
	}
	return by, all[0], all[1:]
}

// slashed parts two numbers at a slash; one whose area code is set off by it stays whole.
func slashed(text string) []string {
	digits := func(s string) int { return len(Plain(s)) }
	if before, after, is := strings.Cut(
		text,
		"/",
	); is && digits(before) > leastDigits+1 &&
		digits(after) > leastDigits+1 {
		return []string{strings.TrimSpace(before), strings.TrimSpace(after)}
	}
	return []string{text}
}

// calendar is how a list writes its dates.
type calendar struct {
	monthFirst bool
	months     []string // the reader's, beside the English ones
}

var (
	clockAfter = regexp.MustCompile(`[T ]\d{1,2}:\d{2}(:\d{2}(\.\d+)?)?\s*(Z|[+-]\d{2}:?\d{2}|[AaPp]\.?[Mm]\.?)?$`)
	serial     = regexp.MustCompile(`^\d{5}(\.\d+)?$`)
	word       = regexp.MustCompile(`\p{L}[\p{L}\p{M}’']*\.?`)
)

// dayZero is the day 0 of the serial numbers by which spreadsheets keep dates after February 1900 (ISO/IEC 29500-1,
// section 18.17.4.1).
var dayZero = time.Date(1899, time.December, 30, 0, 0, 0, 0, time.UTC)

// day reads a date as people and spreadsheets write it; a year alone is its middle.
func (c calendar) day(text string) (date.Date, bool) {
	text = strings.TrimSpace(clockAfter.ReplaceAllString(strings.TrimSpace(text), ""))
	if serial.MatchString(text) {
		days, _ := strconv.ParseFloat(text, 64)
		return date.Of(dayZero.AddDate(0, 0, int(days))), true
	}
	text = strings.Join(
		strings.Fields(strings.NewReplacer(",", " ").Replace(word.ReplaceAllStringFunc(text, c.month))),
		" ",
	)
	text = strings.ReplaceAll(text, ". ", " ") // 30. May
	forms := []string{
		"2006-1-2",
		"2.1.2006",
		"2/1/2006",
		"2-1-2006",
		"2 January 2006",
		"January 2 2006",
		"2-January-2006",
		"2/January/2006",
		"2006/1/2",
		"2006 January 2",
		"2.1.06",
		"2/1/06",
		"2 January 06",
		"2-January-06",
	}
	if c.monthFirst {
		forms = append([]string{"1/2/2006", "1/2/06"}, forms...)
	}
	for _, form := range forms {
		if t, err := time.Parse(form, text); err == nil {
			return date.Of(t), true
		}
	}
	if t, err := time.Parse("2006", text); err == nil {
		return date.Of(t.AddDate(0, 6, 0)), true
	}
	return date.Date{}, false
}

// month is the English name of a month, whole or shortened, in English or the reader's language; what goes between
// (30 de mayo) is nothing, and other words stay.
func (c calendar) month(name string) string {
	plain := strings.ToLower(strings.TrimSuffix(name, "."))
	if plain == "de" || plain == "d" || plain == "of" || plain == "th" || plain == "st" || plain == "nd" ||
		plain == "rd" {
		return ""
	}
	for k := range 12 {
		english := time.Month(k + 1).String()
		if isMonth(plain, strings.ToLower(english)) {
			return english
		}
	}
	for i, own := range c.months {
		if isMonth(plain, strings.ToLower(strings.TrimSuffix(own, "."))) {
			return time.Month(i%12 + 1).String()
		}
	}
	return name
}

func isMonth(said, whole string) bool {
	return said == whole || len([]rune(said)) >= leastOfMonth && strings.HasPrefix(whole, said)
}

// monthsFirst tells whether a list writes the month before the day: where one of its dates can be nothing else.
func monthsFirst(rows [][]string, columns []Column) bool {
	for _, cells := range rows {
		for i, cell := range cells {
			var first, second, year int
			if i < len(columns) && columns[i] == Born {
				if n, _ := fmt.Sscanf(
					strings.TrimSpace(cell),
					"%d/%d/%d",
					&first,
					&second,
					&year,
				); n == 3 && first <= 12 &&
					second > 12 {
					return true
				}
			}
		}
	}
	return false
}
