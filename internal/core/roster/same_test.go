package roster

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"fribbet/internal/core/round"
)

// Owners are told apart by number and mail, never by name alone.
func TestOwnersAreJoinedByWhatReachesThem(t *testing.T) {
	known := []Known{
		{ID: "a", Owner: round.Owner{Name: "Ottoline Reed", Address: "+44 1632 96 00 11"}},
		{ID: "b", Owner: round.Owner{Name: "Tobin Marsh", Address: "Tobin@Example.org"}},
		{ID: "c", Owner: round.Owner{Name: "Hand Told"}},
		{ID: "d", Owner: round.Owner{Name: "From The List"}, InList: true},
	}
	for _, c := range []struct {
		name, address string
		answer        Answer
		id            string
		asks          bool
	}{
		{"Ottoline Reed", "+44-1632-960011", Unanswered, "a", false},
		{"O. Reed", "+44 (1632) 960.011", Unanswered, "a", false},
		{"tobin  marsh", "tobin@example.org", Unanswered, "b", false},
		{"Ottoline Reed", "+44 1632 960099", Unanswered, "", true},
		{"OTTOLINE  REED", "", Unanswered, "", true},
		{"Ottoline Reed", "", TheSame, "a", false},
		{"Ottoline Reed", "+44 1632 960099", Another, "", false},
		{"Hand Told", "", Unanswered, "", true},
		{"From the list", "", Unanswered, "d", false},
		{"From the list", "+44 1632 960077", Unanswered, "", true},
		{"Somebody New", "", Unanswered, "", false},
	} {
		id, asks := Row{Owner: round.Owner{Name: c.name, Address: c.address}}.Whose(known, c.answer)
		assert.Equal(t, c.id, id, "%+v", c)
		assert.Equal(t, c.asks, asks, "%+v", c)
	}
}
