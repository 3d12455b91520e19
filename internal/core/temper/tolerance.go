package temper

import (
	"fmt"
	"math"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/nail"
)

// Touch is one nail that was handled at a sitting.
type Touch struct {
	Paw      nail.Paw
	Reaction Reaction
	Cut      bool // something came off
}

// Outing is one past sitting as the dog took it.
type Outing struct {
	On      date.Date
	Touches []Touch  // in the order of the work
	Minutes *float64 // that it took; nil when nobody timed it
	Calm    *float64 // minutes before the first sign; nil when there was none, or nobody noted it
}

// Limit is how much a dog takes at one sitting.
type Limit struct {
	Most   float64 // +Inf when nothing limits it
	Source estimate.Source
	Words  string
}

// Tolerance is what a dog takes, learnt from its sittings.
type Tolerance struct {
	Nails   Limit
	Minutes Limit
	Paws    [4]Paw // by nail.Paw
}

// Paw is how a dog takes the handling of one paw.
type Paw struct {
	Nails      Limit
	Strain     float64 // mean over its last sittings, 0 calm to 4 snapping
	Touched    bool    // it was ever handled
	Impossible bool    // too much at each of the last sittings at which it was tried
}

// Told is what the keeper says of the dog's limits; nil where nothing is said.
type Told struct {
	Nails   *int
	Minutes *float64
}

// Learn works out what a dog of that age in weeks takes, from its sittings, oldest first.
func Learn(ageWeeks float64, outings []Outing, told Told) Tolerance {
	t := Tolerance{
		Nails:   limit("nails", math.Inf(1), nailsMore, nailsOf(outings, nil)),
		Minutes: limit("minutes", usualMinutes, 0, minutesOf(outings)),
	}
	if ageWeeks < puppyUntil {
		t.Nails = lower(t.Nails, Limit{puppyNails, estimate.Assumed, "a puppy: a nail or two at a time"})
		t.Minutes = lower(t.Minutes, Limit{puppyMinutes, estimate.Assumed, "a puppy: a few minutes"})
	}
	if told.Nails != nil {
		t.Nails = Limit{float64(*told.Nails), estimate.Told, fmt.Sprintf("%d nails, as you said", *told.Nails)}
	}
	if told.Minutes != nil {
		t.Minutes = Limit{*told.Minutes, estimate.Told, fmt.Sprintf("%.0f minutes, as you said", *told.Minutes)}
	}
	for paw := range t.Paws {
		t.Paws[paw] = learnPaw(nail.Paw(paw), outings)
	}
	return t
}

func lower(a, b Limit) Limit {
	if b.Most < a.Most {
		return b
	}
	return a
}

// taken is how much a dog took at one sitting, and whether it then had enough.
type taken struct {
	amount float64
	enough bool // it fought or snapped, and nothing more could be done
}

// limit is learnt from the last sittings: what the dog took before it had enough, the least of
// them. Where the last time it had enough lies further back, it is a little more than the most
// since; where it never had, nothing limits it but what is usual.
func limit(unit string, usual, more float64, all []taken) Limit {
	if len(all) == 0 {
		if math.IsInf(usual, 1) {
			return Limit{usual, estimate.Assumed, "no limit known yet"}
		}
		return Limit{usual, estimate.Assumed, fmt.Sprintf("%.0f %s, until this dog's sittings tell", usual, unit)}
	}
	since := all // the last time that the dog had enough
	for i, t := range all {
		if t.enough {
			since = all[i:]
		}
	}
	if !since[0].enough {
		most := usual
		for _, t := range all {
			most = math.Max(most, t.amount)
		}
		return Limit{most, estimate.Learnt, fmt.Sprintf("took %.0f %s last time without trouble", all[len(all)-1].amount, unit)}
	}
	if len(since) <= lastSittings {
		least := math.Inf(1)
		for _, t := range all[max(0, len(all)-lastSittings):] {
			if t.enough {
				least = math.Min(least, t.amount)
			}
		}
		return Limit{math.Max(1, math.Floor(least)), estimate.Learnt, fmt.Sprintf("had enough after %.0f %s at one of its last %d sittings", least, unit, lastSittings)}
	}
	most := 0.0
	for _, t := range since[1:] {
		most = math.Max(most, t.amount)
	}
	return Limit{most + more, estimate.Learnt, fmt.Sprintf("took %.0f %s since it last had enough: %.0f more", most, unit, more)}
}

// nailsOf counts the nails that went well at each sitting, of one paw or of all.
func nailsOf(outings []Outing, paw *nail.Paw) []taken {
	var all []taken
	for _, o := range outings {
		if one, touched := o.nails(paw); touched {
			all = append(all, one)
		}
	}
	return all
}

// nails counts the nails that went well. The dog had enough when it fought or snapped and
// nothing went well after it: a paw that it does not give is not the end of the others.
func (o Outing) nails(paw *nail.Paw) (one taken, touched bool) {
	for _, t := range o.Touches {
		if paw != nil && t.Paw != *paw {
			continue
		}
		touched = true
		switch {
		case t.Reaction.TooMuch():
			one.enough = true
		case t.Cut:
			one.amount++
			one.enough = false
		}
	}
	return one, touched
}

// minutesOf is how long each timed sitting went well: until the first sign where the dog had
// enough, else as long as it took.
func minutesOf(outings []Outing) []taken {
	var all []taken
	for _, o := range outings {
		n, _ := o.nails(nil)
		switch {
		case n.enough && o.Calm != nil:
			all = append(all, taken{*o.Calm, true})
		case o.Minutes != nil:
			all = append(all, taken{*o.Minutes, n.enough})
		}
	}
	return all
}

func learnPaw(paw nail.Paw, outings []Outing) Paw {
	p := Paw{Nails: limit("nails", math.Inf(1), nailsMore, nailsOf(outings, &paw))}
	var worst []Reaction
	for _, o := range outings {
		var of []Reaction
		for _, t := range o.Touches {
			if t.Paw == paw {
				of = append(of, t.Reaction)
			}
		}
		if len(of) > 0 {
			worst = append(worst, Worst(of...))
		}
	}
	p.Touched = len(worst) > 0
	recent := worst[max(0, len(worst)-lastSittings):]
	p.Impossible = len(recent) >= impossibleAfter
	for i, r := range recent {
		p.Strain += float64(r.Strain()) / float64(len(recent))
		if i >= len(recent)-impossibleAfter && !r.TooMuch() {
			p.Impossible = false
		}
	}
	return p
}

// Hardest is the paw that the dog takes worst, and whether one stands out.
func (t Tolerance) Hardest() (nail.Paw, bool) {
	hardest, most, next := nail.LF, -1.0, -1.0
	for paw, p := range t.Paws {
		switch {
		case p.Touched && p.Strain > most:
			hardest, most, next = nail.Paw(paw), p.Strain, most
		case p.Touched && p.Strain > next:
			next = p.Strain
		}
	}
	return hardest, most >= next+standsOut && most >= standsOut
}
