package formats

import (
	"bytes"
	"encoding/csv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A list opens in a spreadsheet as it is, and nothing in it is worked out (common practice: cells that begin with
// = + - @ are made words).
func TestASheetRunsNothing(t *testing.T) {
	var out bytes.Buffer
	names := []string{"=1+1", "+44 1632 960000", "-2+3", "@SUM(A1)", "\tx", "Плюшка, \"the\" dog", "-1.5", "- 1", "Fig"}
	s := Sheet{Header: []string{"name"}}
	for _, n := range names {
		s.Rows = append(s.Rows, []string{n})
	}
	require.NoError(t, s.Write(&out))
	text, is := strings.CutPrefix(out.String(), "\uFEFF")
	assert.True(t, is, "its letters are known by the mark")
	rows, err := csv.NewReader(strings.NewReader(text)).ReadAll()
	require.NoError(t, err)
	var got []string
	for _, r := range rows[1:] {
		got = append(got, r[0])
	}
	assert.Equal(
		t,
		[]string{
			"'=1+1",
			"'+44 1632 960000",
			"'-2+3",
			"'@SUM(A1)",
			"'\tx",
			"Плюшка, \"the\" dog",
			"-1.5",
			"'- 1",
			"Fig",
		},
		got,
	)
}

// At whatever sign a spreadsheet parts cells, a cell stays one; a telephone number keeps its first zero.
func TestACellStaysOneCell(t *testing.T) {
	var out bytes.Buffer
	s := Sheet{
		Header: []string{"note"},
		Rows:   [][]string{{"x;=HYPERLINK(1);y"}, {"01632 960000"}, {"0.5"}, {" =1+1"}, {"007"}},
	}
	require.NoError(t, s.Write(&out))
	assert.Contains(t, out.String(), `"x;=HYPERLINK(1);y"`)
	semicolons := csv.NewReader(strings.NewReader(strings.TrimPrefix(out.String(), "\uFEFF")))
	semicolons.Comma = ';'
	rows, err := semicolons.ReadAll()
	require.NoError(t, err)
	assert.Equal(t, [][]string{{"note"}, {"x;=HYPERLINK(1);y"}, {"'01632 960000"}, {"0.5"}, {"' =1+1"}, {"'007"}}, rows)
}

// Words of a package are guarded in the same way, and come back as they were; an older package's are read as they
// stand.
func TestWordsOfAPackageAreGuarded(t *testing.T) {
	c := Column{Name: "note", Type: "string"}
	for text, cell := range map[string]string{"=1+1": "'=1+1", "'t Hooft": "''t Hooft", "Fig": "Fig", "": "", "+44": "'+44"} {
		assert.Equal(t, cell, c.guarded(text))
		assert.Equal(t, text, strings.TrimPrefix(c.guarded(text), guard))
	}
}
