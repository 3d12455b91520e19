package say_test

import (
	"encoding/json"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"fribbet/internal/core/say"
)

// Every kind of value is kept with what it is, and read back the same.
func TestALineThatWasKeptIsReadBack(t *testing.T) {
	on := time.Date(2026, 11, 24, 0, 0, 0, 0, time.UTC)
	inner := say.Of("verdict.trimmed_today")
	l := say.Of("due.why", say.Args{
		"length":  say.Length(1.5),
		"lengths": say.Lengths{Low: 1, High: 2},
		"weight":  say.Weight(12),
		"bound":   say.Bound(3),
		"heavy":   say.Heavy(4),
		"symbol":  say.Symbol("length"),
		"count":   say.Count(3),
		"whole":   say.Whole(4),
		"round":   say.Round(5.4),
		"tenths":  say.Tenths(1.26),
		"number":  say.Number(0.25),
		"name":    say.Name("Fig"),
		"names": say.Names{
			"a",
			"b",
		},
		"all":      say.All{"c"},
		"nails":    say.Nails{Codes: []string{"LF1"}, Each: true, Dewclaws: true},
		"paws":     say.Paws{"LF"},
		"start":    say.Start(inner),
		"day":      say.Day(on),
		"long_day": say.LongDay(on),
		"clock":    say.Clock(615),
		"lines":    say.Lines{inner},
		"line":     inner,
	})
	assert.Equal(t, l, say.Read(l.Text()))
	assert.True(t, say.Read("").Nothing())
	assert.Equal(t, say.Plain("{}"), say.Read("{}"), "what says nothing as a line stands as it was kept")
	assert.Equal(t, say.Plain("moved since"), say.Read("moved since"), "kept before there were lines")
	var old struct{ Reason, Waits say.Line }
	require.NoError(t, json.Unmarshal([]byte(`{"Reason":"LF3 reaches the floor","Waits":""}`), &old))
	assert.Equal(t, say.Plain("LF3 reaches the floor"), old.Reason)
	assert.True(t, old.Waits.Nothing())
	assert.Error(
		t,
		json.Unmarshal([]byte(`{"Key":"a","Args":{"b":{"sound":1}}}`), &old.Reason),
		"a kind that there is not",
	)
}
