package hindsight

import (
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/nail"
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
	Dated   int      // trims that a date was said for
	Kept    int      // of these, before it, on it or at most a week after it
	Calm    *float64 // minutes until the first sign of unrest, on the mean of those that were noted; nil where none was
	// how far quicks are believed to have drawn back since each nail was first worked, mm on the mean; nil where none
	// was worked twice
	Drawn *float64
	Noted int // of calm minutes
	Dogs  int // whose quicks those are
}

// quarters are those of the calendar in which a dog was trimmed, the earliest first, while they are worked out.
type quarters struct {
	all   []Quarter
	calm  float64
	first map[nail.Code]float64 // where each quick ended after its first trim, mm from the coat
}

// begin adds a trim.
func (q *quarters) begin(s record.Sitting) {
	if from := s.On.Quarter(); len(q.all) == 0 || q.all[len(q.all)-1].From != from {
		q.all, q.calm = append(q.all, Quarter{From: from}), 0
	}
	now := &q.all[len(q.all)-1]
	now.Trims++
	nails, _ := s.Cut()
	now.Nails += nails
	now.Bled += len(s.Bled())
	if s.Arrival != nil && s.Arrival.Touching != record.Unlooked {
		now.Looked++
		if s.Arrival.Touching != record.None {
			now.Touched++
		}
	}
	if s.Calm != nil {
		q.calm, now.Noted = q.calm+*s.Calm, now.Noted+1
		mean := q.calm / float64(now.Noted)
		now.Calm = &mean
	}
}

// take counts a date.
func (q *quarters) take(f Foretold) {
	if f.What != Due {
		return
	}
	now := &q.all[len(q.all)-1]
	now.Dated++
	if f.Was <= keptWithin {
		now.Kept++
	}
}

// end is where the quicks are after a trim.
func (q *quarters) end(f feet.Feet) {
	if q.first == nil {
		q.first = map[nail.Code]float64{}
	}
	drawn, nails := 0.0, 0
	for i, n := range f.Nails {
		r := f.Read(i)
		if r.Trimmed.IsZero() {
			continue
		}
		ends := r.Length.Value - r.Spare.Value
		if first, is := q.first[n.Code]; is {
			drawn, nails = drawn+first-ends, nails+1
		} else {
			q.first[n.Code] = ends
		}
	}
	if nails > 0 {
		mean := drawn / float64(nails)
		now := &q.all[len(q.all)-1]
		now.Drawn, now.Dogs = &mean, 1
	}
}

// QuartersTogether are those of some dogs.
func QuartersTogether(all [][]Quarter) []Quarter {
	by := map[date.Date]*Quarter{}
	for _, q := range slices.Concat(all...) {
		sum := by[q.From]
		if sum == nil {
			sum = &Quarter{From: q.From}
			by[q.From] = sum
		}
		sum.Trims, sum.Nails, sum.Bled = sum.Trims+q.Trims, sum.Nails+q.Nails, sum.Bled+q.Bled
		sum.Looked, sum.Touched = sum.Looked+q.Looked, sum.Touched+q.Touched
		sum.Dated, sum.Kept = sum.Dated+q.Dated, sum.Kept+q.Kept
		sum.Calm, sum.Noted = meanOf(sum.Calm, sum.Noted, q.Calm, q.Noted)
		sum.Drawn, sum.Dogs = meanOf(sum.Drawn, sum.Dogs, q.Drawn, q.Dogs)
	}
	var out []Quarter
	for _, q := range by {
		out = append(out, *q)
	}
	slices.SortFunc(out, func(a, b Quarter) int { return a.From.Sub(b.From) })
	return out
}

// meanOf is the mean of two means of so many; nil of none.
func meanOf(a *float64, n int, b *float64, m int) (*float64, int) {
	switch {
	case b == nil:
		return a, n
	case a == nil:
		return b, m
	}
	mean := (*a*float64(n) + *b*float64(m)) / float64(n+m)
	return &mean, n + m
}
