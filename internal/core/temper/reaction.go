// Package temper is how a dog takes having its nails done, and how much of it.
package temper

import "slices"

// Reaction is how the dog took one nail, or one step towards it.
type Reaction string

const (
	Untold   Reaction = "" // nobody said how it took it
	Calm     Reaction = "calm"
	Uneasy   Reaction = "uneasy"  // yawns, licks its lips
	Pulling  Reaction = "pulling" // pulls, stiffens
	Fighting Reaction = "fighting"
	Snapping Reaction = "snapping"
)

// Reactions lists those that can be told, the easiest first.
func Reactions() []Reaction { return []Reaction{Calm, Uneasy, Pulling, Fighting, Snapping} }

// Strain is how hard the dog took it: 0 for calm, and where nobody said, to 4 for snapping.
func (r Reaction) Strain() int { return max(0, slices.Index(Reactions(), r)) }

// TooMuch tells whether the dog had enough: what is done after it is done by force.
func (r Reaction) TooMuch() bool { return r.Strain() >= Fighting.Strain() }

// Worst is the hardest of them that were told; untold when none was.
func Worst(all ...Reaction) Reaction {
	worst := Untold
	for _, r := range all {
		if r != Untold && (worst == Untold || r.Strain() > worst.Strain()) {
			worst = r
		}
	}
	return worst
}
