package verdict

import (
	"math"
	"slices"

	"fribbet/internal/core/quick"
)

// Plan is how one nail is cut in one press, without asking anybody between the cuts: the thicknesses in their
// order, each followed by a look; thinner from the first light grey on where that is needed; it ends at the first
// sign, whatever the school, and when all its cuts are done. The sentence on every screen says just this, and the hand
// of the calibration does it.
type Plan struct {
	Cuts   []float64 // mm, all that may come off
	Likely int       // of them, until the sign shows, by the median of the spare
	Thin   float64   // every cut from the first light grey on, mm; 0 where the press keeps to the limit without
	Chance float64   // that the nail bleeds, of a hand that does all this
}

// Next is the cut that a hand takes that keeps to the plan, mm: after so many cuts, the last of which showed that
// face, and whether light grey has shown so far. It is 0 when the plan is at its end.
func (p Plan) Next(done int, last quick.Face, grey bool) float64 {
	if done >= len(p.Cuts) || last.FirstSign() || last.Ends() {
		return 0
	}
	if grey && p.Thin > 0 {
		return math.Min(p.Thin, p.Cuts[done])
	}
	return p.Cuts[done]
}

// MostMM is what may come off at most, mm.
func (p Plan) MostMM() float64 {
	sum := 0.0
	for _, mm := range p.Cuts {
		sum += mm
	}
	return sum
}

// Run is some cuts of one thickness, one after the other.
type Run struct {
	Cuts int
	MM   float64
}

// Runs are the cuts as people say them: "2 mm, then 3 of 0.5".
func (p Plan) Runs() []Run {
	var runs []Run
	for _, mm := range p.Cuts {
		if n := len(runs); n > 0 && runs[n-1].MM == mm {
			runs[n-1].Cuts++
			continue
		}
		runs = append(runs, Run{1, mm})
	}
	return runs
}

// plan is the plan that begins with a cut of so many mm.
func (w Worked) plan(t Terms, first float64) Plan {
	size := Size(w.Depth)
	toSign := w.median() - signAt(w.Depth, quick.AtFirstSign)
	p := Plan{Cuts: []float64{first}, Likely: 1}
	white := w // as it stands once all of them were dry and white: then only is the next one as thick as planned
	white.Belief = w.Belief.Clone()
	white.Belief.Cut(t.takes(first), quick.White)
	most, longest := w.Belief.Quantile(lower)-w.Belief.Removed()-Thin(w.Depth), mostCuts
	switch {
	case t.Once:
		longest = 1
	case t.grinds():
		longest = mostTouches
	}
	for off, beyond := t.takes(first), 0; len(p.Cuts) < longest; {
		mm := white.planned(t, size)
		if len(p.Cuts) > 1 { // after the tip it never gets thicker again: nobody keeps that in mind
			mm = math.Min(mm, p.Cuts[len(p.Cuts)-1])
		}
		takes := t.takes(mm)
		if off+takes > most+hair {
			break
		}
		switch within := off+takes <= toSign+hair; {
		case within:
			p.Likely++
		case beyond >= t.beyond():
			return w.told(p, t)
		default:
			beyond++
		}
		p.Cuts = append(p.Cuts, mm)
		off += takes
		white.Belief.Cut(takes, quick.White)
	}
	return w.told(p, t)
}

// planned is how thick the next cut of a plan is, as long as the face stays as it is.
func (w Worked) planned(t Terms, size float64) float64 {
	most, least := t.Most, sliver
	if w.Last == quick.Grey {
		most, least = greyMost, tip
	}
	switch {
	case t.grinds():
		return t.Touch
	case t.Thin:
		return w.thickness(t, tip*size)
	}
	for _, mm := range t.upTo(most) {
		if mm = w.thickness(t, mm*size); w.Belief.Risk(t.takes(mm)+reserve*size) <= float64(t.Limit) {
			return mm
		}
	}
	return w.thickness(t, least*size)
}

// told is the plan with its chance. It goes thinner at light grey only where it would bleed more often than the
// limit without: that some cuts were thinner is told to nobody, and leaves more on the nail.
func (w Worked) told(p Plan, t Terms) Plan {
	taken := make([]float64, len(p.Cuts))
	for i, mm := range p.Cuts {
		taken[i] = t.takes(mm)
	}
	p.Chance = w.Belief.PressBleeds(taken, 0)
	thin := w.thickness(Terms{}, Thin(w.Depth))
	if p.Chance > float64(t.Limit) && w.Belief.ShowsGrey() && thin < slices.Max(p.Cuts) && !t.grinds() {
		p.Thin = thin
		p.Chance = w.Belief.PressBleeds(taken, t.takes(p.Thin))
	}
	return p
}
