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
	assert.Equal(t, []string{"'=1+1", "'+44 1632 960000", "'-2+3", "'@SUM(A1)", "'\tx", "Плюшка, \"the\" dog", "-1.5", "'- 1", "Fig"}, got)
}
