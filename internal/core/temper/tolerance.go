package temper

import (
	"math"
	"slices"

	"fribbet/internal/core/date"
	"fribbet/internal/core/estimate"
	"fribbet/internal/core/nail"
	"fribbet/internal/core/say"
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
	Cuts    int      // or touches of a grinder, all together
	Minutes *float64 // that it took; nil when nobody timed it
	Calm    *float64 // minutes before the first sign; nil when there was none, or nobody noted it
}

// Cap is how much a dog takes at one sitting.
type Cap struct {
	Most   float64 // +Inf when nothing limits it
	Source estimate.Source
	Words  say.Line
}

// Tolerance is what a dog takes, learnt from its sittings.
type Tolerance struct {
	Nails   Cap
	Minutes Cap
	Calm    *float64 // minutes before the first sign, at its last sittings; nil when nobody noted it
	Paws    [4]Paw   // by nail.Paw
}

// Paw is how a dog takes the handling of one paw.
type Paw struct {
	Nails      Cap
	Strain     float64 // mean over its last sittings, 0 calm to 4 snapping
	Touched    bool    // it was ever handled
	Impossible bool    // too much at each of the last sittings at which it was tried
}

// KeeperLimits is what the keeper says of the dog's limits; nil where nothing is said.
type KeeperLimits struct {
	Nails   *int
	Minutes *float64
	First   First
}

// First is why a dog begins with a few nails, and goes on from what it took: nobody knows it yet.
type First string

const (
	Plain      First = ""           // nothing against all of them
	NewHand    First = "new_hand"   // whoever trims has never done a dog
	Frightened First = "frightened" // or bites: never force it
)

// start is how many nails a dog begins with.
func (f First) start() Cap {
	switch f {
	case NewHand:
		return Cap{firstPaw, estimate.Assumed, say.Of(aNewHandAndA)}
	case Frightened:
		return Cap{firstNails, estimate.Assumed, say.Of(frightenedANailOrTwo)}
	default:
		return Cap{math.Inf(1), estimate.Assumed, say.Of(noLimitKnownYet)}
	}
}

// Learn works out what a dog of that age in weeks takes, from its sittings, oldest first.
func Learn(ageWeeks float64, outings []Outing, told KeeperLimits) Tolerance {
	t := Tolerance{
		Nails: limit(ofNails, told.First.start(), nailsMore, nailsOf(outings)),
		Minutes: limit(
			ofMinutes,
			Cap{
				usualMinutes,
				estimate.Assumed,
				say.Of(minutesUntilThisDogsTrims, say.Args{"usualMinutes": say.Count(usualMinutes)}),
			},
			0,
			minutesOf(outings),
		),
	}
	if calm, known := calmFor(outings); known {
		t.Calm = &calm
	}
	if Puppy(ageWeeks) {
		t.Nails = lower(t.Nails, Cap{puppyNails, estimate.Assumed, say.Of(aPuppyANailOr)})
		t.Minutes = lower(t.Minutes, Cap{puppyMinutes, estimate.Assumed, say.Of(aPuppyAFewMinutes)})
	}
	if told.Nails != nil {
		t.Nails = Cap{
			float64(*told.Nails),
			estimate.Told,
			say.Of(nailsAsYouSaid, say.Args{"nails": say.Count(*told.Nails)}),
		}
	}
	if told.Minutes != nil {
		t.Minutes = Cap{
			*told.Minutes,
			estimate.Told,
			say.Of(minutesAsYouSaid, say.Args{"minutes": say.Round(*told.Minutes)}),
		}
	}
	for paw := range t.Paws {
		t.Paws[paw] = learnPaw(nail.Paw(paw), outings)
	}
	return t
}

// Puppy tells whether a dog so many weeks old is still taught that being handled is nothing.
func Puppy(ageWeeks float64) bool { return ageWeeks < puppyUntil }

func lower(a, b Cap) Cap {
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

// amounts are how what a dog takes is said of its nails, or of its minutes.
type amounts struct{ last, enough, since say.Key }

var (
	ofNails   = amounts{tookNails, enoughNails, sinceNails}
	ofMinutes = amounts{tookMinutes, enoughMinutes, sinceMinutes}
)

func (amounts) said(key say.Key, n float64) say.Line {
	return say.Of(key, say.Args{"n": say.Count(math.Round(n)), "trims": say.Whole(lastSittings)})
}

// limit is learnt from the last sittings: what the dog took before it had enough, the least of
// them. Where the last time it had enough lies further back, it is a little more than the most
// since; where it never had, nothing limits it but what it begins with, and a little more than it took.
func limit(of amounts, start Cap, more float64, all []taken) Cap {
	if len(all) == 0 {
		return start
	}
	since := all // the last time that the dog had enough
	for i, t := range all {
		if t.enough {
			since = all[i:]
		}
	}
	if !since[0].enough {
		most := start.Most
		for _, t := range all {
			most = math.Max(most, t.amount+more)
		}
		return Cap{most, estimate.Learnt, of.said(of.last, all[len(all)-1].amount)}
	}
	if len(since) <= lastSittings {
		least := math.Inf(1)
		for _, t := range all[max(0, len(all)-lastSittings):] {
			if t.enough {
				least = math.Min(least, t.amount)
			}
		}
		return Cap{math.Max(1, math.Floor(least)), estimate.Learnt, of.said(of.enough, least)}
	}
	most := 0.0
	for _, t := range since[1:] {
		most = math.Max(most, t.amount)
	}
	return Cap{most + more, estimate.Learnt, of.said(of.since, most)}
}

// nailsOf counts the nails that went well at each sitting.
func nailsOf(outings []Outing) []taken {
	all := make([]taken, len(outings))
	for i, o := range outings {
		all[i] = o.nails()
	}
	return all
}

// nails counts the nails that went well. The dog had enough when it fought or snapped and
// nothing went well after it: a paw that it does not give is not the end of the others.
func (o Outing) nails() taken {
	var one taken
	for _, t := range o.Touches {
		switch {
		case t.Reaction.TooMuch():
			one.enough = true
		case t.Cut:
			one.amount++
			one.enough = false
		}
	}
	return one
}

// paw counts the nails of one paw that went well. It was refused when the dog fought or
// snapped there, though it was the first paw or another one went well afterwards: else the dog
// had had enough of the whole, whichever paw came next.
func (o Outing) paw(paw nail.Paw) (one taken, handled bool) {
	first := len(o.Touches) > 0 && o.Touches[0].Paw == paw
	tooMuch, wellAfter := false, false
	for _, t := range o.Touches {
		switch {
		case t.Paw != paw:
			wellAfter = wellAfter || tooMuch && t.Cut && !t.Reaction.TooMuch()
			continue
		case t.Reaction.TooMuch():
			tooMuch = true
		case t.Cut:
			one.amount++
		}
		handled = true
	}
	one.enough = tooMuch && (first || wellAfter)
	return one, handled
}

// minutesOf is how long each timed sitting was.
func minutesOf(outings []Outing) []taken {
	var all []taken
	for _, o := range outings {
		if o.Minutes != nil {
			all = append(all, taken{*o.Minutes, o.nails().enough})
		}
	}
	return all
}

// calmFor is how long the dog stayed calm at its last sittings at which somebody noted it: the
// median, since one startled moment says little.
func calmFor(outings []Outing) (minutes float64, known bool) {
	var calm []float64
	for _, o := range outings {
		if o.Calm != nil {
			calm = append(calm, *o.Calm)
		}
	}
	calm = calm[max(0, len(calm)-lastSittings):]
	if len(calm) == 0 {
		return 0, false
	}
	slices.Sort(calm)
	return calm[len(calm)/2], true
}

func learnPaw(paw nail.Paw, outings []Outing) Paw {
	var all []taken
	var strains []float64
	for _, o := range outings {
		one, handled := o.paw(paw)
		if !handled {
			continue
		}
		worst := Untold
		for _, t := range o.Touches {
			if t.Paw == paw {
				worst = Worst(worst, t.Reaction)
			}
		}
		if all = append(all, one); worst != Untold {
			strains = append(strains, float64(worst.Strain()))
		}
	}
	p := Paw{Nails: limit(ofNails, Plain.start(), nailsMore, all), Touched: len(all) > 0}
	recent := strains[max(0, len(strains)-lastSittings):]
	for _, strain := range recent {
		p.Strain += strain / float64(len(recent))
	}
	last := all[max(0, len(all)-impossibleAfter):]
	p.Impossible = len(last) == impossibleAfter && !slices.ContainsFunc(last, func(t taken) bool { return !t.enough })
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
