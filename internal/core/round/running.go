package round

import (
	"cmp"
	"slices"

	"fribbet/internal/core/estimate"
)

// Runs is when a visit of today will begin.
type Runs struct {
	Visit
	Starts estimate.Estimate // minutes since midnight
	Late   bool              // not when it was told
	Waits  bool              // its owner likely waits more than ten minutes
}

// Running tells when each visit of a day that is still to come will begin, from what is done and under way: none
// begins before its time, nor before the one in front of it is through.
func (w Week) Running(visits []Visit, now Clock) []Runs {
	at, around := estimate.Exactly(float64(now)), estimate.Exactly(float64(w.Around))
	for _, v := range visits {
		if v.State == Here { // or it is as good as through
			at = at.AtLeast(estimate.Exactly(float64(cmp.Or(v.Begun, v.Start))).Plus(around).Plus(v.Dog.Takes))
		}
	}
	var all []Runs
	for _, v := range visits {
		if v.State != Offered && v.State != Agreed {
			continue
		}
		begins := at.AtLeast(estimate.Exactly(float64(v.Start)))
		begins.Source = v.Dog.Takes.Source
		late := begins.Value - float64(v.Start)
		all = append(all, Runs{v, begins, late >= tick, late > waiting})
		at = begins.Plus(around).Plus(v.Dog.Takes)
	}
	return all
}

// Timing is how a visit lies to the present.
type Timing string

// How visits lie.
const (
	Over   Timing = "over"  // what became of it is known
	Waits  Timing = "waits" // it has gone by, and nobody has said what became of it
	Next   Timing = "next"  // under way, or the first to come
	ToCome Timing = "to_come"
)

// Standings tells how each visit of a day lies, in their order; gone is whether the day is. One that should have
// begun is still to come as long as no more than one behind it has: the day runs late, or a light dog was taken first.
func Standings(visits []Visit, gone bool) []Timing {
	all := make([]Timing, len(visits))
	behind, next := 0, false // how many behind it have begun; whether one is under way
	for i := len(visits) - 1; i >= 0; i-- {
		switch v := visits[i]; {
		case v.State == Here && !gone:
			all[i], next = Next, true
		case v.State == Done || v.State == Here || !v.State.Takes():
			all[i] = Over
		case gone || behind > 1:
			all[i] = Waits
		default:
			all[i] = ToCome
		}
		if visits[i].State == Here || visits[i].State == Done {
			behind++
		}
	}
	if first := slices.Index(all, ToCome); !next && first >= 0 {
		all[first] = Next
	}
	return all
}
