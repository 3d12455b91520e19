package api

import (
	"bytes"
	"encoding/json"
	"fmt"
	"os"
	"strings"
	"testing"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/api/contract"
)

// offlineCase is what a bench without its server must show: the server's last answer, taps that wait, and what the
// server comes to by them. web/src/local/offline.test.ts holds the browser to it.
type offlineCase struct {
	Name    string
	Before  offlineBench
	Pending []json.RawMessage
	After   offlineBench
}

// offlineBench are the nails of a case, with what the browser decides of them, and what it needs for that.
type offlineBench struct {
	Stopping []string           `json:"stopping"`
	Ended    bool               `json:"ended"`
	Nails    []offlineNail      `json:"nails"`
	Smooth   []string           `json:"smooth"`
	First    []contract.PawMood `json:"first_answers"`
}

type offlineNail struct {
	Code     string              `json:"code"`
	Cuts     []contract.BenchCut `json:"cuts"`
	Blood    bool                `json:"blood"`
	Stopped  bool                `json:"stopped"`
	Bleeding bool                `json:"bleeding"`
	Skipped  bool                `json:"skipped"`
	Done     bool                `json:"done"`
	Edged    bool                `json:"edged"`
	Ground   bool                `json:"ground"`
	Known    bool                `json:"known"`
	Colour   string              `json:"colour"`
	Reaction string              `json:"reaction,omitempty"`
	Asks     string              `json:"asks,omitempty"`
	Thin     float64             `json:"thin_mm"`
	Advice   struct {
		Action string  `json:"action"`
		Cut    float64 `json:"cut_mm"`
	} `json:"advice"`
}

// offline is what of a bench's answer a case is about.
func offline(t *testing.T, b contract.Bench, codes string) (out offlineBench) {
	t.Helper()
	text, err := json.Marshal(b)
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(text, &out))
	nails := out.Nails
	out.Nails, out.First = nil, []contract.PawMood{}
	for _, n := range nails {
		if strings.Contains(codes, n.Code) {
			out.Nails = append(out.Nails, n)
		}
	}
	return out
}

// What the browser decides while the server is away is held to what the server then comes to, case by case: this test
// writes the server's part, and fails when it is not what stands in the file (UPDATE=1 writes it anew).
func TestOfflineCasesAreTheServers(t *testing.T) {
	const file = "../../web/src/local/offline.cases.json"
	var cases []offlineCase
	for _, one := range []struct{ name, codes, before, pending string }{
		{"a cut, not yet looked at", "LH3", ``, `"kind":"cut","id":"c1","nail":"LH3","mm":0.5`},
		{"a cut and a white end", "LH3", ``, `"kind":"cut","id":"c1","nail":"LH3","mm":0.5 | "kind":"face","id":"f1","nail":"LH3","of":"c1","face":"white"`},
		{"a dark centre stops", "LH3", `"kind":"cut","id":"c1","nail":"LH3","mm":0.5`, `"kind":"face","id":"f1","nail":"LH3","of":"c1","face":"dark_centre"`},
		{"a dot stops", "LH3", `"kind":"cut","id":"c1","nail":"LH3","mm":0.5`, `"kind":"face","id":"f1","nail":"LH3","of":"c1","face":"dot"`},
		{"blood ends a nail, and the next is free", "LH3 LH4", `"kind":"cut","id":"c1","nail":"LH3","mm":0.5`, `"kind":"blood","id":"b1","nail":"LH3" | "kind":"blood_stopped","id":"b2","nail":"LH3"`},
		{"it bleeds on", "LH3", `"kind":"cut","id":"c1","nail":"LH3","mm":0.5 | "kind":"blood","id":"b1","nail":"LH3"`, `"kind":"still_bleeding","id":"b2","nail":"LH3"`},
		{"a cut is taken back", "LH3", `"kind":"cut","id":"c1","nail":"LH3","mm":0.5`, `"kind":"undone","id":"u1","of":"c1"`},
		{"a waiting cut is taken back", "LH3", ``, `"kind":"cut","id":"c1","nail":"LH3","mm":0.5 | "kind":"undone","id":"u1","of":"c1"`},
		{"done, skipped, edged", "LH3 LH4 RH3", `"kind":"cut","id":"c1","nail":"LH3","mm":0.5`, `"kind":"edges","id":"e1","nail":"LH3" | "kind":"done","id":"d1","nail":"LH3" | "kind":"skipped","id":"s1","nail":"RH3"`},
		{"a reaction", "LH3", ``, `"kind":"reaction","id":"r1","nail":"LH3","reaction":"uneasy"`},
		{"the colour", "LF3", ``, `"kind":"colour","id":"k1","nail":"LF3","colour":"dark"`},
		{"the end of it", "LH3", `"kind":"cut","id":"c1","nail":"LH3","mm":0.5`, `"kind":"ended","id":"z1"`},
	} {
		c := newClient(t)
		d := c.addDog(moss)
		sat := fmt.Sprintf("/api/dogs/%s/sittings/%s/events", d.Id, uuid.New())
		events := func(text string) []string {
			if text == "" {
				return nil
			}
			return strings.Split(text, " | ")
		}
		before := ask[contract.Bench](
			c,
			"POST",
			sat,
			told(append([]string{`"kind":"started","id":"s0","tool":"large_plier"`}, events(one.before)...)...),
			200,
		)
		pending := told(events(one.pending)...)
		after := ask[contract.Bench](c, "POST", sat, pending, 200)
		var waits struct{ Events []json.RawMessage }
		require.NoError(t, json.Unmarshal([]byte(pending), &waits))
		cases = append(
			cases,
			offlineCase{one.name, offline(t, before, one.codes), waits.Events, offline(t, after, one.codes)},
		)
	}
	text, err := json.MarshalIndent(cases, "", " ")
	require.NoError(t, err)
	text = append(text, '\n')
	if os.Getenv("UPDATE") != "" {
		require.NoError(t, os.WriteFile(file, text, 0o600))
	}
	kept, err := os.ReadFile(file)
	require.NoError(t, err)
	assert.True(
		t,
		bytes.Equal(kept, text),
		"%s is not what the server says: UPDATE=1 go test -run OfflineCases ./internal/api",
		file,
	)
}
