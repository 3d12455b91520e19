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
	noted   int      // of these
}

// Quarters are those of the calendar in which a dog was trimmed, the earliest first.
func Quarters(sittings []record.Sitting) []Quarter {
	sorted := slices.SortedFunc(slices.Values(sittings), func(a, b record.Sitting) int { return a.On.Sub(b.On) })
	var all []Quarter
	calm := 0.0
	for _, s := range sorted {
		if from := s.On.Quarter(); len(all) == 0 || all[len(all)-1].From != from {
			all, calm = append(all, Quarter{From: from}), 0
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
			calm, q.noted = calm+*s.Calm, q.noted+1
			mean := calm / float64(q.noted)
			q.Calm = &mean
		}
	}
	return all
}

// QuartersTogether are those of some dogs.
func QuartersTogether(all [][]Quarter) []Quarter {
	by := map[date.Date]*Quarter{}
	calm := map[date.Date]float64{}
	for _, q := range slices.Concat(all...) {
		sum := by[q.From]
		if sum == nil {
			sum = &Quarter{From: q.From}
			by[q.From] = sum
		}
		sum.Trims, sum.Nails, sum.Bled, sum.Looked, sum.Touched = sum.Trims+q.Trims, sum.Nails+q.Nails, sum.Bled+q.Bled, sum.Looked+q.Looked, sum.Touched+q.Touched
		if q.Calm != nil {
			sum.noted += q.noted
			calm[q.From] += *q.Calm * float64(q.noted)
			mean := calm[q.From] / float64(sum.noted)
			sum.Calm = &mean
		}
	}
	var out []Quarter
	for _, q := range by {
		out = append(out, *q)
	}
	slices.SortFunc(out, func(a, b Quarter) int { return a.From.Sub(b.From) })
	return out
}
