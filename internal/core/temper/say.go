package temper

import "fribbet/internal/core/say"

// Say is how a dog took it, within a sentence; nothing where nobody told.
func (r Reaction) Say() say.Line {
	if r == Untold {
		return say.Line{}
	}
	return say.Of("temper." + say.Key(r))
}
