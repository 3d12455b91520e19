package roster

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/round"
	"fribbet/internal/words/wordstest"
)

var today = date.MustParse("2026-11-24")

func TestColumnsAreGuessedByTheirHeadings(t *testing.T) {
	assert.Equal(
		t,
		[]Column{Owner, Phone, Mail, Dog, "", Weight, Born, Note},
		Guess(
			[]string{
				"Client name",
				"Mobile",
				"E-mail address",
				"Dog’s name",
				"Breed",
				"Weight (lb)",
				"D.O.B. / born",
				"Remarks",
			},
		),
	)
	assert.Equal(t, []Column{Dog, Owner, Age, Weight}, Guess([]string{"Hund", "Besitzer", "Alter", "Gewicht"}))
}

func TestRowsAreReadAsPeopleWriteThem(t *testing.T) {
	columns := []Column{Owner, Phone, Dog, Weight, Born}
	rows := Read(table([]string{"Owner", "Phone", "Dog", "Weight lb", "Born"}, [][]string{
		{"Ottoline Reed", "+44 1632 960011", "Fig", "44", "5/30/2021"},
		{"Вера Лозовая", "", "Плюшка", "7,5 kg", "2019"},
		{"Ottoline Reed", "", "Bee", "11 lb", "2019"},
		{"Ottoline Reed", "", "Sedge", "", "2019"},
	}), columns, today)
	require.Empty(t, rows[0].Refused)
	assert.InDelta(t, 19.96, rows[0].Dog.Weights[0].Kg, 0.01, "the heading says pounds")
	assert.Equal(t, "2021-05-30", rows[0].Dog.BirthDate.String(), "a thirtieth is no month")
	assert.Equal(t, round.ByText, rows[0].Owner.Reach)
	assert.InDelta(t, 4.99, rows[2].Dog.Weights[0].Kg, 0.01, "pounds told twice are pounds once")
	assert.Contains(t, wordstest.Of(rows[3].Refused[0].Want), "must be told", "no weight is not told as some pounds")
	kilos := Read(
		table([]string{"Dog", "Weight", "Born"}, [][]string{{"Fig", "20", "2019"}}),
		[]Column{Dog, Weight, Born},
		today,
	)
	assert.InDelta(t, 20, kilos[0].Dog.Weights[0].Kg, 0.01, "no heading says pounds")
	require.Empty(t, rows[1].Refused)
	assert.Equal(t, round.ByHand, rows[1].Owner.Reach)
	assert.Equal(t, "2019-07-01", rows[1].Dog.BirthDate.String())
}

func TestARowThatCannotBeTakenSaysWhy(t *testing.T) {
	columns := []Column{Owner, Phone, Dog, Weight, Age}
	for want, cells := range map[string][]string{
		"weight must be told":                    {"A", "", "Fig", "", "4"},
		"weight must be a number":                {"A", "", "Fig", "heavy", "4"},
		"owner must be a name":                   {"", "0123456789", "Fig", "20", "4"},
		"phone must be a telephone":              {"A", "evenings", "Fig", "20", "4"},
		"dog must be words, not a formula":       {"A", "", "=HYPERLINK(1)", "20", "4"},
		"dog must be a name: the row":            {"", "", "", "20", "4"},
		"born must be told, or an age":           {"A", "", "Fig", "20", ""},
		"weight must be from":                    {"A", "", "Fig", "2000", "4"},
		"age must be a number of years, or of m": {"A", "", "Fig", "20", "old"},
	} {
		row := Read(table([]string{"", "", "", "", ""}, [][]string{cells}), columns, today)[0]
		require.NotEmpty(t, row.Refused, want)
		assert.Contains(t, row.Refused[0].Name+" "+wordstest.Of(row.Refused[0].Want), want)
		assert.Equal(t, 2, row.Line)
	}
	months := Read(table([]string{"", ""}, [][]string{{"Fig", "9 months"}}), []Column{Dog, Age}, today)[0]
	assert.InDelta(t, 0.75, *months.Dog.AgeYears, 1e-9)
}

func table(header []string, rows [][]string) Table {
	t := Table{Header: header, Rows: rows}
	for n := range rows {
		t.Lines = append(t.Lines, n+2)
	}
	return t
}

// Dates as spreadsheets and people of several countries write them (common practice, no source; the serial number
// 44346 is 30 May 2021 by ISO/IEC 29500-1).
func TestDatesAreReadAsTheyAreWritten(t *testing.T) {
	german := []string{
		"Januar",
		"Februar",
		"März",
		"April",
		"Mai",
		"Juni",
		"Juli",
		"August",
		"September",
		"Oktober",
		"November",
		"Dezember",
	}
	french := []string{
		"janvier",
		"février",
		"mars",
		"avril",
		"mai",
		"juin",
		"juillet",
		"août",
		"septembre",
		"octobre",
		"novembre",
		"décembre",
		"janv.",
		"févr.",
		"mars",
		"avr.",
		"mai",
		"juin",
		"juil.",
		"août",
		"sept.",
		"oct.",
		"nov.",
		"déc.",
	}
	russian := []string{
		"января",
		"февраля",
		"марта",
		"апреля",
		"мая",
		"июня",
		"июля",
		"августа",
		"сентября",
		"октября",
		"ноября",
		"декабря",
	}
	for text, months := range map[string][]string{
		"44346": nil, "44346.75": nil, "2021-05-30T14:30:00Z": nil, "2021-05-30 00:00:00": nil, "30.05.2021 00:00": nil, "30/05/2021": nil, "30 May 2021": nil, "May 30, 2021": nil, "30-May-21": nil, "30th of May 2021": nil,
		"30. Mai 2021": german, "30 mai 2021": french, "30 мая 2021": russian, "30 de mayo de 2021": {"enero", "febrero", "marzo", "abril", "mayo"},
	} {
		got, ok := calendar{months: months}.day(text)
		assert.True(t, ok, text)
		assert.Equal(t, "2021-05-30", got.String(), text)
	}
	got, ok := calendar{months: french}.day("3 août 2020")
	assert.True(t, ok)
	assert.Equal(t, "2020-08-03", got.String())
	for _, text := range []string{"soon", "30 Brumaire 2021", "2021-13-01", "445", "", "99.99.2021"} {
		_, ok := calendar{}.day(text)
		assert.False(t, ok, text)
	}
}

// A cell with two numbers, a mail address among numbers: one way is used, the others are kept with the note.
func TestAnOwnerIsReachedByTheFirstNumber(t *testing.T) {
	for cells, want := range map[[2]string][]string{
		{"030/1234567", ""}:                        {"text", "030/1234567"},
		{"030 1234567 / 0171 2345678", ""}:         {"text", "030 1234567", "0171 2345678"},
		{"0301234567/01712345678", ""}:             {"text", "0301234567", "01712345678"},
		{"01632 960001; 01632 960002", "a@ex.org"}: {"text", "01632 960001", "01632 960002", "a@ex.org"},
		{"a@ex.org", ""}:                           {"mail", "a@ex.org"},
		{"", "a@ex.org or 030.123.45.67"}:          {"text", "030.123.45.67", "a@ex.org"},
		{"", ""}:                                   {"hand", ""},
	} {
		by, address, others := reached(cells[0], cells[1])
		assert.Equal(t, want, append([]string{string(by), address}, others...), "%v", cells)
	}
	row := Read(table([]string{"Owner", "Phone", "Mail", "Note"}, [][]string{{"Anna", "030 1234567", "a@ex.org", "rings twice"}}), []Column{Owner, Phone, Mail, Note}, today)[0]
	require.Empty(t, row.Refused)
	assert.Equal(t, "rings twice; also a@ex.org", row.Owner.Note)
}
