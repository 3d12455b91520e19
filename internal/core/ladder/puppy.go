package ladder

import (
	"fribbet/internal/core/date"
	"fribbet/internal/core/say"
)

// What of a puppy is handled on a day, beside its feet (trade, common practice with no source; the order is ours).
const (
	puppyEars   say.Key = "puppy.ears"
	puppyMouth  say.Key = "puppy.mouth"
	puppyLegs   say.Key = "puppy.legs"
	puppyBelly  say.Key = "puppy.belly"
	puppyTail   say.Key = "puppy.tail"
	puppyNails  say.Key = "puppy.nails"
	puppyLifted say.Key = "puppy.lifted"
)

var puppyParts = []say.Key{puppyEars, puppyLegs, puppyMouth, puppyNails, puppyBelly, puppyTail, puppyLifted}

// Puppyhood is a puppy's first two months of handling: every day counts.
type Puppyhood struct {
	From   date.Date // eight weeks old
	Days   []bool    // from the first day to today: whether its feet were handled
	Length int       // days that it lasts
	InARow int       // handled days up to today, or to yesterday while today is still open
}

// Handle is what is handled on its last day: the whole body in a week, again and again.
func (p Puppyhood) Handle() say.Line {
	return say.Line{Key: puppyParts[(len(p.Days)-1)%len(puppyParts)]}
}

// PuppyhoodOn tells how far a puppy's handling has come; false when it is too young or past it.
func PuppyhoodOn(today, born date.Date, tries []Try) (Puppyhood, bool) {
	from := born.AddDays(puppyFrom)
	gone := today.Sub(from)
	if gone < 0 || gone >= puppyFor {
		return Puppyhood{}, false
	}
	p := Puppyhood{From: from, Length: puppyFor, Days: make([]bool, gone+1)}
	for _, t := range tries {
		if at := t.On.Sub(from); at >= 0 && at <= gone {
			p.Days[at] = true
		}
	}
	at := gone
	if !p.Days[at] {
		at--
	}
	for ; at >= 0 && p.Days[at]; at-- {
		p.InARow++
	}
	return p, true
}
