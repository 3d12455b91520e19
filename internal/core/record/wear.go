package record

import (
	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
	"math"
)

// Stints are what a sitting asked of each piece of kit that was named: its cuts, and of a timed sitting
// its share of the nails, of any other the nails themselves. In the order in which they were taken up.
func (s Sitting) Stints() []kit.Stint {
	var stints []kit.Stint
	at := map[string]int{}
	worked := 0.0
	for _, r := range s.Records {
		if len(r.Cuts) > 0 {
			worked++
		}
		if r.Item == "" {
			continue
		}
		i, known := at[r.Item]
		if !known {
			i = len(stints)
			at[r.Item], stints = i, append(stints, kit.Stint{Item: r.Item})
		}
		stints[i].Cuts += float64(len(r.Cuts))
		stints[i].Untimed += float64(min(1, len(r.Cuts)))
		stints[i].TookForce = stints[i].TookForce || r.TookForce
	}
	if s.Minutes == nil || worked == 0 {
		return stints
	}
	for i := range stints {
		stints[i].Minutes, stints[i].Untimed = *s.Minutes*stints[i].Untimed/worked, 0
	}
	return stints
}

// Ground is what a sitting says of one touch of each piece of kit, by its id, where lengths were measured
// before and after.
func (s Sitting) Ground() map[string]quick.Ground {
	ground := map[string]quick.Ground{}
	for _, r := range s.Records {
		if r.Item != "" && r.LengthBefore != nil && r.LengthAfter != nil {
			ground[r.Item] = ground[r.Item].And(r.Removed(), math.Hypot(r.LengthBefore.SD, r.LengthAfter.SD), len(r.Cuts))
		}
	}
	return ground
}
