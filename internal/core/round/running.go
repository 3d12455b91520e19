package round

import "fribbet/internal/core/estimate"

// Runs is when a visit of today will begin.
type Runs struct {
	Visit
	Starts estimate.Estimate // minutes since midnight
	Late   bool              // not when it was told
	Waits  bool              // its owner likely waits more than ten minutes
}

// waiting is how long an owner waits without being told, minutes (common practice, no source).
const waiting = 10

// Running tells when each visit of a day that is still to come will begin, from what is done and under way: none
// begins before its time, nor before the one in front of it is through.
func (w Week) Running(visits []Visit, now Clock) []Runs {
	at := estimate.Estimate{Value: float64(now), Low: float64(now), High: float64(now), Source: estimate.Learnt}
	var all []Runs
	for _, v := range visits {
		takes := v.Dog.Takes
		around := float64(w.Around)
		switch v.State {
		case Here: // it began at its time, or is as good as through
			at.Value = max(at.Value, float64(v.Start)+takes.Value+around)
			at.Low = max(at.Low, float64(v.Start)+takes.Low+around)
			at.High = max(at.High, float64(v.Start)+takes.High+around)
		case Offered, Agreed:
			start := float64(v.Start)
			begins := estimate.Estimate{Value: max(start, at.Value), Low: max(start, at.Low), High: max(start, at.High), Source: takes.Source}
			all = append(all, Runs{v, begins, begins.Value-start >= tick, begins.Value-start > waiting})
			at.Value, at.Low, at.High = begins.Value+takes.Value+around, begins.Low+takes.Low+around, begins.High+takes.High+around
		case Done, Missed, CalledOff:
		}
	}
	return all
}

// Standing is how a visit lies to the present.
type Standing string

// How visits lie.
const (
	Over   Standing = "over"  // what became of it is known
	Waits  Standing = "waits" // it has gone by, and nobody has said what became of it
	Next   Standing = "next"  // under way, or the first to come
	ToCome Standing = "to_come"
)

// Standings tells how each visit of a day lies, in their order; gone is whether the day is. One that should have
// begun is still to come as long as none behind it has: the day runs late.
func Standings(visits []Visit, gone bool) []Standing {
	all := make([]Standing, len(visits))
	last := -1 // that has begun
	for i, v := range visits {
		if v.State == Here || v.State == Done {
			last = i
		}
	}
	next := false
	for i, v := range visits {
		switch {
		case v.State == Here && !gone:
			all[i], next = Next, true
		case v.State == Done || v.State == Here || !v.State.Takes():
			all[i] = Over
		case gone || i < last:
			all[i] = Waits
		case !next:
			all[i], next = Next, true
		default:
			all[i] = ToCome
		}
	}
	return all
}
