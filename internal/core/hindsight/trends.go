package hindsight

import "fribbet/internal/core/date"

// Trend is one thing about a dog's trims by quarter, the earliest first; quarters of which nobody told it are left out.
type Trend struct {
	Of     TrendOf
	Points []Point
}

// Point is a quarter's.
type Point struct {
	From  date.Date
	Value float64
}

// TrendOf is what a trend is of.
type TrendOf string

const (
	BledOf100    TrendOf = "bled"    // nails of 100 that something came off
	CalmMinutes  TrendOf = "calm"    // until the first sign of unrest
	TouchedOf100 TrendOf = "touched" // trims of 100 at which a nail touched on arrival
	DrawnMM      TrendOf = "drawn"   // how far quicks are believed to have drawn back, mm
	KeptOf100    TrendOf = "kept"    // trims of 100 that kept their date
)

// Trends are those that are drawn of quarters: of fewer than two of them, or of few cases, there is no trend.
func Trends(all []Quarter) (out []Trend) {
	of := func(of TrendOf, value func(Quarter) (v float64, cases int)) {
		t, sum := Trend{Of: of}, 0
		for _, q := range all {
			if v, cases := value(q); cases > 0 {
				t.Points, sum = append(t.Points, Point{q.From, v}), sum+cases
			}
		}
		if len(t.Points) > 1 && !Few(sum) {
			out = append(out, t)
		}
	}
	share := func(some, all int) (float64, int) { return 100 * float64(some) / float64(max(1, all)), all }
	told := func(v *float64, cases int) (float64, int) {
		if v == nil {
			return 0, 0
		}
		return *v, cases
	}
	of(BledOf100, func(q Quarter) (float64, int) { return share(q.Bled, q.Nails) })
	of(CalmMinutes, func(q Quarter) (float64, int) { return told(q.Calm, q.Noted) })
	of(TouchedOf100, func(q Quarter) (float64, int) { return share(q.Touched, q.Looked) })
	of(DrawnMM, func(q Quarter) (float64, int) { return told(q.Drawn, q.Nails) })
	of(KeptOf100, func(q Quarter) (float64, int) { return share(q.Kept, q.Dated) })
	return out
}
