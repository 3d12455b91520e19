package hand

import "math"

// Eye is how somebody names cut ends: of so many that were not white and did not bleed, how many they took for the next
// milder face or one milder still. To take one for a worse face leaves horn; this is what bleeds.
type Eye struct{ Asked, Milder int }

// Share is which share of the ends that eye takes for a milder face, by what it named and what most eyes do; to a
// twentieth, and 0 where that is no more than of most, or where too few were named.
func (e Eye) Share() float64 {
	if e.Asked < EyeAsked {
		return 0
	}
	share := (float64(e.Milder) + usualMilder*eyeCount) / (float64(e.Asked) + eyeCount)
	if share = math.Round(20*share) / 20; share <= usualMilder {
		return 0
	}
	return math.Min(mostMilder, share)
}

// Of100 is that share of 100 ends; 0 where it counts no more than most people's.
func (e Eye) Of100() int { return int(math.Round(100 * e.Share())) }
