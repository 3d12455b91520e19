package roster

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/date"
	"fribbet/internal/core/round"
)

var today = date.MustParse("2026-11-24")

func TestColumnsAreGuessedByTheirHeadings(t *testing.T) {
	assert.Equal(t, []Column{Owner, Phone, Mail, Dog, "", Weight, Born, Note},
		Guess([]string{"Client name", "Mobile", "E-mail address", "Dog’s name", "Breed", "Weight (lb)", "D.O.B. / born", "Remarks"}))
	assert.Equal(t, []Column{Dog, Owner, Age, Weight}, Guess([]string{"Hund", "Besitzer", "Alter", "Gewicht"}))
}

func TestRowsAreReadAsPeopleWriteThem(t *testing.T) {
	columns := []Column{Owner, Phone, Dog, Weight, Born}
	rows := Read([]string{"Owner", "Phone", "Dog", "Weight lb", "Born"}, [][]string{
		{"Ottoline Reed", "+44 1632 960011", "Fig", "44", "5/30/2021"},
		{"Вера Лозовая", "", "Плюшка", "7,5 kg", "2019"},
	}, columns, today)
	require.Empty(t, rows[0].Refused)
	assert.InDelta(t, 19.96, rows[0].Dog.Weights[0].Kg, 0.01, "the heading says pounds")
	assert.Equal(t, "2021-05-30", rows[0].Dog.BirthDate.String(), "a thirtieth is no month")
	assert.Equal(t, round.ByText, rows[0].Owner.Reach)
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
		row := Read([]string{"", "", "", "", ""}, [][]string{cells}, columns, today)[0]
		require.NotEmpty(t, row.Refused, want)
		assert.Contains(t, row.Refused[0].Name+" "+row.Refused[0].Want, want)
		assert.Equal(t, 2, row.Line)
	}
	months := Read([]string{"", ""}, [][]string{{"Fig", "9 months"}}, []Column{Dog, Age}, today)[0]
	assert.InDelta(t, 0.75, *months.Dog.AgeYears, 1e-9)
}
