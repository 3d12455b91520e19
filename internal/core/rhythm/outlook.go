package rhythm

import (
	"math"
	"slices"

	"fribbet/internal/core/estimate"
	"fribbet/internal/core/nail"
)

// Work is what one sitting asks of hand and kit.
type Work struct {
	PerNail float64 // minutes
	Lasts   float64 // minutes that its band or bit lasts; read only of a grinder
	Ground  bool    // with a grinder
}

// least is the least that is taken off a nail, mm.
func (w Work) least() float64 {
	if w.Ground {
		return leastLick
	}
	return leastCut
}

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

// Ahead looks ahead over half a year of one rhythm, on mean rates. There must be a nail.
func Ahead(nails []Nail, r Rhythm, margin float64, work Work) Outlook {
	nails = slices.Clone(nails)
	o := Outlook{Rhythm: r, Weeks: halfYear}
	const days = 7 * halfYear
	begin := meanQuick(nails)
	next, clear := 0.0, 0.0 // the day of the next sitting, and how long no nail touches
	for day := range days + 1 {
		if day%7 == 0 {
			o.Quick = append(o.Quick, meanQuick(nails))
		}
		if day == days {
			break
		}
		if float64(day) >= math.Floor(next) {
			o.sit(nails, margin, work.least())
			next += r.Days()
			clear = float64(day) + daysClear(nails)
		}
		if float64(day+1) > clear {
			o.FloorDays++
		}
		for i := range nails {
			nails[i].grow(1.0 / 7)
		}
	}
	o.QuickMove = meanQuick(nails) - begin
	o.Minutes = float64(o.Nails) * work.PerNail
	if work.Ground {
		o.Ground = o.Minutes
		o.WornOut = o.Ground / work.Lasts
	}
	return o
}

// sit trims what there is to trim; where that is nothing it was still a sitting.
func (o *Outlook) sit(nails []Nail, margin, least float64) {
	o.Sittings++
	for i := range nails {
		if nails[i].trim(margin, least) {
			o.Nails++
		}
	}
}

// daysClear is how long no nail touches the floor.
func daysClear(nails []Nail) float64 {
	least := math.Inf(1)
	for _, n := range nails {
		least = math.Min(least, n.days())
	}
	return least
}

// BreakEven is the longest interval that lets no quick of the nails grow, weeks, with the nail
// that sets it, when every trim leaves margin mm. Its range is that of the nail's rate.
func BreakEven(nails []Nail, margin float64, source estimate.Source) (estimate.Estimate, nail.Code) {
	even := estimate.Estimate{Value: math.Inf(1), Source: source}
	var code nail.Code
	for _, n := range nails {
		weeks := n.Drift.BreakEven(margin)
		if weeks >= even.Value {
			continue
		}
		fast, slow := n.Drift, n.Drift
		fast.Rate += estimate.Z90 * fast.RateSD
		slow.Rate = math.Max(slow.Rate/4, slow.Rate-estimate.Z90*slow.RateSD)
		even.Value, even.Low, even.High, code = weeks, fast.BreakEven(margin), slow.BreakEven(margin), n.Code
	}
	return even, code
}
