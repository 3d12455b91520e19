package rhythm

import (
	"math"
	"slices"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
	"fribbet/internal/core/verdict"
)

// Work is what one sitting asks of hand and kit, and where it stops.
type Work struct {
	PerNail float64 // minutes
	Lasts   float64 // minutes that its band or bit lasts; read only of a grinder
	Ground  bool    // with a grinder
	Margin  float64 // spare that is always left, mm for a nail 7 mm deep
	Stop    quick.EndPoint
}

// leaves is the spare that a trim leaves on the mean, mm.
func (w Work) leaves(n *Start) float64 { return verdict.Leaves(n.Form.Depth, w.Margin, w.Stop) }

// Outlook is what a rhythm does over half a year that begins with a trim.
type Outlook struct {
	Rhythm    Rhythm
	Weeks     int
	FloorDays int       // on which at least one nail touches the floor
	Quick     []float64 // where the quick ends on the mean toe, mm, week by week from the first day
	QuickMove float64   // over all the weeks, mm: below 0 it draws back
	Sittings  int
	Nails     int     // done at them, all together
	Minutes   float64 // all together
	Ground    float64 // of these, minutes under the grinder
	WornOut   float64 // bands or bits that those wear out
}

// Way is which way a quick moves.
type Way string

const (
	Back  Way = "back"
	Holds Way = "holds"
	Grows Way = "grows"
)

// Way is which way the quick moves; a hair's breadth is none.
func (o Outlook) Way() Way {
	switch {
	case o.QuickMove < -holdsWithin:
		return Back
	case o.QuickMove > holdsWithin:
		return Grows
	default:
		return Holds
	}
}

// Ahead looks ahead over half a year of one rhythm, on mean rates. There must be a nail.
func Ahead(nails []Start, r Rhythm, work Work) Outlook {
	nails = slices.Clone(nails)
	o := Outlook{Rhythm: r, Weeks: halfYear}
	const days = 7 * halfYear
	begin := meanQuick(nails)
	clear := 0.0 // how long no nail touches
	live(nails, r, work, func(day, done int, sat bool) bool {
		if day%7 == 0 {
			o.Quick = append(o.Quick, meanQuick(nails))
		}
		if day == days {
			return false
		}
		if sat {
			o.Sittings++
			o.Nails += done
			clear = float64(day) + daysClear(nails)
		}
		if float64(day+1) > clear {
			o.FloorDays++
		}
		return true
	})
	o.QuickMove = meanQuick(nails) - begin
	o.Minutes = float64(o.Nails) * work.PerNail
	if work.Ground {
		o.Ground = o.Minutes
		o.WornOut = o.Ground / work.Lasts
	}
	return o
}

// live lets nails live day by day at a rhythm that begins with a sitting: each is told the day, how
// many nails something came off, and whether there was a sitting, and says whether to go on. The
// table of rhythms and the plan to bring a quick back both look ahead by it, and so agree.
func live(nails []Start, r Rhythm, work Work, each func(day, done int, sat bool) bool) {
	next := 0.0 // the day of the next sitting
	for day := 0; ; day++ {
		sat, done := float64(day) >= math.Floor(next), 0
		if sat {
			for i := range nails {
				if nails[i].trim(work) {
					done++
				}
			}
			next += r.Days()
		}
		if !each(day, done, sat) {
			return
		}
		for i := range nails {
			nails[i].grow(1.0 / 7)
		}
	}
}

// daysClear is how long no nail touches the floor.
func daysClear(nails []Start) float64 {
	least := math.Inf(1)
	for _, n := range nails {
		least = math.Min(least, n.days())
	}
	return least
}

// BreakEven is the longest interval that lets no quick of the nails grow, weeks, with the nail
// that sets it and the spare that every trim leaves it, mm. Its range is that of the nail's rate.
func BreakEven(
	nails []Start,
	work Work,
	source estimate.Source,
) (even estimate.Estimate, code nail.Code, leaves float64) {
	even = estimate.Estimate{Value: math.Inf(1), Source: source}
	for _, n := range nails {
		margin := work.leaves(&n)
		weeks := n.Drift.BreakEven(margin)
		if weeks >= even.Value {
			continue
		}
		fast, slow := n.Drift, n.Drift
		fast.Rate += estimate.Z90 * fast.RateSD
		slow.Rate = math.Max(slow.Rate/4, slow.Rate-estimate.Z90*slow.RateSD)
		even.Value, even.Low, even.High = weeks, fast.BreakEven(margin), slow.BreakEven(margin)
		code, leaves = n.Code, margin
	}
	return even, code, leaves
}
