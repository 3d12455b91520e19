package e2e

import (
	"encoding/json"
	"io"
	"net/http"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var metric = regexp.MustCompile(`\d ?(mm|kg)\b|\b(mm|kg)\b|[Mm]illimet`)

// Who chose inches and pounds reads no millimetre and no kilogram on any screen; the choice itself names them.
func TestInchesAndPoundsStandEverywhere(t *testing.T) {
	t.Parallel()
	program := start(t, "demo", "--today", day+"T10:00", "--listen", anywhere)
	var settings struct{ Choices map[string]any }
	program.get("/api/settings", &settings)
	settings.Choices["length_unit"], settings.Choices["weight_unit"] = "in", "lb"
	body, err := json.Marshal(settings.Choices)
	require.NoError(t, err)
	request, err := http.NewRequest("PUT", program.address+"/api/settings", strings.NewReader(string(body)))
	require.NoError(t, err)
	request.Header.Set("Content-Type", "application/json")
	response, err := http.DefaultClient.Do(request)
	require.NoError(t, err)
	defer response.Body.Close()
	text, err := io.ReadAll(response.Body)
	require.NoError(t, err)
	require.Equal(t, 200, response.StatusCode, string(text))
	p := tab(t, browser(t), "about:blank")
	for _, s := range screens {
		p.open(s.address(program))
		p.sees(s.words)
		p.opensAll()
		for _, line := range p.lines() {
			assert.False(t, metric.MatchString(line), "%s: %s", s.name, line)
		}
	}
}
