package hindsight

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/record"
)

// Quarter is how a dog's trims went in three months.
type Quarter struct {
	From    date.Date // its first day
	Trims   int
	Nails   int // that something came off
	Bled    int
	Looked  int      // trims before which somebody looked at the floor
	Touched int      // of these, at which a nail touched
	Calm    *float64 // minutes until the first sign of unrest, on the mean of those that were noted; nil where none was
}

// Quarters are those of the calendar in which a dog was trimmed, the earliest first.
func Quarters(sittings []record.Sitting) []Quarter {
	sorted := slices.SortedFunc(slices.Values(sittings), func(a, b record.Sitting) int { return a.On.Sub(b.On) })
	var all []Quarter
	calm, noted := 0.0, 0.0
	for _, s := range sorted {
		if from := s.On.Quarter(); len(all) == 0 || all[len(all)-1].From != from {
			all, calm, noted = append(all, Quarter{From: from}), 0, 0
		}
		q := &all[len(all)-1]
		q.Trims++
		nails, _ := s.Cut()
		q.Nails += nails
		q.Bled += len(s.Bled())
		if s.Arrival != nil && s.Arrival.Touching != record.Unlooked {
			q.Looked++
			if s.Arrival.Touching != record.None {
				q.Touched++
			}
		}
		if s.Calm != nil {
			calm, noted = calm+*s.Calm, noted+1
			mean := calm / noted
			q.Calm = &mean
		}
	}
	return all
}
