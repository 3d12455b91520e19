package record

import (
	"math"

	"fribbet/internal/core/kit"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/temper"
)

// Stints are what a sitting asked of each piece of kit that was named: its cuts, and of a timed sitting
// its share of the minutes, of any other the nails themselves. In the order in which they were taken up.
func (s Sitting) Stints() []kit.Stint {
	var stints []kit.Stint
	shares, at, whole := []float64{}, map[string]int{}, 0.0
	add := func(item string, tool kit.Tool, cuts, nails int, force bool) {
		share := float64(nails) * temper.Seconds(tool.Work(), cuts)
		whole += share
		if item == "" {
			return
		}
		i, known := at[item]
		if !known {
			i = len(stints)
			at[item], stints, shares = i, append(stints, kit.Stint{Item: item}), append(shares, 0)
		}
		stints[i].Cuts += float64(cuts)
		stints[i].Untimed += float64(nails)
		stints[i].TookForce = stints[i].TookForce || force
		shares[i] += share
	}
	for _, r := range s.Records {
		add(r.Item, r.Tool, len(r.Cuts), min(1, len(r.Cuts)), r.TookForce)
		if r.Ground != nil {
			add(r.Ground.Item, r.Ground.Tool, max(temper.RoundTouches, len(r.Ground.Touches)), 1, false)
		}
	}
	if s.Minutes == nil || whole == 0 {
		return stints
	}
	for i := range stints {
		stints[i].Minutes, stints[i].Untimed = *s.Minutes*shares[i]/whole, 0
	}
	return stints
}

// Ground is what a sitting says of one touch of each piece of kit, by its id, where lengths were measured
// before and after.
func (s Sitting) Ground() map[string]quick.Ground {
	ground := map[string]quick.Ground{}
	for _, r := range s.Records {
		if r.Item != "" && r.LengthBefore != nil && r.LengthAfter != nil {
			ground[r.Item] = ground[r.Item].And(
				r.Removed(),
				math.Hypot(r.LengthBefore.SD, r.LengthAfter.SD),
				len(r.Cuts),
			)
		}
	}
	return ground
}
