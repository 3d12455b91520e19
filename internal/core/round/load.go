package round

import (
	"fribbet/internal/core/kit"
	"fribbet/internal/core/say"
)

// Limits are what the user's hands take on a day; zero: no limit.
type Limits struct {
	Minutes int // at the table
	Dogs    int
	Hard    int
}

// Usual are limits as long as the user has set none (judgement).
var Usual = Limits{Minutes: 6 * 60, Dogs: 12, Hard: 3}

// Load is what a day asks of the hands and of the kit.
type Load struct {
	Minutes  float64 // at the table, in the middle
	Dogs     int
	Hard     int
	Nails    int
	Grinding float64    // minutes of charge, and of dust
	Over     []say.Line // what is more than the limits, in words
}

// Load adds up a day's visits that take their place.
func (l Limits) Load(visits []Visit) Load {
	var sum Load
	for _, v := range visits {
		if !v.State.Takes() {
			continue
		}
		sum.Dogs++
		sum.Minutes += v.Dog.Takes.Value
		sum.Nails += v.Dog.Nails
		sum.Grinding += v.Dog.Kit.Grinding()
		if v.Dog.Hard {
			sum.Hard++
		}
	}
	over := func(is, most int, key say.Key) {
		if most > 0 && is > most {
			sum.Over = append(sum.Over, say.Of(key, say.Args{"is": say.Count(is), "most": say.Whole(most)}))
		}
	}
	over(int(sum.Minutes), l.Minutes, overMinutes)
	over(sum.Dogs, l.Dogs, overDogs)
	over(sum.Hard, l.Hard, overHard)
	return sum
}

// Ahead is what the visits that are still to come ask of the kit.
func Ahead(visits []Visit) kit.Needs {
	needs := kit.Needs{}
	for _, v := range visits {
		if v.State == Offered || v.State == Agreed {
			needs.Add(v.Dog.Kit)
		}
	}
	return needs
}
