package outlook

import (
	"fribbet/internal/core/due"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/round"
)

// Window are the days on which a visit serves the dog: from when there is anything to take, to its date, and
// from when on waiting does more harm.
func (n Next) Window(f feet.Feet) round.Window {
	w := round.Window{Due: n.Due}
	if no := f.Refusals().Dog; !no.On.IsZero() {
		w.NotBefore, w.No = no.Until, noWords(no)
	}
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
