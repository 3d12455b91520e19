// Package sitting plans one sitting with a dog: which nails today, in what order, held how,
// with what, and what is left for another day.
package sitting

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/dog"
	"fribbet/internal/core/feet"
	"fribbet/internal/core/kit"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/outlook"
	"fribbet/internal/core/temper"
)

// Question is all that a plan depends on.
type Question struct {
	Today      date.Date
	Dog        dog.Dog
	Feet       feet.Feet
	Terms      outlook.Terms
	Nails      []outlook.Planned // the verdict on each nail today
	Past       Past
	Hair       bool // seen between the pads
	Hand       kit.Hand
	Kit        []kit.Piece
	LeftHanded bool    // the cutter is in the left hand
	Way        kit.Way // clip, grind or both
	Helper     bool    // somebody is there to feed and steady
	Training   Training
	Closed     []date.Span // holidays: nobody works then
}

// Training is what the dog is still being taught, and may therefore not be done with.
type Training struct {
	Paws    map[nail.Paw]bool // that are on a ladder
	Grinder bool
}

// tolerance is what the dog takes of one kind of work; of any, when it has never had that one.
func (q Question) tolerance(work kit.Work) temper.Tolerance {
	past := q.Past.by(work)
	if len(past) == 0 {
		past = q.Past.by("")
	}
	told := temper.KeeperLimits{Nails: q.Dog.Handling.MostNails, Minutes: q.Dog.Handling.MostMinutes, First: q.first()}
	return temper.Learn(q.Dog.AgeWeeks(q.Today), past, told)
}

// MayBite tells whether the dog does, as it was told: it wears a muzzle, or snapped at a sitting.
func (q Question) MayBite() bool {
	return q.Dog.Handling.Muzzle || q.Dog.Takes == dog.Bites || q.Feet.Refusals().Dog.Reaction == temper.Snapping
}

// first is why this dog begins with a few nails.
func (q Question) first() temper.First {
	switch {
	case q.Dog.Takes == dog.Frightened || q.Dog.Takes == dog.Bites:
		return temper.Frightened
	case q.Hand == kit.NewHand:
		return temper.NewHand
	default:
		return temper.Plain
	}
}

// Gently tells whether the ladder is worth offering before any nail: the dog was never done here, and is
// frightened, bites, or is a puppy.
func (q Question) Gently() bool {
	return len(q.Past.Outings) == 0 && (q.first() == temper.Frightened || temper.Puppy(q.Dog.AgeWeeks(q.Today)))
}

// Pace is how long a nail takes with one kind of work.
func (q Question) Pace(work kit.Work) temper.Pace {
	var timed []temper.Timed
	for _, o := range q.Past.by(work) {
		nails := 0
		for _, t := range o.Touches {
			if t.Cut {
				nails++
			}
		}
		if o.Minutes != nil {
			timed = append(timed, temper.Timed{Minutes: *o.Minutes, Nails: nails, Cuts: o.Cuts})
		}
	}
	return temper.LearnPace(q.Hand, work, timed)
}
