package ladder

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/nail"
)

// Training is what a dog is still being taught: its ladders that it is not through.
type Training []Progress

// First is the ladder whose next step comes first; false when there is none.
func (t Training) First(today date.Date) (Progress, bool) {
	if len(t) == 0 {
		return Progress{}, false
	}
	return slices.MinFunc(t, func(a, b Progress) int { return a.NextOn(today).Sub(b.NextOn(today)) }), true
}

// Paws are those that may not be trimmed yet: one, or all on a clipper ladder of the whole dog.
// A grinder ladder closes none: the dog is clipped meanwhile.
func (t Training) Paws() map[nail.Paw]bool {
	paws := map[nail.Paw]bool{}
	for _, s := range t {
		for _, paw := range nail.Paws() {
			if s.Kind == Clipper && (s.Paw == nil || *s.Paw == paw) {
				paws[paw] = true
			}
		}
	}
	return paws
}

// Whole tells whether the dog is trained and not trimmed: every paw is on a ladder.
func (t Training) Whole() bool { return len(t.Paws()) == len(nail.Paws()) }

// WithGrinder tells whether the dog is still on a grinder ladder.
func (t Training) WithGrinder() bool {
	return slices.ContainsFunc(t, func(s Progress) bool { return s.Kind == Grinder })
}
