package outlook

import (
	"fribbet/internal/core/due"
	"fribbet/internal/core/round"
)

// Window are the days on which a visit serves the dog: from when there is anything to take, to its date, and
// from when on waiting does more harm.
func (n Next) Window() round.Window {
	w := round.Window{Due: n.Due}
	for _, r := range n.Rules {
		switch r.Rule {
		case due.Worth:
			w.Worth = r.Due
		case due.Floor:
			w.Touches = r.Due
		case due.Curl:
			w.Curls = r.Due
		}
	}
	return w
}
