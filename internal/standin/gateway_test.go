package standin

import (
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The service remembers what it has taken over its own end, and takes nothing twice; a line that a kill cut short is
// none.
func TestTheServiceRemembers(t *testing.T) {
	path, now := filepath.Join(t.TempDir(), "gateway.jsonl"), time.Date(2026, 11, 24, 10, 0, 0, 0, time.UTC)
	clock := func() time.Time { return now }
	g, err := OpenGateway(path, clock)
	require.NoError(t, err)
	for range 6 {
		_ = g.Send("a", "1", "x") // now and then it fails
	}
	require.NoError(t, g.Close())
	file, err := os.OpenFile(path, os.O_APPEND|os.O_WRONLY, 0)
	require.NoError(t, err)
	_, err = file.WriteString(`{"sent":{"id":"b"`)
	require.NoError(t, err)
	require.NoError(t, file.Close())
	g, err = OpenGateway(path, clock)
	require.NoError(t, err)
	for g.Send("a", "1", "x") != nil {
	}
	for g.Send("c", "1", "y") != nil {
	}
	sent := g.Taken()
	require.Len(t, sent, 2)
	assert.Equal(t, []string{"a", "c"}, []string{sent[0].ID, sent[1].ID})
	now = now.Add(time.Minute)
	require.NoError(t, g.Answer("c", "2"))
	reports, err := g.Reports(1)
	require.NoError(t, err)
	assert.Len(t, reports, 2, "the answer's own and two deliveries, from the second on")
	assert.Error(t, g.Answer("b", "1"))
}
