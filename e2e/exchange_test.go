package e2e

import (
	"io"
	"net/http"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Everything of one book is brought into another on the screen: what that would be first, then all of it, and taken
// back in one press.
func TestABookIsBroughtAndTakenBack(t *testing.T) {
	t.Parallel()
	from := start(t, "demo", "--today", day, "--listen", anywhere)
	response, err := http.Get(from.address + "/api/export")
	require.NoError(t, err)
	defer response.Body.Close()
	data, err := io.ReadAll(response.Body)
	require.NoError(t, err)
	file := filepath.Join(t.TempDir(), "all.zip")
	require.NoError(t, os.WriteFile(file, data, 0o600))

	to := serve(t, filepath.Join(t.TempDir(), "book.db"), day, anywhere)
	to.send(
		"PUT",
		"/api/settings",
		`{"role":"keeper","length_unit":"mm","weight_unit":"kg","margin_mm":1,"working_weekdays":["mon"]}`,
		nil,
	)
	p := tab(t, browser(t), to.address+"/settings/data")
	p.sees("Yours to take and to bring")
	bring := func(path string) {
		input, err := p.Element("#package-file")
		p.require(err, "the file field")
		p.require(input.SetFiles([]string{path}), "a package chosen")
	}
	broken := filepath.Join(t.TempDir(), "half.zip")
	require.NoError(t, os.WriteFile(broken, data[:len(data)/2], 0o600))
	bring(broken)
	p.sees("must be a whole ZIP")
	bring(file)
	p.press("button", "Take in what is new")
	p.sees("Taken in.")
	assert.Len(t, to.dogs(), 24)
	p.press("button", "Take it back")
	require.Eventually(t, func() bool {
		answer, err := http.Get(to.address + "/api/due")
		if err != nil {
			return false
		}
		defer answer.Body.Close()
		text, err := io.ReadAll(answer.Body)
		return err == nil && answer.StatusCode == http.StatusOK && len(text) > 0 && len(to.dogs()) == 0
	}, patience, 200_000_000)
}
