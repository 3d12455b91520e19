package api

import (
	"encoding/json"
	"math"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

// docs/due-example.md shows a request and its answer: the program must give that answer.
func TestTheDocumentedExampleOfCalcDueIsTrue(t *testing.T) {
	page, err := os.ReadFile("../../docs/due-example.md")
	require.NoError(t, err)
	blocks := strings.Split(string(page), "```json\n")
	require.Len(t, blocks, 3)
	request, answer := strings.Split(blocks[1], "```")[0], strings.Split(blocks[2], "```")[0]
	var want any
	require.NoError(t, json.Unmarshal([]byte(answer), &want))
	got := ask[any](newClient(t), "POST", "/api/calc/due", request, 200)
	same(t, "answer", want, got)
}

// same compares two JSON values, numbers to 0.01.
func same(t *testing.T, at string, want, got any) {
	t.Helper()
	switch w := want.(type) {
	case float64:
		g, ok := got.(float64)
		assert.True(t, ok && math.Abs(w-g) <= 0.01, "%s: %v, not %v", at, got, want)
	case map[string]any:
		g, ok := got.(map[string]any)
		require.True(t, ok, at)
		assert.Len(t, g, len(w), at)
		for k := range w {
			same(t, at+"."+k, w[k], g[k])
		}
	case []any:
		g, ok := got.([]any)
		require.True(t, ok && len(g) == len(w), at)
		for i := range w {
			same(t, at, w[i], g[i])
		}
	default:
		assert.Equal(t, want, got, at)
	}
}

// Every calculator has an example in the contract, and answers it.
func TestTheContractsExamplesAreAnswered(t *testing.T) {
	spec, err := contract.GetSpec()
	require.NoError(t, err)
	c := newClient(t)
	examples := 0
	for path, item := range spec.Paths.Map() {
		if !strings.HasPrefix(path, "/api/calc/") {
			continue
		}
		example := item.Post.RequestBody.Value.Content["application/json"].Example
		require.NotNil(t, example, path)
		text, err := json.Marshal(example)
		require.NoError(t, err)
		status, answer := c.do("POST", path, string(text))
		assert.Equal(t, 200, status, path+string(answer))
		examples++
	}
	assert.GreaterOrEqual(t, examples, 7)
}
