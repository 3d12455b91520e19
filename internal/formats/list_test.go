package formats

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/text/encoding/charmap"
	"golang.org/x/text/encoding/unicode"
)

// However a spreadsheet saves it: quotes as RFC 4180 has them, four separators, four ways to write its letters.
func TestAListIsReadHoweverItWasSaved(t *testing.T) {
	const text = "Name;Dog;Note\r\n\"Müller; Åse\";Fíg;\"says \"\"no\"\"\"\r\n\r\nB;C\r\n"
	latin, err := charmap.Windows1252.NewEncoder().String(text)
	require.NoError(t, err)
	wide, err := unicode.UTF16(unicode.LittleEndian, unicode.UseBOM).NewEncoder().String(text)
	require.NoError(t, err)
	for encoding, file := range map[string]string{"UTF-8": text, "Windows-1252": latin, "UTF-16": wide} {
		list, err := ReadList([]byte(file))
		require.NoError(t, err)
		assert.Equal(
			t,
			List{
				[]string{"Name", "Dog", "Note"},
				[][]string{{"Müller; Åse", "Fíg", `says "no"`}, {"B", "C"}},
				[]int{2, 4},
				"semicolon",
				encoding,
			},
			list,
		)
	}
	marked, err := ReadList([]byte("\xEF\xBB\xBFName\tDog\nA\tB\n"))
	require.NoError(t, err)
	assert.Equal(t, []string{"Name", "Dog"}, marked.Header)
	assert.Equal(t, "tab", marked.Separator)
}

func TestWhatIsNoListSaysSo(t *testing.T) {
	for file, want := range map[string]string{
		"": "must be a table", "Name,Dog\n": "must have rows", "PK\x03\x04\x00\x00": "not a spreadsheet's own file",
		"a,b\n" + strings.Repeat("1,2\n", MostRows+1): "at most 2000 rows",
	} {
		_, err := ReadList([]byte(file))
		require.Error(t, err)
		assert.Contains(t, err.Error(), want)
	}
}

// As other programs leave it: a title and blank rows above, the separator said in the first line, UTF-16 without its
// mark, a comma in a title that is no separator.
func TestTheHeadingIsFoundBelowTitles(t *testing.T) {
	const table = "Owner;Dog;Weight\nÅse Berg;Fig;20,5\n;;\nВера;Плюшка;7,5\n"
	want := [][]string{{"Åse Berg", "Fig", "20,5"}, {"Вера", "Плюшка", "7,5"}}
	for name, file := range map[string]struct {
		text  string
		first int // line of the first row
	}{
		"plain":           {table, 2},
		"said":            {"sep=;\r\n" + table, 3},
		"titled":          {"My dogs, all of them;;\nSpring, 2026\n\n" + table, 5},
		"titled and said": {"SEP=;\nMy dogs\n" + table, 4},
	} {
		for _, encode := range []*unicode.Endianness{nil, new(unicode.LittleEndian), new(unicode.BigEndian)} {
			text := file.text
			if encode != nil {
				var err error
				text, err = unicode.UTF16(*encode, unicode.IgnoreBOM).NewEncoder().String(text)
				require.NoError(t, err)
			}
			list, err := ReadList([]byte(text))
			require.NoError(t, err, name)
			assert.Equal(t, []string{"Owner", "Dog", "Weight"}, list.Header, name)
			assert.Equal(t, want, list.Rows, name)
			assert.Equal(t, []int{file.first, file.first + 2}, list.Lines, name)
		}
	}
}
