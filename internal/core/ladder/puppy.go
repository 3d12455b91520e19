package ladder

import "fribbet/internal/core/date"

// Puppyhood is a puppy's first two months of handling: every day counts.
type Puppyhood struct {
	From   date.Date // eight weeks old
	Days   []bool    // from the first day to today: whether its feet were handled
	Length int       // days that it lasts
	InARow int       // handled days up to today, or to yesterday while today is still open
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
