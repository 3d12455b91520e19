// Package roster reads owners and dogs from the rows of somebody's own list.
package roster

import (
	"fmt"
	"regexp"
	"strconv"
	"strings"
	"time"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/round"
	"fribbet/internal/core/units"
)

// Column is what a column of a list tells.
type Column string

// What columns can tell. The empty one is not read.
const (
	Owner  Column = "owner"
	Phone  Column = "phone"
	Mail   Column = "mail"
	Dog    Column = "dog"
	Weight Column = "weight" // kg, or lb where a cell or the heading says so
	Born   Column = "born"
	Age    Column = "age" // years, or months where a cell says so
	Note   Column = "note"
)

// Columns are all of them.
func Columns() []Column { return []Column{Owner, Phone, Mail, Dog, Weight, Born, Age, Note} }

// headings are words by which a column is known, those that tell most first (common practice, no source).
var headings = []struct {
	column Column
	words  []string
}{
	{Mail, []string{"mail"}},
	{Phone, []string{"phone", "mobile", "cell", "tel", "handy", "number"}},
	{Weight, []string{"weight", "kg", "lb", "pound", "gewicht", "poids", "peso"}},
	{Born, []string{"born", "birth", "dob", "geb", "naiss", "nacim"}},
	{Age, []string{"age", "years", "alter"}},
	{Note, []string{"note", "remark", "comment", "bemerk"}},
	{Dog, []string{"dog", "pet", "hund", "chien", "perro", "animal"}},
	{Owner, []string{"owner", "client", "customer", "halter", "besitzer", "kunde", "name", "contact", "keeper"}},
}

// Guess says what each column likely tells, by its heading; each is guessed once.
func Guess(header []string) []Column {
	columns := make([]Column, len(header))
	taken := map[Column]bool{}
	for _, h := range headings {
		for i, text := range header {
			text = strings.ToLower(text)
			if columns[i] != "" || taken[h.column] {
				continue
			}
			for _, word := range h.words {
				if strings.Contains(text, word) {
					columns[i], taken[h.column] = h.column, true
					break
				}
			}
		}
	}
	return columns
}

// Row is a row of a list as it is read: an owner, a dog, or both.
type Row struct {
	Line    int // of the list, its heading is 1
	Owner   round.Owner
	Dog     *dog.Changes // none where the row tells no dog
	Refused fault.Fields // why it cannot be taken; nil when it can
}

// Read reads rows as the columns say, the heading's words telling units.
func Read(header []string, rows [][]string, columns []Column, today date.Date) []Row {
	out := make([]Row, len(rows))
	monthFirst := monthsFirst(rows, columns)
	for n, cells := range rows {
		row := Row{Line: n + 2}
		told := map[Column]string{}
		var f fault.Fields
		for i, cell := range cells {
			if i >= len(columns) || columns[i] == "" {
				continue
			}
			cell = strings.TrimSpace(cell)
			if formula.MatchString(cell) && columns[i] != Phone {
				f.Add(string(columns[i]), cell, "must be words, not a formula")
				continue
			}
			if columns[i] == Weight && pounds.MatchString(header[i]) && !pounds.MatchString(cell) && cell != "" {
				cell += " lb"
			}
			if told[columns[i]] == "" {
				told[columns[i]] = cell
			}
		}
		row.read(told, monthFirst, today, &f)
		row.Refused = f
		out[n] = row
	}
	return out
}

var (
	formula = regexp.MustCompile(`^[=@]|^[+-][^0-9 ]`)
	pounds  = regexp.MustCompile(`(?i)\b(lbs?|pounds?)\b|[0-9]lbs?\b`)
	months  = regexp.MustCompile(`(?i)mo`)
	decimal = regexp.MustCompile(`[0-9]+(?:[.,][0-9]+)?`)
)

func (r *Row) read(told map[Column]string, monthFirst bool, today date.Date, f *fault.Fields) {
	r.Owner = round.Owner{Name: told[Owner], Note: told[Note], Reach: round.ByHand}
	switch {
	case told[Phone] != "":
		r.Owner.Reach, r.Owner.Address = round.ByText, told[Phone]
	case told[Mail] != "":
		r.Owner.Reach, r.Owner.Address = round.ByMail, told[Mail]
	}
	if told[Owner] != "" {
		for _, fault := range r.Owner.Check() {
			f.Add(map[string]string{"name": string(Owner), "address": string(reachColumn(r.Owner.Reach)), "note": string(Note)}[fault.Name], fault.Value, fault.Want)
		}
	} else if told[Phone] != "" || told[Mail] != "" {
		f.Add(string(Owner), "nothing", "must be a name, where there is a way to reach them")
	}
	if told[Dog] == "" {
		if told[Owner] == "" {
			f.Add(string(Dog), "nothing", "must be a name: the row tells neither a dog nor an owner")
		}
		return
	}
	name := told[Dog]
	c := dog.Changes{Name: &name}
	switch kg, err := kilograms(told[Weight]); {
	case told[Weight] == "":
		f.Add(string(Weight), "nothing", "must be told: how thick a nail is goes by it")
	case err != nil:
		f.Add(string(Weight), told[Weight], "must be a number of kg or lb")
	default:
		c.Weights = []dog.Weight{{Kg: kg}}
	}
	switch {
	case told[Born] != "":
		born, ok := dayOf(told[Born], monthFirst)
		if !ok {
			f.Add(string(Born), told[Born], "must be a date, such as 2021-05-30 or 30.5.2021, or a year")
		}
		c.BirthDate = &born
	case told[Age] != "":
		years, err := number(told[Age])
		if months.MatchString(told[Age]) {
			years /= 12
		}
		if err != nil {
			f.Add(string(Age), told[Age], "must be a number of years, or of months")
		}
		c.AgeYears = &years
	default:
		f.Add(string(Born), "nothing", "must be told, or an age: how fast nails grow goes by it")
	}
	if len(*f) == 0 {
		_, wrong := dog.Usual(rhythm.FourWeeks, date.EveryDay).With(c, today)
		for _, one := range wrong {
			f.Add(columnOf(one.Name, told), one.Value, one.Want)
		}
	}
	r.Dog = &c
}

func reachColumn(r round.Reach) Column {
	if r == round.ByMail {
		return Mail
	}
	return Phone
}

// columnOf is the column that a field of a dog came from.
func columnOf(field string, told map[Column]string) string {
	switch {
	case strings.HasPrefix(field, "weights"):
		return string(Weight)
	case strings.HasPrefix(field, "name"):
		return string(Dog)
	case told[Born] != "":
		return string(Born)
	}
	return string(Age)
}

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

// dayOf reads a date as people write it; a year alone is its middle.
func dayOf(text string, monthFirst bool) (date.Date, bool) {
	forms := []string{"2006-1-2", "2.1.2006", "2/1/2006", "2-1-2006", "2 Jan 2006", "2 January 2006", "Jan 2, 2006", "January 2, 2006", "2006/1/2", "2.1.06", "2/1/06"}
	if monthFirst {
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

// monthsFirst tells whether a list writes the month before the day: where one of its dates can be nothing else.
func monthsFirst(rows [][]string, columns []Column) bool {
	for _, cells := range rows {
		for i, cell := range cells {
			var first, second, year int
			if i < len(columns) && columns[i] == Born {
				if n, _ := fmt.Sscanf(strings.TrimSpace(cell), "%d/%d/%d", &first, &second, &year); n == 3 && first <= 12 && second > 12 {
					return true
				}
			}
		}
	}
	return false
}
