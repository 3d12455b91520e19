package rhythm

import (
	"math"

	"fribbet/internal/core/claw"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/quick"
)

// Start is one nail as it is when a look ahead begins.
type Start struct {
	Code   nail.Code
	Form   claw.Claw // as such a nail usually is; a trim gives it this form at its new length
	Claw   claw.Claw // as it is now
	Height float64   // of its coat line above the floor, mm; not read for a dewclaw
	Drift  quick.Drift
	Spare  float64 // mm
}

// quick is how far from the coat line the quick ends, mm.
func (n Start) quick() float64 { return n.Claw.Length - n.Spare }

// grow lets weeks pass without a trim.
func (n *Start) grow(weeks float64) {
	n.Spare = n.Drift.After(quick.Spare{Mean: n.Spare}, weeks).Mean
	n.Claw = n.Claw.Grown(n.Drift.Rate * weeks)
	n.Spare = math.Min(n.Spare, n.Claw.Length-LeastQuick(n.Form))
}

// LeastQuick is how far from the coat line a quick ends that has drawn back as far as it goes, mm.
func LeastQuick(form claw.Claw) float64 { return leastQuick * form.Length }

// trim takes the nail to where the verdict's sign shows; it tells whether anything came off. However
// little there is, it is taken: what a clipper cannot, a file or a grinder does.
func (n *Start) trim(w Work) bool {
	leaves := w.leaves(n)
	take := n.Spare - leaves
	if take < leastCut {
		return false
	}
	n.Claw = n.Form.WithLength(n.Claw.Length - take)
	n.Spare = leaves
	return true
}

// gap is how far a toe's nail stands above the floor, mm.
func (n Start) gap() float64 { return n.Claw.AtCoatHeight(n.Height).Gap() }

// days is how long a toe's nail stays clear of the floor; +Inf for a dewclaw, which never meets it.
func (n Start) days() float64 {
	if n.Code.Dewclaw() {
		return math.Inf(1)
	}
	return n.Claw.AtCoatHeight(n.Height).GrowthToGap(claw.TouchGap) / n.Drift.Rate * 7
}

// meanQuick is the mean over the toes that meet the floor, or over all where none does.
func meanQuick(nails []Start) float64 {
	sum, count, all := 0.0, 0.0, 0.0
	for _, n := range nails {
		all += n.quick()
		if !n.Code.Dewclaw() {
			sum += n.quick()
			count++
		}
	}
	if count == 0 {
		return all / float64(len(nails))
	}
	return sum / count
}
