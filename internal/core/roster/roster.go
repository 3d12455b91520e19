// Package roster reads owners and dogs from the rows of somebody's own list.
package roster

import (
	"regexp"
	"strings"

	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/fault"
	"fribbet/internal/core/rhythm"
	"fribbet/internal/core/round"
	"fribbet/internal/core/say"
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

// Table is a list as it was read, cell by cell.
type Table struct {
	Header []string
	Rows   [][]string
	Lines  []int // of the file, on which each row stands
	// how the reader's language calls the months, January first, as often over as it has forms; none: English
	Months []string
}

// Read reads rows as the columns say, the heading's words telling units.
func Read(t Table, columns []Column, today date.Date) []Row {
	out := make([]Row, len(t.Rows))
	days := calendar{monthsFirst(t.Rows, columns), t.Months}
	for n, cells := range t.Rows {
		row := Row{Line: t.Lines[n]}
		told := map[Column]string{}
		var f fault.Fields
		for i, cell := range cells {
			if i >= len(columns) || columns[i] == "" {
				continue
			}
			cell = strings.TrimSpace(cell)
			if formula.MatchString(cell) && columns[i] != Phone {
				f.Add(string(columns[i]), cell, say.Of(mustBeWordsNotA))
				continue
			}
			if columns[i] == Weight && pounds.MatchString(t.Header[i]) && !pounds.MatchString(cell) && cell != "" {
				cell += " lb"
			}
			if told[columns[i]] == "" {
				told[columns[i]] = cell
			}
		}
		row.read(told, days, today, &f)
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

func (r *Row) read(told map[Column]string, days calendar, today date.Date, f *fault.Fields) {
	r.Owner = round.Owner{Name: told[Owner], Note: told[Note], Reach: round.ByHand}
	var others []string
	r.Owner.Reach, r.Owner.Address, others = reached(told[Phone], told[Mail])
	if len(others) > 0 { // one way is used; the others are not lost
		r.Owner.Note = strings.TrimPrefix(r.Owner.Note+"; also "+strings.Join(others, ", "), "; ")
	}
	if told[Owner] != "" {
		for _, fault := range r.Owner.Check() {
			column := map[string]Column{"name": Owner, "address": reachColumn(r.Owner.Reach), "note": Note}[fault.Name]
			f.Add(string(column), fault.Value, fault.Want)
		}
	} else if told[Phone] != "" || told[Mail] != "" {
		f.Add(string(Owner), "nothing", say.Of(mustBeANameWhere))
	}
	if told[Dog] == "" {
		if told[Owner] == "" {
			f.Add(string(Dog), "nothing", say.Of(mustBeANameThe))
		}
		return
	}
	name := told[Dog]
	c := dog.Changes{Name: &name}
	switch kg, err := kilograms(told[Weight]); {
	case told[Weight] == "":
		f.Add(string(Weight), "nothing", say.Of(mustBeToldHowThick))
	case err != nil:
		f.Add(string(Weight), told[Weight], say.Of(mustBeANumberOf))
	default:
		c.Weights = []dog.Weight{{Kg: kg}}
	}
	switch {
	case told[Born] != "":
		born, ok := days.day(told[Born])
		if !ok {
			f.Add(string(Born), told[Born], say.Of(mustBeADateSuch))
		}
		c.BirthDate = &born
	case told[Age] != "":
		years, err := number(told[Age])
		if months.MatchString(told[Age]) {
			years /= 12
		}
		if err != nil {
			f.Add(string(Age), told[Age], say.Of(mustBeANumberOfYears))
		}
		c.AgeYears = &years
	default:
		f.Add(string(Born), "nothing", say.Of(mustBeToldOrAn))
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
