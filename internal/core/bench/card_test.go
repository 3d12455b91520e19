package bench

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/date"
	"fribbet/internal/core/ladder"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/temper"
	"fribbet/internal/words/wordstest"
)

// An owner reads no codes and no trade.
func TestTheCardIsInAnOwnersWords(t *testing.T) {
	one := func(code string, reaction temper.Reaction, blood bool) NailState {
		return NailState{Code: nail.MustParse(code), Cuts: []Slice{{MM: 1}}, Reaction: reaction, Blood: blood}
	}
	s := Progress{Nails: []NailState{one("LF3", temper.Calm, false), one("LF4", temper.Pulling, true)}}
	on := date.MustParse("2026-11-24")
	left := []nail.Code{nail.MustParse("RH2"), nail.MustParse("RH3")}
	c := s.CardOf(
		"Fig",
		on,
		left,
		1,
		ladder.Training{ladder.Progress{Ladder: ladder.Ladder{Kind: ladder.Grinder, Started: on}}},
	)
	assert.Equal(
		t,
		"Tuesday 24 November 2026: 2 nails trimmed. 2 nails for another day: 2 nails of the right hind paw.",
		wordstest.Of(c.Done),
	)
	assert.Contains(t, wordstest.Of(c.Bled), "one nail of the left front paw")
	assert.Contains(t, wordstest.Of(c.How), "Fig pulled its paws away")
	assert.Contains(t, wordstest.Of(c.Home[0]), "Practise a little each day")
	text := strings.Join(wordstest.All(append(c.Home, c.Done, c.Bled, c.How)), " ")
	assert.Contains(t, text, "grass does not")
	assert.Contains(t, text, "a veterinarian")
	for _, word := range []string{"LF", "RH", " mm", "quick"} {
		assert.NotContains(t, text, word)
	}
	s.Nails[1].Bleeding = true
	assert.Contains(t, wordstest.Of(s.CardOf("Fig", on, nil, 20, nil).Bled), "a veterinarian, today")
	assert.Contains(t, strings.Join(wordstest.All(s.CardOf("Fig", on, nil, 20, nil).Home), " "), "about 20 km a week")
}
