package record

import (
	"fribbet/internal/core/kit"
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
